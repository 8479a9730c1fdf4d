// Longer than other files: a few lines for each of three dozen facts, all read off the same
// evening.
package calmpour.core.journal;

import calmpour.core.habit.Care;
import calmpour.core.habit.Habits;
import calmpour.core.habit.Mixing;
import calmpour.core.mould.Mould;
import calmpour.core.mould.MouldMake;
import calmpour.core.mould.MouldState;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.BatchHeat;
import calmpour.core.plan.doc.CavityId;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.Plan;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import calmpour.core.resin.ResinKind;
import calmpour.core.resin.ResinSystem;
import calmpour.core.run.AsRun;
import calmpour.core.run.BenchTrouble;
import calmpour.core.run.Corrections;
import calmpour.core.run.Run;
import calmpour.core.run.RunEvent;
import calmpour.core.run.RunReader;
import calmpour.core.tint.ColourantForm;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Reads the facts of one piece out of the record of its evening; see {@link Clue} for each. */
public final class PieceFacts {
  private static final double COLD_C = 20;
  private static final double HOT_C = 26;
  private static final double DAMP_PERCENT = 50;
  private static final int LONG_OPEN_DAYS = 183;
  private static final double SOME_PERCENT = 1;
  private static final double NEAR_LIMIT = 0.9;
  private static final int THICK_SECONDS = 180;
  private static final int THIN_RESIN_SECONDS = 600;
  private static final double REST_MINUTES = 5;
  private static final double WARM_C = 60;
  private static final double THIN_MM = 4;
  private static final double DRY_MINUTES = 10;
  private static final double OFF = 0.05;

  /** Of a cup with fewer pours the last one is no sign. */
  private static final int SEVERAL = 3;

  private static final Set<ColourantForm> COARSE =
      EnumSet.of(ColourantForm.GLITTER, ColourantForm.FLAKE);
  private static final Set<ColourantForm> POWDERS =
      EnumSet.of(
          ColourantForm.MICA,
          ColourantForm.POWDER,
          ColourantForm.CHROME_POWDER,
          ColourantForm.GLITTER,
          ColourantForm.FLAKE);

  private final Run run;
  private final AsRun asRun;
  private final Plan.PieceView view;
  private final @Nullable Mould mould;
  private final List<Batch> batches;
  private final List<Cup> cups;
  private final List<AsRun.PourIn> pours;
  private final List<RunEvent> events;
  private final Set<TaskId> done;

  /** Null where the shelf of that evening does not have it. */
  private final @Nullable ResinSystem resin;

  private final Map<Clue, Evidence> facts = new EnumMap<>(Clue.class);

  private PieceFacts(Run run, List<RunEvent> events, AsRun asRun, CavityId piece) {
    this.run = run;
    this.events = Corrections.applied(events);
    this.asRun = asRun;
    this.done = RunReader.done(run, events);
    this.view = run.plan().pieces().get(piece.line() - 1);
    this.mould =
        run.workshop().moulds().stream()
            .filter(m -> m.id().equals(view.mouldId()))
            .findFirst()
            .orElse(null);
    this.pours =
        asRun.pours().stream()
            .filter(p -> p.line() == piece.line() - 1 && p.cavity() == piece.cavity())
            .toList();
    this.cups =
        run.plan().batches().stream()
            .flatMap(b -> b.cups().stream())
            .filter(c -> pours.stream().anyMatch(p -> p.cupId().equals(c.id())))
            .toList();
    this.batches =
        run.plan().batches().stream()
            .filter(b -> cups.stream().anyMatch(c -> c.batch() == b.number()))
            .toList();
    String resinId = batches.isEmpty() ? run.session().resinId() : batches.getFirst().resinId();
    this.resin =
        run.workshop().resins().stream()
            .filter(r -> r.id().equals(resinId))
            .findFirst()
            .orElse(null);
  }

