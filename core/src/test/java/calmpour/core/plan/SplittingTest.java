package calmpour.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.Samples;
import calmpour.core.check.InvalidValuesException;
import calmpour.core.check.Problem;
import calmpour.core.cup.CupKind;
import calmpour.core.design.Join;
import calmpour.core.design.Layer;
import calmpour.core.habit.Habits;
import calmpour.core.habit.Mixing;
import calmpour.core.habit.Splitting;
import calmpour.core.habit.Tinting;
import calmpour.core.plan.bench.BatchCard;
import calmpour.core.plan.bench.BenchTally;
import calmpour.core.plan.bench.Fillers;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.CupId;
import calmpour.core.plan.doc.Finding;
import calmpour.core.plan.doc.Plan;
import calmpour.core.plan.doc.Task;
import calmpour.core.resin.LoadingBasis;
import calmpour.core.resin.MixRatio;
import calmpour.core.resin.ResinSystem;
import calmpour.core.session.Arrangement;
import calmpour.core.session.ColourStrength;
import calmpour.core.session.HandCup;
import calmpour.core.session.Piece;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import calmpour.core.tint.Colour;
import calmpour.core.tint.Colourant;
import calmpour.core.tint.ColourantForm;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** One mix into cups: reserve, heat, cups by hand, and what is said at the bench. */
class SplittingTest {
  private static final Planner PLANNER = Samples.planner();
  private static final ResinSystem SLOW = Samples.resin(2, 1, MixRatio.Basis.WEIGHT);
  private static final Colour BLUE =
      new Colour("blue", "Blue", "#335577", List.of(new Colour.Part("tint", 1.5)));
  private static final Colour CREAM =
      new Colour("cream", "Cream", "#eeddbb", List.of(new Colour.Part("paint", 3)));
  private static final Colour SPARK =
      new Colour("spark", "Spark", "#ccbbaa", List.of(new Colour.Part("flake", 0.5)));

  private static final Workshop WORKSHOP = workshop(SLOW);

  private static Workshop workshop(ResinSystem resin) {
    return new Workshop(
        List.of(
            Samples.mould("knob", 12, 20.0),
            Samples.mould("pull", 20, 25.0),
            Samples.mould("push", 4, 10.0)),
        List.of(resin),
        List.of(
            Samples.liquid("tint"),
            Samples.colourant("paint", ColourantForm.ACRYLIC_PAINT),
            Samples.colourant("flake", ColourantForm.FLAKE)),
        List.of(Colour.CLEAR, BLUE, CREAM, SPARK),
        List.of(Samples.MIXING, Samples.SMALL));
  }

  private static Piece piece(String mould, int count, String colour) {
    return new Piece(mould, count, List.of(new Layer(colour, null, null)));
  }

  private static Plan plan(Session session) {
    return PLANNER.plan(session, WORKSHOP);
  }

  private static Session session(Habits habits, Piece... pieces) {
    return Samples.session(List.of(pieces), null, habits);
  }

  private static List<Finding.Rule> rules(Plan plan) {
    return plan.findings().stream().map(Finding::rule).toList();
  }

  private static HandCup hand(int... lines) {
    return new HandCup(
        java.util.Arrays.stream(lines).mapToObj(l -> new HandCup.HandLayer(l, 0, null)).toList(),
        null);
  }

  /** 20 mL at 1.099 g/mL are 22 g more in the mixing cup than its walls keep. */
  @Test
  void theReserveIsMixedAndKeptBackClear() {
    Piece[] pieces = {piece("knob", 3, "blue"), piece("pull", 2, "clear")};
    Habits reserve =
        Habits.DEFAULT.withSplitting(new Splitting(Splitting.SplitWhen.BEFORE_TINTING, 20, 120));
    Batch without = plan(session(Habits.DEFAULT, pieces)).batches().get(0);
    Batch with = plan(session(reserve, pieces)).batches().get(0);
    double density = SLOW.mixedDensity();
    assertThat(with.mixing().reserveG()).isCloseTo(20 * density, within(1e-9));
    assertThat(with.measuring().needG() - without.measuring().needG())
        .isCloseTo(20 * density / 0.98, within(0.05));
    BatchCard card = PLANNER.work(session(reserve, pieces), WORKSHOP).card(1).orElseThrow();
    assertThat(card.leftovers())
        .filteredOn(l -> l.of().toString().equals("batch/1"))
        .singleElement()
        .satisfies(l -> assertThat(l.leftMl()).isCloseTo(20, within(1e-9)));
    // One colour alone would stay in its mixing cup; with a clear reserve it cannot.
    assertThat(plan(session(reserve, pieces[0])).batches().get(0).split()).isTrue();
    assertThat(plan(session(reserve, pieces[1])).batches().get(0).split()).isFalse();
  }

