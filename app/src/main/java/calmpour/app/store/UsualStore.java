package calmpour.app.store;

import static calmpour.app.store.generated.Tables.USUAL;

import calmpour.app.store.generated.tables.records.UsualRecord;
import calmpour.core.session.Usual;
import java.util.Optional;
import org.jooq.DSLContext;
import org.jooq.exception.IntegrityConstraintViolationException;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.stereotype.Repository;

/** What is usual in this workshop; the starting values until somebody says otherwise. */
@Repository
public class UsualStore {
  private static final int ONLY = 1;

  private final DSLContext db;
  private final Formats formats;

  UsualStore(DSLContext db, Formats formats) {
    this.db = db;
    this.formats = formats;
  }

  /**
   * As it is kept.
   *
   * @param revision 0 while nobody has changed anything
   */
  public record Kept(int revision, Usual usual) {}

  public Kept find() {
    return db.selectFrom(USUAL)
        .where(USUAL.ID.eq(ONLY))
        .fetchOptional()
        .map(row ->
            new Kept(
                row.getRevision(),
                formats.read(
                    Formats.Document.USUAL, row.getDocument(), row.getFormat(), Usual.class)))
        .orElse(new Kept(0, Usual.DEFAULT));
  }

  /**
   * Keeps it over revision {@code seen}.
   *
   * @return empty when somebody else has changed it since
   */
  public Optional<Kept> update(int seen, Usual usual) {
    try {
      return kept(seen, usual);
    } catch (IntegrityConstraintViolationException | DuplicateKeyException twoAtOnce) {
      // Nothing was kept before, and another window was first.
      return Optional.empty();
    }
  }

  private Optional<Kept> kept(int seen, Usual usual) {
    return db.transactionResult(transaction -> {
      DSLContext within = transaction.dsl();
      UsualRecord row = within.selectFrom(USUAL).where(USUAL.ID.eq(ONLY)).forUpdate().fetchOne();
      if ((row == null ? 0 : row.getRevision()) != seen) {
        return Optional.empty();
      }
      UsualRecord now = row == null ? within.newRecord(USUAL) : row;
      now.setId(ONLY);
      now.setRevision(seen + 1);
      now.setFormat(Formats.CURRENT);
      now.setDocument(formats.write(usual));
      now.store();
      return Optional.of(new Kept(seen + 1, usual));
    });
  }
}
