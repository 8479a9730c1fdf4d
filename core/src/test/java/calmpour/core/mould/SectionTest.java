package calmpour.core.mould;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.check.InvalidValuesException;
import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import org.junit.jupiter.api.Test;

/** Outlines of cavities from the side, and models that were sliced, by elementary geometry. */
class SectionTest {
  private static void halves(Solid solid, double depth, DoubleUnaryOperator half) {
    Section section = StackedSolids.of(List.of(solid)).section();
    assertThat(section.rows().getFirst().depthMm()).isZero();
    assertThat(section.rows().getLast().depthMm()).isCloseTo(depth, within(1e-9));
    for (Section.SectionRow row : section.rows()) {
      double wide = half.applyAsDouble(row.depthMm());
      assertThat(row.rightMm()).as("%s at %s", solid, row).isCloseTo(wide, within(1e-6));
      assertThat(row.leftMm()).isEqualTo(-row.rightMm());
    }
  }

  /** Circles through the rim, chords of them, and lines between floor and rim. */
  @Test
  void solidsAreAsWideAsTheirCircles() {
    halves(
        SolidTest.solid(SolidKind.HEMISPHERE, null, 30.0, null),
        15,
        z -> Math.sqrt(2 * 15 * z - z * z));
    // Sphere through a rim of 24 at 5 mm: R = (144 + 25) / 10.
    halves(
        SolidTest.solid(SolidKind.SPHERICAL_CAP, null, 24.0, 5.0),
        5,
        z -> Math.sqrt(2 * 16.9 * z - z * z));
    halves(SolidTest.solid(SolidKind.BOX, 40.0, 30.0, 10.0), 10, z -> 20);
    halves(SolidTest.solid(SolidKind.CYLINDER, null, 20.0, 10.0), 10, z -> 10);
    halves(SolidTest.cone(10, 30, 40), 40, z -> 5 + z / 4);
    // Leaning by 45° outwards a cylinder of 40 at the rim is 20 across its floor, 10 deeper.
    halves(
        new Solid(SolidKind.CYLINDER, null, 40.0, 10.0, null, null, null, null, 45.0),
        10,
        z -> 10 + z);
    // A trough is seen from its end.
    halves(
        SolidTest.solid(SolidKind.HALF_CYLINDER, 50.0, 16.0, null),
        8,
        z -> Math.sqrt(2 * 8 * z - z * z));
  }

  /** Across a hexagon of side a lie 2a, across a pentagon its diagonal, the golden mean times a. */
  @Test
  void prismsAreAsWideAsTheirCorners() {
    Solid hexagon = new Solid(SolidKind.REGULAR_PRISM, 12.0, null, 10.0, null, null, null, 6, null);
    halves(hexagon, 10, z -> 12);
    Solid pentagon =
        new Solid(SolidKind.REGULAR_PRISM, 12.0, null, 10.0, null, null, null, 5, null);
    halves(pentagon, 10, z -> 6 * (1 + Math.sqrt(5)) / 2);
    // A square prism leaning by 30° loses 2·tan 30° a side for every millimetre down.
    Solid square = new Solid(SolidKind.REGULAR_PRISM, 30.0, null, 10.0, null, null, null, 4, 30.0);
    double lost = 2 * Math.tan(Math.PI / 6);
    halves(square, 10, z -> (30 - (10 - z) * lost) * Math.sqrt(2) / 2);
    double floor = 30 - 10 * lost;
    assertThat(StackedSolids.of(List.of(square)).volumeMl())
        .isCloseTo(10 / 3.0 * (900 + floor * floor + 30 * floor) / 1_000, within(1e-9));
  }

  /** A ring's tube of 10, its middle at 15: a hole of 15 less its chord, a rim of 15 more. */
  @Test
  void aRingHasAHole() {
    Solid ring = new Solid(SolidKind.TORUS_RING, null, 40.0, 10.0, null, null, 10.0, null, null);
    for (Section.SectionRow row : StackedSolids.of(List.of(ring)).section().rows()) {
      double chord = Math.sqrt(Math.max(0, 25 - Math.pow(row.depthMm() - 5, 2)));
      assertThat(row.rightMm()).isCloseTo(15 + chord, within(1e-6));
      assertThat(row.holeMm()).isCloseTo(15 - chord, within(1e-6));
    }
  }

  /**
   * Of one that holds four times as much everything is twice as wide; parts stand on each other.
   */
  @Test
  void whatHoldsMoreIsWiderAndPartsAreStacked() {
    StackedSolids two =
        StackedSolids.of(
            List.of(
                SolidTest.solid(SolidKind.CYLINDER, null, 20.0, 10.0),
                SolidTest.solid(SolidKind.CYLINDER, null, 30.0, 5.0)));
    assertThat(two.section().rows())
        .extracting(Section.SectionRow::depthMm, Section.SectionRow::rightMm)
        .containsExactly(tuple(0.0, 10.0), tuple(10.0, 10.0), tuple(10.0, 15.0), tuple(15.0, 15.0));
    assertThat(two.areaAtMm2(10)).isCloseTo(Math.PI * 100, within(1e-9));
    assertThat(two.areaAtMm2(10.01)).isCloseTo(Math.PI * 225, within(1e-9));
    assertThat(two.areaAtMm2(15)).isCloseTo(Math.PI * 225, within(1e-9));
    StackedSolids wider = two.holding(two.volumeMl() * 4);
    assertThat(wider.section().widthMm()).isCloseTo(60, within(1e-9));
    assertThat(wider.depthMm()).isEqualTo(15);
    assertThat(wider.areaAtMm2(3)).isCloseTo(Math.PI * 400, within(1e-9));
  }

