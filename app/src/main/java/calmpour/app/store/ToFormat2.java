package calmpour.app.store;

import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * From format 1 to 2. A plan's dose says what was wanted beside what is counted: an old one was
 * meant to be both, and how far its drops were off stays with it. What is said of forgotten cups is
 * said of mixing cups as well, under a name of its own.
 */
final class ToFormat2 implements Formats.Step {
  @Override
  public void up(Formats.Document kind, ObjectNode document) {
    if (kind == Formats.Document.PLAN) {
      for (JsonNode finding : document.withArray("findings")) {
        if (finding.path("rule").asString("").equals("CUP_HOT_IF_FORGOTTEN")) {
          ((ObjectNode) finding).put("rule", "HOT_IF_FORGOTTEN");
        }
      }
      for (JsonNode batch : document.withArray("batches")) {
        batch.path("tintedWhole").forEach(ToFormat2::dose);
        batch.path("cups").forEach(cup -> cup.path("doses").forEach(ToFormat2::dose));
      }
    }
  }

  private static void dose(JsonNode node) {
    ObjectNode dose = (ObjectNode) node;
    JsonNode off = dose.remove("dropsErrorPercent");
    boolean counted = off != null && dose.path("by").asString("").equals("COUNT");
    dose.set("wantedG", dose.get("massG"));
    dose.put("errorPercent", counted ? off.asDouble() : 0);
  }
}
