package calmpour.app.store;

import static calmpour.app.store.generated.Tables.JOURNAL_BATCH;
import static calmpour.app.store.generated.Tables.JOURNAL_CUP;
import static calmpour.app.store.generated.Tables.JOURNAL_DOSE;
import static calmpour.app.store.generated.Tables.JOURNAL_DOSED;
import static calmpour.app.store.generated.Tables.JOURNAL_EMBED;
import static calmpour.app.store.generated.Tables.JOURNAL_EVENING;
import static calmpour.app.store.generated.Tables.JOURNAL_FAULT;
import static calmpour.app.store.generated.Tables.JOURNAL_FILL;
import static calmpour.app.store.generated.Tables.JOURNAL_HAND;
import static calmpour.app.store.generated.Tables.JOURNAL_JOIN;
import static calmpour.app.store.generated.Tables.JOURNAL_LOOK;
import static calmpour.app.store.generated.Tables.JOURNAL_LOT;
import static calmpour.app.store.generated.Tables.JOURNAL_MARK;
import static calmpour.app.store.generated.Tables.JOURNAL_NOTE;
import static calmpour.app.store.generated.Tables.JOURNAL_OBSERVATION;
import static calmpour.app.store.generated.Tables.JOURNAL_PIECE;
import static calmpour.app.store.generated.Tables.JOURNAL_POUR;
import static calmpour.app.store.generated.Tables.JOURNAL_SQUEEZED;
import static calmpour.app.store.generated.Tables.JOURNAL_STAYED;
import static calmpour.app.store.generated.Tables.JOURNAL_TRIAL;
import static calmpour.app.store.generated.Tables.JOURNAL_WORDS;
import static calmpour.app.store.generated.Tables.RUN;

import calmpour.core.journal.Dosed;
import calmpour.core.journal.Filled;
import calmpour.core.journal.HandSpeeds;
import calmpour.core.journal.LeftInCups;
import calmpour.core.journal.Looked;
import calmpour.core.journal.LotsUsed;
import calmpour.core.journal.OverageNeeded;
import calmpour.core.journal.RoomDrift;
import calmpour.core.journal.Squeezed;
import calmpour.core.journal.Stayed;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.Plan;
import calmpour.core.run.AsRun;
import calmpour.core.run.Run;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;

/** Writes the journal's tables, an evening at a time, one statement a table. */
@Repository
public class JournalWriter {
  /** What this version of the program works out of an evening; higher: all are worked out anew. */
  static final int ENGINE = 11;

  private final DSLContext db;
  private final Formats formats;
  private final Map<String, Long> written = new HashMap<>();
  private long version;
  private long forgotten;

  JournalWriter(DSLContext db, Formats formats) {
    this.db = db;
    this.formats = formats;
  }

  /** Another number after everything that is written. */
  synchronized long version() {
    return version;
  }

  /**
   * What was written after some version.
   *
   * @param version as it is now
   * @param all whether it may be every evening
   * @param runIds evenings; none where it may be all
   */
  record Written(long version, boolean all, Set<String> runIds) {}

  /** What has to be read again by whoever knows all as it was then. */
  synchronized Written since(long then) {
    return then < forgotten
        ? new Written(version, true, Set.of())
        : new Written(
            version,
            false,
            written.entrySet().stream()
                .filter(e -> e.getValue() > then)
                .map(Map.Entry::getKey)
                .collect(Collectors.toSet()));
  }

  private synchronized void wrote(String runId) {
    version++;
    written.put(runId, version);
  }

  /** Evenings that are kept and not in the tables as they are now, the oldest first. */
  public List<String> stale() {
    return db.select(RUN.ID)
        .from(RUN)
        .leftJoin(JOURNAL_EVENING)
        .on(JOURNAL_EVENING.RUN_ID.eq(RUN.ID))
        .where(STALE)
        .orderBy(RUN.BEGUN_AT, RUN.ID)
        .fetch(RUN.ID);
  }

  /** Whether an evening is one of those still. */
  public boolean isStale(String id) {
    return db.fetchExists(
        db.selectOne()
            .from(RUN)
            .leftJoin(JOURNAL_EVENING)
            .on(JOURNAL_EVENING.RUN_ID.eq(RUN.ID))
            .where(RUN.ID.eq(id))
            .and(STALE));
  }

  private static final Condition STALE =
      JOURNAL_EVENING
          .RUN_ID
          .isNull()
          .or(JOURNAL_EVENING.TOLD.ne(RUN.TOLD))
          .or(JOURNAL_EVENING.ENGINE.ne(ENGINE))
          .and(RunStore.POURED);

  /** Something that is counted here was written elsewhere. */
  synchronized void changed() {
    version++;
  }