  /** Common practice, no source: 50 to 120 mL a cup; deep resins by their label. */
  @Test
  void acolourBeyondOneCupsHeatIsSplitExceptInADeepResin() {
    Session large = session(Habits.DEFAULT, piece("pull", 7, "blue"));
    assertThat(plan(large).batches().get(0).cups()).hasSizeGreaterThan(1);
    assertThat(plan(large).batches().get(0).cups())
        .allSatisfy(c -> assertThat(c.amounts().contentMl()).isLessThanOrEqualTo(120));
    ResinSystem deep =
        new ResinSystem(
            "resin",
            "Deep",
            calmpour.core.resin.ResinKind.DEEP,
            SLOW.ratio(),
            1.15,
            1.01,
            90.0,
            500.0,
            23.0,
            null,
            3.0,
            null,
            null,
            null,
            null,
            null,
            null,
            null);
    Batch one = PLANNER.plan(large, workshop(deep)).batches().get(0);
    assertThat(one.split()).isFalse();
  }

  /** Tinted before it is split, one colour is stirred once, and its residue is coloured too. */
  @Test
  void splitAfterTintingStirsTheColourOnce() {
    Splitting late = new Splitting(Splitting.SplitWhen.AFTER_TINTING, 0, 120);
    Session large = session(Habits.DEFAULT.withSplitting(late), piece("pull", 7, "blue"));
    Plan plan = plan(large);
    Batch batch = plan.batches().get(0);
    assertThat(plan.tasks()).filteredOn(t -> t.kind() == Task.Kind.TINT).hasSize(1);
    double all = batch.mixing().tintedWhole().get(0).massG();
    double inCups = batch.cups().stream().mapToDouble(c -> c.tint().doses().get(0).massG()).sum();
    assertThat(all).isGreaterThan(inCups);
    // The recipe's 1.5 g in 100 g of the mix, residue and all.
    assertThat(all / (batch.measuring().totalG() + all)).isCloseTo(0.015, within(1e-4));
    BatchCard card = PLANNER.work(large, WORKSHOP).card(1).orElseThrow();
    List<Task.Kind> kinds = card.steps().stream().map(BatchCard.CardStep::kind).toList();
    assertThat(kinds.indexOf(Task.Kind.TINT)).isLessThan(kinds.indexOf(Task.Kind.SPLIT));
    // Two colours cannot be split afterwards.
    Session two =
        session(
            Habits.DEFAULT.withSplitting(late),
            piece("knob", 1, "blue"),
            piece("push", 1, "clear"));
    assertThat(plan(two).batches().get(0).mixing().tintedWhole()).isEmpty();
  }

  /** Two cups that the plan would keep apart for their heat, put together by hand. */
  @Test
  void togetherByHandIsJudgedNotRefused() {
    Session large = session(Habits.DEFAULT, piece("pull", 5, "blue"), piece("knob", 4, "blue"));
    assertThat(rules(plan(large))).doesNotContain(Finding.Rule.CUP_HEATS);
    Plan joined = plan(large.withCupsByHand(List.of(hand(0, 1))));
    assertThat(joined.batches().get(0).cups()).hasSize(1);
    assertThat(joined.batches().get(0).cups().get(0).byHand()).isZero();
    assertThat(rules(joined)).contains(Finding.Rule.CUP_HEATS);
    // And apart where the plan would put them together.
    Session small = session(Habits.DEFAULT, piece("push", 2, "blue"), piece("knob", 1, "blue"));
    assertThat(plan(small).batches().get(0).cups()).hasSize(1);
    Plan apart = plan(small.withCupsByHand(List.of(hand(0))));
    assertThat(apart.batches().get(0).cups())
        .extracting(Cup::byHand)
        .containsExactlyInAnyOrder(0, null);
  }

