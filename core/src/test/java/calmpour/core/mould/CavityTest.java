package calmpour.core.mould;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.Samples;
import calmpour.core.check.InvalidValuesException;
import calmpour.core.check.Problem;
import java.util.List;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.assertj.core.api.ThrowableAssert.ThrowingCallable;
import org.junit.jupiter.api.Test;

class CavityTest {
  private static Measurement water(
      Measurement.Method method, Double empty, Double filled, Double celsius, Integer together) {
    return new Measurement(
        method, empty, filled, celsius, 0.1, null, null, together, null, List.of(), List.of(), null,
        null, null);
  }

  private static Measurement shape(Solid... parts) {
    return Samples.solids(parts);
  }

  private static Measurement logged(Measurement.LoggedLevel... levels) {
    return new Measurement(
        Measurement.Method.PARTIAL_POUR,
        null,
        null,
        null,
        null,
        null,
        null,
        null,
        null,
        List.of(),
        List.of(levels),
        null,
        null,
        null);
  }

  private static Cavity cavity(Measurement by, Double depth) {
    return new Cavity("main", "Main", 1, by, depth, null, null, null);
  }

  private static void refused(ThrowingCallable call, String field, Problem.Code code) {
    assertThatThrownBy(call)
        .isInstanceOfSatisfying(
            InvalidValuesException.class,
            e ->
                assertThat(e.problems())
                    .anySatisfy(p -> {
                      assertThat(p.field()).isEqualTo(field);
                      assertThat(p.code()).isEqualTo(code);
                    }));
  }

  /** CRC Handbook: water at 20 °C weighs 0.99821 g/mL, so 11.779 g of it are 11.8 mL. */
  @Test
  void waterWeighedBeforeAndAfterGivesTheVolume() {
    Measured knob =
        cavity(water(Measurement.Method.WATER_IN_MOULD, 60.2, 71.979, 20.0, null), 22.0).measured();
    assertThat(knob.volumeMl()).isCloseTo(11.8, within(2e-4));
    // A tenth of a gram, and a hundredth for how full "full" is.
    assertThat(knob.plusMinusMl()).isCloseTo(0.1 + 0.118, within(1e-3));
    assertThat(knob.doubts()).isEmpty();
  }

  @Test
  void alikeOnesTippedTogetherShareAndOthersAreOnlyATotal() {
    Measurement five = water(Measurement.Method.WATER_TIPPED_ON_SCALE, null, 40.0, 21.0, 5);
    Measured one = cavity(five, null).measured();
    assertThat(one.volumeMl()).isCloseTo(40 / 0.99799 / 5, within(1e-3));
    assertThat(one.totalMl()).isCloseTo(40.08, within(0.01));
    assertThat(one.depthAssumed()).isTrue();
    assertThat(one.doubts()).contains(Measured.Doubt.READS_LOW);
    Measurement mixed =
        new Measurement(
            Measurement.Method.WATER_TIPPED_IN_CUP,
            null,
            null,
            null,
            null,
            60.0,
            1.0,
            4,
            false,
            List.of(),
            List.of(),
            null,
            null,
            null);
    assertThat(Measured.of(mixed, null, null).totalMl()).isEqualTo(60);
    refused(() -> cavity(mixed, null), "measure.identical", Problem.Code.ONLY_A_TOTAL);
  }

  @Test
  void waterSaysHowMuchAndTheShapeSaysHowItFills() {
    Measurement both =
        new Measurement(
            Measurement.Method.WATER_IN_MOULD,
            null,
            9.5,
            20.0,
            null,
            null,
            null,
            null,
            null,
            List.of(SolidTest.cone(0, 30, 40)),
            List.of(),
            null,
            null,
            null);
    DepthProfile profile = cavity(both, null).measured().profile();
    assertThat(profile.volumeMl()).isCloseTo(9.517, within(1e-3));
    assertThat(profile.volumeAtMl(20)).isCloseTo(9.517 / 8, within(1e-3));
  }

