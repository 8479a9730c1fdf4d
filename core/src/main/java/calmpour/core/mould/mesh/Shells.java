package calmpour.core.mould.mesh;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Whether a closed surface counts every bit of its room once: signed tetrahedra add up the room of
 * shells that repeat, overlap or nest the same way round, and the sum looks like any other volume.
 */
final class Shells {
  /** Beyond so many pairs of triangles that lie near each other, no more are looked at. */
  private static final int MOST_PAIRS = 20_000_000;

  /** What misses by less than this share of the size only touches. */
  private static final double TOUCHES = 1e-9;

  /** So near to a whole number a winding number is one. */
  private static final double WHOLE = 0.1;

  private static final int SAMPLES = 5;

  private final TriangleMesh mesh;
  private final int[] corners;
  private final int[] shellOf;
  private final double hair;

  private Shells(TriangleMesh mesh) {
    this.mesh = mesh;
    this.corners = mesh.corners();
    this.shellOf = MeshCheck.shells(mesh);
    this.hair = mesh.size() * TOUCHES;
  }

  /**
   * @param mesh closed, facing outwards
   * @throws MeshProblem when some of its room is counted twice
   */
  static void believable(TriangleMesh mesh) {
    Shells shells = new Shells(mesh);
    shells.notRepeated();
    shells.withinItsBox();
    List<Shell> all = shells.each();
    if (all.size() > 1) {
      shells.apart(all);
    }
  }

  /**
   * A shell that lies in no other one and faces inwards takes away room that is there: it is turned
   * round.
   *
   * @param mesh closed
   * @return the same mesh where there is no such shell
   */
  static TriangleMesh outwards(TriangleMesh mesh) {
    Shells shells = new Shells(mesh);
    List<Shell> all = shells.each();
    boolean[] turn = new boolean[mesh.triangles()];
    boolean some = false;
    for (Shell shell : all) {
      if (all.size() > 1 && shells.volume(shell.triangles) < 0 && shells.liesInNone(shell, all)) {
        shell.triangles.forEach(t -> turn[t] = true);
        some = true;
      }
    }
    return some ? mesh.turned(turn) : mesh;
  }

  /**
   * One closed surface.
   *
   * @param box least and greatest x, y, z
   */
  private record Shell(List<Integer> triangles, List<Double> box) {}

  private List<Shell> each() {
    Map<Integer, List<Integer>> byShell = new LinkedHashMap<>();
    for (int t = 0; t < shellOf.length; t++) {
      byShell.computeIfAbsent(shellOf[t], k -> new ArrayList<>()).add(t);
    }
    return byShell.values().stream()
        .map(s -> new Shell(s, Arrays.stream(box(s)).boxed().toList()))
        .toList();
  }

  private void notRepeated() {
    Set<List<Integer>> seen = new HashSet<>();
    int repeated = 0;
    for (int t = 0; t < corners.length; t += 3) {
      int[] one = {corners[t], corners[t + 1], corners[t + 2]};
      Arrays.sort(one);
      repeated += seen.add(List.of(one[0], one[1], one[2])) ? 0 : 1;
    }
    if (repeated > 0) {
      throw new MeshProblem(MeshProblem.Reason.REPEATED, repeated);
    }
  }

  private void withinItsBox() {
    double[] box = box(java.util.stream.IntStream.range(0, corners.length / 3).boxed().toList());
    double holds = (box[3] - box[0]) * (box[4] - box[1]) * (box[5] - box[2]);
    if (mesh.volume() > holds * (1 + WHOLE * 1e-5)) {
      throw new MeshProblem(MeshProblem.Reason.MORE_THAN_ITS_BOX, -1);
    }
  }

  private void apart(List<Shell> shells) {
    int crossing = 0;
    for (int i = 0; i < shells.size(); i++) {
      for (int j = i + 1; j < shells.size(); j++) {
        Shell one = shells.get(i);
        Shell other = shells.get(j);
        crossing += meet(one, other) && cross(one.triangles, other.triangles) ? 1 : 0;
      }
    }
    if (crossing > 0) {
      throw new MeshProblem(MeshProblem.Reason.OVERLAPPING, crossing);
    }
    int nested = 0;
    for (Shell shell : shells) {
      List<Long> round = woundRound(shell, shells);
      // What holds room begins where nothing is; a hollow begins in what is there once.
      long begins = volume(shell.triangles) > 0 ? 0 : 1;
      nested += !round.isEmpty() && sum(round) != begins ? 1 : 0;
    }
    if (nested > 0) {
      throw new MeshProblem(MeshProblem.Reason.NESTED, nested);
    }
  }

  /** Least and greatest x, y, z. */
  private double[] box(List<Integer> triangles) {
    double[] box = new double[6];
    Arrays.fill(box, 0, 3, Double.POSITIVE_INFINITY);
    Arrays.fill(box, 3, 6, Double.NEGATIVE_INFINITY);
    for (int t : triangles) {
      for (int c = 0; c < 3; c++) {
        double[] at = at(corners[3 * t + c]);
        for (int axis = 0; axis < 3; axis++) {
          box[axis] = Math.min(box[axis], at[axis]);
          box[axis + 3] = Math.max(box[axis + 3], at[axis]);
        }
      }
    }
    return box;
  }

  private boolean meet(Shell a, Shell b) {
    for (int axis = 0; axis < 3; axis++) {
      if (a.box.get(axis) >= b.box.get(axis + 3) - hair
          || b.box.get(axis) >= a.box.get(axis + 3) - hair) {
        return false;
      }
    }
    return true;
  }

  private double[] at(int vertex) {
    return new double[] {mesh.x(vertex), mesh.y(vertex), mesh.z(vertex)};
  }

