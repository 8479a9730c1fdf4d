package calmpour.app;

import static org.assertj.core.api.Assertions.assertThat;

import calmpour.app.format.mesh.MeshFiles;
import calmpour.core.mould.mesh.MeshMend;
import calmpour.core.mould.mesh.MeshProblem;
import calmpour.core.mould.mesh.MeshSlicer;
import calmpour.core.mould.mesh.Meshes;
import calmpour.core.mould.mesh.TriangleMesh;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/**
 * Models spoilt at random: each is either refused with a reason or gives a profile that rises. What
 * the last campaign found is in docs/campaigns.md.
 */
class MeshFuzzTest {
  private static final TriangleMesh BODY = Meshes.bowl(9, 10);
  private static final List<byte[]> FILES =
      List.of(
          ModelFiles.binaryStl(BODY),
          ModelFiles.textStl(BODY),
          ModelFiles.obj(BODY),
          ModelFiles.threeMf(BODY, "millimeter", "<item objectid=\"7\"/>"));
  private static final List<String> NAMES = List.of("a.stl", "a.stl", "a.obj", "a.3mf");

  @Test
  void spoiltModelsAreRefusedOrRise() {
    campaign(2_000, 20261123);
  }

  @Tag("long")
  @Test
  void spoiltModelsAreRefusedOrRiseManyTimes() {
    Map<MeshProblem.Reason, Integer> refused = campaign(200_000, System.nanoTime());
    System.out.println("spoilt models refused: " + refused);
  }

  private static Map<MeshProblem.Reason, Integer> campaign(int models, long seed) {
    Random random = new Random(seed);
    Map<MeshProblem.Reason, Integer> refused = new EnumMap<>(MeshProblem.Reason.class);
    int taken = 0;
    for (int i = 0; i < models; i++) {
      int which = random.nextInt(FILES.size());
      byte[] file = spoilt(FILES.get(which), random);
      try {
        TriangleMesh mesh = MeshMend.mend(MeshFiles.read(NAMES.get(which), file).mesh()).mesh();
        double before = 0;
        for (var level : MeshSlicer.slice(mesh, random.nextInt(4) * 90, random.nextInt(360), 1)) {
          assertThat(level.volumeMl()).as("seed " + seed).isFinite().isGreaterThanOrEqualTo(before);
          before = level.volumeMl();
        }
        taken++;
      } catch (MeshProblem reason) {
        refused.merge(reason.reason(), 1, Integer::sum);
      }
    }
    assertThat(taken).as("some damage does no harm").isPositive();
    assertThat(refused.size()).as("%s", refused).isGreaterThan(3);
    return refused;
  }

  /** A few bytes changed, a piece cut out, put in twice, or the end left off. */
  private static byte[] spoilt(byte[] good, Random random) {
    byte[] file = good.clone();
    for (int n = random.nextInt(4); n >= 0; n--) {
      int at = random.nextInt(file.length);
      switch (random.nextInt(4)) {
        case 0 -> file[at] = (byte) random.nextInt(256);
        case 1 -> file[at] ^= (byte) (1 << random.nextInt(8));
        case 2 -> {
          int length = Math.min(random.nextInt(60), file.length - at);
          byte[] cut = new byte[file.length - length];
          System.arraycopy(file, 0, cut, 0, at);
          System.arraycopy(file, at + length, cut, at, cut.length - at);
          file = cut;
        }
        default -> {
          int length = Math.min(random.nextInt(60), file.length - at);
          byte[] twice = new byte[file.length + length];
          System.arraycopy(file, 0, twice, 0, at + length);
          System.arraycopy(file, at, twice, at + length, file.length - at);
          file = twice;
        }
      }
    }
    return file;
  }
}
