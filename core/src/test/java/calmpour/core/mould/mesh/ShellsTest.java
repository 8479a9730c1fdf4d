package calmpour.core.mould.mesh;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;

/** Several bodies in one model: what overlaps or is counted twice against boxes seen by hand. */
class ShellsTest {
  /** Least and greatest of each axis. */
  private record Box(List<Double> from, List<Double> to, boolean hollow) {
    static Box random(Random random) {
      List<Double> from = new ArrayList<>();
      List<Double> to = new ArrayList<>();
      for (int axis = 0; axis < 3; axis++) {
        double one = random.nextDouble();
        double other = random.nextDouble();
        from.add(30 * Math.min(one, other));
        to.add(30 * Math.max(one, other) + 0.5);
      }
      return new Box(from, to, false);
    }

    static Box cube(double from, double to, boolean hollow) {
      return new Box(List.of(from, from, from), List.of(to, to, to), hollow);
    }

    boolean meets(Box other) {
      boolean all = true;
      for (int axis = 0; axis < 3; axis++) {
        all &= from.get(axis) < other.to.get(axis) && other.from.get(axis) < to.get(axis);
      }
      return all;
    }

    boolean holds(Box other) {
      boolean all = true;
      for (int axis = 0; axis < 3; axis++) {
        all &= from.get(axis) < other.from.get(axis) && other.to.get(axis) < to.get(axis);
      }
      return all;
    }
  }

  /** Turned twice, so that nothing lies along an axis; a hollow faces inwards. */
  private static TriangleMesh mesh(List<Box> boxes, double turn) {
    MeshBuilder builder = new MeshBuilder();
    for (Box b : boxes) {
      TriangleMesh box =
          Meshes.box(
              b.from.get(0),
              b.from.get(1),
              b.from.get(2),
              b.to.get(0) - b.from.get(0),
              b.to.get(1) - b.from.get(1),
              b.to.get(2) - b.from.get(2));
      TriangleMesh faced = b.hollow ? box.turned() : box;
      int[] corners = faced.corners();
      int[] vertex = new int[faced.vertices()];
      for (int v = 0; v < vertex.length; v++) {
        double x = faced.x(v) * Math.cos(turn) - faced.y(v) * Math.sin(turn);
        double y = faced.x(v) * Math.sin(turn) + faced.y(v) * Math.cos(turn);
        double z = faced.z(v);
        vertex[v] =
            builder.vertex(
                x,
                y * Math.cos(turn / 3) - z * Math.sin(turn / 3),
                y * Math.sin(turn / 3) + z * Math.cos(turn / 3));
      }
      for (int t = 0; t < corners.length; t += 3) {
        builder.triangle(vertex[corners[t]], vertex[corners[t + 1]], vertex[corners[t + 2]]);
      }
    }
    return builder.build();
  }

  private static void is(MeshProblem.@Nullable Reason reason, int count, TriangleMesh mesh) {
    if (reason == null) {
      assertThatCode(() -> Shells.believable(mesh)).doesNotThrowAnyException();
    } else {
      assertThatThrownBy(() -> Shells.believable(mesh))
          .isInstanceOfSatisfying(
              MeshProblem.class,
              e -> {
                assertThat(e.reason()).isEqualTo(reason);
                assertThat(e.where()).isEqualTo(count);
              });
    }
  }

  @Test
  void twoBoxesOverlapNestOrStandApart() {
    Random random = new Random(20261129);
    int[] seen = new int[3];
    for (int i = 0; i < 600; i++) {
      Box a = Box.random(random);
      Box b = i % 4 == 0 ? inside(a, random) : Box.random(random);
      double turn = random.nextDouble() * 3;
      if (a.holds(b) || b.holds(a)) {
        seen[0]++;
        is(MeshProblem.Reason.NESTED, 1, mesh(List.of(a, b), turn));
        Box outer = a.holds(b) ? a : b;
        Box inner = a.holds(b) ? b : a;
        is(null, 0, mesh(List.of(outer, new Box(inner.from, inner.to, true)), turn));
      } else if (a.meets(b)) {
        seen[1]++;
        is(MeshProblem.Reason.OVERLAPPING, 1, mesh(List.of(a, b), turn));
        is(MeshProblem.Reason.OVERLAPPING, 1, mesh(List.of(b, a), turn));
      } else {
        seen[2]++;
        is(null, 0, mesh(List.of(a, b), turn));
      }
    }
    assertThat(seen).doesNotContain(0);
  }