  /** Whether an edge of one runs through a triangle of the other; sorted by x, so that few meet. */
  private boolean cross(List<Integer> a, List<Integer> b) {
    List<double[]> boxesB = new ArrayList<>();
    List<Integer> sortedB = new ArrayList<>(b);
    sortedB.sort(Comparator.comparingDouble(t -> box(List.of(t))[0]));
    sortedB.forEach(t -> boxesB.add(box(List.of(t))));
    int pairs = 0;
    for (int t : a) {
      double[] own = box(List.of(t));
      for (int k = 0; k < sortedB.size() && boxesB.get(k)[0] <= own[3]; k++) {
        if (meetOrTouch(own, boxesB.get(k))) {
          pairs++;
          if (runsThrough(t, sortedB.get(k)) || runsThrough(sortedB.get(k), t)) {
            return true;
          }
          if (pairs > MOST_PAIRS) {
            return false;
          }
        }
      }
    }
    return false;
  }

  private boolean meetOrTouch(double[] a, double[] b) {
    for (int axis = 0; axis < 3; axis++) {
      if (a[axis] > b[axis + 3] + hair || b[axis] > a[axis + 3] + hair) {
        return false;
      }
    }
    return true;
  }

  private boolean runsThrough(int edgesOf, int triangle) {
    double[] p = at(corners[3 * triangle]);
    double[] q = at(corners[3 * triangle + 1]);
    double[] r = at(corners[3 * triangle + 2]);
    double[] normal = cross(minus(q, p), minus(r, p));
    double length = Math.sqrt(dot(normal, normal));
    if (length == 0) {
      return false;
    }
    for (int c = 0; c < 3; c++) {
      double[] from = at(corners[3 * edgesOf + c]);
      double[] to = at(corners[3 * edgesOf + (c + 1) % 3]);
      double above = dot(normal, minus(from, p)) / length;
      double below = dot(normal, minus(to, p)) / length;
      boolean passes = (above > hair && below < -hair) || (above < -hair && below > hair);
      if (!passes) {
        continue;
      }
      double s = above / (above - below);
      double[] x = {
        from[0] + s * (to[0] - from[0]),
        from[1] + s * (to[1] - from[1]),
        from[2] + s * (to[2] - from[2])
      };
      if (inside(x, p, q, normal, length)
          && inside(x, q, r, normal, length)
          && inside(x, r, p, normal, length)) {
        return true;
      }
    }
    return false;
  }

  /** On the inner side of one edge by more than a touch. */
  private boolean inside(double[] x, double[] from, double[] to, double[] normal, double length) {
    double[] edge = minus(to, from);
    double side = dot(normal, cross(edge, minus(x, from))) / length;
    return side > hair * Math.sqrt(dot(edge, edge));
  }

  private boolean liesInNone(Shell shell, List<Shell> all) {
    List<Long> round = woundRound(shell, all);
    return !round.isEmpty() && round.stream().allMatch(times -> times == 0);
  }

  private static long sum(List<Long> times) {
    return times.stream().mapToLong(t -> t).sum();
  }

  /**
   * How often each shell is wound round a place on one of them, which counts as not wound round
   * itself; empty where every place that was tried lies too near to some wall.
   */
  private List<Long> woundRound(Shell one, List<Shell> all) {
    int step = Math.max(1, one.triangles.size() / SAMPLES);
    for (int i = 0; i < one.triangles.size(); i += step) {
      double[] middle = middle(one.triangles.get(i));
      List<Long> times = new ArrayList<>();
      boolean clear = true;
      for (Shell other : all) {
        boolean near = !other.equals(one) && meet(one, other);
        double winding = near ? winding(middle, other.triangles) : 0;
        clear &= Math.abs(winding - Math.rint(winding)) < WHOLE;
        times.add(Math.round(winding));
      }
      if (clear) {
        return times;
      }
    }
    return List.of();
  }

  private double[] middle(int triangle) {
    double[] a = at(corners[3 * triangle]);
    double[] b = at(corners[3 * triangle + 1]);
    double[] c = at(corners[3 * triangle + 2]);
    return new double[] {
      (a[0] + b[0] + c[0]) / 3, (a[1] + b[1] + c[1]) / 3, (a[2] + b[2] + c[2]) / 3
    };
  }

  private double volume(List<Integer> triangles) {
    double six = 0;
    for (int t : triangles) {
      double[] b = at(corners[3 * t + 1]);
      six += dot(at(corners[3 * t]), cross(b, at(corners[3 * t + 2])));
    }
    return six / 6;
  }

  /**
   * How often a shell is wound round a point: the sum of its triangles' solid angles over 4π. A.
   * Van Oosterom and J. Strackee, IEEE Trans. Biomed. Eng. 30 (1983) 125, eq. 8.
   */
  private double winding(double[] point, List<Integer> triangles) {
    double sum = 0;
    for (int t : triangles) {
      double[] a = minus(at(corners[3 * t]), point);
      double[] b = minus(at(corners[3 * t + 1]), point);
      double[] c = minus(at(corners[3 * t + 2]), point);
      double la = Math.sqrt(dot(a, a));
      double lb = Math.sqrt(dot(b, b));
      double lc = Math.sqrt(dot(c, c));
      double over = dot(a, cross(b, c));
      double under = la * lb * lc + dot(a, b) * lc + dot(b, c) * la + dot(c, a) * lb;
      sum += 2 * Math.atan2(over, under);
    }
    return sum / (4 * Math.PI);
  }

  private static double[] minus(double[] a, double[] b) {
    return new double[] {a[0] - b[0], a[1] - b[1], a[2] - b[2]};
  }

  private static double[] cross(double[] a, double[] b) {
    return new double[] {
      a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]
    };
  }

  private static double dot(double[] a, double[] b) {
    return a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
  }
}
