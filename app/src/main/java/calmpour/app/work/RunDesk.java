package calmpour.app.work;

import static java.util.stream.Collectors.toSet;

import calmpour.app.store.RunStore;
import calmpour.app.store.RunStore.KeptRun;
import calmpour.app.store.WorkshopClock;
import calmpour.core.check.Check;
import calmpour.core.check.InvalidValuesException;
import calmpour.core.check.Problem;
import calmpour.core.derive.Derivation;
import calmpour.core.plan.doc.CavityId;
import calmpour.core.plan.doc.Plan;
import calmpour.core.plan.doc.TaskId;
import calmpour.core.run.BenchTrouble;
import calmpour.core.run.Change;
import calmpour.core.run.Corrections;
import calmpour.core.run.Due;
import calmpour.core.run.Later;
import calmpour.core.run.Run;
import calmpour.core.run.RunEvent;
import calmpour.core.run.RunReader;
import calmpour.core.run.RunState;
import calmpour.core.run.WrongClock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
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

  /** So near two clocks are the same. */
  private static final Duration RIGHT = Duration.ofSeconds(2);

  /** From here on it is said that a clock was wrong. */
  private static final Duration MARKED = Duration.ofMinutes(1);

  private final RunStore runs;
  private final RunReader reader;
  private final WorkshopClock clock;
  private final Screens screens;
  private final RehearsalDesk rehearsals;

  /** By run: what the last telling changed is a sentence for the screens, not worth a table. */
  private final Map<String, Latest> latest = new ConcurrentHashMap<>();

  /** How a run stood when something was told of it last. */
  private record Latest(int told, RunState state, @Nullable Change change) {}

  RunDesk(
      RunStore runs,
      RunReader reader,
      WorkshopClock clock,
      Screens screens,
      RehearsalDesk rehearsals) {
    this.rehearsals = rehearsals;
    this.runs = runs;
    this.reader = reader;
    this.clock = clock;
    this.screens = screens;
  }

  /** By the clock on the wall, or by its own where it is only rehearsed. */
  private Instant instant(KeptRun kept) {
    return kept.exercise() == null ? clock.instant() : rehearsals.now(kept);
  }

  /** How a run stands at this moment. */
  public StandsNow now(KeptRun kept) {
    Instant now = instant(kept);
    return stands(kept, now, List.of(), reader.state(kept.run(), kept.events(), now));
  }

  /**
   * What is due of a run after the bench was left, as it stood when something was told of it last:
   * what was due at three is due since three, however late somebody looks.
   */
  public List<Due> due(KeptRun kept) {
    RunState stood = stood(kept);
    keep(kept.id(), new Latest(kept.events().size(), stood, changed(kept)));
    return Later.putOff(Due.of(stood), kept.run(), kept.events());
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
   * @param sentAt when the teller sent it, by its own clock; null where it did not say
   * @throws calmpour.core.check.InvalidValuesException where something names what the plan does not
   *     have
   */
  public StandsNow tell(KeptRun before, List<RunEvent> told, @Nullable Instant sentAt) {
    named(before.run(), told);
    List<RunEvent> events =
        before.exercise() == null
            ? onTheWall(before.run(), told, sentAt)
            : rehearsals.placed(before, told);
    Instant now = instant(before);
    putRight(before, events);
    clocks(before, events, now);
    Set<TaskId> done = RunReader.done(before.run(), before.events());
    poured(events, done);
    List<String> twice =
        events.stream()
            .filter(e -> e.kind() == RunEvent.Kind.DONE && e.of() != null)
            .filter(e -> before.events().stream().noneMatch(b -> b.id().equals(e.id())))
            .map(RunEvent::of)
            .filter(of -> done.contains(new TaskId(of)))
            .toList();
    KeptRun after = runs.append(before.id(), events).orElseThrow();
    RunState stands = reader.state(after.run(), after.events(), now);
    // What was told before and only not answered changes nothing, and has its sentence still.
    if (after.events().size() > before.events().size()) {
      // Beside how it stood when the last thing happened: time that went by changes it too.
      RunState stood = stood(before);
      double assumedC = before.run().session().room().temperatureC();
      Change change = Change.between(stood, stands, assumedC);
      keep(before.id(), new Latest(after.events().size(), stands, change));
      screens.told(before.id(), stands(after, now, List.of(), stands));
    }
    return stands(after, now, twice, stands);
  }

  private List<RunEvent> onTheWall(Run run, List<RunEvent> told, @Nullable Instant sentAt) {
    Instant now = clock.instant();
    Duration off = sentAt == null ? Duration.ZERO : Duration.between(now, sentAt);
    return told.stream().map(e -> corrected(run, e, off, now)).toList();
  }

  /** How a run would stand if something happened now; nothing is kept. */
  public RunState supposed(KeptRun kept, List<RunEvent> told) {
    named(kept.run(), told);
    Instant now = instant(kept);
    List<RunEvent> all = new ArrayList<>(kept.events());
    told.forEach(e -> all.add(e.withAt(now)));
    return reader.state(kept.run(), all, now);
  }

  /**
   * How a figure of a run came about.
   *
   * @param planned how a figure of its plan came about
   */
  public Optional<Derivation> how(
      KeptRun kept, String quantity, Function<String, Optional<Derivation>> planned) {
    return reader.how(kept.run(), kept.events(), instant(kept), quantity, planned);
  }

  /** What happened at the moment that it was by our clock, with a word where its own was wrong. */
  private static RunEvent corrected(Run run, RunEvent event, Duration off, Instant now) {
    boolean wrong = off.abs().compareTo(RIGHT) > 0;
    Instant at = wrong ? event.at().minus(off) : event.at();
    Instant within = at.isBefore(run.begunAt()) ? run.begunAt() : at.isAfter(now) ? now : at;
    Duration moved = Duration.between(within, event.at());
    boolean marked = moved.abs().compareTo(MARKED) > 0 && event.device() == null;
    RunEvent placed = event.withAt(within);
    return marked ? placed.withDevice("its clock said " + event.at()) : placed;
  }

  /** A line that somebody has put right meanwhile is not put right again unseen. */
  private static void putRight(KeptRun before, List<RunEvent> events) {
    List<RunEvent> all = new ArrayList<>(before.events());
    for (int i = 0; i < events.size(); i++) {
      RunEvent event = events.get(i);
      boolean fresh = all.stream().noneMatch(e -> e.id().equals(event.id()));
      if (fresh && event.kind() == RunEvent.Kind.CORRECTED) {
        Corrections.Refused refused = Corrections.refused(before.run(), all, event).orElse(null);
        if (refused instanceof Corrections.Refused.MeanwhileRight faster) {
          throw new PutRightMeanwhileException(faster.stands());
        }
        if (refused instanceof Corrections.Refused.Wrong wrong) {
          throw new InvalidValuesException(List.of(wrong.problem().under("events[" + i + "]")));
        }
      }
      all.add(event);
    }
  }

  /** An evening did not begin, nor go on, in time to come. */
  private static void clocks(KeptRun before, List<RunEvent> events, Instant now) {
    Check check = new Check();
    for (int i = 0; i < events.size(); i++) {
      RunEvent event = events.get(i);
      if (event.kind() == RunEvent.Kind.CLOCK) {
        check.that(
            WrongClock.isPast(before.run(), before.events(), event, now),
            Problem.of("events[" + i + "].codes", Problem.Code.NOT_YET, event.codes().getFirst()));
      }
    }
    check.orThrow();
  }

  /** Of what was never poured nothing becomes. */
  private static void poured(List<RunEvent> events, Set<TaskId> done) {
    Check check = new Check();
    for (int i = 0; i < events.size(); i++) {
      RunEvent event = events.get(i);
      if (event.kind() == RunEvent.Kind.BECAME) {
        boolean there =
            done.stream()
                .flatMap(t -> t.pour().stream())
                .anyMatch(p -> p.into().toString().equals(event.of()));
        check.that(there, Problem.of("events[" + i + "].of", Problem.Code.UNKNOWN_ID, event.of()));
      }
    }
    check.orThrow();
  }

  /** Steps, cups and batches that are told of have to be those of the plan. */
  private static void named(Run run, List<RunEvent> told) {
    Set<String> tasks = run.plan().tasks().stream().map(t -> t.id().text()).collect(toSet());
    Set<String> cups =
        run.plan().batches().stream()
            .flatMap(b -> b.cups().stream())
            .map(c -> c.id().toString())
            .collect(toSet());
    Set<String> doses =
        run.plan().batches().stream()
            .flatMap(b -> b.cups().stream())
            .flatMap(c -> c.tint().doses().stream().map(d -> c.id() + "/" + d.colourantId()))
            .collect(toSet());
    Check check = new Check();
    for (int i = 0; i < told.size(); i++) {
      String of = told.get(i).of();
      boolean known =
          switch (told.get(i).kind()) {
            case DONE, GIVEN_UP -> tasks.contains(of);
            case THICK, HOT, WARMTH, STAYED -> cups.contains(of);
            case DOSED -> doses.contains(of);
            case LOOKED_OVER, BECAME, SQUEEZED ->
                CavityId.read(of == null ? "" : of).filter(c -> has(run.plan(), c)).isPresent();
            case TROUBLE -> BenchTrouble.names(run.plan(), told.get(i));
            default -> true;
          };
      check.that(known, Problem.of("events[" + i + "].of", Problem.Code.UNKNOWN_ID, of));
    }
    check.orThrow();
  }

  private static boolean has(Plan plan, CavityId piece) {
    return piece.line() >= 1
        && piece.line() <= plan.pieces().size()
        && piece.cavity() >= 1
        && piece.cavity() <= plan.pieces().get(piece.line() - 1).count();
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
    boolean rehearsed = kept.exercise() != null;
    return new StandsNow(
        kept.events().size(),
        now,
        rehearsed ? rehearsals.speed(kept) : clock.speed(),
        before,
        changed(kept),
        state,
        rehearsed ? rehearsals.seen(kept, state, now) : null);
  }
}
