package calmpour.core.mould.mesh;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

/** What is put right in a surface, and what nobody guesses. */
class MeshMendTest {
  /** Six sides round an axis, with or without its two ends, the upper one lifted in one corner. */
  private static TriangleMesh tube(double radius, double height, double lift, boolean ends) {
    MeshBuilder builder = new MeshBuilder();
    int[][] ring = new int[2][6];
    for (int level = 0; level < 2; level++) {
      for (int i = 0; i < 6; i++) {
        double angle = Math.PI / 3 * i;
        ring[level][i] =
            builder.vertex(
                radius * Math.cos(angle),
                radius * Math.sin(angle),
                level * (height + (i == 0 ? lift : 0)));
      }
    }
    for (int i = 0; i < 6; i++) {
      int k = (i + 1) % 6;
      builder.triangle(ring[0][i], ring[0][k], ring[1][k]);
      builder.triangle(ring[0][i], ring[1][k], ring[1][i]);
      if (ends && i > 0 && i < 5) {
        builder.triangle(ring[0][0], ring[0][k], ring[0][i]);
        builder.triangle(ring[1][0], ring[1][i], ring[1][k]);
      }
    }
    return builder.build();
  }

  private static void refused(TriangleMesh mesh, MeshProblem.Reason reason, long where) {
    assertThatThrownBy(() -> MeshMend.mend(mesh))
        .isInstanceOfSatisfying(
            MeshProblem.class,
            e -> {
              assertThat(e.reason()).isEqualTo(reason);
              assertThat(e.where()).isEqualTo(where);
            });
  }

  /** A hexagonal prism of radius 4 and height 5: 3√3/2 · 16 · 5. */
  @Test
  void aTubeWithoutItsEndsIsClosedAtBoth() {
    MeshMend.Mended mended = MeshMend.mend(tube(4, 5, 0, false));
    assertThat(mended.before().openEdges()).isEqualTo(12);
    assertThat(mended.after()).isEqualTo(MeshCheck.of(mended.mesh()));
    assertThat(mended.after().sound()).isTrue();
    assertThat(mended.changes()).containsExactly(MeshMend.Change.FLAT_HOLE_CLOSED);
    assertThat(mended.mesh().volume()).isCloseTo(1.5 * Math.sqrt(3) * 80, within(1e-9));
    assertThat(MeshMend.mend(tube(4, 5, 0, true)).changes()).isEmpty();
    // Turned round and open: closed, then turned outside out.
    MeshMend.Mended inside = MeshMend.mend(tube(4, 5, 0, false).turned());
    assertThat(inside.changes())
        .containsExactlyInAnyOrder(
            MeshMend.Change.FLAT_HOLE_CLOSED, MeshMend.Change.TURNED_OUTSIDE_OUT);
    assertThat(inside.mesh().volume()).isCloseTo(1.5 * Math.sqrt(3) * 80, within(1e-9));
  }

  /** A corner lifted by a thousandth of the size leaves its hole flat, by four it does not. */
  @Test
  void aHoleIsFlatWithinAThousandthOfTheSize() {
    double size = tube(4, 5, 0, true).size();
    // Of a corner that is lifted its plane takes up a part.
    assertThat(MeshMend.mend(tube(4, 5, size * 1e-3, false)).changes())
        .containsExactly(MeshMend.Change.FLAT_HOLE_CLOSED);
    refused(tube(4, 5, size * 4e-3, false), MeshProblem.Reason.LEAKY, 12);
    refused(tube(4, 5, -size * 4e-3, false), MeshProblem.Reason.LEAKY, 12);
  }

