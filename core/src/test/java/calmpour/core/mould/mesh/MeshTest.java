package calmpour.core.mould.mesh;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.mould.MeshShape;
import java.util.List;
import org.junit.jupiter.api.Test;

class MeshTest {
  private static double volume(TriangleMesh mesh) {
    return MeshMend.mend(mesh).mesh().volume();
  }

  private static MeshShape.MeshLevel at(List<MeshShape.MeshLevel> levels, double depth) {
    return levels.stream()
        .filter(l -> Math.abs(l.depthMm() - depth) < 1e-9)
        .findFirst()
        .orElseThrow();
  }

  /**
   * Against the closed forms they were tessellated from (any handbook of mathematics): chords cut
   * off an error that falls with the square of their number.
   */
  @Test
  void tessellatedSolidsComeNearTheirClosedFormsWithTheSquareOfTheTriangles() {
    double sphere = 4 / 3.0 * Math.PI * 1_000;
    double torus = 2 * Math.PI * Math.PI * 20 * 16;
    double before = 0;
    double beforeTorus = 0;
    for (int n : new int[] {16, 32, 64, 128}) {
      double off = sphere - volume(Meshes.sphere(10, n));
      double offTorus = torus - volume(Meshes.torus(20, 4, n));
      if (before > 0) {
        assertThat(before / off).as("sphere of " + n).isBetween(3.7, 4.3);
        assertThat(beforeTorus / offTorus).as("torus of " + n).isBetween(3.7, 4.3);
      }
      before = off;
      beforeTorus = offTorus;
    }
    assertThat(before / sphere).isLessThan(1.2e-3);
  }

  /** Slices of a bowl of radius 15 against the cap πh²(3R − h)/3 and the circle π(2Rh − h²). */
  @Test
  void slicesComeNearTheClosedFormTheSameWay() {
    double depth = 15 * 40.0 / MeshSlicer.EVEN_LEVELS;
    double cap = Math.PI * depth * depth * (45 - depth) / 3 / 1_000;
    double circle = Math.PI * (30 * depth - depth * depth);
    double before = 0;
    double beforeArea = 0;
    for (int n : new int[] {32, 64, 128}) {
      MeshShape.MeshLevel level = at(MeshSlicer.slice(Meshes.bowl(15, n), 0, 0, 1), depth);
      double off = Math.abs(cap - level.volumeMl());
      double offArea = Math.abs(circle - level.areaMm2());
      if (before > 0) {
        assertThat(before / off).as("volume of " + n).isGreaterThan(3);
        assertThat(beforeArea / offArea).as("area of " + n).isGreaterThan(2.5);
      }
      before = off;
      beforeArea = offArea;
    }
    assertThat(before / cap).isLessThan(4e-3);
  }

  @Test
  void aConeOnItsTipHoldsAnEighthAtHalfItsHeight() {
    List<MeshShape.MeshLevel> levels = MeshSlicer.slice(Meshes.cone(0.001, 20, 40, 64), 0, 0, 1);
    double whole = levels.get(levels.size() - 1).volumeMl();
    assertThat(at(levels, 20).volumeMl() / whole).isCloseTo(1 / 8.0, within(1e-3));
    // Turned over, the rest: seven eighths.
    List<MeshShape.MeshLevel> over = MeshSlicer.slice(Meshes.cone(0.001, 20, 40, 64), 180, 0, 1);
    assertThat(at(over, 20).volumeMl() / whole).isCloseTo(7 / 8.0, within(1e-3));
  }

  @Test
  void aStepIsCutOnBothSidesAndTurnsAndUnitsCount() {
    MeshBuilder builder = new MeshBuilder();
    Meshes.box(builder, 0, 0, 0, 4, 2, 1);
    Meshes.box(builder, 10, 0, 0, 2, 2, 3);
    TriangleMesh two = builder.build();
    assertThat(MeshCheck.of(two)).isEqualTo(new MeshCheck(0, 0, 0, 2, 20.0));
    List<MeshShape.MeshLevel> levels = MeshSlicer.slice(two, 0, 0, 10);
    assertThat(levels.get(0).areaMm2()).isCloseTo(1_200, within(1e-9));
    assertThat(at(levels, 10).areaMm2()).isCloseTo(400, within(1e-9));
    assertThat(at(levels, 10).volumeMl()).isCloseTo(12, within(1e-9));
    assertThat(levels.get(levels.size() - 1).volumeMl()).isCloseTo(20, within(1e-9));
    assertThat(levels.get(levels.size() - 1).areaMm2()).isCloseTo(400, within(1e-9));
    assertThat(levels.get(0).rightMm() - levels.get(0).leftMm()).isCloseTo(120, within(1e-9));
    // Laid on its side the box of 4 × 2 × 1 stands 4 or 2 high.
    TriangleMesh one = Meshes.box(1, 2, 3, 4, 2, 1);
    assertThat(MeshSlicer.slice(one, 90, 0, 1).get(160).depthMm()).isEqualTo(2);
    assertThat(MeshSlicer.slice(one, 0, 90, 1).get(160).depthMm()).isEqualTo(4);
    assertThat(MeshSlicer.slice(one, 37, 21, 1).get(160).volumeMl())
        .isCloseTo(0.008, within(1e-12));
  }

