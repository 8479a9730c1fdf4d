package calmpour.app.store;

import static calmpour.app.store.generated.Tables.MESH_FILE;
import static calmpour.app.store.generated.Tables.MOULD_PHOTO;
import static calmpour.app.store.generated.Tables.RUN;
import static calmpour.app.store.generated.Tables.SAVED_SESSION;
import static calmpour.app.store.generated.Tables.SHELF_ITEM;
import static calmpour.app.store.generated.Tables.TIMING;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import org.jooq.DSLContext;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Repository;

/** 3D models and pictures of moulds. */
@Repository
public class MeshStore {
  private final DSLContext db;
  private final Snapshots snapshots;
  private final Clock clock;

  MeshStore(DSLContext db, Snapshots snapshots, Clock clock) {
    this.db = db;
    this.snapshots = snapshots;
    this.clock = clock;
  }

  public String keep(String name, byte[] bytes) {
    String id = UUID.randomUUID().toString();
    keep(id, name, bytes);
    return id;
  }

  /**
   * Lets go of models that were taken in and never kept: named by no mould on the shelf, in no
   * session and in no run.
   */
  @Scheduled(initialDelay = 5, fixedDelay = 24 * 60, timeUnit = TimeUnit.MINUTES)
  void letGo() {
    letGo(OffsetDateTime.now(clock).minusDays(1));
  }

  /**
   * The same at once.
   *
   * @param before whoever took one in since may still be at it
   * @return how many
   */
  public int letGo(OffsetDateTime before) {
    List<String> ids =
        db.select(MESH_FILE.ID)
            .from(MESH_FILE)
            .where(MESH_FILE.KEPT_AT.lt(before))
            .fetch(MESH_FILE.ID);
    List<String> unused = ids.stream().filter(id -> !named(id)).toList();
    return unused.isEmpty() ? 0 : db.deleteFrom(MESH_FILE).where(MESH_FILE.ID.in(unused)).execute();
  }

  private boolean named(String id) {
    return db.fetchExists(SHELF_ITEM, SHELF_ITEM.DOCUMENT.contains(id))
        || db.fetchExists(
            SAVED_SESSION,
            SAVED_SESSION.DOCUMENT.contains(id).or(SAVED_SESSION.SNAPSHOT.contains(id)))
        || db.fetchExists(RUN, RUN.WORKSHOP.contains(id))
        || db.fetchExists(TIMING, TIMING.WORKSHOP.contains(id))
        || snapshots.anyHolds(id);
  }

  /** Keeps it under a name of the caller's choice; for the demo's own models. */
  void keep(String id, String name, byte[] bytes) {
    db.insertInto(MESH_FILE)
        .set(MESH_FILE.ID, id)
        .set(MESH_FILE.NAME, name)
        .set(MESH_FILE.BYTES, bytes)
        .set(MESH_FILE.KEPT_AT, OffsetDateTime.now(clock))
        .execute();
  }

  /** Name of the file. */
  public Optional<String> name(String id) {
    return db.select(MESH_FILE.NAME)
        .from(MESH_FILE)
        .where(MESH_FILE.ID.eq(id))
        .fetchOptional(MESH_FILE.NAME);
  }

  /** The file as it was given. */
  public Optional<byte[]> bytes(String id) {
    return db.select(MESH_FILE.BYTES)
        .from(MESH_FILE)
        .where(MESH_FILE.ID.eq(id))
        .fetchOptional(MESH_FILE.BYTES);
  }

  public void keepPhoto(String mouldId, byte[] jpeg) {
    OffsetDateTime now = OffsetDateTime.now(clock);
    db.insertInto(MOULD_PHOTO)
        .set(MOULD_PHOTO.MOULD_ID, mouldId)
        .set(MOULD_PHOTO.BYTES, jpeg)
        .set(MOULD_PHOTO.KEPT_AT, now)
        .onConflict(MOULD_PHOTO.MOULD_ID)
        .doUpdate()
        .set(MOULD_PHOTO.BYTES, jpeg)
        .set(MOULD_PHOTO.KEPT_AT, now)
        .execute();
  }

  public Optional<byte[]> photo(String mouldId) {
    return db.select(MOULD_PHOTO.BYTES)
        .from(MOULD_PHOTO)
        .where(MOULD_PHOTO.MOULD_ID.eq(mouldId))
        .fetchOptional(MOULD_PHOTO.BYTES);
  }

  public boolean removePhoto(String mouldId) {
    return db.deleteFrom(MOULD_PHOTO).where(MOULD_PHOTO.MOULD_ID.eq(mouldId)).execute() > 0;
  }

  /** Which moulds have a picture. */
  public java.util.Set<String> pictured() {
    return db.select(MOULD_PHOTO.MOULD_ID).from(MOULD_PHOTO).fetchSet(MOULD_PHOTO.MOULD_ID);
  }
}
