package calmpour.app.store;

import static calmpour.app.store.generated.Tables.SHELF_ITEM;
import static calmpour.app.store.generated.Tables.SHELF_VERSION;

import calmpour.app.store.generated.tables.records.ShelfItemRecord;
import calmpour.core.session.Workshop;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jooq.DSLContext;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;

/** The shelves of this workshop. */
@Repository
public class ShelfStore {
  private final DSLContext db;
  private final Formats formats;
  private final Clock clock;
  private volatile @Nullable Read read;

  /** What stood on the shelves at a version of them. */
  private record Read(long version, Workshop workshop, List<String> unreadable) {}

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
    return read().unreadable();
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
    changed();
  }

  private <T> T read(ShelfKind<T> kind, String text, int format) {
    return formats.read(Formats.Document.SHELF, text, format, kind.type());
  }

  /** Takes it off the shelf; false when it was not there. */
  public boolean remove(ShelfKind<?> kind, String id) {
    boolean gone =
        db.deleteFrom(SHELF_ITEM)
                .where(SHELF_ITEM.KIND.eq(kind.key()), SHELF_ITEM.ID.eq(id))
                .execute()
            > 0;
    if (gone) {
      changed();
    }
    return gone;
  }

  private void changed() {
    db.update(SHELF_VERSION).set(SHELF_VERSION.VERSION, SHELF_VERSION.VERSION.plus(1)).execute();
  }

  /** All shelves at this moment; the documents are read again only when one of them changed. */
  public Workshop workshop() {
    return read().workshop();
  }

  private Read read() {
    Read before = read;
    // The version first: what is written meanwhile makes the next reader look again.
    long version = db.select(SHELF_VERSION.VERSION).from(SHELF_VERSION).fetchSingle().value1();
    if (before != null && before.version == version) {
      return before;
    }
    List<String> names = new ArrayList<>();
    all(ShelfKind.DESIGN, names);
    Read now =
        new Read(
            version,
            new Workshop(
                all(ShelfKind.MOULD, names),
                all(ShelfKind.RESIN, names),
                all(ShelfKind.COLOURANT, names),
                all(ShelfKind.COLOUR, names),
                all(ShelfKind.CUP, names),
                all(ShelfKind.PART, names),
                all(ShelfKind.EMBED, names),
                all(ShelfKind.TOOL, names),
                List.of()),
            names);
    read = now;
    return now;
  }
}
