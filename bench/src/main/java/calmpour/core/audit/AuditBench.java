package calmpour.core.audit;

import calmpour.core.cure.EngineModel;
import calmpour.core.plan.BigSession;
import calmpour.core.plan.Facts;
import calmpour.core.plan.Judge;
import calmpour.core.plan.Planner;
import calmpour.core.plan.doc.Finding;
import calmpour.core.plan.doc.Plan;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/**
 * The audit of a finished plan beside making that plan with nobody judging it. Two cavities a
 * mould, three layers over three days, ten colours, two resins.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 2, time = 2)
@Measurement(iterations = 3, time = 2)
@Fork(1)
public class AuditBench {
  @Param({"7", "30", "60", "120", "240"})
  int moulds;

  private final EngineModel engine = new EngineModel();
  private final Planner silent = new Planner(engine, new Silent());
  private final Planner judging = new Planner(engine, new Audit());

  /** Judges nothing. */
  private static final class Silent implements Judge {
    @Override
    public List<Finding> judge(Facts facts, Supplier<List<Finding.Mend>> latePours) {
      return List.of();
    }

    @Override
    public int missedInTime(Facts facts) {
      return 0;
    }
  }

  private Session session;
  private Workshop workshop;
  private Plan plan;

  @Setup
  public void plan() {
    BigSession big = BigSession.of(moulds);
    session = big.session();
    workshop = big.workshop();
    plan = silent.plan(session, workshop);
  }

  /** The reference: the same plan, made while every body of resin is still remembered. */
  @Benchmark
  public Plan planWithoutAudit() {
    return silent.plan(session, workshop);
  }

  @Benchmark
  public List<Finding> audit() {
    return judging.audit(session, workshop, plan);
  }
}
