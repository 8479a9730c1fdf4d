package calmpour.core.mould.mesh;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.mould.MeshShape;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;

/**
 * Level sections of a box that stands on a corner: what lies below a level is the chance that three
 * even chances add up to no more (P. Hall, Biometrika 19 (1927) 240–245, from memory: an
 * alternating sum of cubes), its area the change of that; how far it reaches comes from its own
 * twelve edges.
 */
class MeshSlicerTest {
  private static final double[] SIZES = {4, 2, 1};

  /** Σ (−1)^n · max(0, z − Σ heights)^p over all selections of the three edges. */
  private static double alternating(double[] heights, double z, int power) {
    double sum = 0;
    for (int chosen = 0; chosen < 8; chosen++) {
      double left = z;
      for (int edge = 0; edge < 3; edge++) {
        left -= (chosen >> edge & 1) * heights[edge];
      }
      sum += (Integer.bitCount(chosen) % 2 == 0 ? 1 : -1) * Math.pow(Math.max(0, left), power);
    }
    return sum;
  }

  /** x, y and z of the box's corners, turned about x and then about y. */
  private static double[][] corners(double turnX, double turnY) {
    double x = Math.toRadians(turnX);
    double y = Math.toRadians(turnY);
    double[][] corners = new double[8][];
    for (int c = 0; c < 8; c++) {
      double px = (c & 1) * SIZES[0];
      double py = (c >> 1 & 1) * SIZES[1];
      double pz = (c >> 2) * SIZES[2];
      double ay = py * Math.cos(x) - pz * Math.sin(x);
      double az = py * Math.sin(x) + pz * Math.cos(x);
      corners[c] =
          new double[] {
            px * Math.cos(y) + az * Math.sin(y), ay, az * Math.cos(y) - px * Math.sin(y)
          };
    }
    return corners;
  }

  private static double least(double[][] corners, int axis) {
    return Arrays.stream(corners).mapToDouble(c -> c[axis]).min().orElseThrow();
  }

  private static double most(double[][] corners, int axis) {
    return Arrays.stream(corners).mapToDouble(c -> c[axis]).max().orElseThrow();
  }

  @Test
  void aTurnedBoxHoldsBelowEachLevelWhatItsCornersCutOff() {
    for (double[] turn : new double[][] {{37, 21}, {-64, 33}, {12, -71}, {140, 50}}) {
      double[][] corners = corners(turn[0], turn[1]);
      double x = Math.toRadians(turn[0]);
      double y = Math.toRadians(turn[1]);
      double[] heights = {
        SIZES[0] * Math.abs(Math.sin(y)),
        SIZES[1] * Math.abs(Math.sin(x) * Math.cos(y)),
        SIZES[2] * Math.abs(Math.cos(x) * Math.cos(y))
      };
      double product = heights[0] * heights[1] * heights[2];
      double mm = 2.5;
      double whole = 8 * mm * mm * mm;
      List<MeshShape.MeshLevel> levels =
          MeshSlicer.slice(Meshes.box(5, -3, 7, 4, 2, 1), turn[0], turn[1], mm);
      assertThat(levels).hasSize(161);
      assertThat(levels.getLast().depthMm())
          .isCloseTo((heights[0] + heights[1] + heights[2]) * mm, within(1e-9));
      for (MeshShape.MeshLevel level : levels) {
        double z = level.depthMm() / mm;
        assertThat(level.volumeMl() * 1_000)
            .as("at %s of %s", z, turn)
            .isCloseTo(whole * alternating(heights, z, 3) / 6 / product, within(1e-8));
        assertThat(level.areaMm2())
            .isCloseTo(whole / mm * alternating(heights, z, 2) / 2 / product, within(1e-7));
        reaches(level, corners, z, mm);
      }
    }
  }

