package calmpour.app.store;

import static calmpour.app.store.generated.Tables.JOURNAL_EVENING;
import static calmpour.app.store.generated.Tables.JOURNAL_FAULT;
import static calmpour.app.store.generated.Tables.JOURNAL_PIECE;
import static calmpour.app.store.generated.Tables.JOURNAL_POUR;
import static calmpour.app.store.generated.Tables.JOURNAL_TRIAL;
import static calmpour.app.store.generated.Tables.JOURNAL_WORDS;

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
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jooq.Condition;
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
  private final UntilChanged remembered;

  JournalStore(DSLContext db, Formats formats, JournalWriter writer) {
    this.db = db;
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
  private record Hit(String runId, OffsetDateTime begunAt) {
    boolean isBefore(Older older) {
      OffsetDateTime at = older.begunAt().atOffset(ZoneOffset.UTC);
      return begunAt.isBefore(at) || (begunAt.isEqual(at) && runId.compareTo(older.runId()) > 0);
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
    List<String> ids = hits.stream().limit(most).map(Hit::runId).toList();
    Map<String, List<JournalPieceRecord>> by = new LinkedHashMap<>();
    Map<String, String> keys = new HashMap<>();
    db.select(JOURNAL_PIECE.asterisk(), JOURNAL_WORDS.KEYS)
        .from(JOURNAL_PIECE)
        .join(JOURNAL_WORDS)
        .on(JOURNAL_WORDS.ID.eq(JOURNAL_PIECE.WORDS_ID))
        .where(FoundBy.all(db, wanted))
        .and(ids.size() > NAMED ? DSL.noCondition() : JOURNAL_PIECE.RUN_ID.in(ids))
        .orderBy(JOURNAL_PIECE.LINE, JOURNAL_PIECE.CAVITY)
        .forEach(row -> {
          JournalPieceRecord piece = row.into(JOURNAL_PIECE);
          by.computeIfAbsent(piece.getRunId(), k -> new ArrayList<>()).add(piece);
          keys.put(piece.getWordsId(), row.get(JOURNAL_WORDS.KEYS));
        });
    List<JournalEvening> evenings = evenings(ids, by, keys);
    return new Found(
        evenings,
        hits.size() > most && !evenings.isEmpty()
            ? new Older(evenings.getLast().begunAt(), evenings.getLast().id())
            : null);
  }

  private List<JournalEvening> evenings(
      List<String> ids, Map<String, List<JournalPieceRecord>> pieces, Map<String, String> keys) {
    Map<String, List<String>> colours = colours(ids);
    Map<String, List<LookOver.Fault>> faults = faults(ids);
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
                                p, keys.getOrDefault(p.getWordsId(), ""), colours, faults, trials))
                        .toList())));
    return ids.stream().map(evenings::get).filter(Objects::nonNull).toList();
  }

  private static JournalPiece piece(
      JournalPieceRecord row,
      String keys,
      Map<String, List<String>> colours,
      Map<String, List<LookOver.Fault>> faults,
      Map<String, String> trials) {
    String key = row.getRunId() + "/" + row.getPiece();
    String grade = row.getGrade();
    return new JournalPiece(
        row.getPiece(),
        row.getLine(),
        row.getMouldName(),
        colours.getOrDefault(key, List.of()),
        grade == null ? null : LookOver.Verdict.valueOf(grade),
        faults.getOrDefault(key, List.of()),
        row.getLineAboutIt(),
        Sought.lotsIn(keys),
        Sought.joinsIn(keys).stream().map(Join::valueOf).toList(),
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

  private Map<String, List<LookOver.Fault>> faults(List<String> ids) {
    Map<String, List<LookOver.Fault>> faults = new HashMap<>();
    db.selectFrom(JOURNAL_FAULT)
        .where(JOURNAL_FAULT.RUN_ID.in(ids))
        .orderBy(JOURNAL_FAULT.FAULT)
        .forEach(row ->
            faults
                .computeIfAbsent(row.getRunId() + "/" + row.getPiece(), k -> new ArrayList<>())
                .add(LookOver.Fault.valueOf(row.getFault())));
    return faults;
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
    Map<String, Integer> by = new HashMap<>();
    Map<String, Hit> hits = new HashMap<>();
    int pieces = 0;
    Condition fits = FoundBy.all(db, wanted);
    for (var row :
        db.select(
                JOURNAL_PIECE.RUN_ID,
                JOURNAL_PIECE.GRADE,
                DSL.max(JOURNAL_PIECE.BEGUN_AT),
                DSL.count())
            .from(JOURNAL_PIECE)
            // Of all pieces too it is the index that is read, which is narrower than their rows.
            .where(fits.equals(DSL.noCondition()) ? JOURNAL_PIECE.WORDS_ID.ge("") : fits)
            .groupBy(JOURNAL_PIECE.RUN_ID, JOURNAL_PIECE.GRADE)
            .fetch()) {
      pieces += row.value4();
      by.merge(row.value2() == null ? "" : row.value2(), row.value4(), Integer::sum);
      hits.putIfAbsent(row.value1(), new Hit(row.value1(), row.value3()));
    }
    return new AllFound(
        new FoundCount(
            hits.size(),
            pieces,
            by.getOrDefault(LookOver.Verdict.GOOD.name(), 0),
            by.getOrDefault(LookOver.Verdict.SECOND.name(), 0),
            by.getOrDefault(LookOver.Verdict.LOST.name(), 0)),
        hits.values().stream()
            .sorted(Comparator.comparing(Hit::begunAt).reversed().thenComparing(Hit::runId))
            .toList());
  }

  private static Became.@Nullable What became(@Nullable String what) {
    return what == null ? null : Became.What.valueOf(what);
  }
}
