package calmpour.app.api;

import calmpour.app.format.CalendarFile;
import calmpour.app.store.RunStore;
import calmpour.app.store.RunStore.KeptRun;
import calmpour.app.store.UnreadableDocumentException;
import calmpour.app.store.WorkshopClock;
import calmpour.app.work.RunDesk;
import calmpour.core.plan.doc.Plan;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import calmpour.core.run.Due;
import calmpour.core.run.Run;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What is due of everything that was begun. */
@RestController
@RequestMapping("/api/today")
public class TodayController {
  private final RunStore runs;
  private final RunDesk desk;
  private final WorkshopClock clock;

  TodayController(RunStore runs, RunDesk desk, WorkshopClock clock) {
    this.runs = runs;
    this.desk = desk;
    this.clock = clock;
  }

  /**
   * Something that is due.
   *
   * @param mouldName of the piece; null for a whole batch
   * @param hands whether somebody has to do something
   */
  public record DueLine(
      String runId,
      String runName,
      String zoneId,
      TaskId taskId,
      Task.Kind kind,
      int batch,
      @Nullable String mouldName,
      int places,
      Instant from,
      Instant to,
      boolean hands,
      Task.Phase phase) {}

  /**
   * The next first.
   *
   * @param unreadable names of what was begun and cannot be read, so that nothing of it stands here
   */
  public record Today(Instant now, List<DueLine> due, List<String> unreadable) {}

  @GetMapping
  Today today() {
    List<String> unreadable = new ArrayList<>();
    return new Today(clock.instant(), due(unreadable), unreadable);
  }

  /** The same for a calendar, with an entry a thing that has to be done. */
  @GetMapping(path = "/calendar", produces = "text/calendar;charset=UTF-8")
  ResponseEntity<String> calendar() {
    List<CalendarFile.Entry> entries =
        due(new ArrayList<>()).stream()
            .map(d ->
                new CalendarFile.Entry(
                    d.runId() + "/" + d.taskId() + "@calm-pour",
                    summary(d),
                    d.runName(),
                    d.from(),
                    d.to().isAfter(d.from()) ? d.to() : d.from().plusSeconds(60)))
            .toList();
    return ResponseEntity.ok()
        .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=calm-pour.ics")
        .body(CalendarFile.of(entries, clock.instant()));
  }

  /**
   * @param unreadable is told which runs cannot be read
   */
  private List<DueLine> due(List<String> unreadable) {
    List<DueLine> all = new ArrayList<>();
    for (RunStore.RunLine line : runs.lines()) {
      if (line.finishedAt() != null) {
        continue;
      }
      KeptRun kept;
      try {
        kept = runs.find(line.id()).orElse(null);
      } catch (UnreadableDocumentException damaged) {
        unreadable.add(line.name());
        continue;
      }
      if (kept == null) {
        continue;
      }
      for (Due due : desk.due(kept)) {
        all.add(line(kept, due));
      }
    }
    all.sort(Comparator.comparing(DueLine::from));
    return all;
  }

  private static DueLine line(KeptRun kept, Due due) {
    Run run = kept.run();
    Plan.PieceView piece = due.line() == null ? null : run.plan().pieces().get(due.line());
    return new DueLine(
        kept.id(),
        run.session().name(),
        run.session().zoneId(),
        due.taskId(),
        due.kind(),
        due.batch(),
        piece == null ? null : piece.mouldName(),
        due.places(),
        run.begunAt().plusSeconds(due.fromSeconds()),
        run.begunAt().plusSeconds(due.toSeconds()),
        due.hands(),
        due.phase());
  }

  private static String summary(DueLine due) {
    String what =
        due.mouldName() == null
            ? "batch " + due.batch()
            : due.mouldName() + (due.places() > 1 ? " ×" + due.places() : "");
    return switch (due.kind()) {
      case DEMOULD -> "Out of the mould: " + what;
      case FINISH -> "Finish: " + what;
      case READY -> "Ready to hand over: " + what;
      case IN_POT -> "In the pressure pot: " + what;
      default -> "Next layer: " + what;
    };
  }
}
