package calmpour.app.api;

import calmpour.app.store.OtherSessions;
import calmpour.app.store.RunStore;
import calmpour.app.store.RunStore.KeptRun;
import calmpour.app.store.ShelfStore;
import calmpour.app.store.WorkshopClock;
import calmpour.app.work.PlanDesk;
import calmpour.core.check.Check;
import calmpour.core.check.Problem;
import calmpour.core.check.Range;
import calmpour.core.plan.WorkedPlan;
import calmpour.core.plan.doc.Finding;
import calmpour.core.plan.doc.Plan;
import calmpour.core.run.Change;
import calmpour.core.run.Run;
import calmpour.core.run.RunEvent;
import calmpour.core.run.RunReader;
import calmpour.core.run.RunState;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** Plans that are carried out. */
@RestController
@RequestMapping("/api/runs")
public class RunController {
  private final RunStore runs;
  private final RunReader states;
  private final PlanDesk plans;
  private final ShelfStore shelf;
  private final OtherSessions others;
  private final WorkshopClock clock;
  private final Watchers watchers;

  /** Runs that are told of at a time; beyond that one change is not said. */
  private static final int MOST_AT_BENCH = 32;

  /** By run: what the last telling changed is a sentence for the screens, not worth a table. */
  private final Map<String, Latest> latest = new ConcurrentHashMap<>();

  /** How a run stood when something was told of it last. */
  private record Latest(int told, RunState state, @Nullable Change change) {}

  RunController(
      RunStore runs,
      RunReader states,
      PlanDesk plans,
      ShelfStore shelf,
      OtherSessions others,
      WorkshopClock clock,
      Watchers watchers) {
    this.runs = runs;
    this.states = states;
    this.plans = plans;
    this.shelf = shelf;
    this.others = others;
    this.clock = clock;
    this.watchers = watchers;
  }

  /**
   * What is begun.
   *
   * @param sessionId of the kept session that this is; null for one that is not kept
   * @param heatSeen whether the maker has seen the plan's heat warnings and begins all the same;
   *     asked for where it has any, and kept with the run
   */
  public record BeginRequest(
      Session session, @Nullable String sessionId, @Nullable Boolean heatSeen) {
    public BeginRequest {
      new Check()
          .present("session", session)
          .that(
              session == null || !session.pieces().isEmpty(),
              Problem.of("session.pieces", Problem.Code.NOTHING_TO_MAKE, null))
          .orThrow();
    }
  }

  /** What happened, in the order in which it happened. */
  public record Told(List<RunEvent> events) {
    public static final Range EVENTS = new Range(1, 500);

    public Told {
      events = events == null ? List.of() : List.copyOf(events);
      new Check()
          .that(
              !events.isEmpty() && events.size() <= EVENTS.maxInclusive(),
              Problem.outside("events", Problem.Code.OUT_OF_RANGE, events.size(), EVENTS))
          .orThrow();
    }
  }

  /** A run with the plan it carries out, which does not change any more. */
  public record OpenedRun(
      String id,
      @Nullable String sessionId,
      Session session,
      Plan plan,
      Instant begunAt,
      StandsNow stands) {}

  /**
   * How a run stands.
   *
   * @param told how many events it comes from
   * @param now by the clock of the server
   * @param speed how many seconds of that clock are one of the world
   * @param before steps of this telling that somebody else had told before
   * @param change what the last telling made of the rest; null where it stayed as it was
   */
  public record StandsNow(
      int told,
      Instant now,
      int speed,
      List<String> before,
      @Nullable Change change,
      RunState state) {}

  @GetMapping
  List<RunStore.RunLine> all() {
    return runs.lines();
  }

  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  OpenedRun begin(@RequestBody BeginRequest request) {
    Workshop workshop = shelf.workshop();
    Session session = request.session();
    WorkedPlan worked =
        plans.shown(session, workshop.withBookings(others.bookings(request.sessionId())));
    Plan plan = worked.plan();
    List<Finding> hot = plan.findings().stream().filter(Finding::heatWarning).toList();
    boolean seen = request.heatSeen() != null && request.heatSeen();
    new Check()
        .that(
            hot.isEmpty() || seen,
            Problem.of("heatSeen", Problem.Code.HEAT_NOT_SEEN, "" + hot.size()))
        .orThrow();
    Run run = new Run(session, worked.job().used(), plan, clock.instant());
    KeptRun begun = runs.begin(request.sessionId(), run);
    if (!hot.isEmpty()) {
      begun = runs.append(begun.id(), List.of(heatSeen(hot, run))).orElseThrow();
    }
    return opened(begun);
  }

