package calmpour.app.store;

import static calmpour.app.store.generated.Tables.JOURNAL_EVENING;
import static calmpour.app.store.generated.Tables.JOURNAL_FAULT;
import static calmpour.app.store.generated.Tables.JOURNAL_PIECE;
import static calmpour.app.store.generated.Tables.JOURNAL_POUR;
import static calmpour.app.store.generated.Tables.JOURNAL_TRIAL;

import calmpour.app.store.generated.tables.records.JournalPieceRecord;
import calmpour.core.design.Join;
import calmpour.core.journal.PieceCode;
import calmpour.core.run.AsRun;
import calmpour.core.run.Became;
import calmpour.core.run.LookOver;
import java.time.Instant;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
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
  private final DSLContext db;
  private final Formats formats;
  private final UntilChanged remembered;

  JournalStore(DSLContext db, Formats formats, JournalWriter writer) {
    this.db = db;
    this.formats = formats;
    this.remembered = new UntilChanged(writer::version);
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

  /** An evening has no more pieces than that, as a rule; one that has is answered alone. */
  private static final int PIECES_AN_EVENING = 40;

  /**
   * Evenings with the pieces that are wanted, the newest first.
   *
   * @param older only those before it; null for the newest
   * @param most evenings
   */
  public Found find(Wanted wanted, @Nullable Older older, int most) {
    // What is nowhere is only known after all were looked at: not twice for one question.
    if (count(wanted).pieces() == 0) {
      return new Found(List.of(), null);
    }
    Condition fits = fits(wanted);
    if (older != null) {
      OffsetDateTime at = older.begunAt().atOffset(ZoneOffset.UTC);
      fits =
          fits.and(
              JOURNAL_PIECE
                  .BEGUN_AT
                  .lt(at)
                  .or(JOURNAL_PIECE.BEGUN_AT.eq(at).and(JOURNAL_PIECE.RUN_ID.gt(older.runId()))));
    }
    int rows = (int) Math.min(Integer.MAX_VALUE, (long) most * PIECES_AN_EVENING);
    // In the order of an index, so that the newest are found without looking at all of them.
    List<JournalPieceRecord> found =
        db.selectFrom(JOURNAL_PIECE)
            .where(fits)
            .orderBy(
                JOURNAL_PIECE.BEGUN_AT.desc(),
                JOURNAL_PIECE.RUN_ID,
                JOURNAL_PIECE.LINE,
                JOURNAL_PIECE.CAVITY)
            .limit(rows)
            .fetch();
    Map<String, List<JournalPieceRecord>> by = new LinkedHashMap<>();
    found.forEach(row -> by.computeIfAbsent(row.getRunId(), k -> new ArrayList<>()).add(row));
    List<String> ids = new ArrayList<>(by.keySet());
    // The last one may have more pieces than were read.
    boolean full = found.size() == rows;
    if (full && ids.size() > 1) {
      ids.removeLast();
    }
    boolean more = full || ids.size() > most;
    ids = ids.subList(0, Math.min(most, ids.size()));
    List<JournalEvening> evenings = evenings(ids, by);
    return new Found(
        evenings,
        more && !evenings.isEmpty()
            ? new Older(evenings.getLast().begunAt(), evenings.getLast().id())
            : null);
  }

  private List<JournalEvening> evenings(
      List<String> ids, Map<String, List<JournalPieceRecord>> pieces) {
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
                        .map(p -> piece(p, colours, faults, trials))
                        .toList())));
    return ids.stream().map(evenings::get).filter(Objects::nonNull).toList();
  }

  private static JournalPiece piece(
      JournalPieceRecord row,
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
        Sought.lotsIn(row.getKeys()),
        Sought.joinsIn(row.getKeys()).stream().map(Join::valueOf).toList(),
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
    return remembered.get("count " + wanted, () -> counted(wanted));
  }

  private FoundCount counted(Wanted wanted) {
    Map<String, Integer> by = new HashMap<>();
    int pieces = 0;
    Condition fits = fits(wanted);
    for (var row :
        db.select(JOURNAL_PIECE.GRADE, DSL.count())
            .from(JOURNAL_PIECE)
            .where(fits)
            .groupBy(JOURNAL_PIECE.GRADE)
            .fetch()) {
      pieces += row.value2();
      by.put(row.value1() == null ? "" : row.value1(), row.value2());
    }
    if (pieces == 0) {
      return new FoundCount(0, 0, 0, 0, 0);
    }
    Integer evenings =
        db.select(DSL.countDistinct(JOURNAL_PIECE.RUN_ID))
            .from(JOURNAL_PIECE)
            .where(fits)
            .fetchOne(0, Integer.class);
    return new FoundCount(
        evenings == null ? 0 : evenings,
        pieces,
        by.getOrDefault(LookOver.Verdict.GOOD.name(), 0),
        by.getOrDefault(LookOver.Verdict.SECOND.name(), 0),
        by.getOrDefault(LookOver.Verdict.LOST.name(), 0));
  }

  private static Became.@Nullable What became(@Nullable String what) {
    return what == null ? null : Became.What.valueOf(what);
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
      all = all.and(JOURNAL_PIECE.KEYS.contains(Sought.colour(wanted.colour())));
    }
    if (wanted.fault() != null) {
      all = all.and(JOURNAL_PIECE.KEYS.contains(Sought.fault(wanted.fault())));
    }
    if (wanted.grade() != null) {
      all =
          all.and(
              "NONE".equals(wanted.grade())
                  ? JOURNAL_PIECE.GRADE.isNull()
                  : JOURNAL_PIECE.GRADE.eq(wanted.grade()));
    }
    if (wanted.lot() != null) {
      all = all.and(JOURNAL_PIECE.KEYS.contains(Sought.lot(wanted.lot())));
    }
    if (wanted.join() != null) {
      all = all.and(JOURNAL_PIECE.KEYS.contains(Sought.join(wanted.join())));
    }
    if (wanted.roomFrom() != null) {
      all = all.and(JOURNAL_PIECE.ROOM_C.ge(wanted.roomFrom()));
    }
    if (wanted.roomBelow() != null) {
      all = all.and(JOURNAL_PIECE.ROOM_C.lt(wanted.roomBelow()));
    }
    if (wanted.from() != null) {
      all = all.and(JOURNAL_PIECE.LOCAL_DAY.ge(wanted.from()));
    }
    if (wanted.to() != null) {
      all = all.and(JOURNAL_PIECE.LOCAL_DAY.le(wanted.to()));
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
    Condition said = JOURNAL_PIECE.SOUGHT.contains(word);
    String code = PieceCode.read(word);
    return code.length() == PieceCode.LENGTH ? said.or(JOURNAL_PIECE.CODE.eq(code)) : said;
  }
}
