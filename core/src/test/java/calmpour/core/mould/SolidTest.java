package calmpour.core.mould;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.check.InvalidValuesException;
import java.util.List;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Closed solids against the formulas of a handbook of mathematics: I. N. Bronshtein and K. A.
 * Semendyayev, Handbook of Mathematics, chapter on stereometry. The figures were worked out by hand
 * from those formulas, not with this code; formulas and their place are from memory.
 */
class SolidTest {
  static Solid solid(SolidKind kind, Double length, Double width, Double depth) {
    return new Solid(kind, length, width, depth, null, null, null, null, null);
  }

  static Solid cone(double floor, double rim, double depth) {
    return new Solid(SolidKind.CONE_FRUSTUM, null, rim, depth, null, floor, null, null, null);
  }

  private static StackedSolids whole(Solid... parts) {
    return StackedSolids.of(List.of(parts));
  }

  @ParameterizedTest
  @CsvSource({
    // abc
    "BOX, 40, 30, 10, 12.0",
    // πr²h = π·10²·25
    "CYLINDER, , 20, 25, 7.853981634",
    // ⅔πr³ with r = 15
    "HEMISPHERE, , 30, , 7.068583471",
    // πh(3a² + h²)/6 with a = 12, h = 5
    "SPHERICAL_CAP, , 24, 5, 1.196423202",
    // half of πr²l with r = 8, l = 50
    "HALF_CYLINDER, 50, 16, , 5.026548246",
  })
  void holdsWhatTheHandbookSays(
      SolidKind kind, Double length, Double width, Double depth, double volumeMl) {
    assertThat(whole(solid(kind, length, width, depth)).volumeMl())
        .isCloseTo(volumeMl, within(1e-8));
  }

  @Test
  void frustumsPrismsAndRingsHoldWhatTheHandbookSays() {
    // Frustum of a cone: πh(R² + Rr + r²)/3 with R = 16, r = 10, h = 20.
    assertThat(whole(cone(20, 32, 20)).volumeMl()).isCloseTo(10.807_078_729, within(1e-8));
    // Frustum of a pyramid on 30 × 30 and 20 × 20, h 12: h(G + g + √(Gg))/3 = 4·(900+400+600).
    Solid pyramid =
        new Solid(SolidKind.PYRAMID_FRUSTUM, 30.0, 30.0, 12.0, 20.0, 20.0, null, null, null);
    assertThat(whole(pyramid).volumeMl()).isCloseTo(7.6, within(1e-9));
    // Hexagonal prism: 3√3/2·s²·h with s = 10, h = 8.
    Solid prism = new Solid(SolidKind.REGULAR_PRISM, 10.0, null, 8.0, null, null, null, 6, null);
    assertThat(whole(prism).volumeMl()).isCloseTo(2.078_460_969, within(1e-9));
    // Whole torus: 2π²Rr² with R = 20, r = 4.
    Solid ring = new Solid(SolidKind.TORUS_RING, null, 48.0, 8.0, null, null, 8.0, null, null);
    assertThat(whole(ring).volumeMl()).isCloseTo(6.316_546_817, within(1e-9));
    // A box whose walls lean 10° out of a 20 × 12 floor, 9 deep, as the prismatoid
    // h(A₀ + 4A½ + A₁)/6 = 9·(240 + 4·293.30 + 351.64)/6.
    double out = 2 * 9 * Math.tan(Math.toRadians(10));
    Solid drafted = new Solid(SolidKind.BOX, 20 + out, 12 + out, 9.0, null, null, null, null, 10.0);
    double half = (20 + out / 2) * (12 + out / 2);
    assertThat(whole(drafted).volumeMl())
        .isCloseTo(9 * (240 + 4 * half + (20 + out) * (12 + out)) / 6 / 1_000, within(1e-9));
  }

  /** Common practice, no source: a cone filled to half its height from the tip holds an eighth. */
  @Test
  void aConeFilledToHalfItsHeightFromTheTipHoldsAnEighth() {
    StackedSolids cone = whole(cone(0, 30, 40));
    assertThat(cone.volumeAtMl(20) / cone.volumeMl()).isCloseTo(1 / 8.0, within(1e-12));
    assertThat(cone.depthAtMm(cone.volumeMl() / 8)).isCloseTo(20, within(1e-6));
  }

