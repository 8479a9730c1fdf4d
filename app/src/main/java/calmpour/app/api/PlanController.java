package calmpour.app.api;

import calmpour.app.store.ShelfStore;
import calmpour.app.work.PlanDesk;
import calmpour.app.work.SaidByEvenings;
import calmpour.app.work.SettingsDesk;
import calmpour.core.check.Check;
import calmpour.core.cure.CureCurve;
import calmpour.core.derive.Derivation;
import calmpour.core.design.Layer;
import calmpour.core.plan.WorkedPlan;
import calmpour.core.plan.bench.BatchAtHand;
import calmpour.core.plan.bench.BatchRescue;
import calmpour.core.plan.bench.BenchTally;
import calmpour.core.plan.doc.CupId;
import calmpour.core.plan.doc.Finding;
import calmpour.core.plan.doc.Plan;
import calmpour.core.plan.ways.Sensitivity;
import calmpour.core.plan.ways.Ways;
import calmpour.core.session.Resolution;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** A session in, a plan out; keeps nothing, so that the screen can ask on every edit. */
@RestController
@RequestMapping("/api/plan")
public class PlanController {
  private final PlanDesk plans;
  private final ShelfStore shelf;

  private final SettingsDesk others;
  private final Tickets tickets;
  private final SaidByEvenings evenings;

  PlanController(
      PlanDesk plans,
      ShelfStore shelf,
      SettingsDesk others,
      Tickets tickets,
      SaidByEvenings evenings) {
    this.evenings = evenings;
    this.plans = plans;
    this.shelf = shelf;
    this.others = others;
    this.tickets = tickets;
  }

  /**
   * What is on the shelves while everything else goes on.
   *
   * @param id of the kept session that is asked about, so that it is not in its own way
   */
  private Workshop workshop(@Nullable String id) {
    return shelf.workshop().withBookings(others.inTheWay(id));
  }

  /**
   * A plan and the moment its clock starts.
   *
   * @param startsAt second 0 of the plan
   */
  public record PlanAnswer(Instant startsAt, String zoneId, Plan plan) {}

  /** Which number of which session is to be opened. */
  public record ExplainRequest(Session session, String quantity) {}

  /**
   * @param id of the kept session that this is, so that it is not in its own way
   * @param ticket under which it can be asked how far it is, and be stopped
   */
  @PostMapping
  PlanAnswer plan(
      @RequestBody Session session,
      @RequestParam(required = false) @Nullable String id,
      @RequestParam(required = false) @Nullable String ticket) {
    Workshop workshop = workshop(id);
    Plan plan = tickets.during(ticket, watch -> plans.work(session, workshop, watch).plan());
    return new PlanAnswer(session.startsAtInstant(), session.zoneId(), plan);
  }

  /**
   * How far a plan is.
   *
   * @param tried batches and courses tried out so far
   */
  public record Progress(int tried) {}

  @GetMapping("/tickets/{ticket}")
  Progress progress(@PathVariable String ticket) {
    return tickets
        .tried(ticket)
        .map(Progress::new)
        .orElseThrow(() -> new NotFoundException("nothing is being planned under this ticket"));
  }

  /** Enough: the plan comes as good as it is by now. */
  @DeleteMapping("/tickets/{ticket}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void enough(@PathVariable String ticket) {
    tickets.stop(ticket);
  }

  /** What stands in the way of a session, and the cheapest changes with which it fits. */
  @PostMapping("/ways")
  Ways ways(
      @RequestBody Session session,
      @RequestParam(required = false) @Nullable String id,
      @RequestParam(required = false) @Nullable String ticket) {
    Workshop workshop = workshop(id);
    return tickets.during(ticket, watch -> plans.ways(session, workshop, watch));
  }

  /**
   * @param at when it is too late to begin, in the session's own time; null where no hours bound it
   *     or the plan is wrong as it stands
   */
  public record LatestStart(@Nullable LocalDateTime at) {}

  /** Until when a session can begin on its day and go no worse. */
  @PostMapping("/latest-start")
  LatestStart latestStart(
      @RequestBody Session session, @RequestParam(required = false) @Nullable String id) {
    return new LatestStart(plans.latestStart(session, workshop(id)));
  }

  /** One of the mends of a finding, to be made. */
  public record MendRequest(Session session, Finding.Mend mend) {
    public MendRequest {
      new Check().present("session", session).present("mend", mend).orThrow();
    }
  }

  /**
   * The session with a mend made.
   *
   * @param session null where it is not made in the session, but on the board, the shelf or a mould
   */
  public record Mended(@Nullable Session session) {}

