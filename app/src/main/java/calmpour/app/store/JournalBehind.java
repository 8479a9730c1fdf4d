package calmpour.app.store;

import static calmpour.app.store.generated.Tables.JOURNAL_DOSED;
import static calmpour.app.store.generated.Tables.JOURNAL_EVENING;
import static calmpour.app.store.generated.Tables.JOURNAL_FILL;
import static calmpour.app.store.generated.Tables.JOURNAL_HAND;
import static calmpour.app.store.generated.Tables.JOURNAL_LOOK;
import static calmpour.app.store.generated.Tables.JOURNAL_SQUEEZED;
import static calmpour.app.store.generated.Tables.JOURNAL_STAYED;
import static calmpour.app.store.generated.Tables.TIMING;
import static calmpour.app.store.generated.Tables.TIMING_LOOK;

import calmpour.core.journal.HandSpeeds;
import calmpour.core.journal.Looked;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Records;
import org.jooq.impl.DSL;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;

/** The evenings behind what was learned. */
@Repository
public class JournalBehind {
  private final DSLContext db;

  JournalBehind(DSLContext db) {
    this.db = db;
  }

  /**
   * An evening behind something that was learned.
   *
   * @param runId null where a resin was timed without an evening
   * @param lot of A and B; null where nobody noted it, and of what has none
   * @param lowest so many times as told, s, K, K/h, % or mL, or more; null where it says nothing of
   *     the kind
   * @param highest so many times as told, or less; null likewise
   * @param looks it is told by
   */
  public record Behind(
      @Nullable String runId,
      String name,
      LocalDate day,
      @Nullable String lot,
      @Nullable Double lowest,
      @Nullable Double highest,
      int looks) {
    static Behind ofEvening(
        String runId,
        String name,
        LocalDate day,
        @Nullable Double lowest,
        @Nullable Double highest,
        int looks) {
      return new Behind(runId, name, day, null, lowest, highest, looks);
    }
  }

  /** The evenings behind a resin's pace, the latest first. */
  public List<Behind> pace(String resinId, Looked.Of of) {
    List<Behind> all = new ArrayList<>();
    db.select(JOURNAL_EVENING.asterisk(), JOURNAL_LOOK.asterisk())
        .from(JOURNAL_LOOK)
        .join(JOURNAL_EVENING)
        .on(JOURNAL_EVENING.RUN_ID.eq(JOURNAL_LOOK.RUN_ID))
        .where(JOURNAL_LOOK.RESIN_ID.eq(resinId))
        .and(JOURNAL_LOOK.PACE.eq(of.name()))
        .forEach(row ->
            all.add(
                new Behind(
                    row.get(JOURNAL_EVENING.RUN_ID),
                    row.get(JOURNAL_EVENING.NAME),
                    row.get(JOURNAL_EVENING.LOCAL_DAY),
                    row.get(JOURNAL_LOOK.LOT),
                    row.get(JOURNAL_LOOK.LOWEST),
                    row.get(JOURNAL_LOOK.HIGHEST),
                    row.get(JOURNAL_LOOK.LOOKS))));
    db.select(TIMING.asterisk(), TIMING_LOOK.asterisk())
        .from(TIMING_LOOK)
        .join(TIMING)
        .on(TIMING.ID.eq(TIMING_LOOK.TIMING_ID))
        .where(TIMING_LOOK.RESIN_ID.eq(resinId))
        .and(TIMING_LOOK.PACE.eq(of.name()))
        .forEach(row ->
            all.add(
                new Behind(
                    null,
                    row.get(TIMING.RESIN_NAME),
                    row.get(TIMING.MET_AT)
                        .atZoneSameInstant(ZoneId.of(row.get(TIMING.ZONE_ID)))
                        .toLocalDate(),
                    row.get(TIMING_LOOK.LOT),
                    row.get(TIMING_LOOK.LOWEST),
                    row.get(TIMING_LOOK.HIGHEST),
                    row.get(TIMING_LOOK.LOOKS))));
    all.sort(Comparator.comparing(Behind::day).reversed());
    return all;
  }

  /** The evenings behind what a cavity takes, the latest first. */
  public List<Behind> fill(String mouldId, String cavityId) {
    return db.select(
            JOURNAL_EVENING.RUN_ID,
            JOURNAL_EVENING.NAME,
            JOURNAL_EVENING.LOCAL_DAY,
            JOURNAL_FILL.TIMES,
            JOURNAL_FILL.TIMES,
            JOURNAL_FILL.LOOKS)
        .from(JOURNAL_FILL)
        .join(JOURNAL_EVENING)
        .on(JOURNAL_EVENING.RUN_ID.eq(JOURNAL_FILL.RUN_ID))
        .where(JOURNAL_FILL.MOULD_ID.eq(mouldId))
        .and(JOURNAL_FILL.CAVITY_ID.eq(cavityId))
        .orderBy(JOURNAL_EVENING.BEGUN_AT.desc())
        .fetch(Records.mapping(Behind::ofEvening));
  }

