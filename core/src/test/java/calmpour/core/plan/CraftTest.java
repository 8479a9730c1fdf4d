package calmpour.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.Samples;
import calmpour.core.cure.EngineModel;
import calmpour.core.derive.Derivation;
import calmpour.core.design.Fill;
import calmpour.core.design.FinishStep;
import calmpour.core.design.Join;
import calmpour.core.design.Layer;
import calmpour.core.design.PieceWork;
import calmpour.core.design.WetWork;
import calmpour.core.habit.Care;
import calmpour.core.habit.FillTo;
import calmpour.core.habit.Habits;
import calmpour.core.habit.Mixing;
import calmpour.core.habit.Release;
import calmpour.core.mould.Cavity;
import calmpour.core.mould.InnerMould;
import calmpour.core.mould.Measurement;
import calmpour.core.mould.Mould;
import calmpour.core.mould.MouldMake;
import calmpour.core.mould.Solid;
import calmpour.core.mould.SolidKind;
import calmpour.core.plan.bench.StepCard;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.Finding;
import calmpour.core.plan.doc.Plan;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.Task.Kind;
import calmpour.core.resin.LabelFacts;
import calmpour.core.resin.ResinKind;
import calmpour.core.resin.ResinSystem;
import calmpour.core.run.Run;
import calmpour.core.run.RunReader;
import calmpour.core.run.RunState;
import calmpour.core.session.Piece;
import calmpour.core.session.Room;
import calmpour.core.session.Room.Days;
import calmpour.core.session.Room.RoomChange;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import calmpour.core.tint.Colour;
import calmpour.core.tint.ColourantForm;
import calmpour.core.tool.Tool;
import java.util.List;
import org.junit.jupiter.api.Test;

/**
 * Cases of the trade that change figures: domes and flat backs, lids, settings, slow cavities, a
 * room that gets cold at night. Common practice, no source, unless said.
 */
class CraftTest {
  private static final Planner PLANNER = Samples.planner(new EngineModel());
  private static final ResinSystem PLAIN = Samples.resin(ResinKind.CASTING, 40, 100, 24, null);
  private static final MouldMake MAKE =
      new MouldMake(null, null, null, null, null, null, null, true, null, null, null, null, 40);

  /** Straight walls: 12 mL, 14 mm deep. */
  private static final double HOLDS = 12;

  private static final double DEEP = 14;

  private static Plan plan(Session session, ResinSystem resin, MouldMake make) {
    return PLANNER.plan(session, workshop(resin, make));
  }

  private static Workshop workshop(ResinSystem resin, MouldMake make) {
    Mould push = Samples.mould("push", HOLDS, DEEP);
    Mould label = Samples.mould("label", 9, 6.0);
    return new Workshop(
        List.of(
            new Mould("push", "Bell push", push.cavities(), make, null),
            new Mould("label", "Row label", label.cavities(), MAKE, null)),
        List.of(resin),
        List.of(
            Samples.liquid("tint"),
            Samples.colourant("thin", ColourantForm.THINNER),
            Samples.colourant("flake", ColourantForm.FLAKE)),
        List.of(
            new Colour("oat", "Oat", "#e3d3a8", List.of(new Colour.Part("tint", 2))),
            new Colour("flaky", "Flaky", "#e3d3a8", List.of(new Colour.Part("flake", 1))),
            new Colour("thinned", "Thinned", "#e3d3a8", List.of(new Colour.Part("thin", 3)))),
        List.of(Samples.MIXING, Samples.SMALL),
        List.of(),
        List.of(),
        List.of(
            new Tool("pot", "Pot", Tool.Kind.PRESSURE_POT, 8, null, 400.0),
            new Tool("box", "Warm box", Tool.Kind.HOT_BOX, 8, 32.0, null)),
        List.of());
  }

  private static Piece push(FillTo to) {
    return new Piece("push", 2, List.of(new Layer("oat", null, null)))
        .withWork(PieceWork.NONE.withFill(to));
  }

  private static Plan filled(FillTo to) {
    return plan(Samples.session(List.of(push(to))), PLAIN, MAKE);
  }

  private static double pouredMl(Plan plan) {
    return pours(plan).getFirst().volumeMl();
  }

  private static List<Cup.Pour> pours(Plan plan) {
    return plan.batches().stream()
        .flatMap(b -> b.cups().stream())
        .flatMap(c -> c.pours().stream())
        .toList();
  }

  private static Task task(Plan plan, Kind kind) {
    return plan.tasks().stream().filter(t -> t.kind() == kind).findFirst().orElseThrow();
  }

