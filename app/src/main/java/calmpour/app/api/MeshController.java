package calmpour.app.api;

import calmpour.app.format.mesh.MeshFiles;
import calmpour.app.store.MeshStore;
import calmpour.core.check.Check;
import calmpour.core.mould.MeshShape;
import calmpour.core.mould.mesh.MeshMend;
import calmpour.core.mould.mesh.MeshProblem;
import calmpour.core.mould.mesh.MeshSlicer;
import calmpour.core.mould.mesh.TriangleMesh;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** 3D models: taken in whole or not at all, checked, and sliced the way up they will be cast. */
@RestController
@RequestMapping("/api/meshes")
public class MeshController {
  /** Pieces made on a bench are between these, mm; outside the unit is probably another. */
  private static final double SMALL_MM = 3;

  private static final double LARGE_MM = 600;

  private final MeshStore store;

  /** The model last worked on, so that turning it does not read it again; one is enough. */
  private final Map<String, MeshMend.Mended> last = new ConcurrentHashMap<>();

  MeshController(MeshStore store) {
    this.store = store;
  }

  /**
   * A model as it was taken in.
   *
   * @param unit what the file says one unit is; null when it does not
   * @param sizes of the box round it, in file units: x, y, z
   * @param fits units in which it would be of a size that is cast on a bench
   * @param changes what was put right
   */
  public record MeshAnswer(
      String id,
      String name,
      MeshShape.@Nullable MeshUnit unit,
      List<Double> sizes,
      List<MeshShape.MeshUnit> fits,
      int triangles,
      int dropped,
      int shells,
      int openEdges,
      int clashingEdges,
      Set<MeshMend.Change> changes) {}

  /** Which way up, and how large a unit is. */
  public record ShapeRequest(MeshShape.MeshUnit unit, double turnXDegrees, double turnYDegrees) {
    public ShapeRequest {
      new Check()
          .present("unit", unit)
          .within("turnXDegrees", turnXDegrees, MeshShape.TURN_X_DEGREES)
          .within("turnYDegrees", turnYDegrees, MeshShape.TURN_Y_DEGREES)
          .orThrow();
    }
  }

  @PostMapping(consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
  MeshAnswer take(@RequestParam String name, HttpServletRequest request) throws IOException {
    new Check().name("file", name).orThrow();
    if (request.getContentLengthLong() > MeshFiles.LARGEST_BYTES) {
      throw new MeshProblem(MeshProblem.Reason.TOO_LARGE, request.getContentLengthLong());
    }
    byte[] bytes = request.getInputStream().readNBytes(MeshFiles.LARGEST_BYTES + 1);
    MeshFiles.Model model = MeshFiles.read(name, bytes);
    MeshMend.Mended mended = MeshMend.mend(model.mesh());
    String id = store.keep(name, bytes);
    remember(id, mended);
    TriangleMesh mesh = mended.mesh();
    List<Double> sizes = new ArrayList<>();
    for (int axis = 0; axis < 3; axis++) {
      double[] extent = mesh.extent(axis);
      sizes.add(extent[1] - extent[0]);
    }
    return new MeshAnswer(
        id,
        name,
        model.unit().orElse(null),
        sizes,
        fits(mesh.size()),
        model.read(),
        model.dropped(),
        mended.after().shells(),
        mended.before().openEdges(),
        mended.before().clashingEdges(),
        mended.changes());
  }

  private static List<MeshShape.MeshUnit> fits(double size) {
    return java.util.Arrays.stream(MeshShape.MeshUnit.values())
        .filter(u -> size * u.mm() >= SMALL_MM && size * u.mm() <= LARGE_MM)
        .toList();
  }

  private void remember(String id, MeshMend.Mended mended) {
    last.clear();
    last.put(id, mended);
  }

  @PostMapping("/{id}/shape")
  MeshShape shape(@PathVariable String id, @RequestBody ShapeRequest wanted) {
    String name = store.name(id).orElseThrow(() -> missing(id));
    MeshMend.Mended mended = last.get(id);
    if (mended == null) {
      mended = MeshMend.mend(MeshFiles.read(name, bytes(id)).mesh());
      remember(id, mended);
    }
    return new MeshShape(
        id,
        name,
        wanted.unit(),
        wanted.turnXDegrees(),
        wanted.turnYDegrees(),
        mended.mesh().triangles(),
        !mended.changes().isEmpty(),
        MeshSlicer.slice(
            mended.mesh(), wanted.turnXDegrees(), wanted.turnYDegrees(), wanted.unit().mm()));
  }

  /** The model as it was given. */
  @GetMapping(path = "/{id}", produces = MediaType.APPLICATION_OCTET_STREAM_VALUE)
  ResponseEntity<byte[]> file(@PathVariable String id) {
    return ResponseEntity.ok().body(bytes(id));
  }

  private byte[] bytes(String id) {
    return store.bytes(id).orElseThrow(() -> missing(id));
  }

  private static NotFoundException missing(String id) {
    return new NotFoundException("there is no 3D model " + id + " here");
  }
}
