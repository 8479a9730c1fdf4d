package calmpour.app.api;

import calmpour.app.store.OtherSessions;
import calmpour.app.store.ShelfStore;
import calmpour.core.check.Check;
import calmpour.core.cure.CureCurve;
import calmpour.core.derive.Derivation;
import calmpour.core.design.Design;
import calmpour.core.design.Layer;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.bench.BatchCard;
import calmpour.core.plan.bench.BenchTally;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.bench.Fillers;
import calmpour.core.plan.doc.Finding;
import calmpour.core.plan.doc.Plan;
import calmpour.core.plan.Planner;
import calmpour.core.plan.ways.Sensitivity;
import calmpour.core.plan.ways.WaysOut;
import calmpour.core.resin.Rescue;
import calmpour.core.session.Job;
import calmpour.core.session.Resolution;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import java.time.Instant;
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
  /** More choices than that are none. */
  private static final int MOST_FILLERS = 4;

  private final Planner planner;
  private final ShelfStore shelf;

  private final OtherSessions others;
  private final Tickets tickets;

  PlanController(Planner planner, ShelfStore shelf, OtherSessions others, Tickets tickets) {
    this.planner = planner;
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
    return shelf.workshop().withBookings(others.bookings(id));
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
    Plan plan = tickets.during(ticket, watch -> planner.plan(session, workshop, watch));
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
  WaysOut.Ways ways(
      @RequestBody Session session,
      @RequestParam(required = false) @Nullable String id,
      @RequestParam(required = false) @Nullable String ticket) {
    Workshop workshop = workshop(id);
    return tickets.during(ticket, watch -> planner.ways(session, workshop, watch));
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
    return planner.audit(request.session(), workshop(id), request.plan());
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
    Job job = Resolution.of(request.session(), shelf.workshop());
    if (request.line() < 0 || request.line() >= job.lines().size()) {
      throw new NotFoundException("this session has no line " + request.line());
    }
    Job.Line line = job.lines().get(request.line());
    return Design.scalable(
        line.piece().layers(),
        line.levels().stream().map(Job.Level::toMm).toList(),
        line.profile());
  }

  /** How much each assumed value matters to this plan. */
  @PostMapping("/assumed")
  List<Sensitivity.Weight> assumed(
      @RequestBody Session session, @RequestParam(required = false) @Nullable String id) {
    return planner.assumed(session, workshop(id));
  }

  /** Which batch of which session is carried to the scale. */
  public record CardRequest(Session session, int batch) {
    public CardRequest {
      new Check().present("session", session).orThrow();
    }
  }

  /**
   * A batch card, and where each leftover can go.
   *
   * @param together moulds that take all leftovers in one, several colours in a piece; empty for a
   *     single leftover
   * @param topUps the other way: a rounder batch, and what takes the difference
   */
  public record CardAnswer(
      BatchCard card,
      Batch batch,
      List<LeftoverWays> leftovers,
      List<Fillers.Filler> together,
      List<Fillers.TopUp> topUps) {}

  /** Moulds that take what one cup has left. */
  public record LeftoverWays(String cupId, List<Fillers.Filler> fillers) {}

  @PostMapping("/card")
  CardAnswer card(
      @RequestBody CardRequest request, @RequestParam(required = false) @Nullable String id) {
    Workshop workshop = workshop(id);
    BatchCard card =
        planner
            .card(request.session(), workshop, request.batch())
            .orElseThrow(() -> new NotFoundException("this plan has no batch " + request.batch()));
    Batch batch = planner.plan(request.session(), workshop).batches().get(request.batch() - 1);
    Session session = request.session();
    double leftMl = card.leftovers().stream().mapToDouble(BatchCard.Leftover::leftMl).sum();
    int open = card.leftovers().stream().mapToInt(BatchCard.Leftover::openSeconds).min().orElse(0);
    Double largest = Resolution.of(session, workshop).in(batch.resinId()).resin().largestBatchG();
    return new CardAnswer(
        card,
        batch,
        card.leftovers().stream()
            .map(l ->
                new LeftoverWays(
                    l.cupId(),
                    Fillers.of(session, workshop, l.leftMl(), l.openSeconds(), MOST_FILLERS)))
            .toList(),
        card.leftovers().size() < 2
            ? List.of()
            : Fillers.of(session, workshop, leftMl, open, MOST_FILLERS),
        Fillers.topUps(
            session,
            workshop,
            batch,
            leftMl,
            largest == null ? Double.POSITIVE_INFINITY : largest,
            MOST_FILLERS));
  }

  /** More colour in one cup than planned. */
  public record TallyRequest(Session session, String cupId, List<BenchTally.AddedColour> added) {
    public TallyRequest {
      added = added == null ? List.of() : List.copyOf(added);
      new Check().present("session", session).name("cupId", cupId).orThrow();
    }
  }

  @PostMapping("/tally")
  BenchTally tally(
      @RequestBody TallyRequest request, @RequestParam(required = false) @Nullable String id) {
    return planner
        .tally(request.session(), workshop(id), request.cupId(), request.added())
        .orElseThrow(() -> new NotFoundException("this plan has no cup " + request.cupId()));
  }

  /** What is really in the cup of a batch. */
  public record RescueRequest(Session session, int batch, double inAG, double inBG) {
    public RescueRequest {
      new Check().present("session", session).orThrow();
    }
  }

  /**
   * What to add, and what else it means.
   *
   * @param overLargestBatchG by how much it passes the label's largest batch; null when it does not
   * @param overCupMl by how much it passes the mixing cup; null when it does not
   * @param overagePercent what the overage becomes when nothing else is poured with it
   * @param fillers moulds that take what is more than planned
   */
  public record RescueAnswer(
      Rescue rescue,
      double tolerancePercent,
      @Nullable Double overLargestBatchG,
      @Nullable Double overCupMl,
      double overagePercent,
      List<Fillers.Filler> fillers) {}

  @PostMapping("/rescue")
  RescueAnswer rescue(
      @RequestBody RescueRequest request, @RequestParam(required = false) @Nullable String id) {
    Workshop workshop = workshop(id);
    Session session = request.session();
    Job job = Resolution.of(session, workshop);
    List<Batch> batches = planner.plan(session, workshop).batches();
    if (request.batch() < 1 || request.batch() > batches.size()) {
      throw new NotFoundException("this plan has no batch " + request.batch());
    }
    Batch batch = batches.get(request.batch() - 1);
    Job inResin = job.in(batch.resinId());
    Rescue rescue =
        Rescue.of(
            inResin.resin(),
            batch.totalG(),
            request.inAG(),
            request.inBG(),
            session.habits().scaleDivisionG(),
            session.habits().ratioTolerancePercent());
    double beyondMl = rescue.beyondPlanG() / inResin.resin().mixedDensity();
    double poured = batch.cups().stream().mapToDouble(Cup::pouredG).sum();
    return new RescueAnswer(
        rescue,
        session.habits().ratioTolerancePercent(),
        over(rescue.totalG(), inResin.resin().largestBatchG()),
        over(rescue.totalG() / inResin.resin().mixedDensity(), batch.mixingCup().capacityMl()),
        poured > 0
            ? session.habits().overagePercent() + rescue.beyondPlanG() / poured * 100
            : session.habits().overagePercent(),
        Fillers.of(
            session,
            workshop,
            Math.max(0, beyondMl),
            batch.cups().stream().mapToInt(Cup::latestPourEndSeconds).min().orElse(0),
            MOST_FILLERS));
  }

  private static @Nullable Double over(double value, @Nullable Double limit) {
    return limit != null && value > limit ? Double.valueOf(value - limit) : null;
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
    return planner
        .curve(request.session(), workshop(id), request.body())
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
    return planner
        .explain(request.session(), workshop(id), request.quantity())
        .orElseThrow(
            () -> new NotFoundException("this plan has no number called " + request.quantity()));
  }
}