  private static int lastPoured(Plan plan) {
    return plan.tasks().stream()
        .filter(t -> t.kind() == Kind.POUR)
        .mapToInt(Task::endSeconds)
        .max()
        .orElseThrow();
  }

  private static boolean has(Plan plan, Kind kind) {
    return plan.tasks().stream().anyMatch(t -> t.kind() == kind);
  }

  private static List<Finding.Rule> told(Plan plan) {
    return plan.findings().stream().map(Finding::rule).toList();
  }

  private static ResinSystem shrinking(double percent, LabelFacts.Shrinkage of) {
    return Samples.withFacts(
        PLAIN,
        new LabelFacts(null, null, null, null, null, null, percent, of, null, null, null, null));
  }

  /** More than a cap of a ball, less than a block: a millimetre over 8.6 cm². */
  @Test
  void aDomeOfAMillimetreIsPouredOnTop() {
    assertThat(pouredMl(filled(null))).isCloseTo(HOLDS, within(1e-9));
    double block = HOLDS / DEEP;
    double dome = pouredMl(filled(FillTo.DOMED)) - HOLDS;
    assertThat(dome).isBetween(block / 2, block);
    double two = pouredMl(filled(new FillTo(FillTo.Kind.DOMED, 2.0))) - HOLDS;
    assertThat(two).isCloseTo(2 * dome, within(1e-9));
    assertThat(filled(FillTo.DOMED).pieces().getFirst().aboveMm()).isEqualTo(1);
  }

  /** What stands above the rim on purpose is no pour beyond its cavity. */
  @Test
  void aDomeIsNotAskedAboutAtTheBench() {
    Session session = Samples.session(List.of(push(FillTo.DOMED)));
    Run run =
        new Run(
            session,
            Planner.snapshot(session, workshop(PLAIN, MAKE)),
            filled(FillTo.DOMED),
            session.startsAtInstant());
    RunState state =
        new RunReader(new EngineModel()).state(run, List.of(), session.startsAtInstant());
    assertThat(state.steps())
        .filteredOn(s -> s.kind() == Kind.POUR)
        .isNotEmpty()
        .allMatch(s -> s.overflowsG() >= s.targetG() - 1e-3);
  }

  /** By habit as by piece; and what is filled by depth is as deep as was said. */
  @Test
  void aHabitFillsWhatNoPieceSays() {
    Habits domed = Habits.DEFAULT.withCare(Care.DEFAULT.withFill(FillTo.DOMED));
    Session habit = Samples.session(List.of(push(null)), null, domed);
    assertThat(pouredMl(plan(habit, PLAIN, MAKE))).isEqualTo(pouredMl(filled(FillTo.DOMED)));
    Piece byDepth =
        new Piece("push", 2, List.of(new Layer("oat", Fill.ofDepthMm(5), null)))
            .withWork(PieceWork.NONE.withFill(FillTo.DOMED));
    assertThat(pouredMl(plan(Samples.session(List.of(byDepth)), PLAIN, MAKE)))
        .isCloseTo(HOLDS * 5 / DEEP, within(1e-9));
  }

  @Test
  void aFlatBackStaysShortOfTheRim() {
    Plan plan = filled(new FillTo(FillTo.Kind.SHORT, 2.0));
    assertThat(pouredMl(plan)).isCloseTo(HOLDS * 12 / DEEP, within(1e-9));
    assertThat(plan.pieces().getFirst().layers().getLast().toMm()).isEqualTo(12);
    FillTo flat = new FillTo(FillTo.Kind.SHORT, 2.0);
    assertThat(said(push(flat))).contains(StepCard.Code.FREE_RIM);
    // Five millimetres are five millimetres, whatever the rim.
    Piece byDepth =
        new Piece("push", 2, List.of(new Layer("oat", Fill.ofDepthMm(5), null)))
            .withWork(PieceWork.NONE.withFill(flat));
    assertThat(said(byDepth)).doesNotContain(StepCard.Code.FREE_RIM);
  }

  private static List<StepCard.Code> said(Piece piece) {
    return PLANNER.work(Samples.session(List.of(piece)), workshop(PLAIN, MAKE)).stepCards().stream()
        .flatMap(c -> c.card().says().stream())
        .map(StepCard.Say::code)
        .toList();
  }

