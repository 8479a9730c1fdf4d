package calmpour.app.store;

import static calmpour.app.store.generated.Tables.JOURNAL_EVENING;
import static calmpour.app.store.generated.Tables.JOURNAL_PIECE;
import static calmpour.app.store.generated.Tables.SETTING_COUNTED;

import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.jooq.DSLContext;
import org.jooq.impl.DSL;
import org.springframework.stereotype.Repository;

/** How many settings there were when somebody counted them, and how many were poured into since. */
@Repository
public class SettingsCounted {
  private final DSLContext db;
  private final WorkshopClock clock;

  SettingsCounted(DSLContext db, WorkshopClock clock) {
    this.db = db;
    this.clock = clock;
  }

  /**
   * Notes when they were counted; the same number saved again is no new count.
   *
   * @param anew whether they were counted again, although the number is the same
   */
  public void counted(String mouldId, int copies, boolean anew) {
    OffsetDateTime now = clock.instant().atOffset(ZoneOffset.UTC);
    if (anew
        || copies
            != db.select(SETTING_COUNTED.COPIES)
                .from(SETTING_COUNTED)
                .where(SETTING_COUNTED.MOULD_ID.eq(mouldId))
                .fetchOptional(SETTING_COUNTED.COPIES)
                .orElse(0)) {
      db.insertInto(SETTING_COUNTED)
          .set(SETTING_COUNTED.MOULD_ID, mouldId)
          .set(SETTING_COUNTED.COPIES, copies)
          .set(SETTING_COUNTED.COUNTED_AT, now)
          .onConflict(SETTING_COUNTED.MOULD_ID)
          .doUpdate()
          .set(SETTING_COUNTED.COPIES, copies)
          .set(SETTING_COUNTED.COUNTED_AT, now)
          .execute();
    }
  }

  /** Nobody counts these any more. */
  public void forget(String mouldId) {
    db.deleteFrom(SETTING_COUNTED).where(SETTING_COUNTED.MOULD_ID.eq(mouldId)).execute();
  }

  /** When these were counted last. */
  public Optional<Instant> countedAt(String mouldId) {
    return db.select(SETTING_COUNTED.COUNTED_AT)
        .from(SETTING_COUNTED)
        .where(SETTING_COUNTED.MOULD_ID.eq(mouldId))
        .fetchOptional(row -> row.value1().toInstant());
  }

  /**
   * Into how many a layer was poured on evenings that began since and are over.
   *
   * @return by cavity
   */
  public Map<String, Integer> used(String mouldId, Instant since) {
    Map<String, Integer> used = new HashMap<>();
    db.select(JOURNAL_PIECE.CAVITY_ID, DSL.count())
        .from(JOURNAL_PIECE)
        .join(JOURNAL_EVENING)
        .on(JOURNAL_EVENING.RUN_ID.eq(JOURNAL_PIECE.RUN_ID))
        .where(JOURNAL_PIECE.MOULD_ID.eq(mouldId))
        .and(JOURNAL_EVENING.FINISHED_AT.isNotNull())
        .and(JOURNAL_EVENING.BEGUN_AT.gt(since.atOffset(ZoneOffset.UTC)))
        .groupBy(JOURNAL_PIECE.CAVITY_ID)
        .forEach(row -> used.put(row.value1(), row.value2()));
    return used;
  }
}
