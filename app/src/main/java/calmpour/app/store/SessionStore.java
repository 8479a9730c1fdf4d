package calmpour.app.store;

import static calmpour.app.store.generated.Tables.SAVED_SESSION;

import calmpour.app.store.generated.tables.records.SavedSessionRecord;
import calmpour.core.check.InvalidValuesException;
import calmpour.core.plan.Plan;
import calmpour.core.plan.Planner;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jooq.DSLContext;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;
import tools.jackson.core.JacksonException;

/** The sessions that are kept, each with the plan it had when it was saved. */
@Repository
public class SessionStore {
  private final DSLContext db;
  private final Formats formats;
  private final Clock clock;
  private final Planner planner;

  SessionStore(DSLContext db, Formats formats, Clock clock, Planner planner) {
    this.db = db;
    this.formats = formats;
    this.clock = clock;
    this.planner = planner;
  }

  /** What is kept of a session beside it; both null while it cannot be planned. */
  public record Kept(@Nullable Workshop snapshot, @Nullable Plan plan) {}

  /** The newest first. */
  public List<SavedSession> all() {
    return db.selectFrom(SAVED_SESSION)
        .orderBy(SAVED_SESSION.CHANGED_AT.desc(), SAVED_SESSION.ID)
        .fetch(this::read);
  }

  public Optional<SavedSession> find(String id) {
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
        plan(row.getPlan(), format, session, snapshot),
        row.getChangedAt());
  }

  /**
   * The plan as it was saved. One that an older version wrote, and that cannot be read any more, is
   * made again from the snapshot it was made from.
   */
  private @Nullable Plan plan(
      @Nullable String text, int format, Session session, @Nullable Workshop snapshot) {
    if (text == null) {
      return null;
    }
    try {
      return formats.read(Formats.Document.PLAN, text, format, Plan.class);
    } catch (JacksonException writtenByAnOlderVersion) {
      try {
        return planner.plan(session, snapshot == null ? Workshop.EMPTY : snapshot);
      } catch (InvalidValuesException noLongerPossible) {
        return null;
      }
    }
  }
}
