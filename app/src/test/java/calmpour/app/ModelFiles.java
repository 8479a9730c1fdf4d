package calmpour.app;

import calmpour.core.mould.mesh.TriangleMesh;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;

/** Meshes written as files, the way drawing programs write them. */
final class ModelFiles {
  private ModelFiles() {}

  static byte[] binaryStl(TriangleMesh mesh) {
    ByteBuffer out = ByteBuffer.allocate(84 + 50 * mesh.triangles()).order(ByteOrder.LITTLE_ENDIAN);
    // Many programs begin a binary file with this word too.
    out.put("solid made for a test".getBytes(StandardCharsets.US_ASCII));
    out.position(80);
    out.putInt(mesh.triangles());
    for (int t = 0; t < mesh.triangles(); t++) {
      out.putFloat(0).putFloat(0).putFloat(0);
      for (int c = 0; c < 3; c++) {
        for (int axis = 0; axis < 3; axis++) {
          out.putFloat((float) mesh.coordinate(t, c, axis));
        }
      }
      out.putShort((short) 0);
    }
    return out.array();
  }

  static byte[] textStl(TriangleMesh mesh) {
    StringBuilder text = new StringBuilder("solid made for a test\n");
    for (int t = 0; t < mesh.triangles(); t++) {
      text.append("facet normal 0 0 0\nouter loop\n");
      for (int c = 0; c < 3; c++) {
        text.append(
            String.format(
                Locale.ROOT,
                "vertex %.9e %.9e %.9e\n",
                mesh.coordinate(t, c, 0),
                mesh.coordinate(t, c, 1),
                mesh.coordinate(t, c, 2)));
      }
      text.append("endloop\nendfacet\n");
    }
    return text.append("endsolid\n").toString().getBytes(StandardCharsets.US_ASCII);
  }

  static byte[] obj(TriangleMesh mesh) {
    StringBuilder text = new StringBuilder("# made for a test\no body\n");
    for (int t = 0; t < mesh.triangles(); t++) {
      for (int c = 0; c < 3; c++) {
        text.append(
            String.format(
                Locale.ROOT,
                "v %.9f %.9f %.9f\n",
                mesh.coordinate(t, c, 0),
                mesh.coordinate(t, c, 1),
                mesh.coordinate(t, c, 2)));
      }
      // Every second face counts its corners backwards from the newest.
      String face = t % 2 == 0 ? "f -3//1 -2//1 -1//1\n" : "f %d %d %d\n";
      text.append(String.format(Locale.ROOT, face, 3 * t + 1, 3 * t + 2, 3 * t + 3));
    }
    return text.toString().getBytes(StandardCharsets.US_ASCII);
  }

  static byte[] threeMf(TriangleMesh mesh, String unit, String item) {
    return zipped("3D/3dmodel.model", model(mesh, unit, item));
  }

  /** The XML of a 3MF. */
  static byte[] model(TriangleMesh mesh, String unit, String item) {
    StringBuilder xml = new StringBuilder("<?xml version=\"1.0\" encoding=\"UTF-8\"?>");
    xml.append("<model unit=\"").append(unit);
    xml.append("\"><resources><object id=\"7\"><mesh><vertices>");
    StringBuilder faces = new StringBuilder();
    for (int t = 0; t < mesh.triangles(); t++) {
      for (int c = 0; c < 3; c++) {
        xml.append(
            String.format(
                Locale.ROOT,
                "<vertex x=\"%.9f\" y=\"%.9f\" z=\"%.9f\"/>",
                mesh.coordinate(t, c, 0),
                mesh.coordinate(t, c, 1),
                mesh.coordinate(t, c, 2)));
      }
      faces.append(
          String.format(
              Locale.ROOT,
              "<triangle v1=\"%d\" v2=\"%d\" v3=\"%d\"/>",
              3 * t,
              3 * t + 1,
              3 * t + 2));
    }
    xml.append("</vertices><triangles>").append(faces).append("</triangles></mesh></object>");
    xml.append("</resources><build>").append(item).append("</build></model>");
    return xml.toString().getBytes(StandardCharsets.UTF_8);
  }

  static byte[] zipped(String name, byte[] content) {
    return zipped(Map.of(name, content));
  }

  static byte[] zipped(Map<String, byte[]> entries) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(out)) {
      for (Map.Entry<String, byte[]> entry : entries.entrySet()) {
        zip.putNextEntry(new ZipEntry(entry.getKey()));
        zip.write(entry.getValue());
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toByteArray();
  }
}
