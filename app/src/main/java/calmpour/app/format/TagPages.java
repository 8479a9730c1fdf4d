package calmpour.app.format;

import calmpour.core.journal.PieceCode;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.CavityId;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.CupId;
import calmpour.core.plan.doc.PieceGroup;
import calmpour.core.plan.doc.Plan;
import calmpour.core.plan.doc.PourId;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import calmpour.core.run.AsRun;
import calmpour.core.run.Run;
import calmpour.core.run.RunState;
import java.awt.Color;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDType0Font;
import org.jspecify.annotations.Nullable;

/** Tags for cups and pieces as a PDF, one page a tag, 62 × 29 mm. */
public final class TagPages {
  private static final float POINTS_A_MM = 72 / 25.4f;
  private static final float WIDTH = 62 * POINTS_A_MM;
  private static final float HEIGHT = 29 * POINTS_A_MM;
  private static final float EDGE = 2.5f * POINTS_A_MM;

  /** A band of the cup's colour at the left, beside its name. */
  private static final float BAND = 6 * POINTS_A_MM;

  /** Side of the pattern for scanners. */
  private static final float PATTERN = 13 * POINTS_A_MM;

  /** Letters of the lines, points; in the largest of these in which all of a tag has room. */
  private static final float LARGEST = 8;

  private static final float SMALLEST = 4;

  /** Of the title, and from line to line, beside the letters of the lines. */
  private static final float TITLE = 1.6f;

  private static final float LEADING = 1.2f;

  /** Comes with the PDF library; knows Latin, Greek and Cyrillic letters. */
  private static final String FONT = "/org/apache/pdfbox/resources/ttf/LiberationSans-Regular.ttf";

  private static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern("EEE d MMM yyyy", Locale.UK);

  private TagPages() {}

  /**
   * One tag.
   *
   * @param swatches colours of the band at its left, {@code #rrggbb}, from below; empty for none
   * @param code as letters and as a pattern for scanners at its right; null for none
   */
  public record Tag(
      String title, List<String> lines, List<String> swatches, @Nullable String code) {
    public Tag {
      lines = List.copyOf(lines);
      swatches = List.copyOf(swatches);
    }
  }

  /** One for every cup, so that no two colours are mixed up. */
  public static List<Tag> cups(Run run) {
    List<Tag> tags = new ArrayList<>();
    for (Batch batch : run.plan().batches()) {
      for (Cup cup : batch.cups()) {
        List<String> lines = new ArrayList<>();
        lines.add(
            String.format(
                Locale.ROOT,
                "batch %d · cup %s · %.1f g",
                batch.number(),
                cup.id(),
                cup.amounts().contentG()));
        for (Cup.Dose dose : cup.tint().doses()) {
          lines.add(String.format(Locale.ROOT, "%s %.2f g", dose.colourantName(), dose.massG()));
        }
        lines.add(
            "poured out within "
                + Math.max(
                    0, (cup.times().latestPourEndSeconds() - batch.times().contactSeconds()) / 60)
                + " min of A meeting B");
        tags.add(new Tag(cup.colour().name(), lines, List.of(cup.colour().swatch()), null));
      }
    }
    return tags;
  }

  /**
   * One for every piece that is there or still to come, with its days and the colours that really
   * went into it.
   *
   * @param evening what the run is kept as
   */
  public static List<Tag> pieces(String evening, Run run, RunState state, AsRun asRun) {
    Map<PourId, AsRun.PourIn> others = otherCups(run, asRun);
    List<Tag> tags = new ArrayList<>();
    List<Plan.PieceView> lines = run.plan().pieces();
    for (int line = 0; line < lines.size(); line++) {
      Plan.PieceView piece = lines.get(line);
      for (int cavity = 1; cavity <= piece.count(); cavity++) {
        if (!thereOrToCome(state, line, cavity)) {
          continue;
        }
        Set<String> colours = new LinkedHashSet<>();
        List<String> swatches = new ArrayList<>();
        for (int layer = 1; layer <= piece.layers().size(); layer++) {
          Plan.LayerView planned = piece.layers().get(layer - 1);
          AsRun.PourIn other = others.get(new PourId(line + 1, cavity, layer, 0));
          colours.add(other == null ? planned.colourName() : other.colourName());
          swatches.add(other == null ? planned.swatch() : other.swatch());
        }
        PieceGroup group = PieceGroup.of(run.plan().batches(), line, piece.count(), cavity);
        String which = piece.count() > 1 ? ", " + cavity + " of " + piece.count() : "";
        tags.add(
            new Tag(
                piece.mouldName() + which,
                days(run, state, group, colours),
                swatches,
                PieceCode.of(evening, new CavityId(line + 1, cavity))));
      }
    }
    return tags;
  }

