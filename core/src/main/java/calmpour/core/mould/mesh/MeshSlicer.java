package calmpour.core.mould.mesh;

import calmpour.core.mould.MeshShape;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.TreeSet;

/**
 * Fills a closed surface level by level. By the divergence theorem the area of a level section is
 * what the surface below it lacks to be closed, A(z) = −∫ n_z dS, and V(z) = ∫ h·n_z dS + z·A(z);
 * both are sums over clipped triangles, exact at every level and without assembling a single
 * outline.
 */
public final class MeshSlicer {
  /** Even levels; the curve between them is a cubic that knows the area at both ends. */
  static final int EVEN_LEVELS = 160;

  /** Level faces larger than this share of the largest make a step that is sliced on both sides. */
  private static final double STEP_SHARE = 0.02;

  private static final int MOST_STEPS = 40;

  /** Both sides of a step, as a share of the depth. */
  private static final double HAIR = 1e-7;

  private MeshSlicer() {}

  /**
   * Slices a sound mesh.
   *
   * @param mmPerUnit what one unit of the file is, mm
   * @return levels from 0 to the rim, mm, mL and mm²
   */
  public static List<MeshShape.MeshLevel> slice(
      TriangleMesh sound, double turnXDegrees, double turnYDegrees, double mmPerUnit) {
    double[] placed = place(sound.xyz(), turnXDegrees, turnYDegrees, mmPerUnit);
    double depth = extent(placed, 2)[1];
    double[] levels = levels(sound.corners(), placed, depth);
    int n = levels.length;
    // Sums over what is wholly below a level are kept as differences.
    double[] areaSteps = new double[n + 1];
    double[] momentSteps = new double[n + 1];
    double[] area = new double[n];
    double[] moment = new double[n];
    double[] left = new double[n];
    double[] right = new double[n];
    Arrays.fill(left, Double.POSITIVE_INFINITY);
    Arrays.fill(right, Double.NEGATIVE_INFINITY);
    double[] h = new double[3];
    double[] x = new double[3];
    int[] corners = sound.corners();
    for (int t = 0; t < corners.length; t += 3) {
      int a = 3 * corners[t];
      int b = 3 * corners[t + 1];
      int c = 3 * corners[t + 2];
      double up =
          ((placed[b] - placed[a]) * (placed[c + 1] - placed[a + 1])
                  - (placed[b + 1] - placed[a + 1]) * (placed[c] - placed[a]))
              / 2;
      sorted(placed, a, b, c, h, x);
      // A level face on the rim closes the whole; it is above every level.
      boolean rim = h[0] == h[2] && h[2] >= depth;
      int whole = rim ? n : firstAtOrAbove(levels, h[2]);
      areaSteps[whole] += up;
      momentSteps[whole] += up * (h[0] + h[1] + h[2]) / 3;
      for (int i = firstAtOrAbove(levels, h[0]); i < n && levels[i] <= h[2]; i++) {
        double z = levels[i];
        if (i < whole && !rim) {
          double share = shareBelow(h, z);
          area[i] += up * share;
          moment[i] += up * momentBelow(h, z, share);
        }
        reach(h, x, z, i, left, right);
      }
    }
    return assembled(levels, areaSteps, momentSteps, area, moment, left, right);
  }

  private static List<MeshShape.MeshLevel> assembled(
      double[] levels,
      double[] areaSteps,
      double[] momentSteps,
      double[] area,
      double[] moment,
      double[] left,
      double[] right) {
    List<MeshShape.MeshLevel> sliced = new ArrayList<>();
    double below = 0;
    double belowMoment = 0;
    double filled = 0;
    for (int i = 0; i < levels.length; i++) {
      below += areaSteps[i];
      belowMoment += momentSteps[i];
      double flux = below + area[i];
      double open = Math.max(0, -flux);
      double volume = (belowMoment + moment[i] - levels[i] * flux) / 1_000;
      // The last digits of the sums must not let a level hold less than the one below.
      filled = i == 0 ? 0 : Math.max(filled, volume);
      double l = Double.isInfinite(left[i]) ? 0 : left[i];
      double r = Double.isInfinite(right[i]) ? 0 : right[i];
      sliced.add(new MeshShape.MeshLevel(levels[i], filled, open, l, r));
    }
    return sliced;
  }

  /** Share of a triangle's own area that lies below a level; corners in rising order. */
  private static double shareBelow(double[] h, double z) {
    if (z >= h[2]) {
      return 1;
    }
    if (z <= h[1] && h[1] > h[0]) {
      return (z - h[0]) * (z - h[0]) / ((h[1] - h[0]) * (h[2] - h[0]));
    }
    return 1 - (h[2] - z) * (h[2] - z) / ((h[2] - h[0]) * (h[2] - h[1]));
  }

  /** Share below times its mean height. */
  private static double momentBelow(double[] h, double z, double share) {
    double mean = (h[0] + h[1] + h[2]) / 3;
    if (z >= h[2]) {
      return mean;
    }
    if (z <= h[1] && h[1] > h[0]) {
      return share * (h[0] + 2 * z) / 3;
    }
    return mean - (1 - share) * (h[2] + 2 * z) / 3;
  }

