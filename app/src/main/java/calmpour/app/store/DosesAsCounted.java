package calmpour.app.store;

import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * From format 1 to 2: a plan's dose says what was wanted beside what is counted. An old one was
 * meant to be both; how far its drops were off stays with it.
 */
final class DosesAsCounted implements Formats.Step {
  @Override
  public void up(Formats.Document kind, ObjectNode document) {
    if (kind == Formats.Document.PLAN) {
      for (JsonNode batch : document.withArray("batches")) {
        batch.path("tintedWhole").forEach(DosesAsCounted::dose);
        batch.path("cups").forEach(cup -> cup.path("doses").forEach(DosesAsCounted::dose));
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