  /**
   * @param events in the order in which they were told
   * @param asRun what they come to
   */
  public static Map<Clue, Evidence> of(
      Run run, List<RunEvent> events, AsRun asRun, CavityId piece) {
    PieceFacts of = new PieceFacts(run, events, asRun, piece);
    of.mixed();
    of.air();
    of.coloured();
    of.poured(piece);
    of.heated();
    of.looked();
    of.moulded();
    return Map.copyOf(of.facts);
  }

  private void is(Evidence evidence) {
    facts.put(evidence.clue(), evidence);
  }

  /** The largest of some figures; null where there is none. */
  private static @Nullable Double most(DoubleStream of) {
    return of.boxed().max(Double::compare).orElse(null);
  }

  private void mixed() {
    Habits habits = run.session().habits();
    List<Double> off =
        asRun.batches().stream()
            .filter(b -> isIn(b.number()) && weighed(b.number()))
            .map(AsRun.BatchIn::ratioErrorPercent)
            .filter(Objects::nonNull)
            .toList();
    double tolerance = habits.ratioTolerancePercent();
    Double aHeavy = most(off.stream().mapToDouble(v -> v));
    Double bHeavy = most(off.stream().mapToDouble(v -> -v));
    is(
        aHeavy == null
            ? Evidence.unknown(Clue.A_HEAVY)
            : Evidence.of(Clue.A_HEAVY, aHeavy > tolerance, aHeavy));
    is(
        bHeavy == null
            ? Evidence.unknown(Clue.B_HEAVY)
            : Evidence.of(Clue.B_HEAVY, bHeavy > tolerance, bHeavy));
    boolean stirred =
        asRun.batches().stream().anyMatch(b -> isIn(b.number()) && b.mixedSeconds() != null);
    Double shortBy = deviation(AsRun.Code.STIRRED_SHORT, this::isBatch);
    is(
        shortBy != null
            ? Evidence.of(Clue.STIRRED_SHORT, true, shortBy)
            : stirred
                ? Evidence.of(Clue.STIRRED_SHORT, false)
                : Evidence.unknown(Clue.STIRRED_SHORT));
    is(Evidence.of(Clue.ONE_CUP, habits.mixing().cups() == Mixing.MixingCups.ONE));
    Double restCut = deviation(AsRun.Code.EARLY, of -> of.contains("REST"));
    is(
        Evidence.of(
            Clue.RESTED_SHORT,
            restCut != null || habits.restMinutes() < REST_MINUTES,
            restCut == null ? habits.restMinutes() : Math.max(0, habits.restMinutes() - restCut)));
    is(
        Evidence.of(
            Clue.WARMED,
            habits.mixing().warming() != Mixing.Warming.NONE
                || (habits.mixing().release() != null && habits.mixing().release().warmerK() > 0)));
    LocalDate day = run.begunAt().atZone(ZoneId.of(run.session().zoneId())).toLocalDate();
    Double open =
        most(
            LotsUsed.of(run).stream()
                .filter(lot -> isIn(lot.batch()))
                .mapToDouble(lot -> ChronoUnit.DAYS.between(lot.openedOn(), day)));
    is(
        open == null
            ? Evidence.unknown(Clue.OPENED_LONG)
            : Evidence.of(Clue.OPENED_LONG, open > LONG_OPEN_DAYS, open));
    if (resin == null) {
      is(Evidence.unknown(Clue.FAST_RESIN));
      is(Evidence.unknown(Clue.FLEXIBLE_RESIN));
      return;
    }
    is(
        Evidence.of(
            Clue.FAST_RESIN,
            resin.kind() == ResinKind.FAST || resin.kind() == ResinKind.POLYURETHANE));
    boolean flexible = resin.facts() != null && Boolean.TRUE.equals(resin.facts().flexible());
    is(Evidence.of(Clue.FLEXIBLE_RESIN, flexible || resin.kind() == ResinKind.COATING));
  }