  private static void reach(
      double[] h, double[] x, double z, int i, double[] left, double[] right) {
    for (int p = 0; p < 3; p++) {
      int q = p == 2 ? 0 : p + 1;
      double low = Math.min(h[p], h[q]);
      double high = Math.max(h[p], h[q]);
      if (z >= low && z <= high) {
        double share = high == low ? 0 : (z - h[p]) / (h[q] - h[p]);
        double at = x[p] + share * (x[q] - x[p]);
        left[i] = Math.min(left[i], at);
        right[i] = Math.max(right[i], at);
        if (high == low) {
          left[i] = Math.min(left[i], x[q]);
          right[i] = Math.max(right[i], x[q]);
        }
      }
    }
  }

  private static void sorted(double[] placed, int a, int b, int c, double[] h, double[] x) {
    int low = a;
    int middle = b;
    int high = c;
    if (placed[middle + 2] < placed[low + 2]) {
      int keep = low;
      low = middle;
      middle = keep;
    }
    if (placed[high + 2] < placed[middle + 2]) {
      int keep = middle;
      middle = high;
      high = keep;
    }
    if (placed[middle + 2] < placed[low + 2]) {
      int keep = low;
      low = middle;
      middle = keep;
    }
    h[0] = placed[low + 2];
    h[1] = placed[middle + 2];
    h[2] = placed[high + 2];
    x[0] = placed[low];
    x[1] = placed[middle];
    x[2] = placed[high];
  }

  private static int firstAtOrAbove(double[] levels, double z) {
    int found = Arrays.binarySearch(levels, z);
    return found >= 0 ? found : -found - 1;
  }

  /** Even levels, and both sides of every level face that is large enough to matter. */
  private static double[] levels(int[] corners, double[] placed, double depth) {
    TreeSet<Double> levels = new TreeSet<>();
    for (int i = 0; i <= EVEN_LEVELS; i++) {
      levels.add(depth * i / EVEN_LEVELS);
    }
    double largest = 0;
    java.util.HashMap<Double, Double> faces = new java.util.HashMap<>();
    for (int t = 0; t < corners.length; t += 3) {
      int a = 3 * corners[t];
      int b = 3 * corners[t + 1];
      int c = 3 * corners[t + 2];
      if (placed[a + 2] == placed[b + 2] && placed[b + 2] == placed[c + 2]) {
        double size =
            Math.abs(
                (placed[b] - placed[a]) * (placed[c + 1] - placed[a + 1])
                    - (placed[b + 1] - placed[a + 1]) * (placed[c] - placed[a]));
        largest = Math.max(largest, faces.merge(placed[a + 2], size, Double::sum));
      }
    }
    double enough = largest * STEP_SHARE;
    faces.entrySet().stream()
        .filter(f -> f.getValue() >= enough && f.getKey() > 0 && f.getKey() < depth)
        .sorted((p, q) -> Double.compare(q.getValue(), p.getValue()))
        .limit(MOST_STEPS)
        .forEach(f -> {
          levels.add(f.getKey());
          levels.add(f.getKey() - HAIR * depth);
        });
    List<Double> apart = new ArrayList<>();
    for (double level : levels) {
      if (apart.isEmpty() || level - apart.get(apart.size() - 1) > HAIR * depth / 2) {
        apart.add(level);
      }
    }
    apart.set(apart.size() - 1, depth);
    return apart.stream().mapToDouble(Double::doubleValue).toArray();
  }

  /** Turned, in mm, standing on 0, its longer level side from left to right and centred. */
  private static double[] place(double[] xyz, double turnX, double turnY, double mm) {
    double cx = cos(turnX);
    double sx = sin(turnX);
    double cy = cos(turnY);
    double sy = sin(turnY);
    double[] placed = new double[xyz.length];
    for (int i = 0; i < xyz.length; i += 3) {
      double y = xyz[i + 1] * cx - xyz[i + 2] * sx;
      double z = xyz[i + 1] * sx + xyz[i + 2] * cx;
      placed[i] = mm * (xyz[i] * cy + z * sy);
      placed[i + 1] = mm * y;
      placed[i + 2] = mm * (z * cy - xyz[i] * sy);
    }
    double[] ex = extent(placed, 0);
    double[] ey = extent(placed, 1);
    double floor = extent(placed, 2)[0];
    boolean swap = ey[1] - ey[0] > ex[1] - ex[0];
    for (int i = 0; i < placed.length; i += 3) {
      double x = placed[i] - (ex[0] + ex[1]) / 2;
      double y = placed[i + 1] - (ey[0] + ey[1]) / 2;
      // Swapping two axes would turn it inside out; a quarter turn does not.
      placed[i] = swap ? y : x;
      placed[i + 1] = swap ? -x : y;
      placed[i + 2] -= floor;
    }
    return placed;
  }

  /** Quarter turns must not leave a level face a hair off its level. */
  private static double cos(double degrees) {
    return degrees % 90 == 0
        ? Math.rint(Math.cos(Math.toRadians(degrees)))
        : Math.cos(Math.toRadians(degrees));
  }

  private static double sin(double degrees) {
    return degrees % 90 == 0
        ? Math.rint(Math.sin(Math.toRadians(degrees)))
        : Math.sin(Math.toRadians(degrees));
  }

  private static double[] extent(double[] placed, int axis) {
    double low = Double.POSITIVE_INFINITY;
    double high = Double.NEGATIVE_INFINITY;
    for (int i = axis; i < placed.length; i += 3) {
      low = Math.min(low, placed[i]);
      high = Math.max(high, placed[i]);
    }
    return new double[] {low, high};
  }
}
