package calmpour.app.store;

import static calmpour.app.store.generated.Tables.JOURNAL_EVENING;
import static calmpour.app.store.generated.Tables.JOURNAL_PIECE;
import static org.jooq.impl.DSL.count;

import calmpour.core.design.Join;
import calmpour.core.journal.MouldLife;
import calmpour.core.journal.PlansHeld;
import calmpour.core.journal.ProvenDepth;
import calmpour.core.journal.SaidSure;
import calmpour.core.run.LookOver;
import java.time.Instant;
import java.time.YearMonth;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;

/** What the journal comes to, counted and gathered over all evenings. */
@Repository
public class JournalCounts {
  private final DSLContext db;

  private final AllPieces pieces;
  private final AllPours pours;
  private final JournalChoices choices;
  private final UntilChanged remembered;

  JournalCounts(
      DSLContext db,
      JournalWriter writer,
      AllPieces pieces,
      AllPours pours,
      JournalChoices choices) {
    this.db = db;
    this.pieces = pieces;
    this.pours = pours;
    this.choices = choices;
    this.remembered = new UntilChanged(writer::version);
  }

  /** By what pieces are counted. */
  public enum By {
    MOULD,
    RESIN,
    COLOUR,
    LOT,
    JOIN,
    MONTH
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
    Map<String, int[]> counted = new TreeMap<>();
    int[] all = new int[2];
    Map<String, String> resins = by == By.RESIN ? choices.resinNames() : Map.of();
    for (AllPieces.OfEvening evening : pieces.all()) {
      for (AllPieces.Piece piece : evening.pieces()) {
        if (piece.grade() == null) {
          continue;
        }
        List<String> at = at(piece, by, resins);
        int good = piece.grade() == LookOver.Verdict.GOOD ? 1 : 0;
        for (String name : at) {
          add(counted.computeIfAbsent(name, k -> new int[2]), good);
        }
        if (!at.isEmpty()) {
          add(all, good);
        }
      }
    }
    return new Counted(
        counted.entrySet().stream()
            .map(e -> new Count(e.getKey(), e.getValue()[0], e.getValue()[1]))
            .toList(),
        all[0],
        all[1]);
  }

  private static void add(int[] to, int good) {
    to[0]++;
    to[1] += good;
  }

  /** At which names a piece counts. */
  private static List<String> at(AllPieces.Piece piece, By by, Map<String, String> resins) {
    return switch (by) {
      case MOULD -> List.of(piece.mouldName());
      case RESIN -> List.of(resins.getOrDefault(piece.resinId(), ""));
      case COLOUR -> List.of(piece.topColour());
      case LOT -> piece.texts().lots();
      case JOIN -> piece.texts().joins().stream().map(Join::name).toList();
      case MONTH -> List.of(YearMonth.from(piece.day()).toString());
    };
  }

  /** How deep a resin was poured in one layer, by its name. */
  public record Deep(String resinId, String resinName, ProvenDepth proven) {}

  /** Resins of which that is known, by name. */
  public List<Deep> depths() {
    return remembered.get("depths", this::readDepths);
  }

  private List<Deep> readDepths() {
    Map<String, AllPieces.OfEvening> evenings = new HashMap<>();
    pieces.all().forEach(e -> evenings.put(e.runId(), e));
    Map<String, List<ProvenDepth.Layered>> layered = new HashMap<>();
    for (AllPours.OfEvening evening : pours.all()) {
      AllPieces.OfEvening its = evenings.get(evening.runId());
      for (AllPieces.Piece piece : its == null ? List.<AllPieces.Piece>of() : its.pieces()) {
        if (piece.grade() != null) {
          boolean good = piece.grade() == LookOver.Verdict.GOOD;
          deepest(evening, piece.piece())
              .forEach((resin, mm) ->
                  layered
                      .computeIfAbsent(resin, k -> new ArrayList<>())
                      .add(new ProvenDepth.Layered(mm, good)));
        }
      }
    }
    Map<String, String> names = choices.resinNames();
    return layered.entrySet().stream()
        .flatMap(e ->
            ProvenDepth.of(e.getValue()).stream()
                .map(p -> new Deep(e.getKey(), names.getOrDefault(e.getKey(), ""), p)))
        .sorted(Comparator.comparing(Deep::resinName))
        .toList();
  }

  /** The deepest layer of a piece, by its resin, mm. */
  private static Map<String, Double> deepest(AllPours.OfEvening evening, String piece) {
    Map<String, Double> deepest = new HashMap<>();
    for (AllPours.Pour pour : evening.pours()) {
      if (pour.piece().equals(piece) && pour.thickMm() != null) {
        deepest.merge(pour.resinId(), pour.thickMm(), Math::max);
      }
    }
    return deepest;
  }

  /** What the moulds have been through. */
  public List<MouldLife> lives() {
    return remembered.get("lives", () -> MouldLife.of(casts()));
  }

  /** Every piece that was poured, in the order in which they were. */
  private List<MouldLife.Cast> casts() {
    return pieces.all().reversed().stream()
        .flatMap(e -> e.pieces().stream())
        .map(p ->
            p.grade() == null
                ? MouldLife.Cast.unseen(p.mouldId(), p.mouldName())
                : new MouldLife.Cast(p.mouldId(), p.mouldName(), p.grade(), p.texts().faults()))
        .toList();
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
    return pours.all().stream()
        .flatMap(e -> e.pours().stream())
        .limit(most)
        .map(p -> new PouredAt(p.plannedSeconds() / 60.0, p.atSeconds() / 60.0))
        .toList();
  }

  /** One pour: its end as planned and as it was, min from the beginning. */
  public record PouredAt(double planned, double real) {}

  /** How the plans held against what was done. */
  public PlansHeld held() {
    return remembered.get("held", () -> PlansHeld.of(poured()));
  }

  /** All pours that were made, with when they were planned. */
  private List<PlansHeld.Poured> poured() {
    return pours.all().stream()
        .flatMap(e -> e.pours().stream())
        .flatMap(p ->
            p.spareSeconds() == null
                ? Stream.empty()
                : Stream.of(
                    new PlansHeld.Poured(p.plannedSeconds(), p.atSeconds(), p.spareSeconds())))
        .toList();
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
