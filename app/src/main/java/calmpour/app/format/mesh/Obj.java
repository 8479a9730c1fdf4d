package calmpour.app.format.mesh;

import calmpour.core.mould.mesh.MeshBuilder;
import calmpour.core.mould.mesh.MeshProblem;
import java.util.Arrays;

/** OBJ: corners and faces; a face of more than three corners is cut into triangles. */
final class Obj {
  private static final int MOST_CORNERS = 1_000;

  private Obj() {}

  static MeshBuilder read(byte[] bytes) {
    Words words = new Words(bytes);
    MeshBuilder builder = new MeshBuilder();
    int[] known = new int[1_024];
    int count = 0;
    while (words.next()) {
      if (words.is("v")) {
        if (count == known.length) {
          known = Arrays.copyOf(known, 2 * count);
        }
        double x = number(words);
        double y = number(words);
        known[count++] = builder.vertex(x, y, number(words));
      } else if (words.is("f")) {
        face(words, builder, known, count);
      }
      words.skipLine();
    }
    return builder;
  }

  private static double number(Words words) {
    if (!words.nextOnLine()) {
      throw new MeshProblem(MeshProblem.Reason.NOT_READABLE, words.line());
    }
    return words.number();
  }

  private static void face(Words words, MeshBuilder builder, int[] known, int count) {
    int first = -1;
    int before = -1;
    int corners = 0;
    while (words.nextOnLine()) {
      int index = words.index();
      // Counted from 1, or backwards from the newest.
      int place = index > 0 ? index - 1 : count + index;
      if (index == 0 || place < 0 || place >= count || ++corners > MOST_CORNERS) {
        throw new MeshProblem(MeshProblem.Reason.NOT_READABLE, words.line());
      }
      int corner = known[place];
      if (corners == 1) {
        first = corner;
      } else if (corners > 2) {
        builder.triangle(first, before, corner);
      }
      before = corner;
    }
    if (corners < 3) {
      throw new MeshProblem(MeshProblem.Reason.NOT_READABLE, words.line());
    }
  }
}
