package calmpour.app.store;

import static calmpour.app.store.generated.Tables.JOURNAL_PIECE;
import static calmpour.app.store.generated.Tables.JOURNAL_WORDS;

import calmpour.core.journal.PieceCode;
import java.util.List;
import java.util.Locale;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Record1;
import org.jooq.Select;
import org.jooq.impl.DSL;
import org.jspecify.annotations.Nullable;

/** Which pieces of the journal are wanted, as a condition on their rows. */
final class FoundBy {
  private FoundBy() {}

  /** What a piece has to be; no condition where nothing is asked for. */
  static Condition all(DSLContext db, JournalStore.Wanted wanted) {
    Condition all = DSL.noCondition();
    Condition said = DSL.noCondition();
    if (wanted.mouldId() != null) {
      all = all.and(JOURNAL_PIECE.MOULD_ID.eq(wanted.mouldId()));
    }
    if (wanted.resinId() != null) {
      all = all.and(JOURNAL_PIECE.RESIN_ID.eq(wanted.resinId()));
    }
    if (wanted.colour() != null) {
      said = said.and(JOURNAL_WORDS.KEYS.contains(Sought.colour(wanted.colour())));
    }
    if (wanted.fault() != null) {
      said = said.and(JOURNAL_WORDS.KEYS.contains(Sought.fault(wanted.fault())));
    }
    if (wanted.grade() != null) {
      all =
          all.and(
              "NONE".equals(wanted.grade())
                  ? JOURNAL_PIECE.GRADE.isNull()
                  : JOURNAL_PIECE.GRADE.eq(wanted.grade()));
    }
    if (wanted.lot() != null) {
      said = said.and(JOURNAL_WORDS.KEYS.contains(Sought.lot(wanted.lot())));
    }
    if (wanted.join() != null) {
      said = said.and(JOURNAL_WORDS.KEYS.contains(Sought.join(wanted.join())));
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
      // What looks like a pattern is only a letter.
      Condition says = JOURNAL_WORDS.SOUGHT.contains(word);
      String code = PieceCode.read(word);
      if (code.length() == PieceCode.LENGTH) {
        all = all.and(foundBy(db, says).or(JOURNAL_PIECE.CODE.eq(code)));
      } else {
        said = said.and(says);
      }
    }
    return said.equals(DSL.noCondition()) ? all : all.and(foundBy(db, said));
  }

  /** More texts than that are not named one by one: a statement has its limits. */
  private static final int TEXTS_NAMED = 1_000;

  /** Pieces with such a text; looked up first, since there are far fewer texts than pieces. */
  private static Condition foundBy(DSLContext db, Condition said) {
    Select<Record1<String>> texts = db.select(JOURNAL_WORDS.ID).from(JOURNAL_WORDS).where(said);
    List<String> ids = texts.fetch(JOURNAL_WORDS.ID);
    return ids.size() <= TEXTS_NAMED
        ? JOURNAL_PIECE.WORDS_ID.in(ids)
        : JOURNAL_PIECE.WORDS_ID.in(texts);
  }

  private static List<String> words(@Nullable String words) {
    return words == null || words.isBlank()
        ? List.of()
        : List.of(words.strip().toLowerCase(Locale.ROOT).split("\\s+", -1));
  }
}
