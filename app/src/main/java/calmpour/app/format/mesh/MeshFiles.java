package calmpour.app.format.mesh;

import calmpour.core.mould.MeshShape.MeshUnit;
import calmpour.core.mould.mesh.MeshBuilder;
import calmpour.core.mould.mesh.MeshProblem;
import calmpour.core.mould.mesh.TriangleMesh;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Optional;

/** Reads a 3D model of any kind we know, told apart by what is in it, not only by its name. */
public final class MeshFiles {
  /** A million and a half triangles as binary STL, and room for their names. */
  public static final int LARGEST_BYTES = 90_000_000;

  private MeshFiles() {}

  /**
   * @param mesh as read, not yet checked
   * @param unit what one unit is, where the format says so
   * @param read triangles in the file, those without area included
   * @param dropped triangles without area
   */
  public record Model(TriangleMesh mesh, Optional<MeshUnit> unit, int read, int dropped) {
    static Model of(MeshBuilder builder, Optional<MeshUnit> unit) {
      return new Model(builder.build(), unit, builder.read(), builder.dropped());
    }
  }

  /**
   * @param name of the file, for its ending
   * @throws MeshProblem when it cannot be read
   */
  public static Model read(String name, byte[] bytes) {
    if (bytes.length > LARGEST_BYTES) {
      throw new MeshProblem(MeshProblem.Reason.TOO_LARGE, bytes.length);
    }
    if (bytes.length == 0) {
      throw new MeshProblem(MeshProblem.Reason.EMPTY, 0);
    }
    String ending = name.substring(name.lastIndexOf('.') + 1).toLowerCase(Locale.ROOT);
    if (starts(bytes, "PK")) {
      return ThreeMf.read(bytes);
    }
    if (ending.equals("3mf")) {
      throw new MeshProblem(MeshProblem.Reason.NOT_READABLE, 1);
    }
    if (ending.equals("obj")) {
      return Model.of(Obj.read(bytes), Optional.empty());
    }
    return Model.of(Stl.read(bytes), Optional.empty());
  }

  private static boolean starts(byte[] bytes, String with) {
    return bytes.length >= with.length()
        && new String(bytes, 0, with.length(), StandardCharsets.ISO_8859_1).equals(with);
  }
}
