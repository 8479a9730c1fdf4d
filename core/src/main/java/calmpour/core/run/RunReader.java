package calmpour.core.run;

import static calmpour.core.check.Known.known;

import calmpour.core.cure.CureCurve;
import calmpour.core.cure.CureModel;
import calmpour.core.derive.Derivation;
import calmpour.core.plan.doc.TaskId;
import calmpour.core.work.Helpers;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/**
 * How a run stands: what was done, where everything is, how every cup follows, and the rest planned
 * anew. Depends on nothing but its arguments, so that the same events always come to the same.
 */
public final class RunReader {
  private final CureModel cure;
  private final LabelFactors labels;

  /** For one thread. */
  public RunReader(CureModel cure) {
    this(cure, Helpers.alone());
  }

  public RunReader(CureModel cure, Helpers helpers) {
    this.cure = cure;
    this.labels = new LabelFactors(cure, helpers);
  }

  /**
   * @param events in the order in which they were told
   * @param now the moment that is looked at; of a run that is over its end
   */
  public RunState state(Run run, List<RunEvent> events, Instant now) {
    BenchMoment bench = new BenchMoment(run, events, now, labels);
    return new Telling(bench, new Replan(bench, cure)).state();
  }

  /**
   * What a run comes to, looked back on.
   *
   * @param events in the order in which they were told
   * @param now the moment from which it is looked at
   */
  public AsRun lookBack(Run run, List<RunEvent> events, Instant now) {
    BenchMoment bench = new BenchMoment(run, events, now, labels);
    return new LookBack(bench, new Replan(bench, cure)).asRun();
  }

  /**
   * The same with the curve of every cup of an opened batch, in the order of the batches.
   *
   * @param events in the order in which they were told
   * @param now the moment from which it is looked at
   */
  public LookedBack lookedBack(Run run, List<RunEvent> events, Instant now) {
    BenchMoment bench = new BenchMoment(run, events, now, labels);
    Replan replan = new Replan(bench, cure);
    return new LookedBack(new LookBack(bench, replan).asRun(), curves(bench, replan));
  }

  /**
   * How a figure of a run came about, see {@link RunHow}.
   *
   * @param events in the order in which they were told
   * @param planned how a figure of its plan came about
   * @return empty for what is no figure of this run
   */
  public Optional<Derivation> how(
      Run run,
      List<RunEvent> events,
      Instant now,
      String quantity,
      Function<String, Optional<Derivation>> planned) {
    BenchMoment bench = new BenchMoment(run, events, now, labels);
    return new RunHow(bench, new Replan(bench, cure), planned).of(quantity);
  }

  /** The tasks that count as done by what was told: told, and not taken back since. */
  public static Set<TaskId> done(Run run, List<RunEvent> events) {
    return Set.copyOf(History.of(run, events).done.keySet());
  }

  /** What was told and not taken back since, put right where somebody put it right. */
  public static List<RunEvent> standing(List<RunEvent> events) {
    return List.copyOf(History.standing(Corrections.applied(events)));
  }

  /** A run looked back on, and how its cups followed. */
  public record LookedBack(AsRun asRun, List<CupCurve> curves) {
    public LookedBack {
      curves = List.copyOf(curves);
    }
  }

  private List<CupCurve> curves(BenchMoment bench, Replan replan) {
    List<CupCurve> curves = new ArrayList<>();
    for (Follows each : replan.laid().cups().values()) {
      List<Double> poured =
          bench.pours(each).stream()
              .map(BenchMoment::pourTask)
              .filter(bench::done)
              .map(t ->
                  (known(bench.history.done.get(t)).atSeconds() - each.contactSeconds()) / 60.0)
              .sorted()
              .toList();
      curves.add(
          new CupCurve(
              each.cup().id(),
              each.batch().number(),
              each.cup().colour().name(),
              each.cup().colour().swatch(),
              each.contactSeconds(),
              poured,
              // With the label as its readings have it, so that marks and words agree.
              cure.curve(
                      bench.job.in(each.batch().resinId()).resin().ofPotLife(each.factor()),
                      each.body())
                  .map(CureCurve::of)
                  .orElse(null)));
    }
    return curves;
  }
}
