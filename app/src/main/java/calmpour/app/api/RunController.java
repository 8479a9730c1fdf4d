package calmpour.app.api;

import calmpour.app.store.RunStore;
import calmpour.app.store.RunStore.KeptRun;
import calmpour.app.store.ShelfStore;
import calmpour.app.store.UnreadableDocumentException;
import calmpour.app.store.WorkshopClock;
import calmpour.app.work.PlanDesk;
import calmpour.app.work.RunDesk;
import calmpour.app.work.SaidByEvenings;
import calmpour.app.work.SettingsDesk;
import calmpour.app.work.StandsNow;
import calmpour.core.check.Check;
import calmpour.core.check.Problem;
import calmpour.core.check.Range;
import calmpour.core.derive.Derivation;
import calmpour.core.plan.WorkedPlan;
import calmpour.core.plan.doc.Finding;
import calmpour.core.plan.doc.Plan;
import calmpour.core.run.AsPlanned;
import calmpour.core.run.FillersNow;
import calmpour.core.run.FullMoulds;
import calmpour.core.run.Run;
import calmpour.core.run.RunEvent;
import calmpour.core.run.RunState;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** Plans that are carried out. */
@RestController
@RequestMapping("/api/runs")
public class RunController {
  private final RunStore runs;
  private final RunDesk desk;
  private final PlanDesk plans;
  private final ShelfStore shelf;
  private final SettingsDesk others;
  private final WorkshopClock clock;
  private final Watchers watchers;
  private final SaidByEvenings evenings;

  RunController(
      RunStore runs,
      RunDesk desk,
      PlanDesk plans,
      ShelfStore shelf,
      SettingsDesk others,
      WorkshopClock clock,
      Watchers watchers,
      SaidByEvenings evenings) {
    this.evenings = evenings;
    this.runs = runs;
    this.desk = desk;
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
   * @param mouldsEmpty whether moulds that another run says are full are empty all the same
   * @param poured whether it was poured already, without the bench: it began when the session says,
   *     stands as planned, and no warning is asked about any more
   */
  public record BeginRequest(
      Session session,
      @Nullable String sessionId,
      @Nullable Boolean heatSeen,
      @Nullable Boolean mouldsEmpty,
      @Nullable Boolean poured) {
    public BeginRequest {
      new Check()
          .present("session", session)
          .that(
              session == null || !session.pieces().isEmpty(),
              Problem.of("session.pieces", Problem.Code.NOTHING_TO_MAKE, null))
          .orThrow();
    }
  }

  /**
   * What happened, in the order in which it happened.
   *
   * @param sentAt when it is sent, by the teller's own clock, so that a wrong one can be corrected;
   *     null where it does not say
   */
  public record Told(List<RunEvent> events, @Nullable Instant sentAt) {
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
        plans.shown(session, workshop.withBookings(others.inTheWay(request.sessionId())));
    Plan plan = worked.plan();
    if (request.poured() != null && request.poured()) {
      return poured(request, worked);
    }
    List<Finding> hot = plan.findings().stream().filter(Finding::heatWarning).toList();
    boolean seen = request.heatSeen() != null && request.heatSeen();
    boolean empty = request.mouldsEmpty() != null && request.mouldsEmpty();
    String full = empty ? "" : full(session, worked.job().used());
    new Check()
        .that(full.isEmpty(), Problem.of("mouldsEmpty", Problem.Code.MOULDS_FULL, full))
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

  private OpenedRun poured(BeginRequest request, WorkedPlan worked) {
    Instant now = clock.instant();
    Instant from = request.session().startsAtInstant();
    new Check()
        .that(from.isBefore(now), Problem.of("session.startsAt", Problem.Code.NOT_YET, "" + from))
        .orThrow();
    Run run = new Run(request.session(), worked.job().used(), worked.plan(), from);
    KeptRun begun = runs.begin(request.sessionId(), run);
    List<RunEvent> events = AsPlanned.until(run, now);
    return opened(events.isEmpty() ? begun : runs.append(begun.id(), events).orElseThrow());
  }

  /** Moulds of a session that still hold pieces of another run, in words; empty for none. */
  private String full(Session session, Workshop workshop) {
    Map<String, Integer> full = new LinkedHashMap<>();
    for (RunStore.RunLine line : runs.lines()) {
      KeptRun other = line.finishedAt() == null ? readable(line.id()).orElse(null) : null;
      if (other != null) {
        FullMoulds.inTheWay(session, workshop, other.run(), desk.now(other).state())
            .forEach(t ->
                full.merge(t.mouldName() + " in “" + line.name() + "”", t.held(), Integer::sum));
      }
    }
    return full.entrySet().stream()
        .map(e -> e.getValue() + " × " + e.getKey())
        .collect(Collectors.joining(", "));
  }

  private Optional<KeptRun> readable(String id) {
    try {
      return runs.find(id);
    } catch (UnreadableDocumentException damaged) {
      // What cannot be read is told on Today, and keeps nobody from pouring.
      return Optional.empty();
    }
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
    return desk.now(kept(id));
  }

  /**
   * Adds what happened. It is kept before it is answered; the moment is the teller's, but never
   * before the run was begun nor after now.
   */
  @PostMapping("/{id}/events")
  StandsNow tell(@PathVariable String id, @RequestBody Told told) {
    return desk.tell(kept(id), told.events(), told.sentAt());
  }

  /** How a run would stand if something happened now, to choose by; nothing of it is kept. */
  @PostMapping("/{id}/supposed")
  RunState supposed(@PathVariable String id, @RequestBody Told told) {
    return desk.supposed(kept(id), told.events());
  }

  /**
   * How a figure of a run came about.
   *
   * @param of the figure, such as {@code step/batch/1/WEIGH_SECOND/targetG}
   */
  @GetMapping("/{id}/how")
  Derivation how(@PathVariable String id, @RequestParam String of) {
    KeptRun run = kept(id);
    return desk.how(
            run,
            of,
            figure -> plans.shown(run.run().session(), run.run().workshop()).explain(figure))
        .map(d -> evenings.marked(d, run.run().session().hands()))
        .orElseThrow(() -> new NotFoundException("this run has no figure called " + of));
  }

  /** Moulds of today's shelf that take what is left in cups from which nothing more is poured. */
  @GetMapping("/{id}/fillers")
  List<FillersNow> fillers(@PathVariable String id) {
    KeptRun run = kept(id);
    return FillersNow.of(run.run(), desk.now(run).state(), shelf.workshop());
  }

  /** Tells at once when something happened, wherever that was told. */
  @GetMapping(path = "/{id}/stream", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
  SseEmitter stream(@PathVariable String id) {
    return watchers.watch(id, desk.now(kept(id)));
  }

  private KeptRun kept(String id) {
    return runs.find(id)
        .orElseThrow(() -> new NotFoundException("this run is not kept here (any more)"));
  }

  private OpenedRun opened(KeptRun kept) {
    return opened(kept, desk);
  }

  static OpenedRun opened(KeptRun kept, RunDesk desk) {
    Run run = kept.run();
    return new OpenedRun(
        kept.id(), kept.sessionId(), run.session(), run.plan(), run.begunAt(), desk.now(kept));
  }
}
