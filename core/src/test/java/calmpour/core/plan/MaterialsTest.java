package calmpour.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.Samples;
import calmpour.core.cup.CupKind;
import calmpour.core.design.Layer;
import calmpour.core.mould.Mould;
import calmpour.core.mould.MouldState;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Finding;
import calmpour.core.plan.doc.Plan;
import calmpour.core.plan.ways.Sensitivity;
import calmpour.core.resin.CureTimes;
import calmpour.core.resin.LabelCheck;
import calmpour.core.resin.LabelFacts;
import calmpour.core.resin.MixRatio;
import calmpour.core.resin.ResinKind;
import calmpour.core.resin.ResinSystem;
import calmpour.core.session.Piece;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import calmpour.core.stock.ResinPart;
import calmpour.core.tint.Colour;
import calmpour.core.tint.ColourantForm;
import java.time.LocalDateTime;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What a plan says of the moulds and materials it is made with. */
class MaterialsTest {
  private static final MixRatio TWO_TO_ONE = new MixRatio(2, 1, MixRatio.Basis.WEIGHT);

  private static ResinSystem resin(ResinKind kind, CureTimes times, LabelFacts facts) {
    return new ResinSystem(
        "resin",
        "Resin",
        kind,
        TWO_TO_ONE,
        1.15,
        null,
        40.0,
        100.0,
        24.0,
        500.0,
        3.0,
        null,
        null,
        null,
        times,
        facts,
        null,
        null);
  }

  private static LabelFacts facts(Double from, Double to) {
    return new LabelFacts(null, null, null, null, from, to, null, null, null, null, null, null);
  }

  private static Mould mould(MouldState state, double volumeMl, Double plusMinus) {
    Mould plain = Mould.told("m", "Knob", volumeMl, 20.0, plusMinus);
    return new Mould("m", "Knob", plain.cavities(), null, state);
  }

  private static Plan plan(Mould mould, ResinSystem resin, String colour) {
    Session session =
        Samples.session(List.of(new Piece("m", 1, List.of(new Layer(colour, null, null)))));
    Workshop workshop =
        new Workshop(
            List.of(mould),
            List.of(resin),
            List.of(Samples.colourant("paint", ColourantForm.ACRYLIC_PAINT)),
            List.of(new Colour("cream", "Cream", "#eeddbb", List.of(new Colour.Part("paint", 3)))),
            List.of(
                new CupKind(
                    "wax",
                    "Paper cup",
                    CupKind.Use.EITHER,
                    60,
                    70,
                    80,
                    CupKind.Outline.ROUND,
                    CupKind.Material.WAXED_PAPER,
                    null)));
    return Samples.planner().plan(session, workshop);
  }

  private static List<Finding.Rule> rules(Plan plan) {
    return plan.findings().stream().map(Finding::rule).toList();
  }

  @Test
  void aMouldThatIsNotFitIsTold() {
    ResinSystem resin = resin(ResinKind.CASTING, null, null);
    MouldState wetAndUrethane =
        new MouldState(3, 80, MouldState.Chemistry.URETHANE, false, false, null);
    assertThat(rules(plan(mould(wetAndUrethane, 10, 0.0), resin, "clear")))
        .contains(
            Finding.Rule.MOULD_NOT_DRY,
            Finding.Rule.MOULD_NOT_CLEAN,
            Finding.Rule.URETHANE_BEFORE_EPOXY);
    ResinSystem urethane = resin(ResinKind.POLYURETHANE, null, null);
    assertThat(rules(plan(mould(wetAndUrethane, 10, 0.0), urethane, "clear")))
        .doesNotContain(Finding.Rule.URETHANE_BEFORE_EPOXY);
    MouldState fresh = new MouldState(0, 80, null, true, true, null);
    assertThat(rules(plan(mould(fresh, 10, 0.0), resin, "clear")))
        .contains(Finding.Rule.MOULD_FIRST_CAST)
        .doesNotContain(Finding.Rule.MOULD_NOT_DRY);
    assertThat(
            rules(
                plan(
                    mould(new MouldState(73, 80, null, null, null, null), 10, 0.0),
                    resin,
                    "clear")))
        .contains(Finding.Rule.MOULD_NEAR_ITS_END);
    assertThat(
            rules(
                plan(
                    mould(new MouldState(80, 80, null, null, null, null), 10, 0.0),
                    resin,
                    "clear")))
        .contains(Finding.Rule.MOULD_PAST_ITS_END);
    LocalDateTime later = LocalDateTime.of(2026, 11, 28, 12, 30);
    Plan early =
        plan(mould(new MouldState(0, null, null, null, null, later), 10, 0.0), resin, "clear");
    assertThat(early.findings())
        .anySatisfy(f -> {
          assertThat(f.rule()).isEqualTo(Finding.Rule.MOULD_NOT_READY);
          assertThat(f.severity()).isEqualTo(Finding.Severity.BREACH);
          assertThat(f.value()).isEqualTo(2.5);
        });
  }

