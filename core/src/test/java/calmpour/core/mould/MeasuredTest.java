package calmpour.core.mould;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.Samples;
import calmpour.core.check.InvalidValuesException;
import calmpour.core.check.Problem;
import java.util.List;
import org.assertj.core.api.ThrowableAssert.ThrowingCallable;
import org.junit.jupiter.api.Test;

/** How far a volume may be off, and what is doubted of it, worked out by hand. */
class MeasuredTest {
  private static Measurement by(
      Measurement.Method method,
      Double emptyG,
      Double filledG,
      Double waterC,
      Double divisionG,
      Double readMl,
      Double divisionMl,
      Integer together) {
    return new Measurement(
        method,
        emptyG,
        filledG,
        waterC,
        divisionG,
        readMl,
        divisionMl,
        together,
        true,
        List.of(),
        List.of(),
        null,
        null,
        null);
  }

  private static Measurement logged(List<Solid> parts, Measurement.LoggedLevel... levels) {
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
        parts,
        List.of(levels),
        null,
        null,
        null);
  }

  private static Measured measured(Measurement by) {
    return Measured.of(by, null, null);
  }

  private static void refused(ThrowingCallable call, String field, Problem.Code code) {
    assertThatThrownBy(call)
        .isInstanceOfSatisfying(
            InvalidValuesException.class,
            e ->
                assertThat(e.problems())
                    .anyMatch(p -> p.field().equals(field) && p.code() == code));
  }

  /** Two readings to half a division each, shared by all that were tipped together. */
  @Test
  void waterIsAsGoodAsTheScaleAndTheEye() {
    Measured four =
        measured(
            by(Measurement.Method.WATER_TIPPED_ON_SCALE, 10.0, 50.0, 20.0, 0.5, null, null, 4));
    double one = 40 / 0.99821 / 4;
    assertThat(four.volumeMl()).isCloseTo(one, within(1e-3));
    assertThat(four.plusMinusMl()).isCloseTo(0.03 * one + 0.5 / 4, within(1e-4));
    // At 20 °C and in tenths of a gram where nobody said.
    Measured plain =
        measured(by(Measurement.Method.WATER_IN_MOULD, null, 9.9821, null, null, null, null, null));
    assertThat(plain.volumeMl()).isCloseTo(10, within(1e-3));
    assertThat(plain.plusMinusMl()).isCloseTo(0.1 + 0.1, within(1e-3));
    Measured cup =
        measured(by(Measurement.Method.WATER_TIPPED_IN_CUP, null, null, null, null, 60.0, 5.0, 3));
    assertThat(cup.volumeMl()).isEqualTo(20);
    assertThat(cup.plusMinusMl()).isCloseTo(0.6 + 2.5 / 3, within(1e-9));
    assertThat(cup.doubts()).containsExactly(Measured.Doubt.READS_LOW);
    Measured usual =
        measured(
            by(Measurement.Method.WATER_TIPPED_IN_CUP, null, null, null, null, 60.0, null, null));
    assertThat(usual.plusMinusMl()).isCloseTo(1.8 + 0.5, within(1e-9));
    assertThat(measured(Measurement.told(12, null)).plusMinusMl()).isCloseTo(1.2, within(1e-12));
    assertThat(measured(Measurement.told(12, null)).doubts())
        .containsExactly(Measured.Doubt.TOLD_ONLY);
    assertThat(measured(Measurement.told(12, 4.0)).plusMinusMl()).isCloseTo(0.48, within(1e-12));
    assertThat(measured(Measurement.told(12, 4.0)).doubts()).isEmpty();
  }

  /** Sizes are read to half a millimetre, each by itself: the root of the squares. */
  @Test
  void sizesOffByHalfAMillimetreAreAddedAsErrorsAre() {
    // Cylinder 20 × 10: π·100·10 = 3.1416 mL; 20.5 wide +5.0625 %, 10.5 deep +5 %.
    double cylinder = Math.PI;
    assertThat(
            measured(Samples.solids(SolidTest.solid(SolidKind.CYLINDER, null, 20.0, 10.0)))
                .plusMinusMl())
        .isCloseTo(cylinder * Math.hypot(0.050625, 0.05), within(1e-9));
    // Box 40 × 30 × 10: 150, 200 and 600 mm³.
    assertThat(
            measured(Samples.solids(SolidTest.solid(SolidKind.BOX, 40.0, 30.0, 10.0)))
                .plusMinusMl())
        .isCloseTo(Math.sqrt(0.15 * 0.15 + 0.2 * 0.2 + 0.6 * 0.6), within(1e-9));
    // A pyramid from 30 × 30 to 20 × 20, 12 deep: h(ab + cd + √)/3 by each of its five sizes.
    Solid pyramid =
        new Solid(SolidKind.PYRAMID_FRUSTUM, 30.0, 30.0, 12.0, 20.0, 20.0, null, null, null);
    double whole = frustum(30, 30, 20, 20, 12);
    double squares =
        Math.pow(frustum(30.5, 30, 20, 20, 12) - whole, 2)
            + Math.pow(frustum(30, 30.5, 20, 20, 12) - whole, 2)
            + Math.pow(frustum(30, 30, 20.5, 20, 12) - whole, 2)
            + Math.pow(frustum(30, 30, 20, 20.5, 12) - whole, 2)
            + Math.pow(frustum(30, 30, 20, 20, 12.5) - whole, 2);
    assertThat(measured(Samples.solids(pyramid)).plusMinusMl())
        .isCloseTo(Math.sqrt(squares), within(1e-9));
    // A point is a point: a cone on its tip has no floor to be read wrong.
    double cone = Math.PI * 225 * 40 / 3 / 1_000;
    assertThat(measured(Samples.solids(SolidTest.cone(0, 30, 40))).plusMinusMl())
        .isCloseTo(cone * Math.hypot(Math.pow(30.5 / 30, 2) - 1, 0.5 / 40), within(1e-9));
    // Of two stacked parts each has its own; a half-cylinder's length counts once.
    double half = Math.PI * 64 / 2 * 50 / 1_000;
    assertThat(
            measured(Samples.solids(SolidTest.solid(SolidKind.HALF_CYLINDER, 50.0, 16.0, null)))
                .plusMinusMl())
        .isCloseTo(half * Math.hypot(0.01, Math.pow(16.5 / 16, 2) - 1), within(1e-9));
    assertThat(
            measured(
                    Samples.solids(
                        SolidTest.solid(SolidKind.CYLINDER, null, 20.0, 10.0),
                        SolidTest.solid(SolidKind.CYLINDER, null, 20.0, 10.0)))
                .plusMinusMl())
        .isCloseTo(cylinder * Math.hypot(0.050625, 0.05) * Math.sqrt(2), within(1e-9));
  }

  /** Prismatoid with rectangles of any sides: h/6 · (2ab + 2cd + ad + bc). */
  private static double frustum(double a, double b, double c, double d, double h) {
    return h / 6 * (2 * a * b + 2 * c * d + a * d + b * c) / 1_000;
  }

  /** A ring of full depth has no room to grow: half a millimetre less says the same. */
  @Test
  void whatCannotGrowIsMadeSmaller() {
    Solid ring = new Solid(SolidKind.TORUS_RING, null, 40.0, 10.0, null, null, 10.0, null, null);
    // 2π²Rr² whole, with R = 15 and r = 5.
    double whole = 2 * Math.PI * Math.PI * 15 * 25 / 1_000;
    Measured measured = measured(Samples.solids(ring));
    assertThat(measured.volumeMl()).isCloseTo(whole, within(1e-6));
    // Wider: R = 15.25. Deeper than its tube it cannot be: up to 9.5 instead. A wider tube: 10.5.
    double wider = whole / 15 * 0.25;
    assertThat(measured.plusMinusMl()).isGreaterThan(wider).isLessThan(whole * 0.2);
  }

  @Test
  void aLoggedPourIsAsGoodAsItsLastLevelAndItsWalls() {
    // 6 mL at 10 of 25 mm: 15 mL; 3 %, 0.6 mL/mm for half a millimetre, a quarter of 9 mL above.
    Measured one = Measured.of(logged(List.of(), new Measurement.LoggedLevel(10, 6)), 25.0, null);
    assertThat(one.plusMinusMl()).isCloseTo(0.45 + 0.3 + 0.25 * 9, within(1e-9));
    assertThat(one.depthAssumed()).isFalse();
    // Up to the rim nothing is left to guess, and the last level is the rim's.
    Measured full =
        Measured.of(
            logged(
                List.of(), new Measurement.LoggedLevel(10, 6), new Measurement.LoggedLevel(25, 18)),
            25.0,
            null);
    assertThat(full.volumeMl()).isEqualTo(18);
    assertThat(full.profile().volumeAtMl(25)).isEqualTo(18);
    assertThat(full.profile().volumeAtMl(10)).isCloseTo(6, within(1e-9));
    assertThat(full.plusMinusMl()).isCloseTo(0.54 + 0.36, within(1e-9));
    // With its shape known, an eighth of a cone lies below half its depth; no walls to guess.
    Measured cone =
        Measured.of(
            logged(List.of(SolidTest.cone(0, 30, 40)), new Measurement.LoggedLevel(12.5, 1)),
            25.0,
            null);
    assertThat(cone.volumeMl()).isCloseTo(8, within(1e-9));
    assertThat(cone.plusMinusMl()).isCloseTo(0.24 + 0.04, within(1e-9));
    refused(
        () -> Measured.of(logged(List.of(), new Measurement.LoggedLevel(26, 6)), 25.0, null),
        "measure.levels[0].depthMm",
        Problem.Code.ABOVE_RIM);
  }

  @Test
  void whatDoesNotFitTogetherIsDoubted() {
    Solid cylinder = SolidTest.solid(SolidKind.CYLINDER, null, 20.0, 10.0);
    double drawn = Math.PI;
    for (double off : new double[] {0.79, 0.81, 1.24, 1.3}) {
      double water = drawn / off;
      Measurement both =
          new Measurement(
              Measurement.Method.WATER_IN_MOULD,
              null,
              water * 0.99821,
              20.0,
              null,
              null,
              null,
              null,
              null,
              List.of(cylinder),
              List.of(),
              null,
              null,
              null);
      assertThat(measured(both).doubts().contains(Measured.Doubt.SHAPE_DISAGREES))
          .as("drawn as %s of the water", off)
          .isEqualTo(off == 1.3);
      assertThat(measured(both).volumeMl()).isCloseTo(water, within(1e-4));
    }
    // 12 mL, 20 mm deep: 600 mm² are as wide as long at 24.5 mm, hardly anything at 130.
    assertThat(Measured.of(Measurement.told(12, 0.0), 20.0, 24.5).doubts()).isEmpty();
    assertThat(Measured.of(Measurement.told(12, 0.0), 20.0, 23.8).doubts())
        .containsExactly(Measured.Doubt.WIDER_THAN_LONG);
    assertThat(Measured.of(Measurement.told(12, 0.0), 20.0, 122.0).doubts()).isEmpty();
    assertThat(Measured.of(Measurement.told(12, 0.0), 20.0, 123.0).doubts())
        .containsExactly(Measured.Doubt.HARDLY_ANY_WIDTH);
    // Nobody measured its depth: a cube of the same volume.
    Measured cube = measured(Measurement.told(8, 0.0));
    assertThat(cube.depthAssumed()).isTrue();
    assertThat(cube.profile().depthMm()).isCloseTo(20, within(1e-9));
    assertThat(cube.doubts()).isEmpty();
  }

  @Test
  void anImpossibleVolumeIsToldAtItsOwnField() {
    refused(
        () ->
            measured(
                by(Measurement.Method.WATER_TIPPED_IN_CUP, null, null, null, null, 0.08, null, 2)),
        "measure.readMl",
        Problem.Code.OUT_OF_RANGE);
    refused(
        () -> measured(Samples.solids(SolidTest.solid(SolidKind.BOX, 0.5, 0.5, 0.2))),
        "measure.parts",
        Problem.Code.OUT_OF_RANGE);
    refused(
        () -> Measured.of(logged(List.of(), new Measurement.LoggedLevel(0.1, 15_000)), 500.0, null),
        "measure.levels",
        Problem.Code.OUT_OF_RANGE);
  }

  /** Walls may lean in until they meet, not beyond; a ring is no deeper than its tube. */
  @Test
  void whatNoSolidCanBeIsRefusedAtItsSize() {
    // 10 deep at 45° takes 20 off: a box may be 20 across its shorter side, not less.
    Solid box = new Solid(SolidKind.BOX, 40.0, 20.0, 10.0, null, null, null, null, 45.0);
    assertThat(StackedSolids.of(List.of(box)).volumeMl())
        .isCloseTo(10 / 6.0 * (2 * 40 * 20 + 40 * 0 + 20 * 20) / 1_000, within(1e-6));
    refused(
        () -> new Solid(SolidKind.BOX, 40.0, 19.9, 10.0, null, null, null, null, 45.0),
        "draftDegrees",
        Problem.Code.DRAFT_TOO_STEEP);
    refused(
        () -> new Solid(SolidKind.BOX, 19.9, 40.0, 10.0, null, null, null, null, 45.0),
        "draftDegrees",
        Problem.Code.DRAFT_TOO_STEEP);
    refused(
        () -> new Solid(SolidKind.CYLINDER, null, 19.9, 10.0, null, null, null, null, 45.0),
        "draftDegrees",
        Problem.Code.DRAFT_TOO_STEEP);
    // A hexagon of side 12 is 20.78 across its flats, one of 11.5 is 19.92.
    assertThat(
            new Solid(SolidKind.REGULAR_PRISM, 12.0, null, 10.0, null, null, null, 6, 45.0).sides())
        .isEqualTo(6);
    refused(
        () -> new Solid(SolidKind.REGULAR_PRISM, 11.5, null, 10.0, null, null, null, 6, 45.0),
        "draftDegrees",
        Problem.Code.DRAFT_TOO_STEEP);
    refused(
        () -> new Solid(SolidKind.TORUS_RING, null, 40.0, 5.0, null, null, 20.5, null, null),
        "tubeMm",
        Problem.Code.OUT_OF_RANGE);
    refused(
        () -> new Solid(SolidKind.TORUS_RING, null, 40.0, 8.5, null, null, 8.0, null, null),
        "depthMm",
        Problem.Code.OUT_OF_RANGE);
    refused(
        () -> new Solid(SolidKind.CONE_FRUSTUM, null, 20.0, 10.0, null, null, null, null, null),
        "floorWidthMm",
        Problem.Code.MISSING);
    assertThat(SolidTest.solid(SolidKind.HALF_CYLINDER, 50.0, 16.0, null).heightMm()).isEqualTo(8);
    assertThat(SolidTest.solid(SolidKind.HEMISPHERE, null, 30.0, null).heightMm()).isEqualTo(15);
  }
}