  /** 0.2 % of a length is 0.6 % of the volume; out of straight walls that is 0.08 mm of 14. */
  @Test
  void aCuredPieceIsLowerByWhatItsResinLoses() {
    Session session = Samples.session(List.of(push(null)));
    Plan good = plan(session, shrinking(0.2, LabelFacts.Shrinkage.LINEAR), MAKE);
    assertThat(good.pieces().getFirst().finishedMm())
        .isCloseTo(DEEP * 0.998 * 0.998 * 0.998, within(1e-9));
    Plan half = plan(session, shrinking(5, LabelFacts.Shrinkage.VOLUMETRIC), MAKE);
    assertThat(half.pieces().getFirst().finishedMm()).isCloseTo(DEEP * 0.95, within(1e-9));
    assertThat(plan(session, PLAIN, MAKE).pieces().getFirst().finishedMm()).isNull();
  }

  /** What is lost is poured on top, and the piece comes out level. */
  @Test
  void aDomeMakesUpForShrinkage() {
    ResinSystem resin = shrinking(9, LabelFacts.Shrinkage.VOLUMETRIC);
    Plan domed = plan(Samples.session(List.of(push(FillTo.DOMED))), resin, MAKE);
    assertThat(domed.pieces().getFirst().aboveMm()).isBetween(1.05, 2.3);
    assertThat(pouredMl(domed) - HOLDS).isCloseTo(HOLDS * 0.09, within(1e-9));
    assertThat(domed.pieces().getFirst().finishedMm()).isBetween(DEEP * 0.985, DEEP);
  }

  /** Filled over, rests open for 5 min, lid, then the pot; and nobody looks into it. */
  @Test
  void aClosedMouldIsFilledOverAndItsLidPressedOn() {
    MouldMake closed = MAKE.withOpening(MouldMake.Opening.CLOSED);
    Session session =
        Samples.session(
            List.of(
                new Piece("push", 2, List.of(new Layer("oat", null, null)))
                    .withWork(
                        PieceWork.NONE
                            .withCuring(PieceWork.Curing.PRESSURE_POT)
                            .withBubbles(PieceWork.BubbleCare.MUCH))));
    Plan plan = plan(session, PLAIN, closed);
    assertThat(pouredMl(plan)).isCloseTo(HOLDS * 1.02, within(1e-9));
    assertThat(pouredMl(plan(session, PLAIN, closed.withSurplusMl(0.7))))
        .isCloseTo(HOLDS + 0.7, within(1e-9));
    Task lid = task(plan, Kind.LID);
    int poured = lastPoured(plan);
    assertThat(lid.startSeconds()).isGreaterThanOrEqualTo(poured + 300);
    assertThat(task(plan, Kind.LOAD_POT).startSeconds()).isGreaterThanOrEqualTo(lid.endSeconds());
    assertThat(has(plan, Kind.LOOK)).isFalse();
    assertThat(has(filled(FillTo.DOMED), Kind.LID)).isFalse();
    Plan flush = plan(Samples.session(List.of(push(FillTo.FLUSH))), PLAIN, closed);
    assertThat(told(flush)).contains(Finding.Rule.LID_LEAVES_A_VOID);
    assertThat(told(plan)).doesNotContain(Finding.Rule.LID_LEAVES_A_VOID);
  }

  /**
   * Nobody takes it out; what follows waits until it is hard, and the setting is not free again.
   */
  @Test
  void aPieceInASettingIsNotTakenOut() {
    MouldMake setting = MAKE.withOpening(MouldMake.Opening.BEZEL).withCopies(3);
    Piece polished =
        push(null)
            .withWork(
                PieceWork.NONE.withFinishing(List.of(FinishStep.usual(FinishStep.Kind.POLISH))));
    Plan plan = plan(Samples.session(List.of(polished)), PLAIN, setting);
    Task hard = task(plan, Kind.DEMOULD);
    assertThat(hard.hands()).isFalse();
    assertThat(hard.startSeconds()).isGreaterThan(12 * 3_600);
    assertThat(task(plan, Kind.FINISH).startSeconds())
        .isGreaterThanOrEqualTo(hard.endSeconds() + 72 * 3_600);
    // Two now and two when the first are hard: a mould would do, three settings do not.
    Piece later =
        new Piece(
            "push",
            2,
            List.of(new Layer("oat", Fill.ofShare(0.5), null), new Layer("oat", null, Join.CURED)));
    Session both = Samples.session(List.of(polished, later));
    assertThat(told(plan(both, PLAIN, setting))).contains(Finding.Rule.MOULD_TWICE);
  }

