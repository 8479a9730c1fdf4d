package calmpour.core.run;

import calmpour.core.Samples;
import calmpour.core.cure.EngineModel;
import calmpour.core.design.Fill;
import calmpour.core.design.Join;
import calmpour.core.design.Layer;
import calmpour.core.plan.Planner;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Plan;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import calmpour.core.resin.ResinKind;
import calmpour.core.resin.ResinSystem;
import calmpour.core.session.Piece;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import calmpour.core.tint.Colour;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;

/** An evening of two colours and a clear back, and a maker who tells what happens in it. */
public abstract class Evening {
  static final EngineModel CURE = new EngineModel();
  public static final RunReader RUNS = new RunReader(CURE);
  static final Colour BLUE =
      new Colour("blue", "Harbour", "#335577", List.of(new Colour.Part("tint", 1.5)));
  static final Colour BROWN =
      new Colour("brown", "Bracken", "#775533", List.of(new Colour.Part("tint", 1.0)));
  static final ResinSystem RESIN = Samples.resin(ResinKind.CASTING, 40, 100, 24, null);
  public static final Run RUN = run();

  final List<RunEvent> events = new ArrayList<>();
  Instant now = RUN.begunAt();

  static Run run() {
    Workshop workshop =
        Samples.workshop(
            RESIN,
            List.of(Samples.mould("knob", 12, 20.0), Samples.mould("pull", 16, 12.0)),
            List.of(BLUE, BROWN, Colour.CLEAR));
    Session session =
        Samples.session(
            List.of(
                new Piece(
                    "knob",
                    4,
                    List.of(
                        new Layer("blue", Fill.ofShare(0.4), Join.TOGETHER),
                        new Layer("clear", null, Join.TOGETHER))),
                new Piece("pull", 3, List.of(new Layer("brown", null, Join.TOGETHER)))));
    Planner planner = Samples.planner(CURE);
    Plan plan = planner.plan(session, workshop);
    return new Run(
        session, Planner.snapshot(session, workshop), plan, Instant.parse("2026-11-28T10:07:30Z"));
  }

  RunState state() {
    return RUNS.state(RUN, events, now);
  }

  void tell(RunEvent.Kind kind, Object of, Double value) {
    events.add(
        new RunEvent(
            "e" + events.size(),
            now,
            kind,
            of == null ? null : of.toString(),
            value,
            List.of(),
            null));
  }

  /**
   * Something goes wrong a second later.
   *
   * @param answer null where there is but one
   */
  void trouble(String of, String answer, Double by) {
    now = now.plusSeconds(1);
    events.add(
        new RunEvent(
            "t" + events.size(),
            now,
            RunEvent.Kind.TROUBLE,
            of,
            by,
            answer == null ? List.of() : List.of(answer),
            null));
  }

  void at(int second) {
    now = RUN.begunAt().plusSeconds(second);
  }

  /** Every step when it is planned, until one of that kind is next. */
  void upTo(Task.Kind kind) {
    for (RunState state = state(); state.currentId() != null; state = state()) {
      TaskId next = state.currentId();
      Task planned = task(next);
      if (planned.kind() == kind) {
        return;
      }
      at(Math.max(state.atSeconds(), planned.endSeconds()));
      tell(RunEvent.Kind.DONE, next, null);
    }
  }

  static Task task(Object id) {
    return RUN.plan().tasks().stream()
        .filter(t -> t.id().text().equals(id.toString()))
        .findFirst()
        .orElseThrow();
  }

  static Batch batch() {
    return RUN.plan().batches().getFirst();
  }

  static RunState.Step step(RunState state, Object id) {
    return state.steps().stream()
        .filter(s -> s.taskId().text().equals(id.toString()))
        .findFirst()
        .orElseThrow();
  }
}