  private void air() {
    double said = run.session().room().temperatureC();
    List<Double> read =
        events.stream()
            .filter(e -> e.kind() == RunEvent.Kind.ROOM)
            .map(RunEvent::value)
            .filter(Objects::nonNull)
            .toList();
    double coldest = read.stream().mapToDouble(v -> v).min().orElse(said);
    double warmest = read.stream().mapToDouble(v -> v).max().orElse(said);
    is(Evidence.of(Clue.COLD_ROOM, coldest < COLD_C, coldest));
    is(Evidence.of(Clue.HOT_ROOM, warmest > HOT_C, warmest));
    Double humidity = run.session().room().humidityPercent();
    Double limit = run.session().habits().care().dampFromPercent();
    is(
        humidity == null
            ? Evidence.unknown(Clue.DAMP_AIR)
            : Evidence.of(
                Clue.DAMP_AIR, humidity > (limit == null ? DAMP_PERCENT : limit), humidity));
  }

  private void coloured() {
    Double solvent = most(cups.stream().mapToDouble(c -> c.tint().solventPercent()));
    Double water = most(cups.stream().mapToDouble(c -> c.tint().waterPercent()));
    Double loaded =
        most(
            cups.stream()
                .flatMap(c -> c.tint().loading().stream())
                .mapToDouble(l -> l.percent() / l.limitPercent()));
    is(Evidence.of(Clue.SOLVENT, solvent != null && solvent >= SOME_PERCENT, solvent));
    is(Evidence.of(Clue.WATER, water != null && water >= SOME_PERCENT, water));
    is(
        Evidence.of(
            Clue.COLOUR_NEAR_LIMIT,
            loaded != null && loaded >= NEAR_LIMIT,
            loaded == null ? null : 100 * loaded));
    is(Evidence.of(Clue.POWDER, holds(POWDERS)));
  }

  private boolean holds(Set<ColourantForm> forms) {
    return cups.stream()
        .flatMap(c -> c.tint().doses().stream())
        .flatMap(
            d -> run.workshop().colourants().stream().filter(c -> c.id().equals(d.colourantId())))
        .anyMatch(c -> forms.contains(c.form()));
  }

  private void poured(CavityId piece) {
    List<AsRun.PourIn> made = pours.stream().filter(p -> p.atSeconds() != null).toList();
    Integer spare =
        made.stream()
            .map(AsRun.PourIn::spareSeconds)
            .filter(Objects::nonNull)
            .min(Integer::compare)
            .orElse(null);
    is(
        spare == null
            ? Evidence.unknown(Clue.POURED_THICK)
            : Evidence.of(Clue.POURED_THICK, spare < THICK_SECONDS, spare / 60.0));
    is(Evidence.of(Clue.LAST_FROM_ITS_CUP, made.stream().anyMatch(this::lastFromItsCup)));
    Double earliest =
        made.stream()
            .map(this::sinceMixed)
            .filter(Objects::nonNull)
            .min(Double::compare)
            .orElse(null);
    is(
        earliest == null
            ? Evidence.unknown(Clue.POURED_THIN)
            : Evidence.of(
                Clue.POURED_THIN, holds(COARSE) && earliest < THIN_RESIN_SECONDS, earliest / 60));
    joined(piece);
    double planned = made.stream().mapToDouble(AsRun.PourIn::plannedG).sum();
    double went = sum(made, p -> p.grams() == null ? p.plannedG() : p.grams());
    boolean weighed = made.stream().anyMatch(AsRun.PourIn::weighed);
    double more = planned > 0 ? went / planned - 1 : 0;
    is(
        weighed
            ? Evidence.of(Clue.POURED_SHORT, more < -OFF, -100 * more)
            : Evidence.unknown(Clue.POURED_SHORT));
    boolean closed = make() != null && make().opening() == MouldMake.Opening.CLOSED;
    is(
        !closed
            ? Evidence.of(Clue.LID_OVERFULL, false)
            : weighed
                ? Evidence.of(Clue.LID_OVERFULL, more > OFF, 100 * more)
                : Evidence.unknown(Clue.LID_OVERFULL));
  }

