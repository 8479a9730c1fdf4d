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
import java.util.concurrent.atomic.AtomicLong;
import org.jooq.DSLContext;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;

/** Writes the journal's tables, an evening at a time, one statement a table. */
@Repository
public class JournalWriter {
  /** What this version of the program works out of an evening; higher: all are worked out anew. */
  static final int ENGINE = 9;

  private final DSLContext db;
  private final Formats formats;
  private final AtomicLong version = new AtomicLong();

  JournalWriter(DSLContext db, Formats formats) {
    this.db = db;
    this.formats = formats;
  }

  /** Another number after everything that is written. */
  long version() {
    return version.get();
  }

  /** Evenings that are kept and not in the tables as they are now, the oldest first. */
  public List<String> stale() {
    return db.select(RUN.ID)
        .from(RUN)
        .leftJoin(JOURNAL_EVENING)
        .on(JOURNAL_EVENING.RUN_ID.eq(RUN.ID))
        .where(
            JOURNAL_EVENING
                .RUN_ID
                .isNull()
                .or(JOURNAL_EVENING.TOLD.ne(RUN.TOLD))
                .or(JOURNAL_EVENING.ENGINE.ne(ENGINE)))
        .and(RunStore.POURED)
        .orderBy(RUN.BEGUN_AT, RUN.ID)
        .fetch(RUN.ID);
  }

  /** Something that is counted here was written elsewhere. */
  void changed() {
    version.incrementAndGet();
  }

  /** Forgets all that was worked out; the events stay. */
  public void forget() {
    db.deleteFrom(JOURNAL_EVENING).execute();
    db.deleteFrom(JOURNAL_WORDS).execute();
    version.incrementAndGet();
  }

  /** Writes an evening as it is, in place of what was there of it. */
  public void write(RunStore.KeptRun kept, AsRun asRun) {
    Run run = kept.run();
    db.transaction(one -> {
      DSLContext dsl = one.dsl();
      dsl.deleteFrom(JOURNAL_EVENING).where(JOURNAL_EVENING.RUN_ID.eq(kept.id())).execute();
      evening(dsl, kept, asRun);
      Map<Integer, Batch> batches = new HashMap<>();
      run.plan().batches().forEach(b -> batches.put(b.number(), b));
      for (AsRun.BatchIn batch : asRun.batches()) {
        Batch planned = batches.get(batch.number());
        dsl.insertInto(JOURNAL_BATCH)
            .set(JOURNAL_BATCH.RUN_ID, kept.id())
            .set(JOURNAL_BATCH.BATCH, batch.number())
            .set(JOURNAL_BATCH.RESIN_ID, planned == null ? "" : planned.resinId())
            .set(JOURNAL_BATCH.RESIN_NAME, batch.resinName())
            .set(JOURNAL_BATCH.PLANNED_A_G, batch.plannedAG())
            .set(JOURNAL_BATCH.PLANNED_B_G, batch.plannedBG())
            .set(JOURNAL_BATCH.A_G, batch.aG())
            .set(JOURNAL_BATCH.B_G, batch.bG())
            .set(JOURNAL_BATCH.RATIO_ERROR_PERCENT, batch.ratioErrorPercent())
            .set(JOURNAL_BATCH.MET_SECONDS, batch.contactSeconds())
            .set(JOURNAL_BATCH.MIXED_SECONDS, batch.mixedSeconds())
            .execute();
      }
      lots(dsl, kept, asRun);
      cups(dsl, kept, asRun);
      pours(dsl, kept, asRun);
      double room =
          RoomDrift.ofEvening(run.begunAt(), kept.events())
              .map(RoomDrift.OfEvening::beganC)
              .orElse(run.session().room().temperatureC());
      new PieceRows(dsl, kept, asRun, room).write();
      new ObservationRows(dsl, kept).write();
      Looked.of(run, asRun)
          .forEach(l ->
              dsl.insertInto(JOURNAL_LOOK)
                  .set(JOURNAL_LOOK.RUN_ID, kept.id())
                  .set(JOURNAL_LOOK.RESIN_ID, l.resinId())
                  .set(JOURNAL_LOOK.LOT, l.lot())
                  .set(JOURNAL_LOOK.PACE, l.of().name())
                  .set(JOURNAL_LOOK.LOWEST, l.lowest())
                  .set(JOURNAL_LOOK.HIGHEST, l.highest())
                  .set(JOURNAL_LOOK.LOOKS, l.looks())
                  .execute());
      Filled.of(run, asRun)
          .forEach(f ->
              dsl.insertInto(JOURNAL_FILL)
                  .set(JOURNAL_FILL.RUN_ID, kept.id())
                  .set(JOURNAL_FILL.MOULD_ID, f.mouldId())
                  .set(JOURNAL_FILL.CAVITY_ID, f.cavityId())
                  .set(JOURNAL_FILL.TIMES, f.times())
                  .set(JOURNAL_FILL.LOOKS, f.looks())
                  .execute());
      Stayed.of(run, asRun)
          .forEach(c ->
              dsl.insertInto(JOURNAL_STAYED)
                  .set(JOURNAL_STAYED.RUN_ID, kept.id())
                  .set(JOURNAL_STAYED.KIND_ID, c.kindId())
                  .set(JOURNAL_STAYED.TIMES, c.times())
                  .set(JOURNAL_STAYED.CONTENT_G, c.contentG())
                  .set(JOURNAL_STAYED.LOOKS, c.looks())
                  .execute());
      Dosed.of(run, kept.events())
          .forEach(d ->
              dsl.insertInto(JOURNAL_DOSED)
                  .set(JOURNAL_DOSED.RUN_ID, kept.id())
                  .set(JOURNAL_DOSED.COLOURANT_ID, d.colourantId())
                  .set(JOURNAL_DOSED.TIMES, d.times())
                  .set(JOURNAL_DOSED.READ_SHARE, d.readShare())
                  .set(JOURNAL_DOSED.LOOKS, d.looks())
                  .execute());
      Squeezed.of(run, kept.events(), asRun)
          .forEach(s ->
              dsl.insertInto(JOURNAL_SQUEEZED)
                  .set(JOURNAL_SQUEEZED.RUN_ID, kept.id())
                  .set(JOURNAL_SQUEEZED.MOULD_ID, s.mouldId())
                  .set(JOURNAL_SQUEEZED.NEEDED_ML, s.neededMl())
                  .set(JOURNAL_SQUEEZED.LOOKS, s.looks())
                  .execute());
      HandSpeeds.of(run, kept.events())
          .forEach(h ->
              dsl.insertInto(JOURNAL_HAND)
                  .set(JOURNAL_HAND.RUN_ID, kept.id())
                  .set(JOURNAL_HAND.SPEED, h.speed().name())
                  .set(JOURNAL_HAND.PERSON, h.person() == null ? "" : h.person())
                  .set(JOURNAL_HAND.STEPS, h.steps())
                  .set(JOURNAL_HAND.SECONDS, h.seconds())
                  .execute());
    });
    version.incrementAndGet();
  }