  /** Forgets all that was worked out; the events stay. */
  public void forget() {
    db.deleteFrom(JOURNAL_EVENING).execute();
    db.deleteFrom(JOURNAL_WORDS).execute();
    forgot();
  }

  private synchronized void forgot() {
    version++;
    forgotten = version;
    written.clear();
  }

  /** Writes an evening as it is, in place of what was there of it. */
  public void write(RunStore.KeptRun kept, AsRun asRun) {
    Run run = kept.run();
    db.transaction(one -> {
      DSLContext dsl = one.dsl();
      dsl.deleteFrom(JOURNAL_EVENING).where(JOURNAL_EVENING.RUN_ID.eq(kept.id())).execute();
      Rows rows = new Rows();
      evening(rows, kept, asRun);
      Map<Integer, Batch> batches = new HashMap<>();
      run.plan().batches().forEach(b -> batches.put(b.number(), b));
      for (AsRun.BatchIn batch : asRun.batches()) {
        Batch planned = batches.get(batch.number());
        rows.into(JOURNAL_BATCH)
            .with(JOURNAL_BATCH.RUN_ID, kept.id())
            .with(JOURNAL_BATCH.BATCH, batch.number())
            .with(JOURNAL_BATCH.RESIN_ID, planned == null ? "" : planned.resinId())
            .with(JOURNAL_BATCH.RESIN_NAME, batch.resinName())
            .with(JOURNAL_BATCH.PLANNED_A_G, batch.plannedAG())
            .with(JOURNAL_BATCH.PLANNED_B_G, batch.plannedBG())
            .with(JOURNAL_BATCH.A_G, batch.aG())
            .with(JOURNAL_BATCH.B_G, batch.bG())
            .with(JOURNAL_BATCH.RATIO_ERROR_PERCENT, batch.ratioErrorPercent())
            .with(JOURNAL_BATCH.MET_SECONDS, batch.contactSeconds())
            .with(JOURNAL_BATCH.MIXED_SECONDS, batch.mixedSeconds());
      }
      lots(rows, kept, asRun);
      cups(rows, kept, asRun);
      pours(rows, kept, asRun);
      double room =
          RoomDrift.ofEvening(run.begunAt(), kept.events())
              .map(RoomDrift.OfEvening::beganC)
              .orElse(run.session().room().temperatureC());
      new PieceRows(dsl, rows, kept, asRun, room).write();
      new ObservationRows(rows, kept).write();
      Looked.of(run, asRun)
          .forEach(l ->
              rows.into(JOURNAL_LOOK)
                  .with(JOURNAL_LOOK.RUN_ID, kept.id())
                  .with(JOURNAL_LOOK.RESIN_ID, l.resinId())
                  .with(JOURNAL_LOOK.LOT, l.lot())
                  .with(JOURNAL_LOOK.PACE, l.of().name())
                  .with(JOURNAL_LOOK.LOWEST, l.lowest())
                  .with(JOURNAL_LOOK.HIGHEST, l.highest())
                  .with(JOURNAL_LOOK.LOOKS, l.looks()));
      Filled.of(run, asRun)
          .forEach(f ->
              rows.into(JOURNAL_FILL)
                  .with(JOURNAL_FILL.RUN_ID, kept.id())
                  .with(JOURNAL_FILL.MOULD_ID, f.mouldId())
                  .with(JOURNAL_FILL.CAVITY_ID, f.cavityId())
                  .with(JOURNAL_FILL.TIMES, f.times())
                  .with(JOURNAL_FILL.LOOKS, f.looks()));
      Stayed.of(run, asRun)
          .forEach(c ->
              rows.into(JOURNAL_STAYED)
                  .with(JOURNAL_STAYED.RUN_ID, kept.id())
                  .with(JOURNAL_STAYED.KIND_ID, c.kindId())
                  .with(JOURNAL_STAYED.TIMES, c.times())
                  .with(JOURNAL_STAYED.CONTENT_G, c.contentG())
                  .with(JOURNAL_STAYED.LOOKS, c.looks()));
      Dosed.of(run, kept.events())
          .forEach(d ->
              rows.into(JOURNAL_DOSED)
                  .with(JOURNAL_DOSED.RUN_ID, kept.id())
                  .with(JOURNAL_DOSED.COLOURANT_ID, d.colourantId())
                  .with(JOURNAL_DOSED.TIMES, d.times())
                  .with(JOURNAL_DOSED.READ_SHARE, d.readShare())
                  .with(JOURNAL_DOSED.LOOKS, d.looks()));
      Squeezed.of(run, kept.events(), asRun)
          .forEach(s ->
              rows.into(JOURNAL_SQUEEZED)
                  .with(JOURNAL_SQUEEZED.RUN_ID, kept.id())
                  .with(JOURNAL_SQUEEZED.MOULD_ID, s.mouldId())
                  .with(JOURNAL_SQUEEZED.NEEDED_ML, s.neededMl())
                  .with(JOURNAL_SQUEEZED.LOOKS, s.looks()));
      HandSpeeds.of(run, kept.events())
          .forEach(h ->
              rows.into(JOURNAL_HAND)
                  .with(JOURNAL_HAND.RUN_ID, kept.id())
                  .with(JOURNAL_HAND.SPEED, h.speed().name())
                  .with(JOURNAL_HAND.PERSON, h.person() == null ? "" : h.person())
                  .with(JOURNAL_HAND.STEPS, h.steps())
                  .with(JOURNAL_HAND.SECONDS, h.seconds()));
      rows.write(dsl);
    });
    wrote(kept.id());
  }

