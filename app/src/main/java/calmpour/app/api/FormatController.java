package calmpour.app.api;

import calmpour.app.store.Formats;
import calmpour.core.check.Check;
import calmpour.core.check.Problem;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** For what a browser kept of an earlier Calm Pour: a draft, and steps that were not told yet. */
@RestController
@RequestMapping("/api/formats")
public class FormatController {
  private final Formats formats;

  FormatController(Formats formats) {
    this.formats = formats;
  }

  /** A document as it was written in some format. */
  public record OldDocument(Formats.Document kind, int format, JsonNode document) {
    public OldDocument {
      new Check()
          .present("kind", kind)
          .present("document", document)
          .that(
              format >= 1,
              Problem.outside("format", Problem.Code.OUT_OF_RANGE, format, Formats.FORMATS))
          .that(
              format <= Formats.CURRENT,
              Problem.outside("format", Problem.Code.FORMAT_IS_NEWER, format, Formats.FORMATS))
          .orThrow();
    }
  }

  /** The same in today's format; whether it holds what it has to is asked where it is used. */
  @PostMapping("/raised")
  JsonNode raised(@RequestBody OldDocument old) {
    return formats.raised(old.kind(), old.document(), old.format());
  }
}