  private void evening(DSLContext dsl, RunStore.KeptRun kept, AsRun asRun) {
    Run run = kept.run();
    Plan plan = run.plan();
    String zone = run.session().zoneId();
    String resin = plan.batches().isEmpty() ? "" : plan.batches().getFirst().resinName();
    Instant finished = kept.finishedAt();
    Optional<RoomDrift.OfEvening> room = RoomDrift.ofEvening(run.begunAt(), kept.events());
    Optional<LeftInCups.OfEvening> left = LeftInCups.ofEvening(run, asRun);
    dsl.insertInto(JOURNAL_EVENING)
        .set(JOURNAL_EVENING.RUN_ID, kept.id())
        .set(JOURNAL_EVENING.TOLD, kept.events().size())
        .set(JOURNAL_EVENING.ENGINE, ENGINE)
        .set(JOURNAL_EVENING.NAME, run.session().name())
        .set(JOURNAL_EVENING.BEGUN_AT, run.begunAt().atOffset(ZoneOffset.UTC))
        .set(JOURNAL_EVENING.ZONE_ID, zone)
        .set(JOURNAL_EVENING.LOCAL_DAY, run.begunAt().atZone(ZoneId.of(zone)).toLocalDate())
        .set(
            JOURNAL_EVENING.FINISHED_AT,
            finished == null ? null : finished.atOffset(ZoneOffset.UTC))
        .set(JOURNAL_EVENING.ROOM_C, run.session().room().temperatureC())
        .set(JOURNAL_EVENING.HUMIDITY_PERCENT, run.session().room().humidityPercent())
        .set(
            JOURNAL_EVENING.SAID_PERCENT,
            plan.chance() == null ? null : (Double) plan.chance().percent())
        .set(JOURNAL_EVENING.ALL_IN_TIME, inTime(asRun))
        .set(JOURNAL_EVENING.ROOM_READ_C, room.map(RoomDrift.OfEvening::beganC).orElse(null))
        .set(
            JOURNAL_EVENING.ROOM_DRIFT_K_PER_HOUR,
            room.map(RoomDrift.OfEvening::kPerHour).orElse(null))
        .set(JOURNAL_EVENING.OVERAGE_NEEDED_PERCENT, OverageNeeded.ofEvening(asRun).orElse(null))
        .set(
            JOURNAL_EVENING.LEFT_PLANNED_PERCENT,
            left.map(LeftInCups.OfEvening::plannedPercent).orElse(null))
        .set(JOURNAL_EVENING.LEFT_PERCENT, left.map(LeftInCups.OfEvening::realPercent).orElse(null))
        .set(JOURNAL_EVENING.BOARD, formats.write(Board.of(plan, resin, run.session().resinId())))
        .execute();
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

  private static void cups(DSLContext dsl, RunStore.KeptRun kept, AsRun asRun) {
    Map<String, Cup> planned = new HashMap<>();
    kept.run().plan().batches().stream()
        .flatMap(b -> b.cups().stream())
        .forEach(c -> planned.put(c.id().toString(), c));
    for (AsRun.CupIn cup : asRun.cups()) {
      String id = cup.cupId().toString();
      Cup its = planned.get(id);
      dsl.insertInto(JOURNAL_CUP)
          .set(JOURNAL_CUP.RUN_ID, kept.id())
          .set(JOURNAL_CUP.CUP_ID, id)
          .set(JOURNAL_CUP.BATCH, cup.batch())
          .set(JOURNAL_CUP.COLOUR_ID, its == null ? "" : its.colour().id())
          .set(JOURNAL_CUP.COLOUR_NAME, cup.colourName())
          .set(JOURNAL_CUP.PLANNED_G, cup.plannedG())
          .set(JOURNAL_CUP.FILLED_G, cup.filledG())
          .set(JOURNAL_CUP.LEFT_G, cup.leftG())
          .set(JOURNAL_CUP.LOST_G, cup.lostG())
          .execute();
      for (Cup.Dose dose : its == null ? List.<Cup.Dose>of() : its.tint().doses()) {
        dsl.insertInto(JOURNAL_DOSE)
            .set(JOURNAL_DOSE.RUN_ID, kept.id())
            .set(JOURNAL_DOSE.CUP_ID, id)
            .set(JOURNAL_DOSE.COLOURANT_ID, dose.colourantId())
            .set(JOURNAL_DOSE.COLOURANT_NAME, dose.colourantName())
            .set(JOURNAL_DOSE.MASS_G, dose.massG())
            .set(JOURNAL_DOSE.DROPS, dose.drops())
            .set(JOURNAL_DOSE.SCOOPS, dose.scoops())
            .set(JOURNAL_DOSE.IMPLEMENT, dose.implement())
            .execute();
      }
    }
  }

  /** Of what was opened. */
  private static void lots(DSLContext dsl, RunStore.KeptRun kept, AsRun asRun) {
    for (LotsUsed.LotOfBatch lot : LotsUsed.of(kept.run())) {
      if (asRun.batches().stream().anyMatch(b -> b.number() == lot.batch())) {
        dsl.insertInto(JOURNAL_LOT)
            .set(JOURNAL_LOT.RUN_ID, kept.id())
            .set(JOURNAL_LOT.BATCH, lot.batch())
            .set(JOURNAL_LOT.SIDE, lot.side().name())
            .set(JOURNAL_LOT.PART_ID, lot.partId())
            .set(JOURNAL_LOT.PART_NAME, lot.partName())
            .set(JOURNAL_LOT.CODE, lot.code())
            .execute();
      }
    }
  }

  private static void pours(DSLContext dsl, RunStore.KeptRun kept, AsRun asRun) {
    List<Plan.PieceView> views = kept.run().plan().pieces();
    for (AsRun.PourIn pour : asRun.pours()) {
      List<Plan.LayerView> layers = views.get(pour.line()).layers();
      Plan.LayerView layer = pour.layer() < layers.size() ? layers.get(pour.layer()) : null;
      dsl.insertInto(JOURNAL_POUR)
          .set(JOURNAL_POUR.RUN_ID, kept.id())
          .set(JOURNAL_POUR.POUR_ID, pour.pourId().toString())
          .set(JOURNAL_POUR.PIECE, pour.pourId().into().toString())
          .set(JOURNAL_POUR.LAYER, pour.layer())
          .set(JOURNAL_POUR.CUP_ID, pour.cupId().toString())
          .set(JOURNAL_POUR.COLOUR_NAME, pour.colourName())
          .set(JOURNAL_POUR.OUTCOME, pour.outcome().name())
          .set(JOURNAL_POUR.PLANNED_G, pour.plannedG())
          .set(JOURNAL_POUR.GRAMS, pour.grams())
          .set(JOURNAL_POUR.WEIGHED, pour.weighed())
          .set(JOURNAL_POUR.PLANNED_SECONDS, pour.plannedSeconds())
          .set(JOURNAL_POUR.AT_SECONDS, pour.atSeconds())
          .set(JOURNAL_POUR.SPARE_SECONDS, pour.spareSeconds())
          .set(JOURNAL_POUR.RESIN_ID, layer == null ? "" : layer.resinId())
          .set(
              JOURNAL_POUR.THICK_MM,
              layer == null ? null : (Double) (layer.toMm() - layer.fromMm()))
          .execute();
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