  private void joined(CavityId piece) {
    List<Joined.JoinMade> joins =
        Joined.of(run, asRun).stream().filter(j -> j.piece().equals(piece)).toList();
    boolean softer =
        joins.stream().anyMatch(j -> j.met() != null && j.met().compareTo(j.planned()) < 0);
    boolean unknown = joins.stream().anyMatch(j -> j.met() == null);
    is(
        !softer && unknown
            ? Evidence.unknown(Clue.JOINED_SOFTER)
            : Evidence.of(Clue.JOINED_SOFTER, softer));
  }

  private static double sum(List<AsRun.PourIn> of, ToDoubleFunction<AsRun.PourIn> each) {
    return of.stream().mapToDouble(each).sum();
  }

  private boolean lastFromItsCup(AsRun.PourIn pour) {
    List<Integer> its =
        asRun.pours().stream()
            .filter(p -> p.cupId().equals(pour.cupId()))
            .map(AsRun.PourIn::atSeconds)
            .filter(Objects::nonNull)
            .toList();
    Integer at = pour.atSeconds();
    return its.size() >= SEVERAL && at != null && its.stream().allMatch(other -> other <= at);
  }

  /** Seconds from when its batch was stirred. */
  private @Nullable Double sinceMixed(AsRun.PourIn pour) {
    return asRun.batches().stream()
        .filter(b -> b.number() == pour.cupId().batch() && b.mixedSeconds() != null)
        .map(b -> (double) Objects.requireNonNull(pour.atSeconds()) - b.mixedSeconds())
        .findFirst()
        .orElse(null);
  }

  private void heated() {
    Stream<BatchHeat.Hot> hot =
        batches.stream()
            .map(Batch::heat)
            .filter(Objects::nonNull)
            .flatMap(h -> Stream.of(h.mixing(), h.cup(), h.piece()).filter(Objects::nonNull));
    Double warmest =
        most(
            DoubleStream.concat(
                hot.mapToDouble(BatchHeat.Hot::plannedC),
                events.stream()
                    .filter(e -> e.kind() == RunEvent.Kind.WARMTH && e.value() != null)
                    .mapToDouble(e -> Objects.requireNonNull(e.value()))));
    boolean told =
        deviation(AsRun.Code.HOT, of -> cups.stream().anyMatch(c -> c.id().toString().equals(of)))
            != null;
    is(
        warmest == null && !told
            ? Evidence.unknown(Clue.GOT_HOT)
            : Evidence.of(Clue.GOT_HOT, told || (warmest != null && warmest > WARM_C), warmest));
    double deep =
        view.layers().stream().mapToDouble(Plan.LayerView::toMm).max().orElse(view.depthMm());
    is(Evidence.of(Clue.THIN, deep < THIN_MM, deep));
  }

