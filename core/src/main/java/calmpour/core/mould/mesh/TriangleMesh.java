package calmpour.core.mould.mesh;

import java.util.Arrays;

/** A surface of triangles over shared corners, in file units; never changed once built. */
public final class TriangleMesh {
  /** Three coordinates a corner: x, y, z of the first, then of the second. */
  private final double[] xyz;

  /** Three indices a triangle, counter-clockwise seen from outside. */
  private final int[] corners;

  /** Keeps the arrays as they are: a million triangles are not copied at every step. */
  TriangleMesh(double[] xyz, int[] corners) {
    this.xyz = xyz;
    this.corners = corners;
  }

  /** The coordinates themselves, which only this package sees and nobody writes to. */
  double[] xyz() {
    return xyz;
  }

  /** The corners themselves, which only this package sees and nobody writes to. */
  int[] corners() {
    return corners;
  }

  public int triangles() {
    return corners.length / 3;
  }

  public int vertices() {
    return xyz.length / 3;
  }

  /**
   * One coordinate of a triangle's corner, in file units.
   *
   * @param corner 0 to 2
   * @param axis 0 x, 1 y, 2 z
   */
  public double coordinate(int triangle, int corner, int axis) {
    return xyz[3 * corners[3 * triangle + corner] + axis];
  }

  double x(int vertex) {
    return xyz[3 * vertex];
  }

  double y(int vertex) {
    return xyz[3 * vertex + 1];
  }

  double z(int vertex) {
    return xyz[3 * vertex + 2];
  }

  /** Smallest and largest coordinate along one axis (0 x, 1 y, 2 z), in file units. */
  public double[] extent(int axis) {
    double low = Double.POSITIVE_INFINITY;
    double high = Double.NEGATIVE_INFINITY;
    for (int i = axis; i < xyz.length; i += 3) {
      low = Math.min(low, xyz[i]);
      high = Math.max(high, xyz[i]);
    }
    return new double[] {low, high};
  }

  /** Longest side of the box round it, in file units; 0 for an empty mesh. */
  public double size() {
    double size = 0;
    for (int axis = 0; axis < 3; axis++) {
      double[] extent = extent(axis);
      size = Math.max(size, extent[1] - extent[0]);
    }
    return size;
  }

  /**
   * Enclosed volume in cubic file units: the sum of signed tetrahedra over a common point, here the
   * middle of the box so that a part far from the origin loses no digits. Positive when the
   * triangles face outwards (C. Zhang and T. Chen, Proc. IEEE ICIP 2001, 935–938).
   */
  public double volume() {
    double cx = middle(0);
    double cy = middle(1);
    double cz = middle(2);
    double six = 0;
    for (int t = 0; t < corners.length; t += 3) {
      int a = 3 * corners[t];
      int b = 3 * corners[t + 1];
      int c = 3 * corners[t + 2];
      double ax = xyz[a] - cx;
      double ay = xyz[a + 1] - cy;
      double az = xyz[a + 2] - cz;
      double bx = xyz[b] - cx;
      double by = xyz[b + 1] - cy;
      double bz = xyz[b + 2] - cz;
      double px = xyz[c] - cx;
      double py = xyz[c + 1] - cy;
      double pz = xyz[c + 2] - cz;
      six += ax * (by * pz - bz * py) + ay * (bz * px - bx * pz) + az * (bx * py - by * px);
    }
    return six / 6;
  }

  private double middle(int axis) {
    double[] extent = extent(axis);
    return extent[0] / 2 + extent[1] / 2;
  }

  /** The same surface turned inside out. */
  public TriangleMesh turned() {
    boolean[] all = new boolean[triangles()];
    Arrays.fill(all, true);
    return turned(all);
  }

  /** The same surface, some of its triangles facing the other way. */
  TriangleMesh turned(boolean[] some) {
    int[] other = corners.clone();
    for (int t = 0; t < some.length; t++) {
      if (some[t]) {
        other[3 * t + 1] = corners[3 * t + 2];
        other[3 * t + 2] = corners[3 * t + 1];
      }
    }
    return new TriangleMesh(xyz, other);
  }
}