  @Test
  void aLoggedPourIsCarriedOnToTheRim() {
    // 6 mL reached 10 of 25 mm; upright walls would make it 15.
    Measured whole = cavity(logged(new Measurement.LoggedLevel(10, 6)), 25.0).measured();
    assertThat(whole.volumeMl()).isEqualTo(15);
    assertThat(whole.plusMinusMl()).isGreaterThan(2);
    // A second one nearer the rim says that the walls lean outwards.
    Measured better =
        cavity(
                logged(new Measurement.LoggedLevel(10, 6), new Measurement.LoggedLevel(20, 15)),
                25.0)
            .measured();
    assertThat(better.volumeMl()).isCloseTo(19.5, within(1e-9));
    assertThat(better.profile().volumeAtMl(10)).isCloseTo(6, within(1e-9));
    assertThat(better.plusMinusMl()).isLessThan(whole.plusMinusMl());
    refused(
        () -> cavity(logged(new Measurement.LoggedLevel(30, 6)), 25.0),
        "measure.levels[0].depthMm",
        Problem.Code.ABOVE_RIM);
    refused(
        () -> logged(new Measurement.LoggedLevel(10, 6), new Measurement.LoggedLevel(12, 5)),
        "levels[1].depthMm",
        Problem.Code.LEVELS_NOT_RISING);
    refused(
        () -> cavity(logged(new Measurement.LoggedLevel(10, 6)), null),
        "depthMm",
        Problem.Code.MISSING);
  }

  @Test
  void whatCannotBeIsRefusedAtItsField() {
    refused(
        () -> water(Measurement.Method.WATER_IN_MOULD, 60.0, 50.0, null, null),
        "filledG",
        Problem.Code.NOT_HEAVIER);
    refused(
        () -> cavity(water(Measurement.Method.WATER_IN_MOULD, 60.0, 60.01, null, null), 3.0),
        "measure.filledG",
        Problem.Code.OUT_OF_RANGE);
    refused(() -> Measurement.told(0, null), "toldMl", Problem.Code.OUT_OF_RANGE);
    refused(() -> Measurement.told(1e9, null), "toldMl", Problem.Code.OUT_OF_RANGE);
    refused(
        () -> water(Measurement.Method.WATER_TIPPED_ON_SCALE, null, null, null, null),
        "filledG",
        Problem.Code.MISSING);
  }

  @Test
  void aRememberedDepthThatCannotBeIsDoubted() {
    Measurement twelve = Measurement.told(12, 0.0);
    assertThat(Measured.of(twelve, 8.0, 20.0).doubts()).contains(Measured.Doubt.WIDER_THAN_LONG);
    assertThat(Measured.of(twelve, 22.0, 27.0).doubts()).isEmpty();
  }

  /** A tube of 20 mm outside and 12 mm inside: π(10² − 6²)h, worked out by hand. */
  @Test
  void anInnerMouldLeavesAHollowAndWantsBallast() {
    Solid outside = SolidTest.solid(SolidKind.CYLINDER, null, 20.0, 30.0);
    Solid rod = SolidTest.solid(SolidKind.CYLINDER, null, 12.0, 40.0);
    InnerMould inner = new InnerMould(List.of(rod), 4, 2.0);
    Cavity tube = new Cavity("t", "Tube", 1, shape(outside), null, null, inner, null);
    DepthProfile profile = tube.measured().profile();
    double floor = Math.PI * 100 * 4 / 1_000;
    assertThat(profile.volumeAtMl(4)).isCloseTo(floor, within(1e-9));
    assertThat(profile.volumeMl())
        .isCloseTo(floor + Math.PI * (100 - 36) * 26 / 1_000, within(1e-9));
    InnerMould.Effect effect = inner.effect(tube.bare(), 1.1);
    assertThat(effect.savedMl()).isCloseTo(Math.PI * 36 * 26 / 1_000, within(1e-9));
    assertThat(effect.wallMm()).isCloseTo(4, within(1e-9));
    // Archimedes: it is pushed up by the resin it keeps out.
    assertThat(effect.liftG()).isCloseTo(2.9405 * 1.1, within(1e-3));
    // A quarter more than the lift, less the 2 g that the rod weighs itself.
    assertThat(effect.ballastG()).isCloseTo(2.9405 * 1.1 * 1.25 - 2, within(1e-3));
    assertThat(effect.drawsOut()).isTrue();
    assertThat(
            new InnerMould(List.of(SolidTest.cone(14, 8, 20)), 4, null)
                .effect(tube.bare(), 1.1)
                .drawsOut())
        .isFalse();
    refused(
        () ->
            new Cavity(
                "t",
                "Tube",
                1,
                shape(outside),
                null,
                null,
                new InnerMould(
                    List.of(SolidTest.solid(SolidKind.CYLINDER, null, 22.0, 10.0)), 4, null),
                null),
        "inner.parts",
        Problem.Code.INNER_TOO_WIDE);
  }

