package calmpour.core.run;

import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/** What is shown of every cup at a moment of a run. */
final class CupsTold {
  private final BenchMoment bench;
  private final Replan replan;
  private final Laid laid;

  CupsTold(BenchMoment bench, Replan replan) {
    this.bench = bench;
    this.replan = replan;
    this.laid = replan.laid();
  }

  /** Those that hold resin, the soonest to thicken first. */
  List<RunState.CupNow> now() {
    List<RunState.CupNow> cups = new ArrayList<>();
    for (Follows each : laid.cups().values()) {
      boolean filled = bench.account.contentG(each.cup().id()) > 0;
      boolean cleaned =
          bench.history.done.containsKey(TaskId.batch(each.batch().number(), Task.Kind.CLEAN_UP));
      boolean met = bench.done(TaskId.batch(each.batch().number(), Task.Kind.WEIGH_SECOND));
      if (!filled || !met || cleaned) {
        continue;
      }
      Follows.Stands stands = laid.stands(each);
      cups.add(
          new RunState.CupNow(
              each.cup().id(),
              each.batch().number(),
              each.cup().colour().name(),
              each.cup().colour().swatch(),
              bench.now >= each.gelsSeconds()
                  ? RunState.CupState.GELLED
                  : bench.now >= each.thicksSeconds()
                      ? RunState.CupState.THICK
                      : RunState.CupState.POURABLE,
              each.contactSeconds(),
              each.thicksSeconds(),
              stands.untilSeconds(),
              each.earliestSeconds(),
              each.gelsSeconds(),
              each.aheadSeconds(),
              bench.account.leftG(each.cup().id()),
              bench.pours(each).stream().noneMatch(p -> bench.open(BenchMoment.pourTask(p))),
              lostPours(each),
              each.temperatureC(),
              each.expectedC(),
              stands.warmsSeconds(),
              each.hot()));
    }
    cups.sort(Comparator.comparingInt(RunState.CupNow::thicksSeconds));
    return cups;
  }

  /** Pours from a cup that cannot or will not be made, and what would have lain on them. */
  private int lostPours(Follows of) {
    Set<Cup.Pour> lost = new HashSet<>();
    for (Cup.Pour pour : bench.pours(of)) {
      if (gone(pour)) {
        lost.add(pour);
        for (Batch batch : bench.batches) {
          for (Cup cup : batch.cups()) {
            for (Cup.Pour above : cup.pours()) {
              if (gone(above) && bench.below(above).contains(pour)) {
                lost.add(above);
              }
            }
          }
        }
      }
    }
    return lost.size();
  }

  private boolean gone(Cup.Pour pour) {
    TaskId task = BenchMoment.pourTask(pour);
    return !bench.done(task)
        && (bench.history.givenUp.contains(task)
            || replan.lost().contains(task)
            || replan.tooLate().contains(task));
  }

  List<RunState.MixNow> mixes() {
    return laid.mixes().stream()
        .map(m ->
            new RunState.MixNow(
                m.batch(),
                m.massG(),
                m.contactSeconds(),
                m.thicksSeconds(),
                m.gelsSeconds(),
                bench.now >= m.gelsSeconds()
                    ? RunState.CupState.GELLED
                    : bench.now >= m.thicksSeconds()
                        ? RunState.CupState.THICK
                        : RunState.CupState.POURABLE))
        .toList();
  }

  /** What is in cups from which nothing will be poured. */
  List<RunState.LeftOver> leftOvers() {
    List<RunState.LeftOver> left = new ArrayList<>();
    for (Follows each : laid.cups().values()) {
      double grams = bench.account.leftG(each.cup().id());
      boolean pours =
          bench.pours(each).stream()
              .map(BenchMoment::pourTask)
              .anyMatch(t ->
                  bench.open(t) && !replan.lost().contains(t) && !replan.tooLate().contains(t));
      boolean any =
          bench.pours(each).stream()
              .map(BenchMoment::pourTask)
              .anyMatch(t -> !bench.open(t) || replan.lost().contains(t));
      if (grams <= 0 || pours || !any) {
        continue;
      }
      boolean thick = bench.now >= each.thicksSeconds();
      left.add(
          new RunState.LeftOver(
              each.cup().id(),
              grams,
              each.hot()
                  ? RunState.Advice.OUTDOORS
                  : bench.history.troubles.spoilt.contains(each.cup().id())
                      ? RunState.Advice.THROW_AWAY
                      : bench.now >= each.gelsSeconds()
                          ? RunState.Advice.LET_CURE
                          : thick ? RunState.Advice.SPREAD_THIN : RunState.Advice.FILLERS));
    }
    return left;
  }
}