  /** A piece with a layer in each of two cups ties all their pieces into one batch, each once. */
  @Test
  void aPieceInTwoCupsByHandTiesThemTogether() {
    Piece both =
        new Piece(
            "knob",
            2,
            List.of(
                new Layer("blue", calmpour.core.design.Fill.ofShare(0.5), null),
                new Layer("clear", null, Join.TOGETHER)));
    Session session =
        session(Habits.DEFAULT, piece("push", 2, "blue"), piece("push", 1, "clear"), both)
            .withSplitInto(3)
            .withCupsByHand(
                List.of(
                    new HandCup(
                        List.of(
                            new HandCup.HandLayer(0, 0, null), new HandCup.HandLayer(2, 0, null)),
                        null),
                    new HandCup(
                        List.of(
                            new HandCup.HandLayer(1, 0, null), new HandCup.HandLayer(2, 1, null)),
                        null)));
    Plan plan = plan(session);
    assertThat(plan.batches()).hasSize(1);
    assertThat(plan.batches().get(0).cups())
        .extracting(c -> c.pours().size())
        .containsExactly(4, 3);
    assertThat(plan.findings()).noneMatch(f -> f.severity() == Finding.Severity.BREACH);
  }

  @Test
  void aCupByHandThatCannotBeIsToldAtItsPlace() {
    Session two = session(Habits.DEFAULT, piece("knob", 2, "blue"), piece("pull", 1, "clear"));
    told(two.withCupsByHand(List.of(hand(0, 1))), "cupsByHand[0]", Problem.Code.CUP_OF_TWO_COLOURS);
    told(
        two.withCupsByHand(List.of(hand(0), hand(4))),
        "cupsByHand[1].layers[0]",
        Problem.Code.NOTHING_FOR_CUP);
    told(
        two.withCupsByHand(List.of(hand(0), hand(0))),
        "cupsByHand[1].layers[0]",
        Problem.Code.NOTHING_FOR_CUP);
    told(
        two.withCupsByHand(
            List.of(new HandCup(List.of(new HandCup.HandLayer(0, 0, null)), "gone"))),
        "cupsByHand[0].cupId",
        Problem.Code.UNKNOWN_ID);
    Piece gelled =
        new Piece(
            "knob",
            1,
            List.of(
                new Layer("blue", calmpour.core.design.Fill.ofShare(0.5), null),
                new Layer("blue", null, Join.GEL)));
    told(
        session(Habits.DEFAULT, gelled)
            .withCupsByHand(
                List.of(
                    new HandCup(
                        List.of(
                            new HandCup.HandLayer(0, 0, null), new HandCup.HandLayer(0, 1, null)),
                        null))),
        "cupsByHand[0]",
        Problem.Code.CUP_OF_TWO_SITTINGS);
  }

  private static void told(Session session, String field, Problem.Code code) {
    assertThatThrownBy(() -> plan(session))
        .isInstanceOfSatisfying(
            InvalidValuesException.class,
            e ->
                assertThat(e.problems())
                    .anySatisfy(p -> {
                      assertThat(p.field()).isEqualTo(field);
                      assertThat(p.code()).isEqualTo(code);
                    }));
  }

  /** A kind that only a cup by hand asks for goes with the session, wherever it is opened. */
  @Test
  void theKindChosenByHandIsPartOfTheSnapshot() {
    Session chosen =
        session(Habits.DEFAULT, piece("knob", 2, "blue"))
            .withCupsByHand(
                List.of(new HandCup(List.of(new HandCup.HandLayer(0, 0, null)), "small")));
    Session mixingOnly =
        new Session(
            chosen.name(),
            chosen.startsAt(),
            chosen.zoneId(),
            chosen.room(),
            chosen.resinId(),
            chosen.pieces(),
            null,
            List.of("mix"),
            1,
            chosen.cupsByHand(),
            List.of(),
            Habits.DEFAULT,
            null,
            null,
            Arrangement.FREE);
    Workshop snapshot = Planner.snapshot(mixingOnly, WORKSHOP);
    assertThat(snapshot.cups()).extracting(CupKind::id).containsExactly("mix", "small");
    assertThat(PLANNER.plan(mixingOnly, snapshot)).isEqualTo(plan(mixingOnly));
  }

