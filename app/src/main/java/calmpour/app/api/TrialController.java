package calmpour.app.api;

import calmpour.app.store.JournalCounts;
import calmpour.app.store.JournalTrials;
import calmpour.app.work.JournalDesk;
import calmpour.core.journal.Proportion;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Trials: one thing done otherwise, beside a control of the same evening. */
@RestController
@RequestMapping("/api/journal/trials")
public class TrialController {
  private final JournalDesk desk;
  private final JournalTrials tried;

  TrialController(JournalDesk desk, JournalTrials tried) {
    this.desk = desk;
    this.tried = tried;
  }

  /**
   * A trial and what it says.
   *
   * @param good pieces of the trial that came out well, of {@code looked}
   * @param controlGood of those beside it, of {@code controlLooked}
   * @param unseen pieces of both that nobody has looked at
   * @param compared null until pieces of both were looked at
   */
  public record TrialTold(
      String trial,
      int evenings,
      int good,
      int looked,
      int controlGood,
      int controlLooked,
      int unseen,
      JournalController.@Nullable TwoCounts compared) {}

  /** All trials, the latest first. */
  @GetMapping
  List<TrialTold> trials() {
    desk.catchUp();
    return tried.all().stream()
        .map(t ->
            new TrialTold(
                t.trial(),
                t.evenings(),
                t.changed().good(),
                t.changed().looked(),
                t.control().good(),
                t.control().looked(),
                t.unseen(),
                compared(t.changed(), t.control())))
        .toList();
  }

  private static JournalController.@Nullable TwoCounts compared(
      JournalCounts.Count changed, JournalCounts.Count control) {
    return changed.looked() == 0 || control.looked() == 0
        ? null
        : JournalController.TwoCounts.of(
            Proportion.of(changed.good(), changed.looked()),
            Proportion.of(control.good(), control.looked()));
  }
}