  @Test
  void wrongUseIsToldNotForbidden() {
    Mould knob = mould(null, 10, 0.0);
    assertThat(rules(plan(knob, resin(ResinKind.COATING, null, null), "cream")))
        .contains(
            Finding.Rule.COATING_IN_A_MOULD, Finding.Rule.WAXED_CUP, Finding.Rule.WATER_IN_COLOUR);
    assertThat(rules(plan(knob, resin(ResinKind.DEEP, null, facts(30.0, 100.0)), "clear")))
        .contains(Finding.Rule.THINNER_THAN_RATED);
    assertThat(rules(plan(knob, resin(ResinKind.FAST, null, facts(null, 12.0)), "clear")))
        .contains(Finding.Rule.DEEPER_THAN_RATED);
  }

  /** Ten millilitres that may be eleven: a tenth more is mixed, and the plan says why. */
  @Test
  void howWellAMouldIsKnownShowsInTheAllowance() {
    ResinSystem resin = resin(ResinKind.CASTING, null, null);
    double sure = plan(mould(null, 100, 0.0), resin, "clear").totals().resinG();
    Plan unsure = plan(mould(null, 100, 10.0), resin, "clear");
    double poured = unsure.totals().pouredG();
    assertThat(unsure.totals().resinG() - sure).isCloseTo(poured / 10 / 0.98, within(0.3));
    assertThat(rules(unsure)).contains(Finding.Rule.VOLUME_UNSURE);
  }

  /** A bottle's own density stands in where the system's label gives none. */
  @Test
  void bottlesTellTheDensityThatTheLabelLeavesOut() {
    ResinSystem silent =
        new ResinSystem(
            "resin",
            "Resin",
            ResinKind.CASTING,
            new MixRatio(1, 1, MixRatio.Basis.VOLUME),
            null,
            null,
            null,
            null,
            null,
            null,
            null,
            null,
            null,
            null,
            null,
            null,
            "a",
            "b");
    Workshop workshop =
        new Workshop(
            List.of(mould(null, 10, 0.0)),
            List.of(silent),
            List.of(),
            List.of(),
            List.of(),
            List.of(
                new ResinPart("a", "A", ResinPart.Side.A, 1.2, null, null, List.of()),
                new ResinPart("b", "B", ResinPart.Side.B, 0.96, null, null, List.of())),
            List.of());
    Session session =
        Samples.session(List.of(new Piece("m", 1, List.of(new Layer("clear", null, null)))));
    Batch batch = Samples.planner().plan(session, workshop).batches().get(0);
    // Equal volumes weigh as their densities do: 1.2 to 0.96 is 1.25.
    assertThat(batch.measuring().partA().massG() / batch.measuring().partB().massG())
        .isCloseTo(1.25, within(0.02));
  }