  @Test
  void slowCavitiesComeFirstAndTakeLonger() {
    Session session =
        Samples.session(
            List.of(new Piece("label", 3, List.of(new Layer("oat", null, null))), push(null)));
    Plan usual = plan(session, PLAIN, MAKE);
    Plan slow = plan(session, PLAIN, MAKE.withPace(MouldMake.Pace.BY_STICK));
    assertThat(firstPoured(usual)).isZero();
    assertThat(firstPoured(slow)).isEqualTo(1);
    assertThat(takes(slow, 1)).isCloseTo(3 * takes(usual, 1), within(3));
    assertThat(takes(slow, 0)).isEqualTo(takes(usual, 0));
  }

  private static int firstPoured(Plan plan) {
    return plan.tasks().stream()
        .filter(t -> t.kind() == Kind.POUR)
        .min(java.util.Comparator.comparingInt(Task::startSeconds))
        .orElseThrow()
        .line();
  }

  private static int takes(Plan plan, int line) {
    return plan.tasks().stream()
        .filter(t -> t.kind() == Kind.POUR && t.line() == line)
        .mapToInt(Task::takesSeconds)
        .max()
        .orElseThrow();
  }

  private static Session inRoom(Room room, PieceWork work) {
    return Samples.session(List.of(push(null).withWork(work))).withRoom(room);
  }

  private static int out(Room room, PieceWork work) {
    Plan plan = plan(inRoom(room, work), PLAIN, MAKE);
    return task(plan, Kind.DEMOULD).startSeconds();
  }

  /** Two days that are as warm as the evening, or with the heater off from ten to seven. */
  @Test
  void aColdNightPutsOffWhatCures() {
    Room even = new Room(22, 45.0);
    Room cold =
        new Room(
            22,
            45.0,
            List.of(
                new RoomChange(22 * 60, 12, Days.EVERY_DAY),
                new RoomChange(7 * 60, 22, Days.EVERY_DAY)));
    Room weekend =
        new Room(
            22,
            45.0,
            List.of(
                new RoomChange(22 * 60, 12, Days.EVERY_DAY),
                new RoomChange(7 * 60, 22, Days.WORKDAYS)));
    int usual = out(even, PieceWork.NONE);
    // 2026-11-28 is a Saturday: unheated until Monday morning.
    assertThat(out(cold, PieceWork.NONE)).isGreaterThan(usual + 2 * 3_600);
    assertThat(out(weekend, PieceWork.NONE)).isGreaterThan(out(cold, PieceWork.NONE) + 3_600);
    // Whatever stands in a warm box does not mind the night.
    PieceWork boxed = PieceWork.NONE.withCuring(PieceWork.Curing.HOT_BOX);
    assertThat(out(cold, boxed)).isEqualTo(out(even, boxed));
    // The cups are empty before ten.
    Batch evening = plan(inRoom(even, PieceWork.NONE), PLAIN, MAKE).batches().getFirst();
    Batch night = plan(inRoom(cold, PieceWork.NONE), PLAIN, MAKE).batches().getFirst();
    assertThat(night.measuring()).isEqualTo(evening.measuring());
    assertThat(night.cups().getFirst().times().thickensSeconds())
        .isEqualTo(evening.cups().getFirst().times().thickensSeconds());
  }

  private static int thickens(Room room) {
    return plan(inRoom(room, PieceWork.NONE), PLAIN, MAKE)
        .batches()
        .getFirst()
        .cups()
        .getFirst()
        .times()
        .thickensSeconds();
  }

  /** Work warms it: thick sooner than in a steady room, later than in one that warm throughout. */
  @Test
  void aRoomThatWarmsWhileSomebodyWorksShortensTheClock() {
    int steady = thickens(new Room(20, 45.0));
    int warming = thickens(new Room(20, 45.0, null, 2.0));
    assertThat(warming).isLessThan(steady).isGreaterThan(thickens(new Room(22, 45.0)));
    assertThat(thickens(new Room(20, 45.0, null, -2.0))).isGreaterThan(steady);
    assertThat(thickens(new Room(20, 45.0, null, 0.0))).isEqualTo(steady);
    // After four hours it stays, and nothing warms once the heater is off.
    assertThat(out(new Room(20, 45.0, null, 1.0), PieceWork.NONE))
        .isGreaterThan(out(new Room(24, 45.0), PieceWork.NONE))
        .isLessThan(out(new Room(20, 45.0), PieceWork.NONE));
  }

  /** A change to what it is anyway is none. */
  @Test
  void aRoomThatNeverChangesIsTheSameRoom() {
    Room told = new Room(22, 45.0, List.of(new RoomChange(22 * 60, 22, Days.EVERY_DAY)));
    assertThat(out(told, PieceWork.NONE)).isEqualTo(out(new Room(22, 45.0), PieceWork.NONE));
  }

