package calmpour.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Tag;
import net.jqwik.api.domains.Domain;

/**
 * Every plan is carried out on a bench of its own; what goes wrong there the plan must have told.
 */
@Domain(RandomSessions.class)
class ReplayProperties {
  private final Planner planner = new Planner();

  @Property(tries = 300, seed = "20261123")
  void whatGoesWrongOnTheBenchIsWhatThePlanSaid(@ForAll RandomSessions.Case given) {
    carryOut(given);
  }

  /** The same with new sessions each time, and many more of them. */
  @Tag("long")
  @Property(tries = 20_000)
  void theSameOverManyMoreSessions(@ForAll RandomSessions.Case given) {
    carryOut(given);
  }

  private void carryOut(RandomSessions.Case given) {
    Plan plan = planner.plan(given.session(), given.workshop());
    List<String> late = new ArrayList<>();
    List<String> other = new ArrayList<>();
    for (String wrong : new PlanReplay(given.session(), given.workshop()).run(plan)) {
      (wrong.startsWith("late ") ? late : other).add(wrong);
    }
    assertThat(other).isEmpty();
    // The plan rounds a deadline down to a whole second; within two of it either may be right.
    List<String> told =
        plan.findings().stream()
            .filter(f -> f.rule() == Finding.Rule.POUR_AFTER_WORKING_TIME)
            .filter(f -> f.severity() == Finding.Severity.BREACH)
            .filter(f -> (f.value() - f.limit()) * 60 > 2.5)
            .map(f -> "late " + f.place().substring("pour/".length()))
            .toList();
    assertThat(late).containsAll(told);
    assertThat(
            plan.findings().stream()
                .filter(f -> f.severity() == Finding.Severity.BREACH)
                .map(f -> f.place().replace("pour/", "late "))
                .toList())
        .containsAll(late);
  }

  @Property(tries = 150, seed = "20261123")
  void aPlanPulledOutOfShapeIsNoticed(@ForAll RandomSessions.Case given) {
    Plan plan = planner.plan(given.session(), given.workshop());
    Batch batch = plan.batches().get(0);
    List<Task> tasks = new ArrayList<>(plan.tasks());
    // Begin the last task of the hands a moment before the one before it ends.
    int last = tasks.size() - 1;
    Task moved = tasks.get(last);
    tasks.set(
        last,
        new Task(
            moved.kind(),
            moved.batch(),
            moved.cupId(),
            moved.pourId(),
            true,
            moved.startSeconds() - 1,
            moved.endSeconds()));
    Plan broken =
        new Plan(
            plan.pieces(),
            plan.batches(),
            tasks,
            plan.findings(),
            plan.assumptions(),
            plan.totals(),
            plan.endSeconds(),
            plan.spareSeconds());
    assertThat(batch.number()).isEqualTo(1);
    assertThat(new PlanReplay(given.session(), given.workshop()).run(broken))
        .anyMatch(w -> w.startsWith("two things at once"));
  }
}
