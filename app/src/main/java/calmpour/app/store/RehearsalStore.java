package calmpour.app.store;

import static calmpour.app.store.generated.Tables.REHEARSAL;
import static calmpour.app.store.generated.Tables.RUN;
import static calmpour.app.store.generated.Tables.RUN_EVENT;

import calmpour.app.store.RunStore.KeptRun;
import calmpour.core.run.Run;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jooq.DSLContext;
import org.jooq.impl.DSL;
import org.springframework.stereotype.Repository;

/** Evenings that are only rehearsed: which exercise, where their clocks are, how they ended. */
@Repository
public class RehearsalStore {
  /** Older ones are forgotten, but for their points. */
  private static final int MOST_KEPT = 20;

  private final DSLContext db;
  private final RunStore runs;

  RehearsalStore(DSLContext db, RunStore runs) {
    this.db = db;
    this.runs = runs;
  }

  /**
   * Where the clock of a rehearsal was when it was last set.
   *
   * @param speed how many seconds of it are one of the world; 0 while it is held
   */
  public record ClockAt(Instant toldAt, int speed) {}

  public KeptRun begin(String exercise, Run run, Instant really) {
    forgetOld();
    return runs.rehearse(exercise, run, really);
  }

  private void forgetOld() {
    List<String> old =
        db.select(REHEARSAL.RUN_ID)
            .from(REHEARSAL)
            .orderBy(REHEARSAL.BEGUN_AT.desc(), REHEARSAL.RUN_ID)
            .offset(MOST_KEPT - 1)
            .fetch(REHEARSAL.RUN_ID);
    if (!old.isEmpty()) {
      db.transaction(one -> {
        DSLContext all = one.dsl();
        all.deleteFrom(RUN_EVENT).where(RUN_EVENT.RUN_ID.in(old)).execute();
        all.deleteFrom(RUN).where(RUN.ID.in(old)).execute();
      });
      runs.forget(old);
    }
  }

  public Optional<ClockAt> clock(String runId) {
    return db.select(REHEARSAL.TOLD_AT, REHEARSAL.SPEED)
        .from(REHEARSAL)
        .where(REHEARSAL.RUN_ID.eq(runId))
        .fetchOptional()
        .map(row -> new ClockAt(row.value1().toInstant(), row.value2()));
  }

  public void keepClock(String runId, ClockAt at) {
    OffsetDateTime told = at.toldAt().atOffset(ZoneOffset.UTC);
    db.update(REHEARSAL)
        .set(REHEARSAL.TOLD_AT, told)
        .set(REHEARSAL.SPEED, at.speed())
        .where(REHEARSAL.RUN_ID.eq(runId))
        .execute();
  }

  public void keepPoints(String runId, int points) {
    db.update(REHEARSAL).set(REHEARSAL.POINTS, points).where(REHEARSAL.RUN_ID.eq(runId)).execute();
  }

  /** The most points that were reached here, by exercise; none for one that was never ended. */
  public Map<String, Integer> reached() {
    Map<String, Integer> reached = new HashMap<>();
    db.select(REHEARSAL.EXERCISE, DSL.max(REHEARSAL.POINTS))
        .from(REHEARSAL)
        .where(REHEARSAL.POINTS.isNotNull())
        .groupBy(REHEARSAL.EXERCISE)
        .forEach(row -> reached.put(row.value1(), row.value2()));
    return reached;
  }
}
