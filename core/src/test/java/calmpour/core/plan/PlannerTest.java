package calmpour.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.Samples;
import calmpour.core.check.InvalidValuesException;
import calmpour.core.check.Problem;
import calmpour.core.design.Fill;
import calmpour.core.design.Join;
import calmpour.core.design.Layer;
import calmpour.core.habit.Habits;
import calmpour.core.mould.Mould;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.Finding;
import calmpour.core.plan.doc.Plan;
import calmpour.core.plan.doc.Task;
import calmpour.core.resin.MixRatio;
import calmpour.core.resin.ResinSystem;
import calmpour.core.session.JustMix;
import calmpour.core.session.Piece;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import calmpour.core.tint.Colour;
import java.util.List;
import org.junit.jupiter.api.Test;

class PlannerTest {
  private static final ResinSystem SLOW = Samples.resin(2, 1, MixRatio.Basis.WEIGHT);
  private static final Mould KNOB = Samples.mould("knob", 12, 20.0);
  private static final Colour BLUE =
      new Colour("blue", "Blue", "#335577", List.of(new Colour.Part("tint", 1.5)));

  private static Workshop workshop(ResinSystem resin, Mould... moulds) {
    return Samples.workshop(resin, List.of(moulds), List.of(BLUE));
  }

  private static Plan plan(Session session, Workshop workshop) {
    return Samples.planner().plan(session, workshop);
  }

  private static Piece twoLayers(int count, Fill first, Join join) {
    return new Piece(
        "knob",
        count,
        List.of(new Layer("blue", first, Join.TOGETHER), new Layer("clear", null, join)));
  }

  private static List<Cup.Pour> pours(Plan plan, int layer) {
    return plan.batches().stream()
        .flatMap(b -> b.cups().stream())
        .flatMap(c -> c.pours().stream())
        .filter(p -> p.layer() == layer)
        .toList();
  }

  @Test
  void aThirdByShareByDepthAndByVolumeIsTheSamePour() {
    for (Fill fill : List.of(Fill.ofShare(0.25), Fill.ofDepthMm(5), Fill.ofVolumeMl(3))) {
      Session session = Samples.session(List.of(twoLayers(2, fill, Join.TOGETHER)));
      Plan plan = plan(session, workshop(SLOW, KNOB));
      assertThat(pours(plan, 0))
          .allSatisfy(p -> {
            assertThat(p.volumeMl()).isCloseTo(3, within(1e-9));
            assertThat(p.toMm()).isCloseTo(5, within(1e-9));
          });
      assertThat(pours(plan, 1))
          .allSatisfy(p -> assertThat(p.volumeMl()).isCloseTo(9, within(1e-9)));
    }
  }

  /**
   * Common practice, no source: water tipped from all moulds into one cup marks A and B together;
   * who takes it for A alone mixes twice too much.
   */
  @Test
  void theMouldsTogetherHoldAAndBTogether() {
    Session session =
        Samples.session(List.of(new Piece("knob", 5, List.of(new Layer("clear", null, null)))));
    Batch batch = plan(session, workshop(SLOW, KNOB)).batches().get(0);
    double water = 5 * 12;
    double volume = batch.measuring().partA().volumeMl() + batch.measuring().partB().volumeMl();
    assertThat(volume).isBetween(water, water * 1.05 + 1.5 + 0.02 * 70 + 0.5);
  }

  @Test
  void aGelJoinIsABatchOfItsOwnFourHoursAfterMixing() {
    Session session = Samples.session(List.of(twoLayers(3, Fill.ofShare(0.5), Join.GEL)));
    Plan plan = plan(session, workshop(SLOW, KNOB));
    assertThat(plan.batches()).hasSize(2);
    int mixed = plan.batches().get(0).times().mixedSeconds();
    int firstOnTop = pours(plan, 1).stream().mapToInt(Cup.Pour::startSeconds).min().orElseThrow();
    assertThat(firstOnTop).isEqualTo(mixed + 240 * 60);
  }

  @Test
  void aCuredJoinWaitsForItsDay() {
    Session session = Samples.session(List.of(twoLayers(1, Fill.ofShare(0.5), Join.CURED)));
    Plan plan = plan(session, workshop(SLOW, KNOB));
    assertThat(pours(plan, 1).get(0).startSeconds())
        .isGreaterThanOrEqualTo(pours(plan, 0).get(0).endSeconds() + 24 * 3_600);
  }

  @Test
  void aPourTooLargeForACupComesFromSeveral() {
    Mould block = Samples.mould("knob", 300, 60.0);
    ResinSystem small = Samples.resin(SLOW.ratio(), 1.15, 1.01, 90.0, 150.0);
    Session session =
        Samples.session(List.of(new Piece("knob", 1, List.of(new Layer("blue", null, null)))));
    Plan plan = plan(session, workshop(small, block));
    assertThat(plan.batches()).hasSizeGreaterThan(2);
    assertThat(plan.batches())
        .allSatisfy(b -> assertThat(b.measuring().totalG()).isLessThanOrEqualTo(150));
    assertThat(pours(plan, 0).stream().mapToDouble(Cup.Pour::volumeMl).sum())
        .isCloseTo(300, within(1e-9));
    assertThat(plan.findings()).extracting(Finding::rule).contains(Finding.Rule.POUR_IN_PARTS);
  }