  private void evening(Rows rows, RunStore.KeptRun kept, AsRun asRun) {
    Run run = kept.run();
    Plan plan = run.plan();
    String zone = run.session().zoneId();
    String resin = plan.batches().isEmpty() ? "" : plan.batches().getFirst().resinName();
    Instant finished = kept.finishedAt();
    Optional<RoomDrift.OfEvening> room = RoomDrift.ofEvening(run.begunAt(), kept.events());
    Optional<LeftInCups.OfEvening> left = LeftInCups.ofEvening(run, asRun);
    rows.into(JOURNAL_EVENING)
        .with(JOURNAL_EVENING.RUN_ID, kept.id())
        .with(JOURNAL_EVENING.TOLD, kept.events().size())
        .with(JOURNAL_EVENING.ENGINE, ENGINE)
        .with(JOURNAL_EVENING.NAME, run.session().name())
        .with(JOURNAL_EVENING.BEGUN_AT, run.begunAt().atOffset(ZoneOffset.UTC))
        .with(JOURNAL_EVENING.ZONE_ID, zone)
        .with(JOURNAL_EVENING.LOCAL_DAY, run.begunAt().atZone(ZoneId.of(zone)).toLocalDate())
        .with(
            JOURNAL_EVENING.FINISHED_AT,
            finished == null ? null : finished.atOffset(ZoneOffset.UTC))
        .with(JOURNAL_EVENING.ROOM_C, run.session().room().temperatureC())
        .with(JOURNAL_EVENING.HUMIDITY_PERCENT, run.session().room().humidityPercent())
        .with(
            JOURNAL_EVENING.SAID_PERCENT,
            plan.chance() == null ? null : (Double) plan.chance().percent())
        .with(JOURNAL_EVENING.ALL_IN_TIME, inTime(asRun))
        .with(JOURNAL_EVENING.ROOM_READ_C, room.map(RoomDrift.OfEvening::beganC).orElse(null))
        .with(
            JOURNAL_EVENING.ROOM_DRIFT_K_PER_HOUR,
            room.map(RoomDrift.OfEvening::kPerHour).orElse(null))
        .with(JOURNAL_EVENING.OVERAGE_NEEDED_PERCENT, OverageNeeded.ofEvening(asRun).orElse(null))
        .with(
            JOURNAL_EVENING.LEFT_PLANNED_PERCENT,
            left.map(LeftInCups.OfEvening::plannedPercent).orElse(null))
        .with(
            JOURNAL_EVENING.LEFT_PERCENT, left.map(LeftInCups.OfEvening::realPercent).orElse(null))
        .with(JOURNAL_EVENING.BOARD, formats.write(Board.of(plan, resin, run.session().resinId())));
  }

  /** Null while a pour is open, and where nothing was poured. */
  private static @Nullable Boolean inTime(AsRun asRun) {
    boolean open = asRun.pours().stream().anyMatch(p -> p.outcome() == AsRun.Outcome.OPEN);
    boolean poured = asRun.pours().stream().anyMatch(p -> p.outcome() == AsRun.Outcome.POURED);
    if (open || !poured) {
      return null;
    }
    return asRun.pours().stream()
        .allMatch(p ->
            p.outcome() == AsRun.Outcome.POURED
                && p.spareSeconds() != null
                && p.spareSeconds() >= 0);
  }

