package calmpour.app.store;

import static calmpour.app.store.generated.Tables.JOURNAL_BATCH;
import static calmpour.app.store.generated.Tables.JOURNAL_EVENING;
import static calmpour.app.store.generated.Tables.JOURNAL_FAULT;
import static calmpour.app.store.generated.Tables.JOURNAL_PIECE;
import static calmpour.app.store.generated.Tables.JOURNAL_POUR;
import static calmpour.app.store.generated.Tables.JOURNAL_WORDS;
import static org.jooq.impl.DSL.count;

import calmpour.core.journal.MouldLife;
import calmpour.core.journal.PlansHeld;
import calmpour.core.journal.ProvenDepth;
import calmpour.core.journal.SaidSure;
import calmpour.core.run.LookOver;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.impl.DSL;
import org.springframework.stereotype.Repository;

/** What the journal comes to, counted and gathered over all evenings. */
@Repository
public class JournalCounts {
  private final DSLContext db;

  private final UntilChanged remembered;

  JournalCounts(DSLContext db, JournalWriter writer) {
    this.db = db;
    this.remembered = new UntilChanged(writer::version);
  }

  /** By what pieces are counted. */
  public enum By {
    MOULD,
    RESIN,
    COLOUR,
    LOT,
    JOIN,
    MONTH;

    /** Whether one piece may count at several. */
    boolean several() {
      return this == LOT || this == JOIN;
    }
  }

  /**
   * What was counted.
   *
   * @param looked pieces of all counts, each of them once
   * @param good of them
   */
  public record Counted(List<Count> counts, int looked, int good) {
    public Counted {
      counts = List.copyOf(counts);
    }
  }

  /**
   * Pieces of one kind that were looked at.
   *
   * @param good of them
   */
  public record Count(String name, int looked, int good) {}

  /** How many came out well, counted by something; what was never looked at does not count. */
  public Counted counts(By by) {
    return remembered.get("counts " + by, () -> counted(by));
  }

  private Counted counted(By by) {
    Field<?> what =
        switch (by) {
          case LOT, JOIN -> JOURNAL_PIECE.WORDS_ID;
          case MOULD -> JOURNAL_PIECE.MOULD_NAME;
          case RESIN -> JOURNAL_PIECE.RESIN_ID;
          case COLOUR -> JOURNAL_PIECE.TOP_COLOUR;
          case MONTH -> JOURNAL_PIECE.LOCAL_DAY;
        };
    Map<String, String> names = names(by);
    Map<String, int[]> counted = new LinkedHashMap<>();
    int[] all = new int[2];
    db.select(what, JOURNAL_PIECE.GRADE, count())
        .from(JOURNAL_PIECE)
        .where(JOURNAL_PIECE.GRADE.isNotNull())
        .groupBy(what, JOURNAL_PIECE.GRADE)
        .forEach(row -> {
          String name = String.valueOf(row.value1());
          int pieces = row.value3();
          int good = LookOver.Verdict.GOOD.name().equals(row.value2()) ? pieces : 0;
          List<String> at =
              switch (by) {
                case LOT, JOIN -> named(by, names.getOrDefault(name, ""));
                case MONTH -> List.of(name.substring(0, MONTH_LENGTH));
                case RESIN -> List.of(names.getOrDefault(name, ""));
                case MOULD, COLOUR -> List.of(name);
              };
          at.forEach(n -> {
            int[] of = counted.computeIfAbsent(n, k -> new int[2]);
            of[0] += pieces;
            of[1] += good;
          });
          all[0] += at.isEmpty() ? 0 : pieces;
          all[1] += at.isEmpty() ? 0 : good;
        });
    return new Counted(
        counted.entrySet().stream()
            .map(e -> new Count(e.getKey(), e.getValue()[0], e.getValue()[1]))
            .sorted(java.util.Comparator.comparing(Count::name))
            .toList(),
        all[0],
        all[1]);
  }

  /** Of a day, such as 2026-11. */
  private static final int MONTH_LENGTH = 7;

  /** What stands behind what is counted by, where that is no name. */
  private Map<String, String> names(By by) {
    Map<String, String> names = new HashMap<>();
    if (by.several()) {
      db.select(JOURNAL_WORDS.ID, JOURNAL_WORDS.KEYS)
          .from(JOURNAL_WORDS)
          .forEach(row -> names.put(row.value1(), row.value2()));
    } else if (by == By.RESIN) {
      db.select(JOURNAL_BATCH.RESIN_ID, DSL.max(JOURNAL_BATCH.RESIN_NAME))
          .from(JOURNAL_BATCH)
          .groupBy(JOURNAL_BATCH.RESIN_ID)
          .forEach(row -> names.put(row.value1(), row.value2()));
    }
    return names;
  }

