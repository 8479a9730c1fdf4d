package calmpour.app.store;

import static calmpour.app.store.generated.Tables.REHEARSAL;
import static calmpour.app.store.generated.Tables.RUN;
import static calmpour.app.store.generated.Tables.RUN_EVENT;

import calmpour.app.store.generated.tables.records.RunRecord;
import calmpour.core.plan.doc.Plan;
import calmpour.core.run.Run;
import calmpour.core.run.RunEvent;
import calmpour.core.run.WrongClock;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.impl.DSL;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;

/**
 * Runs and what happened in them. An event is on the disk before anybody is told so; events are
 * only ever added.
 */
@Repository
public class RunStore {
  /** Runs kept at hand; at a bench there are one or two. */
  private static final int MOST_AT_HAND = 16;

  /** Benches whose thermometers are read; the one opened first is left first. */
  private static final int MOST_BENCHES = 12;

  /** Not only rehearsed. */
  static final Condition POURED = RUN.ID.notIn(DSL.select(REHEARSAL.RUN_ID).from(REHEARSAL));

  private final Set<String> benches = new LinkedHashSet<>();
  private final DSLContext db;
  private final Formats formats;
  private final Snapshots snapshots;
  private final Map<String, KeptRun> atHand =
      new LinkedHashMap<>(MOST_AT_HAND, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<String, KeptRun> eldest) {
          return size() > MOST_AT_HAND;
        }
      };

  RunStore(DSLContext db, Formats formats, Snapshots snapshots) {
    this.db = db;
    this.snapshots = snapshots;
    this.formats = formats;
  }

  /**
   * A run as it is kept.
   *
   * @param sessionId of the kept session that it carries out; null for one that is not kept
   * @param exercise that is rehearsed; null for an evening that is poured
   * @param run by the right clock, as are its events
   * @param events in the order in which they were told
   * @param clocks where its clock was wrong and was put right
   */
  public record KeptRun(
      String id,
      @Nullable String sessionId,
      @Nullable String exercise,
      Run run,
      List<RunEvent> events,
      List<WrongClock.Righted> clocks) {
    public KeptRun {
      events = List.copyOf(events);
      clocks = List.copyOf(clocks);
    }

    /** Null while it is not over. */
    public @Nullable Instant finishedAt() {
      return events.stream()
          .filter(e -> e.kind() == RunEvent.Kind.FINISHED)
          .filter(e -> events.stream().noneMatch(u -> e.id().equals(u.of())))
          .map(RunEvent::at)
          .findFirst()
          .orElse(null);
    }
  }

  /**
   * A run as it stands in the list.
   *
   * @param finishedAt null while it is not over
   */
  public record RunLine(
      String id,
      String name,
      Instant begunAt,
      @Nullable String zoneId,
      @Nullable Instant finishedAt) {}

  /** Whether anything was ever begun; what is only rehearsed does not count, here and below. */
  public boolean any() {
    return db.fetchExists(db.selectFrom(RUN).where(POURED));
  }

  /** The newest first. */
  public List<RunLine> lines() {
    Field<OffsetDateTime> began = DSL.coalesce(RUN.BEGAN_AT, RUN.BEGUN_AT);
    return db.select(RUN.ID, RUN.NAME, began, RUN.ZONE_ID, RUN.FINISHED_AT)
        .from(RUN)
        .where(POURED)
        .orderBy(began.desc(), RUN.ID)
        .fetch(row ->
            new RunLine(
                row.value1(),
                row.value2(),
                row.value3().toInstant(),
                row.value4(),
                row.value5() == null ? null : row.value5().toInstant()));
  }

  /** Somebody works on it, or looks at it; whatever else is looked at, it stays one of these. */
  public synchronized void toBench(KeptRun run) {
    benches.remove(run.id());
    // Whose thermometers hang in no room is not read.
    if (run.finishedAt() == null && run.exercise() == null) {
      benches.add(run.id());
    }
    if (benches.size() > MOST_BENCHES) {
      benches.remove(benches.iterator().next());
    }
  }

  /** Runs that were begun, told of or opened here and are not over. */
  public synchronized List<KeptRun> atBench() {
    return List.copyOf(benches).stream().flatMap(id -> find(id).stream()).toList();
  }

  public synchronized Optional<KeptRun> find(String id) {
    KeptRun known = atHand.get(id);
    if (known != null) {
      return Optional.of(known);
    }
    Optional<KeptRun> found =
        db.selectFrom(RUN).where(RUN.ID.eq(id)).fetchOptional().map(this::read);
    found.ifPresent(r -> atHand.put(id, r));
    return found;
  }

  /**
   * A run read from where it is kept, without taking the place of one that is worked with.
   *
   * @throws UnreadableDocumentException where it is damaged
   */
  public Optional<KeptRun> look(String id) {
    return db.selectFrom(RUN).where(RUN.ID.eq(id)).fetchOptional().map(this::read);
  }

  public synchronized KeptRun begin(@Nullable String sessionId, Run run) {
    RunRecord row = row(sessionId, run);
    row.insert();
    return begun(new KeptRun(row.getId(), sessionId, null, run, List.of(), List.of()));
  }

  /** Begins what is only rehearsed; its own clock stands at its beginning. */
  synchronized KeptRun rehearse(String exercise, Run run, Instant really) {
    RunRecord row = row(null, run);
    db.transaction(one -> {
      row.attach(one);
      row.insert();
      one.dsl()
          .insertInto(REHEARSAL)
          .set(REHEARSAL.RUN_ID, row.getId())
          .set(REHEARSAL.EXERCISE, exercise)
          .set(REHEARSAL.BEGUN_AT, really.atOffset(ZoneOffset.UTC))
          .set(REHEARSAL.TOLD_AT, run.begunAt().atOffset(ZoneOffset.UTC))
          .set(REHEARSAL.SPEED, 1)
          .execute();
    });
    return begun(new KeptRun(row.getId(), null, exercise, run, List.of(), List.of()));
  }

  /** What is not kept any more is not at hand either. */
  synchronized void forget(List<String> ids) {
    ids.forEach(atHand::remove);
  }

  private KeptRun begun(KeptRun begun) {
    atHand.put(begun.id(), begun);
    toBench(begun);
    return begun;
  }

  private RunRecord row(@Nullable String sessionId, Run run) {
    RunRecord row = db.newRecord(RUN);
    row.setId(UUID.randomUUID().toString());
    row.setFormat(Formats.CURRENT);
    row.setSessionId(sessionId);
    row.setName(run.session().name());
    row.setSessionHash(snapshots.keep(formats.write(run.session())));
    row.setWorkshopHash(snapshots.keep(formats.write(run.workshop())));
    row.setPlanHash(snapshots.keep(formats.write(run.plan())));
    row.setBegunAt(run.begunAt().atOffset(ZoneOffset.UTC));
    row.setZoneId(run.session().zoneId());
    return row;
  }

  /**
   * Adds what happened; what was told before, by its id, is not told again.
   *
   * @return the run with it; empty when there is no such run
   */
  public synchronized Optional<KeptRun> append(String runId, List<RunEvent> told) {
    Optional<KeptRun> before = find(runId);
    if (before.isEmpty()) {
      return before;
    }
    Set<String> known = new HashSet<>();
    before.get().events().forEach(e -> known.add(e.id()));
    List<RunEvent> fresh = told.stream().filter(e -> known.add(e.id())).toList();
    List<RunEvent> all = new ArrayList<>(before.get().events());
    all.addAll(fresh);
    KeptRun after =
        new KeptRun(
            runId,
            before.get().sessionId(),
            before.get().exercise(),
            before.get().run(),
            all,
            before.get().clocks());
    Instant finishedAt = after.finishedAt();
    db.transaction(one -> {
      int seq = before.get().events().size();
      for (RunEvent event : fresh) {
        seq++;
        one.dsl()
            .insertInto(RUN_EVENT)
            .set(RUN_EVENT.RUN_ID, runId)
            .set(RUN_EVENT.SEQ, seq)
            .set(RUN_EVENT.ID, event.id())
            .set(RUN_EVENT.FORMAT, Formats.CURRENT)
            .set(RUN_EVENT.DOCUMENT, formats.write(event))
            .execute();
      }
      one.dsl()
          .update(RUN)
          .set(RUN.FINISHED_AT, finishedAt == null ? null : finishedAt.atOffset(ZoneOffset.UTC))
          .set(RUN.TOLD, all.size())
          .where(RUN.ID.eq(runId))
          .execute();
    });
    // Only what is on the disk counts.
    if (fresh.stream().anyMatch(e -> WrongClock.changes(e, before.get().events()))) {
      return Optional.of(byRightClock(runId));
    }
    atHand.put(runId, after);
    toBench(after);
    return Optional.of(after);
  }

  /** Reads a run anew whose clock was put right, and moves its line in the list. */
  private KeptRun byRightClock(String runId) {
    atHand.remove(runId);
    KeptRun right = find(runId).orElseThrow();
    Instant finishedAt = right.finishedAt();
    db.update(RUN)
        .set(RUN.BEGAN_AT, right.run().begunAt().atOffset(ZoneOffset.UTC))
        .set(RUN.FINISHED_AT, finishedAt == null ? null : finishedAt.atOffset(ZoneOffset.UTC))
        .where(RUN.ID.eq(runId))
        .execute();
    return right;
  }

  private <T> T read(
      Formats.Document kind,
      @Nullable String own,
      @Nullable String hash,
      int format,
      Class<T> type) {
    return formats.read(kind, snapshots.read(kind, own, hash), format, type);
  }

  private KeptRun read(RunRecord row) {
    int format = row.getFormat();
    Run run =
        new Run(
            read(
                Formats.Document.SESSION,
                row.getSession(),
                row.getSessionHash(),
                format,
                Session.class),
            read(
                Formats.Document.WORKSHOP,
                row.getWorkshop(),
                row.getWorkshopHash(),
                format,
                Workshop.class),
            read(Formats.Document.PLAN, row.getPlan(), row.getPlanHash(), format, Plan.class),
            row.getBegunAt().toInstant());
    List<RunEvent> events =
        db.select(RUN_EVENT.DOCUMENT, RUN_EVENT.FORMAT)
            .from(RUN_EVENT)
            .where(RUN_EVENT.RUN_ID.eq(row.getId()))
            .orderBy(RUN_EVENT.SEQ)
            .fetch(
                e -> formats.read(Formats.Document.EVENT, e.value1(), e.value2(), RunEvent.class));
    String exercise =
        db.select(REHEARSAL.EXERCISE)
            .from(REHEARSAL)
            .where(REHEARSAL.RUN_ID.eq(row.getId()))
            .fetchOne(REHEARSAL.EXERCISE);
    WrongClock.RightRun right = WrongClock.of(run, events);
    return new KeptRun(
        row.getId(), row.getSessionId(), exercise, right.run(), right.events(), right.clocks());
  }
}
