package calmpour.app.api;

import calmpour.app.device.CupThermometer;
import calmpour.app.device.RoomSensor;
import calmpour.app.store.RunStore;
import calmpour.app.store.RunStore.KeptRun;
import calmpour.app.store.WorkshopClock;
import calmpour.app.work.RunDesk;
import calmpour.core.run.RunEvent;
import calmpour.core.run.RunReader;
import calmpour.core.run.RunState;
import jakarta.annotation.PreDestroy;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * Takes down what the thermometers say while cups are open: the room when it changes, each cup
 * every few minutes. More would only lengthen the record.
 */
@Component
class BenchReadings {
  private static final Logger LOG = LoggerFactory.getLogger(BenchReadings.class);

  /** So often they are looked at, ms of the world. */
  private static final int LOOK_MS = 1_000;

  /** The room has changed when it differs by more, K. */
  private static final double ROOM_CHANGES_C = 0.4;

  /** A cup is read so often, by the clock on the wall. */
  private static final Duration CUP_EVERY = Duration.ofMinutes(3);

  /** By run; only the thread that looks uses it. */
  private final Map<String, Instant> cupsReadAt = new HashMap<>();

  private final RunStore runs;
  private final RunReader states;
  private final WorkshopClock clock;
  private final RoomSensor room;
  private final CupThermometer cups;
  private final RunDesk desk;
  private final ScheduledExecutorService looks =
      Executors.newSingleThreadScheduledExecutor(work -> {
        Thread thread = new Thread(work, "bench-readings");
        thread.setDaemon(true);
        return thread;
      });

  BenchReadings(
      RunStore runs,
      RunReader states,
      WorkshopClock clock,
      RoomSensor room,
      CupThermometer cups,
      RunDesk desk) {
    this.runs = runs;
    this.states = states;
    this.clock = clock;
    this.room = room;
    this.cups = cups;
    this.desk = desk;
    var unused = looks.scheduleWithFixedDelay(this::look, LOOK_MS, LOOK_MS, TimeUnit.MILLISECONDS);
  }

  private void look() {
    try {
      Optional<RoomSensor.Air> air = room.now();
      if (air.isPresent()) {
        runs.atBench().forEach(run -> look(run, air.get()));
      }
    } catch (RuntimeException trouble) {
      // A thermometer is never worth a run.
      LOG.warn("the thermometers could not be read", trouble);
    }
  }

  private void look(KeptRun kept, RoomSensor.Air air) {
    Instant now = clock.instant();
    List<RunEvent> told = new ArrayList<>();
    double before =
        kept.events().stream()
            .filter(e -> e.kind() == RunEvent.Kind.ROOM && e.value() != null)
            .reduce((a, b) -> b)
            .map(RunEvent::value)
            .orElse(kept.run().session().room().temperatureC());
    if (Math.abs(before - air.temperatureC()) > ROOM_CHANGES_C) {
      told.add(reading(now, RunEvent.Kind.ROOM, null, air.temperatureC()));
    }
    Instant readAt = cupsReadAt.get(kept.id());
    if (readAt == null || !now.isBefore(readAt.plus(CUP_EVERY))) {
      // Also where no cup is open: to find that out costs as much as to read them.
      cupsReadAt.put(kept.id(), now);
      RunState state = states.state(kept.run(), kept.events(), now);
      for (RunState.CupNow cup : state.cups()) {
        cups.read(cup.cupId(), cup.expectedC())
            .ifPresent(
                c -> told.add(reading(now, RunEvent.Kind.WARMTH, cup.cupId().toString(), c)));
      }
    }
    if (!told.isEmpty()) {
      desk.tell(kept, told, null);
    }
  }

  private static RunEvent reading(
      Instant at, RunEvent.Kind kind, @Nullable String of, double value) {
    double rounded = Math.round(value * 10) / 10.0;
    return new RunEvent(UUID.randomUUID().toString(), at, kind, of, rounded, List.of(), null);
  }

  @PreDestroy
  void stop() {
    looks.shutdownNow();
  }
}
