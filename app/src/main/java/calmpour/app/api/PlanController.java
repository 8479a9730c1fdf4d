package calmpour.app.api;

import calmpour.app.store.ShelfStore;
import calmpour.core.derive.Derivation;
import calmpour.core.plan.Plan;
import calmpour.core.plan.Planner;
import calmpour.core.plan.Sensitivity;
import calmpour.core.session.Session;
import java.time.Instant;
import java.util.List;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** A session in, a plan out; keeps nothing, so that the screen can ask on every edit. */
@RestController
@RequestMapping("/api/plan")
public class PlanController {
  private final Planner planner;
  private final ShelfStore shelf;

  PlanController(Planner planner, ShelfStore shelf) {
    this.planner = planner;
    this.shelf = shelf;
  }

  /**
   * A plan and the moment its clock starts.
   *
   * @param startsAt second 0 of the plan
   */
  public record PlanAnswer(Instant startsAt, String zoneId, Plan plan) {}

  /** Which number of which session is to be opened. */
  public record ExplainRequest(Session session, String quantity) {}

  @PostMapping
  PlanAnswer plan(@RequestBody Session session) {
    Plan plan = planner.plan(session, shelf.workshop());
    return new PlanAnswer(session.startsAtInstant(), session.zoneId(), plan);
  }

  /** How much each assumed value matters to this plan. */
  @PostMapping("/assumed")
  List<Sensitivity.Weight> assumed(@RequestBody Session session) {
    return new Sensitivity(session, shelf.workshop(), planner).weigh();
  }

  @PostMapping("/explain")
  Derivation explain(@RequestBody ExplainRequest request) {
    if (request.session() == null || request.quantity() == null) {
      throw new NotFoundException("explain needs a session and a quantity");
    }
    return planner
        .explain(request.session(), shelf.workshop(), request.quantity())
        .orElseThrow(
            () -> new NotFoundException("this plan has no number called " + request.quantity()));
  }
}
