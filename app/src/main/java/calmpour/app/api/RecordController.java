package calmpour.app.api;

import calmpour.app.device.TagPrinter;
import calmpour.app.format.Photos;
import calmpour.app.format.TagPages;
import calmpour.app.store.PiecePhotos;
import calmpour.app.store.RunStore;
import calmpour.app.store.RunStore.KeptRun;
import calmpour.app.store.WorkshopClock;
import calmpour.core.check.Check;
import calmpour.core.check.Range;
import calmpour.core.plan.doc.Plan;
import calmpour.core.run.AsRun;
import calmpour.core.run.AsTold;
import calmpour.core.run.Corrections;
import calmpour.core.run.CupCurve;
import calmpour.core.run.Run;
import calmpour.core.run.RunReader;
import calmpour.core.run.WrongClock;
import calmpour.core.session.Session;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
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
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What is kept of a run, on the screen, as pictures and on tags. */
@RestController
@RequestMapping("/api/runs/{id}")
public class RecordController {
  private static final Range PICTURES = new Range(1, PiecePhotos.MOST);

  private final RunStore runs;
  private final RunReader states;
  private final PiecePhotos photos;
  private final TagPrinter printer;
  private final WorkshopClock clock;

  RecordController(
      RunStore runs,
      RunReader states,
      PiecePhotos photos,
      TagPrinter printer,
      WorkshopClock clock) {
    this.runs = runs;
    this.states = states;
    this.photos = photos;
    this.printer = printer;
    this.clock = clock;
  }

  /**
   * A run looked back on.
   *
   * @param now by the clock of the server
   * @param speed how many seconds of that clock are one of the world
   * @param finishedAt null while it is not over
   * @param photos the pictures there are of its pieces
   * @param cupTags what the tags of its cups say
   * @param pieceTags what the tags of the pieces say that there are
   * @param told lines of the record that can be put right, in the order of their moments
   * @param clocks where its clock was wrong and was put right
   */
  public record Looked(
      String id,
      Session session,
      Plan plan,
      Instant begunAt,
      Instant now,
      int speed,
      @Nullable Instant finishedAt,
      AsRun asRun,
      List<CupCurve> curves,
      List<PiecePhotos.OfPiece> photos,
      List<TagPages.Tag> cupTags,
      List<TagPages.Tag> pieceTags,
      List<AsTold> told,
      List<WrongClock.Righted> clocks) {}

  /** What tags are for. */
  public enum TagsFor {
    CUPS,
    PIECES
  }

  /**
   * Tags that were sent to the printer.
   *
   * @param tags how many
   * @param lies where they lie; the stand-in keeps files
   */
  public record Printed(int tags, String lies) {}

  /** A run looked back on: what went in, what was otherwise, how the pieces came out. */
  @GetMapping("/record")
  Looked record(@PathVariable String id) {
    KeptRun kept = kept(id);
    Run run = kept.run();
    Instant now = clock.instant();
    RunReader.LookedBack looked = states.lookedBack(run, kept.events(), now);
    return new Looked(
        kept.id(),
        run.session(),
        run.plan(),
        run.begunAt(),
        now,
        clock.speed(),
        kept.finishedAt(),
        looked.asRun(),
        looked.curves(),
        photos.of(id),
        TagPages.cups(run),
        TagPages.pieces(id, run, states.state(run, kept.events(), now), looked.asRun()),
        Corrections.lines(run, kept.events()),
        kept.clocks());
  }

  private static final List<String> POUR_HEADS =
      List.of(
          "pour",
          "mould",
          "layer",
          "colour",
          "cup",
          "became",
          "planned g",
          "g",
          "weighed",
          "planned end, min",
          "end, min",
          "left until thick, min");