  /** Archimedes, On the Sphere and Cylinder I: a hemisphere holds two thirds of its cylinder. */
  @Test
  void aHemisphereHoldsTwoThirdsOfItsCylinder() {
    assertThat(whole(solid(SolidKind.HEMISPHERE, null, 26.0, null)).volumeMl())
        .isCloseTo(
            whole(solid(SolidKind.CYLINDER, null, 26.0, 13.0)).volumeMl() * 2 / 3, within(1e-9));
  }

  @Test
  void aKnobOfABowlUnderACylinderFillsThroughTheSeam() {
    StackedSolids knob =
        whole(
            solid(SolidKind.HEMISPHERE, null, 30.0, null),
            solid(SolidKind.CYLINDER, null, 30.0, 7.0));
    assertThat(knob.depthMm()).isEqualTo(22);
    assertThat(knob.volumeAtMl(15)).isCloseTo(7.068583471, within(1e-8));
    assertThat(knob.areaAtMm2(15)).isCloseTo(Math.PI * 225, within(1e-9));
    assertThat(knob.volumeMl()).isCloseTo(7.068583471 + 4.948008429, within(1e-8));
  }

  @Provide
  Arbitrary<List<Solid>> stacks() {
    Arbitrary<Double> size = Arbitraries.doubles().between(1, 120);
    Arbitrary<Solid> any =
        Combinators.combine(Arbitraries.of(SolidKind.values()), size, size, size, size)
            .as((kind, a, b, c, d) ->
                switch (kind) {
                  case CONE_FRUSTUM -> cone(a - 1, b, c);
                  case PYRAMID_FRUSTUM -> new Solid(kind, a, b, c, d, b / 3, null, null, null);
                  case REGULAR_PRISM ->
                      new Solid(kind, a, null, b, null, null, null, 3 + (int) (c / 8), null);
                  case TORUS_RING ->
                      new Solid(
                          kind, null, 2 * a, Math.max(0.2, a * d / 120), null, null, a, null, null);
                  default -> solid(kind, a, b, c);
                });
    return any.list().ofMinSize(1).ofMaxSize(4);
  }

  /** The area is how the volume grows, and depth and volume undo each other, in every shape. */
  @Property(tries = 400, seed = "20261123")
  void areaVolumeAndDepthBelongTogether(
      @ForAll("stacks") List<Solid> parts,
      @ForAll @net.jqwik.api.constraints.DoubleRange(min = 0.02, max = 0.97) double share) {
    StackedSolids shape = StackedSolids.of(parts);
    double depth = shape.depthMm() * share;
    double volume = shape.volumeAtMl(depth);
    if (shape.areaAtMm2(depth) > 1) {
      assertThat(shape.depthAtMm(volume)).isCloseTo(depth, within(1e-5 * shape.depthMm()));
    }
    // Simpson's rule over two thousand stretches, which knows nothing of closed forms.
    int n = 4_000;
    double sum = 0;
    for (int i = 0; i <= n; i++) {
      // Substituting z = depth·s² takes the edge off a round floor.
      double s = (double) i / n;
      double weight = i == 0 || i == n ? 1 : i % 2 == 1 ? 4 : 2;
      sum += weight * shape.areaAtMm2(depth * s * s) * 2 * s * depth;
    }
    assertThat(sum / (3.0 * n) / 1_000).isCloseTo(volume, within(2e-3 * volume + 1e-6));
  }

  @Test
  void sizesThatMakeNoShapeAreToldAtTheirField() {
    assertThatThrownBy(() -> solid(SolidKind.BOX, 10.0, null, 5.0))
        .isInstanceOfSatisfying(
            InvalidValuesException.class,
            e -> assertThat(e.problems()).extracting(p -> p.field()).containsExactly("widthMm"));
    assertThatThrownBy(
            () -> new Solid(SolidKind.BOX, 40.0, 4.0, 20.0, null, null, null, null, 20.0))
        .isInstanceOfSatisfying(
            InvalidValuesException.class,
            e ->
                assertThat(e.problems())
                    .extracting(p -> p.field())
                    .containsExactly("draftDegrees"));
    assertThatThrownBy(
            () -> new Solid(SolidKind.TORUS_RING, null, 20.0, 5.0, null, null, 12.0, null, null))
        .isInstanceOf(InvalidValuesException.class);
  }
}
