package calmpour.app.store;

import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * From format 2 to 3. A plan's batch and cup group what they say: what is measured out, the mixing
 * cup, amounts, tint, moments and what follows, which stood side by side in one long list.
 */
final class ToFormat3 implements Formats.Step {
  private static final Map<String, List<String>> OF_BATCH =
      Map.of(
          "measuring",
          List.of(
              "needG",
              "partA",
              "partB",
              "totalG",
              "firstPart",
              "divisionUsed",
              "ratioErrorPercent"),
          "mixing",
          List.of(
              "firstPartMm",
              "bothPartsMm",
              "staysG",
              "firstCupStaysG",
              "reserveG",
              "startC",
              "tintedWhole"),
          "times",
          List.of("startSeconds", "contactSeconds", "mixedSeconds", "endSeconds"));

  private static final Map<String, List<String>> OF_CUP =
      Map.of(
          "amounts",
          List.of("levelMm", "resinG", "contentG", "contentMl", "pouredG", "staysG"),
          "tint",
          List.of(
              "doses", "loading", "inAll", "waterPercent", "solventPercent", "strength", "look"),
          "times",
          List.of(
              "filledSeconds",
              "latestPourEndSeconds",
              "thickensSeconds",
              "thickensEarliestSeconds",
              "thickensLatestSeconds",
              "tooThickSeconds",
              "gelsSeconds"),
          "follows",
          List.of("peak", "layers"));

  @Override
  public void up(Formats.Document kind, ObjectNode document) {
    if (kind == Formats.Document.PLAN) {
      for (JsonNode batch : document.withArray("batches")) {
        batch.path("cups").forEach(cup -> cup((ObjectNode) cup));
        batch((ObjectNode) batch);
      }
    }
  }

  private static void batch(ObjectNode batch) {
    grouped(batch, OF_BATCH);
    moved(batch, "measured", batch.withObject("measuring"), "by");
    moved(batch, "mixingCup", batch.withObject("mixing"), "cup");
  }

  private static void cup(ObjectNode cup) {
    grouped(cup, OF_CUP);
    moved(cup, "tintHeldAt", cup.withObject("tint"), "heldAt");
    ObjectNode colour = cup.putObject("colour");
    moved(cup, "colourId", colour, "id");
    moved(cup, "colourName", colour, "name");
    moved(cup, "swatch", colour, "swatch");
  }

  private static void grouped(ObjectNode document, Map<String, List<String>> groups) {
    groups.forEach((name, fields) -> {
      ObjectNode group = document.putObject(name);
      fields.forEach(field -> moved(document, field, group, field));
    });
  }

  private static void moved(ObjectNode from, String field, ObjectNode to, String as) {
    JsonNode value = from.remove(field);
    if (value != null) {
      to.set(as, value);
    }
  }
}
