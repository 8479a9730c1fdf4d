// Longer than other files: one statement a table, written and read beside each other so that a
// column is added in one place.
package calmpour.app.store;

import static calmpour.app.store.generated.Tables.JOURNAL_BATCH;
import static calmpour.app.store.generated.Tables.JOURNAL_CUP;
import static calmpour.app.store.generated.Tables.JOURNAL_DOSE;
import static calmpour.app.store.generated.Tables.JOURNAL_EVENING;
import static calmpour.app.store.generated.Tables.JOURNAL_FAULT;
import static calmpour.app.store.generated.Tables.JOURNAL_HAND;
import static calmpour.app.store.generated.Tables.JOURNAL_LOOK;
import static calmpour.app.store.generated.Tables.JOURNAL_PIECE;
import static calmpour.app.store.generated.Tables.JOURNAL_POUR;
import static calmpour.app.store.generated.Tables.RUN;
import static calmpour.app.store.generated.Tables.RUN_EVENT;
import static org.jooq.impl.DSL.count;
import static org.jooq.impl.DSL.exists;
import static org.jooq.impl.DSL.lower;
import static org.jooq.impl.DSL.selectOne;

import calmpour.core.journal.HandSpeeds;
import calmpour.core.journal.Looked;
import calmpour.core.journal.PlansHeld;
import calmpour.core.journal.Quantile;
import calmpour.core.journal.SaidSure;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.Plan;
import calmpour.core.run.AsRun;
import calmpour.core.run.LookOver;
import calmpour.core.run.Run;
import calmpour.core.run.RunEvent;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Record;
import org.jooq.SelectJoinStep;
import org.jooq.impl.DSL;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;

/** The journal's tables: written an evening at a time, found by words and by what is in them. */
@Repository
public class JournalStore {
  /** What this version of the program works out of an evening; higher: all are worked out anew. */
  static final int ENGINE = 2;

  private final DSLContext db;
  private final Formats formats;

  JournalStore(DSLContext db, Formats formats) {
    this.db = db;
    this.formats = formats;
  }

  /**
   * What is looked for; a null is not asked for. All of it has to hold.
   *
   * @param words each of them somewhere in a name, a colour, a resin, a mould or a line about it
   * @param grade a verdict, or {@code NONE} for pieces nobody has looked at
   */
  public record Wanted(
      @Nullable String words,
      @Nullable String mouldId,
      @Nullable String resinId,
      @Nullable String colour,
      LookOver.@Nullable Fault fault,
      @Nullable String grade,
      @Nullable LocalDate from,
      @Nullable LocalDate to) {}

  /**
   * One evening as it stands in the journal.
   *
   * @param board what its picture is drawn from
   * @param pieces what was poured
   */
  public record JournalEvening(
      String id,
      String name,
      Instant begunAt,
      String zoneId,
      LocalDate day,
      @Nullable Instant finishedAt,
      double roomC,
      Board board,
      List<JournalPiece> pieces) {
    public JournalEvening {
      pieces = List.copyOf(pieces);
    }
  }

  /**
   * One piece in a list.
   *
   * @param piece line and cavity, such as {@code 1.2}
   * @param colours by name, from the floor up
   * @param grade null until somebody looked
   */
  public record JournalPiece(
      String piece,
      int line,
      String mouldName,
      List<String> colours,
      LookOver.@Nullable Verdict grade,
      List<LookOver.Fault> faults,
      @Nullable String text) {
    public JournalPiece {
      colours = List.copyOf(colours);
      faults = List.copyOf(faults);
    }
  }

  /** Something that can be chosen to look for, and on how many pieces it is. */
  public record JournalChoice(String id, String name, int pieces) {}

  /** Evenings that are kept and not in the tables as they are now, the oldest first. */
  public List<String> stale() {
    Field<Integer> told =
        DSL.field(db.select(count()).from(RUN_EVENT).where(RUN_EVENT.RUN_ID.eq(RUN.ID)));
    return db.select(RUN.ID)
        .from(RUN)
        .leftJoin(JOURNAL_EVENING)
        .on(JOURNAL_EVENING.RUN_ID.eq(RUN.ID))
        .where(
            JOURNAL_EVENING
                .RUN_ID
                .isNull()
                .or(JOURNAL_EVENING.TOLD.ne(told))
                .or(JOURNAL_EVENING.ENGINE.ne(ENGINE)))
        .orderBy(RUN.BEGUN_AT, RUN.ID)
        .fetch(RUN.ID);
  }

