package calmpour.core.mould.mesh;

import java.util.Arrays;

/**
 * The edges of a mesh, each with the triangles that share it. In a closed surface every edge is
 * walked exactly twice, once each way.
 */
final class Edges {
  /**
   * One entry a triangle side, sorted: smaller corner, larger corner; the side's place beside it.
   */
  private final long[] keys;

  private final int[] sides;
  private final TriangleMesh mesh;

  Edges(TriangleMesh mesh) {
    this.mesh = mesh;
    int n = mesh.corners().length;
    long[] both = new long[n];
    keys = new long[n];
    sides = new int[n];
    for (int side = 0; side < n; side++) {
      both[side] = key(side);
    }
    int[] order = order(both);
    for (int i = 0; i < n; i++) {
      keys[i] = both[order[i]];
      sides[i] = order[i];
    }
  }

  private static int[] order(long[] keys) {
    int n = keys.length;
    int[] order = new int[n];
    int[] other = new int[n];
    for (int i = 0; i < n; i++) {
      order[i] = i;
    }
    // Radix sort over the 62 bits in use, 16 at a time: steady, and no boxed numbers.
    int[] counts = new int[65_537];
    for (int shift = 0; shift < 64; shift += 16) {
      Arrays.fill(counts, 0);
      for (int i = 0; i < n; i++) {
        counts[(int) (keys[order[i]] >>> shift & 0xFFFF) + 1]++;
      }
      if (counts[1] == n) {
        continue;
      }
      for (int i = 1; i < counts.length; i++) {
        counts[i] += counts[i - 1];
      }
      for (int i = 0; i < n; i++) {
        other[counts[(int) (keys[order[i]] >>> shift & 0xFFFF)]++] = order[i];
      }
      int[] swap = order;
      order = other;
      other = swap;
    }
    return order;
  }

  private long key(int side) {
    long from = from(side);
    long to = to(side);
    return Math.min(from, to) << 31 | Math.max(from, to);
  }

  /** Corner at which a side begins; side s belongs to triangle s / 3. */
  int from(int side) {
    return mesh.corners()[side];
  }

  int to(int side) {
    return mesh.corners()[side % 3 == 2 ? side - 2 : side + 1];
  }

  /** Is told of every edge with the sides that walk it. */
  interface Visitor {
    /**
     * @param sides the sides of all edges, of which this edge has those in the range
     */
    void edge(int[] sides, int fromInclusive, int toExclusive);
  }

  void each(Visitor visitor) {
    int at = 0;
    while (at < keys.length) {
      int end = at + 1;
      while (end < keys.length && keys[end] == keys[at]) {
        end++;
      }
      visitor.edge(sides, at, end);
      at = end;
    }
  }
}
