package calmpour.app.format.mesh;

import calmpour.core.mould.mesh.MeshBuilder;
import calmpour.core.mould.mesh.MeshProblem;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;

/** STL, binary and text. Many binary files begin with "solid" too, so the length decides. */
final class Stl {
  private static final int HEADER = 84;
  private static final int RECORD = 50;

  private Stl() {}

  static MeshBuilder read(byte[] bytes) {
    long announced = bytes.length < HEADER ? -1 : count(bytes);
    if (announced >= 0 && bytes.length == HEADER + announced * RECORD) {
      return binary(bytes, (int) announced);
    }
    Words words = new Words(bytes);
    if (looksLikeText(bytes) && words.next() && words.is("solid")) {
      return text(words);
    }
    // What is no text is a binary file that was not written to its end.
    boolean plausible = announced > 0 && bytes.length >= HEADER + RECORD;
    if (plausible && bytes.length < HEADER + announced * RECORD) {
      throw new MeshProblem(MeshProblem.Reason.CUT_SHORT, (bytes.length - HEADER) / RECORD);
    }
    throw new MeshProblem(MeshProblem.Reason.NOT_READABLE, 1);
  }

  private static long count(byte[] bytes) {
    return ByteBuffer.wrap(bytes).order(ByteOrder.LITTLE_ENDIAN).getInt(80) & 0xFFFFFFFFL;
  }

  private static boolean looksLikeText(byte[] bytes) {
    for (int i = 0; i < Math.min(bytes.length, 512); i++) {
      if (bytes[i] == 0) {
        return false;
      }
    }
    return true;
  }

  private static MeshBuilder binary(byte[] bytes, int count) {
    if (count > MeshBuilder.MOST_TRIANGLES) {
      throw new MeshProblem(MeshProblem.Reason.TOO_LARGE, count);
    }
    ByteBuffer in = ByteBuffer.wrap(bytes).order(ByteOrder.LITTLE_ENDIAN);
    MeshBuilder builder = new MeshBuilder();
    for (int t = 0; t < count; t++) {
      int at = HEADER + t * RECORD + 12;
      int a = builder.vertex(in.getFloat(at), in.getFloat(at + 4), in.getFloat(at + 8));
      int b = builder.vertex(in.getFloat(at + 12), in.getFloat(at + 16), in.getFloat(at + 20));
      int c = builder.vertex(in.getFloat(at + 24), in.getFloat(at + 28), in.getFloat(at + 32));
      builder.triangle(a, b, c);
    }
    return builder;
  }

  private static MeshBuilder text(Words words) {
    MeshBuilder builder = new MeshBuilder();
    words.skipLine();
    while (words.next()) {
      if (words.is("endsolid")) {
        words.skipLine();
      } else if (words.is("solid")) {
        words.skipLine();
      } else if (words.is("facet")) {
        words.skipLine();
        facet(words, builder);
      } else {
        throw new MeshProblem(MeshProblem.Reason.NOT_READABLE, words.line());
      }
    }
    return builder;
  }

  private static void facet(Words words, MeshBuilder builder) {
    expect(words, "outer");
    expect(words, "loop");
    int[] corner = new int[3];
    for (int i = 0; i < 3; i++) {
      expect(words, "vertex");
      double x = number(words);
      double y = number(words);
      corner[i] = builder.vertex(x, y, number(words));
    }
    expect(words, "endloop");
    expect(words, "endfacet");
    builder.triangle(corner[0], corner[1], corner[2]);
  }

  private static double number(Words words) {
    if (!words.next()) {
      throw new MeshProblem(MeshProblem.Reason.CUT_SHORT, words.line());
    }
    return words.number();
  }

  private static void expect(Words words, String word) {
    if (!words.next()) {
      throw new MeshProblem(MeshProblem.Reason.CUT_SHORT, words.line());
    }
    if (!words.is(word)) {
      throw new MeshProblem(MeshProblem.Reason.NOT_READABLE, words.line());
    }
  }
}
