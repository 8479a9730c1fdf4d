package calmpour.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import calmpour.core.Samples;
import calmpour.core.cup.CupKind;
import calmpour.core.cure.EngineModel;
import calmpour.core.design.Fill;
import calmpour.core.design.FinishStep;
import calmpour.core.design.Join;
import calmpour.core.design.Layer;
import calmpour.core.design.PieceWork;
import calmpour.core.design.PlacedEmbed;
import calmpour.core.design.SurfaceWork;
import calmpour.core.embed.Embed;
import calmpour.core.habit.Care;
import calmpour.core.habit.Habits;
import calmpour.core.mould.Mould;
import calmpour.core.mould.MouldMake;
import calmpour.core.plan.bench.StepCard;
import calmpour.core.plan.doc.BatchMeasuring;
import calmpour.core.plan.doc.Plan;
import calmpour.core.plan.doc.Task;
import calmpour.core.resin.LabelFacts;
import calmpour.core.resin.MixRatio;
import calmpour.core.resin.ResinKind;
import calmpour.core.resin.ResinSystem;
import calmpour.core.session.Piece;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import calmpour.core.stock.Lot;
import calmpour.core.stock.ResinPart;
import calmpour.core.tint.Colour;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What design, mould and habits say comes with the step that it is of use for. */
class StepCardTest {
  private static final Colour BLUE =
      new Colour("blue", "Harbour", "#335577", List.of(new Colour.Part("tint", 1.5)));
  private static final Colour BROWN =
      new Colour("brown", "Bracken", "#775533", List.of(new Colour.Part("tint", 1.0)));

  private static final MouldMake MAKE =
      new MouldMake(
          MouldMake.Material.SILICONE,
          null,
          null,
          null,
          false,
          true,
          true,
          null,
          null,
          null,
          "peel the rim, then push from below",
          null,
          null);

  private final WorkedPlan worked = worked(Layer.Meeting.FROM_SIDES);

  private static WorkedPlan worked(Layer.Meeting meeting) {
    return worked(
        meeting,
        new SurfaceWork(SurfaceWork.Kind.PRIME, 2, 25, "clear primer", null),
        MAKE,
        Habits.DEFAULT);
  }

  private static WorkedPlan worked(
      Layer.Meeting meeting, SurfaceWork surface, MouldMake make, Habits habits) {
    Mould bare = Samples.mould("knob", 14, 20.0);
    Mould mould = new Mould(bare.id(), bare.name(), bare.cavities(), make, null);
    PlacedEmbed insert =
        new PlacedEmbed(
            "insert",
            1,
            PlacedEmbed.Moment.AFTER_POUR,
            true,
            40,
            "open end to the back",
            List.of(PlacedEmbed.Prepare.DRY_FIT));
    Layer two =
        new Layer("blue", Fill.ofShare(0.5), Join.TOGETHER)
            .withBeside(List.of(new Layer.BesideColour("brown", 0.4)))
            .withMeeting(meeting);
    Layer top = new Layer("brown", null, Join.CURED).withEmbeds(List.of(insert));
    PieceWork work =
        PieceWork.NONE
            .withSurface(List.of(surface))
            .withFinishing(
                List.of(new FinishStep(FinishStep.Kind.VARNISH, 1.5, 4, 2, "matt varnish")));
    Workshop workshop =
        Samples.workshop(
                Samples.resin(ResinKind.CASTING, 40, 100, 24, null),
                List.of(mould),
                List.of(BLUE, BROWN, Colour.CLEAR))
            .withEmbeds(
                List.of(
                    new Embed(
                        "insert", "Brass insert M4", 2.0, null, 8.4, true, false, null, null)));
    Session session =
        Samples.session(List.of(new Piece("knob", 2, List.of(two, top)).withWork(work)))
            .withHabits(habits);
    return Samples.planner(new EngineModel()).work(session, workshop);
  }

  private StepCard card(Task.Kind kind, int nth) {
    return card(worked, kind, nth);
  }

  private static StepCard card(WorkedPlan worked, Task.Kind kind, int nth) {
    Plan plan = worked.plan();
    Task task = plan.tasks().stream().filter(t -> t.kind() == kind).toList().get(nth);
    return worked.stepCards().stream()
        .filter(c -> c.taskId().equals(task.id()))
        .findFirst()
        .map(WorkedPlan.TaskCard::card)
        .orElse(StepCard.NOTHING);
  }

  private static List<StepCard.Code> codes(StepCard card) {
    return card.says().stream().map(StepCard.Say::code).toList();
  }

  @Test
  void theFirstPourSaysWhatTheMouldAndTheLayerWant() {
    assertThat(codes(card(Task.Kind.POUR, 0)))
        .containsExactlyInAnyOrder(
            StepCard.Code.FROM_SIDES,
            StepCard.Code.LEVEL,
            StepCard.Code.LETTERING,
            StepCard.Code.FUNNEL,
            StepCard.Code.UNDERCUTS);
  }