  /** The evenings behind what stays in a kind of cup, the latest first. */
  public List<Behind> stays(String kindId) {
    return db.select(
            JOURNAL_EVENING.RUN_ID,
            JOURNAL_EVENING.NAME,
            JOURNAL_EVENING.LOCAL_DAY,
            JOURNAL_STAYED.TIMES,
            JOURNAL_STAYED.TIMES,
            JOURNAL_STAYED.LOOKS)
        .from(JOURNAL_STAYED)
        .join(JOURNAL_EVENING)
        .on(JOURNAL_EVENING.RUN_ID.eq(JOURNAL_STAYED.RUN_ID))
        .where(JOURNAL_STAYED.KIND_ID.eq(kindId))
        .orderBy(JOURNAL_EVENING.BEGUN_AT.desc())
        .fetch(Records.mapping(Behind::ofEvening));
  }

  /** The evenings behind what a drop or scoop of a colourant weighs, the latest first. */
  public List<Behind> doses(String colourantId) {
    return db.select(
            JOURNAL_EVENING.RUN_ID,
            JOURNAL_EVENING.NAME,
            JOURNAL_EVENING.LOCAL_DAY,
            JOURNAL_DOSED.TIMES,
            JOURNAL_DOSED.TIMES,
            JOURNAL_DOSED.LOOKS)
        .from(JOURNAL_DOSED)
        .join(JOURNAL_EVENING)
        .on(JOURNAL_EVENING.RUN_ID.eq(JOURNAL_DOSED.RUN_ID))
        .where(JOURNAL_DOSED.COLOURANT_ID.eq(colourantId))
        .orderBy(JOURNAL_EVENING.BEGUN_AT.desc())
        .fetch(Records.mapping(Behind::ofEvening));
  }

  /**
   * The evenings behind how long hands take for one step, s; the latest first.
   *
   * @param person whose; null for everybody's
   */
  public List<Behind> hands(HandSpeeds.Speed speed, @Nullable String person) {
    return db.select(
            JOURNAL_EVENING.RUN_ID,
            JOURNAL_EVENING.NAME,
            JOURNAL_EVENING.LOCAL_DAY,
            JOURNAL_HAND.SECONDS,
            JOURNAL_HAND.SECONDS,
            JOURNAL_HAND.STEPS)
        .from(JOURNAL_HAND)
        .join(JOURNAL_EVENING)
        .on(JOURNAL_EVENING.RUN_ID.eq(JOURNAL_HAND.RUN_ID))
        .where(JOURNAL_HAND.SPEED.eq(speed.name()))
        .and(person == null ? DSL.noCondition() : JOURNAL_HAND.PERSON.eq(person))
        .orderBy(JOURNAL_EVENING.BEGUN_AT.desc())
        .fetch(Records.mapping(Behind::ofEvening));
  }

  /** The evenings on which the room was read, by how much it was warmer than told, K. */
  public List<Behind> room() {
    return db.select(
            JOURNAL_EVENING.RUN_ID,
            JOURNAL_EVENING.NAME,
            JOURNAL_EVENING.LOCAL_DAY,
            JOURNAL_EVENING.ROOM_READ_C,
            JOURNAL_EVENING.ROOM_C)
        .from(JOURNAL_EVENING)
        .where(JOURNAL_EVENING.ROOM_READ_C.isNotNull())
        .orderBy(JOURNAL_EVENING.BEGUN_AT.desc())
        .fetch(row -> {
          double warmerK = row.value4() - row.value5();
          return Behind.ofEvening(row.value1(), row.value2(), row.value3(), warmerK, warmerK, 1);
        });
  }

  /** The evenings behind how much overage was needed, %; the latest first. */
  public List<Behind> overage() {
    return figures(JOURNAL_EVENING.OVERAGE_NEEDED_PERCENT);
  }

  /** The evenings behind how the room goes on while somebody works in it, K/h. */
  public List<Behind> drift() {
    return figures(JOURNAL_EVENING.ROOM_DRIFT_K_PER_HOUR);
  }

  /** Evenings that say something, as a figure of their own. */
  private List<Behind> figures(Field<Double> figure) {
    return db.select(
            JOURNAL_EVENING.RUN_ID,
            JOURNAL_EVENING.NAME,
            JOURNAL_EVENING.LOCAL_DAY,
            figure,
            figure,
            DSL.inline(1))
        .from(JOURNAL_EVENING)
        .where(figure.isNotNull())
        .orderBy(JOURNAL_EVENING.BEGUN_AT.desc())
        .fetch(Records.mapping(Behind::ofEvening));
  }

  /** The evenings behind what a closed mould needs to be filled over by, mL. */
  public List<Behind> lid(String mouldId) {
    return db.select(
            JOURNAL_EVENING.RUN_ID,
            JOURNAL_EVENING.NAME,
            JOURNAL_EVENING.LOCAL_DAY,
            JOURNAL_SQUEEZED.NEEDED_ML,
            JOURNAL_SQUEEZED.NEEDED_ML,
            JOURNAL_SQUEEZED.LOOKS)
        .from(JOURNAL_SQUEEZED)
        .join(JOURNAL_EVENING)
        .on(JOURNAL_EVENING.RUN_ID.eq(JOURNAL_SQUEEZED.RUN_ID))
        .where(JOURNAL_SQUEEZED.MOULD_ID.eq(mouldId))
        .orderBy(JOURNAL_EVENING.BEGUN_AT.desc())
        .fetch(Records.mapping(Behind::ofEvening));
  }
}