  /** Once it is stirred in, no flame: thinner is alcohol. */
  @Test
  void thinnerForbidsAFlame() {
    Habits flame = Habits.DEFAULT.withCare(Care.DEFAULT.withBubbles(Care.BubbleMethod.FLAME));
    Piece thinned = new Piece("push", 2, List.of(new Layer("thinned", null, null)));
    Plan plan = plan(Samples.session(List.of(thinned), null, flame), PLAIN, MAKE);
    assertThat(told(plan))
        .contains(Finding.Rule.FLAME_NEAR_ALCOHOL, Finding.Rule.SOLVENT_IN_COLOUR);
  }

  /** After the last pour of it, before it is thick; and ink on the board forbids lacing. */
  @Test
  void wetWorkIsDoneWhileItFlows() {
    Plan plan = plan(Samples.session(List.of(drawn(WetWork.Kind.DRAWN, 2))), PLAIN, MAKE);
    Task wet = task(plan, Kind.WET_WORK);
    int poured = lastPoured(plan);
    assertThat(wet.startSeconds()).isGreaterThanOrEqualTo(poured);
    assertThat(wet.takesSeconds()).isEqualTo(2 * 2 * 60);
    assertThat(task(plan, Kind.BUBBLE_PASS).startSeconds())
        .isGreaterThanOrEqualTo(wet.endSeconds());
    assertThat(told(plan)).doesNotContain(Finding.Rule.FLAME_NEAR_ALCOHOL);
    Session both =
        Samples.session(List.of(drawn(WetWork.Kind.INK_DROPPED, 1), drawn(WetWork.Kind.LACED, 1)));
    assertThat(told(plan(both, PLAIN, MAKE))).contains(Finding.Rule.FLAME_NEAR_ALCOHOL);
    // So slow a hand that it thickens meanwhile.
    Plan late = plan(Samples.session(List.of(drawn(WetWork.Kind.DRAWN, 50))), PLAIN, MAKE);
    assertThat(told(late)).contains(Finding.Rule.WET_TOO_LATE);
  }

  private static Piece drawn(WetWork.Kind kind, double minutes) {
    return new Piece(
        "push",
        2,
        List.of(new Layer("oat", null, null).withWet(List.of(new WetWork(kind, minutes, null)))));
  }

  /** Cold resin is told, and warming the bottles is the way out that is offered. */
  @Test
  void coldResinIsToldAndWarmingMendsIt() {
    Session cold = inRoom(new Room(16, 45.0), PieceWork.NONE);
    Plan plan = plan(cold, PLAIN, MAKE);
    Finding told =
        plan.findings().stream()
            .filter(f -> f.rule() == Finding.Rule.RESIN_COLD)
            .findFirst()
            .orElseThrow();
    Session warmed =
        calmpour.core.plan.ways.Mending.of(cold, told.mends().getFirst()).orElseThrow();
    assertThat(told(plan(warmed, PLAIN, MAKE))).doesNotContain(Finding.Rule.RESIN_COLD);
    assertThat(told(plan(inRoom(new Room(22, 45.0), PieceWork.NONE), PLAIN, MAKE)))
        .doesNotContain(Finding.Rule.RESIN_COLD, Finding.Rule.REST_TOO_SHORT);
  }

  private static Finding only(Plan plan, Finding.Rule rule) {
    return plan.findings().stream().filter(f -> f.rule() == rule).findFirst().orElseThrow();
  }

  private static Session releasing(Release release) {
    Session plain = Samples.session(List.of(push(null)));
    Habits habits = plain.habits();
    return plain.withHabits(habits.withMixing(habits.mixing().withRelease(release)));
  }

