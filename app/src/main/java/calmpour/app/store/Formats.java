package calmpour.app.store;

import calmpour.core.check.Range;
import java.util.List;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * Reads and writes what is kept as documents. Each row says in which format its document was
 * written; an older one is taken through one step a format before it is read, strictly, as today's
 * record. See docs/decisions/0028.
 */
@Component
public class Formats {
  /** What kind of document a row holds. */
  public enum Document {
    SHELF,
    SESSION,
    WORKSHOP,
    PLAN,
    EVENT,
    USUAL,
    SET_UP,
    TIMING_EVENT,
    CHIP
  }

  /** Makes of a document of one format one of the next. */
  public interface Step {
    /**
     * @param document changed in place
     */
    void up(Document kind, ObjectNode document);
  }

  /** The step at index i leads from format i + 1 to i + 2. Steps are added, never changed. */
  private static final List<Step> STEPS =
      List.of(new ToFormat2(), new ToFormat3(), new ToFormat4());

  /** What documents are written in. */
  public static final int CURRENT = STEPS.size() + 1;

  private final JsonMapper json;

  Formats(JsonMapper json) {
    this.json = json;
  }

  /**
   * @throws UnreadableDocumentException where it is damaged, or of a newer Calm Pour
   */
  <T> T read(Document kind, String text, int format, Class<T> type) {
    try {
      if (format == CURRENT) {
        return json.readValue(text, type);
      }
      return json.treeToValue(raised(kind, json.readTree(text), format), type);
    } catch (JacksonException | IllegalStateException unreadable) {
      throw new UnreadableDocumentException(kind, unreadable);
    }
  }

  /** Formats that this program reads. */
  public static final Range FORMATS = new Range(1, CURRENT);

  /**
   * What came from outside in some format, as today's record.
   *
   * @param format within {@link #FORMATS}
   * @throws JacksonException where it does not hold what it has to
   */
  public <T> T taken(Document kind, JsonNode document, int format, Class<T> type) {
    return json.treeToValue(raised(kind, document, format), type);
  }

  /**
   * The same document in today's format.
   *
   * @param document changed in place
   * @param format 1 and more
   * @throws IllegalStateException for a format of a newer Calm Pour
   */
  public JsonNode raised(Document kind, JsonNode document, int format) {
    if (format < 1 || format > CURRENT) {
      throw new IllegalStateException(
          kind + " format (" + format + ") must be in [1, " + CURRENT + "]");
    }
    if (document instanceof ObjectNode object) {
      STEPS.subList(format - 1, STEPS.size()).forEach(step -> step.up(kind, object));
    }
    return document;
  }

  /**
   * The picture of a board; its format is the row's, and one that is of another is drawn anew when
   * its session is kept the next time.
   */
  Board picture(String text) {
    try {
      return json.readValue(text, Board.class);
    } catch (JacksonException damaged) {
      throw new UnreadableDocumentException(Document.PLAN, damaged);
    }
  }

  String write(Object value) {
    return json.writeValueAsString(value);
  }
}