  /** Where the level meets the box's edges, with its longer side from left to right. */
  private static void reaches(MeshShape.MeshLevel level, double[][] corners, double z, double mm) {
    boolean swaps = most(corners, 1) - least(corners, 1) > most(corners, 0) - least(corners, 0);
    int across = swaps ? 1 : 0;
    double middle = (least(corners, across) + most(corners, across)) / 2;
    double floor = least(corners, 2);
    List<Double> met = new ArrayList<>();
    for (int a = 0; a < 8; a++) {
      for (int edge = 0; edge < 3; edge++) {
        int b = a ^ 1 << edge;
        double low = Math.min(corners[a][2], corners[b][2]) - floor;
        double high = Math.max(corners[a][2], corners[b][2]) - floor;
        if (low <= z + 1e-12 && z - 1e-12 <= high) {
          double share = (z - (corners[a][2] - floor)) / (corners[b][2] - corners[a][2]);
          met.add(
              mm
                  * (corners[a][across]
                      + share * (corners[b][across] - corners[a][across])
                      - middle));
        }
      }
    }
    assertThat(level.leftMm())
        .isCloseTo(met.stream().mapToDouble(m -> m).min().orElseThrow(), within(1e-6));
    assertThat(level.rightMm())
        .isCloseTo(met.stream().mapToDouble(m -> m).max().orElseThrow(), within(1e-6));
  }

  /** Steps are sliced on both sides, the forty largest of them, and small ones not at all. */
  @Test
  void onlyLevelFacesThatMatterMakeSteps() {
    MeshBuilder tower = new MeshBuilder();
    Meshes.box(tower, 0, 0, 0, 10, 10, 3.3);
    // Beside it a pin whose top is 1 % of the largest face, and one of 4 %.
    Meshes.box(tower, 20, 0, 0, 1, 1, 1.1);
    Meshes.box(tower, 30, 0, 0, 2, 2, 2.2);
    List<Double> depths =
        MeshSlicer.slice(tower.build(), 0, 0, 1).stream()
            .map(MeshShape.MeshLevel::depthMm)
            .toList();
    assertThat(depths).contains(2.2).doesNotContain(1.1);
    assertThat(depths).hasSize(163);
    assertThat(depths)
        .filteredOn(d -> d < 2.2 && d > 2.2 - 1e-6)
        .singleElement()
        .satisfies(d -> assertThat(2.2 - d).isCloseTo(3.3e-7, within(1e-12)));
    MeshBuilder stairs = new MeshBuilder();
    // Each top is a forty-fifth of all that stands on the floor: more than a fiftieth.
    for (int i = 0; i < 45; i++) {
      Meshes.box(stairs, 3 * i, 0, 0, 1, 1, 1 + i / 44.01);
    }
    List<MeshShape.MeshLevel> many = MeshSlicer.slice(stairs.build(), 0, 0, 1);
    assertThat(many).hasSize(161 + 80);
    // Every level holds the boxes below it, wherever it lies.
    for (MeshShape.MeshLevel level : many) {
      double holds = 0;
      for (int i = 0; i < 45; i++) {
        holds += Math.min(level.depthMm(), 1 + i / 44.01);
      }
      assertThat(level.volumeMl() * 1_000).isCloseTo(holds, within(1e-9));
    }
  }

  /**
   * Half turns stand on the same levels; a box on its face is as wide at the rim as at the floor.
   */
  @Test
  void aBoxOnItsFaceReachesAsFarAtEveryLevel() {
    for (double turn : new double[] {0, 90, 180, 270, -90}) {
      for (MeshShape.MeshLevel level : MeshSlicer.slice(Meshes.box(1, 2, 3, 4, 2, 1), turn, 0, 1)) {
        assertThat(level.leftMm()).as("turned by %s", turn).isCloseTo(-2, within(1e-12));
        assertThat(level.rightMm()).isCloseTo(2, within(1e-12));
      }
    }
    List<MeshShape.MeshLevel> standing = MeshSlicer.slice(Meshes.box(0, 0, 0, 1, 5, 2), 0, 0, 1);
    assertThat(standing.get(80).leftMm()).isCloseTo(-2.5, within(1e-12));
    assertThat(standing.get(80).areaMm2()).isCloseTo(5, within(1e-12));
  }
}
