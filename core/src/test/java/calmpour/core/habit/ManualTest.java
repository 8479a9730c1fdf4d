package calmpour.core.habit;

import static org.assertj.core.api.Assertions.assertThat;

import calmpour.core.cure.HalvingRule;
import calmpour.core.resin.LabelHours;
import calmpour.core.tint.ColourantForm;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** The manual's tables say the figures that the planner works with. */
class ManualTest {
  private static final Pattern ROW = Pattern.compile("(?m)^\\| ([^|]+) \\| ([^|]+) \\|");
  private static final Pattern NUMBER = Pattern.compile("\\d+(\\.\\d+)?");

  private final Map<String, double[]> thumb = rows("10-rules-of-thumb.md");

  @Test
  void whatHandsTake() {
    Hands hands = Hands.DEFAULT;
    told("weigh one part", hands.weighSecondsPart());
    told("second cup, beside its stirring", hands.secondCupSeconds());
    told("split, a cup", hands.splitSecondsCup());
    told("tint, a cup", hands.tintSecondsCup());
    told("tint with powder, a cup", hands.tintPowderSecondsCup());
    told("pour, a cavity", hands.pourSecondsCavity(), hands.pourSecondsMl());
    told("bubbles, a cavity", hands.bubbleSecondsCavity());
    told("embed", hands.embedSeconds());
    told("nudge an embed", hands.nudgeSeconds());
    told("cover", hands.coverSeconds());
    told("wipe or spray, a cavity", hands.mouldSeconds());
    told("clean up, a batch", hands.cleanUpSeconds());
    told("demould, a piece", hands.demouldSecondsPiece());
  }

  @Test
  void whatIsLostAddedAndWaitedFor() {
    Habits habits = Habits.DEFAULT;
    told("stays in a cup", habits.residueG(), habits.residuePercent());
    told("overage", habits.overagePercent());
    told("head room for stirring", habits.headroomPercent());
    told("spare time before a cup thickens", habits.marginMinutes());
    told("a thick join", habits.thickWaitMinutes());
    told("a gel join", habits.gelWaitMinutes());
    told("a cured join", habits.curedWaitHours());
    told("label times", 100 * HalvingRule.LABEL_SPREAD);
    told("the room", HalvingRule.ROOM_SPREAD_K);
    told("a demould time printed without a depth", LabelHours.USUAL_DEPTH_MM);
  }

  @Test
  void whatColoursWeigh() {
    told("mica and powders, as they lie in the jar", ColourantForm.MICA.assumedBulkDensity());
    told("mica and powders, without air", ColourantForm.MICA.assumedTrueDensity());
    told("glitter, as it lies", ColourantForm.GLITTER.assumedBulkDensity());
    told("glitter, without air", ColourantForm.GLITTER.assumedTrueDensity());
    told("paste", ColourantForm.PASTE.assumedBulkDensity());
    told("liquid tint", ColourantForm.LIQUID_TINT.assumedBulkDensity());
    told("alcohol ink", ColourantForm.ALCOHOL_INK.assumedBulkDensity());
    told("acrylic paint", ColourantForm.ACRYLIC_PAINT.assumedBulkDensity());
    told("oil-based hobby paint", ColourantForm.OIL_PAINT.assumedBulkDensity());
    told("food colour, as it lies", ColourantForm.FOOD_COLOUR.assumedBulkDensity());
    told("food colour, without air", ColourantForm.FOOD_COLOUR.assumedTrueDensity());
    told("silicone oil", ColourantForm.SILICONE_OIL.assumedBulkDensity());
    told("dye", ColourantForm.DYE.assumedBulkDensity());
    told("thinner", ColourantForm.THINNER.assumedBulkDensity());
  }

  @Test
  void theLimitsOfTheColoursPage() {
    Map<String, double[]> limits = rows("05-colours.md");
    assertThat(limits.get("everything together")).containsExactly(Habits.DEFAULT.capAllPercent());
    assertThat(limits.get("liquids")).containsExactly(Habits.DEFAULT.capLiquidPercent());
  }

  private void told(String what, double... figures) {
    assertThat(thumb.get(what)).as(what).containsExactly(figures);
  }

  /** Every figure of a row's second cell, by its first. */
  private static Map<String, double[]> rows(String page) {
    try {
      return ROW.matcher(Files.readString(Path.of("../docs/manual", page)))
          .results()
          .collect(
              Collectors.toMap(
                  row -> row.group(1).strip(),
                  row ->
                      NUMBER
                          .matcher(row.group(2))
                          .results()
                          .map(MatchResult::group)
                          .mapToDouble(Double::parseDouble)
                          .toArray(),
                  (first, second) -> first));
    } catch (IOException gone) {
      throw new UncheckedIOException(gone);
    }
  }
}