  /** However it lies and wherever: its two ends are flat, and a lifted corner is not. */
  @Test
  void aHoleIsJudgedInItsOwnPlane() {
    for (double[] turn : new double[][] {{0.7, 0.4}, {1.9, -1.1}, {-0.5, 2.6}}) {
      MeshMend.Mended mended = MeshMend.mend(moved(tube(4, 5, 0, false), turn[0], turn[1]));
      assertThat(mended.changes()).containsExactly(MeshMend.Change.FLAT_HOLE_CLOSED);
      assertThat(mended.mesh().volume()).isCloseTo(1.5 * Math.sqrt(3) * 80, within(1e-6));
      double size = tube(4, 5, 0, true).size();
      refused(
          moved(tube(4, 5, size * 4e-3, false), turn[0], turn[1]), MeshProblem.Reason.LEAKY, 12);
    }
  }

  /** Turned about two axes and far from the origin. */
  private static TriangleMesh moved(TriangleMesh mesh, double a, double b) {
    MeshBuilder builder = new MeshBuilder();
    int[] corners = mesh.corners();
    int[] vertex = new int[mesh.vertices()];
    for (int v = 0; v < vertex.length; v++) {
      double x = mesh.x(v) * Math.cos(a) - mesh.y(v) * Math.sin(a);
      double y = mesh.x(v) * Math.sin(a) + mesh.y(v) * Math.cos(a);
      double z = mesh.z(v);
      vertex[v] =
          builder.vertex(
              100 + x * Math.cos(b) + z * Math.sin(b),
              y - 50,
              30 + z * Math.cos(b) - x * Math.sin(b));
    }
    for (int t = 0; t < corners.length; t += 3) {
      builder.triangle(vertex[corners[t]], vertex[corners[t + 1]], vertex[corners[t + 2]]);
    }
    return builder.build();
  }

  /** Two holes that meet in one corner have no rim of their own. */
  @Test
  void aRimThatIsNoSimpleLoopIsRefused() {
    MeshBuilder builder = new MeshBuilder();
    int[][] grid = new int[5][5];
    for (int x = 0; x < 5; x++) {
      for (int y = 0; y < 5; y++) {
        grid[x][y] = builder.vertex(x, y, 0);
      }
    }
    int[][] top = new int[5][5];
    for (int x = 0; x < 5; x++) {
      for (int y = 0; y < 5; y++) {
        top[x][y] = builder.vertex(x, y, 3);
      }
    }
    for (int x = 0; x < 4; x++) {
      for (int y = 0; y < 4; y++) {
        builder.triangle(grid[x][y], grid[x][y + 1], grid[x + 1][y + 1]);
        builder.triangle(grid[x][y], grid[x + 1][y + 1], grid[x + 1][y]);
        boolean hole = (x == 1 && y == 1) || (x == 2 && y == 2);
        if (!hole) {
          builder.triangle(top[x][y], top[x + 1][y + 1], top[x][y + 1]);
          builder.triangle(top[x][y], top[x + 1][y], top[x + 1][y + 1]);
        }
      }
    }
    for (int i = 0; i < 4; i++) {
      wall(builder, grid[i][0], grid[i + 1][0], top[i + 1][0], top[i][0]);
      wall(builder, grid[4][i], grid[4][i + 1], top[4][i + 1], top[4][i]);
      wall(builder, grid[i + 1][4], grid[i][4], top[i][4], top[i + 1][4]);
      wall(builder, grid[0][i + 1], grid[0][i], top[0][i], top[0][i + 1]);
    }
    TriangleMesh mesh = builder.build();
    assertThat(MeshCheck.of(mesh).openEdges()).isEqualTo(8);
    assertThat(MeshCheck.of(mesh).clashingEdges()).isZero();
    refused(mesh, MeshProblem.Reason.LEAKY, 8);
  }

  private static void wall(MeshBuilder builder, int a, int b, int c, int d) {
    builder.triangle(a, b, c);
    builder.triangle(a, c, d);
  }

