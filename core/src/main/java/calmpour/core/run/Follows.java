package calmpour.core.run;

import static calmpour.core.check.Known.known;

import calmpour.core.cure.BodyHistory;
import calmpour.core.cure.CureModel;
import calmpour.core.cure.CureStates;
import calmpour.core.plan.Underway;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.CupId;
import calmpour.core.plan.doc.Task;
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
 * @param body what it goes through, in the room as it was measured
 * @param factor on the label's pot life, by what thermometers read
 * @param times how much longer it lasts than the label says, by what thermometers read
 * @param aheadSeconds how much sooner it thickens than it would if nothing had been measured
 * @param temperatureC last measured; null while it was not
 * @param expectedC what it should be by now
 */
record Follows(
    Batch batch,
    Cup cup,
    BodyHistory body,
    int contactSeconds,
    int thicksSeconds,
    double factor,
    double times,
    int earliestSeconds,
    int gelsSeconds,
    int aheadSeconds,
    @Nullable Double temperatureC,
    double expectedC,
    boolean hot) {
  /** Hotter than that a cup is put away, °C: it can no longer be held; no source. */
  private static final double HOT_C = 55;

  /** Pours end before that, °C; docs/rules.md, "Heat". */
  static final double TOO_WARM_C = 60;

  /** It warms that fast where it is running away, K a minute; no source. */
  private static final double RUNS_AWAY_C_MIN = 3;

  /** Of each cup the latest few readings tell most; more cost time and add nothing. */
  private static final int READINGS = 6;

  /**
   * Every cup of an open batch, by its id.
   *
   * @param batches with what is really in their cups, and what is really poured from them
   */
  static Map<CupId, Follows> all(
      BenchMoment bench, List<Batch> batches, CureModel cure, Underway rules) {
    Map<CupId, Follows> cups = new LinkedHashMap<>();
    for (Batch batch : batches) {
      if (!bench.opened(batch)) {
        continue;
      }
      for (Cup cup : batch.cups()) {
        cups.put(cup.id(), of(bench, cure, rules, batch, cup));
      }
    }
    return cups;
  }

  private static Follows of(
      BenchMoment bench, CureModel cure, Underway rules, Batch batch, Cup cup) {
    int met =
        known(bench.history.done.get(BenchMoment.task(batch, Task.Kind.WEIGH_FIRST))).atSeconds();
    ResinSystem resin = bench.job.in(batch.resinId()).resin();
    BodyHistory body = rules.body(batch, cup);
    CureStates states = cure.states(resin, body);
    List<History.Reading> all = bench.history.warmth.getOrDefault(cup.id(), List.of());
    List<LabelByReadings.Warmth> readings = new ArrayList<>();
    for (History.Reading reading : all.subList(Math.max(0, all.size() - READINGS), all.size())) {
      readings.add(
          new LabelByReadings.Warmth((reading.atSeconds() - met) / 60.0, reading.temperatureC()));
    }
    double factor = bench.labels.of(resin, body, readings);
    double times =
        factor == 1
            ? 1
            : cure.thickens(resin.ofPotLife(factor), body).workingMinutes()
                / cure.thickens(resin, body).workingMinutes();
    Integer told = bench.history.thick.get(cup.id());
    int byClock = after(met, states.workingTimeEnds().minutes() * times);
    int thicks = told == null ? byClock : Math.min(told, byClock);
    boolean measured = !bench.history.room.isEmpty() || factor != 1 || told != null;
    return new Follows(
        batch,
        cup,
        body,
        met,
        thicks,
        factor,
        times,
        Math.min(after(met, states.workingTimeEnds().earliestMinutes() * times), thicks),
        after(met, states.gels().minutes() * times),
        measured ? asPlanned(cure, resin, rules.bodyAsAssumed(batch, cup), met) - thicks : 0,
        all.isEmpty() ? null : all.getLast().temperatureC(),
        expected(cure, resin, body, (bench.now - met) / 60.0),
        bench.history.hot.containsKey(cup.id()) || hot(all));
  }

  /**
   * A cup if it stays as it is.
   *
   * @param untilSeconds when it thickens
   * @param warmsSeconds when it should pass 60 °C; null for never
   */
  record Stands(int untilSeconds, @Nullable Integer warmsSeconds) {}

  /** If nothing more is poured from it. */
  Stands stands(BenchMoment bench, CureModel cure, Underway rules) {
    Cup poured =
        cup.holding(
            cup.amounts().contentG(),
            cup.pours().stream().filter(p -> bench.done(BenchMoment.pourTask(p))).toList());
    ResinSystem resin = bench.job.in(batch.resinId()).resin();
    BodyHistory standing = rules.leftStanding(batch, poured);
    int byClock = after(contactSeconds, cure.thickens(resin, standing).workingMinutes() * times);
    Integer told = bench.history.thick.get(cup.id());
    Integer warms =
        cure.curve(resin, standing).stream()
            .flatMap(run -> run.curve().stream())
            .filter(p -> p.temperatureC() >= TOO_WARM_C)
            .map(p -> after(contactSeconds, p.minutes() * times))
            .findFirst()
            .orElse(null);
    return new Stands(told == null ? byClock : Math.min(told, byClock), warms);
  }

  /** Temperature of a body so many minutes after its contact, °C. */
  private static double expected(
      CureModel cure, ResinSystem resin, BodyHistory body, double minutes) {
    Double warm =
        cure.curve(resin, body)
            .map(c -> LabelByReadings.temperature(c.curve(), minutes))
            .orElse(null);
    return warm == null ? body.last().surroundingsC() : warm;
  }

  /** When it would thicken in the room of the plan, with the label as printed. */
  private static int asPlanned(CureModel cure, ResinSystem resin, BodyHistory planned, int met) {
    return after(met, cure.thickens(resin, planned).workingMinutes());
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