  private void looked() {
    Set<Task.Kind> looks = EnumSet.of(Task.Kind.NUDGE, Task.Kind.LOOK);
    List<Task> planned =
        run.plan().tasks().stream()
            .filter(t -> looks.contains(t.kind()) && isIn(t.batch()))
            .toList();
    long left = planned.stream().filter(t -> !done.contains(t.id())).count();
    is(
        planned.isEmpty()
            ? Evidence.unknown(Clue.NOT_LOOKED_AFTER)
            : Evidence.of(Clue.NOT_LOOKED_AFTER, left > 0, (double) left));
    List<Task> passes =
        run.plan().tasks().stream()
            .filter(t -> t.kind() == Task.Kind.BUBBLE_PASS && isIn(t.batch()))
            .toList();
    is(
        passes.isEmpty()
            ? Evidence.of(Clue.NOT_TEASED, true)
            : Evidence.of(Clue.NOT_TEASED, passes.stream().noneMatch(t -> done.contains(t.id()))));
    Double early = deviation(AsRun.Code.EARLY, of -> of.contains("EMBED"));
    boolean embedded = view.layers().stream().anyMatch(l -> !l.embeds().isEmpty());
    is(Evidence.of(Clue.EMBED_EARLY, embedded && early != null, early));
    is(
        Evidence.of(
            Clue.EMBED_NOT_DRY,
            embedded
                && run.workshop().embeds().stream().anyMatch(e -> Boolean.FALSE.equals(e.dry()))));
    Double out = deviation(AsRun.Code.EARLY, of -> of.contains("DEMOULD"));
    is(Evidence.of(Clue.OUT_EARLY, out != null, out));
    is(
        Evidence.of(
            Clue.FOAMED,
            asRun.troubles().stream().anyMatch(t -> t.kind() == BenchTrouble.Kind.FOAM)));
  }

  private void moulded() {
    MouldMake make = make();
    MouldState state = mould == null ? null : mould.state();
    is(
        make == null || make.finish() == null
            ? Evidence.unknown(Clue.MATTE_MOULD)
            : Evidence.of(Clue.MATTE_MOULD, make.finish() == MouldMake.Finish.MATTE));
    Boolean clean = state == null ? null : state.clean();
    is(Evidence.said(Clue.DIRTY_MOULD, clean == null ? null : !clean));
    is(
        state == null || state.lastCast() == null
            ? Evidence.unknown(Clue.POLYURETHANE_BEFORE)
            : Evidence.of(
                Clue.POLYURETHANE_BEFORE, state.lastCast() == MouldState.Chemistry.URETHANE));
    Boolean level = make == null ? null : make.levelBase();
    is(Evidence.said(Clue.NOT_LEVEL, level == null ? null : !level));
    boolean lips =
        make != null
            && (Boolean.TRUE.equals(make.undercuts())
                || make.opening() == MouldMake.Opening.CLOSED
                || Boolean.TRUE.equals(make.narrowMouth()));
    is(Evidence.of(Clue.HOLDS_AIR, lips));
    Care care = run.session().habits().care();
    is(
        Evidence.of(
            Clue.ALCOHOL_LEFT,
            care.moulds() == Care.MouldPrep.ALCOHOL_WIPE && care.mouldDryMinutes() < DRY_MINUTES,
            care.mouldDryMinutes()));
    double unsure = view.mouldMl() > 0 ? 100 * view.plusMinusMl() / view.mouldMl() : 0;
    is(Evidence.of(Clue.VOLUME_UNSURE, unsure > 100 * OFF, unsure));
  }

  private @Nullable MouldMake make() {
    return mould == null ? null : mould.make();
  }

  private boolean isIn(int batch) {
    return batches.stream().anyMatch(b -> b.number() == batch);
  }

  private boolean isBatch(String of) {
    return batches.stream().anyMatch(b -> of.equals(Integer.toString(b.number())));
  }

  /** Whether both parts were on the scale; as planned is no weight. */
  private boolean weighed(int batch) {
    return Stream.of(Task.Kind.WEIGH_FIRST, Task.Kind.WEIGH_SECOND)
        .map(kind -> TaskId.batch(batch, kind).text())
        .allMatch(task ->
            events.stream()
                .anyMatch(e ->
                    e.kind() == RunEvent.Kind.DONE && task.equals(e.of()) && e.value() != null));
  }

  /** By how much something was otherwise than planned; 0 where it has no figure, null for not. */
  private @Nullable Double deviation(AsRun.Code code, java.util.function.Predicate<String> about) {
    return asRun.deviations().stream()
        .filter(d -> d.code() == code && d.of() != null && about.test(d.of()))
        .map(d -> d.by() == null ? 0.0 : d.by())
        .max(Double::compare)
        .orElse(null);
  }
}
