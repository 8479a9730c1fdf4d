package calmpour.app.store;

import static calmpour.app.store.generated.Tables.JOURNAL_EVENING;
import static calmpour.app.store.generated.Tables.JOURNAL_PIECE;
import static calmpour.app.store.generated.Tables.JOURNAL_POUR;
import static calmpour.app.store.generated.Tables.JOURNAL_TRIAL;

import calmpour.app.store.generated.tables.records.JournalPieceRecord;
import calmpour.core.design.Join;
import calmpour.core.run.AsRun;
import calmpour.core.run.Became;
import calmpour.core.run.LookOver;
import java.time.Instant;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Predicate;
import org.jooq.DSLContext;
import org.jooq.impl.DSL;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;

/** Evenings and pieces of the journal, found by words and by what is in them. */
@Repository
public class JournalStore {
  /** Each may name every evening: a few hundred kilobytes with ten years of them. */
  private static final int QUESTIONS = 40;

  private final DSLContext db;
  private final Formats formats;
  private final AllPieces known;
  private final UntilChanged remembered;

  JournalStore(DSLContext db, Formats formats, JournalWriter writer, AllPieces known) {
    this.db = db;
    this.known = known;
    this.formats = formats;
    this.remembered = new UntilChanged(writer::version, QUESTIONS);
  }

  /**
   * What is looked for; a null is not asked for. All of it has to hold.
   *
   * @param words each of them somewhere in a name, a colour, a resin, a mould or a line about it
   * @param grade a verdict, or {@code NONE} for pieces nobody has looked at
   * @param lot its name, as the choices have it
   * @param roomFrom the coldest room, °C
   * @param roomBelow only rooms colder than that, °C
   */
  public record Wanted(
      @Nullable String words,
      @Nullable String mouldId,
      @Nullable String resinId,
      @Nullable String colour,
      LookOver.@Nullable Fault fault,
      @Nullable String grade,
      @Nullable String lot,
      @Nullable Join join,
      @Nullable Double roomFrom,
      @Nullable Double roomBelow,
      @Nullable LocalDate from,
      @Nullable LocalDate to) {
    public static final Wanted ALL =
        new Wanted(null, null, null, null, null, null, null, null, null, null, null, null);
  }

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
   * @param lots of A and B, by name
   * @param joins how its layers were to meet
   * @param trial what was done otherwise with it; null for nothing
   * @param code on its tag
   * @param became null while it is here, as far as anybody said
   */
  public record JournalPiece(
      String piece,
      int line,
      String mouldName,
      List<String> colours,
      LookOver.@Nullable Verdict grade,
      List<LookOver.Fault> faults,
      @Nullable String text,
      List<String> lots,
      List<Join> joins,
      @Nullable String trial,
      String code,
      Became.@Nullable What became,
      @Nullable LocalDate becameDay) {
    public JournalPiece {
      colours = List.copyOf(colours);
      faults = List.copyOf(faults);
      lots = List.copyOf(lots);
      joins = List.copyOf(joins);
    }
  }

  /** The so-manieth piece out of its mould that is in the journal, from 1. */
  public int castNumber(Instant begunAt, String runId, String mouldId, int line, int cavity) {
    OffsetDateTime at = begunAt.atOffset(ZoneOffset.UTC);
    return 1
        + db.fetchCount(
            db.selectOne()
                .from(JOURNAL_PIECE)
                .where(JOURNAL_PIECE.MOULD_ID.eq(mouldId))
                .and(
                    DSL.row(
                            JOURNAL_PIECE.BEGUN_AT,
                            JOURNAL_PIECE.RUN_ID,
                            JOURNAL_PIECE.LINE,
                            JOURNAL_PIECE.CAVITY)
                        .lt(at, runId, line, cavity)));
  }

  /**
   * Evenings that were found.
   *
   * @param older from where on there are older ones, for the next question; null for none
   */
  public record Found(List<JournalEvening> evenings, @Nullable Older older) {
    public Found {
      evenings = List.copyOf(evenings);
    }
  }

  /** An evening in which something is wanted. */
  private record Hit(AllPieces.OfEvening evening) {
    boolean isBefore(Older older) {
      return evening.begunAt().isBefore(older.begunAt())
          || (evening.begunAt().equals(older.begunAt())
              && evening.runId().compareTo(older.runId()) > 0);
    }
  }

  /**
   * All that is wanted, however old.
   *
   * @param hits the newest first
   */
  private record AllFound(FoundCount count, List<Hit> hits) {}

  /** More evenings than that are asked for without naming each. */
  private static final int NAMED = 500;

