package calmpour.app.api;

import calmpour.app.format.Photos;
import calmpour.app.store.ShelfKind;
import calmpour.app.store.ShelfStore;
import calmpour.app.store.SwatchBook;
import calmpour.app.store.WorkshopClock;
import calmpour.core.check.Check;
import calmpour.core.check.Problem;
import calmpour.core.check.Range;
import calmpour.core.tint.Chip;
import calmpour.core.tint.Colour;
import calmpour.core.tint.Colourant;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.time.Duration;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
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

/** The swatch book: chips of colours, and how they looked after months. */
@RestController
@RequestMapping("/api/swatches")
public class SwatchController {
  private static final Range STRENGTH_PERCENT = new Range(1, 1_000);

  /** Somewhere a day is further on than here. */
  private static final Duration A_DAY = Duration.ofDays(1);

  private final SwatchBook book;
  private final ShelfStore shelf;
  private final WorkshopClock clock;

  SwatchController(SwatchBook book, ShelfStore shelf, WorkshopClock clock) {
    this.book = book;
    this.shelf = shelf;
    this.clock = clock;
  }

  /**
   * A chip.
   *
   * @param swatch of its colour on the shelf now; null where that is gone
   * @param picture whether there is one
   * @param nextLook the day from which on the next look tells something; null for none
   * @param due whether that day has come
   */
  public record ChipView(
      Chip chip,
      @Nullable String swatch,
      boolean picture,
      @Nullable LocalDate nextLook,
      boolean due) {}

  /**
   * @param unreadable colours of chips that cannot be read
   */
  public record Swatches(List<ChipView> chips, List<String> unreadable) {}

  /**
   * A chip that was made.
   *
   * @param id chosen by whoever tells it, so that telling it twice is telling it once
   * @param strengthPercent of its recipe; null for as it is written
   * @param wall what was dusted or painted on the mould before it; null for nothing
   */
  public record NewChip(
      String id,
      String colourId,
      @Nullable Double strengthPercent,
      @Nullable Double thicknessMm,
      @Nullable LocalDate madeOn,
      @Nullable String note,
      @Nullable String wall) {
    public NewChip {
      new Check()
          .name("id", id)
          .name("colourId", colourId)
          .within("strengthPercent", strengthPercent, STRENGTH_PERCENT)
          .present("thicknessMm", thicknessMm)
          .present("madeOn", madeOn)
          .orThrow();
    }
  }

  /**
   * A look at a chip.
   *
   * @param on the day; null for today
   */
  public record ChipSeen(@Nullable LocalDate on, Chip.Faded was, @Nullable String note) {}

  private static final List<String> CHIP_HEADS =
      List.of("colour", "made on", "thickness mm", "recipe", "wall", "looked", "note");

  /** All chips as a table, with how they looked. */
  @GetMapping(path = "/swatches.csv", produces = "text/csv")
  ResponseEntity<String> csv() {
    return JournalTableController.file(
        "swatches",
        CHIP_HEADS,
        swatches().chips().stream()
            .map(ChipView::chip)
            .map(c ->
                List.of(
                    c.colourName(),
                    c.madeOn().toString(),
                    JournalTableController.text(c.thicknessMm()),
                    c.doses().stream()
                        .map(d ->
                            d.colourantName()
                                + " "
                                + JournalTableController.text(d.percentOfMix())
                                + " %")
                        .collect(Collectors.joining("; ")),
                    c.wall() == null ? "" : c.wall(),
                    c.looks().stream()
                        .map(l -> l.on() + " " + l.was().name())
                        .collect(Collectors.joining("; ")),
                    c.note() == null ? "" : c.note()))
            .toList());
  }

  /** By colour, the latest first. */
  @GetMapping
  Swatches swatches() {
    List<String> unreadable = new ArrayList<>();
    Set<String> pictured = book.pictured();
    List<Colour> colours = shelf.all(ShelfKind.COLOUR);
    LocalDate today = today();
    List<ChipView> chips =
        book.all(unreadable).stream()
            .map(c -> {
              LocalDate next = c.nextLook().orElse(null);
              return new ChipView(
                  c,
                  colours.stream()
                      .filter(k -> k.id().equals(c.colourId()))
                      .map(Colour::swatch)
                      .findFirst()
                      .orElse(null),
                  pictured.contains(c.id()),
                  next,
                  next != null && !next.isAfter(today));
            })
            .toList();
    return new Swatches(chips, unreadable);
  }

