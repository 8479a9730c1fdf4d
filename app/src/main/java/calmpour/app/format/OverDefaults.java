package calmpour.app.format;

import java.util.Map;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.ObjectMapper;
import tools.jackson.databind.deser.std.StdDeserializer;
import tools.jackson.databind.node.ObjectNode;

/**
 * Reads a record whose missing fields keep their defaults, so that a document needs to name only
 * the habits it changes, and older documents stay readable when a habit is added.
 */
final class OverDefaults<T> extends StdDeserializer<T> {
  private final ObjectMapper plain;
  private final Class<T> type;
  private final T defaults;

  /**
   * @param plain a mapper without this deserializer, with the same strictness
   */
  OverDefaults(ObjectMapper plain, Class<T> type, T defaults) {
    super(type);
    this.plain = plain;
    this.type = type;
    this.defaults = defaults;
  }

  @Override
  public T deserialize(JsonParser parser, DeserializationContext context) {
    JsonNode given = context.readTree(parser);
    if (!(given instanceof ObjectNode object)) {
      return context.reportInputMismatch(type, "an object is expected");
    }
    ObjectNode merged = plain.valueToTree(defaults);
    lay(object, merged);
    return plain.treeToValue(merged, type);
  }

  /** What is named goes over what stands there, also within a group of habits. */
  private static void lay(ObjectNode over, ObjectNode below) {
    for (Map.Entry<String, JsonNode> field : over.properties()) {
      boolean group =
          field.getValue() instanceof ObjectNode && below.get(field.getKey()) instanceof ObjectNode;
      if (group) {
        lay((ObjectNode) field.getValue(), (ObjectNode) below.get(field.getKey()));
      } else {
        below.set(field.getKey(), field.getValue());
      }
    }
  }
}
