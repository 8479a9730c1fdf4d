package calmpour.app.api;

import calmpour.app.format.JournalFile;
import calmpour.app.store.JournalCounts;
import calmpour.app.store.JournalStore;
import calmpour.app.work.JournalDesk;
import calmpour.core.journal.Proportion;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The journal as a table. */
@RestController
@RequestMapping("/api/journal")
public class JournalTableController {
  private final JournalDesk desk;
  private final JournalStore journal;
  private final JournalCounts counted;

  JournalTableController(JournalDesk desk, JournalStore journal, JournalCounts counted) {
    this.counted = counted;
    this.desk = desk;
    this.journal = journal;
  }

  /** All pieces as a table that other programs read. */
  @GetMapping(path = "/pieces.csv", produces = "text/csv")
  ResponseEntity<String> csv() {
    desk.catchUp();
    return file("journal", HEADS, rows());
  }

  static ResponseEntity<String> file(String name, List<String> heads, List<List<String>> rows) {
    return ResponseEntity.ok()
        .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"" + name + ".csv\"")
        .body(JournalFile.csv(heads, rows));
  }

  /** How many came out well as a table, counted by mould, resin, colour, lot, join or month. */
  @GetMapping(path = "/yields.csv", produces = "text/csv")
  ResponseEntity<String> yields(@RequestParam JournalCounts.By by) {
    desk.catchUp();
    return file(
        "yields",
        List.of("by " + by.name().toLowerCase(Locale.ROOT), "looked at", "good", "from %", "to %"),
        counted.counts(by).counts().stream()
            .map(c -> {
              Proportion its = Proportion.of(c.good(), c.looked());
              return List.of(
                  c.name(),
                  Integer.toString(c.looked()),
                  Integer.toString(c.good()),
                  text(100 * its.lowest()),
                  text(100 * its.highest()));
            })
            .toList());
  }

  /** A figure as other programs read it. */
  static String text(@Nullable Double figure) {
    return figure == null ? "" : Double.toString(Math.rint(1_000 * figure) / 1_000);
  }

  private static final List<String> HEADS =
      List.of(
          "day",
          "evening",
          "piece",
          "code",
          "mould",
          "colours",
          "grade",
          "faults",
          "line",
          "trial",
          "lots",
          "joins",
          "room as planned °C",
          "became",
          "became on");

  private List<List<String>> rows() {
    return journal.find(JournalStore.Wanted.ALL, null, Integer.MAX_VALUE).evenings().stream()
        .flatMap(evening ->
            evening.pieces().stream()
                .map(piece ->
                    List.of(
                        evening.day().toString(),
                        evening.name(),
                        piece.piece(),
                        piece.code(),
                        piece.mouldName(),
                        String.join("; ", piece.colours()),
                        piece.grade() == null ? "" : piece.grade().name(),
                        piece.faults().stream().map(Enum::name).collect(Collectors.joining("; ")),
                        piece.text() == null ? "" : piece.text(),
                        piece.trial() == null ? "" : piece.trial(),
                        String.join("; ", piece.lots()),
                        piece.joins().stream().map(Enum::name).collect(Collectors.joining("; ")),
                        Double.toString(evening.roomC()),
                        piece.became() == null ? "" : piece.became().name(),
                        piece.becameDay() == null ? "" : piece.becameDay().toString())))
        .toList();
  }
}
