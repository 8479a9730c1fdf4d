package calmpour.app.api;

import calmpour.app.format.Photos;
import calmpour.app.store.MeshStore;
import calmpour.app.store.ShelfKind;
import calmpour.app.store.ShelfStore;
import calmpour.app.work.SettingsDesk;
import calmpour.core.check.Check;
import calmpour.core.check.Range;
import calmpour.core.mould.Cavity;
import calmpour.core.mould.ChipBed;
import calmpour.core.mould.DepthProfile;
import calmpour.core.mould.InnerMould;
import calmpour.core.mould.Measured;
import calmpour.core.mould.Measurement;
import calmpour.core.mould.Mould;
import calmpour.core.mould.MouldMaking;
import calmpour.core.mould.MouldState;
import calmpour.core.mould.OwnFill;
import calmpour.core.mould.Section;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Moulds: what a measurement comes to, the shelf of sections, and making a new one. */
@RestController
@RequestMapping("/api/moulds")
public class MouldController {
  /** More rows than a drawing of a hand's width can show. */
  private static final int MOST_ROWS = 72;

  private final ShelfStore shelf;
  private final MeshStore meshes;
  private final SettingsDesk settings;

  MouldController(ShelfStore shelf, MeshStore meshes, SettingsDesk settings) {
    this.settings = settings;
    this.shelf = shelf;
    this.meshes = meshes;
  }

  /**
   * A measurement while it is being typed.
   *
   * @param own what weighed pours said of it, where that was taken over; null for nothing
   * @param mixDensity of what will be poured, for an inner mould's ballast; null for 1.1 g/mL
   */
  public record MeasureRequest(
      Measurement measure,
      @Nullable Double depthMm,
      @Nullable Double lengthMm,
      @Nullable InnerMould inner,
      @Nullable ChipBed bed,
      @Nullable OwnFill own,
      @Nullable Double mixDensity) {
    public static final Range MIX_DENSITY = new Range(0.7, 2.5);

    /** Density of the mix where nobody says another (starting value). */
    static final double USUAL_MIX = 1.10;

    public MeasureRequest {
      new Check()
          .present("measure", measure)
          .within("mixDensity", mixDensity, MIX_DENSITY)
          .orThrow();
    }
  }

  /**
   * What a measurement comes to.
   *
   * @param onlyATotal several that are not alike: good for mixing, not for one mould
   * @param quartersMm depths that a quarter, half and three quarters of the volume reach
   * @param wet whether the mould has to be dried now
   * @param inner what an inner mould does; null without one
   * @param plannedMl what it is planned with, learned from weighed pours; null where nothing was
   *     taken over or where it was measured anew since
   */
  public record MeasureAnswer(
      double totalMl,
      double volumeMl,
      double plusMinusMl,
      double depthMm,
      boolean depthAssumed,
      boolean onlyATotal,
      boolean wet,
      List<Section.SectionRow> section,
      List<Double> quartersMm,
      List<Measured.Doubt> doubts,
      InnerMould.@Nullable Effect inner,
      @Nullable Double plannedMl) {}

  @PostMapping("/measure")
  MeasureAnswer measure(@RequestBody MeasureRequest request) {
    Measurement by = request.measure();
    Measured bare = Measured.of(by, request.depthMm(), request.lengthMm());
    Measured measured = bare;
    Double plannedMl = null;
    if (by.tellsOne()) {
      Cavity cavity =
          new Cavity(
              "draft",
              "draft",
              1,
              by,
              request.depthMm(),
              request.lengthMm(),
              request.inner(),
              request.bed());
      measured = cavity.measured();
      Cavity learned = cavity.taking(request.own());
      plannedMl = learned.learned() == null ? null : learned.measured().volumeMl();
    }
    double mix = request.mixDensity() == null ? MeasureRequest.USUAL_MIX : request.mixDensity();
    return new MeasureAnswer(
        measured.totalMl(),
        measured.volumeMl(),
        measured.plusMinusMl(),
        measured.profile().depthMm(),
        measured.depthAssumed(),
        !by.tellsOne(),
        by.method().wets(),
        thinned(measured.section().rows()),
        quarters(measured.profile()),
        measured.doubts(),
        request.inner() == null ? null : request.inner().effect(bare, mix),
        plannedMl);
  }