  /** Several colours of a layer say how they come together with each of their pours. */
  @Test
  void coloursInSpotsSaySo() {
    WorkedPlan spotted = worked(Layer.Meeting.IN_SPOTS);
    assertThat(codes(card(spotted, Task.Kind.POUR, 0)))
        .contains(StepCard.Code.IN_SPOTS)
        .doesNotContain(StepCard.Code.FROM_SIDES);
  }

  /** Air stays under what lies in a piece, and under what overhangs in its mould. */
  @Test
  void bubblesAreTeasedOutFromBelow() {
    assertThat(codes(card(Task.Kind.BUBBLE_PASS, 0)))
        .contains(StepCard.Code.UNDERCUTS, StepCard.Code.UNDER_EMBEDS);
  }

  @Test
  void aPourOntoWhatHasCuredIsScuffedFirstAndNeedsNoLevelAnyMore() {
    int last = (int) worked.plan().tasks().stream().filter(t -> t.kind() == Task.Kind.POUR).count();
    assertThat(codes(card(Task.Kind.POUR, last - 1)))
        .contains(StepCard.Code.SCUFF, StepCard.Code.FUNNEL)
        .doesNotContain(StepCard.Code.LEVEL, StepCard.Code.LETTERING, StepCard.Code.FROM_SIDES);
  }

  @Test
  void anEmbedSaysHowManyWhichWayAndHowItIsHeld() {
    assertThat(card(Task.Kind.EMBED, 0).embeds())
        .singleElement()
        .satisfies(e -> {
          assertThat(e.name()).isEqualTo("Brass insert M4");
          assertThat(e.layer()).isEqualTo(1);
          assertThat(e.count()).isEqualTo(1);
          assertThat(e.facing()).isEqualTo("open end to the back");
          assertThat(e.standsOutPercent()).isEqualTo(40);
          assertThat(e.anchored()).isTrue();
          // Brass in resin.
          assertThat(e.tendency()).isEqualTo(Embed.Tendency.SINKS);
        });
    assertThat(card(Task.Kind.PREPARE_EMBEDS, 0).embeds())
        .singleElement()
        .matches(e -> e.prepare().equals(List.of(PlacedEmbed.Prepare.DRY_FIT)));
  }

  @Test
  void whatDriesSaysHowLongAndWithWhatItWasDone() {
    assertThat(card(Task.Kind.SURFACE_WORK, 0).says())
        .containsExactly(
            new StepCard.Say(StepCard.Code.SURFACE, null, "PRIME"),
            new StepCard.Say(StepCard.Code.PATCH, null, null),
            new StepCard.Say(StepCard.Code.WITH, null, "clear primer"),
            new StepCard.Say(StepCard.Code.DRIES, 25.0, null));
    // Varnished twice, four hours apart: said at the first coat alone.
    assertThat(card(Task.Kind.FINISH, 0).says())
        .contains(new StepCard.Say(StepCard.Code.AGAIN, 4.0, null));
    assertThat(codes(card(Task.Kind.FINISH, 1))).containsExactly(StepCard.Code.WITH);
  }

  /** Asked for while there is none; named where it is kept. */
  @Test
  void aPatchIsTriedFirstAndKept() {
    SurfaceWork dust = SurfaceWork.usual(SurfaceWork.Kind.DUST);
    assertThat(codes(surfaceOf(dust))).contains(StepCard.Code.PATCH);
    SurfaceWork tried = new SurfaceWork(dust.kind(), 2, 0, null, "bronze dust under Harbour");
    assertThat(surfaceOf(tried).says())
        .contains(new StepCard.Say(StepCard.Code.PATCH_KEPT, null, "bronze dust under Harbour"))
        .noneMatch(s -> s.code() == StepCard.Code.PATCH);
  }

  private static StepCard surfaceOf(SurfaceWork work) {
    return card(
        worked(Layer.Meeting.FROM_SIDES, work, MAKE, Habits.DEFAULT), Task.Kind.SURFACE_WORK, 0);
  }

  /** As is usual here, unless the mould or its wall wants it otherwise. */
  @Test
  void resinGoesInAsIsUsualHere() {
    Habits high = Habits.DEFAULT.withCare(Care.DEFAULT.withStream(Care.Stream.THIN_HIGH));
    StepCard.Say said = new StepCard.Say(StepCard.Code.STREAM, null, "THIN_HIGH");
    SurfaceWork paint = SurfaceWork.usual(SurfaceWork.Kind.DETAIL_PAINT);
    SurfaceWork dust = SurfaceWork.usual(SurfaceWork.Kind.DUST);
    MouldMake wide = MAKE.withNarrowMouth(false);
    assertThat(poured(paint, wide, high).says()).contains(said);
    assertThat(poured(paint, wide, Habits.DEFAULT).says()).doesNotContain(said);
    assertThat(poured(dust, wide, high).says()).doesNotContain(said);
    assertThat(poured(paint, MAKE, high).says()).doesNotContain(said);
    assertThat(poured(paint, wide.withPace(MouldMake.Pace.BY_STICK), high).says())
        .doesNotContain(said);
  }

