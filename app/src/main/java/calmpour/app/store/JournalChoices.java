package calmpour.app.store;

import static calmpour.app.store.generated.Tables.JOURNAL_BATCH;
import static calmpour.app.store.generated.Tables.JOURNAL_LOT;
import static calmpour.app.store.generated.Tables.JOURNAL_PIECE;
import static calmpour.app.store.generated.Tables.JOURNAL_POUR;

import java.util.List;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Record;
import org.jooq.SelectJoinStep;
import org.jooq.impl.DSL;
import org.springframework.stereotype.Repository;

/** What there is in the journal to look for. */
@Repository
public class JournalChoices {
  private final DSLContext db;
  private final UntilChanged remembered;

  JournalChoices(DSLContext db, JournalWriter writer) {
    this.db = db;
    this.remembered = new UntilChanged(writer::version);
  }

  /** Something that can be chosen to look for, and on how many pieces it is. */
  public record JournalChoice(String id, String name, int pieces) {}

  /** Moulds that were cast from, by name. */
  public List<JournalChoice> moulds() {
    return remembered.get(
        "moulds",
        () ->
            choices(
                db.select(JOURNAL_PIECE.MOULD_ID, DSL.max(JOURNAL_PIECE.MOULD_NAME), DSL.count())
                    .from(JOURNAL_PIECE),
                JOURNAL_PIECE.MOULD_ID));
  }

  /** Resins that were mixed, by name. */
  public List<JournalChoice> resins() {
    return remembered.get(
        "resins",
        () ->
            choices(
                db.select(JOURNAL_BATCH.RESIN_ID, DSL.max(JOURNAL_BATCH.RESIN_NAME), DSL.count())
                    .from(JOURNAL_BATCH),
                JOURNAL_BATCH.RESIN_ID));
  }

  /** Colours that were poured, by name. */
  public List<JournalChoice> colours() {
    return remembered.get(
        "colours",
        () ->
            choices(
                db.select(JOURNAL_POUR.COLOUR_NAME, DSL.max(JOURNAL_POUR.COLOUR_NAME), DSL.count())
                    .from(JOURNAL_POUR),
                JOURNAL_POUR.COLOUR_NAME));
  }

  /** Bottles that were mixed from, by name. */
  public List<JournalChoice> lots() {
    return remembered.get(
        "lots",
        () ->
            db.select(JOURNAL_LOT.PART_NAME, JOURNAL_LOT.CODE, DSL.count())
                .from(JOURNAL_LOT)
                .groupBy(JOURNAL_LOT.PART_NAME, JOURNAL_LOT.CODE)
                .orderBy(JOURNAL_LOT.PART_NAME, JOURNAL_LOT.CODE)
                .fetch(row -> {
                  String name = Sought.lotName(row.value1(), row.value2());
                  return new JournalChoice(name, name, row.value3());
                }));
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
