package calmpour.core.run;

import calmpour.core.cure.CureModel;
import calmpour.core.plan.Batch;
import calmpour.core.plan.Cup;
import calmpour.core.plan.Task;
import calmpour.core.plan.Underway;
import calmpour.core.resin.ResinSystem;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * How a cup of an open batch follows, in seconds from when the run was begun.
 *
 * @param cup with what is really in it
 * @param temperatureC last measured; null while it was not
 */
record Follows(
    Batch batch,
    Cup cup,
    int contactSeconds,
    int thicksSeconds,
    int earliestSeconds,
    int gelsSeconds,
    @Nullable Double temperatureC,
    boolean hot) {
  /** Hotter than that a cup is put away, °C: it can no longer be held; no source. */
  private static final double HOT_C = 55;

  /** It warms that fast where it is running away, K a minute; no source. */
  private static final double RUNS_AWAY_C_MIN = 3;

  /** Of each cup the latest few readings tell most; more cost time and add nothing. */
  private static final int READINGS = 6;

  /** Every cup of an open batch, by its id. */
  static Map<String, Follows> all(Bench bench, CureModel cure, Underway rules) {
    Map<String, Follows> cups = new LinkedHashMap<>();
    for (Batch batch : bench.batches) {
      if (!bench.opened(batch)) {
        continue;
      }
      for (Cup cup : batch.cups()) {
        cups.put(cup.id(), of(bench, cure, rules, batch, cup));
      }
    }
    return cups;
  }

  private static Follows of(Bench bench, CureModel cure, Underway rules, Batch batch, Cup cup) {
    int met = bench.history.done.get(Bench.task(batch, Task.Kind.WEIGH_FIRST)).atSeconds();
    Underway.CupFollows cupFollows =
        rules.follow(batch, cup, b -> Measured.inRoom(b, met, bench.roomC, bench.history.room));
    List<double[]> readings = new ArrayList<>();
    List<History.Reading> all = bench.history.warmth.getOrDefault(cup.id(), List.of());
    for (History.Reading reading : all.subList(Math.max(0, all.size() - READINGS), all.size())) {
      readings.add(
          new double[] {
            (reading.atSeconds() - cupFollows.contactSeconds()) / 60.0, reading.temperatureC()
          });
    }
    ResinSystem resin = bench.job.in(batch.resinId()).resin();
    double factor = Measured.labelFactor(cure, resin, cupFollows.body(), readings);
    double minutes = cupFollows.states().workingTimeEnds().minutes();
    double times =
        factor == 1
            ? 1
            : cure.workingTimes(resin, cupFollows.body()).minutes(0, factor)
                / cure.workingTimes(resin, cupFollows.body()).minutes(0, 1);
    Integer said = bench.history.thick.get(cup.id());
    int thicks = after(cupFollows.contactSeconds(), minutes * times);
    int gels = after(cupFollows.contactSeconds(), cupFollows.states().gels().minutes() * times);
    int earliest =
        after(
            cupFollows.contactSeconds(),
            cupFollows.states().workingTimeEnds().earliestMinutes() * times);
    return new Follows(
        batch,
        cup,
        cupFollows.contactSeconds(),
        said == null ? thicks : Math.min(said, thicks),
        Math.min(earliest, thicks),
        gels,
        all.isEmpty() ? null : all.getLast().temperatureC(),
        bench.history.hot.containsKey(cup.id()) || hot(all));
  }

  private static int after(int contact, double minutes) {
    return contact + (int) Math.floor(minutes * 60);
  }

  private static boolean hot(List<History.Reading> readings) {
    if (readings.isEmpty()) {
      return false;
    }
    History.Reading last = readings.getLast();
    if (last.temperatureC() >= HOT_C || readings.size() < 2) {
      return last.temperatureC() >= HOT_C;
    }
    History.Reading before = readings.get(readings.size() - 2);
    double minutes = Math.max(1, last.atSeconds() - before.atSeconds()) / 60.0;
    // Two readings in a hurry differ by their noise alone.
    return minutes >= 0.5
        && (last.temperatureC() - before.temperatureC()) / minutes >= RUNS_AWAY_C_MIN;
  }
}
