package calmpour.core.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.habit.Habits;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import org.junit.jupiter.api.Test;

/** What the scale is asked for at a step, what is asked about, and what cannot be. */
class WeighingTest extends Evening {
  private static final Habits HABITS = RUN.session().habits();

  private RunState.Step next() {
    RunState state = state();
    return step(state, state.currentId());
  }

  private void weighed(double grams) {
    RunState.Step step = next();
    at(Math.max(state().atSeconds(), step.endSeconds()));
    tell(RunEvent.Kind.DONE, step.taskId(), grams);
  }

  /** docs/rules.md: 3 % or two divisions; for the second part no further than the ratio may be. */
  private static void believed(RunState.Step step, double target, double off) {
    assertThat(step.targetG()).isCloseTo(target, within(1e-6));
    assertThat(step.believedFromG()).isCloseTo(target - off, within(1e-6));
    assertThat(step.believedToG()).isCloseTo(target + off, within(1e-6));
  }

  @Test
  void theTwoPartsAndTheBrimOfTheirCup() {
    Batch batch = batch();
    double brim = batch.mixing().cup().capacityMl() * RESIN.mixedDensity();
    upTo(Task.Kind.WEIGH_FIRST);
    // This maker weighs B first.
    double first = batch.measuring().partB().massG();
    double division = HABITS.scaleDivisionG();
    believed(next(), first, Math.max(0.03 * first, 2 * division));
    assertThat(next().mostG()).isCloseTo(brim, within(1e-6));
    // A little too much of it: the second follows.
    double poured = first * 1.02;
    weighed(poured);
    upTo(Task.Kind.WEIGH_SECOND);
    double second = poured * batch.measuring().partA().massG() / first;
    RunState.Step its = next();
    assertThat(its.targetG()).isCloseTo(second, within(0.2));
    double usual = Math.max(0.03 * its.targetG(), 2 * division);
    double ratio = its.targetG() * HABITS.ratioTolerancePercent() / 100;
    believed(its, its.targetG(), Math.min(usual, ratio));
    assertThat(its.mostG()).isCloseTo(brim - poured, within(1e-6));
  }

  @Test
  void whatACupGetsAndWhatItGives() {
    upTo(Task.Kind.SPLIT);
    RunState.Step split = next();
    Cup cup = cup(split);
    believed(
        split,
        cup.amounts().resinG(),
        Math.max(0.03 * cup.amounts().resinG(), 2 * HABITS.scaleDivisionG()));
    double there = state().mixes().getFirst().massG();
    assertThat(split.mostG())
        .isCloseTo(Math.min(there, cup.kind().capacityMl() * RESIN.mixedDensity()), within(1e-6));
    upTo(Task.Kind.POUR);
    RunState.Step pour = next();
    Cup from = cup(pour);
    Cup.Pour its =
        from.pours().stream().filter(p -> p.id().equals(pour.pourId())).findFirst().orElseThrow();
    assertThat(pour.targetG()).isCloseTo(its.massG(), within(1e-6));
    assertThat(pour.mostG()).isCloseTo(left(from), within(1e-6));
    double density = from.amounts().contentG() / from.amounts().contentMl();
    double mouldMl = pour.line() == 0 ? 12 : 16;
    assertThat(pour.overflowsG()).isCloseTo(mouldMl * density, within(1e-6));
    // Poured once and a half, what lies above it finds less room, and its cup has less to give.
    weighed(its.massG() * 1.5);
    RunState state = state();
    assertThat(left(from)).isCloseTo(from.amounts().contentG() - its.massG() * 1.5, within(1e-6));
    for (RunState.Step other : state.steps()) {
      if (other.kind() != Task.Kind.POUR) {
        assertThat(other.overflowsG()).isNull();
      } else if (other.status() == RunState.Status.TO_DO) {
        Cup its2 = cup(other);
        double thick = its2.amounts().contentG() / its2.amounts().contentMl();
        boolean same = other.pourId().into().equals(its.id().into());
        double free = (other.line() == 0 ? 12 : 16) - (same ? its.massG() * 1.5 / density : 0);
        assertThat(other.overflowsG()).isCloseTo(free * thick, within(1e-6));
        assertThat(other.targetG()).isLessThanOrEqualTo(left(its2) + 1e-9);
      }
    }
  }

  private double left(Cup cup) {
    return state().cups().stream()
        .filter(c -> c.cupId().equals(cup.id()))
        .findFirst()
        .orElseThrow()
        .leftG();
  }

  private static Cup cup(RunState.Step step) {
    return batch().cups().stream()
        .filter(c -> c.id().equals(step.cupId()))
        .findFirst()
        .orElseThrow();
  }

  /** Half an hour and more before it is needed again the bench may be left. */
  @Test
  void theBenchMayBeLeftHalfAnHourBeforeTheNextStep() {
    upTo(Task.Kind.POUR);
    assertThat(state().leavesUntil()).isNull();
    upTo(Task.Kind.DEMOULD);
    TaskId out = state().currentId();
    int starts = step(state(), out).startSeconds();
    assertThat(state().leavesUntil()).isEqualTo(starts);
    at(starts - 1_800);
    assertThat(state().leavesUntil()).isEqualTo(step(state(), out).startSeconds());
    at(starts - 1_799);
    assertThat(state().leavesUntil()).isNull();
  }

  /** What is taken back is named by the step that was done, with all that was told beside it. */
  @Test
  void whatCanBeTakenBackIsNamedByItsStep() {
    upTo(Task.Kind.POUR);
    RunState.Step pour = next();
    weighed(pour.targetG());
    RunState.Undoable last = state().undoable().getFirst();
    assertThat(last.kind()).isEqualTo(RunEvent.Kind.DONE);
    assertThat(last.of()).isEqualTo(pour.taskId().text());
    assertThat(state().undoable()).hasSizeLessThanOrEqualTo(RunState.MOST_UNDOABLE);
    assertThat(state().giveUp()).isEmpty();
  }
}
