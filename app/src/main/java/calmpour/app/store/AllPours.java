package calmpour.app.store;

import static calmpour.app.store.generated.Tables.JOURNAL_EVENING;
import static calmpour.app.store.generated.Tables.JOURNAL_POUR;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jooq.DSLContext;
import org.jooq.impl.DSL;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;

/** Every pour that was made, by what is counted of it, at hand. */
@Repository
public class AllPours {
  private final DSLContext db;
  private final ByEvening<OfEvening> evenings;

  AllPours(DSLContext db, JournalWriter writer) {
    this.db = db;
    this.evenings =
        new ByEvening<>(
            writer,
            Comparator.comparing(OfEvening::begunAt).reversed().thenComparing(OfEvening::runId),
            this::read);
  }

  /**
   * The pours of one evening.
   *
   * @param pours by when they ended
   */
  record OfEvening(String runId, Instant begunAt, List<Pour> pours) {
    OfEvening {
      pours = List.copyOf(pours);
    }
  }

  /**
   * One pour.
   *
   * @param piece that it went into, such as {@code 1.2}
   * @param thickMm how deep its layer is; null where its plan has no such layer
   * @param plannedSeconds its end as planned
   * @param atSeconds its end
   * @param spareSeconds how long its cup stayed pourable after it; null where nobody knows
   */
  record Pour(
      String piece,
      String resinId,
      @Nullable Double thickMm,
      int plannedSeconds,
      int atSeconds,
      @Nullable Integer spareSeconds) {}

  /** All evenings that have pours, the latest first. */
  List<OfEvening> all() {
    return evenings.all();
  }

  private Map<String, OfEvening> read(@Nullable Collection<String> runIds) {
    Map<String, String> names = new HashMap<>();
    Map<String, List<Pour>> pours = new HashMap<>();
    db.select(
            JOURNAL_POUR.RUN_ID,
            JOURNAL_POUR.PIECE,
            JOURNAL_POUR.RESIN_ID,
            JOURNAL_POUR.THICK_MM,
            JOURNAL_POUR.PLANNED_SECONDS,
            JOURNAL_POUR.AT_SECONDS,
            JOURNAL_POUR.SPARE_SECONDS)
        .from(JOURNAL_POUR)
        .where(JOURNAL_POUR.AT_SECONDS.isNotNull())
        .and(runIds == null ? DSL.noCondition() : JOURNAL_POUR.RUN_ID.in(runIds))
        .orderBy(JOURNAL_POUR.RUN_ID, JOURNAL_POUR.AT_SECONDS, JOURNAL_POUR.POUR_ID)
        .forEach(row ->
            pours
                .computeIfAbsent(row.value1(), k -> new ArrayList<>())
                .add(
                    new Pour(
                        names.computeIfAbsent(row.value2(), n -> n),
                        names.computeIfAbsent(row.value3(), n -> n),
                        row.value4(),
                        row.value5(),
                        row.value6(),
                        row.value7())));
    Map<String, OfEvening> read = new HashMap<>();
    db.select(JOURNAL_EVENING.RUN_ID, JOURNAL_EVENING.BEGUN_AT)
        .from(JOURNAL_EVENING)
        .where(runIds == null ? DSL.noCondition() : JOURNAL_EVENING.RUN_ID.in(runIds))
        .forEach(row -> {
          List<Pour> its = pours.get(row.value1());
          if (its != null) {
            read.put(row.value1(), new OfEvening(row.value1(), row.value2().toInstant(), its));
          }
        });
    return read;
  }
}