  private static StepCard poured(SurfaceWork surface, MouldMake make, Habits habits) {
    return card(worked(Layer.Meeting.FROM_SIDES, surface, make, habits), Task.Kind.POUR, 0);
  }

  @Test
  void aMouldSaysHowItIsOpened() {
    assertThat(card(Task.Kind.DEMOULD, 0).says())
        .contains(
            new StepCard.Say(StepCard.Code.OPENS_BY, null, "peel the rim, then push from below"),
            new StepCard.Say(StepCard.Code.HOLDS_ON, null, null));
  }

  /** Everything a label, a shelf and a mould can say, and nothing where they say nothing. */
  @Test
  void labelBottlesAndMouldSayTheirPartWithTheirStep() {
    LabelFacts facts =
        new LabelFacts(
            null, true, true, null, null, null, null, null, true, 25.0, 40.0, null, List.of(),
            null);
    ResinSystem resin =
        Samples.resin(ResinKind.CASTING, 40, 100, 24, null)
            .withFacts(facts)
            .withPartAId("a")
            .withPartBId("b");
    Mould bare = Samples.mould("knob", 14, 20.0);
    MouldMake make =
        new MouldMake(
            null,
            MouldMake.Finish.MATTE,
            MouldMake.Opening.CLOSED,
            null,
            null,
            null,
            null,
            null,
            null,
            null,
            null,
            null,
            null);
    Session session =
        Samples.session(
            List.of(new Piece("knob", 2, List.of(new Layer("clear", null, Join.TOGETHER)))));
    LocalDate ago = session.startsAt().toLocalDate().minusDays(400);
    Workshop workshop =
        Samples.workshop(
                resin,
                List.of(new Mould(bare.id(), bare.name(), bare.cavities(), make, null)),
                List.of(Colour.CLEAR))
            .withParts(
                List.of(
                    new ResinPart(
                        "a",
                        "Slow casting A",
                        ResinPart.Side.A,
                        null,
                        500.0,
                        null,
                        List.of(new Lot("K-7", ago, 300.0, null, null))),
                    new ResinPart(
                        "b",
                        "Slow casting B",
                        ResinPart.Side.B,
                        null,
                        null,
                        null,
                        List.of(
                            new Lot("K-8", ago.plusDays(300), 200.0, null, null),
                            new Lot("K-2", ago, 0.0, null, null)))));
    WorkedPlan all = Samples.planner(new EngineModel()).work(session, workshop);
    // 400 days are 13 months; the room has 22 °C where the label wants 25.
    assertThat(says(all, Task.Kind.WEIGH_FIRST))
        .containsExactlyInAnyOrder(
            new StepCard.Say(StepCard.Code.BOTTLES_FROM, 25.0, null),
            new StepCard.Say(StepCard.Code.READY_COLOURED, null, null),
            new StepCard.Say(StepCard.Code.DRAIN, null, null),
            new StepCard.Say(StepCard.Code.OPEN_LONG, 13.0, "Slow casting A, K-7"));
    assertThat(says(all, Task.Kind.STIR))
        .containsExactly(new StepCard.Say(StepCard.Code.SECOND_CUP_ASKED, null, null));
    assertThat(says(all, Task.Kind.POUR)).contains(new StepCard.Say(StepCard.Code.CAP, null, null));
    assertThat(says(all, Task.Kind.DEMOULD))
        .containsExactlyInAnyOrder(
            new StepCard.Say(StepCard.Code.STAYS_FLEXIBLE, null, null),
            new StepCard.Say(StepCard.Code.MATTE, null, null),
            new StepCard.Say(StepCard.Code.LIFT_EDGES, null, null),
            new StepCard.Say(StepCard.Code.FLASH_OFF, null, null),
            new StepCard.Say(StepCard.Code.MOULD_AWAY, null, null),
            new StepCard.Say(StepCard.Code.LIE_FLAT, null, null));
    assertThat(says(all, Task.Kind.LID))
        .containsExactly(new StepCard.Say(StepCard.Code.KEYS, null, null));
    assertThat(says(worked, Task.Kind.WEIGH_FIRST)).isEmpty();
    assertThat(says(worked, Task.Kind.STIR)).isEmpty();
    assertThat(codes(card(Task.Kind.DEMOULD, 0)))
        .containsExactly(
            StepCard.Code.LIFT_EDGES,
            StepCard.Code.OPENS_BY,
            StepCard.Code.HOLDS_ON,
            StepCard.Code.MOULD_AWAY,
            StepCard.Code.LIE_FLAT);
  }

