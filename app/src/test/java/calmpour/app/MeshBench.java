package calmpour.app;

import calmpour.app.format.mesh.MeshFiles;
import calmpour.core.mould.MeshShape;
import calmpour.core.mould.mesh.MeshMend;
import calmpour.core.mould.mesh.MeshSlicer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;

/** Reads a model, mends and slices it, and says how long that took; see meshes.py. */
class MeshBench {
  public static void main(String[] args) throws Exception {
    Path file = Path.of(args[0]);
    int rounds = Integer.parseInt(args[1]);
    long best = Long.MAX_VALUE;
    double volume = 0;
    for (int i = 0; i < rounds; i++) {
      long from = System.nanoTime();
      MeshMend.Mended mended =
          MeshMend.mend(
              MeshFiles.read(file.getFileName().toString(), Files.readAllBytes(file)).mesh());
      List<MeshShape.MeshLevel> levels = MeshSlicer.slice(mended.mesh(), 0, 0, 1);
      best = Math.min(best, System.nanoTime() - from);
      volume = levels.get(levels.size() - 1).volumeMl();
    }
    System.out.printf("%.4f %.6f%n", best / 1e9, volume);
  }
}
