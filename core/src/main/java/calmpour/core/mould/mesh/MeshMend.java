package calmpour.core.mould.mesh;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Puts right what can be put right without guessing, and refuses the rest: turns a surface that is
 * inside out, makes triangles that face both ways agree, joins corners that miss each other by a
 * rounding, and closes a hole that lies in one plane.
 */
public final class MeshMend {
  /** Corners this close, as a share of the size, were one before somebody rounded them. */
  private static final double ROUNDING = 2e-6;

  /** A hole counts as flat when no corner leaves its plane by more than this share of the size. */
  private static final double FLAT = 1e-3;

  /** Less than this share of its box is a sheet of paper, not a piece. */
  private static final double THIN = 1e-7;

  /** What was put right. */
  public enum Change {
    CORNERS_JOINED,
    FLAT_HOLE_CLOSED,
    FACING_MADE_ONE,
    TURNED_OUTSIDE_OUT
  }

  /**
   * @param mesh sound: closed, facing outwards
   * @param before what was found
   */
  public record Mended(TriangleMesh mesh, MeshCheck before, MeshCheck after, Set<Change> changes) {}

  private MeshMend() {}

  /**
   * @throws MeshProblem when it leaks, is tangled or flat beyond what is safe to mend, or its
   *     shells count some of its room twice
   */
  public static Mended mend(TriangleMesh given) {
    MeshCheck before = MeshCheck.of(given);
    EnumSet<Change> changes = EnumSet.noneOf(Change.class);
    TriangleMesh mesh = given;
    MeshCheck check = before;
    if (check.openEdges() > 0) {
      TriangleMesh joined = joinCorners(mesh);
      MeshCheck after = joined == null ? check : MeshCheck.of(joined);
      if (joined != null
          && after.openEdges() < check.openEdges()
          && after.tangledEdges() <= check.tangledEdges()) {
        mesh = joined;
        check = after;
        changes.add(Change.CORNERS_JOINED);
      }
    }
    if (check.clashingEdges() > 0 && check.tangledEdges() == 0) {
      mesh = agree(mesh);
      check = MeshCheck.of(mesh);
      changes.add(Change.FACING_MADE_ONE);
    }
    if (check.openEdges() > 0) {
      TriangleMesh closed = closeFlatHoles(mesh);
      if (closed == null) {
        throw new MeshProblem(MeshProblem.Reason.LEAKY, check.openEdges());
      }
      mesh = closed;
      check = MeshCheck.of(mesh);
      changes.add(Change.FLAT_HOLE_CLOSED);
    }
    if (check.tangledEdges() > 0 || check.clashingEdges() > 0) {
      throw new MeshProblem(
          MeshProblem.Reason.TANGLED, check.tangledEdges() + check.clashingEdges());
    }
    if (check.openEdges() > 0) {
      throw new MeshProblem(MeshProblem.Reason.LEAKY, check.openEdges());
    }
    double size = mesh.size();
    if (!(Math.abs(check.volume()) > THIN * size * size * size)) {
      throw new MeshProblem(MeshProblem.Reason.FLAT, -1);
    }
    if (check.volume() < 0) {
      mesh = mesh.turned();
      check = MeshCheck.of(mesh);
      changes.add(Change.TURNED_OUTSIDE_OUT);
    }
    TriangleMesh outwards = Shells.outwards(mesh);
    if (outwards != mesh) {
      mesh = outwards;
      check = MeshCheck.of(mesh);
      changes.add(Change.TURNED_OUTSIDE_OUT);
    }
    Shells.believable(mesh);
    return new Mended(mesh, before, check, changes);
  }

  /** Rounds every corner onto a fine grid; null when that joins nothing. */
  private static @Nullable TriangleMesh joinCorners(TriangleMesh mesh) {
    double step = mesh.size() * ROUNDING;
    MeshBuilder builder = new MeshBuilder();
    int[] to = new int[mesh.vertices()];
    for (int v = 0; v < to.length; v++) {
      to[v] =
          builder.vertex(
              Math.rint(mesh.x(v) / step) * step,
              Math.rint(mesh.y(v) / step) * step,
              Math.rint(mesh.z(v) / step) * step);
    }
    int[] corners = mesh.corners();
    for (int t = 0; t < corners.length; t += 3) {
      builder.triangle(to[corners[t]], to[corners[t + 1]], to[corners[t + 2]]);
    }
    TriangleMesh joined = builder.build();
    return joined.vertices() < mesh.vertices() ? joined : null;
  }

