package calmpour.core.mould.mesh;

/**
 * How sound a surface is.
 *
 * @param openEdges edges with a triangle on one side only: the surface leaks there
 * @param tangledEdges edges where three or more triangles meet
 * @param clashingEdges edges whose two triangles face opposite ways
 * @param shells separate pieces of surface
 * @param volume enclosed, in cubic file units; negative when inside out, and no more than a guess
 *     when the surface leaks
 */
public record MeshCheck(
    int openEdges, int tangledEdges, int clashingEdges, int shells, double volume) {

  /** Whether it encloses something without a doubt. */
  public boolean closed() {
    return openEdges == 0 && tangledEdges == 0;
  }

  /** Whether everything faces outwards. */
  public boolean sound() {
    return closed() && clashingEdges == 0 && volume > 0;
  }

  /** For every triangle the first one of its shell. */
  static int[] shells(TriangleMesh mesh) {
    int[] parent = alone(mesh);
    new Edges(mesh)
        .each((sides, from, to) -> {
          for (int i = from; i < to; i++) {
            join(parent, sides[from] / 3, sides[i] / 3);
          }
        });
    for (int t = 0; t < parent.length; t++) {
      parent[t] = root(parent, t);
    }
    return parent;
  }

  private static int[] alone(TriangleMesh mesh) {
    int[] parent = new int[mesh.triangles()];
    for (int t = 0; t < parent.length; t++) {
      parent[t] = t;
    }
    return parent;
  }

  public static MeshCheck of(TriangleMesh mesh) {
    Edges edges = new Edges(mesh);
    int[] counts = new int[3];
    int[] parent = alone(mesh);
    edges.each((sides, from, to) -> {
      int there = 0;
      for (int i = from; i < to; i++) {
        there += edges.from(sides[i]) < edges.to(sides[i]) ? 1 : -1;
        join(parent, sides[from] / 3, sides[i] / 3);
      }
      int walked = to - from;
      if (walked == 1) {
        counts[0]++;
      } else if (walked > 2 && (walked % 2 == 1 || there != 0)) {
        // Two bodies that touch along an edge walk it evenly both ways, and enclose as they should.
        counts[1]++;
      } else if (there != 0) {
        counts[2]++;
      }
    });
    int shells = 0;
    for (int t = 0; t < parent.length; t++) {
      shells += root(parent, t) == t ? 1 : 0;
    }
    return new MeshCheck(counts[0], counts[1], counts[2], shells, mesh.volume());
  }

  private static void join(int[] parent, int a, int b) {
    int ra = root(parent, a);
    int rb = root(parent, b);
    if (ra != rb) {
      parent[Math.max(ra, rb)] = Math.min(ra, rb);
    }
  }

  private static int root(int[] parent, int of) {
    int at = of;
    while (parent[at] != at) {
      parent[at] = parent[parent[at]];
      at = parent[at];
    }
    return at;
  }
}
