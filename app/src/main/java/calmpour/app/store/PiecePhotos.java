package calmpour.app.store;

import static calmpour.app.store.generated.Tables.PIECE_PHOTO;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;

/** Pictures of the pieces of a run, several of each. */
@Repository
public class PiecePhotos {
  /** Of one piece. */
  public static final int MOST = 12;

  private final DSLContext db;
  private final Clock clock;

  PiecePhotos(DSLContext db, Clock clock) {
    this.db = db;
    this.clock = clock;
  }

  /** A picture of a piece: which of them, from 1. */
  public record OfPiece(String piece, int number) {}

  /**
   * Puts a picture in the place of the one of that number.
   *
   * @param piece line and cavity, from 1, such as {@code 1.2}
   * @param number from 1 to {@link #MOST}
   */
  public void keep(String runId, String piece, int number, byte[] jpeg) {
    OffsetDateTime now = OffsetDateTime.now(clock);
    db.insertInto(PIECE_PHOTO)
        .set(PIECE_PHOTO.RUN_ID, runId)
        .set(PIECE_PHOTO.PIECE, piece)
        .set(PIECE_PHOTO.NUMBER, number)
        .set(PIECE_PHOTO.BYTES, jpeg)
        .set(PIECE_PHOTO.KEPT_AT, now)
        .onConflict(PIECE_PHOTO.RUN_ID, PIECE_PHOTO.PIECE, PIECE_PHOTO.NUMBER)
        .doUpdate()
        .set(PIECE_PHOTO.BYTES, jpeg)
        .set(PIECE_PHOTO.KEPT_AT, now)
        .execute();
  }

  public Optional<byte[]> find(String runId, String piece, int number) {
    return db.select(PIECE_PHOTO.BYTES)
        .from(PIECE_PHOTO)
        .where(
            PIECE_PHOTO.RUN_ID.eq(runId),
            PIECE_PHOTO.PIECE.eq(piece),
            PIECE_PHOTO.NUMBER.eq(number))
        .fetchOptional(PIECE_PHOTO.BYTES);
  }

  /** Takes one away; the others keep their numbers. */
  public void remove(String runId, String piece, int number) {
    db.deleteFrom(PIECE_PHOTO)
        .where(
            PIECE_PHOTO.RUN_ID.eq(runId),
            PIECE_PHOTO.PIECE.eq(piece),
            PIECE_PHOTO.NUMBER.eq(number))
        .execute();
  }

  /** Which there are of a run. */
  public List<OfPiece> of(String runId) {
    return db.select(PIECE_PHOTO.PIECE, PIECE_PHOTO.NUMBER)
        .from(PIECE_PHOTO)
        .where(PIECE_PHOTO.RUN_ID.eq(runId))
        .orderBy(PIECE_PHOTO.PIECE, PIECE_PHOTO.NUMBER)
        .fetch(row -> new OfPiece(row.value1(), row.value2()));
  }
}
