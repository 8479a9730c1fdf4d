package calmpour.app.store;

import static calmpour.app.store.generated.Tables.SHELF_ITEM;

import calmpour.app.store.generated.tables.records.ShelfItemRecord;
import calmpour.core.session.Workshop;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;

/** The shelves of this workshop. */
@Repository
public class ShelfStore {
  private final DSLContext db;
  private final Formats formats;
  private final Clock clock;

  ShelfStore(DSLContext db, Formats formats, Clock clock) {
    this.db = db;
    this.formats = formats;
    this.clock = clock;
  }

  /** Everything of one kind that can be read, by name. */
  public <T> List<T> all(ShelfKind<T> kind) {
    return all(kind, new ArrayList<>());
  }

  /**
   * @param unreadable is told the names of what cannot be read
   */
  public <T> List<T> all(ShelfKind<T> kind, List<String> unreadable) {
    List<T> all = new ArrayList<>();
    db.select(SHELF_ITEM.DOCUMENT, SHELF_ITEM.FORMAT, SHELF_ITEM.NAME)
        .from(SHELF_ITEM)
        .where(SHELF_ITEM.KIND.eq(kind.key()))
        .orderBy(SHELF_ITEM.NAME, SHELF_ITEM.ID)
        .forEach(row -> {
          try {
            all.add(read(kind, row.value1(), row.value2()));
          } catch (UnreadableDocumentException damaged) {
            unreadable.add(row.value3());
          }
        });
    return all;
  }

  /** Names of everything on the shelves that cannot be read. */
  public List<String> unreadable() {
    List<String> names = new ArrayList<>();
    ShelfKind.ALL.forEach(kind -> all(kind, names));
    return names;
  }

  public <T> Optional<T> find(ShelfKind<T> kind, String id) {
    return db.select(SHELF_ITEM.DOCUMENT, SHELF_ITEM.FORMAT)
        .from(SHELF_ITEM)
        .where(SHELF_ITEM.KIND.eq(kind.key()), SHELF_ITEM.ID.eq(id))
        .fetchOptional(row -> read(kind, row.value1(), row.value2()));
  }

  /** Puts it on the shelf, in place of one with the same id. */
  public <T> void put(ShelfKind<T> kind, T item) {
    ShelfItemRecord row = new ShelfItemRecord();
    row.setKind(kind.key());
    row.setId(kind.id(item));
    row.setName(kind.name(item));
    row.setDocument(formats.write(item));
    row.setFormat(Formats.CURRENT);
    row.setChangedAt(OffsetDateTime.now(clock));
    db.insertInto(SHELF_ITEM)
        .set(row)
        .onConflict(SHELF_ITEM.KIND, SHELF_ITEM.ID)
        .doUpdate()
        .set(row)
        .execute();
  }

  private <T> T read(ShelfKind<T> kind, String text, int format) {
    return formats.read(Formats.Document.SHELF, text, format, kind.type());
  }

  /** Takes it off the shelf; false when it was not there. */
  public boolean remove(ShelfKind<?> kind, String id) {
    return db.deleteFrom(SHELF_ITEM)
            .where(SHELF_ITEM.KIND.eq(kind.key()), SHELF_ITEM.ID.eq(id))
            .execute()
        > 0;
  }

  /** All shelves at this moment. */
  public Workshop workshop() {
    return new Workshop(
        all(ShelfKind.MOULD),
        all(ShelfKind.RESIN),
        all(ShelfKind.COLOURANT),
        all(ShelfKind.COLOUR),
        all(ShelfKind.CUP),
        all(ShelfKind.PART),
        all(ShelfKind.EMBED),
        all(ShelfKind.TOOL),
        List.of());
  }
}
