package calmpour.app.format;

import calmpour.core.check.InvalidValuesException;
import java.util.List;
import java.util.stream.Collectors;
import tools.jackson.core.JacksonException;
import tools.jackson.core.exc.InputCoercionException;
import tools.jackson.core.exc.StreamReadException;
import tools.jackson.databind.exc.InvalidFormatException;
import tools.jackson.databind.exc.MismatchedInputException;
import tools.jackson.databind.exc.UnrecognizedPropertyException;

/** Turns what the JSON reader stumbled over into messages at the field. */
public final class JsonTrouble {
  private JsonTrouble() {}

  /** Whether the text is not JSON at all, rather than JSON with a wrong value. */
  public static boolean unreadable(JacksonException trouble) {
    return trouble instanceof StreamReadException && !(trouble instanceof InputCoercionException);
  }

  /** At least one message; the path is that of the offending value. */
  public static List<FieldError> fieldErrors(JacksonException trouble) {
    String field = path(trouble);
    if (trouble.getCause() instanceof InvalidValuesException invalid) {
      return invalid.problems().stream()
          .map(p -> FieldError.of(field.isEmpty() ? p : p.under(field)))
          .toList();
    }
    return List.of(
        switch (trouble) {
          case UnrecognizedPropertyException unknown ->
              FieldError.of(
                  field,
                  "unknown_field",
                  "There is no field called “" + unknown.getPropertyName() + "” here.",
                  null);
          case InvalidFormatException format ->
              FieldError.of(field, "wrong_kind", expected(format), text(format.getValue()));
          case InputCoercionException outside ->
              FieldError.of(field, "wrong_kind", "This has to be a number of a usual size.", null);
          case StreamReadException read ->
              FieldError.of(
                  field,
                  "not_json",
                  "This is not a document that can be read: line "
                      + read.getLocation().getLineNr()
                      + ", column "
                      + read.getLocation().getColumnNr()
                      + ".",
                  null);
          case MismatchedInputException mismatch ->
              FieldError.of(field, "wrong_kind", expected(mismatch), null);
          default -> FieldError.of(field, "wrong_kind", "This value cannot be used here.", null);
        });
  }

  private static String text(Object value) {
    String text = String.valueOf(value);
    return text.length() > 60 ? text.substring(0, 60) + "…" : text;
  }

  private static String expected(MismatchedInputException mismatch) {
    Class<?> wanted = mismatch.getTargetType();
    if (wanted == null) {
      return "This value is of the wrong kind.";
    }
    if (wanted.isEnum()) {
      String choices =
          List.of(wanted.getEnumConstants()).stream()
              .map(Object::toString)
              .collect(Collectors.joining(", "));
      return "This has to be one of " + choices + ".";
    }
    if (wanted == int.class || wanted == Integer.class) {
      return "This has to be a whole number.";
    }
    if (wanted.isPrimitive() || Number.class.isAssignableFrom(wanted)) {
      return "This has to be a number, such as 1.5.";
    }
    if (wanted.getPackageName().startsWith("java.time")) {
      return "This has to be a date and time, such as 2026-11-28T10:00.";
    }
    return "This value is of the wrong kind or missing.";
  }

  private static String path(JacksonException trouble) {
    StringBuilder path = new StringBuilder();
    for (JacksonException.Reference step : trouble.getPath()) {
      if (step.getPropertyName() == null) {
        path.append('[').append(step.getIndex()).append(']');
      } else {
        path.append(path.isEmpty() ? "" : ".").append(step.getPropertyName());
      }
    }
    return path.toString();
  }
}
