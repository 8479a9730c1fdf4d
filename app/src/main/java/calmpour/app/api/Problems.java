package calmpour.app.api;

import static calmpour.core.check.Known.known;

import calmpour.app.format.FieldError;
import calmpour.app.format.JsonTrouble;
import calmpour.app.format.MeshMessages;
import calmpour.app.format.Photos;
import calmpour.app.store.UnreadableDocumentException;
import calmpour.app.work.PutRightMeanwhileException;
import calmpour.core.check.InvalidValuesException;
import calmpour.core.mould.mesh.MeshProblem;
import java.net.URI;
import java.util.List;
import java.util.Locale;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import tools.jackson.core.JacksonException;

/** Every failure as a problem document (RFC 9457), naming the field where there is one. */
@RestControllerAdvice
class Problems extends ResponseEntityExceptionHandler {
  private static final Logger LOG = LoggerFactory.getLogger(Problems.class);

  @ExceptionHandler
  ProblemDetail invalid(InvalidValuesException invalid) {
    return fields(invalid.problems().stream().map(FieldError::of).toList());
  }

  @ExceptionHandler
  ProblemDetail notFound(NotFoundException missing) {
    String what = String.valueOf(missing.getMessage());
    return problem(
        HttpStatus.NOT_FOUND,
        "not-found",
        "Not here",
        what.substring(0, 1).toUpperCase(Locale.ROOT) + what.substring(1) + ".");
  }

  @ExceptionHandler
  ProblemDetail mesh(MeshProblem unusable) {
    return fields(List.of(MeshMessages.of(unusable)));
  }

  @ExceptionHandler
  ProblemDetail photo(Photos.NoPhotoException unusable) {
    return fields(
        List.of(FieldError.of("photo", "not_a_photo", known(unusable.getMessage()), null)));
  }

  @ExceptionHandler
  ProblemDetail savedElsewhere(SavedElsewhereException conflict) {
    return problem(
        HttpStatus.CONFLICT,
        "saved-elsewhere",
        "Saved somewhere else in the meantime",
        conflict.told());
  }

  @ExceptionHandler
  ProblemDetail putRightMeanwhile(PutRightMeanwhileException conflict) {
    return problem(
        HttpStatus.CONFLICT,
        "put-right-meanwhile",
        "Somebody corrected this line meanwhile",
        "Look at it again: " + conflict.getMessage() + ". Nothing was changed.");
  }

  @ExceptionHandler
  ProblemDetail unreadable(UnreadableDocumentException damaged) {
    LOG.warn("something kept cannot be read", damaged);
    return problem(
        HttpStatus.CONFLICT,
        "unreadable",
        "This cannot be read",
        "It was kept by another version of Calm Pour, or it is damaged. It stays as it is kept.");
  }

  @ExceptionHandler
  ProblemDetail unexpected(Exception bug) {
    LOG.error("an unexpected failure", bug);
    return problem(
        HttpStatus.INTERNAL_SERVER_ERROR,
        "unexpected",
        "Something went wrong on our side",
        "Nothing you entered is lost on this screen. The log of the server says more.");
  }

  @Override
  protected ResponseEntity<Object> handleHttpMessageNotReadable(
      HttpMessageNotReadableException unreadable,
      HttpHeaders headers,
      HttpStatusCode status,
      WebRequest request) {
    if (unreadable.getCause() instanceof JacksonException trouble) {
      ProblemDetail detail = json(trouble);
      return ResponseEntity.status(detail.getStatus()).body(detail);
    }
    ProblemDetail detail =
        problem(HttpStatus.BAD_REQUEST, "not-json", "This cannot be read", "Nothing was sent.");
    return ResponseEntity.badRequest().body(detail);
  }

  @ExceptionHandler
  ProblemDetail json(JacksonException trouble) {
    return JsonTrouble.unreadable(trouble)
        ? problem(
            HttpStatus.BAD_REQUEST,
            "not-json",
            "This cannot be read",
            JsonTrouble.fieldErrors(trouble).get(0).message())
        : fields(JsonTrouble.fieldErrors(trouble));
  }

  private static ProblemDetail fields(List<FieldError> errors) {
    String first = errors.get(0).message();
    String detail = errors.size() == 1 ? first : first + " And " + (errors.size() - 1) + " more.";
    ProblemDetail problem =
        problem(
            HttpStatus.UNPROCESSABLE_CONTENT, "invalid-values", "Something does not fit", detail);
    problem.setProperty("errors", errors);
    return problem;
  }

  private static ProblemDetail problem(
      HttpStatus status, String type, String title, String detail) {
    ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, detail);
    problem.setType(URI.create("urn:calm-pour:problem:" + type));
    problem.setTitle(title);
    return problem;
  }
}