  private static List<Double> quarters(DepthProfile profile) {
    return Stream.of(0.25, 0.5, 0.75).map(q -> profile.depthAtMm(q * profile.volumeMl())).toList();
  }

  private static List<Section.SectionRow> thinned(List<Section.SectionRow> rows) {
    if (rows.size() <= MOST_ROWS) {
      return rows;
    }
    List<Section.SectionRow> thinned = new ArrayList<>();
    for (int i = 0; i < MOST_ROWS; i++) {
      thinned.add(rows.get((int) Math.round((double) i * (rows.size() - 1) / (MOST_ROWS - 1))));
    }
    return thinned;
  }

  /**
   * A mould with what its cavities hold, ready to be drawn.
   *
   * @param usedUp settings that pieces stayed in since they were counted; null where nobody counts
   */
  public record MouldView(
      Mould mould,
      List<CavityView> cavities,
      List<MouldState.Want> wants,
      boolean photo,
      @Nullable Integer usedUp) {}

  /** One cavity as it is drawn. */
  public record CavityView(
      String id,
      double volumeMl,
      double plusMinusMl,
      double depthMm,
      boolean depthAssumed,
      List<Section.SectionRow> section) {}

  @GetMapping
  List<MouldView> moulds() {
    Set<String> pictured = meshes.pictured();
    return shelf.all(ShelfKind.MOULD).stream()
        .map(m ->
            new MouldView(
                m,
                m.cavities().stream().map(MouldController::view).toList(),
                m.state() == null ? List.of() : m.state().wants(),
                pictured.contains(m.id()),
                settings.usedUp(m)))
        .toList();
  }

  /** Says that there are as many of a setting again as are written on it. */
  @PostMapping("/{id}/counted")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void counted(@PathVariable String id) {
    Mould mould =
        shelf
            .find(ShelfKind.MOULD, id)
            .orElseThrow(() -> new NotFoundException("there is no such mould on the shelf"));
    if (!settings.countedAnew(mould)) {
      throw new NotFoundException("nobody counts these: they do not stay with their pieces");
    }
  }

  private static CavityView view(Cavity cavity) {
    Measured measured = cavity.measured();
    return new CavityView(
        cavity.id(),
        measured.volumeMl(),
        measured.plusMinusMl(),
        measured.profile().depthMm(),
        measured.depthAssumed(),
        thinned(measured.section().rows()));
  }

  /** What a new mould takes. */
  @PostMapping("/make")
  MouldMaking.Need make(@RequestBody MouldMaking making) {
    return making.need();
  }

  @PutMapping(
      path = "/{id}/photo",
      consumes = {"image/jpeg", "image/png"})
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void putPhoto(@PathVariable String id, HttpServletRequest request) throws IOException {
    if (shelf.find(ShelfKind.MOULD, id).isEmpty()) {
      throw new NotFoundException("there is no mould " + id + " on the shelf");
    }
    byte[] given = request.getInputStream().readNBytes(Photos.LARGEST_BYTES + 1);
    meshes.keepPhoto(id, Photos.kept(given));
  }

  @GetMapping(path = "/{id}/photo", produces = MediaType.IMAGE_JPEG_VALUE)
  ResponseEntity<byte[]> photo(@PathVariable String id) {
    byte[] jpeg =
        meshes.photo(id).orElseThrow(() -> new NotFoundException("there is no picture of " + id));
    return ResponseEntity.ok()
        .contentType(MediaType.IMAGE_JPEG)
        .cacheControl(CacheControl.maxAge(Duration.ofSeconds(5)))
        .body(jpeg);
  }

  @DeleteMapping("/{id}/photo")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void removePhoto(@PathVariable String id) {
    if (!meshes.removePhoto(id)) {
      throw new NotFoundException("there is no picture of " + id);
    }
  }
}
