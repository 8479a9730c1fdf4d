package calmpour.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import calmpour.core.Samples;
import calmpour.core.design.Layer;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.BatchTimes;
import calmpour.core.plan.doc.Plan;
import calmpour.core.resin.MixRatio;
import calmpour.core.session.Piece;
import calmpour.core.tint.Colour;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Nobody goes home for less than an hour and a half: common practice, no source. */
class SittingsTest {
  private static Plan plan(int... moments) {
    Plan one =
        Samples.planner()
            .plan(
                Samples.session(
                    List.of(
                        new Piece("push", 2, List.of(new Layer(Colour.CLEAR.id(), null, null))))),
                Samples.workshop(
                    Samples.resin(2, 1, MixRatio.Basis.WEIGHT),
                    List.of(Samples.mould("push", 4, 10.0)),
                    List.of(Colour.CLEAR)));
    Batch batch = one.batches().getFirst();
    List<Batch> batches = new ArrayList<>();
    for (int i = 0; i < moments.length; i += 2) {
      batches.add(
          batch
              .withNumber(i / 2 + 1)
              .withTimes(new BatchTimes(moments[i], moments[i], moments[i], moments[i + 1])));
    }
    return one.withBatches(batches);
  }

  @Test
  void partWhereNobodyWorksForLongerThanAnHourAndAHalf() {
    assertThat(plan(0, 1_800, 1_800, 3_600, 14_400, 16_000, 16_000, 18_000).sittings())
        .containsExactly(List.of(1, 2), List.of(3, 4));
    assertThat(plan(0, 1_800, 1_800 + 5_399, 8_000).sittings()).containsExactly(List.of(1, 2));
    assertThat(plan(0, 1_800, 1_800 + 5_400, 8_000).sittings())
        .containsExactly(List.of(1), List.of(2));
    assertThat(plan().sittings()).isEmpty();
  }
}