  private static List<StepCard.Say> says(WorkedPlan worked, Task.Kind kind) {
    Task task =
        worked.plan().tasks().stream().filter(t -> t.kind() == kind).findFirst().orElseThrow();
    return worked.stepCards().stream()
        .filter(c -> c.taskId().equals(task.id()))
        .flatMap(c -> c.card().says().stream())
        .toList();
  }

  /**
   * 2 : 1 by volume out of pumps of 8 and 4 mL: as many strokes of each, no fewer than it takes.
   */
  @Test
  void bothPumpsSayTheirStrokes() {
    WorkedPlan all = pumped(8, 4);
    BatchMeasuring measuring = all.plan().batches().getFirst().measuring();
    double whole = Math.ceil(measuring.needG() / (8 * perMl(all, true) + 4 * perMl(all, false)));
    boolean aFirst = measuring.firstPart() == Habits.FirstPart.A;
    assertThat(says(all, Task.Kind.WEIGH_FIRST))
        .contains(new StepCard.Say(StepCard.Code.PUMPED, whole, aFirst ? "A" : "B"));
    assertThat(says(all, Task.Kind.WEIGH_SECOND))
        .containsExactly(new StepCard.Say(StepCard.Code.PUMPED, whole, aFirst ? "B" : "A"));
  }

  /** 30 and 29 mL: 2 to 1 is 3 % off, and so is any count a hand would pump. */
  @Test
  void pumpsThatMissTheRatioAreNotSaid() {
    WorkedPlan all = pumped(30, 29);
    assertThat(all.plan().tasks())
        .filteredOn(t -> t.kind() == Task.Kind.WEIGH_FIRST || t.kind() == Task.Kind.WEIGH_SECOND)
        .hasSize(2);
    for (Task.Kind kind : List.of(Task.Kind.WEIGH_FIRST, Task.Kind.WEIGH_SECOND)) {
      assertThat(says(all, kind)).noneMatch(s -> s.code() == StepCard.Code.PUMPED);
    }
  }

  private static double perMl(WorkedPlan all, boolean ofA) {
    ResinSystem resin = all.job().resin();
    return (ofA ? resin.knownDensityA() : resin.knownDensityB()).value();
  }

  /** The mixing cup's own rings are said with both parts, the first part's below both. */
  @Test
  void ringsOfTheMixingCupAreSaidWithTheirParts() {
    ResinSystem resin =
        Samples.resin(ResinKind.CASTING, 40, 100, 24, null)
            .withRatio(new MixRatio(1, 1, MixRatio.Basis.VOLUME));
    Session session =
        Samples.session(
            List.of(new Piece("knob", 3, List.of(new Layer("clear", null, Join.TOGETHER)))));
    CupKind straight = new CupKind("jug", "Jug", CupKind.Use.EITHER, 50, 50, 120).withRingsMm(2.0);
    WorkedPlan all =
        Samples.planner(new EngineModel())
            .work(
                session,
                Samples.workshop(
                        resin, List.of(Samples.mould("knob", 14, 20.0)), List.of(Colour.CLEAR))
                    .withCups(List.of(straight)));
    double first = ringed(all, Task.Kind.WEIGH_FIRST);
    // As much of the one as of the other, in a straight cup.
    assertThat(ringed(all, Task.Kind.WEIGH_SECOND)).isEqualTo(2 * first);
    double mm = all.plan().batches().getFirst().mixing().bothPartsMm();
    assertThat(4 * first).isBetween(mm, 1.1 * mm + 1);
  }

  private static double ringed(WorkedPlan all, Task.Kind kind) {
    return says(all, kind).stream()
        .filter(s -> s.code() == StepCard.Code.RINGS)
        .mapToDouble(StepCard.Say::value)
        .findFirst()
        .orElseThrow();
  }

  private static WorkedPlan pumped(double strokeA, double strokeB) {
    ResinSystem resin =
        Samples.resin(ResinKind.CASTING, 40, 100, 24, null)
            .withRatio(new MixRatio(2, 1, MixRatio.Basis.VOLUME))
            .withPartAId("a")
            .withPartBId("b");
    Session session =
        Samples.session(
            List.of(new Piece("knob", 3, List.of(new Layer("clear", null, Join.TOGETHER)))));
    Workshop workshop =
        Samples.workshop(resin, List.of(Samples.mould("knob", 14, 20.0)), List.of(Colour.CLEAR))
            .withParts(
                List.of(
                    new ResinPart("a", "A", ResinPart.Side.A, null, null, strokeA, List.of()),
                    new ResinPart("b", "B", ResinPart.Side.B, null, null, strokeB, List.of())));
    return Samples.planner(new EngineModel()).work(session, workshop);
  }
}