  private static List<String> named(By by, String keys) {
    return by == By.LOT ? Sought.lotsIn(keys) : Sought.joinsIn(keys);
  }

  /** How deep a resin was poured in one layer, by its name. */
  public record Deep(String resinId, String resinName, ProvenDepth proven) {}

  /** Resins of which that is known, by name. */
  public List<Deep> depths() {
    return remembered.get("depths", this::readDepths);
  }

  private List<Deep> readDepths() {
    Map<String, Map<String, ProvenDepth.Layered>> pieces = new HashMap<>();
    Map<String, String> names = new HashMap<>();
    db.select(
            JOURNAL_POUR.RESIN_ID,
            JOURNAL_POUR.RUN_ID,
            JOURNAL_POUR.PIECE,
            JOURNAL_PIECE.GRADE,
            DSL.max(JOURNAL_POUR.THICK_MM))
        .from(JOURNAL_POUR)
        .join(JOURNAL_PIECE)
        .on(JOURNAL_PIECE.RUN_ID.eq(JOURNAL_POUR.RUN_ID))
        .and(JOURNAL_PIECE.PIECE.eq(JOURNAL_POUR.PIECE))
        .where(JOURNAL_PIECE.GRADE.isNotNull())
        .and(JOURNAL_POUR.THICK_MM.isNotNull())
        .and(JOURNAL_POUR.AT_SECONDS.isNotNull())
        .groupBy(
            JOURNAL_POUR.RESIN_ID, JOURNAL_POUR.RUN_ID, JOURNAL_POUR.PIECE, JOURNAL_PIECE.GRADE)
        .forEach(row ->
            pieces
                .computeIfAbsent(row.value1(), k -> new HashMap<>())
                .put(
                    row.value2() + "/" + row.value3(),
                    new ProvenDepth.Layered(
                        row.value5(), LookOver.Verdict.GOOD.name().equals(row.value4()))));
    db.select(JOURNAL_BATCH.RESIN_ID, DSL.max(JOURNAL_BATCH.RESIN_NAME))
        .from(JOURNAL_BATCH)
        .groupBy(JOURNAL_BATCH.RESIN_ID)
        .forEach(row -> names.put(row.value1(), row.value2()));
    return pieces.entrySet().stream()
        .flatMap(e ->
            ProvenDepth.of(List.copyOf(e.getValue().values())).stream()
                .map(p -> new Deep(e.getKey(), names.getOrDefault(e.getKey(), ""), p)))
        .sorted(java.util.Comparator.comparing(Deep::resinName))
        .toList();
  }

  /** What the moulds have been through. */
  public List<MouldLife> lives() {
    return remembered.get("lives", () -> MouldLife.of(casts()));
  }

  /** Every piece that was poured, in the order in which they were. */
  private List<MouldLife.Cast> casts() {
    Map<String, List<LookOver.Fault>> faults = new HashMap<>();
    db.selectFrom(JOURNAL_FAULT)
        .forEach(row ->
            faults
                .computeIfAbsent(row.getRunId() + "/" + row.getPiece(), k -> new ArrayList<>())
                .add(LookOver.Fault.valueOf(row.getFault())));
    return db.select(
            JOURNAL_PIECE.RUN_ID,
            JOURNAL_PIECE.PIECE,
            JOURNAL_PIECE.MOULD_ID,
            JOURNAL_PIECE.MOULD_NAME,
            JOURNAL_PIECE.GRADE)
        .from(JOURNAL_PIECE)
        .join(JOURNAL_EVENING)
        .on(JOURNAL_EVENING.RUN_ID.eq(JOURNAL_PIECE.RUN_ID))
        .orderBy(
            JOURNAL_EVENING.BEGUN_AT,
            JOURNAL_PIECE.RUN_ID,
            JOURNAL_PIECE.LINE,
            JOURNAL_PIECE.CAVITY)
        .fetch(row ->
            row.value5() == null
                ? MouldLife.Cast.unseen(row.value3(), row.value4())
                : new MouldLife.Cast(
                    row.value3(),
                    row.value4(),
                    LookOver.Verdict.valueOf(row.value5()),
                    faults.getOrDefault(row.value1() + "/" + row.value2(), List.of())));
  }

  /** How sure plans were, and whether every pour was in time. */
  public List<SaidSure.Evening> saidSure() {
    return remembered.get("sure", this::readSure);
  }

  private List<SaidSure.Evening> readSure() {
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

  /** How the plans held against what was done. */
  public PlansHeld held() {
    return remembered.get("held", () -> PlansHeld.of(poured()));
  }

  /** All pours that were made, with when they were planned. */
  private List<PlansHeld.Poured> poured() {
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
}