  /** What was poured out of another cup than planned. */
  private static Map<PourId, AsRun.PourIn> otherCups(Run run, AsRun asRun) {
    Map<PourId, CupId> planned = new HashMap<>();
    run.plan().batches().stream()
        .flatMap(b -> b.cups().stream())
        .forEach(c -> c.pours().forEach(p -> planned.put(p.id(), c.id())));
    Map<PourId, AsRun.PourIn> others = new HashMap<>();
    for (AsRun.PourIn pour : asRun.pours()) {
      boolean in = pour.outcome() == AsRun.Outcome.POURED;
      if (in && !pour.cupId().equals(planned.get(pour.pourId()))) {
        others.put(pour.pourId().whole(), pour);
      }
    }
    return others;
  }

  private static boolean thereOrToCome(RunState state, int line, int cavity) {
    CavityId into = new CavityId(line + 1, cavity);
    return !state.givenUp().contains(into)
        && state.steps().stream()
            .anyMatch(s ->
                s.pourId() != null
                    && (s.status() == RunState.Status.DONE || s.status() == RunState.Status.TO_DO)
                    && s.pourId().into().equals(into));
  }

  private static List<String> days(Run run, RunState state, PieceGroup group, Set<String> colours) {
    ZoneId zone = ZoneId.of(run.session().zoneId());
    List<String> days = new ArrayList<>();
    days.add(run.session().name());
    days.add(String.join(", ", colours));
    days.add("poured " + day(run.begunAt(), zone));
    Instant out = begins(run, state, group.taskId(Task.Kind.DEMOULD));
    Instant ready = begins(run, state, group.taskId(Task.Kind.READY));
    if (out != null) {
      days.add("out of the mould " + day(out, zone));
    }
    if (ready != null) {
      days.add("ready to hand over " + day(ready, zone));
    }
    return days;
  }

  private static @Nullable Instant begins(Run run, RunState state, TaskId taskId) {
    return state.steps().stream()
        .filter(s -> s.taskId().equals(taskId))
        .map(s -> run.begunAt().plusSeconds(s.startSeconds()))
        .findFirst()
        .orElse(null);
  }

  private static String day(Instant at, ZoneId zone) {
    return DAY.format(at.atZone(zone));
  }

  /** The tags as pages. */
  public static byte[] pdf(List<Tag> tags) {
    try (PDDocument document = new PDDocument();
        InputStream letters = PDDocument.class.getResourceAsStream(FONT)) {
      PDType0Font font = PDType0Font.load(document, letters);
      for (Tag tag : tags) {
        PDPage page = new PDPage(new PDRectangle(WIDTH, HEIGHT));
        document.addPage(page);
        try (PDPageContentStream pen = new PDPageContentStream(document, page)) {
          draw(tag, font, pen);
        }
      }
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      document.save(out);
      return out.toByteArray();
    } catch (IOException inMemory) {
      throw new UncheckedIOException("Tags could not be drawn", inMemory);
    }
  }

