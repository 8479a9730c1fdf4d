package calmpour.app.api;

import calmpour.app.format.CalendarFile;
import calmpour.app.store.JournalCounts;
import calmpour.app.store.RunStore;
import calmpour.app.store.RunStore.KeptRun;
import calmpour.app.store.UnreadableDocumentException;
import calmpour.app.store.WorkshopClock;
import calmpour.app.work.JournalDesk;
import calmpour.app.work.RunDesk;
import calmpour.core.design.Join;
import calmpour.core.plan.doc.Plan;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import calmpour.core.run.Due;
import calmpour.core.run.Later;
import calmpour.core.run.Run;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
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
  /** What was not looked at by then never will be. */
  private static final Duration LATELY = Duration.ofDays(30);

  private final RunStore runs;
  private final RunDesk desk;
  private final WorkshopClock clock;
  private final JournalDesk journalDesk;
  private final JournalCounts journal;

  TodayController(
      RunStore runs,
      RunDesk desk,
      WorkshopClock clock,
      JournalDesk journalDesk,
      JournalCounts journal) {
    this.journalDesk = journalDesk;
    this.journal = journal;
    this.runs = runs;
    this.desk = desk;
    this.clock = clock;
  }

  /**
   * Something that is due.
   *
   * @param mouldName of the piece; null for a whole batch
   * @param hands whether somebody has to do something
   * @param until the latest that does; null for no latest
   * @param joinNow how a next layer meets what lies below, where it no longer can as designed
   * @param view its mould in section, of what is to come out of it
   * @param touch a piece of which it is worth knowing how hard it is now
   */
  public record DueLine(
      String runId,
      String runName,
      String zoneId,
      Instant begunAt,
      TaskId taskId,
      Task.Kind kind,
      int batch,
      @Nullable String mouldName,
      int places,
      Instant from,
      Instant to,
      boolean hands,
      Task.Phase phase,
      @Nullable Instant until,
      @Nullable Join joinNow,
      Plan.@Nullable PieceView view,
      @Nullable String touch) {}

  /**
   * The next first.
   *
   * @param record whether anything was ever begun
   * @param toLookAt evenings that are over and have pieces nobody has looked at
   * @param unreadable names of what was begun and cannot be read, so that nothing of it stands here
   */
  public record Today(
      Instant now,
      boolean record,
      List<DueLine> due,
      List<JournalCounts.Unseen> toLookAt,
      List<String> unreadable) {}

  @GetMapping
  Today today() {
    List<String> unreadable = new ArrayList<>();
    journalDesk.catchUp();
    return new Today(
        clock.instant(),
        runs.any(),
        due(unreadable),
        journal.unseen(clock.instant().minus(LATELY)),
        unreadable);
  }

  /** The same for a calendar, with an entry a thing that has to be done. */
  @GetMapping(path = "/calendar", produces = "text/calendar;charset=UTF-8")
  ResponseEntity<String> calendar() {
    // A calendar without any entry is none (RFC 5545, 3.6: at least one component).
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
    if (entries.isEmpty()) {
      return ResponseEntity.noContent().build();
    }
    return ResponseEntity.ok()
        .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=calm-pour.ics")
        .body(CalendarFile.of(entries, clock.instant()));
  }

  /**
   * @param unreadable is told which runs cannot be read
   */
  private List<DueLine> due(List<String> unreadable) {
    List<DueLine> all = new ArrayList<>();
    Instant now = clock.instant();
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
      List<Due> due = desk.due(kept);
      long atSeconds = Duration.between(kept.run().begunAt(), now).toSeconds();
      due.stream()
          .filter(d -> d.fromSeconds() > atSeconds || !stillInItsMould(d, due))
          .map(d -> line(kept, d, now))
          .filter(d -> !missed(d, now))
          .forEach(all::add);
    }
    all.sort(Comparator.comparing(DueLine::from));
    return all;
  }

  /**
   * Nobody wipes a mould that still has a piece in it, nor finishes that piece, whenever it was to
   * be done.
   */
  private static boolean stillInItsMould(Due due, List<Due> all) {
    return (due.kind() == Task.Kind.MOULDS_AWAY || due.kind() == Task.Kind.FINISH)
        && all.stream()
            .filter(d -> d.kind() == Task.Kind.DEMOULD && d.hands())
            .anyMatch(
                d -> due.kind() == Task.Kind.MOULDS_AWAY || Objects.equals(d.line(), due.line()));
  }

  /** A look or a nudge whose time has passed is of no use, and no loss. */
  private static boolean missed(DueLine line, Instant now) {
    return line.phase() == Task.Phase.WATCH && line.until() != null && line.until().isBefore(now);
  }

  private static DueLine line(KeptRun kept, Due due, Instant now) {
    Run run = kept.run();
    Integer line = due.line();
    Plan.PieceView piece = line == null ? null : run.plan().pieces().get(line);
    boolean comesOut = due.kind() == Task.Kind.DEMOULD;
    String touch =
        comesOut && line != null
            ? Later.touch(run, kept.events(), line, now).map(Later.Touch::piece).orElse(null)
            : null;
    return new DueLine(
        kept.id(),
        run.session().name(),
        run.session().zoneId(),
        run.begunAt(),
        due.taskId(),
        due.kind(),
        due.batch(),
        piece == null ? null : piece.mouldName(),
        due.places(),
        run.begunAt().plusSeconds(due.fromSeconds()),
        run.begunAt().plusSeconds(due.toSeconds()),
        due.hands(),
        due.phase(),
        due.untilSeconds() == null ? null : run.begunAt().plusSeconds(due.untilSeconds()),
        due.joinNow(),
        comesOut ? piece : null,
        touch);
  }

  private static String window(DueLine due) {
    if (due.until() == null) {
      return due.joinNow() == Join.CURED ? " (scuff and wipe first)" : "";
    }
    String time =
        DateTimeFormatter.ofPattern("EEE HH:mm", Locale.UK)
            .withZone(ZoneId.of(due.zoneId()))
            .format(due.until());
    return " (pour until " + time + "; after that scuff and wipe)";
  }

  private static String summary(DueLine due) {
    String what =
        due.mouldName() == null
            ? "batch " + due.batch()
            : due.mouldName() + (due.places() > 1 ? " ×" + due.places() : "");
    return switch (due.kind()) {
      case DEMOULD -> "Out of the mould: " + what;
      case MOULDS_AWAY -> "Wipe, dry and lid the moulds ×" + due.places();
      case FINISH -> "Finish: " + what;
      case READY -> "Ready to hand over: " + what;
      case LOOK -> "Look for bubbles: " + what;
      case NUDGE -> "Nudge embeds: " + what;
      case EMBED -> "Embeds: " + what;
      case IN_POT -> "In the pressure pot: " + what;
      default -> "Next layer: " + what + window(due);
    };
  }
}