  /** Bubbles before the pour: hands and warmth cost working time; a flame is one near alcohol. */
  @Test
  void bringingBubblesOutOfTheMixCostsMinutesAndWarmth() {
    Plan rests = plan(releasing(null), PLAIN, MAKE);
    assertThat(has(rests, Kind.RELEASE)).isFalse();
    double usual = pourable(rests);
    Plan vacuum = plan(releasing(Release.VACUUM), PLAIN, MAKE);
    Task release = task(vacuum, Kind.RELEASE);
    assertThat(release.takesSeconds()).isEqualTo(360);
    assertThat(release.startSeconds()).isGreaterThanOrEqualTo(task(vacuum, Kind.REST).endSeconds());
    assertThat(pourable(vacuum)).as("vacuum warms nothing").isCloseTo(usual, within(5.0));
    // 8 K would cost 43 % by the rule of thumb if they stayed (2^-0.8); a shallow cup cools
    // meanwhile.
    Plan tray = plan(releasing(Release.TRAY), PLAIN, MAKE);
    assertThat(pourable(tray) / usual).isBetween(0.57, 0.9);
    Finding costs = only(tray, Finding.Rule.RELEASE_COSTS_TIME);
    assertThat(costs.value()).isBetween(costs.limit() * 0.5, costs.limit() * 0.9);
    Finding clears = only(tray, Finding.Rule.RELEASE_CLEARS);
    assertThat(clears.value()).as("finer bubbles leave").isLessThan(clears.limit());
    assertThat(told(vacuum))
        .doesNotContain(Finding.Rule.RELEASE_COSTS_TIME, Finding.Rule.RELEASE_CLEARS);
    assertThat(said(releasing(Release.TRAY), Kind.RELEASE))
        .extracting(StepCard.Say::code)
        .containsExactly(StepCard.Code.RELEASE, StepCard.Code.RELEASE_WARMS);
    assertThat(said(releasing(Release.TRAY), Kind.RELEASE).getLast().value()).isEqualTo(8);
    assertThat(said(releasing(Release.VACUUM), Kind.RELEASE))
        .extracting(StepCard.Say::text)
        .containsExactly("VACUUM");
  }

  /**
   * Moulds wiped with alcohol, then hot air: on the mix, or on A alone; the mend takes both away.
   */
  @Test
  void hotAirOverACupIsAFlameNearAlcohol() {
    Session wiped = releasing(Release.HOT_AIR);
    Habits habits = wiped.habits();
    wiped =
        wiped.withHabits(
            habits
                .withCare(habits.care().withMoulds(Care.MouldPrep.ALCOHOL_WIPE))
                .withMixing(habits.mixing().withWarming(Mixing.Warming.A_HOT_AIR)));
    Plan plan = plan(wiped, PLAIN, MAKE);
    List<Finding> flames =
        plan.findings().stream().filter(f -> f.rule() == Finding.Rule.FLAME_NEAR_ALCOHOL).toList();
    assertThat(flames)
        .extracting(f -> f.place().toString())
        .contains("task/batch/1/RELEASE", "task/batch/1/WARM");
    Session mended =
        calmpour.core.plan.ways.Mending.of(wiped, flames.getFirst().mends().getFirst())
            .orElseThrow();
    assertThat(told(plan(mended, PLAIN, MAKE))).doesNotContain(Finding.Rule.FLAME_NEAR_ALCOHOL);
  }

  /** The label's own limit of damp comes before the habit's, that before the kind's 50 %. */
  @Test
  void airIsDampFromTheLabelsLimitElseTheHabits() {
    Session at45 = inRoom(new Room(22, 45.0), PieceWork.NONE);
    assertThat(told(plan(at45, PLAIN, MAKE))).doesNotContain(Finding.Rule.DAMP_AIR);
    Session careful =
        at45.withHabits(at45.habits().withCare(at45.habits().care().withDampFromPercent(40.0)));
    assertThat(told(plan(careful, PLAIN, MAKE))).contains(Finding.Rule.DAMP_AIR);
    ResinSystem dry = Samples.withFacts(PLAIN, damp(60.0));
    assertThat(told(plan(careful, dry, MAKE))).doesNotContain(Finding.Rule.DAMP_AIR);
    assertThat(told(plan(at45, Samples.withFacts(PLAIN, damp(40.0)), MAKE)))
        .contains(Finding.Rule.DAMP_AIR);
  }

  private static LabelFacts damp(double from) {
    return new LabelFacts(
        null, null, null, null, null, null, null, null, null, null, null, null, null, from);
  }

  /** Minutes from the first contact in which the only cup pours. */
  private static double pourable(Plan plan) {
    Batch batch = plan.batches().getFirst();
    return (batch.cups().getFirst().times().thickensSeconds()
            - task(plan, Kind.WEIGH_FIRST).endSeconds())
        / 60.0;
  }

  private static List<StepCard.Say> said(Session session, Kind kind) {
    Run run =
        new Run(
            session,
            Planner.snapshot(session, workshop(PLAIN, MAKE)),
            plan(session, PLAIN, MAKE),
            session.startsAtInstant());
    return new RunReader(new EngineModel())
        .state(run, List.of(), session.startsAtInstant()).steps().stream()
            .filter(s -> s.kind() == kind)
            .flatMap(s -> s.card().says().stream())
            .toList();
  }

  private static Solid solid(SolidKind kind, double a, double b, Double c) {
    return kind == SolidKind.CYLINDER
        ? new Solid(kind, null, a, b, null, null, null, null, null)
        : new Solid(kind, a, b, c, null, null, null, null, null);
  }