  /**
   * Evenings with the pieces that are wanted, the newest first.
   *
   * @param older only those before it; null for the newest
   * @param most evenings
   */
  public Found find(Wanted wanted, @Nullable Older older, int most) {
    List<Hit> hits =
        all(wanted).hits().stream().filter(h -> older == null || h.isBefore(older)).toList();
    Map<String, Map<String, AllPieces.Texts>> texts = new LinkedHashMap<>();
    Predicate<AllPieces.Piece> fits = FoundBy.all(wanted);
    hits.stream()
        .limit(most)
        .forEach(hit ->
            hit.evening().pieces().stream()
                .filter(fits)
                .forEach(p ->
                    texts
                        .computeIfAbsent(hit.evening().runId(), k -> new HashMap<>())
                        .put(p.piece(), p.texts())));
    List<JournalEvening> evenings = evenings(texts);
    return new Found(
        evenings,
        hits.size() > most && !evenings.isEmpty()
            ? new Older(evenings.getLast().begunAt(), evenings.getLast().id())
            : null);
  }

  /**
   * @param texts of the pieces that are wanted, by evening and piece, in the order of the evenings
   */
  private List<JournalEvening> evenings(Map<String, Map<String, AllPieces.Texts>> texts) {
    List<String> ids = List.copyOf(texts.keySet());
    Map<String, List<JournalPieceRecord>> pieces = new HashMap<>();
    db.selectFrom(JOURNAL_PIECE)
        .where(ids.size() > NAMED ? DSL.noCondition() : JOURNAL_PIECE.RUN_ID.in(ids))
        .orderBy(JOURNAL_PIECE.LINE, JOURNAL_PIECE.CAVITY)
        .forEach(row -> {
          if (texts.getOrDefault(row.getRunId(), Map.of()).containsKey(row.getPiece())) {
            pieces.computeIfAbsent(row.getRunId(), k -> new ArrayList<>()).add(row);
          }
        });
    Map<String, List<String>> colours = colours(ids);
    Map<String, String> trials = trials(ids);
    Map<String, JournalEvening> evenings = new HashMap<>();
    db.selectFrom(JOURNAL_EVENING)
        .where(JOURNAL_EVENING.RUN_ID.in(ids))
        .forEach(row ->
            evenings.put(
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
                    pieces.getOrDefault(row.getRunId(), List.of()).stream()
                        .map(p ->
                            piece(
                                p,
                                texts
                                    .getOrDefault(p.getRunId(), Map.of())
                                    .getOrDefault(p.getPiece(), AllPieces.NOTHING),
                                colours,
                                trials))
                        .toList())));
    return ids.stream().map(evenings::get).filter(Objects::nonNull).toList();
  }

  private static JournalPiece piece(
      JournalPieceRecord row,
      AllPieces.Texts texts,
      Map<String, List<String>> colours,
      Map<String, String> trials) {
    String key = row.getRunId() + "/" + row.getPiece();
    String grade = row.getGrade();
    return new JournalPiece(
        row.getPiece(),
        row.getLine(),
        row.getMouldName(),
        colours.getOrDefault(key, List.of()),
        grade == null ? null : LookOver.Verdict.valueOf(grade),
        texts.faults(),
        row.getLineAboutIt(),
        texts.lots(),
        texts.joins(),
        trials.get(key),
        row.getCode(),
        became(row.getBecame()),
        row.getBecameDay());
  }

  private Map<String, List<String>> colours(List<String> ids) {
    Map<String, List<String>> colours = new HashMap<>();
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
    return colours;
  }

  private Map<String, String> trials(List<String> ids) {
    Map<String, String> trials = new HashMap<>();
    db.selectFrom(JOURNAL_TRIAL)
        .where(JOURNAL_TRIAL.RUN_ID.in(ids))
        .and(JOURNAL_TRIAL.CHANGED)
        .forEach(row -> trials.put(row.getRunId() + "/" + row.getPiece(), row.getTrial()));
    return trials;
  }

  /** How many pieces and evenings are like that, and how they came out. */
  public record FoundCount(int evenings, int pieces, int good, int seconds, int lost) {}

  /** All that are wanted, however old. */
  public FoundCount count(Wanted wanted) {
    return all(wanted).count();
  }

  private AllFound all(Wanted wanted) {
    return remembered.get("found " + wanted, () -> findAll(wanted));
  }

  /** One look at all pieces for both: how many there are, and on which evenings. */
  private AllFound findAll(Wanted wanted) {
    Predicate<AllPieces.Piece> fits = FoundBy.all(wanted);
    Map<LookOver.Verdict, Integer> by = new EnumMap<>(LookOver.Verdict.class);
    List<Hit> hits = new ArrayList<>();
    int pieces = 0;
    for (AllPieces.OfEvening evening : known.all()) {
      int before = pieces;
      for (AllPieces.Piece piece : evening.pieces()) {
        if (fits.test(piece)) {
          pieces++;
          if (piece.grade() != null) {
            by.merge(piece.grade(), 1, Integer::sum);
          }
        }
      }
      if (pieces > before) {
        hits.add(new Hit(evening));
      }
    }
    return new AllFound(
        new FoundCount(
            hits.size(),
            pieces,
            by.getOrDefault(LookOver.Verdict.GOOD, 0),
            by.getOrDefault(LookOver.Verdict.SECOND, 0),
            by.getOrDefault(LookOver.Verdict.LOST, 0)),
        hits);
  }

  private static Became.@Nullable What became(@Nullable String what) {
    return what == null ? null : Became.What.valueOf(what);
  }
}