  @PostMapping("/mended")
  Mended mended(@RequestBody MendRequest request) {
    Session mended = plans.mended(request.session(), shelf.workshop(), request.mend()).orElse(null);
    if (mended == null && request.mend().kind() == Finding.Mend.Kind.FILLER) {
      throw new NotFoundException("no free, dry mould on your shelf is small enough for it");
    }
    return new Mended(mended);
  }

  /** A plan that somebody else made, or that was changed by hand, to be judged as it is. */
  public record AuditRequest(Session session, Plan plan) {
    public AuditRequest {
      new Check().present("session", session).present("plan", plan).orThrow();
    }
  }

  @PostMapping("/audit")
  List<Finding> audit(
      @RequestBody AuditRequest request, @RequestParam(required = false) @Nullable String id) {
    return plans.audit(request.session(), workshop(id), request.plan());
  }

  /** Which line of which session is to be kept as a design. */
  public record DesignRequest(Session session, int line) {
    public DesignRequest {
      new Check().present("session", session).orThrow();
    }
  }

  /** The layers of a line as shares of the depth, good for any mould. */
  @PostMapping("/design")
  List<Layer> design(@RequestBody DesignRequest request) {
    return Resolution.of(request.session(), shelf.workshop())
        .design(request.line())
        .orElseThrow(() -> new NotFoundException("this session has no line " + request.line()));
  }

  /** How much each assumed value matters to this plan. */
  @PostMapping("/assumed")
  List<Sensitivity.Weight> assumed(
      @RequestBody Session session, @RequestParam(required = false) @Nullable String id) {
    return plans.assumed(session, workshop(id));
  }

  /** Which batch of which session is carried to the scale. */
  public record CardRequest(Session session, int batch) {
    public CardRequest {
      new Check().present("session", session).orThrow();
    }
  }

  @PostMapping("/card")
  BatchAtHand card(
      @RequestBody CardRequest request, @RequestParam(required = false) @Nullable String id) {
    Workshop workshop = workshop(id);
    return plans
        .shown(request.session(), workshop)
        .atHand(request.batch(), workshop)
        .orElseThrow(() -> noBatch(request.batch()));
  }

  /** What the steps of a plan say beside their names and quantities. */
  @PostMapping("/steps")
  List<WorkedPlan.TaskCard> steps(
      @RequestBody Session session, @RequestParam(required = false) @Nullable String id) {
    return plans.shown(session, workshop(id)).stepCards();
  }

  private static NotFoundException noBatch(int number) {
    return new NotFoundException("this plan has no batch " + number);
  }

  /** More colour in one cup than planned. */
  public record TallyRequest(Session session, CupId cupId, List<BenchTally.AddedColour> added) {
    public TallyRequest {
      added = added == null ? List.of() : List.copyOf(added);
      new Check().present("session", session).present("cupId", cupId).orThrow();
    }
  }

  @PostMapping("/tally")
  BenchTally tally(
      @RequestBody TallyRequest request, @RequestParam(required = false) @Nullable String id) {
    Workshop workshop = workshop(id);
    return plans
        .shown(request.session(), workshop)
        .tally(request.cupId(), request.added(), workshop)
        .orElseThrow(() -> new NotFoundException("this plan has no cup " + request.cupId()));
  }

  /** What is really in the cup of a batch. */
  public record RescueRequest(Session session, int batch, double inAG, double inBG) {
    public RescueRequest {
      new Check().present("session", session).orThrow();
    }
  }

  @PostMapping("/rescue")
  BatchRescue rescue(
      @RequestBody RescueRequest request, @RequestParam(required = false) @Nullable String id) {
    Workshop workshop = workshop(id);
    return plans
        .shown(request.session(), workshop)
        .rescue(request.batch(), request.inAG(), request.inBG(), workshop)
        .orElseThrow(() -> noBatch(request.batch()));
  }

  /** Which body of which session is to be drawn, see {@code Planner.curve}. */
  public record CurveRequest(Session session, String body) {
    public CurveRequest {
      new Check().present("session", session).present("body", body).orThrow();
    }
  }

  @PostMapping("/curve")
  CureCurve curve(
      @RequestBody CurveRequest request, @RequestParam(required = false) @Nullable String id) {
    return plans
        .shown(request.session(), workshop(id))
        .curve(request.body())
        .map(CureCurve::of)
        .orElseThrow(
            () -> new NotFoundException("this plan has no curve called " + request.body()));
  }

  @PostMapping("/explain")
  Derivation explain(
      @RequestBody ExplainRequest request, @RequestParam(required = false) @Nullable String id) {
    if (request.session() == null || request.quantity() == null) {
      throw new NotFoundException("explain needs a session and a quantity");
    }
    return plans
        .shown(request.session(), workshop(id))
        .explain(request.quantity())
        .map(d -> evenings.marked(d, request.session().hands()))
        .orElseThrow(
            () -> new NotFoundException("this plan has no number called " + request.quantity()));
  }
}