  private static Cavity shaped(Solid of) {
    Measurement shape = Samples.solids(of);
    return new Cavity("main", "Panel", 1, shape, null, null, null, null);
  }

  /** Of two pieces, however many cups they come from. */
  private static double eachMl(Plan plan) {
    return pours(plan).stream().mapToDouble(Cup.Pour::volumeMl).sum() / 2;
  }

  private static Plan flat(Solid of, Double edgeMm, Double drip) {
    MouldMake make =
        MAKE.withOpening(MouldMake.Opening.FLAT).withEdgeMm(edgeMm).withDripPercent(drip);
    Workshop usual = workshop(PLAIN, MAKE);
    Session session = Samples.session(List.of(push(null)));
    Mould panel = new Mould("push", "Panel", List.of(shaped(of)), make, null);
    return PLANNER.plan(
        session,
        new Workshop(
            List.of(panel),
            usual.resins(),
            usual.colourants(),
            usual.colours(),
            usual.cups(),
            List.of(),
            List.of(),
            usual.tools(),
            List.of()));
  }

  /** A panel of 300 × 200 mm under 2 mm is 120 mL; its edges and what drips come on top. */
  @Test
  void flatWorkIsAreaTimesThicknessAndItsEdgesAndWhatDrips() {
    Solid panel = solid(SolidKind.BOX, 300, 200, 2.0);
    assertThat(eachMl(flat(panel, null, 0.0))).isCloseTo(120, within(1e-6));
    assertThat(eachMl(flat(panel, null, null))).isCloseTo(132, within(1e-6));
    // Round it 1000 mm, 18 mm high, 2 mm thick: 36 mL.
    assertThat(eachMl(flat(panel, 18.0, 0.0))).isCloseTo(156, within(1e-6));
    assertThat(eachMl(flat(panel, 18.0, 20.0))).isCloseTo(156 * 1.2, within(1e-6));
    // A disc of 100 mm: its edge is a circle.
    Solid disc = solid(SolidKind.CYLINDER, 100, 2, null);
    double circle = Math.PI * 100 * 10 * 2 / 1_000;
    assertThat(eachMl(flat(disc, 10.0, 0.0)) - eachMl(flat(disc, null, 0.0)))
        .isCloseTo(circle, within(circle * 0.001));
    Plan plan = flat(panel, 18.0, null);
    assertThat(has(plan, Kind.LID)).isFalse();
    assertThat(task(plan, Kind.DEMOULD).hands()).isFalse();
    assertThat(told(plan)).doesNotContain(Finding.Rule.DOME_RUNS_OVER, Finding.Rule.VOLUME_UNSURE);
    assertThat(plan.pieces().getFirst().layers().getLast().toMm()).isCloseTo(2, within(1e-9));
  }

  private static Session hollow(double clearanceMm, Layer... layers) {
    InnerMould inner =
        new InnerMould(List.of(solid(SolidKind.CYLINDER, 10, 30, null)), clearanceMm, 0.5);
    return Samples.session(
        List.of(new Piece("push", 2, List.of(layers)).withWork(PieceWork.NONE.withInner(inner))));
  }

  /**
   * Over the dry floor in one go; onto a floor layer that has gelled, before it is filled round.
   */
  @Test
  void anInnerMouldIsSetBeforeWhatIsPouredRoundIt() {
    Session once = hollow(4, new Layer("oat", null, null));
    Plan hung = plan(once, PLAIN, MAKE);
    Task set = task(hung, Kind.LAY_EMBEDS);
    assertThat(set.batch()).isZero();
    assertThat(set.takesSeconds()).isEqualTo(120);
    assertThat(set.endSeconds()).isLessThanOrEqualTo(task(hung, Kind.POUR).startSeconds());
    assertThat(said(once, Kind.LAY_EMBEDS))
        .extracting(StepCard.Say::code)
        .containsExactly(StepCard.Code.SET_INNER, StepCard.Code.BALLAST);
    assertThat(said(once, Kind.DEMOULD))
        .extracting(StepCard.Say::code)
        .contains(StepCard.Code.INNER_OUT);
    Session onFloor =
        hollow(4, new Layer("oat", Fill.ofDepthMm(4), null), new Layer("oat", null, Join.GEL));
    Plan layered = plan(onFloor, PLAIN, MAKE);
    Task onTop = task(layered, Kind.LAY_EMBEDS);
    assertThat(onTop.batch()).isEqualTo(2);
    int floor =
        layered.tasks().stream()
            .filter(t -> t.kind() == Kind.POUR && t.batch() == 1)
            .mapToInt(Task::endSeconds)
            .max()
            .orElseThrow();
    assertThat(onTop.startSeconds()).isGreaterThan(floor + 3_600);
    assertThat(
            layered.tasks().stream()
                .filter(t -> t.kind() == Kind.POUR && t.batch() == 2)
                .allMatch(t -> t.startSeconds() >= onTop.endSeconds()))
        .isTrue();
    assertThat(layered.findings()).noneMatch(f -> f.severity() == Finding.Severity.BREACH);
  }

