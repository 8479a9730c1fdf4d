package calmpour.app.store;

import static calmpour.app.store.generated.Tables.JOURNAL_NOTE;
import static calmpour.app.store.generated.Tables.JOURNAL_OBSERVATION;

import calmpour.core.run.Corrections;
import calmpour.core.run.RunEvent;
import java.time.Duration;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** What was seen, touched or read on an evening, and what was said of it in words: a row each. */
final class ObservationRows {
  private static final int ABOUT_LENGTH = 200;
  private static final int WORD_LENGTH = 40;

  private final Rows rows;
  private final RunStore.KeptRun kept;

  ObservationRows(Rows rows, RunStore.KeptRun kept) {
    this.rows = rows;
    this.kept = kept;
  }

  /** As they should have been told; what was taken back is left out. */
  void write() {
    List<RunEvent> told = Corrections.applied(kept.events());
    Set<String> undone = new HashSet<>();
    for (RunEvent event : told) {
      if (event.kind() == RunEvent.Kind.UNDONE && event.of() != null) {
        undone.add(event.of());
      }
    }
    int number = 0;
    for (RunEvent event : told) {
      number++;
      if (undone.contains(event.id())) {
        continue;
      }
      if (isSeen(event.kind())) {
        observation(number, event);
      }
      if (event.text() != null && !event.text().isBlank()) {
        note(number, event, event.text());
      }
    }
  }

  private static boolean isSeen(RunEvent.Kind kind) {
    return switch (kind) {
      case FELT, ROOM, WARMTH, STAYED, DOSED, SQUEEZED, THICK, HOT, TROUBLE, LOOKED_OVER -> true;
      default -> false;
    };
  }

  private void observation(int number, RunEvent event) {
    rows.into(JOURNAL_OBSERVATION)
        .with(JOURNAL_OBSERVATION.RUN_ID, kept.id())
        .with(JOURNAL_OBSERVATION.NUMBER, number)
        .with(JOURNAL_OBSERVATION.KIND, event.kind().name())
        .with(JOURNAL_OBSERVATION.ABOUT, about(event))
        .with(
            JOURNAL_OBSERVATION.WORD,
            event.codes().isEmpty() ? null : cut(event.codes().getFirst(), WORD_LENGTH))
        .with(JOURNAL_OBSERVATION.READING, event.value())
        .with(JOURNAL_OBSERVATION.AT_SECONDS, seconds(event));
  }

  private void note(int number, RunEvent event, String text) {
    rows.into(JOURNAL_NOTE)
        .with(JOURNAL_NOTE.RUN_ID, kept.id())
        .with(JOURNAL_NOTE.NUMBER, number)
        .with(JOURNAL_NOTE.ABOUT, about(event))
        .with(JOURNAL_NOTE.TEXT, text)
        .with(JOURNAL_NOTE.AT_SECONDS, seconds(event));
  }

  private static @Nullable String about(RunEvent event) {
    return event.of() == null ? null : cut(event.of(), ABOUT_LENGTH);
  }

  /** It fits its column: an odd word keeps no evening out of the journal. */
  private static String cut(String text, int length) {
    return text.length() <= length ? text : text.substring(0, length);
  }

  private int seconds(RunEvent event) {
    return (int) Duration.between(kept.run().begunAt(), event.at()).toSeconds();
  }
}
