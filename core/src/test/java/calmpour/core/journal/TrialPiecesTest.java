package calmpour.core.journal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import calmpour.core.Samples;
import calmpour.core.check.InvalidValuesException;
import calmpour.core.cure.EngineModel;
import calmpour.core.design.Join;
import calmpour.core.design.Layer;
import calmpour.core.plan.WorkedPlan;
import calmpour.core.plan.bench.StepCard;
import calmpour.core.plan.doc.Task;
import calmpour.core.resin.ResinKind;
import calmpour.core.session.Piece;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import calmpour.core.tint.Colour;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** Cases of rules.md, "A trial, in words". */
class TrialPiecesTest {
  private static final List<Layer> CLEAR = List.of(new Layer("clear", null, Join.TOGETHER));

  private static Piece piece(String mould, String trial) {
    return new Piece(mould, null, 2, CLEAR, null, trial);
  }

  private static WorkedPlan worked(Piece... pieces) {
    Session session = Samples.session(List.of(pieces));
    Workshop workshop =
        Samples.workshop(
            Samples.resin(ResinKind.CASTING, 40, 100, 24, null),
            List.of(Samples.mould("knob", 8, 20.0), Samples.mould("push", 8, 20.0)),
            List.of(Colour.CLEAR));
    return Samples.planner(new EngineModel()).work(session, workshop);
  }

  @Test
  void theControlIsWhatStandsBesideItInTheSameMould() {
    WorkedPlan all =
        worked(
            piece("knob", null),
            piece("knob", "teased twice"),
            piece("push", "no control beside it"),
            piece("knob", "Teased twice"),
            piece("knob", " "));
    assertThat(TrialPieces.of(all.job().session(), all.plan()))
        .containsExactlyInAnyOrder(
            new TrialPieces.InTrial(0, "teased twice", false),
            new TrialPieces.InTrial(1, "teased twice", true),
            new TrialPieces.InTrial(3, "Teased twice", true),
            new TrialPieces.InTrial(4, "teased twice", false));
  }

  @Test
  void theBenchSaysItWithEveryStepOfThesePieces() {
    WorkedPlan all = worked(piece("knob", null), piece("knob", "teased twice"));
    Set<Task.Kind> said =
        all.plan().tasks().stream()
            .filter(t -> says(all, t).anyMatch(s -> s.code() == StepCard.Code.TRIAL))
            .map(Task::kind)
            .collect(Collectors.toSet());
    assertThat(said).contains(Task.Kind.POUR, Task.Kind.DEMOULD, Task.Kind.BUBBLE_PASS);
    assertThat(all.plan().tasks())
        .filteredOn(t -> t.line() != null && t.line() == 0)
        .isNotEmpty()
        .allMatch(t -> says(all, t).noneMatch(s -> s.code() == StepCard.Code.TRIAL));
  }

  private static java.util.stream.Stream<StepCard.Say> says(WorkedPlan all, Task task) {
    return all.stepCards().stream()
        .filter(c -> c.taskId().equals(task.id()))
        .flatMap(c -> c.card().says().stream());
  }

  @Test
  void noMoreThanALine() {
    assertThatThrownBy(() -> piece("knob", "x".repeat(61)))
        .isInstanceOfSatisfying(
            InvalidValuesException.class,
            e -> assertThat(e.problems().getFirst().field()).isEqualTo("trial"));
  }
}
