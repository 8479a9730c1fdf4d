package calmpour.app.api;

import calmpour.app.format.JournalFile;
import calmpour.app.store.JournalStore;
import calmpour.app.work.JournalDesk;
import java.util.List;
import java.util.stream.Collectors;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The journal as a table. */
@RestController
@RequestMapping("/api/journal")
public class JournalTableController {
  private final JournalDesk desk;
  private final JournalStore journal;

  JournalTableController(JournalDesk desk, JournalStore journal) {
    this.desk = desk;
    this.journal = journal;
  }

  /** All pieces as a table that other programs read. */
  @GetMapping(path = "/pieces.csv", produces = "text/csv")
  ResponseEntity<String> csv() {
    desk.catchUp();
    return ResponseEntity.ok()
        .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"journal.csv\"")
        .body(JournalFile.csv(HEADS, rows()));
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