  @Test
  void aCupThatKeepsAllItHoldsIsNoCup() {
    CupKind thimble = new CupKind("thimble", "Thimble", CupKind.Use.COLOUR, 8, 9, 9);
    Workshop with =
        new Workshop(
            WORKSHOP.moulds(),
            WORKSHOP.resins(),
            WORKSHOP.colourants(),
            WORKSHOP.colours(),
            List.of(Samples.MIXING, thimble));
    Session laidOut =
        new Session(
            "T",
            java.time.LocalDateTime.of(2026, 11, 28, 10, 0),
            "Europe/London",
            new calmpour.core.session.Room(22, null),
            "resin",
            List.of(piece("knob", 1, "blue")),
            null,
            List.of("mix", "thimble"),
            1,
            List.of(),
            List.of(),
            Habits.DEFAULT,
            null,
            null,
            Arrangement.FREE);
    assertThatThrownBy(() -> PLANNER.plan(laidOut, with))
        .isInstanceOf(InvalidValuesException.class)
        .hasMessageContaining("cupIds[1]");
    assertThatThrownBy(
            () -> new CupKind("t", "T", CupKind.Use.COLOUR, 40, 50, 40, null, null, 120.0))
        .isInstanceOf(InvalidValuesException.class)
        .hasMessageContaining("staysG");
  }

  /**
   * Silicone keeps seven tenths of what polypropylene does, bare paper more; a cup weighed empty
   * after pouring keeps what it kept. A round cup as wide as high is the measure of all others.
   */
  @Test
  void whatClingsGoesByShapeAndMaterial() {
    CupKind even = new CupKind("e", "E", CupKind.Use.COLOUR, 50, 50, 50);
    assertThat(even.residue(Habits.DEFAULT).alwaysG()).isCloseTo(1.5, within(1e-9));
    assertThat(even.residue(Habits.DEFAULT).share()).isCloseTo(0.02, within(1e-9));
    // Twice as high, by hand: wall and floor π·50·100 + π·25² = 17 671 mm²; a cup as wide as high
    // with the same 196.35 mL is 62.996 mm wide and has 5π/4·62.996² = 15 584 mm².
    CupKind tall = new CupKind("t", "T", CupKind.Use.COLOUR, 50, 50, 100);
    assertThat(tall.residue(Habits.DEFAULT).alwaysG() / 1.5)
        .isCloseTo(17_671.0 / 15_584, within(1e-4));
    CupKind soft = of(CupKind.Material.SILICONE, null);
    assertThat(soft.residue(Habits.DEFAULT).alwaysG()).isCloseTo(1.05, within(1e-9));
    assertThat(of(CupKind.Material.PLAIN_PAPER, null).residue(Habits.DEFAULT).alwaysG())
        .isGreaterThan(1.5);
    assertThat(of(null, 2.2).residue(Habits.DEFAULT).alwaysG()).isEqualTo(2.2);
    assertThat(of(null, 2.2).residue(Habits.DEFAULT).contentFor(30)).isCloseTo(32.2, within(1e-9));
  }

  private static CupKind of(CupKind.Material material, Double staysG) {
    return new CupKind("c", "C", CupKind.Use.COLOUR, 50, 50, 50, null, material, staysG);
  }

  /** What clings to the first of two cups is mixed on top; by hand from 1.5 g + 2 %. */
  @Test
  void aSecondCupCostsWhatTheFirstKeeps() {
    Mixing two = new Mixing(Mixing.Warming.NONE, null, null, Mixing.MixingCups.TWO, 0.75, 0, null);
    Piece knobs = piece("knob", 4, "blue");
    Batch one = plan(session(Habits.DEFAULT, knobs)).batches().get(0);
    Batch second = plan(session(Habits.DEFAULT.withMixing(two), knobs)).batches().get(0);
    double factor = second.mixing().cup().residue(Habits.DEFAULT).alwaysG() / 1.5;
    assertThat(second.mixing().firstCupStaysG())
        .isCloseTo(factor * (1.5 + 0.02 * second.measuring().totalG()), within(0.01));
    assertThat(second.measuring().needG())
        .isCloseTo((one.measuring().needG() + factor * 1.5) / (1 - 0.02 * factor), within(0.01));
    Plan plan = plan(session(Habits.DEFAULT.withMixing(two), knobs));
    assertThat(plan.tasks())
        .filteredOn(t -> t.kind() == Task.Kind.SECOND_CUP)
        .singleElement()
        .satisfies(t -> assertThat(t.endSeconds() - t.startSeconds()).isEqualTo(75));
  }

