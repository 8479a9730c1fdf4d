package calmpour.app.store;

import static calmpour.app.store.generated.Tables.JOURNAL_PIECE;
import static calmpour.app.store.generated.Tables.JOURNAL_WORDS;

import calmpour.core.design.Join;
import calmpour.core.run.LookOver;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import org.jooq.DSLContext;
import org.jooq.impl.DSL;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;

/** Every piece of the journal by what it is found by and counted by, at hand. */
@Repository
public class AllPieces {
  private final DSLContext db;
  private final ByEvening<OfEvening> evenings;

  /** The same texts stand for thousands of pieces. */
  private final Map<String, Texts> texts = new HashMap<>();

  AllPieces(DSLContext db, JournalWriter writer) {
    this.db = db;
    this.evenings =
        new ByEvening<>(
            writer,
            Comparator.comparing(OfEvening::begunAt).reversed().thenComparing(OfEvening::runId),
            this::read);
  }

  /**
   * The pieces of one evening, as they stood on the bench.
   *
   * @param pieces by line and cavity
   */
  record OfEvening(String runId, Instant begunAt, List<Piece> pieces) {
    OfEvening {
      pieces = List.copyOf(pieces);
    }
  }

  /**
   * One piece.
   *
   * @param piece line and cavity, such as {@code 1.2}
   * @param resinId of its first layer
   * @param topColour by name
   * @param grade null until somebody looked
   * @param roomC as it was read that evening, else as it was told to be, °C
   */
  record Piece(
      String piece,
      String mouldId,
      String mouldName,
      String resinId,
      String topColour,
      LookOver.@Nullable Verdict grade,
      LocalDate day,
      double roomC,
      String code,
      Texts texts) {}

  /**
   * What pieces are found by, see {@link Sought}.
   *
   * @param sought every word, in small letters
   * @param keys that are filtered by
   */
  record Texts(
      String sought,
      String keys,
      List<String> colours,
      List<String> lots,
      List<Join> joins,
      List<LookOver.Fault> faults) {
    static Texts of(String sought, String keys) {
      return new Texts(
          sought,
          keys,
          Sought.coloursIn(keys),
          Sought.lotsIn(keys),
          Sought.joinsIn(keys).stream().map(Join::valueOf).toList(),
          Sought.faultsIn(keys).stream().map(LookOver.Fault::valueOf).toList());
    }
  }

  /** Of a piece that is found by nothing. */
  static final Texts NOTHING = Texts.of("", "");

  /** All evenings that have pieces, the latest first. */
  List<OfEvening> all() {
    return evenings.all();
  }

  private Map<String, OfEvening> read(@Nullable Collection<String> runIds) {
    if (runIds == null) {
      texts.clear();
      db.selectFrom(JOURNAL_WORDS)
          .forEach(row -> texts.put(row.getId(), Texts.of(row.getSought(), row.getKeys())));
    }
    // The same few names, not a hundred thousand copies of them.
    Map<String, String> names = new HashMap<>();
    UnaryOperator<String> one = name -> names.computeIfAbsent(name, n -> n);
    Map<String, Instant> begun = new HashMap<>();
    Map<String, List<Piece>> pieces = new HashMap<>();
    var rows =
        db.select(
                JOURNAL_PIECE.RUN_ID,
                JOURNAL_PIECE.PIECE,
                JOURNAL_PIECE.MOULD_ID,
                JOURNAL_PIECE.MOULD_NAME,
                JOURNAL_PIECE.RESIN_ID,
                JOURNAL_PIECE.TOP_COLOUR,
                JOURNAL_PIECE.GRADE,
                JOURNAL_PIECE.LOCAL_DAY,
                JOURNAL_PIECE.ROOM_C,
                JOURNAL_PIECE.CODE,
                JOURNAL_PIECE.WORDS_ID,
                JOURNAL_PIECE.BEGUN_AT)
            .from(JOURNAL_PIECE)
            .where(runIds == null ? DSL.noCondition() : JOURNAL_PIECE.RUN_ID.in(runIds))
            .orderBy(JOURNAL_PIECE.RUN_ID, JOURNAL_PIECE.LINE, JOURNAL_PIECE.CAVITY)
            .fetch();
    Map<String, Texts> found = texts(rows.getValues(JOURNAL_PIECE.WORDS_ID));
    rows.forEach(row -> {
      begun.putIfAbsent(row.value1(), row.value12().toInstant());
      pieces
          .computeIfAbsent(row.value1(), k -> new ArrayList<>())
          .add(
              new Piece(
                  one.apply(row.value2()),
                  one.apply(row.value3()),
                  one.apply(row.value4()),
                  one.apply(row.value5()),
                  one.apply(row.value6()),
                  row.value7() == null ? null : LookOver.Verdict.valueOf(row.value7()),
                  row.value8(),
                  row.value9(),
                  row.value10(),
                  found.getOrDefault(row.value11(), NOTHING)));
    });
    Map<String, OfEvening> read = new HashMap<>();
    pieces.forEach(
        (id, its) -> read.put(id, new OfEvening(id, begun.getOrDefault(id, Instant.EPOCH), its)));
    return read;
  }

  /** By id; those that nobody asked for yet are looked up. */
  private Map<String, Texts> texts(List<String> ids) {
    List<String> unknown =
        ids.stream().filter(Predicate.not(texts::containsKey)).distinct().toList();
    if (!unknown.isEmpty()) {
      db.selectFrom(JOURNAL_WORDS)
          .where(JOURNAL_WORDS.ID.in(unknown))
          .forEach(row -> texts.put(row.getId(), Texts.of(row.getSought(), row.getKeys())));
    }
    return texts;
  }
}