  /** The narrower wall at a level, by straight lines between the rows. */
  @Test
  void theReachIsTheNarrowerWall() {
    Section leaning =
        new Section(
            List.of(
                new Section.SectionRow(0, -4, 6, 0),
                new Section.SectionRow(10, -8, 6, 0),
                new Section.SectionRow(10, -20, 7, 0),
                new Section.SectionRow(20, -20, 17, 0)));
    assertThat(leaning.widthMm()).isEqualTo(37);
    assertThat(leaning.reachMm(0)).isEqualTo(4);
    assertThat(leaning.reachMm(2.5)).isEqualTo(5);
    assertThat(leaning.reachMm(5)).isEqualTo(6);
    assertThat(leaning.reachMm(10)).isEqualTo(6);
    assertThat(leaning.reachMm(15)).isEqualTo(12);
    assertThat(leaning.reachMm(20)).isEqualTo(17);
    assertThat(leaning.reachMm(25)).isEqualTo(17);
    assertThat(leaning.reachMm(-1)).isEqualTo(4);
    Section upright = Section.upright(30, 12);
    assertThat(upright.rows())
        .containsExactly(
            new Section.SectionRow(0, -15, 15, 0), new Section.SectionRow(12, -15, 15, 0));
    // Nobody measured its length: as wide as a square one of 18 mL at 20 mm would be.
    assertThat(Measured.of(Measurement.told(18, 0.0), 20.0, null).section().widthMm())
        .isCloseTo(30, within(1e-9));
  }

  private static List<MeshShape.MeshLevel> levels() {
    List<MeshShape.MeshLevel> levels = new ArrayList<>();
    for (int i = 0; i <= 4; i++) {
      levels.add(new MeshShape.MeshLevel(5 * i, 2.5 * i, 500, -10, 15));
    }
    return levels;
  }

  private static MeshShape shape(List<MeshShape.MeshLevel> levels) {
    return new MeshShape(
        "file", "knob.stl", MeshShape.MeshUnit.MILLIMETRE, 0, 0, 12, false, levels);
  }

  private static void refused(int level, MeshShape.MeshLevel other) {
    List<MeshShape.MeshLevel> levels = levels();
    levels.set(level, other);
    assertThatThrownBy(() -> shape(levels))
        .isInstanceOf(InvalidValuesException.class)
        .hasMessageContaining("levels[" + level + "]");
  }

  @Test
  void aSlicedModelIsItsLevelsAndNothingThatTurnsBack() {
    MeshShape shape = shape(levels());
    assertThat(shape.profile().volumeMl()).isEqualTo(10);
    assertThat(shape.profile().depthMm()).isEqualTo(20);
    assertThat(shape.profile().volumeAtMl(7)).isCloseTo(3.5, within(1e-9));
    assertThat(shape.profile().areaAtMm2(7)).isCloseTo(500, within(1e-9));
    assertThat(shape.section().widthMm()).isEqualTo(25);
    assertThat(shape.section().rows()).hasSize(5).allMatch(r -> r.holeMm() == 0);
    refused(0, new MeshShape.MeshLevel(0.1, 0, 500, -10, 15));
    refused(0, new MeshShape.MeshLevel(0, 0.1, 500, -10, 15));
    refused(2, new MeshShape.MeshLevel(5, 5, 500, -10, 15));
    refused(2, new MeshShape.MeshLevel(10, 2.4, 500, -10, 15));
    refused(2, new MeshShape.MeshLevel(10, 5, -1, -10, 15));
    refused(2, new MeshShape.MeshLevel(10, 5, 500, 16, 15));
    refused(2, new MeshShape.MeshLevel(10, 5, Double.POSITIVE_INFINITY, -10, 15));
    refused(2, new MeshShape.MeshLevel(10, 5, 500, Double.NEGATIVE_INFINITY, 15));
    // A level face adds nothing between two levels: that is no turning back.
    List<MeshShape.MeshLevel> level = levels();
    level.set(2, new MeshShape.MeshLevel(10, 2.5, 0, 3, 3));
    assertThat(shape(level).levels()).hasSize(5);
    assertThatThrownBy(() -> shape(levels().subList(0, 1)))
        .isInstanceOf(InvalidValuesException.class);
  }

  @Test
  void uprightWallsAreAPrism() {
    StraightSided prism = new StraightSided(12, 20);
    assertThat(prism.volumeAtMl(5)).isEqualTo(3);
    assertThat(prism.areaAtMm2(5)).isEqualTo(600);
    assertThat(prism.depthAtMm(3)).isEqualTo(5);
    assertThat(prism.volumeAtMl(0)).isZero();
    assertThat(prism.volumeAtMl(20)).isEqualTo(12);
    assertThat(prism.depthAtMm(0)).isZero();
    assertThat(prism.depthAtMm(12)).isEqualTo(20);
    for (double outside : new double[] {-0.1, 20.1, Double.NaN}) {
      assertThatThrownBy(() -> prism.volumeAtMl(outside))
          .isInstanceOf(IllegalArgumentException.class);
      assertThatThrownBy(() -> prism.areaAtMm2(outside))
          .isInstanceOf(IllegalArgumentException.class);
    }
    for (double outside : new double[] {-0.1, 12.1, Double.NaN}) {
      assertThatThrownBy(() -> prism.depthAtMm(outside))
          .isInstanceOf(IllegalArgumentException.class);
    }
    assertThatThrownBy(() -> new StraightSided(0, 20)).isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> new StraightSided(12, 0)).isInstanceOf(IllegalArgumentException.class);
  }
}