  /** A at 40 °C and B at 22 °C, two to one by weight: 34 °C; both warm: as warm as the water. */
  @Test
  void warmBottlesMeetWarmAndThickenSooner() {
    Piece knobs = piece("knob", 2, "blue");
    Plan cold = plan(session(Habits.DEFAULT, knobs));
    Mixing aOnly =
        new Mixing(Mixing.Warming.A_ONLY, null, null, Mixing.MixingCups.ONE, 0.75, 0, null);
    Plan warm = plan(session(Habits.DEFAULT.withMixing(aOnly), knobs));
    assertThat(warm.batches().get(0).mixing().startC()).isCloseTo(34, within(1e-9));
    Task first = warm.tasks().get(0);
    assertThat(first.kind()).isEqualTo(Task.Kind.WARM);
    assertThat(first.endSeconds() - first.startSeconds()).isEqualTo(20 * 60);
    assertThat(first.hands()).isFalse();
    double coldLasts = lasts(cold);
    // Common practice, no source: half the time for every ten degrees more.
    assertThat(lasts(warm)).isCloseTo(coldLasts * Math.pow(0.5, 1.2), within(1.0));
  }

  /** Where the warm bottles alone make it late, leaving them cold is the first way out. */
  @Test
  void whatWarmingMadeLateIsMendedByNotWarming() {
    Mixing both = new Mixing(Mixing.Warming.BOTH, null, 40.0, Mixing.MixingCups.ONE, 0.75, 0, null);
    Habits rested = Habits.DEFAULT.withRestMinutes(13);
    Session session = session(rested, piece("knob", 5, "blue"), piece("push", 4, "clear"));
    assertThat(plan(session).spareSeconds()).isPositive();
    Plan warm = plan(session.withHabits(rested.withMixing(both)));
    assertThat(warm.spareSeconds()).isNegative();
    Finding late =
        warm.findings().stream()
            .filter(f -> f.rule() == Finding.Rule.POUR_AFTER_WORKING_TIME)
            .findFirst()
            .orElseThrow();
    assertThat(late.mends().get(0).kind()).isEqualTo(Finding.Mend.Kind.NO_WARMING);
  }

  private static double lasts(Plan plan) {
    Batch batch = plan.batches().get(0);
    return (batch.cups().get(0).times().thickensSeconds() - batch.times().contactSeconds()) / 60.0;
  }

  /** 1 % more of A on 2:1 by weight is 2.02:1. */
  @Test
  void extraAIsShownAsTheRatioErrorItIs() {
    Mixing extra =
        new Mixing(Mixing.Warming.NONE, null, null, Mixing.MixingCups.ONE, 0.75, 1, null);
    Batch batch =
        plan(session(Habits.DEFAULT.withMixing(extra), piece("pull", 4, "blue"))).batches().get(0);
    assertThat(batch.measuring().partA().massG() / batch.measuring().partB().massG())
        .isCloseTo(2.02, within(0.01));
    assertThat(batch.measuring().ratioErrorPercent()).isBetween(0.2, 2.0);
  }

  /** 158 mL with a cup of 100 mL and marks every mL: a full one and the rest. */
  @Test
  void moreThanTheMeasuringCupHoldsIsFilledSeveralTimes() {
    Mixing cup = new Mixing(Mixing.Warming.NONE, null, null, Mixing.MixingCups.ONE, 0.75, 0, 50.5);
    ResinSystem byVolume = Samples.resin(2, 1, MixRatio.Basis.VOLUME);
    Session session =
        session(
            Habits.DEFAULT.withMixing(cup), piece("pull", 5, "blue"), piece("knob", 3, "clear"));
    BatchCard card = PLANNER.work(session, workshop(byVolume)).card(1).orElseThrow();
    BatchCard.CardStep a =
        card.steps().stream().filter(s -> s.what().equals("A")).findFirst().orElseThrow();
    assertThat(a.addMl()).isGreaterThan(100);
    assertThat(a.fillsMl().stream().mapToDouble(Double::doubleValue).sum())
        .isCloseTo(a.addMl(), within(1e-9));
    assertThat(a.fillsMl().subList(0, a.fillsMl().size() - 1)).containsOnly(50.0);
    assertThat(a.fillsMl().get(a.fillsMl().size() - 1)).isBetween(1.0, 50.0);
  }

