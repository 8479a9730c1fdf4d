package calmpour.app.store;

import static calmpour.app.store.generated.Tables.JOURNAL_BATCH;
import static calmpour.app.store.generated.Tables.JOURNAL_EVENING;
import static calmpour.app.store.generated.Tables.JOURNAL_FAULT;
import static calmpour.app.store.generated.Tables.JOURNAL_PIECE;
import static calmpour.app.store.generated.Tables.JOURNAL_POUR;
import static org.jooq.impl.DSL.count;
import static org.jooq.impl.DSL.exists;
import static org.jooq.impl.DSL.lower;
import static org.jooq.impl.DSL.selectOne;

import calmpour.core.journal.PieceCode;
import calmpour.core.run.AsRun;
import calmpour.core.run.Became;
import calmpour.core.run.LookOver;
import java.time.Instant;
import java.time.LocalDate;
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

/** Evenings and pieces of the journal, found by words and by what is in them. */
@Repository
public class JournalStore {
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
      String code,
      Became.@Nullable What became,
      @Nullable LocalDate becameDay) {
    public JournalPiece {
      colours = List.copyOf(colours);
      faults = List.copyOf(faults);
    }
  }

  /** Something that can be chosen to look for, and on how many pieces it is. */
  public record JournalChoice(String id, String name, int pieces) {}

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
                      row.get(JOURNAL_PIECE.LINE_ABOUT_IT),
                      row.get(JOURNAL_PIECE.CODE),
                      became(row.get(JOURNAL_PIECE.BECAME)),
                      row.get(JOURNAL_PIECE.BECAME_DAY)));
        });
    return pieces;
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
        .or(JOURNAL_PIECE.CODE.eq(PieceCode.read(word)))
        .or(
            lower(
                    DSL.replace(
                        DSL.coalesce(JOURNAL_PIECE.BECAME, ""), DSL.inline("_"), DSL.inline(" ")))
                .contains(word))
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
}
