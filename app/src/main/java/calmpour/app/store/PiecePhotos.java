package calmpour.app.store;

import static calmpour.app.store.generated.Tables.PIECE_PHOTO;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;

/** One picture a piece of a run. */
@Repository
public class PiecePhotos {
  private final DSLContext db;
  private final Clock clock;

  PiecePhotos(DSLContext db, Clock clock) {
    this.db = db;
    this.clock = clock;
  }

  /**
   * Puts a picture in the place of the one before.
   *
   * @param piece line and cavity, from 1, such as {@code 1.2}
   */
  public void keep(String runId, String piece, byte[] jpeg) {
    OffsetDateTime now = OffsetDateTime.now(clock);
    db.insertInto(PIECE_PHOTO)
        .set(PIECE_PHOTO.RUN_ID, runId)
        .set(PIECE_PHOTO.PIECE, piece)
        .set(PIECE_PHOTO.BYTES, jpeg)
        .set(PIECE_PHOTO.KEPT_AT, now)
        .onConflict(PIECE_PHOTO.RUN_ID, PIECE_PHOTO.PIECE)
        .doUpdate()
        .set(PIECE_PHOTO.BYTES, jpeg)
        .set(PIECE_PHOTO.KEPT_AT, now)
        .execute();
  }

  public Optional<byte[]> find(String runId, String piece) {
    return db.select(PIECE_PHOTO.BYTES)
        .from(PIECE_PHOTO)
        .where(PIECE_PHOTO.RUN_ID.eq(runId), PIECE_PHOTO.PIECE.eq(piece))
        .fetchOptional(PIECE_PHOTO.BYTES);
  }

  /** Which pieces of a run have one. */
  public List<String> of(String runId) {
    return db.select(PIECE_PHOTO.PIECE)
        .from(PIECE_PHOTO)
        .where(PIECE_PHOTO.RUN_ID.eq(runId))
        .orderBy(PIECE_PHOTO.PIECE)
        .fetch(PIECE_PHOTO.PIECE);
  }
}
