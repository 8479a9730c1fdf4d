package calmpour.core.mould.mesh;

import java.util.Random;

/** Meshes made for tests: closed forms, tessellated. */
public final class Meshes {
  private Meshes() {}

  /** A point of a surface of revolution: radius and height for a parameter from 0 to 1. */
  public interface Outline {
    double[] at(double t);
  }

  /**
   * A body of revolution about the z axis; the outline runs from the axis at the bottom to the axis
   * at the top.
   */
  public static TriangleMesh turned(Outline outline, int around, int along) {
    MeshBuilder builder = new MeshBuilder();
    int[][] ring = new int[along + 1][around];
    for (int i = 0; i <= along; i++) {
      double[] p = outline.at((double) i / along);
      for (int j = 0; j < around; j++) {
        double angle = 2 * Math.PI * j / around;
        double r = i == 0 || i == along ? 0 : p[0];
        ring[i][j] = builder.vertex(r * Math.cos(angle), r * Math.sin(angle), p[1]);
      }
    }
    for (int i = 0; i < along; i++) {
      for (int j = 0; j < around; j++) {
        int k = (j + 1) % around;
        builder.triangle(ring[i][j], ring[i][k], ring[i + 1][k]);
        builder.triangle(ring[i][j], ring[i + 1][k], ring[i + 1][j]);
      }
    }
    return outwards(builder.build());
  }

  private static TriangleMesh outwards(TriangleMesh mesh) {
    return mesh.volume() < 0 ? mesh.turned() : mesh;
  }

  public static TriangleMesh sphere(double radius, int around) {
    return turned(
        t -> new double[] {radius * Math.sin(Math.PI * t), -radius * Math.cos(Math.PI * t)},
        around,
        around / 2);
  }

  /** A bowl: half a sphere with its flat face on top. */
  public static TriangleMesh bowl(double radius, int around) {
    return turned(
        t -> {
          double angle = Math.PI / 2 * Math.min(1, t / 0.75);
          double r = t <= 0.75 ? radius * Math.sin(angle) : radius * (1 - t) / 0.25;
          return new double[] {r, t <= 0.75 ? -radius * Math.cos(angle) : 0};
        },
        around,
        around);
  }

  public static TriangleMesh cone(double floor, double rim, double height, int around) {
    return turned(
        t ->
            t < 1 / 3.0
                ? new double[] {floor * 3 * t, 0}
                : t < 2 / 3.0
                    ? new double[] {floor + (rim - floor) * (3 * t - 1), height * (3 * t - 1)}
                    : new double[] {rim * (3 - 3 * t), height},
        around,
        3);
  }

  public static TriangleMesh torus(double middle, double tube, int around) {
    MeshBuilder builder = new MeshBuilder();
    int[][] ring = new int[around][around];
    for (int i = 0; i < around; i++) {
      for (int j = 0; j < around; j++) {
        double a = 2 * Math.PI * i / around;
        double b = 2 * Math.PI * j / around;
        double r = middle + tube * Math.cos(b);
        ring[i][j] = builder.vertex(r * Math.cos(a), r * Math.sin(a), tube * Math.sin(b));
      }
    }
    for (int i = 0; i < around; i++) {
      for (int j = 0; j < around; j++) {
        int k = (i + 1) % around;
        int l = (j + 1) % around;
        builder.triangle(ring[i][j], ring[k][j], ring[k][l]);
        builder.triangle(ring[i][j], ring[k][l], ring[i][l]);
      }
    }
    return outwards(builder.build());
  }

  /** A box from one corner to the other, two triangles a face. */
  public static TriangleMesh box(double x, double y, double z, double dx, double dy, double dz) {
    MeshBuilder builder = new MeshBuilder();
    box(builder, x, y, z, dx, dy, dz);
    return builder.build();
  }

  public static void box(
      MeshBuilder builder, double x, double y, double z, double dx, double dy, double dz) {
    int[] v = new int[8];
    for (int i = 0; i < 8; i++) {
      v[i] = builder.vertex(x + (i & 1) * dx, y + (i >> 1 & 1) * dy, z + (i >> 2) * dz);
    }
    int[][] faces = {
      {0, 2, 3, 1}, {4, 5, 7, 6}, {0, 1, 5, 4}, {2, 6, 7, 3}, {0, 4, 6, 2}, {1, 3, 7, 5}
    };
    for (int[] f : faces) {
      builder.triangle(v[f[0]], v[f[1]], v[f[2]]);
      builder.triangle(v[f[0]], v[f[2]], v[f[3]]);
    }
  }

  /** The same without some triangles, some turned round, and corners a hair apart. */
  public static TriangleMesh spoilt(
      TriangleMesh mesh, int leaveOut, boolean turnSome, double hair, long seed) {
    Random random = new Random(seed);
    MeshBuilder builder = new MeshBuilder();
    int[] corners = mesh.corners();
    for (int t = 0; t < mesh.triangles(); t++) {
      if (t < leaveOut) {
        continue;
      }
      int[] v = new int[3];
      for (int i = 0; i < 3; i++) {
        int at = corners[3 * t + i];
        v[i] =
            builder.vertex(
                mesh.x(at) + hair * (random.nextDouble() - 0.5),
                mesh.y(at) + hair * (random.nextDouble() - 0.5),
                mesh.z(at) + hair * (random.nextDouble() - 0.5));
      }
      boolean turn = turnSome && random.nextInt(4) == 0;
      builder.triangle(v[0], v[turn ? 2 : 1], v[turn ? 1 : 2]);
    }
    return builder.build();
  }
}
