package calmpour.app.store;

import static calmpour.app.store.generated.Tables.DEMO_CLOCK;

import calmpour.core.check.Check;
import calmpour.core.check.Range;
import jakarta.annotation.PreDestroy;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.concurrent.TimeUnit;
import org.jooq.DSLContext;
import org.springframework.scheduling.annotation.Scheduled;

/**
 * The clock on the wall. In the demo it can be made to run faster; then it goes on from where it
 * is, and is kept, so that a server that starts again does not go back in time. The demo's clock
 * stands while it is shut, so that whatever was due is due when it is opened again.
 */
public final class WorkshopClock extends Clock {
  public static final Range SPEED = new Range(1, 120);
  public static final Range AHEAD_SECONDS = new Range(0, 86_400);
  private static final int ONLY = 1;

  /**
   * How often the demo's clock is kept: a server that was killed goes on no earlier than it was.
   */
  private static final int KEPT_EVERY_SECONDS = 20;

  private final DSLContext db;
  private final Clock real;
  private final boolean stands;
  private Instant realAt;
  private Instant toldAt;
  private int speed;

  /**
   * @param stands whether it stands while the server is shut
   */
  public WorkshopClock(DSLContext db, Clock real, boolean stands) {
    this.db = db;
    this.stands = stands;
    this.real = real;
    this.realAt = real.instant();
    this.toldAt = realAt;
    this.speed = 1;
    db.selectFrom(DEMO_CLOCK)
        .where(DEMO_CLOCK.ID.eq(ONLY))
        .fetchOptional()
        .ifPresent(kept -> {
          speed = kept.getSpeed();
          toldAt = kept.getToldAt().toInstant();
          if (stands) {
            // Nothing was told later than that, even where it was killed.
            toldAt = toldAt.plusSeconds((long) KEPT_EVERY_SECONDS * speed);
          } else {
            realAt = kept.getRealAt().toInstant();
          }
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
    keep();
  }

  /** Keeps where it is, if it stands while the server is shut. */
  @Scheduled(fixedDelay = KEPT_EVERY_SECONDS, timeUnit = TimeUnit.SECONDS)
  @PreDestroy
  public synchronized void keepWhereItStands() {
    if (stands) {
      runAt(speed, Duration.ZERO);
    }
  }

  private void keep() {
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
