package calmpour.app.store;

import static calmpour.app.store.generated.Tables.SWATCH_CHIP;
import static calmpour.app.store.generated.Tables.SWATCH_PHOTO;

import calmpour.core.tint.Chip;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;

/** Chips of colours with their pictures. */
@Repository
public class SwatchBook {
  private final DSLContext db;
  private final Formats formats;
  private final Clock clock;

  SwatchBook(DSLContext db, Formats formats, Clock clock) {
    this.db = db;
    this.formats = formats;
    this.clock = clock;
  }

  /**
   * By colour, the latest first.
   *
   * @param unreadable is told the colours of those that cannot be read
   */
  public List<Chip> all(List<String> unreadable) {
    List<Chip> all = new ArrayList<>();
    db.selectFrom(SWATCH_CHIP)
        .orderBy(SWATCH_CHIP.COLOUR_NAME, SWATCH_CHIP.MADE_ON.desc(), SWATCH_CHIP.ID)
        .forEach(row -> {
          try {
            all.add(
                formats.read(
                    Formats.Document.CHIP, row.getDocument(), row.getFormat(), Chip.class));
          } catch (UnreadableDocumentException damaged) {
            unreadable.add(row.getColourName());
          }
        });
    return all;
  }

  public Optional<Chip> find(String id) {
    return db.selectFrom(SWATCH_CHIP)
        .where(SWATCH_CHIP.ID.eq(id))
        .fetchOptional()
        .map(row ->
            formats.read(Formats.Document.CHIP, row.getDocument(), row.getFormat(), Chip.class));
  }

  public void keep(Chip chip) {
    db.insertInto(SWATCH_CHIP)
        .set(SWATCH_CHIP.ID, chip.id())
        .set(SWATCH_CHIP.COLOUR_NAME, chip.colourName())
        .set(SWATCH_CHIP.MADE_ON, chip.madeOn())
        .set(SWATCH_CHIP.FORMAT, Formats.CURRENT)
        .set(SWATCH_CHIP.DOCUMENT, formats.write(chip))
        .onConflict(SWATCH_CHIP.ID)
        .doUpdate()
        .set(SWATCH_CHIP.FORMAT, Formats.CURRENT)
        .set(SWATCH_CHIP.DOCUMENT, formats.write(chip))
        .execute();
  }

  /** One look more; two windows at once lose none of them. */
  public synchronized Optional<Chip> seen(String id, Chip.ChipLook look) {
    Optional<Chip> seen = find(id).map(c -> c.seen(look));
    seen.ifPresent(this::keep);
    return seen;
  }

  public boolean remove(String id) {
    return db.deleteFrom(SWATCH_CHIP).where(SWATCH_CHIP.ID.eq(id)).execute() > 0;
  }

  public void picture(String id, byte[] jpeg) {
    OffsetDateTime now = OffsetDateTime.now(clock);
    db.insertInto(SWATCH_PHOTO)
        .set(SWATCH_PHOTO.CHIP_ID, id)
        .set(SWATCH_PHOTO.BYTES, jpeg)
        .set(SWATCH_PHOTO.KEPT_AT, now)
        .onConflict(SWATCH_PHOTO.CHIP_ID)
        .doUpdate()
        .set(SWATCH_PHOTO.BYTES, jpeg)
        .set(SWATCH_PHOTO.KEPT_AT, now)
        .execute();
  }

  public Optional<byte[]> picture(String id) {
    return db.select(SWATCH_PHOTO.BYTES)
        .from(SWATCH_PHOTO)
        .where(SWATCH_PHOTO.CHIP_ID.eq(id))
        .fetchOptional(SWATCH_PHOTO.BYTES);
  }

  public void removePicture(String id) {
    db.deleteFrom(SWATCH_PHOTO).where(SWATCH_PHOTO.CHIP_ID.eq(id)).execute();
  }

  /** Chips of which there is a picture. */
  public Set<String> pictured() {
    return new HashSet<>(
        db.select(SWATCH_PHOTO.CHIP_ID).from(SWATCH_PHOTO).fetch(SWATCH_PHOTO.CHIP_ID));
  }
}
