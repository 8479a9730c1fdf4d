package calmpour.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import calmpour.app.format.mesh.MeshFiles;
import calmpour.core.mould.mesh.MeshBuilder;
import calmpour.core.mould.mesh.MeshMend;
import calmpour.core.mould.mesh.Meshes;
import calmpour.core.mould.mesh.TriangleMesh;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Named;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Volumes of meshes against an independent program: admesh, from Debian's packages, reads the same
 * files and prints the volume that it finds, after its own repairs.
 */
class AdmeshTest {
  @TempDir static Path folder;

  static Stream<Named<byte[]>> files() throws IOException {
    MeshBuilder two = new MeshBuilder();
    Meshes.box(two, 0, 0, 0, 20, 10, 5);
    Meshes.box(two, 40, 0, 0, 4, 4, 30);
    TriangleMesh sphere = Meshes.sphere(12, 48);
    return Stream.of(
        Named.of("box", ModelFiles.binaryStl(Meshes.box(-3, 4, 100, 20, 30, 7.5))),
        Named.of("two boxes", ModelFiles.binaryStl(two.build())),
        Named.of("sphere", ModelFiles.binaryStl(sphere)),
        Named.of("sphere as text", ModelFiles.textStl(sphere)),
        Named.of("bowl", ModelFiles.binaryStl(Meshes.bowl(15, 64))),
        Named.of("cone", ModelFiles.binaryStl(Meshes.cone(4, 13, 34, 40))),
        Named.of("needle", ModelFiles.binaryStl(Meshes.cone(0.01, 0.4, 120, 12))),
        Named.of("ring", ModelFiles.binaryStl(Meshes.torus(21, 4.5, 60))),
        Named.of("far from the origin", ModelFiles.binaryStl(Meshes.box(5e3, 5e3, 5e3, 9, 9, 9))),
        Named.of(
            "inside out", ModelFiles.binaryStl(Meshes.spoilt(sphere.turned(), 0, false, 0, 1))),
        Named.of("facing both ways", ModelFiles.binaryStl(Meshes.spoilt(sphere, 0, true, 0, 3))),
        Named.of(
            "without its lid",
            ModelFiles.binaryStl(Meshes.spoilt(Meshes.box(0, 0, 0, 30, 20, 8), 2, false, 0, 5))),
        Named.of("fluted knob", shipped("fluted-knob.stl")));
  }

  private static byte[] shipped(String name) throws IOException {
    try (var in = AdmeshTest.class.getResourceAsStream("/demo/models/" + name)) {
      return in.readAllBytes();
    }
  }

  @ParameterizedTest
  @MethodSource("files")
  void volumesAgreeWithAnIndependentProgram(byte[] file) throws Exception {
    Path path = Files.write(folder.resolve("model.stl"), file);
    MeshMend.Mended ours = MeshMend.mend(MeshFiles.read("model.stl", file).mesh());
    double theirs = admesh(path);
    // It counts in single precision, so far from the origin it loses digits that we keep.
    double far = Math.abs(ours.mesh().coordinate(0, 0, 0));
    double digits = 2e-5 + far * far / (ours.mesh().size() * ours.mesh().size()) * 4e-7;
    assertThat(ours.mesh().volume()).isCloseTo(theirs, within(theirs * digits));
  }

  private static double admesh(Path file) throws IOException, InterruptedException {
    Process process =
        new ProcessBuilder(List.of("admesh", file.toString())).redirectErrorStream(true).start();
    String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    process.waitFor();
    Matcher volume = Pattern.compile("Volume\\s*:\\s*(-?[0-9.eE+-]+)").matcher(said);
    assertThat(volume.find()).as(said).isTrue();
    return Math.abs(Double.parseDouble(volume.group(1)));
  }
}