  @Test
  void whatIsSafeIsMendedAndSaid() {
    TriangleMesh sphere = Meshes.sphere(10, 24);
    double whole = sphere.volume();
    assertThat(MeshMend.mend(sphere).changes()).isEmpty();

    MeshMend.Mended inside = MeshMend.mend(sphere.turned());
    assertThat(inside.changes()).containsExactly(MeshMend.Change.TURNED_OUTSIDE_OUT);
    assertThat(inside.mesh().volume()).isCloseTo(whole, within(1e-9));

    MeshMend.Mended clashing = MeshMend.mend(Meshes.spoilt(sphere, 0, true, 0, 7));
    assertThat(clashing.before().clashingEdges()).isPositive();
    assertThat(clashing.changes()).containsExactly(MeshMend.Change.FACING_MADE_ONE);
    assertThat(clashing.mesh().volume()).isCloseTo(whole, within(1e-9));

    MeshMend.Mended rounded = MeshMend.mend(Meshes.spoilt(sphere, 0, false, 1e-9, 7));
    assertThat(rounded.before().openEdges()).isPositive();
    assertThat(rounded.changes()).contains(MeshMend.Change.CORNERS_JOINED);
    assertThat(rounded.mesh().volume() / whole).isCloseTo(1, within(1e-4));

    // Without the two triangles of its floor a box has a flat hole.
    MeshMend.Mended open =
        MeshMend.mend(Meshes.spoilt(Meshes.box(0, 0, 0, 4, 3, 2), 2, false, 0, 7));
    assertThat(open.before().openEdges()).isEqualTo(4);
    assertThat(open.changes()).containsExactly(MeshMend.Change.FLAT_HOLE_CLOSED);
    assertThat(open.mesh().volume()).isCloseTo(24, within(1e-12));
  }

  @Test
  void whatIsNotSafeIsRefusedWithTheReason() {
    // A hole round a corner of the sphere's pole is not flat.
    refused(Meshes.spoilt(Meshes.sphere(10, 12), 40, false, 0, 7), MeshProblem.Reason.LEAKY);
    MeshBuilder sheet = new MeshBuilder();
    sheet.triangle(sheet.vertex(0, 0, 0), sheet.vertex(1, 0, 0), sheet.vertex(0, 1, 0));
    refused(sheet.build(), MeshProblem.Reason.FLAT);
    // Three walls on one edge.
    MeshBuilder fin = new MeshBuilder();
    Meshes.box(fin, 0, 0, 0, 1, 1, 1);
    fin.triangle(fin.vertex(0, 0, 0), fin.vertex(1, 0, 0), fin.vertex(0.5, -1, 0));
    assertThatThrownBy(() -> MeshMend.mend(fin.build())).isInstanceOf(MeshProblem.class);
    assertThatThrownBy(() -> new MeshBuilder().vertex(0, Double.NaN, 0))
        .isInstanceOfSatisfying(
            MeshProblem.class,
            e -> assertThat(e.reason()).isEqualTo(MeshProblem.Reason.NOT_A_NUMBER));
    assertThatThrownBy(() -> new MeshBuilder().build())
        .isInstanceOfSatisfying(
            MeshProblem.class, e -> assertThat(e.reason()).isEqualTo(MeshProblem.Reason.EMPTY));
  }

  private static void refused(TriangleMesh mesh, MeshProblem.Reason reason) {
    assertThatThrownBy(() -> MeshMend.mend(mesh))
        .isInstanceOfSatisfying(MeshProblem.class, e -> assertThat(e.reason()).isEqualTo(reason));
  }
}
