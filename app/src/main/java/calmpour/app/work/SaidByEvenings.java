package calmpour.app.work;

import calmpour.app.store.JournalLearned;
import calmpour.core.derive.Derivation;
import calmpour.core.journal.OverageNeeded;
import calmpour.core.journal.RoomDrift;
import org.springframework.stereotype.Component;

/**
 * Says of the figures behind a plan's numbers which of them are what the journal has learned:
 * overage, the room as it goes on and what closed moulds are filled over by stand where a maker
 * types them, too.
 */
@Component
public class SaidByEvenings {
  /** The room is taken over to the tenth of a degree an hour, K/h. */
  private static final double SAME_K_PER_HOUR = 0.05 + 1e-9;

  private static final double SAME_PERCENT = 1e-9;
  private static final String LID = "lid/";

  private final JournalDesk desk;
  private final JournalLearned journal;
  private final LidDesk lids;

  SaidByEvenings(JournalDesk desk, JournalLearned journal, LidDesk lids) {
    this.desk = desk;
    this.journal = journal;
    this.lids = lids;
  }

  /** The same, with what evenings say marked as learned. */
  public Derivation marked(Derivation derivation) {
    desk.catchUp();
    return derivation.learnedWhere(this::says);
  }

  private boolean says(Derivation.Input input) {
    String of = input.learned() == null ? "" : input.learned();
    return switch (of) {
      case "overage" -> {
        OverageNeeded needed = OverageNeeded.of(journal.overageNeeded());
        yield needed.enough() && Math.abs(input.value() - needed.enoughPercent()) < SAME_PERCENT;
      }
      case "drift" -> {
        RoomDrift drift = RoomDrift.of(journal.roomsDrift());
        yield drift.enough() && Math.abs(input.value() - drift.warmerKPerHour()) <= SAME_K_PER_HOUR;
      }
      default -> of.startsWith(LID) && lids.says(of.substring(LID.length()), input.value());
    };
  }
}