  /** The maker's answer, in the list of what happened. */
  private static RunEvent heatSeen(List<Finding> hot, Run run) {
    String what =
        hot.stream()
            .map(f -> f.rule() + " " + f.place() + " " + Math.round(f.value()) + " " + f.unit())
            .collect(Collectors.joining(", "));
    String line = what.length() > 280 ? what.substring(0, 280) : what;
    return new RunEvent(
        UUID.randomUUID().toString(),
        run.begunAt(),
        RunEvent.Kind.CHECKED,
        "heat",
        null,
        List.of(),
        line);
  }

  @GetMapping("/{id}")
  OpenedRun open(@PathVariable String id) {
    KeptRun run = kept(id);
    runs.toBench(run);
    return opened(run);
  }

  @GetMapping("/{id}/state")
  StandsNow state(@PathVariable String id) {
    return stands(kept(id), List.of());
  }

  /**
   * Adds what happened. It is kept before it is answered; the moment is the teller's, but never
   * before the run was begun nor after now.
   */
  @PostMapping("/{id}/events")
  StandsNow tell(@PathVariable String id, @RequestBody Told told) {
    KeptRun before = kept(id);
    Instant now = clock.instant();
    List<RunEvent> events =
        told.events().stream().map(e -> e.at(within(before.run(), e.at(), now))).toList();
    List<String> twice =
        events.stream()
            .filter(e -> e.kind() == RunEvent.Kind.DONE && e.of() != null)
            .filter(e -> before.events().stream().noneMatch(b -> b.id().equals(e.id())))
            .map(RunEvent::of)
            .filter(of -> stillDone(before.events(), of))
            .toList();
    KeptRun after = runs.append(id, events).orElseThrow();
    RunState stands = states.state(after.run(), after.events(), now);
    // What was told before and only not answered changes nothing, and has its sentence still.
    if (after.events().size() > before.events().size()) {
      // Beside how it stood when the last thing happened: time that went by changes it too.
      RunState stood = stood(before);
      if (latest.size() > MOST_AT_BENCH) {
        latest.clear();
      }
      latest.put(id, new Latest(after.events().size(), stands, Change.between(stood, stands)));
      watchers.tell(id, after.events().size());
    }
    return stands(after, now, twice, stands);
  }

  private static Instant within(Run run, Instant at, Instant now) {
    return at.isBefore(run.begunAt()) ? run.begunAt() : at.isAfter(now) ? now : at;
  }

  private static boolean stillDone(List<RunEvent> events, String task) {
    boolean done = false;
    for (RunEvent event : events) {
      if (event.kind() == RunEvent.Kind.DONE && task.equals(event.of())) {
        done = true;
      } else if (event.kind() == RunEvent.Kind.UNDONE) {
        done &=
            events.stream()
                .noneMatch(e ->
                    e.kind() == RunEvent.Kind.DONE
                        && e.id().equals(event.of())
                        && task.equals(e.of()));
      }
    }
    return done;
  }

  /** Tells at once when something happened, wherever that was told. */
  @GetMapping(path = "/{id}/stream", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
  SseEmitter stream(@PathVariable String id) {
    return watchers.watch(id, kept(id).events().size());
  }

  private KeptRun kept(String id) {
    return runs.find(id)
        .orElseThrow(() -> new NotFoundException("this run is not kept here (any more)"));
  }

  private OpenedRun opened(KeptRun kept) {
    Run run = kept.run();
    return new OpenedRun(
        kept.id(),
        kept.sessionId(),
        run.session(),
        run.plan(),
        run.begunAt(),
        stands(kept, List.of()));
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
    return states.state(before.run(), before.events(), then);
  }

  private StandsNow stands(KeptRun kept, List<String> before) {
    Instant now = clock.instant();
    return stands(kept, now, before, states.state(kept.run(), kept.events(), now));
  }

  private StandsNow stands(KeptRun kept, Instant now, List<String> before, RunState state) {
    Latest known = latest.get(kept.id());
    return new StandsNow(
        kept.events().size(),
        now,
        clock.speed(),
        before,
        known == null || known.told() != kept.events().size() ? null : known.change(),
        state);
  }
}