  private static void cups(Rows rows, RunStore.KeptRun kept, AsRun asRun) {
    Map<String, Cup> planned = new HashMap<>();
    kept.run().plan().batches().stream()
        .flatMap(b -> b.cups().stream())
        .forEach(c -> planned.put(c.id().toString(), c));
    for (AsRun.CupIn cup : asRun.cups()) {
      String id = cup.cupId().toString();
      Cup its = planned.get(id);
      rows.into(JOURNAL_CUP)
          .with(JOURNAL_CUP.RUN_ID, kept.id())
          .with(JOURNAL_CUP.CUP_ID, id)
          .with(JOURNAL_CUP.BATCH, cup.batch())
          .with(JOURNAL_CUP.COLOUR_ID, its == null ? "" : its.colour().id())
          .with(JOURNAL_CUP.COLOUR_NAME, cup.colourName())
          .with(JOURNAL_CUP.PLANNED_G, cup.plannedG())
          .with(JOURNAL_CUP.FILLED_G, cup.filledG())
          .with(JOURNAL_CUP.LEFT_G, cup.leftG())
          .with(JOURNAL_CUP.LOST_G, cup.lostG());
      for (Cup.Dose dose : its == null ? List.<Cup.Dose>of() : its.tint().doses()) {
        rows.into(JOURNAL_DOSE)
            .with(JOURNAL_DOSE.RUN_ID, kept.id())
            .with(JOURNAL_DOSE.CUP_ID, id)
            .with(JOURNAL_DOSE.COLOURANT_ID, dose.colourantId())
            .with(JOURNAL_DOSE.COLOURANT_NAME, dose.colourantName())
            .with(JOURNAL_DOSE.MASS_G, dose.massG())
            .with(JOURNAL_DOSE.DROPS, dose.drops())
            .with(JOURNAL_DOSE.SCOOPS, dose.scoops())
            .with(JOURNAL_DOSE.IMPLEMENT, dose.implement());
      }
    }
  }

  /** Of what was opened. */
  private static void lots(Rows rows, RunStore.KeptRun kept, AsRun asRun) {
    for (LotsUsed.LotOfBatch lot : LotsUsed.of(kept.run())) {
      if (asRun.batches().stream().anyMatch(b -> b.number() == lot.batch())) {
        rows.into(JOURNAL_LOT)
            .with(JOURNAL_LOT.RUN_ID, kept.id())
            .with(JOURNAL_LOT.BATCH, lot.batch())
            .with(JOURNAL_LOT.SIDE, lot.side().name())
            .with(JOURNAL_LOT.PART_ID, lot.partId())
            .with(JOURNAL_LOT.PART_NAME, lot.partName())
            .with(JOURNAL_LOT.CODE, lot.code());
      }
    }
  }

  private static void pours(Rows rows, RunStore.KeptRun kept, AsRun asRun) {
    List<Plan.PieceView> views = kept.run().plan().pieces();
    for (AsRun.PourIn pour : asRun.pours()) {
      List<Plan.LayerView> layers = views.get(pour.line()).layers();
      Plan.LayerView layer = pour.layer() < layers.size() ? layers.get(pour.layer()) : null;
      rows.into(JOURNAL_POUR)
          .with(JOURNAL_POUR.RUN_ID, kept.id())
          .with(JOURNAL_POUR.POUR_ID, pour.pourId().toString())
          .with(JOURNAL_POUR.PIECE, pour.pourId().into().toString())
          .with(JOURNAL_POUR.LAYER, pour.layer())
          .with(JOURNAL_POUR.CUP_ID, pour.cupId().toString())
          .with(JOURNAL_POUR.COLOUR_NAME, pour.colourName())
          .with(JOURNAL_POUR.OUTCOME, pour.outcome().name())
          .with(JOURNAL_POUR.PLANNED_G, pour.plannedG())
          .with(JOURNAL_POUR.GRAMS, pour.grams())
          .with(JOURNAL_POUR.WEIGHED, pour.weighed())
          .with(JOURNAL_POUR.PLANNED_SECONDS, pour.plannedSeconds())
          .with(JOURNAL_POUR.AT_SECONDS, pour.atSeconds())
          .with(JOURNAL_POUR.SPARE_SECONDS, pour.spareSeconds())
          .with(JOURNAL_POUR.RESIN_ID, layer == null ? "" : layer.resinId())
          .with(
              JOURNAL_POUR.THICK_MM,
              layer == null ? null : (Double) (layer.toMm() - layer.fromMm()));
    }
  }

  /** Every row of every table, in a fixed order: what was worked out anew has to be the same. */
  public List<String> rows() {
    List<String> rows = new ArrayList<>();
    for (var table :
        List.of(
            JOURNAL_EVENING,
            JOURNAL_BATCH,
            JOURNAL_CUP,
            JOURNAL_DOSE,
            JOURNAL_DOSED,
            JOURNAL_FILL,
            JOURNAL_HAND,
            JOURNAL_LOOK,
            JOURNAL_PIECE,
            JOURNAL_POUR,
            JOURNAL_SQUEEZED,
            JOURNAL_FAULT,
            JOURNAL_LOT,
            JOURNAL_JOIN,
            JOURNAL_EMBED,
            JOURNAL_MARK,
            JOURNAL_NOTE,
            JOURNAL_OBSERVATION,
            JOURNAL_STAYED,
            JOURNAL_TRIAL)) {
      db.selectFrom(table).orderBy(table.fields()[0], table.fields()[1]).fetch().stream()
          .map(row -> table.getName() + row.intoMap())
          .sorted()
          .forEach(rows::add);
    }
    return rows;
  }
}
