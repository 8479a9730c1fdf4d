package calmpour.core.plan;

import calmpour.core.audit.Audit;
import calmpour.core.cure.EngineModel;
import calmpour.core.plan.doc.Finding;
import calmpour.core.plan.doc.Plan;
import calmpour.core.plan.search.ChanceRuns;
import calmpour.core.plan.ways.WaysOut;
import calmpour.core.session.Job;
import calmpour.core.session.Piece;
import calmpour.core.session.Resolution;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.Supplier;

/**
 * A plan from scratch by a planner that has never seen a body of resin, and the same after one more
 * piece, beside laying out the plan that is known already: the median of a few rounds after as many
 * to warm up, in ms. Then ten thousand runs of its chance.
 */
final class PlannerBench {
  private static final int ROUNDS = 3;

  private PlannerBench() {}

  public static void main(String[] args) {
    System.out.println(
        "| moulds | batches | least by mass and hands | late | known plan | from scratch | ÷ | one piece more | ÷ | 10,000 runs |");
    System.out.println("|---|---|---|---|---|---|---|---|---|---|");
    measure("an evening", BigSession.evening());
    measure("an evening", BigSession.evening());
    measure("an evening, all of the craft", BigSession.evening().withAllOfTheCraft());
    measure("30", BigSession.of(30));
    measure("30, all of the craft", BigSession.of(30).withAllOfTheCraft());
    if (args.length > 0) {
      return;
    }
    for (int moulds : new int[] {7, 60, 120, 240}) {
      measure("" + moulds, BigSession.of(moulds));
    }
  }

  private static void measure(String name, BigSession big) {
    Session session = big.session();
    Workshop workshop = big.workshop();
    double scratch =
        median(() -> new Planner(new EngineModel(), new Audit()).plan(session, workshop));
    Planner planner = new Planner(new EngineModel(), new Audit());
    Plan plan = planner.plan(session, workshop);
    double known = median(() -> planner.plan(session, workshop));
    int[] more = {0};
    double again =
        median(() -> {
          List<Piece> pieces = new ArrayList<>(session.pieces());
          Piece first = pieces.get(more[0] % pieces.size());
          more[0]++;
          pieces.set(
              (more[0] - 1) % pieces.size(),
              new Piece(
                  first.mouldId(), first.cavityId(), first.count() + 1, first.layers(), null));
          return planner.plan(
              session
                  .withPieces(pieces)
                  .withArrangement(session.arrangement().withTogether(WaysOut.together(plan))),
              workshop);
        });
    Job job = Resolution.of(session, workshop);
    ChanceRuns runs = ChanceRuns.of(job, new EngineModel(), plan.batches(), plan.tasks());
    double chance = median(() -> runs.chance(10_000));
    long late =
        plan.findings().stream().filter(f -> f.severity() == Finding.Severity.BREACH).count();
    System.out.printf(
        "| %s | %d | %d | %d | %.0f ms | %.0f ms | %.1f | %.0f ms | %.1f | %.0f ms |%n",
        name,
        plan.batches().size(),
        plan.arranged().leastBatches(),
        late,
        known,
        scratch,
        scratch / known,
        again,
        again / known,
        chance);
  }

  private static double median(Supplier<Object> what) {
    double[] took = new double[ROUNDS];
    for (int round = -ROUNDS; round < ROUNDS; round++) {
      long began = System.nanoTime();
      if (what.get() == null) {
        throw new IllegalStateException("bug: nothing was planned");
      }
      took[Math.max(0, round)] = (System.nanoTime() - began) / 1e6;
    }
    Arrays.sort(took);
    return took[ROUNDS / 2];
  }
}
