package calmpour.app.work;

import calmpour.app.store.Exercises;
import calmpour.app.store.RehearsalStore;
import calmpour.app.store.RehearsalStore.ClockAt;
import calmpour.app.store.RunStore.KeptRun;
import calmpour.core.check.Check;
import calmpour.core.check.Range;
import calmpour.core.practice.Exercise;
import calmpour.core.practice.Rehearsal;
import calmpour.core.practice.Score;
import calmpour.core.practice.Seen;
import calmpour.core.run.RunEvent;
import calmpour.core.run.RunReader;
import calmpour.core.run.RunState;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * Evenings that are only rehearsed: the clock of each, which stands while the server is shut, and
 * the world round its bench.
 */
@Component
public class RehearsalDesk {
  public static final Range SPEED = new Range(0, 60);
  public static final Range AHEAD_SECONDS = new Range(0, 86_400);

  private final RehearsalStore store;
  private final Exercises exercises;
  private final RunReader reader;
  private final Clock real = Clock.systemUTC();

  /** By run; where its clock was told to be, and when that was. */
  private final Map<String, Going> clocks = new HashMap<>();

  private record Going(Instant realAt, ClockAt at) {
    Instant instant(Instant really) {
      return at.toldAt().plus(Duration.between(realAt, really).multipliedBy(at.speed()));
    }
  }

  RehearsalDesk(RehearsalStore store, Exercises exercises, RunReader reader) {
    this.store = store;
    this.exercises = exercises;
    this.reader = reader;
  }

  /** Begins an exercise; empty when there is no such one. */
  public Optional<KeptRun> begin(String exercise) {
    return exercises
        .find(exercise)
        .map(found -> store.begin(exercise, found.run(), real.instant()));
  }

  /**
   * An exercise that is rehearsed in this run; null where it is none, or is not shipped any more.
   */
  public @Nullable Exercise exercise(KeptRun kept) {
    return exercises.all().stream()
        .filter(e -> e.id().equals(kept.exercise()))
        .findFirst()
        .orElse(null);
  }

  private Optional<Rehearsal> world(KeptRun kept) {
    return Optional.ofNullable(exercise(kept)).map(e -> new Rehearsal(e, kept.run(), reader));
  }

  private Going going(KeptRun kept) {
    return clocks.computeIfAbsent(
        kept.id(),
        id ->
            new Going(
                real.instant(), store.clock(id).orElse(new ClockAt(kept.run().begunAt(), 1))));
  }

  /** By the clock of the rehearsal. */
  public synchronized Instant now(KeptRun kept) {
    return going(kept).instant(real.instant());
  }

  /** How many seconds of that clock are one of the world; 0 while it is held. */
  public synchronized int speed(KeptRun kept) {
    return going(kept).at().speed();
  }

  /**
   * @param speed 0 to 60
   * @param aheadSeconds how far it jumps first, up to a day: never back
   * @throws calmpour.core.check.InvalidValuesException when one of them is outside
   */
  public synchronized void runAt(KeptRun kept, int speed, int aheadSeconds) {
    new Check()
        .within("speed", speed, SPEED)
        .within("aheadSeconds", aheadSeconds, AHEAD_SECONDS)
        .orThrow();
    set(kept, now(kept).plusSeconds(aheadSeconds), speed);
  }

  private void set(KeptRun kept, Instant at, int speed) {
    ClockAt next = new ClockAt(at, speed);
    clocks.put(kept.id(), new Going(real.instant(), next));
    store.keepClock(kept.id(), next);
  }

  /** What is told, each when the hands are through with it; the clock is there then. */
  synchronized List<RunEvent> placed(KeptRun before, List<RunEvent> told) {
    Rehearsal world = world(before).orElse(null);
    Instant now = now(before);
    List<RunEvent> all = new ArrayList<>(before.events());
    List<RunEvent> placed = new ArrayList<>();
    for (RunEvent event : told) {
      boolean fresh = all.stream().noneMatch(e -> e.id().equals(event.id()));
      Instant through = world == null || !fresh ? now : world.through(all, event, now);
      // Who goes is away from then on, however long it takes.
      RunEvent at = event.withAt(event.kind() == RunEvent.Kind.AWAY ? now : through);
      all.add(at);
      placed.add(at);
      now = through;
    }
    set(before, now, speed(before));
    return placed;
  }

  /** What one would see; null where nothing is rehearsed. */
  @Nullable Seen seen(KeptRun kept, RunState stands, Instant now) {
    return world(kept).map(world -> world.seen(kept.events(), stands, now)).orElse(null);
  }

  /** How it ended; empty while it has not. */
  public Optional<Score> score(KeptRun kept) {
    Instant end = kept.finishedAt();
    if (end == null) {
      return Optional.empty();
    }
    Optional<Score> score = world(kept).map(world -> world.score(kept.events(), end));
    score.ifPresent(s -> store.keepPoints(kept.id(), s.points()));
    return score;
  }
}
