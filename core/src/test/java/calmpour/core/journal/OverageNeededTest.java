package calmpour.core.journal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.plan.doc.Task;
import calmpour.core.run.AsRun;
import calmpour.core.run.Evening;
import calmpour.core.run.Run;
import calmpour.core.run.RunEvent;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.function.ToDoubleFunction;
import org.hipparchus.stat.descriptive.rank.Percentile;
import org.junit.jupiter.api.Test;

/** Cases of rules.md, "How much overage is enough"; its quantile beside a statistics library's. */
class OverageNeededTest {
  private static final Run RUN = Evening.RUN;

  /** Every pour weighs so many times what was planned, by its cup. */
  private static AsRun evening(ToDoubleFunction<String> times, boolean weighed) {
    List<RunEvent> told = new ArrayList<>();
    for (Task task : RUN.plan().tasks()) {
      if (task.hands()) {
        Double grams =
            task.kind() == Task.Kind.POUR && weighed
                ? (Double) (planned(task) * times.applyAsDouble(String.valueOf(task.cupId())))
                : null;
        told.add(
            new RunEvent(
                "e" + told.size(),
                RUN.begunAt().plusSeconds(task.endSeconds()),
                RunEvent.Kind.DONE,
                task.id().text(),
                grams,
                List.of(),
                null));
      }
    }
    return Evening.RUNS.lookBack(RUN, told, RUN.begunAt().plusSeconds(900_000));
  }

  private static double planned(Task task) {
    return RUN.plan().batches().stream()
        .flatMap(b -> b.cups().stream())
        .flatMap(c -> c.pours().stream())
        .filter(p -> task.pourId() != null && p.id().equals(task.pourId()))
        .mapToDouble(p -> p.massG())
        .findFirst()
        .orElseThrow();
  }

  @Test
  void theCupThatNeededMostIsTheEvenings() {
    assertThat(OverageNeeded.ofEvening(evening(cup -> 1.03, true)).orElseThrow())
        .isCloseTo(3, within(0.01));
    assertThat(
            OverageNeeded.ofEvening(evening(c -> c.equals("1.1") ? 1.04 : 0.9, true)).orElseThrow())
        .isCloseTo(4, within(0.01));
    assertThat(OverageNeeded.ofEvening(evening(cup -> 0.9, true))).contains(0.0);
    // Nobody knows what went in.
    assertThat(OverageNeeded.ofEvening(evening(cup -> 1.03, false))).isEmpty();
    assertThat(OverageNeeded.ofEvening(Evening.RUNS.lookBack(RUN, List.of(), RUN.begunAt())))
        .isEmpty();
  }

  @Test
  void isWhatWasEnoughOnNineOfTenEvenings() {
    assertThat(OverageNeeded.of(List.of()).enough()).isFalse();
    assertThat(OverageNeeded.of(List.of(2.0, 7.2)).enough()).isFalse();
    OverageNeeded few = OverageNeeded.of(List.of(2.0, 7.2, 3.0));
    assertThat(few.enough()).isTrue();
    assertThat(few.enoughPercent()).isEqualTo(7.5);
    assertThat(few.middlePercent()).isEqualTo(3);
    SplittableRandom chance = new SplittableRandom(20_261_129);
    for (int of : List.of(10, 11, 60, 400)) {
      List<Double> needed = new ArrayList<>();
      for (int i = 0; i < of; i++) {
        needed.add(chance.nextDouble(0, 12));
      }
      double[] all = needed.stream().mapToDouble(v -> v).toArray();
      double library =
          new Percentile().withEstimationType(Percentile.EstimationType.R_1).evaluate(all, 90);
      assertThat(OverageNeeded.of(needed).enoughPercent())
          .isCloseTo(Math.ceil(2 * library) / 2, within(1e-9));
      long enough = needed.stream().filter(n -> n <= library).count();
      assertThat(enough).isGreaterThanOrEqualTo((long) Math.ceil(0.9 * of));
    }
  }
}