  private static void draw(Tag tag, PDType0Font font, PDPageContentStream pen) throws IOException {
    float left = EDGE;
    int bands = tag.swatches().size();
    for (int i = 0; i < bands; i++) {
      pen.setNonStrokingColor(Color.decode(tag.swatches().get(i)));
      pen.addRect(0, HEIGHT * i / bands, BAND, HEIGHT / bands);
      pen.fill();
    }
    left += bands > 0 ? BAND : 0;
    pen.setNonStrokingColor(Color.BLACK);
    String code = tag.code();
    float right = WIDTH - EDGE;
    if (code != null) {
      right -= PATTERN + EDGE / 2;
      pattern(code, right + EDGE / 2, pen);
      float size = SMALLEST * 1.5f;
      write(code, font, size, right + EDGE / 2, HEIGHT - EDGE - PATTERN - size, pen);
    }
    Page page = fitting(tag, font, right - left);
    float y = HEIGHT - EDGE;
    for (String line : page.title()) {
      y -= page.size() * TITLE;
      write(line, font, page.size() * TITLE, left, y, pen);
    }
    y -= page.size() * TITLE * 0.25f;
    for (String line : page.lines()) {
      y -= page.size() * LEADING;
      write(line, font, page.size(), left, y, pen);
    }
  }

  private static void pattern(String code, float left, PDPageContentStream pen) throws IOException {
    boolean[][] dark = ScanPattern.of(code);
    float dot = PATTERN / dark.length;
    for (int row = 0; row < dark.length; row++) {
      for (int column = 0; column < dark.length; column++) {
        if (dark[row][column]) {
          pen.addRect(left + column * dot, HEIGHT - EDGE - (row + 1) * dot, dot, dot);
        }
      }
    }
    pen.fill();
  }

  /** A tag in the size in which all of it has room. */
  private record Page(float size, List<String> title, List<String> lines) {
    float height() {
      return size * TITLE * (title.size() + 0.25f) + size * LEADING * lines.size();
    }
  }

  private static Page fitting(Tag tag, PDType0Font font, float room) throws IOException {
    Page page = null;
    for (float size = LARGEST; size >= SMALLEST; size -= 0.5f) {
      List<String> lines = new ArrayList<>();
      for (String line : tag.lines()) {
        lines.addAll(wrapped(known(line, font), font, size, room));
      }
      List<String> title = wrapped(known(tag.title(), font), font, size * TITLE, room);
      page = new Page(size, title, lines);
      if (page.height() <= HEIGHT - 2 * EDGE) {
        break;
      }
    }
    return java.util.Objects.requireNonNull(page);
  }

  /** Broken between words, and within one that is longer than a line. */
  private static List<String> wrapped(String text, PDType0Font font, float size, float room)
      throws IOException {
    List<String> lines = new ArrayList<>();
    StringBuilder line = new StringBuilder();
    for (String word : text.trim().split(" +", -1)) {
      String rest = word;
      String joined = line.isEmpty() ? rest : line + " " + rest;
      if (!line.isEmpty() && width(joined, font, size) > room) {
        lines.add(line.toString());
        line.setLength(0);
      }
      while (width(rest, font, size) > room && rest.length() > 1) {
        int end = rest.length() - 1;
        while (end > 1 && width(rest.substring(0, end), font, size) > room) {
          end--;
        }
        lines.add(rest.substring(0, end));
        rest = rest.substring(end);
      }
      line.append(line.isEmpty() ? "" : " ").append(rest);
    }
    lines.add(line.toString());
    return lines;
  }

  private static float width(String text, PDType0Font font, float size) throws IOException {
    return font.getStringWidth(text) / 1000 * size;
  }

  private static void write(
      String text, PDType0Font font, float size, float x, float y, PDPageContentStream pen)
      throws IOException {
    pen.beginText();
    pen.setFont(font, size);
    pen.newLineAtOffset(x, y);
    pen.showText(text);
    pen.endText();
  }

  /** With a question mark for what the font has no letter for. */
  private static String known(String text, PDType0Font font) {
    StringBuilder known = new StringBuilder();
    text.codePoints()
        .forEach(c -> {
          String letter = Character.toString(c);
          try {
            font.encode(letter);
            known.append(letter);
          } catch (IOException | IllegalArgumentException missing) {
            known.append('?');
          }
        });
    return known.toString();
  }
}
