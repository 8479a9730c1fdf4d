package calmpour.app.store;

import static calmpour.app.store.generated.Tables.JOURNAL_PIECE;
import static calmpour.app.store.generated.Tables.JOURNAL_TRIAL;

import calmpour.core.run.LookOver;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.jooq.DSLContext;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;

/** What was tried beside a control, counted over all evenings. */
@Repository
public class JournalTrials {
  private final DSLContext db;

  private final UntilChanged remembered;

  JournalTrials(DSLContext db, JournalWriter writer) {
    this.db = db;
    this.remembered = new UntilChanged(writer::version);
  }

  /**
   * What a trial has come to.
   *
   * @param trial what was done otherwise, as it was written last
   * @param evenings on which it was tried
   * @param changed its pieces that were looked at
   * @param control those beside it
   * @param unseen pieces of both that nobody has looked at
   */
  public record Tried(
      String trial,
      int evenings,
      JournalCounts.Count changed,
      JournalCounts.Count control,
      int unseen) {}

  /** All trials, the latest first; the same words in capitals or not are the same trial. */
  public List<Tried> all() {
    return remembered.get("trials", this::read);
  }

  private List<Tried> read() {
    Map<String, TrialCount> all = new LinkedHashMap<>();
    db.select(JOURNAL_TRIAL.TRIAL, JOURNAL_TRIAL.CHANGED, JOURNAL_PIECE.GRADE, JOURNAL_PIECE.RUN_ID)
        .from(JOURNAL_TRIAL)
        .join(JOURNAL_PIECE)
        .on(JOURNAL_PIECE.RUN_ID.eq(JOURNAL_TRIAL.RUN_ID))
        .and(JOURNAL_PIECE.PIECE.eq(JOURNAL_TRIAL.PIECE))
        .orderBy(JOURNAL_PIECE.BEGUN_AT.desc(), JOURNAL_PIECE.RUN_ID, JOURNAL_PIECE.PIECE)
        .forEach(row ->
            all.computeIfAbsent(
                    row.value1().toLowerCase(Locale.ROOT), k -> new TrialCount(row.value1()))
                .add(row.value2(), row.value3(), row.value4()));
    return all.values().stream().map(TrialCount::told).toList();
  }

  /** One trial while it is being counted. */
  private static final class TrialCount {
    private final String trial;
    private final Set<String> evenings = new HashSet<>();
    private final int[] looked = new int[2];
    private final int[] good = new int[2];
    private int unseen;

    TrialCount(String trial) {
      this.trial = trial;
    }

    void add(boolean changed, @Nullable String grade, String runId) {
      int side = changed ? 0 : 1;
      evenings.add(runId);
      looked[side] += grade == null ? 0 : 1;
      good[side] += LookOver.Verdict.GOOD.name().equals(grade) ? 1 : 0;
      unseen += grade == null ? 1 : 0;
    }

    Tried told() {
      return new Tried(
          trial,
          evenings.size(),
          new JournalCounts.Count(trial, looked[0], good[0]),
          new JournalCounts.Count("", looked[1], good[1]),
          unseen);
    }
  }
}