  /** Puts a chip into the book, with the recipe of its colour as it is now. */
  @PostMapping
  Swatches add(@RequestBody NewChip made) {
    Colour colour = shelf.<Colour>find(ShelfKind.COLOUR, made.colourId()).orElse(null);
    new Check()
        .that(
            colour != null || made.colourId().equals(Colour.CLEAR.id()),
            Problem.of("colourId", Problem.Code.UNKNOWN_ID, made.colourId()))
        .orThrow();
    LocalDate madeOn = Objects.requireNonNull(made.madeOn());
    over("madeOn", madeOn);
    Colour of = colour == null ? Colour.CLEAR : colour;
    double times = made.strengthPercent() == null ? 1 : made.strengthPercent() / 100;
    List<Chip.ChipDose> doses =
        Chip.doses(
            of,
            times,
            id -> shelf.<Colourant>find(ShelfKind.COLOURANT, id).map(Colourant::name).orElse(id));
    if (book.find(made.id()).isEmpty()) {
      book.keep(
          new Chip(
              made.id(),
              of.id(),
              of.name(),
              doses,
              Objects.requireNonNull(made.thicknessMm()),
              madeOn,
              made.note(),
              List.of(),
              made.wall()));
    }
    return swatches();
  }

  /** Notes how a chip looks beside how it was. */
  @PostMapping("/{id}/looks")
  Swatches look(@PathVariable String id, @RequestBody ChipSeen seen) {
    LocalDate on = seen.on() == null ? onOrAfter(id, today()) : seen.on();
    over("on", on);
    if (book.seen(id, new Chip.ChipLook(on, seen.was(), seen.note())).isEmpty()) {
      throw gone();
    }
    return swatches();
  }

  /** Today, unless the chip was made where it is already tomorrow. */
  private LocalDate onOrAfter(String id, LocalDate today) {
    return book.find(id).map(Chip::madeOn).filter(made -> made.isAfter(today)).orElse(today);
  }

  /** Takes a chip out of the book, for good. */
  @DeleteMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(@PathVariable String id) {
    if (!book.remove(id)) {
      throw gone();
    }
  }

  /** Keeps a picture of a chip, made small enough for a book. */
  @PutMapping(
      path = "/{id}/photo",
      consumes = {MediaType.IMAGE_JPEG_VALUE, MediaType.IMAGE_PNG_VALUE})
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void putPhoto(@PathVariable String id, HttpServletRequest request) throws IOException {
    if (book.find(id).isEmpty()) {
      throw gone();
    }
    byte[] given = request.getInputStream().readNBytes(Photos.LARGEST_BYTES + 1);
    book.picture(id, Photos.kept(given));
  }

  /** The picture of a chip. */
  @GetMapping(path = "/{id}/photo", produces = MediaType.IMAGE_JPEG_VALUE)
  ResponseEntity<byte[]> photo(@PathVariable String id) {
    byte[] bytes =
        book.picture(id)
            .orElseThrow(() -> new NotFoundException("there is no picture of this chip"));
    return ResponseEntity.ok().cacheControl(CacheControl.noCache()).body(bytes);
  }

  /** Removes the picture of a chip. */
  @DeleteMapping("/{id}/photo")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void removePhoto(@PathVariable String id) {
    book.removePicture(id);
  }

  private LocalDate today() {
    return LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC);
  }

  private void over(String field, LocalDate day) {
    LocalDate latest = LocalDate.ofInstant(clock.instant().plus(A_DAY), ZoneOffset.UTC);
    new Check()
        .that(!day.isAfter(latest), Problem.of(field, Problem.Code.NOT_YET, day.toString()))
        .orThrow();
  }

  private static NotFoundException gone() {
    return new NotFoundException("this chip is not in the book (any more)");
  }
}
