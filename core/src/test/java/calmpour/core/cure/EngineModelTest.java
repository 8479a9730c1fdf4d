package calmpour.core.cure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.Samples;
import calmpour.core.habit.Care;
import calmpour.core.mould.Mould;
import calmpour.core.mould.MouldMake;
import calmpour.core.resin.LabelFacts;
import calmpour.core.resin.MixRatio;
import calmpour.core.resin.OwnPace;
import calmpour.core.resin.PotLifeRow;
import calmpour.core.resin.ResinSystem;
import java.time.LocalDate;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class EngineModelTest {
  private static final MixRatio TWO_TO_ONE = new MixRatio(2, 1, MixRatio.Basis.WEIGHT);

  /** 40 minutes for 100 g at 24 °C. */
  private static final ResinSystem SLOW = Samples.resin(TWO_TO_ONE, 1.15, 1.0, 40.0, null);

  private final EngineModel model = new EngineModel();

  @Test
  void theLabelComesOutWithItsSpread() {
    CureStates.Moment thick = model.states(SLOW, Calibration.asLabelled(100, 24)).workingTimeEnds();
    assertThat(thick.minutes()).isCloseTo(40, within(0.02));
    // A label 15 % short in a room a degree and a half warmer: 34 min, less a tenth.
    assertThat(thick.earliestMinutes()).isBetween(28.0, 34.0);
    assertThat(thick.latestMinutes()).isBetween(46.0, 54.0);
  }

  /**
   * Of seeded resins, with one pot life or two that do not quite agree, with a pace that was
   * learned or without: what the chance of a plan takes for usual is what the plan itself takes for
   * it.
   */
  @Test
  void chanceAndPlanThinkTheSameOfAResin() {
    Random random = new Random(41);
    for (int i = 0; i < 24; i++) {
      double minutes = 12 + 50 * random.nextDouble();
      ResinSystem resin = Samples.resin(TWO_TO_ONE, 1.15, 1.0, minutes, null);
      if (random.nextBoolean()) {
        PotLifeRow row = new PotLifeRow(100, 30, minutes * (0.45 + 0.4 * random.nextDouble()));
        resin =
            resin.withFacts(
                new LabelFacts(
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
                    List.of(row),
                    null));
      }
      if (random.nextBoolean()) {
        double times = 0.6 + random.nextDouble();
        resin = resin.withOwn(new OwnPace(new OwnPace.Pace(times, 0.03, 5, LocalDate.EPOCH), null));
      }
      BodyHistory cup =
          Calibration.asLabelled(30 + 100 * random.nextDouble(), 18 + 10 * random.nextDouble());
      double planned = model.thickens(resin, cup).workingMinutes();
      assertThat(model.workingTimes(resin, cup).minutes(0, 1) / planned)
          .as(resin.toString())
          .isCloseTo(1, within(0.02));
      // A resin that pours longer than thought does so in every cup.
      assertThat(model.workingTimes(resin, cup).minutes(0, 1.3)).isGreaterThan(planned);
    }
  }

  @Test
  void statesComeInTheirOrder() {
    for (double massG : new double[] {5, 40, 250}) {
      for (double roomC : new double[] {12, 22, 32}) {
        CureStates states = model.states(SLOW, Calibration.asLabelled(massG, roomC));
        CureStates.Moment thick = states.workingTimeEnds();
        assertThat(thick.earliestMinutes()).isLessThan(thick.minutes());
        assertThat(thick.minutes()).isLessThan(thick.latestMinutes());
        assertThat(states.gels().minutes()).isGreaterThanOrEqualTo(thick.minutes());
      }
    }
  }

  /**
   * Where the rule of thumb holds, the two agree to a good third: cups of the label's mass, rooms
   * from 18 to 30 °C. Far from there they need not, and that is why there is an engine.
   */
  @Test
  void nearTheLabelItAgreesWithTheRuleOfThumb() {
    HalvingRule rule = new HalvingRule();
    for (double massG : new double[] {60, 100, 150}) {
      for (double roomC : new double[] {18, 24, 30}) {
        BodyHistory body = Calibration.asLabelled(massG, roomC);
        double engine = model.states(SLOW, body).workingTimeEnds().minutes();
        double thumb = rule.states(SLOW, body).workingTimeEnds().minutes();
        assertThat(engine / thumb).as(massG + " g at " + roomC).isBetween(0.7, 1.4);
      }
    }
  }

  /** Thick walls keep the heat in, stone takes it away: a block gets warmer, and cooler. */
  @Test
  void whatAPieceLiesInDecidesHowWarmItGets() {
    BodyShape.InMould lies =
        (BodyShape.InMould)
            Calibration.piece(calmpour.core.resin.ResinKind.CASTING, 60, 22).last().shape();
    double thin = peak(lies);
    double board = peak(lies.in(around(null, null, Care.StandsOn.BOARD)));
    double stone = peak(lies.in(around(null, null, Care.StandsOn.STONE)));
    assertThat(stone).isLessThan(board - 0.5);
    double thick = peak(lies.in(around(MouldMake.Material.SILICONE, 25.0, Care.StandsOn.BOARD)));
    double wood = peak(lies.in(around(MouldMake.Material.WOODEN_FORM, null, Care.StandsOn.STONE)));
    assertThat(board).isEqualTo(thin);
    assertThat(thick).isGreaterThan(board + 2);
    assertThat(wood).isGreaterThan(thick);
    assertThat(lies.in(around(MouldMake.Material.SILICONE, 3.0, Care.StandsOn.BOARD)))
        .isEqualTo(lies);
  }

  private double peak(BodyShape.InMould lies) {
    return model
        .states(SLOW, new BodyHistory(22, List.of(new BodyHistory.Segment(0, 187, lies, 22))))
        .heat()
        .peakC();
  }

  private static BodyShape.Around around(
      MouldMake.Material material, Double wallMm, Care.StandsOn on) {
    MouldMake make =
        new MouldMake(
                material, null, null, null, null, null, null, null, null, null, null, null, null)
            .withWallMm(wallMm);
    return BodyShape.Around.of(new Mould("m", "m", mould().cavities(), make, null), on);
  }

  private static Mould mould() {
    return Mould.told("m", "m", 50, 40.0, null);
  }

  /** A mix that is jelly before it begins has no such pot life: the rule of thumb stands in. */
  @Test
  void aLabelThatCannotBeMetIsLeftToTheRule() {
    ResinSystem jelly =
        new ResinSystem(
            "resin",
            "Jelly",
            calmpour.core.resin.ResinKind.CASTING,
            TWO_TO_ONE,
            1.1,
            1.0,
            40.0,
            100.0,
            24.0,
            null,
            null,
            null,
            null,
            null,
            null,
            new calmpour.core.resin.LabelFacts(
                null, null, null, 30.0, null, null, null, null, null, null, null, null),
            null,
            null);
    assertThat(Calibration.of(jelly).chemistry()).isNull();
    assertThat(Calibration.of(jelly).refusals().get(0).why())
        .isEqualTo(Calibrated.Why.TOO_THICK_WHEN_FRESH);
    BodyHistory body =
        new BodyHistory(24, List.of(Calibration.asLabelled(100, 24).segments().get(0)));
    assertThat(model.states(jelly, body)).isEqualTo(new HalvingRule().states(jelly, body));
  }
}
