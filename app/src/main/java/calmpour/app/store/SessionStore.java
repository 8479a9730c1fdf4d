package calmpour.app.store;

import static calmpour.app.store.generated.Tables.RUN;
import static calmpour.app.store.generated.Tables.SAVED_SESSION;

import calmpour.app.store.generated.tables.records.SavedSessionRecord;
import calmpour.core.plan.doc.Plan;
import calmpour.core.resin.ResinSystem;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import org.jooq.Condition;
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
   * @param board what its picture is drawn from; null while it cannot be planned
   * @param binnedAt when it was thrown away; null for one that was not
   */
  public record SessionLine(
      String id,
      String name,
      @Nullable LocalDateTime startsAt,
      @Nullable String zoneId,
      int cavities,
      @Nullable Double resinG,
      boolean justMix,
      OffsetDateTime changedAt,
      Stands stands,
      @Nullable Board board,
      @Nullable OffsetDateTime binnedAt) {}

  /** How far a session has come. */
  public enum Stands {
    PLANNED,
    /** It will be: it takes its time and its moulds from others. */
    CONFIRMED,
    /** Its start has passed, and nobody has begun. */
    OVERDUE,
    BEGUN,
    DONE
  }

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
  void plan(String id, Session session, Kept kept) {
    db.update(SAVED_SESSION)
        .set(SAVED_SESSION.RESIN_G, kept.plan == null ? null : kept.plan.totals().resinG())
        .set(SAVED_SESSION.SNAPSHOT, kept.snapshot == null ? null : formats.write(kept.snapshot))
        .set(SAVED_SESSION.PLAN, kept.plan == null ? null : formats.write(kept.plan))
        .set(SAVED_SESSION.BOARD, picture(session, kept))
        .where(SAVED_SESSION.ID.eq(id), SAVED_SESSION.PLAN.isNull())
        .execute();
  }

  /** Pictures of sessions that were planned before there were any; what cannot be read has none. */
  private void drawWhatHasNoPicture() {
    db.selectFrom(SAVED_SESSION)
        .where(SAVED_SESSION.BOARD.isNull(), SAVED_SESSION.PLAN.isNotNull())
        .forEach(row -> {
          try {
            SavedSession saved = read(row);
            String picture = picture(saved.session(), new Kept(saved.snapshot(), saved.plan()));
            db.update(SAVED_SESSION)
                .set(SAVED_SESSION.BOARD, picture)
                .where(SAVED_SESSION.ID.eq(row.getId()), SAVED_SESSION.BOARD.isNull())
                .execute();
          } catch (UnreadableDocumentException damaged) {
            // Told in its line.
          }
        });
  }

  /** The newest first. */
  public List<SessionLine> lines() {
    return lines(SAVED_SESSION.BINNED_AT.isNull());
  }

  /** What lies in the bin, the newest first. */
  public List<SessionLine> bin() {
    return lines(SAVED_SESSION.BINNED_AT.isNotNull());
  }

  private List<SessionLine> lines(Condition which) {
    complete.join();
    drawWhatHasNoPicture();
    Map<String, Boolean> runs = overByRun();
    Instant now = clock.instant();
    return db.select(
            SAVED_SESSION.ID,
            SAVED_SESSION.NAME,
            SAVED_SESSION.STARTS_AT,
            SAVED_SESSION.ZONE_ID,
            SAVED_SESSION.CAVITIES,
            SAVED_SESSION.RESIN_G,
            SAVED_SESSION.JUST_MIX,
            SAVED_SESSION.CHANGED_AT,
            SAVED_SESSION.CONFIRMED,
            SAVED_SESSION.BINNED_AT,
            SAVED_SESSION.BOARD)
        .from(SAVED_SESSION)
        .where(which)
        .orderBy(SAVED_SESSION.CHANGED_AT.desc(), SAVED_SESSION.ID)
        .fetch(row -> {
          LocalDateTime startsAt = row.get(SAVED_SESSION.STARTS_AT);
          String zoneId = row.get(SAVED_SESSION.ZONE_ID);
          Integer cavities = row.get(SAVED_SESSION.CAVITIES);
          String id = row.get(SAVED_SESSION.ID);
          boolean justMix = Boolean.TRUE.equals(row.get(SAVED_SESSION.JUST_MIX));
          boolean past =
              startsAt != null
                  && zoneId != null
                  && !justMix
                  && startsAt.atZone(ZoneId.of(zoneId)).toInstant().isBefore(now);
          return new SessionLine(
              id,
              row.get(SAVED_SESSION.NAME),
              startsAt,
              zoneId,
              cavities == null ? 0 : cavities,
              row.get(SAVED_SESSION.RESIN_G),
              justMix,
              row.get(SAVED_SESSION.CHANGED_AT),
              stands(runs.get(id), past, row.get(SAVED_SESSION.CONFIRMED)),
              board(row.get(SAVED_SESSION.BOARD)),
              row.get(SAVED_SESSION.BINNED_AT));
        });
  }

  private static Stands stands(@Nullable Boolean over, boolean past, boolean confirmed) {
    if (over != null) {
      return over ? Stands.DONE : Stands.BEGUN;
    }
    if (past) {
      return Stands.OVERDUE;
    }
    return confirmed ? Stands.CONFIRMED : Stands.PLANNED;
  }

  /** Sessions that were begun, by id: whether all that was begun of them is over. */
  private Map<String, Boolean> overByRun() {
    Map<String, Boolean> over = new HashMap<>();
    db.select(RUN.SESSION_ID, RUN.FINISHED_AT)
        .from(RUN)
        .where(RUN.SESSION_ID.isNotNull())
        .forEach(r -> over.merge(r.value1(), r.value2() != null, Boolean::logicalAnd));
    return over;
  }

  /** Ids and revisions of what takes hands and moulds from others: confirmed, or begun. */
  Map<String, Integer> inTheWay() {
    Map<String, Boolean> runs = overByRun();
    Map<String, Integer> ids = new LinkedHashMap<>();
    db.select(SAVED_SESSION.ID, SAVED_SESSION.REVISION, SAVED_SESSION.CONFIRMED)
        .from(SAVED_SESSION)
        .where(SAVED_SESSION.BINNED_AT.isNull())
        .forEach(r -> {
          Boolean over = runs.get(r.value1());
          if (over == null ? r.value3() : !over) {
            ids.put(r.value1(), r.value2());
          }
        });
    return ids;
  }

  private @Nullable Board board(@Nullable String text) {
    try {
      return text == null ? null : formats.picture(text);
    } catch (UnreadableDocumentException damaged) {
      return null;
    }
  }

  /**
   * Says that a session will be, or that it is only thought of.
   *
   * @return whether there is such a session
   */
  public boolean confirm(String id, boolean confirmed) {
    return db.update(SAVED_SESSION)
            .set(SAVED_SESSION.CONFIRMED, confirmed)
            .where(SAVED_SESSION.ID.eq(id))
            .execute()
        > 0;
  }

  /** Whether a session was said to be. */
  public boolean confirmed(String id) {
    return db.fetchExists(
        SAVED_SESSION, SAVED_SESSION.ID.eq(id).and(SAVED_SESSION.CONFIRMED.isTrue()));
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
        .where(SAVED_SESSION.ID.eq(id), SAVED_SESSION.BINNED_AT.isNull())
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

  /** Puts a session into the bin, or takes it out again. */
  public boolean bin(String id, boolean away) {
    return db.update(SAVED_SESSION)
            .set(SAVED_SESSION.BINNED_AT, away ? OffsetDateTime.now(clock) : null)
            .where(SAVED_SESSION.ID.eq(id))
            .execute()
        > 0;
  }

  /** Empties the bin; what was in it is gone for good. */
  public void emptyBin() {
    db.deleteFrom(SAVED_SESSION).where(SAVED_SESSION.BINNED_AT.isNotNull()).execute();
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
    row.setBoard(picture(session, kept));
    row.setChangedAt(OffsetDateTime.now(clock));
  }

  private @Nullable String picture(Session session, Kept kept) {
    if (kept.plan == null || kept.snapshot == null) {
      return null;
    }
    String resin =
        kept.snapshot.resins().stream()
            .filter(r -> r.id().equals(session.resinId()))
            .map(ResinSystem::name)
            .findFirst()
            .orElse("");
    return formats.write(Board.of(kept.plan, resin, session.resinId()));
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
