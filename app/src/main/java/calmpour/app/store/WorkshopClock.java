package calmpour.app.store;

import static calmpour.app.store.generated.Tables.DEMO_CLOCK;

import calmpour.core.check.Check;
import calmpour.core.check.Range;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import org.jooq.DSLContext;

/**
 * The clock on the wall. In the demo it can be made to run faster; then it goes on from where it
 * is, and is kept, so that a server that starts again does not go back in time.
 */
public final class WorkshopClock extends Clock {
  public static final Range SPEED = new Range(1, 120);
  public static final Range AHEAD_SECONDS = new Range(0, 86_400);
  private static final int ONLY = 1;

  private final DSLContext db;
  private final Clock real;
  private Instant realAt;
  private Instant toldAt;
  private int speed;

  public WorkshopClock(DSLContext db, Clock real) {
    this.db = db;
    this.real = real;
    this.realAt = real.instant();
    this.toldAt = realAt;
    this.speed = 1;
    db.selectFrom(DEMO_CLOCK)
        .where(DEMO_CLOCK.ID.eq(ONLY))
        .fetchOptional()
        .ifPresent(kept -> {
          realAt = kept.getRealAt().toInstant();
          toldAt = kept.getToldAt().toInstant();
          speed = kept.getSpeed();
        });
  }

  @Override
  public synchronized Instant instant() {
    return toldAt.plus(Duration.between(realAt, real.instant()).multipliedBy(speed));
  }

  /** How many seconds of the clock are one of the world. */
  public synchronized int speed() {
    return speed;
  }

  /**
   * @param times 1 to 120
   * @param ahead how far it jumps first, up to a day: never back
   * @throws calmpour.core.check.InvalidValuesException when one of them is outside
   */
  public synchronized void runAt(int times, Duration ahead) {
    new Check()
        .within("speed", times, SPEED)
        .within("aheadSeconds", ahead.toSeconds(), AHEAD_SECONDS)
        .orThrow();
    Instant now = instant().plus(ahead);
    realAt = real.instant();
    toldAt = now;
    speed = times;
    OffsetDateTime realTime = realAt.atOffset(ZoneOffset.UTC);
    OffsetDateTime toldTime = toldAt.atOffset(ZoneOffset.UTC);
    int changed =
        db.update(DEMO_CLOCK)
            .set(DEMO_CLOCK.REAL_AT, realTime)
            .set(DEMO_CLOCK.TOLD_AT, toldTime)
            .set(DEMO_CLOCK.SPEED, speed)
            .where(DEMO_CLOCK.ID.eq(ONLY))
            .execute();
    if (changed == 0) {
      db.insertInto(DEMO_CLOCK)
          .set(DEMO_CLOCK.ID, ONLY)
          .set(DEMO_CLOCK.REAL_AT, realTime)
          .set(DEMO_CLOCK.TOLD_AT, toldTime)
          .set(DEMO_CLOCK.SPEED, speed)
          .execute();
    }
  }

  @Override
  public ZoneId getZone() {
    return ZoneOffset.UTC;
  }

  @Override
  public Clock withZone(ZoneId zone) {
    WorkshopClock wall = this;
    return new Clock() {
      @Override
      public Instant instant() {
        return wall.instant();
      }

      @Override
      public ZoneId getZone() {
        return zone;
      }

      @Override
      public Clock withZone(ZoneId other) {
        return wall.withZone(other);
      }
    };
  }
}
