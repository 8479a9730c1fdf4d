package calmpour.app.store;

import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * From format 3 to 4. Lines of pieces and layers count from 1 in every address, as pours and cups
 * always did: {@code piece/0} is {@code piece/1}, {@code layer/0/1} is {@code layer/1.2}.
 */
final class ToFormat4 implements Formats.Step {
  private static final String PIECE = "piece/";
  private static final String LAYER = "layer/";

  @Override
  public void up(Formats.Document kind, ObjectNode document) {
    if (kind == Formats.Document.SESSION) {
      document.path("arrangement").path("accepted").forEach(a -> counted(a, "place"));
    } else if (kind == Formats.Document.PLAN) {
      for (JsonNode finding : document.path("findings")) {
        counted(finding, "place");
        finding.path("mends").forEach(mend -> counted(mend, "target"));
      }
    }
  }

  private static void counted(JsonNode of, String field) {
    JsonNode address = of.get(field);
    if (address != null && of instanceof ObjectNode object) {
      object.put(field, counted(address.asString()));
    }
  }

  private static String counted(String address) {
    if (address.matches(PIECE + "\\d{1,6}")) {
      return PIECE + (Integer.parseInt(address.substring(PIECE.length())) + 1);
    }
    if (address.matches(LAYER + "\\d{1,6}/\\d{1,6}")) {
      String[] at = address.substring(LAYER.length()).split("/", 2);
      return LAYER + (Integer.parseInt(at[0]) + 1) + "." + (Integer.parseInt(at[1]) + 1);
    }
    return address;
  }
}