  /** A trough 96 long and 16 wide: the section shows the length, the wall is where it is narrow. */
  @Test
  void theWallIsTakenWhereTheCavityIsNarrow() {
    Measurement trough = shape(SolidTest.solid(SolidKind.BOX, 96.0, 16.0, 20.0));
    InnerMould thin =
        new InnerMould(List.of(SolidTest.solid(SolidKind.CYLINDER, null, 12.0, 30.0)), 2, null);
    Cavity cavity = new Cavity("t", "T", 1, trough, null, null, thin, null);
    assertThat(thin.effect(cavity.bare(), 1.1).wallMm()).isCloseTo(2, within(1e-9));
    InnerMould wide =
        new InnerMould(List.of(SolidTest.solid(SolidKind.CYLINDER, null, 20.0, 30.0)), 2, null);
    refused(
        () -> new Cavity("t", "T", 1, trough, null, null, wide, null),
        "inner.parts",
        Problem.Code.INNER_TOO_WIDE);
  }

  @Test
  void aBedOfChipsKeepsResinOutWhereItLies() {
    Solid box = SolidTest.solid(SolidKind.BOX, 50.0, 40.0, 20.0);
    // 13 g of stone at 2.6 are 5 mL, lying loosely in 10 mL: half of the lowest 5 mm.
    Cavity tray = new Cavity("t", "T", 1, shape(box), null, null, null, new ChipBed(10, 13, null));
    DepthProfile profile = tray.measured().profile();
    assertThat(profile.volumeAtMl(5)).isCloseTo(5, within(1e-6));
    assertThat(profile.volumeMl()).isCloseTo(35, within(1e-9));
    assertThat(profile.depthAtMm(15)).isCloseTo(10, within(1e-6));
    refused(() -> new ChipBed(4, 13, null), "massG", Problem.Code.BED_TOO_HEAVY);
  }

  @Provide
  Arbitrary<List<Double>> rises() {
    return Arbitraries.doubles().between(0.01, 20).list().ofMinSize(2).ofMaxSize(24);
  }

  /** Whatever was logged, a profile never turns back and goes through every point. */
  @Property(tries = 300, seed = "20261123")
  void aLoggedProfileNeverTurnsBack(
      @ForAll("rises") List<Double> depths, @ForAll("rises") List<Double> volumes) {
    int n = Math.min(depths.size(), volumes.size());
    double[] d = new double[n + 1];
    double[] v = new double[n + 1];
    for (int i = 0; i < n; i++) {
      d[i + 1] = d[i] + depths.get(i);
      v[i + 1] = v[i] + volumes.get(i);
    }
    MonotoneProfile profile = new MonotoneProfile(d, v, null);
    double before = 0;
    for (int i = 0; i <= 500; i++) {
      double now = profile.volumeAtMl(Math.min(profile.depthMm(), profile.depthMm() * i / 500));
      assertThat(now).isGreaterThanOrEqualTo(before - 1e-9);
      before = now;
    }
    for (int i = 0; i <= n; i++) {
      assertThat(profile.volumeAtMl(d[i])).isCloseTo(v[i], within(1e-9 + 1e-12 * v[i]));
      assertThat(profile.depthAtMm(v[i])).isCloseTo(d[i], within(1e-4 * profile.depthMm()));
    }
  }

  @Test
  void puttyForAWholeMasterAndRubberForABox() {
    // Master 40 × 20 × 10 of 8 mL in 10 mm walls: 60 × 40 × 20 less 8 = 40 mL, equal parts.
    MouldMaking putty =
        new MouldMaking(MouldMaking.Kind.PUTTY, 8, 40, 20, 10, 10.0, 1.25, 1, 1, 0, 5, 0.5);
    assertThat(putty.need()).isEqualTo(new MouldMaking.Need(40, 25, 25));
    // A box of 80 × 50 × 30 less 20 mL, 10:1 by weight, a tenth over.
    MouldMaking rubber =
        new MouldMaking(MouldMaking.Kind.POURED, 20, 80, 50, 30, null, 1.1, 10, 1, 10, 40, 24);
    assertThat(rubber.need().volumeMl()).isCloseTo(110, within(1e-9));
    assertThat(rubber.need().partAG()).isCloseTo(110, within(1e-9));
    assertThat(rubber.need().partBG()).isCloseTo(11, within(1e-9));
    refused(
        () ->
            new MouldMaking(MouldMaking.Kind.POURED, 200, 50, 50, 30, null, null, 10, 1, 0, 40, 24),
        "masterMl",
        Problem.Code.OVERFILLED);
  }
}
