package calmpour.app.format;

import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.PieceGroup;
import calmpour.core.plan.doc.Plan;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
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
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
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

  private static final float TITLE = 13;
  private static final float LINE = 8;
  private static final int MOST_LINES = 5;

  /** Comes with the PDF library; knows Latin, Greek and Cyrillic letters. */
  private static final String FONT = "/org/apache/pdfbox/resources/ttf/LiberationSans-Regular.ttf";

  private static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern("EEE d MMM yyyy", Locale.UK);

  private TagPages() {}

  /**
   * One tag.
   *
   * @param swatches colours of the band at its left, {@code #rrggbb}, from below; empty for none
   */
  public record Tag(String title, List<String> lines, List<String> swatches) {
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
        tags.add(new Tag(cup.colour().name(), lines, List.of(cup.colour().swatch())));
      }
    }
    return tags;
  }

  /** One for every piece that was begun, with its days. */
  public static List<Tag> pieces(Run run, RunState state) {
    List<Tag> tags = new ArrayList<>();
    List<Plan.PieceView> lines = run.plan().pieces();
    for (int line = 0; line < lines.size(); line++) {
      Plan.PieceView piece = lines.get(line);
      Set<String> colours = new LinkedHashSet<>();
      piece.layers().forEach(l -> colours.add(l.colourName()));
      for (int cavity = 1; cavity <= piece.count(); cavity++) {
        PieceGroup group = PieceGroup.of(run.plan().batches(), line, piece.count(), cavity);
        String which = piece.count() > 1 ? ", " + cavity + " of " + piece.count() : "";
        tags.add(
            new Tag(
                piece.mouldName() + which,
                days(run, state, group, colours),
                piece.layers().stream().map(Plan.LayerView::swatch).toList()));
      }
    }
    return tags;
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
    float y = HEIGHT - EDGE - TITLE * 0.8f;
    write(tag.title(), font, TITLE, left, y, pen);
    y -= TITLE;
    for (String line : tag.lines().subList(0, Math.min(MOST_LINES, tag.lines().size()))) {
      write(line, font, LINE, left, y, pen);
      y -= LINE * 1.25f;
    }
  }

  /** As much of a line as there is room for. */
  private static void write(
      String text, PDType0Font font, float size, float x, float y, PDPageContentStream pen)
      throws IOException {
    String known = known(text, font);
    float room = WIDTH - EDGE - x;
    String shown = known;
    while (font.getStringWidth(shown) / 1000 * size > room && shown.length() > 1) {
      shown = shown.substring(0, shown.length() - 2).stripTrailing() + "…";
    }
    pen.beginText();
    pen.setFont(font, size);
    pen.newLineAtOffset(x, y);
    pen.showText(shown);
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