  @Test
  void waterIsWarnedOfOrForbiddenAndFlakesSinkInThinResin() {
    Session paint = session(Habits.DEFAULT, piece("knob", 2, "cream"));
    assertThat(plan(paint).findings())
        .filteredOn(f -> f.rule() == Finding.Rule.WATER_IN_COLOUR)
        .singleElement()
        .satisfies(f -> assertThat(f.value()).isCloseTo(3, within(0.01)));
    Tinting never = new Tinting(Tinting.LiquidLimit.SHARE, 5, Tinting.WaterPaint.FORBID);
    assertThat(plan(paint.withHabits(Habits.DEFAULT.withTinting(never))).findings())
        .filteredOn(f -> f.rule() == Finding.Rule.WATER_FORBIDDEN)
        .singleElement()
        .satisfies(f -> assertThat(f.severity()).isEqualTo(Finding.Severity.BREACH));
    Session flakes = session(Habits.DEFAULT, piece("knob", 2, "spark"));
    assertThat(rules(plan(flakes))).doesNotContain(Finding.Rule.SINKS_IN_THIN);
    ResinSystem thin =
        new ResinSystem(
            "resin",
            "Thin",
            calmpour.core.resin.ResinKind.DEEP,
            SLOW.ratio(),
            1.15,
            1.01,
            90.0,
            500.0,
            23.0,
            null,
            3.0,
            null,
            null,
            null,
            null,
            null,
            null,
            null);
    assertThat(rules(PLANNER.plan(flakes, workshop(thin)))).contains(Finding.Rule.SINKS_IN_THIN);
  }

  /** A clear layer shows the layer below it, which itself lies on a white card. */
  @Test
  void aLayersLookIsThatOfTheWholeStackBelow() {
    Piece stack =
        new Piece(
            "pull",
            1,
            List.of(
                new Layer("blue", calmpour.core.design.Fill.ofShare(0.3), null),
                new Layer("clear", calmpour.core.design.Fill.ofShare(0.3), Join.GEL),
                new Layer("clear", null, Join.GEL)));
    List<Plan.LayerView> layers = plan(session(Habits.DEFAULT, stack)).pieces().get(0).layers();
    assertThat(layers.get(0).look().overBelow()).isNull();
    assertThat(layers.get(1).look().overBelow()).isEqualTo(layers.get(0).look().overWhite());
    assertThat(layers.get(2).look().overBelow()).isEqualTo(layers.get(0).look().overWhite());
    assertThat(layers.get(0).look().thicknessMm()).isCloseTo(7.5, within(1e-9));
  }

  /** Stronger for one session only, and never beyond what a mix can be. */
  @Test
  void aSessionMakesAColourStronger() {
    Session session = session(Habits.DEFAULT, piece("knob", 4, "blue"));
    double before = dose(plan(session));
    Plan strong = plan(session.withStrengths(List.of(new ColourStrength("blue", 2))));
    // Both are whole drops of 35 mg.
    assertThat(dose(strong) / 2).isCloseTo(before, within(0.035));
    assertThat(strong.batches().get(0).cups().get(0).tint().strength().factor()).isEqualTo(2);
    Plan held = plan(session.withStrengths(List.of(new ColourStrength("blue", 20))));
    assertThat(held.batches().get(0).cups().get(0).tint().heldAt()).isLessThan(1);
    assertThat(held.batches().get(0).cups().get(0).tint().strength().stronger()).isNull();
    Colour strong3 = new Colour("cream", "Cream", "#eeddbb", List.of(new Colour.Part("tint", 4)));
    Workshop stronger =
        WORKSHOP.overlaidWith(
            new Workshop(List.of(), List.of(), List.of(), List.of(strong3), List.of()));
    Session paint =
        session(Habits.DEFAULT, piece("knob", 2, "cream"))
            .withStrengths(List.of(new ColourStrength("cream", 20)));
    assertThatThrownBy(() -> PLANNER.plan(paint, stronger))
        .as("80 % of a mix cannot be colour")
        .isInstanceOf(InvalidValuesException.class)
        .hasMessageContaining("strengths");
  }

  private static double dose(Plan plan) {
    return plan.batches().get(0).cups().get(0).tint().doses().get(0).massG();
  }