  /**
   * With equal parts by volume, weighed, A's share follows its density: 5 % up on 1.14 moves a
   * batch of M grams by what the mix weighs more, and a pot life that may be a third off moves the
   * time to spare by minutes, while nothing is dosed.
   */
  @Test
  void anAssumedValueSaysHowMuchItMatters() {
    ResinSystem silent =
        new ResinSystem(
            "resin",
            "Resin",
            ResinKind.CASTING,
            new MixRatio(1, 1, MixRatio.Basis.VOLUME),
            null,
            1.0,
            null,
            null,
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
    Workshop workshop =
        new Workshop(
            List.of(mould(null, 100, 0.0)), List.of(silent), List.of(), List.of(), List.of());
    Session session =
        Samples.session(List.of(new Piece("m", 1, List.of(new Layer("clear", null, null)))));
    List<Sensitivity.Weight> weights = Samples.planner().assumed(session, workshop);
    assertThat(weights)
        .extracting(w -> w.assumption().quantity())
        .containsExactly("densityA", "potLifeMinutes", "potLifeMassG", "potLifeTemperatureC");
    Sensitivity.Weight density = weights.get(0);
    assertThat(density.low()).isCloseTo(1.083, within(1e-9));
    // Half of the volume is A: 100 mL × 0.057 g/mL ÷ 2, and what clings and the overage on top.
    assertThat(density.resinG()).isCloseTo(2.85 * 1.05 / 0.98, within(0.25));
    assertThat(density.spareMinutes()).isLessThan(0.5);
    // 30 min × 0.3, at 22 °C half of a tenth longer lived than at 23.
    assertThat(weights.get(1).spareMinutes()).isBetween(8.0, 11.0);
    // Quicker than said, it is shared out otherwise so as to be in time, and more clings.
    assertThat(weights.get(1).resinG()).isBetween(1.0, 10.0);
    assertThat(weights).allSatisfy(w -> assertThat(w.dosePercent()).isZero());
  }

  private static List<LabelCheck.Kind> doubts(CureTimes times, LabelFacts facts) {
    return LabelCheck.of(resin(ResinKind.CASTING, times, facts)).stream()
        .map(LabelCheck.LabelDoubt::kind)
        .toList();
  }

  private static LabelFacts also(double a, double b, MixRatio.Basis basis, Boolean everyUse) {
    return new LabelFacts(
        new MixRatio(a, b, basis),
        null,
        null,
        null,
        null,
        null,
        null,
        null,
        null,
        null,
        null,
        everyUse);
  }

  /**
   * Common practice, no source: 2:1 by volume is 3:1 by weight only if A is 1.5 times as dense as
   * B, while epoxies sit near 1.1 to 1.2.
   */
  @Test
  void aLabelIsHeldAgainstItself() {
    MixRatio.Basis volume = MixRatio.Basis.VOLUME;
    assertThat(doubts(null, also(4, 3, volume, null)))
        .containsExactly(LabelCheck.Kind.RATIOS_DISAGREE);
    assertThat(doubts(null, also(100, 57, volume, null))).isEmpty();
    assertThat(doubts(null, also(2, 1, MixRatio.Basis.WEIGHT, true)))
        .containsExactly(LabelCheck.Kind.RATIOS_SAME_BASIS, LabelCheck.Kind.FOR_EVERY_USE);
    assertThat(doubts(new CureTimes(null, null, null, 80.0, null, 72.0), null))
        .containsExactly(LabelCheck.Kind.DEMOULD_AFTER_FULL_CURE);
    assertThat(doubts(new CureTimes(6.0, null, null, 3.0, null, null), null))
        .containsExactly(
            LabelCheck.Kind.DEMOULD_BEFORE_TACK_FREE, LabelCheck.Kind.SLOW_YET_SOON_OUT);
    assertThat(doubts(new CureTimes(0.5, null, null, 24.0, null, 72.0), null))
        .containsExactly(LabelCheck.Kind.TACK_FREE_WITHIN_POT_LIFE);
    assertThat(doubts(new CureTimes(8.0, 3.0, 12.0, 24.0, null, 72.0), facts(2.0, 50.0))).isEmpty();
  }
}