  /** The pours of a run as a table, times from its beginning. */
  @GetMapping(path = "/pours.csv", produces = "text/csv")
  ResponseEntity<String> pours(@PathVariable String id) {
    KeptRun kept = kept(id);
    Plan plan = kept.run().plan();
    return JournalTableController.file(
        "pours",
        POUR_HEADS,
        states.lookBack(kept.run(), kept.events(), clock.instant()).pours().stream()
            .map(p ->
                List.of(
                    p.pourId().toString(),
                    plan.pieces().get(p.line()).mouldName(),
                    Integer.toString(p.layer() + 1),
                    p.colourName(),
                    p.cupId().toString(),
                    p.outcome().name(),
                    JournalTableController.text(p.plannedG()),
                    JournalTableController.text(p.grams()),
                    p.weighed() ? "yes" : "no",
                    minutes(p.plannedSeconds()),
                    minutes(p.atSeconds()),
                    minutes(p.spareSeconds())))
            .toList());
  }

  private static String minutes(@Nullable Integer seconds) {
    return JournalTableController.text(seconds == null ? null : (Double) (seconds / 60.0));
  }

  /**
   * Keeps a picture of a piece, such as {@code 1.2}.
   *
   * @param number which of its pictures, from 1
   */
  @PutMapping(
      path = "/pieces/{piece}/photos/{number}",
      consumes = {MediaType.IMAGE_JPEG_VALUE, MediaType.IMAGE_PNG_VALUE})
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void putPhoto(
      @PathVariable String id,
      @PathVariable String piece,
      @PathVariable int number,
      HttpServletRequest request)
      throws IOException {
    Run run = kept(id).run();
    boolean known =
        states.lookBack(run, List.of(), run.begunAt()).pieces().stream()
            .anyMatch(p -> p.piece().toString().equals(piece));
    if (!known) {
      throw new NotFoundException("this run has no piece " + piece);
    }
    new Check().within("number", (double) number, PICTURES).orThrow();
    byte[] given = request.getInputStream().readNBytes(Photos.LARGEST_BYTES + 1);
    photos.keep(id, piece, number, Photos.kept(given));
  }

  @GetMapping(path = "/pieces/{piece}/photos/{number}", produces = MediaType.IMAGE_JPEG_VALUE)
  ResponseEntity<byte[]> photo(
      @PathVariable String id, @PathVariable String piece, @PathVariable int number) {
    byte[] bytes =
        photos
            .find(id, piece, number)
            .orElseThrow(() -> new NotFoundException("there is no picture of this piece"));
    return ResponseEntity.ok().cacheControl(CacheControl.noCache()).body(bytes);
  }

  @DeleteMapping("/pieces/{piece}/photos/{number}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void removePhoto(@PathVariable String id, @PathVariable String piece, @PathVariable int number) {
    photos.remove(id, piece, number);
  }

  /** The tags as pages, to be looked at or printed elsewhere. */
  @GetMapping(path = "/tags/{what}", produces = MediaType.APPLICATION_PDF_VALUE)
  ResponseEntity<byte[]> tags(@PathVariable String id, @PathVariable TagsFor what) {
    return ResponseEntity.ok().body(TagPages.pdf(tagsOf(kept(id), what)));
  }

  /** Sends tags to the printer on the bench. */
  @PostMapping("/tags/{what}")
  Printed print(@PathVariable String id, @PathVariable TagsFor what) {
    KeptRun kept = kept(id);
    List<TagPages.Tag> tags = tagsOf(kept, what);
    String name = kept.run().session().name() + " " + what.name().toLowerCase(Locale.ROOT);
    return new Printed(tags.size(), printer.print(name, TagPages.pdf(tags)));
  }

  private List<TagPages.Tag> tagsOf(KeptRun kept, TagsFor what) {
    Run run = kept.run();
    Instant now = clock.instant();
    List<TagPages.Tag> tags =
        what == TagsFor.CUPS
            ? TagPages.cups(run)
            : TagPages.pieces(
                kept.id(),
                run,
                states.state(run, kept.events(), now),
                states.lookBack(run, kept.events(), now));
    if (tags.isEmpty()) {
      throw new NotFoundException("this run has nothing to put tags on");
    }
    return tags;
  }

  private KeptRun kept(String id) {
    return runs.find(id)
        .orElseThrow(() -> new NotFoundException("this run is not kept here (any more)"));
  }
}