  /** By hand: twelve drops of 35 mg are 0.42 g more. */
  @Test
  void aBitMoreIsCountedAgainstTheLimit() {
    Session session = session(Habits.DEFAULT, piece("knob", 2, "blue"));
    Cup cup = plan(session).batches().get(0).cups().get(0);
    BenchTally none = tally(session, 0).orElseThrow();
    BenchTally twelve = tally(session, 12).orElseThrow();
    assertThat(none.doses().get(0).massG()).isEqualTo(cup.tint().doses().get(0).massG());
    assertThat(twelve.doses().get(0).massG() - none.doses().get(0).massG())
        .isCloseTo(0.42, within(1e-9));
    int left = twelve.doses().get(0).moreCounted();
    assertThat(none.doses().get(0).moreCounted()).isEqualTo(left + 12);
    assertThat(tally(session, 12 + left).orElseThrow().overLimit()).isFalse();
    assertThat(tally(session, 13 + left).orElseThrow().overLimit()).isTrue();
    assertThat(tally(session, 13 + left).orElseThrow().loading().get(0).percent())
        .isBetween(6.0, 6.3);
    assertThat(PLANNER.work(session, WORKSHOP).tally(CupId.of("9.9"), List.of(), WORKSHOP))
        .isEmpty();
    assertThatThrownBy(() ->
            PLANNER
                .work(session, WORKSHOP)
                .tally(CupId.of("1.1"), List.of(new BenchTally.AddedColour("gone", 1)), WORKSHOP))
        .isInstanceOf(InvalidValuesException.class)
        .hasMessageContaining("added[0].colourantId");
  }

  /** A jar that is not in the recipe brings its own label's limit along: 0.2 % of the resin. */
  @Test
  void aStrangerInTheCupBringsItsOwnLimit() {
    Colourant strict =
        new Colourant(
            "strict",
            "Strict",
            ColourantForm.LIQUID_TINT,
            "#884422",
            null,
            null,
            null,
            null,
            0.2,
            LoadingBasis.WEIGHT_OF_RESIN,
            null);
    Workshop with =
        WORKSHOP.overlaidWith(
            new Workshop(List.of(), List.of(), List.of(strict), List.of(), List.of()));
    Session session = session(Habits.DEFAULT, piece("knob", 3, "blue"));
    double resinG = plan(session).batches().get(0).cups().get(0).amounts().resinG();
    int most = (int) Math.floor(resinG * 0.002 / 0.035);
    for (int drops : new int[] {most, most + 1}) {
      BenchTally tally =
          PLANNER
              .work(session, with)
              .tally(CupId.of("1.1"), List.of(new BenchTally.AddedColour("strict", drops)), with)
              .orElseThrow();
      assertThat(tally.overLimit()).isEqualTo(drops > most);
      assertThat(tally.doses().get(1).moreCounted()).isEqualTo(most - drops);
    }
  }

  private static Optional<BenchTally> tally(Session session, int drops) {
    return PLANNER
        .work(session, WORKSHOP)
        .tally(CupId.of("1.1"), List.of(new BenchTally.AddedColour("tint", drops)), WORKSHOP);
  }

  /** The other way: a round batch, and a mould that takes the difference. */
  @Test
  void aRoundBatchNamesWhatItFills() {
    Session session = session(Habits.DEFAULT, piece("pull", 3, "blue"));
    Batch batch = plan(session).batches().get(0);
    List<Fillers.TopUp> ways = Fillers.topUps(session, WORKSHOP, batch, 3, 1_000, 3);
    assertThat(ways).isNotEmpty();
    for (Fillers.TopUp way : ways) {
      assertThat(way.totalG()).isGreaterThan(batch.measuring().totalG());
      assertThat(way.totalG() % 5).isZero();
      assertThat(way.moreMl())
          .isCloseTo(
              3 + (way.totalG() - batch.measuring().totalG()) / SLOW.mixedDensity(), within(0.1));
      assertThat(way.fillers())
          .allSatisfy(f -> assertThat(f.takesMl()).isLessThanOrEqualTo(way.moreMl()));
    }
    assertThat(Fillers.topUps(session, WORKSHOP, batch, 3, batch.measuring().totalG(), 3))
        .isEmpty();
  }

  /** Pouring 4 mL takes 19 s: in time with twenty, too late with ten. */
  @Test
  void aFillerThatComesTooLateComesLast() {
    Session session = session(Habits.DEFAULT, piece("pull", 1, "blue"));
    assertThat(Fillers.of(session, WORKSHOP, 4.2, 20, 3).get(0).inTime()).isTrue();
    assertThat(Fillers.of(session, WORKSHOP, 4.2, 10, 3).get(0).inTime()).isFalse();
  }
}