  /** Each of two bodies whose triangles face both ways is made to face outwards by itself. */
  @Test
  void bodiesApartAreMadeToAgreeEachByItself() {
    for (long seed = 1; seed < 8; seed++) {
      MeshBuilder two = new MeshBuilder();
      TriangleMesh first = Meshes.spoilt(Meshes.sphere(5, 12), 0, true, 0, seed);
      TriangleMesh second = Meshes.spoilt(Meshes.box(20, 0, 0, 3, 4, 5), 0, true, 0, seed + 20);
      for (TriangleMesh mesh : new TriangleMesh[] {first, second}) {
        for (int t = 0; t < mesh.triangles(); t++) {
          int[] v = new int[3];
          for (int c = 0; c < 3; c++) {
            v[c] =
                two.vertex(
                    mesh.coordinate(t, c, 0), mesh.coordinate(t, c, 1), mesh.coordinate(t, c, 2));
          }
          two.triangle(v[0], v[1], v[2]);
        }
      }
      TriangleMesh both = two.build();
      MeshMend.Mended mended = MeshMend.mend(both);
      assertThat(mended.before().clashingEdges()).isPositive();
      assertThat(mended.changes()).containsExactly(MeshMend.Change.FACING_MADE_ONE);
      assertThat(mended.after().clashingEdges()).isZero();
      assertThat(mended.after().shells()).isEqualTo(2);
      assertThat(mended.mesh().volume())
          .isCloseTo(Meshes.sphere(5, 12).volume() + 60, within(1e-9));
    }
  }

  /** Corners that miss each other by a rounding are one; by five hundred they are not. */
  @Test
  void onlyARoundingIsJoined() {
    TriangleMesh box = Meshes.box(0, 0, 0, 4, 3, 2);
    double size = box.size();
    MeshMend.Mended joined = MeshMend.mend(Meshes.spoilt(box, 0, false, size * 2e-7, 3));
    assertThat(joined.changes()).contains(MeshMend.Change.CORNERS_JOINED);
    assertThat(joined.mesh().vertices()).isEqualTo(8);
    assertThat(joined.mesh().volume()).isCloseTo(24, within(24 * 1e-5));
    TriangleMesh apart = Meshes.spoilt(box, 0, false, size * 1e-3, 3);
    assertThatThrownBy(() -> MeshMend.mend(apart)).isInstanceOf(MeshProblem.class);
  }

  @Test
  void threeWallsOnAnEdgeAreTangledAndASheetIsFlat() {
    MeshBuilder fin = new MeshBuilder();
    Meshes.box(fin, 0, 0, 0, 1, 1, 1);
    // A fin of two triangles back to back on one of its edges, twice.
    int a = fin.vertex(0, 0, 0);
    int b = fin.vertex(1, 0, 0);
    int c = fin.vertex(0.5, -1, 0);
    fin.triangle(a, b, c);
    fin.triangle(a, c, b);
    fin.triangle(a, b, c);
    fin.triangle(a, c, b);
    assertThatThrownBy(() -> MeshMend.mend(fin.build()))
        .isInstanceOfSatisfying(
            MeshProblem.class, e -> assertThat(e.reason()).isEqualTo(MeshProblem.Reason.REPEATED));
    MeshBuilder wall = new MeshBuilder();
    Meshes.box(wall, 0, 0, 0, 1, 1, 1);
    int d = wall.vertex(0, 0, 0);
    int e = wall.vertex(1, 0, 0);
    int f = wall.vertex(0.5, -1, 0);
    int g = wall.vertex(0.5, -1, 1);
    wall.triangle(d, e, f);
    wall.triangle(d, e, g);
    wall.triangle(e, f, g);
    wall.triangle(f, d, g);
    assertThatThrownBy(() -> MeshMend.mend(wall.build()))
        .isInstanceOfSatisfying(
            MeshProblem.class,
            thrown -> assertThat(thrown.reason()).isEqualTo(MeshProblem.Reason.TANGLED));
    // A sheet of paper has two sides and no room between them.
    refused(Meshes.box(0, 0, 0, 100, 100, 1e-6), MeshProblem.Reason.FLAT, -1);
    assertThat(MeshMend.mend(Meshes.box(0, 0, 0, 10, 10, 1e-3)).mesh().volume())
        .isCloseTo(0.1, within(1e-9));
  }
}
