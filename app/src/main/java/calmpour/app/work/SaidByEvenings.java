package calmpour.app.work;

import calmpour.app.store.JournalLearned;
import calmpour.core.derive.Derivation;
import calmpour.core.habit.Hands;
import calmpour.core.journal.HandSpeeds;
import calmpour.core.journal.OverageNeeded;
import calmpour.core.journal.RoomDrift;
import calmpour.core.plan.doc.Task;
import java.util.Arrays;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * Says of the figures behind a plan's numbers which of them are what the journal has learned:
 * overage, hands, the room as it goes on and what closed moulds are filled over by stand where a
 * maker types them, too.
 */
@Component
public class SaidByEvenings {
  /** The room is taken over to the tenth of a degree an hour, K/h. */
  private static final double SAME_K_PER_HOUR = 0.05 + 1e-9;

  private static final double SAME_PERCENT = 1e-9;
  private static final String LID = "lid/";
  private static final String HANDS = "hands/";

  private final JournalDesk desk;
  private final JournalLearned journal;
  private final LidDesk lids;

  SaidByEvenings(JournalDesk desk, JournalLearned journal, LidDesk lids) {
    this.desk = desk;
    this.journal = journal;
    this.lids = lids;
  }

  /**
   * The same, with what evenings say marked as learned.
   *
   * @param hands that it was planned for
   */
  public Derivation marked(Derivation derivation, Hands hands) {
    desk.catchUp();
    return derivation.learnedWhere(input -> evenings(input, hands));
  }

  private Optional<String> evenings(Derivation.Input input, Hands hands) {
    String of = input.learned() == null ? "" : input.learned();
    if (of.startsWith(HANDS)) {
      return hands(hands, of.substring(HANDS.length()));
    }
    boolean said =
        switch (of) {
          case "overage" -> {
            OverageNeeded needed = OverageNeeded.of(journal.overageNeeded());
            double off = Math.abs(input.value() - needed.enoughPercent());
            yield needed.enough() && off < SAME_PERCENT;
          }
          case "drift" -> {
            RoomDrift drift = RoomDrift.of(journal.roomsDrift());
            double off = Math.abs(input.value() - drift.warmerKPerHour());
            yield drift.enough() && off <= SAME_K_PER_HOUR;
          }
          default -> of.startsWith(LID) && lids.says(of.substring(LID.length()), input.value());
        };
    return said ? Optional.of(of) : Optional.empty();
  }

  /** Everybody's, or one person's whose hands were taken over. */
  private Optional<String> hands(Hands hands, String step) {
    Optional<Task.Kind> kind =
        Arrays.stream(Task.Kind.values()).filter(k -> k.name().equals(step)).findFirst();
    return kind.flatMap(k ->
        hands(hands, k, null)
            .or(() ->
                journal.people().stream()
                    .flatMap(person -> hands(hands, k, person).stream())
                    .findFirst()));
  }

  private Optional<String> hands(Hands hands, Task.Kind kind, @Nullable String person) {
    return HandSpeeds.says(hands, journal.learnedHands(person), kind)
        .map(speed -> HANDS + speed.name() + (person == null ? "" : "/" + person));
  }
}
