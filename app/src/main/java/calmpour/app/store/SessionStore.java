package calmpour.app.store;

import static calmpour.app.store.generated.Tables.SAVED_SESSION;

import calmpour.app.store.generated.tables.records.SavedSessionRecord;
import calmpour.core.plan.doc.Plan;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import java.time.Clock;
import java.time.LocalDateTime;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import org.jooq.DSLContext;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;

/** The sessions that are kept, each with the plan it had when it was saved. */
@Repository
public class SessionStore {
  private final DSLContext db;
  private final Formats formats;
  private final Clock clock;

  SessionStore(DSLContext db, Formats formats, Clock clock) {
    this.db = db;
    this.formats = formats;
    this.clock = clock;
  }

  /** What is kept of a session beside it; both null while it cannot be planned. */
  public record Kept(@Nullable Workshop snapshot, @Nullable Plan plan) {}

  /**
   * A session as it stands in the list; what it says of one that cannot be read is its name.
   *
   * @param cavities how many are poured; 0 for a mix without moulds
   * @param resinG A + B mixed; null while it cannot be planned
   */
  public record SessionLine(
      String id,
      String name,
      @Nullable LocalDateTime startsAt,
      @Nullable String zoneId,
      int cavities,
      @Nullable Double resinG,
      boolean justMix,
      OffsetDateTime changedAt) {}

  private volatile CompletableFuture<Void> complete = CompletableFuture.completedFuture(null);

  /** Nobody reads a session before this is done: something is still being put to them. */
  void after(CompletableFuture<Void> done) {
    complete = done;
  }

  /** What can be planned and was kept without a plan. */
  List<String> unplanned() {
    return db.select(SAVED_SESSION.ID)
        .from(SAVED_SESSION)
        .where(SAVED_SESSION.PLAN.isNull())
        .orderBy(SAVED_SESSION.CHANGED_AT)
        .fetch(SAVED_SESSION.ID);
  }

  /** Puts a plan to a session that was kept without one; it is as old as it was. */
  void plan(String id, Kept kept) {
    db.update(SAVED_SESSION)
        .set(SAVED_SESSION.RESIN_G, kept.plan == null ? null : kept.plan.totals().resinG())
        .set(SAVED_SESSION.SNAPSHOT, kept.snapshot == null ? null : formats.write(kept.snapshot))
        .set(SAVED_SESSION.PLAN, kept.plan == null ? null : formats.write(kept.plan))
        .where(SAVED_SESSION.ID.eq(id), SAVED_SESSION.PLAN.isNull())
        .execute();
  }

  /** The newest first. */
  public List<SessionLine> lines() {
    complete.join();
    return db.select(
            SAVED_SESSION.ID,
            SAVED_SESSION.NAME,
            SAVED_SESSION.STARTS_AT,
            SAVED_SESSION.ZONE_ID,
            SAVED_SESSION.CAVITIES,
            SAVED_SESSION.RESIN_G,
            SAVED_SESSION.JUST_MIX,
            SAVED_SESSION.CHANGED_AT)
        .from(SAVED_SESSION)
        .orderBy(SAVED_SESSION.CHANGED_AT.desc(), SAVED_SESSION.ID)
        .fetch(row ->
            new SessionLine(
                row.value1(),
                row.value2(),
                row.value3(),
                row.value4(),
                row.value5() == null ? 0 : row.value5(),
                row.value6(),
                row.value7() != null && row.value7(),
                row.value8()));
  }

  /**
   * @throws UnreadableDocumentException where it is kept and cannot be read
   */
  public Optional<SavedSession> find(String id) {
    complete.join();
    return read(id);
  }

  /** The same at once. */
  Optional<SavedSession> read(String id) {
    return db.selectFrom(SAVED_SESSION)
        .where(SAVED_SESSION.ID.eq(id))
        .fetchOptional()
        .map(this::read);
  }

  public SavedSession create(Session session, Kept kept) {
    SavedSessionRecord row = db.newRecord(SAVED_SESSION);
    row.setId(UUID.randomUUID().toString());
    row.setRevision(1);
    write(row, session, kept);
    row.insert();
    return read(row);
  }

  /**
   * Saves over revision {@code seen}.
   *
   * @return empty when somebody else has saved it since, or it is gone
   */
  public Optional<SavedSession> update(String id, int seen, Session session, Kept kept) {
    SavedSessionRecord row = new SavedSessionRecord();
    row.setRevision(seen + 1);
    write(row, session, kept);
    int changed =
        db.update(SAVED_SESSION)
            .set(row)
            .where(SAVED_SESSION.ID.eq(id), SAVED_SESSION.REVISION.eq(seen))
            .execute();
    return changed == 0 ? Optional.empty() : find(id);
  }

  public boolean remove(String id) {
    return db.deleteFrom(SAVED_SESSION).where(SAVED_SESSION.ID.eq(id)).execute() > 0;
  }

  private void write(SavedSessionRecord row, Session session, Kept kept) {
    row.setFormat(Formats.CURRENT);
    row.setName(session.name());
    row.setStartsAt(session.startsAt());
    row.setZoneId(session.zoneId());
    row.setCavities(session.pieces().stream().mapToInt(p -> p.count()).sum());
    row.setResinG(kept.plan == null ? null : kept.plan.totals().resinG());
    row.setJustMix(session.justMix() != null);
    row.setDocument(formats.write(session));
    row.setSnapshot(kept.snapshot == null ? null : formats.write(kept.snapshot));
    row.setPlan(kept.plan == null ? null : formats.write(kept.plan));
    row.setChangedAt(OffsetDateTime.now(clock));
  }

  private SavedSession read(SavedSessionRecord row) {
    int format = row.getFormat();
    Session session =
        formats.read(Formats.Document.SESSION, row.getDocument(), format, Session.class);
    Workshop snapshot =
        row.getSnapshot() == null
            ? null
            : formats.read(Formats.Document.WORKSHOP, row.getSnapshot(), format, Workshop.class);
    return new SavedSession(
        row.getId(),
        row.getRevision(),
        session,
        snapshot,
        plan(row.getPlan(), format),
        row.getChangedAt());
  }

  /** The plan as it was saved; what cannot be read of it does not keep the session shut. */
  private @Nullable Plan plan(@Nullable String text, int format) {
    try {
      return text == null ? null : formats.read(Formats.Document.PLAN, text, format, Plan.class);
    } catch (UnreadableDocumentException damaged) {
      return null;
    }
  }
}
