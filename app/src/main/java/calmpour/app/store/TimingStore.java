package calmpour.app.store;

import static calmpour.app.store.generated.Tables.TIMING;
import static calmpour.app.store.generated.Tables.TIMING_EVENT;
import static calmpour.app.store.generated.Tables.TIMING_LOOK;

import calmpour.app.store.generated.tables.records.TimingRecord;
import calmpour.core.journal.Looked;
import calmpour.core.practice.SetUp;
import calmpour.core.practice.Timing;
import calmpour.core.session.Workshop;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;

/** Resins that were timed without an evening, and what was told of them; only ever added to. */
@Repository
public class TimingStore {
  private final DSLContext db;
  private final Formats formats;
  private final JournalWriter journal;

  TimingStore(DSLContext db, Formats formats, JournalWriter journal) {
    this.db = db;
    this.formats = formats;
    this.journal = journal;
  }

  /** One of them. */
  public record Kept(String id, Timing timing) {}

  /**
   * The latest first.
   *
   * @param most of them
   * @param unreadable is told the resins of those that cannot be read
   */
  public List<Kept> latest(int most, List<String> unreadable) {
    List<Kept> all = new ArrayList<>();
    for (TimingRecord row :
        db.selectFrom(TIMING).orderBy(TIMING.MET_AT.desc(), TIMING.ID).limit(most).fetch()) {
      try {
        all.add(read(row));
      } catch (UnreadableDocumentException damaged) {
        unreadable.add(row.getResinName());
      }
    }
    return all;
  }

  public List<String> ids() {
    return db.select(TIMING.ID).from(TIMING).orderBy(TIMING.MET_AT, TIMING.ID).fetch(TIMING.ID);
  }

  public Optional<Kept> find(String id) {
    return db.selectFrom(TIMING).where(TIMING.ID.eq(id)).fetchOptional().map(this::read);
  }

  /** Begins one; one that was begun before stays as it is. */
  public synchronized void begin(String id, String resinName, Timing timing) {
    if (db.fetchExists(TIMING, TIMING.ID.eq(id))) {
      return;
    }
    db.insertInto(TIMING)
        .set(TIMING.ID, id)
        .set(TIMING.FORMAT, Formats.CURRENT)
        .set(TIMING.SET_UP, formats.write(timing.setUp()))
        .set(TIMING.WORKSHOP, formats.write(timing.used()))
        .set(TIMING.RESIN_NAME, resinName)
        .set(TIMING.MET_AT, timing.metAt().atOffset(ZoneOffset.UTC))
        .set(TIMING.ZONE_ID, timing.zoneId())
        .execute();
  }

  /** Adds what was told; what was told before, by its id, is not told again. */
  public synchronized void append(String id, Timing.TimingEvent event) {
    int told = db.fetchCount(TIMING_EVENT, TIMING_EVENT.TIMING_ID.eq(id));
    boolean known =
        db.fetchExists(
            TIMING_EVENT, TIMING_EVENT.TIMING_ID.eq(id).and(TIMING_EVENT.ID.eq(event.id())));
    if (!known) {
      db.insertInto(TIMING_EVENT)
          .set(TIMING_EVENT.TIMING_ID, id)
          .set(TIMING_EVENT.SEQ, told + 1)
          .set(TIMING_EVENT.ID, event.id())
          .set(TIMING_EVENT.FORMAT, Formats.CURRENT)
          .set(TIMING_EVENT.DOCUMENT, formats.write(event))
          .execute();
    }
  }

  /** Keeps what it says of its resin, in place of what it said before. */
  public void says(String id, List<Looked> looks) {
    db.transaction(one -> {
      one.dsl().deleteFrom(TIMING_LOOK).where(TIMING_LOOK.TIMING_ID.eq(id)).execute();
      for (Looked look : looks) {
        one.dsl()
            .insertInto(TIMING_LOOK)
            .set(TIMING_LOOK.TIMING_ID, id)
            .set(TIMING_LOOK.RESIN_ID, look.resinId())
            .set(TIMING_LOOK.LOT, look.lot())
            .set(TIMING_LOOK.PACE, look.of().name())
            .set(TIMING_LOOK.LOWEST, look.lowest())
            .set(TIMING_LOOK.HIGHEST, look.highest())
            .set(TIMING_LOOK.LOOKS, look.looks())
            .execute();
      }
    });
    journal.changed();
  }

  private Kept read(TimingRecord row) {
    int format = row.getFormat();
    List<Timing.TimingEvent> told =
        db.select(TIMING_EVENT.DOCUMENT, TIMING_EVENT.FORMAT)
            .from(TIMING_EVENT)
            .where(TIMING_EVENT.TIMING_ID.eq(row.getId()))
            .orderBy(TIMING_EVENT.SEQ)
            .fetch(e ->
                formats.read(
                    Formats.Document.TIMING_EVENT,
                    e.value1(),
                    e.value2(),
                    Timing.TimingEvent.class));
    return new Kept(
        row.getId(),
        new Timing(
            formats.read(Formats.Document.SET_UP, row.getSetUp(), format, SetUp.class),
            formats.read(Formats.Document.WORKSHOP, row.getWorkshop(), format, Workshop.class),
            row.getMetAt().toInstant(),
            row.getZoneId(),
            told));
  }
}