  /** Walks from triangle to neighbour and turns whoever faces the other way; shells outwards. */
  private static TriangleMesh agree(TriangleMesh mesh) {
    Edges edges = new Edges(mesh);
    int n = mesh.triangles();
    int[] neighbour = new int[3 * n];
    java.util.Arrays.fill(neighbour, -1);
    edges.each((sides, from, to) -> {
      if (to - from == 2) {
        neighbour[sides[from]] = sides[from + 1];
        neighbour[sides[from + 1]] = sides[from];
      }
    });
    boolean[] seen = new boolean[n];
    boolean[] turn = new boolean[n];
    int[] corners = mesh.corners().clone();
    for (int seed = 0; seed < n; seed++) {
      if (seen[seed]) {
        continue;
      }
      List<Integer> shell = new ArrayList<>();
      ArrayDeque<Integer> open = new ArrayDeque<>(List.of(seed));
      seen[seed] = true;
      while (!open.isEmpty()) {
        int t = open.poll();
        shell.add(t);
        for (int side = 3 * t; side < 3 * t + 3; side++) {
          int across = neighbour[side];
          if (across >= 0 && !seen[across / 3]) {
            // Neighbours that agree walk their edge in opposite directions.
            boolean clash = edges.from(side) == edges.from(across);
            turn[across / 3] = turn[t] ^ clash;
            seen[across / 3] = true;
            open.add(across / 3);
          }
        }
      }
      int[] own = new int[3 * shell.size()];
      for (int i = 0; i < shell.size(); i++) {
        int t = 3 * shell.get(i);
        boolean turned = turn[t / 3];
        own[3 * i] = mesh.corners()[t];
        own[3 * i + 1] = mesh.corners()[turned ? t + 2 : t + 1];
        own[3 * i + 2] = mesh.corners()[turned ? t + 1 : t + 2];
      }
      TriangleMesh alone = new TriangleMesh(mesh.xyz(), own);
      TriangleMesh facing = alone.volume() < 0 ? alone.turned() : alone;
      for (int i = 0; i < shell.size(); i++) {
        System.arraycopy(facing.corners(), 3 * i, corners, 3 * shell.get(i), 3);
      }
    }
    return new TriangleMesh(mesh.xyz(), corners);
  }

  /**
   * Closes every hole with triangles to its middle: exact for the volume when the hole is flat,
   * whatever its outline. Null when a hole is not flat or its rim is not one simple loop.
   */
  private static @Nullable TriangleMesh closeFlatHoles(TriangleMesh mesh) {
    Edges edges = new Edges(mesh);
    Map<Integer, Integer> next = new HashMap<>();
    boolean[] simple = {true};
    edges.each((sides, from, to) -> {
      if (to - from == 1) {
        // The lid walks the rim the other way round.
        simple[0] &= next.put(edges.to(sides[from]), edges.from(sides[from])) == null;
      }
    });
    if (!simple[0]) {
      return null;
    }
    MeshBuilder builder = new MeshBuilder();
    int[] to = new int[mesh.vertices()];
    for (int v = 0; v < to.length; v++) {
      to[v] = builder.vertex(mesh.x(v), mesh.y(v), mesh.z(v));
    }
    for (int t = 0; t < mesh.corners().length; t += 3) {
      builder.triangle(to[mesh.corners()[t]], to[mesh.corners()[t + 1]], to[mesh.corners()[t + 2]]);
    }
    while (!next.isEmpty()) {
      List<Integer> loop = new ArrayList<>();
      int start = next.keySet().iterator().next();
      int at = start;
      do {
        loop.add(at);
        Integer then = next.remove(at);
        if (then == null) {
          return null;
        }
        at = then;
      } while (at != start);
      if (!flat(mesh, loop)) {
        return null;
      }
      double[] middle = middle(mesh, loop);
      int hub = builder.vertex(middle[0], middle[1], middle[2]);
      for (int i = 0; i < loop.size(); i++) {
        builder.triangle(hub, to[loop.get(i)], to[loop.get((i + 1) % loop.size())]);
      }
    }
    return builder.build();
  }

  private static double[] middle(TriangleMesh mesh, List<Integer> loop) {
    double[] sum = new double[3];
    for (int v : loop) {
      sum[0] += mesh.x(v) / loop.size();
      sum[1] += mesh.y(v) / loop.size();
      sum[2] += mesh.z(v) / loop.size();
    }
    return sum;
  }

  /** Distance of every corner from the loop's own plane (M. E. Newell's normal). */
  private static boolean flat(TriangleMesh mesh, List<Integer> loop) {
    double[] middle = middle(mesh, loop);
    double nx = 0;
    double ny = 0;
    double nz = 0;
    for (int i = 0; i < loop.size(); i++) {
      int a = loop.get(i);
      int b = loop.get((i + 1) % loop.size());
      nx += (mesh.y(a) - mesh.y(b)) * (mesh.z(a) + mesh.z(b) - 2 * middle[2]);
      ny += (mesh.z(a) - mesh.z(b)) * (mesh.x(a) + mesh.x(b) - 2 * middle[0]);
      nz += (mesh.x(a) - mesh.x(b)) * (mesh.y(a) + mesh.y(b) - 2 * middle[1]);
    }
    double length = Math.sqrt(nx * nx + ny * ny + nz * nz);
    if (length == 0) {
      return false;
    }
    double most = mesh.size() * FLAT;
    for (int v : loop) {
      double off =
          ((mesh.x(v) - middle[0]) * nx
                  + (mesh.y(v) - middle[1]) * ny
                  + (mesh.z(v) - middle[2]) * nz)
              / length;
      if (Math.abs(off) > most) {
        return false;
      }
    }
    return true;
  }
}
