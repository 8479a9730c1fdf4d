package calmpour.core.mould.mesh;

import java.util.Arrays;

/**
 * Gathers triangles while a file is read. Corners at exactly the same place become one, which is
 * how a soup of triangles gets its edges back. Memory is bounded by the most triangles allowed.
 */
public final class MeshBuilder {
  /** More than a desk-top model of a small piece ever needs. */
  public static final int MOST_TRIANGLES = 1_500_000;

  private double[] xyz = new double[3 * 1_024];
  private int vertices;
  private int[] corners = new int[3 * 2_048];
  private int used;
  private int[] table = new int[4_096];
  private int dropped;
  private int read;

  public MeshBuilder() {
    Arrays.fill(table, -1);
  }

  /** Triangles that were given, those without area included. */
  public int read() {
    return read;
  }

  /** Triangles left out because two corners fell together. */
  public int dropped() {
    return dropped;
  }

  /**
   * The corner at a place, new or known.
   *
   * @throws MeshProblem when a coordinate is no number
   */
  public int vertex(double x, double y, double z) {
    if (!Double.isFinite(x + y + z) || Math.abs(x) + Math.abs(y) + Math.abs(z) > 1e12) {
      throw new MeshProblem(MeshProblem.Reason.NOT_A_NUMBER, read + 1);
    }
    // Minus nought and nought are the same place.
    double px = x + 0.0;
    double py = y + 0.0;
    double pz = z + 0.0;
    int slot = slot(px, py, pz);
    while (table[slot] >= 0) {
      int known = 3 * table[slot];
      if (xyz[known] == px && xyz[known + 1] == py && xyz[known + 2] == pz) {
        return table[slot];
      }
      slot = slot + 1 & table.length - 1;
    }
    if (3 * vertices == xyz.length) {
      xyz = Arrays.copyOf(xyz, xyz.length * 2);
    }
    xyz[3 * vertices] = px;
    xyz[3 * vertices + 1] = py;
    xyz[3 * vertices + 2] = pz;
    table[slot] = vertices++;
    if (2 * vertices > table.length) {
      grow();
    }
    return vertices - 1;
  }

  private int slot(double x, double y, double z) {
    long hash = Double.doubleToRawLongBits(x) * 0x9E3779B97F4A7C15L;
    hash = (hash ^ hash >>> 29) + Double.doubleToRawLongBits(y) * 0xBF58476D1CE4E5B9L;
    hash = (hash ^ hash >>> 32) + Double.doubleToRawLongBits(z) * 0x94D049BB133111EBL;
    hash ^= hash >>> 31;
    return (int) (hash ^ hash >>> 17) & table.length - 1;
  }

  private void grow() {
    table = new int[table.length * 2];
    Arrays.fill(table, -1);
    for (int v = 0; v < vertices; v++) {
      int slot = slot(xyz[3 * v], xyz[3 * v + 1], xyz[3 * v + 2]);
      while (table[slot] >= 0) {
        slot = slot + 1 & table.length - 1;
      }
      table[slot] = v;
    }
  }

  /**
   * A triangle over three corners, counter-clockwise seen from outside.
   *
   * @throws MeshProblem when there are too many, or a corner does not exist
   */
  public void triangle(int a, int b, int c) {
    if (++read > MOST_TRIANGLES) {
      throw new MeshProblem(MeshProblem.Reason.TOO_LARGE, MOST_TRIANGLES);
    }
    if (Math.min(a, Math.min(b, c)) < 0 || Math.max(a, Math.max(b, c)) >= vertices) {
      throw new MeshProblem(MeshProblem.Reason.NOT_READABLE, read);
    }
    if (a == b || b == c || c == a) {
      dropped++;
      return;
    }
    if (used == corners.length) {
      corners = Arrays.copyOf(corners, corners.length * 2);
    }
    corners[used++] = a;
    corners[used++] = b;
    corners[used++] = c;
  }

  /**
   * @throws MeshProblem when nothing was gathered
   */
  public TriangleMesh build() {
    if (used == 0) {
      throw new MeshProblem(MeshProblem.Reason.EMPTY, 0);
    }
    return new TriangleMesh(Arrays.copyOf(xyz, 3 * vertices), Arrays.copyOf(corners, used));
  }
}