  private static Box inside(Box outer, Random random) {
    List<Double> from = new ArrayList<>();
    List<Double> to = new ArrayList<>();
    for (int axis = 0; axis < 3; axis++) {
      double wide = outer.to.get(axis) - outer.from.get(axis);
      from.add(outer.from.get(axis) + wide * (0.05 + 0.3 * random.nextDouble()));
      to.add(outer.to.get(axis) - wide * (0.05 + 0.3 * random.nextDouble()));
    }
    return new Box(from, to, false);
  }

  /** A core that stands free in a hollow is counted once, however deep it lies. */
  @Test
  void aCoreInAHollowIsNoRoomCountedTwice() {
    for (int order = 0; order < 2; order++) {
      List<Box> boxes =
          new ArrayList<>(
              List.of(Box.cube(0, 30, false), Box.cube(5, 25, true), Box.cube(10, 20, false)));
      if (order == 1) {
        boxes = boxes.reversed();
      }
      is(null, 0, mesh(boxes, 0.7));
    }
    // Two hollows in each other take the same room away twice.
    is(
        MeshProblem.Reason.NESTED,
        1,
        mesh(List.of(Box.cube(0, 30, false), Box.cube(5, 25, true), Box.cube(10, 20, true)), 0.7));
  }

  /**
   * Two bodies beside each other, one of them inside out: 1,000 and 125, not 875. Its hollow stays
   * one.
   */
  @Test
  void aBodyThatFacesInwardsByItselfIsTurnedRound() {
    for (double turn : new double[] {0, 0.7}) {
      Box large = Box.cube(0, 10, false);
      MeshMend.Mended mended = MeshMend.mend(mesh(List.of(large, Box.cube(20, 25, true)), turn));
      assertThat(mended.mesh().volume()).isCloseTo(1_125, within(1e-9));
      assertThat(mended.changes()).containsExactly(MeshMend.Change.TURNED_OUTSIDE_OUT);
      MeshMend.Mended hollow = MeshMend.mend(mesh(List.of(large, Box.cube(2, 5, true)), turn));
      assertThat(hollow.mesh().volume()).isCloseTo(973, within(1e-9));
      assertThat(hollow.changes()).isEmpty();
    }
  }

  @Test
  void everyPairThatOverlapsIsCounted() {
    Box middle = Box.cube(0, 10, false);
    Box left = new Box(List.of(-5.0, 1.0, 1.0), List.of(2.0, 8.0, 8.0), false);
    Box right = new Box(List.of(8.0, 1.0, 1.0), List.of(15.0, 8.0, 8.0), false);
    is(MeshProblem.Reason.OVERLAPPING, 2, mesh(List.of(middle, left, right), 1.1));
  }

  /** Side by side with a face in common; twice the same; wound round twice. */
  @Test
  void whatTouchesIsFineAndWhatRepeatsIsNot() {
    Box one = Box.cube(0, 10, false);
    Box beside = new Box(List.of(10.0, -2.0, -2.0), List.of(20.0, 12.0, 12.0), false);
    is(null, 0, mesh(List.of(one, beside), 0));
    is(MeshProblem.Reason.REPEATED, 12, mesh(List.of(one, one), 0));
    // The same faces cut along their other diagonals repeat no triangle.
    MeshBuilder twice = new MeshBuilder();
    Meshes.box(twice, 0, 0, 0, 3, 3, 3);
    int[] v = new int[8];
    for (int i = 0; i < 8; i++) {
      v[i] = twice.vertex(3 * (i & 1), 3 * (i >> 1 & 1), 3 * (i >> 2));
    }
    int[][] faces = {
      {0, 2, 3, 1}, {4, 5, 7, 6}, {0, 1, 5, 4}, {2, 6, 7, 3}, {0, 4, 6, 2}, {1, 3, 7, 5}
    };
    for (int[] f : faces) {
      twice.triangle(v[f[1]], v[f[2]], v[f[3]]);
      twice.triangle(v[f[1]], v[f[3]], v[f[0]]);
    }
    is(MeshProblem.Reason.MORE_THAN_ITS_BOX, -1, twice.build());
  }
}