  @Test
  void aLatePourIsABreachAndEveryMendOfferedReallyMendsIt() {
    ResinSystem quick = Samples.resin(SLOW.ratio(), 1.15, 1.01, 13.0, 500.0);
    Mould knob = Samples.mould("knob", 60, 50.0);
    Session session =
        Samples.session(List.of(new Piece("knob", 2, List.of(new Layer("blue", null, null)))));
    Plan plan = plan(session, workshop(quick, knob));
    assertThat(plan.spareSeconds()).isNegative();
    List<Finding> late =
        plan.findings().stream()
            .filter(f -> f.rule() == Finding.Rule.POUR_AFTER_WORKING_TIME)
            .filter(f -> f.severity() == Finding.Severity.BREACH)
            .toList();
    assertThat(late).isNotEmpty();
    long expected =
        plan.batches().get(0).cups().stream()
            .mapToLong(c ->
                c.pours().stream()
                    .filter(p -> p.endSeconds() > c.times().thickensSeconds() - 180)
                    .count())
            .sum();
    assertThat(late).hasSize((int) expected);
    assertThat(late.get(0).mends()).isNotEmpty();
    for (Finding.Mend mend : late.get(0).mends()) {
      Session mended =
          switch (mend.kind()) {
            case NO_WARMING ->
                session.withHabits(
                    session.habits().withMixing(session.habits().mixing().unwarmed()));
            case SHORTER_REST -> session.withHabits(session.habits().withRestMinutes(mend.value()));
            case COOLER_ROOM -> session.withTemperatureC(mend.value());
            default -> throw new AssertionError(mend + " is no way out of a late pour");
          };
      assertThat(plan(mended, workshop(quick, knob)).spareSeconds())
          .as(mend.toString())
          .isNotNegative();
    }
  }

  /**
   * Common practice, no source: a 20-minute resin with 4 min of mixing and 15 min of rest leaves a
   * minute, so nothing can be poured in time.
   */
  @Test
  void aTwentyMinuteResinWithALongRestLeavesNoTimeToPour() {
    ResinSystem quick =
        new ResinSystem(
            "resin",
            "Quick",
            SLOW.kind(),
            SLOW.ratio(),
            1.15,
            1.01,
            20.0,
            100.0,
            22.0,
            500.0,
            4.0,
            null,
            null,
            null,
            null,
            null,
            null,
            null);
    Habits rested = Habits.DEFAULT.withRestMinutes(15);
    Session session =
        Samples.session(
            List.of(new Piece("knob", 1, List.of(new Layer("clear", null, null)))), null, rested);
    Plan plan = plan(session, workshop(quick, Samples.mould("knob", 84, 60.0)));
    Batch batch = plan.batches().get(0);
    int thickens = batch.cups().get(0).times().thickensSeconds();
    int restEnds = batch.times().contactSeconds() + 60 + (4 + 15) * 60;
    assertThat(thickens - restEnds).isBetween(-30, 90);
    assertThat(plan.spareSeconds()).isNegative();
  }

  @Test
  void justMixIsTheTotalAndNothingElse() {
    Session session = Samples.session(List.of(), new JustMix(84.0, null), Habits.DEFAULT);
    Plan plan = plan(session, workshop(SLOW));
    Batch batch = plan.batches().get(0);
    assertThat(batch.measuring().partA().massG()).isEqualTo(56.0);
    assertThat(batch.measuring().partB().massG()).isEqualTo(28.0);
    assertThat(plan.totals().staysG()).isEqualTo(84.0);
    assertThat(plan.tasks()).extracting(Task::kind).doesNotContain(Task.Kind.POUR);
  }

  @Test
  void whatNobodyKnowsIsAssumedAndSaidSo() {
    ResinSystem bare = Samples.resin(SLOW.ratio(), null, null, null, null);
    Session session = Samples.session(List.of(), new JustMix(50.0, null), Habits.DEFAULT);
    assertThat(plan(session, workshop(bare)).assumptions())
        .extracting(a -> a.quantity())
        .containsExactly("densityA", "densityB", "potLifeMinutes");
  }

  @Test
  void everythingWrongIsToldAtItsPlace() {
    Mould deepUnknown = Samples.mould("flat", 10, null);
    Session session =
        Samples.session(
            List.of(
                new Piece("gone", 1, List.of(new Layer("clear", null, null))),
                twoLayers(1, Fill.ofVolumeMl(13), Join.TOGETHER),
                new Piece("flat", 1, List.of(new Layer("mauve", Fill.ofDepthMm(2), null))),
                new Piece("flat", 1, List.of(new Layer("clear", Fill.ofDepthMm(2), null)))));
    assertThatThrownBy(() -> plan(session, workshop(SLOW, KNOB, deepUnknown)))
        .isInstanceOfSatisfying(
            InvalidValuesException.class,
            e ->
                assertThat(e.problems())
                    .extracting(p -> p.field() + " " + p.code())
                    .containsExactly(
                        "pieces[0].mouldId UNKNOWN_ID",
                        "pieces[1].layers[0].fill OVERFILLED",
                        "pieces[2].layers[0].colourId UNKNOWN_ID",
                        "pieces[3].layers[0].fill.depthMm DEPTH_UNKNOWN"));
  }

  @Test
  void anAbsurdSessionIsRefusedRatherThanPlannedForHours() {
    ResinSystem thimble = Samples.resin(SLOW.ratio(), 1.15, 1.01, 40.0, 6.0);
    Session session =
        Samples.session(List.of(new Piece("knob", 500, List.of(new Layer("clear", null, null)))));
    assertThatThrownBy(() -> plan(session, workshop(thimble, KNOB)))
        .isInstanceOfSatisfying(
            InvalidValuesException.class,
            e ->
                assertThat(e.problems().get(0).code())
                    .isIn(Problem.Code.TOO_MANY, Problem.Code.CUP_TOO_SMALL));
  }
}
