package calmpour.app.work;

import calmpour.app.store.RunStore;
import calmpour.app.store.RunStore.KeptRun;
import calmpour.app.store.WorkshopClock;
import calmpour.core.plan.doc.TaskId;
import calmpour.core.run.Change;
import calmpour.core.run.Due;
import calmpour.core.run.Run;
import calmpour.core.run.RunEvent;
import calmpour.core.run.RunReader;
import calmpour.core.run.RunState;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * What happens at the bench, from whoever tells it: kept first, then worked out once, then told to
 * every screen that looks on.
 */
@Component
public class RunDesk {
  /** Screens that look on at runs. */
  public interface Screens {
    /** How a run stands since something more was told of it. */
    void told(String run, StandsNow stands);
  }

  /** Runs that are told of at a time; beyond that one change is not said. */
  private static final int MOST_AT_BENCH = 32;

  private final RunStore runs;
  private final RunReader reader;
  private final WorkshopClock clock;
  private final Screens screens;

  /** By run: what the last telling changed is a sentence for the screens, not worth a table. */
  private final Map<String, Latest> latest = new ConcurrentHashMap<>();

  /** How a run stood when something was told of it last. */
  private record Latest(int told, RunState state, @Nullable Change change) {}

  RunDesk(RunStore runs, RunReader reader, WorkshopClock clock, Screens screens) {
    this.runs = runs;
    this.reader = reader;
    this.clock = clock;
    this.screens = screens;
  }

  /** How a run stands at this moment. */
  public StandsNow now(KeptRun kept) {
    Instant now = clock.instant();
    return stands(kept, now, List.of(), reader.state(kept.run(), kept.events(), now));
  }

  /**
   * What is due of a run after the bench was left, as it stood when something was told of it last:
   * what was due at three is due since three, however late somebody looks.
   */
  public List<Due> due(KeptRun kept) {
    RunState stood = stood(kept);
    keep(kept.id(), new Latest(kept.events().size(), stood, changed(kept)));
    return Due.of(stood);
  }

  private @Nullable Change changed(KeptRun kept) {
    Latest known = latest.get(kept.id());
    return known == null || known.told() != kept.events().size() ? null : known.change();
  }

  private void keep(String run, Latest stands) {
    if (latest.size() > MOST_AT_BENCH) {
      latest.clear();
    }
    latest.put(run, stands);
  }

  /**
   * Adds what happened; each moment is the teller's, but never before the run was begun nor after
   * now.
   *
   * @param told in the order in which it happened; what was told before is not told twice
   */
  public StandsNow tell(KeptRun before, List<RunEvent> told) {
    Instant now = clock.instant();
    List<RunEvent> events =
        told.stream().map(e -> e.withAt(within(before.run(), e.at(), now))).toList();
    List<String> twice =
        events.stream()
            .filter(e -> e.kind() == RunEvent.Kind.DONE && e.of() != null)
            .filter(e -> before.events().stream().noneMatch(b -> b.id().equals(e.id())))
            .map(RunEvent::of)
            .filter(of -> RunReader.done(before.events(), new TaskId(of)))
            .toList();
    KeptRun after = runs.append(before.id(), events).orElseThrow();
    RunState stands = reader.state(after.run(), after.events(), now);
    // What was told before and only not answered changes nothing, and has its sentence still.
    if (after.events().size() > before.events().size()) {
      // Beside how it stood when the last thing happened: time that went by changes it too.
      RunState stood = stood(before);
      keep(before.id(), new Latest(after.events().size(), stands, Change.between(stood, stands)));
      screens.told(before.id(), stands(after, now, List.of(), stands));
    }
    return stands(after, now, twice, stands);
  }

  private static Instant within(Run run, Instant at, Instant now) {
    return at.isBefore(run.begunAt()) ? run.begunAt() : at.isAfter(now) ? now : at;
  }

  private RunState stood(KeptRun before) {
    Latest known = latest.get(before.id());
    if (known != null && known.told() == before.events().size()) {
      return known.state();
    }
    Instant then =
        before.events().stream()
            .map(RunEvent::at)
            .max(Comparator.naturalOrder())
            .orElse(before.run().begunAt());
    return reader.state(before.run(), before.events(), then);
  }

  private StandsNow stands(KeptRun kept, Instant now, List<String> before, RunState state) {
    return new StandsNow(kept.events().size(), now, clock.speed(), before, changed(kept), state);
  }
}