  /** Forgets all that was worked out; the events stay. */
  public void forget() {
    db.deleteFrom(JOURNAL_EVENING).execute();
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
      cups(dsl, kept, asRun);
      pours(dsl, kept, asRun);
      pieces(dsl, kept, asRun);
      Looked.of(run, asRun)
          .forEach(l ->
              dsl.insertInto(JOURNAL_LOOK)
                  .set(JOURNAL_LOOK.RUN_ID, kept.id())
                  .set(JOURNAL_LOOK.RESIN_ID, l.resinId())
                  .set(JOURNAL_LOOK.PACE, l.of().name())
                  .set(JOURNAL_LOOK.LOWEST, l.lowest())
                  .set(JOURNAL_LOOK.HIGHEST, l.highest())
                  .set(JOURNAL_LOOK.LOOKS, l.looks())
                  .execute());
      HandSpeeds.of(run, kept.events())
          .forEach(h ->
              dsl.insertInto(JOURNAL_HAND)
                  .set(JOURNAL_HAND.RUN_ID, kept.id())
                  .set(JOURNAL_HAND.SPEED, h.speed().name())
                  .set(JOURNAL_HAND.STEPS, h.steps())
                  .set(JOURNAL_HAND.SECONDS, h.seconds())
                  .execute());
    });
  }

  private void evening(DSLContext dsl, RunStore.KeptRun kept, AsRun asRun) {
    Run run = kept.run();
    Plan plan = run.plan();
    String zone = run.session().zoneId();
    String resin = plan.batches().isEmpty() ? "" : plan.batches().getFirst().resinName();
    Instant finished = kept.finishedAt();
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
        .set(JOURNAL_EVENING.ROOM_READ_C, roomRead(kept.events()))
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

  private static @Nullable Double roomRead(List<RunEvent> events) {
    List<Double> read =
        events.stream()
            .filter(e -> e.kind() == RunEvent.Kind.ROOM && e.value() != null)
            .map(RunEvent::value)
            .toList();
    return read.isEmpty() ? null : (Double) Quantile.of(read, 0.5);
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

  private static void pours(DSLContext dsl, RunStore.KeptRun kept, AsRun asRun) {
    for (AsRun.PourIn pour : asRun.pours()) {
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
          .execute();
    }
  }

  private static void pieces(DSLContext dsl, RunStore.KeptRun kept, AsRun asRun) {
    Plan plan = kept.run().plan();
    for (AsRun.PieceOut piece : asRun.pieces()) {
      if (piece.poured() == 0) {
        continue;
      }
      Plan.PieceView view = plan.pieces().get(piece.line());
      LookOver look = piece.lookedOver();
      dsl.insertInto(JOURNAL_PIECE)
          .set(JOURNAL_PIECE.RUN_ID, kept.id())
          .set(JOURNAL_PIECE.PIECE, piece.piece().toString())
          .set(JOURNAL_PIECE.LINE, piece.line())
          .set(JOURNAL_PIECE.CAVITY, piece.cavity())
          .set(JOURNAL_PIECE.MOULD_ID, view.mouldId())
          .set(JOURNAL_PIECE.MOULD_NAME, piece.mouldName())
          .set(
              JOURNAL_PIECE.RESIN_ID,
              view.layers().isEmpty() ? "" : view.layers().getFirst().resinId())
          .set(JOURNAL_PIECE.LAYERS, piece.layers())
          .set(JOURNAL_PIECE.POURED, piece.poured())
          .set(JOURNAL_PIECE.GRADE, look == null ? null : look.verdict().name())
          .set(JOURNAL_PIECE.LINE_ABOUT_IT, look == null ? null : look.text())
          .execute();
      for (LookOver.Fault fault : look == null ? List.<LookOver.Fault>of() : look.faults()) {
        dsl.insertInto(JOURNAL_FAULT)
            .set(JOURNAL_FAULT.RUN_ID, kept.id())
            .set(JOURNAL_FAULT.PIECE, piece.piece().toString())
            .set(JOURNAL_FAULT.FAULT, fault.name())
            .execute();
      }
    }
  }

  /** The so-manieth piece out of its mould that is in the journal, from 1. */
  public int castNumber(String runId, String mouldId, int line, int cavity) {
    Field<java.time.OffsetDateTime> begun =
        DSL.field(
            db.select(JOURNAL_EVENING.BEGUN_AT)
                .from(JOURNAL_EVENING)
                .where(JOURNAL_EVENING.RUN_ID.eq(runId)));
    return 1
        + db.fetchCount(
            db.selectOne()
                .from(JOURNAL_PIECE)
                .join(JOURNAL_EVENING)
                .on(JOURNAL_EVENING.RUN_ID.eq(JOURNAL_PIECE.RUN_ID))
                .where(JOURNAL_PIECE.MOULD_ID.eq(mouldId))
                .and(
                    JOURNAL_EVENING
                        .BEGUN_AT
                        .lt(begun)
                        .or(
                            JOURNAL_PIECE
                                .RUN_ID
                                .eq(runId)
                                .and(
                                    JOURNAL_PIECE
                                        .LINE
                                        .lt(line)
                                        .or(
                                            JOURNAL_PIECE
                                                .LINE
                                                .eq(line)
                                                .and(JOURNAL_PIECE.CAVITY.lt(cavity)))))));
  }

  /**
   * Evenings with the pieces that are wanted, the newest first.
   *
   * @param most evenings
   */
  public List<JournalEvening> find(Wanted wanted, int most) {
    Condition fits = fits(wanted);
    List<String> ids =
        db.select(JOURNAL_EVENING.RUN_ID)
            .from(JOURNAL_EVENING)
            .where(
                exists(
                    selectOne()
                        .from(JOURNAL_PIECE)
                        .where(JOURNAL_PIECE.RUN_ID.eq(JOURNAL_EVENING.RUN_ID))
                        .and(fits)))
            .orderBy(JOURNAL_EVENING.BEGUN_AT.desc(), JOURNAL_EVENING.RUN_ID)
            .limit(most)
            .fetch(JOURNAL_EVENING.RUN_ID);
    Map<String, List<JournalPiece>> pieces = pieces(ids, fits);
    Map<String, JournalEvening> found = new HashMap<>();
    db.selectFrom(JOURNAL_EVENING)
        .where(JOURNAL_EVENING.RUN_ID.in(ids))
        .forEach(row ->
            found.put(
                row.getRunId(),
                new JournalEvening(
                    row.getRunId(),
                    row.getName(),
                    row.getBegunAt().toInstant(),
                    row.getZoneId(),
                    row.getLocalDay(),
                    row.getFinishedAt() == null ? null : row.getFinishedAt().toInstant(),
                    row.getRoomC(),
                    formats.picture(row.getBoard()),
                    pieces.getOrDefault(row.getRunId(), List.of()))));
    return ids.stream().map(found::get).toList();
  }

  private Map<String, List<JournalPiece>> pieces(List<String> ids, Condition fits) {
    Map<String, List<String>> colours = new LinkedHashMap<>();
    db.select(JOURNAL_POUR.RUN_ID, JOURNAL_POUR.PIECE, JOURNAL_POUR.COLOUR_NAME)
        .from(JOURNAL_POUR)
        .where(JOURNAL_POUR.RUN_ID.in(ids))
        .and(JOURNAL_POUR.OUTCOME.eq(AsRun.Outcome.POURED.name()))
        .orderBy(JOURNAL_POUR.RUN_ID, JOURNAL_POUR.PIECE, JOURNAL_POUR.LAYER)
        .forEach(row -> {
          List<String> its =
              colours.computeIfAbsent(row.value1() + "/" + row.value2(), k -> new ArrayList<>());
          if (!its.contains(row.value3())) {
            its.add(row.value3());
          }
        });
    Map<String, List<LookOver.Fault>> faults = new HashMap<>();
    db.selectFrom(JOURNAL_FAULT)
        .where(JOURNAL_FAULT.RUN_ID.in(ids))
        .orderBy(JOURNAL_FAULT.FAULT)
        .forEach(row ->
            faults
                .computeIfAbsent(row.getRunId() + "/" + row.getPiece(), k -> new ArrayList<>())
                .add(LookOver.Fault.valueOf(row.getFault())));
    Map<String, List<JournalPiece>> pieces = new HashMap<>();
    db.select(JOURNAL_PIECE.fields())
        .from(JOURNAL_PIECE)
        .where(JOURNAL_PIECE.RUN_ID.in(ids))
        .and(fits)
        .orderBy(JOURNAL_PIECE.RUN_ID, JOURNAL_PIECE.LINE, JOURNAL_PIECE.CAVITY)
        .forEach(row -> {
          String key = row.get(JOURNAL_PIECE.RUN_ID) + "/" + row.get(JOURNAL_PIECE.PIECE);
          String grade = row.get(JOURNAL_PIECE.GRADE);
          pieces
              .computeIfAbsent(row.get(JOURNAL_PIECE.RUN_ID), k -> new ArrayList<>())
              .add(
                  new JournalPiece(
                      row.get(JOURNAL_PIECE.PIECE),
                      row.get(JOURNAL_PIECE.LINE),
                      row.get(JOURNAL_PIECE.MOULD_NAME),
                      colours.getOrDefault(key, List.of()),
                      grade == null ? null : LookOver.Verdict.valueOf(grade),
                      faults.getOrDefault(key, List.of()),
                      row.get(JOURNAL_PIECE.LINE_ABOUT_IT)));
        });
    return pieces;
  }

  /** What a piece has to be. */
  private static Condition fits(Wanted wanted) {
    Condition all = DSL.noCondition();
    if (wanted.mouldId() != null) {
      all = all.and(JOURNAL_PIECE.MOULD_ID.eq(wanted.mouldId()));
    }
    if (wanted.resinId() != null) {
      all = all.and(JOURNAL_PIECE.RESIN_ID.eq(wanted.resinId()));
    }
    if (wanted.colour() != null) {
      all = all.and(poured(JOURNAL_POUR.COLOUR_NAME.eq(wanted.colour())));
    }
    if (wanted.fault() != null) {
      all = all.and(faulty(JOURNAL_FAULT.FAULT.eq(wanted.fault().name())));
    }
    if (wanted.grade() != null) {
      all =
          all.and(
              "NONE".equals(wanted.grade())
                  ? JOURNAL_PIECE.GRADE.isNull()
                  : JOURNAL_PIECE.GRADE.eq(wanted.grade()));
    }
    if (wanted.from() != null || wanted.to() != null) {
      Condition days = JOURNAL_EVENING.RUN_ID.eq(JOURNAL_PIECE.RUN_ID);
      days = wanted.from() == null ? days : days.and(JOURNAL_EVENING.LOCAL_DAY.ge(wanted.from()));
      days = wanted.to() == null ? days : days.and(JOURNAL_EVENING.LOCAL_DAY.le(wanted.to()));
      all = all.and(exists(selectOne().from(JOURNAL_EVENING).where(days)));
    }
    for (String word : words(wanted.words())) {
      all = all.and(says(word));
    }
    return all;
  }

  private static List<String> words(@Nullable String words) {
    return words == null || words.isBlank()
        ? List.of()
        : List.of(words.strip().toLowerCase(Locale.ROOT).split("\\s+", -1));
  }

  /** Whether a word stands anywhere with a piece; what looks like a pattern is only a letter. */
  private static Condition says(String word) {
    return lower(JOURNAL_PIECE.MOULD_NAME)
        .contains(word)
        .or(lower(DSL.coalesce(JOURNAL_PIECE.LINE_ABOUT_IT, "")).contains(word))
        .or(poured(lower(JOURNAL_POUR.COLOUR_NAME).contains(word)))
        .or(
            faulty(
                lower(DSL.replace(JOURNAL_FAULT.FAULT, DSL.inline("_"), DSL.inline(" ")))
                    .contains(word)))
        .or(
            exists(
                selectOne()
                    .from(JOURNAL_EVENING)
                    .where(JOURNAL_EVENING.RUN_ID.eq(JOURNAL_PIECE.RUN_ID))
                    .and(lower(JOURNAL_EVENING.NAME).contains(word))))
        .or(
            exists(
                selectOne()
                    .from(JOURNAL_BATCH)
                    .where(JOURNAL_BATCH.RUN_ID.eq(JOURNAL_PIECE.RUN_ID))
                    .and(lower(JOURNAL_BATCH.RESIN_NAME).contains(word))));
  }

  private static Condition poured(Condition what) {
    return exists(
        selectOne()
            .from(JOURNAL_POUR)
            .where(JOURNAL_POUR.RUN_ID.eq(JOURNAL_PIECE.RUN_ID))
            .and(JOURNAL_POUR.PIECE.eq(JOURNAL_PIECE.PIECE))
            .and(what));
  }

  private static Condition faulty(Condition what) {
    return exists(
        selectOne()
            .from(JOURNAL_FAULT)
            .where(JOURNAL_FAULT.RUN_ID.eq(JOURNAL_PIECE.RUN_ID))
            .and(JOURNAL_FAULT.PIECE.eq(JOURNAL_PIECE.PIECE))
            .and(what));
  }

  /** Moulds that were cast from, by name. */
  public List<JournalChoice> moulds() {
    return choices(
        db.select(JOURNAL_PIECE.MOULD_ID, DSL.max(JOURNAL_PIECE.MOULD_NAME), count())
            .from(JOURNAL_PIECE),
        JOURNAL_PIECE.MOULD_ID);
  }

  /** Resins that were mixed, by name. */
  public List<JournalChoice> resins() {
    return choices(
        db.select(JOURNAL_BATCH.RESIN_ID, DSL.max(JOURNAL_BATCH.RESIN_NAME), count())
            .from(JOURNAL_BATCH),
        JOURNAL_BATCH.RESIN_ID);
  }

  /** Colours that were poured, by name. */
  public List<JournalChoice> colours() {
    return choices(
        db.select(JOURNAL_POUR.COLOUR_NAME, DSL.max(JOURNAL_POUR.COLOUR_NAME), count())
            .from(JOURNAL_POUR),
        JOURNAL_POUR.COLOUR_NAME);
  }

  private static List<JournalChoice> choices(
      SelectJoinStep<? extends Record> from, Field<String> by) {
    return from.groupBy(by)
        .orderBy(2)
        .fetch(row ->
            new JournalChoice(
                row.get(0, String.class), row.get(1, String.class), row.get(2, Integer.class)));
  }

  /** By what pieces are counted. */
  public enum By {
    MOULD,
    RESIN,
    COLOUR,
    MONTH
  }

  /**
   * Pieces of one kind that were looked at.
   *
   * @param good of them
   */
  public record Count(String name, int looked, int good) {}

  /** How many came out well, counted by something; what was never looked at does not count. */
  public List<Count> counts(By by) {
    Field<String> what =
        switch (by) {
          case MOULD -> JOURNAL_PIECE.MOULD_NAME;
          case RESIN ->
              DSL.field(
                  db.select(DSL.max(JOURNAL_BATCH.RESIN_NAME))
                      .from(JOURNAL_BATCH)
                      .where(JOURNAL_BATCH.RUN_ID.eq(JOURNAL_PIECE.RUN_ID))
                      .and(JOURNAL_BATCH.RESIN_ID.eq(JOURNAL_PIECE.RESIN_ID)));
          case COLOUR ->
              DSL.field(
                  db.select(DSL.max(JOURNAL_POUR.COLOUR_NAME))
                      .from(JOURNAL_POUR)
                      .where(JOURNAL_POUR.RUN_ID.eq(JOURNAL_PIECE.RUN_ID))
                      .and(JOURNAL_POUR.PIECE.eq(JOURNAL_PIECE.PIECE))
                      .and(JOURNAL_POUR.LAYER.eq(JOURNAL_PIECE.LAYERS.minus(1))));
          case MONTH ->
              DSL.field(
                  db.select(DSL.toChar(JOURNAL_EVENING.LOCAL_DAY, "YYYY-MM"))
                      .from(JOURNAL_EVENING)
                      .where(JOURNAL_EVENING.RUN_ID.eq(JOURNAL_PIECE.RUN_ID)));
        };
    Map<String, int[]> counted = new LinkedHashMap<>();
    db.select(what, JOURNAL_PIECE.GRADE)
        .from(JOURNAL_PIECE)
        .where(JOURNAL_PIECE.GRADE.isNotNull())
        .forEach(row -> {
          String name = row.value1() == null ? "" : row.value1();
          int[] of = counted.computeIfAbsent(name, n -> new int[2]);
          of[0]++;
          of[1] += LookOver.Verdict.GOOD.name().equals(row.value2()) ? 1 : 0;
        });
    return counted.entrySet().stream()
        .map(e -> new Count(e.getKey(), e.getValue()[0], e.getValue()[1]))
        .sorted(java.util.Comparator.comparing(Count::name))
        .toList();
  }

  /** How sure plans were, and whether every pour was in time. */
  public List<SaidSure.Evening> saidSure() {
    return db.select(JOURNAL_EVENING.SAID_PERCENT, JOURNAL_EVENING.ALL_IN_TIME)
        .from(JOURNAL_EVENING)
        .where(JOURNAL_EVENING.SAID_PERCENT.isNotNull())
        .and(JOURNAL_EVENING.ALL_IN_TIME.isNotNull())
        .fetch(row -> new SaidSure.Evening(row.value1(), row.value2()));
  }

  /**
   * Pours of the latest evenings: planned and real end, in minutes from the beginning.
   *
   * @param most of them
   */
  public List<PouredAt> latestPours(int most) {
    return db.select(JOURNAL_POUR.PLANNED_SECONDS, JOURNAL_POUR.AT_SECONDS)
        .from(JOURNAL_POUR)
        .join(JOURNAL_EVENING)
        .on(JOURNAL_EVENING.RUN_ID.eq(JOURNAL_POUR.RUN_ID))
        .where(JOURNAL_POUR.AT_SECONDS.isNotNull())
        .orderBy(JOURNAL_EVENING.BEGUN_AT.desc(), JOURNAL_POUR.AT_SECONDS, JOURNAL_POUR.POUR_ID)
        .limit(most)
        .fetch(row -> new PouredAt(row.value1() / 60.0, row.value2() / 60.0));
  }

  /** One pour: its end as planned and as it was, min from the beginning. */
  public record PouredAt(double planned, double real) {}

  /** All pours that were made, with when they were planned. */
  public List<PlansHeld.Poured> poured() {
    return db.select(
            JOURNAL_POUR.PLANNED_SECONDS, JOURNAL_POUR.AT_SECONDS, JOURNAL_POUR.SPARE_SECONDS)
        .from(JOURNAL_POUR)
        .where(JOURNAL_POUR.AT_SECONDS.isNotNull())
        .and(JOURNAL_POUR.SPARE_SECONDS.isNotNull())
        .fetch(row -> new PlansHeld.Poured(row.value1(), row.value2(), row.value3()));
  }

  /** An evening that is over, with so many pieces that nobody has looked at. */
  public record Unseen(String runId, String name, int pieces) {}

  /** The latest evening first; none that began before. */
  public List<Unseen> unseen(Instant since) {
    return db.select(JOURNAL_EVENING.RUN_ID, JOURNAL_EVENING.NAME, count())
        .from(JOURNAL_EVENING)
        .join(JOURNAL_PIECE)
        .on(JOURNAL_PIECE.RUN_ID.eq(JOURNAL_EVENING.RUN_ID))
        .where(JOURNAL_EVENING.FINISHED_AT.isNotNull())
        .and(JOURNAL_EVENING.BEGUN_AT.ge(since.atOffset(ZoneOffset.UTC)))
        .and(JOURNAL_PIECE.GRADE.isNull())
        .groupBy(JOURNAL_EVENING.RUN_ID, JOURNAL_EVENING.NAME, JOURNAL_EVENING.BEGUN_AT)
        .orderBy(JOURNAL_EVENING.BEGUN_AT.desc())
        .fetch(row -> new Unseen(row.value1(), row.value2(), row.value3()));
  }

  /** What the cure diaries say, evening by evening. */
  public List<Looked> looks() {
    return db.selectFrom(JOURNAL_LOOK)
        .fetch(row ->
            new Looked(
                row.getResinId(),
                Looked.Of.valueOf(row.getPace()),
                row.getLowest(),
                row.getHighest(),
                row.getLooks()));
  }

  /** By how much the room was warmer than it was told to be, on evenings it was read, K. */
  public List<Double> roomsWarmer() {
    return db.select(JOURNAL_EVENING.ROOM_READ_C, JOURNAL_EVENING.ROOM_C)
        .from(JOURNAL_EVENING)
        .where(JOURNAL_EVENING.ROOM_READ_C.isNotNull())
        .fetch(row -> row.value1() - row.value2());
  }

  /** How long hands took, evening by evening. */
  public List<HandSpeeds.OfEvening> hands() {
    return db.selectFrom(JOURNAL_HAND)
        .fetch(row ->
            new HandSpeeds.OfEvening(
                HandSpeeds.Speed.valueOf(row.getSpeed()), row.getSteps(), row.getSeconds()));
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
            JOURNAL_HAND,
            JOURNAL_LOOK,
            JOURNAL_PIECE,
            JOURNAL_POUR,
            JOURNAL_FAULT)) {
      db.selectFrom(table).orderBy(table.fields()[0], table.fields()[1]).fetch().stream()
          .map(row -> table.getName() + row.intoMap())
          .sorted()
          .forEach(rows::add);
    }
    return rows;
  }
}