  /** Powder has a speed of its own, which is told apart from that of liquids. */
  @Test
  void timeToSpareTellsPowderFromLiquid() {
    Colour powder = new Colour("oat", "Oat", "#c8b48c", List.of(new Colour.Part("mica", 1.5)));
    Colour liquid = new Colour("oat", "Oat", "#c8b48c", List.of(new Colour.Part("tint", 1.5)));
    assertThat(handsOf(powder)).contains("tint with powder").doesNotContain("tint");
    assertThat(handsOf(liquid)).contains("tint").doesNotContain("tint with powder");
  }

  private static List<String> handsOf(Colour colour) {
    Workshop shop =
        Samples.workshop(
            PLAIN, List.of(Samples.mould("push", HOLDS, DEEP)), List.of(colour, Colour.CLEAR));
    WorkedPlan worked =
        Samples.planner().work(Samples.session(List.of(push(null).withCount(2))), shop);
    Derivation spare = worked.explain("plan/spareMinutes").orElseThrow();
    return spare.inputs().stream()
        .filter(i -> i.from() != null && i.name().equals("last pour ends"))
        .flatMap(i -> i.from().inputs().stream())
        .map(Derivation.Input::name)
        .toList();
  }

  /** The dome and the cured surface open with what they were worked out from. */
  @Test
  void howFullItIsOpensHowItCameAbout() {
    Session session = Samples.session(List.of(push(FillTo.DOMED)));
    WorkedPlan worked =
        PLANNER.work(session, workshop(shrinking(9, LabelFacts.Shrinkage.VOLUMETRIC), MAKE));
    Plan.PieceView view = worked.plan().pieces().getFirst();
    Derivation dome = worked.explain("piece/1/aboveMm").orElseThrow();
    assertThat(dome.value()).isEqualTo(view.aboveMm());
    Derivation cured = worked.explain("piece/1/finishedMm").orElseThrow();
    assertThat(cured.value()).isEqualTo(view.finishedMm());
    assertThat(cured.inputs()).extracting(Derivation.Input::name).contains("of it is lost", "dome");
  }

  /**
   * Flakes are chopped while they are stirred in; marks are read tipped; at gel one can still draw.
   */
  @Test
  void whatTheHandDoesIsSaidWithItsStep() {
    Session byVolume = Samples.session(List.of(push(null)));
    byVolume = byVolume.withHabits(byVolume.habits().withMeasureBy(Habits.MeasureBy.VOLUME));
    assertThat(said(byVolume, Kind.WEIGH_FIRST))
        .extracting(StepCard.Say::code)
        .contains(StepCard.Code.TILT);
    assertThat(said(Samples.session(List.of(push(null))), Kind.WEIGH_FIRST))
        .extracting(StepCard.Say::code)
        .doesNotContain(StepCard.Code.TILT);
    assertThat(said(byVolume, Kind.LOOK))
        .extracting(StepCard.Say::code)
        .contains(StepCard.Code.AT_GEL);
    assertThat(said(byVolume, Kind.TINT)).isEmpty();
    Session flaky =
        Samples.session(List.of(new Piece("push", 2, List.of(new Layer("flaky", null, null)))));
    assertThat(said(flaky, Kind.TINT))
        .extracting(StepCard.Say::code)
        .containsExactly(StepCard.Code.CHOP);
  }

  /** One step for all moulds, after the last piece is out; a setting has nothing to wipe. */
  @Test
  void mouldsAreWipedAndLiddedOnceTheLastPieceIsOut() {
    Plan plan = filled(null);
    Task away = task(plan, Kind.MOULDS_AWAY);
    assertThat(away.places()).isEqualTo(2);
    assertThat(away.takesSeconds()).isEqualTo(60);
    assertThat(away.startSeconds()).isGreaterThanOrEqualTo(task(plan, Kind.DEMOULD).endSeconds());
    Session session = Samples.session(List.of(push(null)));
    assertThat(
            has(plan(session, PLAIN, MAKE.withOpening(MouldMake.Opening.BEZEL)), Kind.MOULDS_AWAY))
        .isFalse();
  }
}
