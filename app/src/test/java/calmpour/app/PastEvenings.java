package calmpour.app;

import calmpour.app.store.RunStore;
import calmpour.app.store.ShelfStore;
import calmpour.core.plan.Planner;
import calmpour.core.plan.WorkedPlan;
import calmpour.core.practice.World;
import calmpour.core.run.Run;
import calmpour.core.session.Piece;
import calmpour.core.session.Session;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import tools.jackson.databind.json.JsonMapper;

/** Evenings that lie behind a demo, carried out by the world. */
final class PastEvenings {
  private static final LocalDateTime FIRST = LocalDateTime.of(2026, 6, 6, 10, 0);

  private PastEvenings() {}

  /** A session of the demo, planned for a day that is over. */
  static Run planned(RunningApp app, String session, int daysLater) {
    Session its =
        app.bean(JsonMapper.class)
            .treeToValue(RunningApp.demoDocument("sessions/" + session), Session.class)
            .withStartsAt(FIRST.plusDays(daysLater));
    return planned(app, its);
  }

  /**
   * @param more so many times as many pieces
   */
  static Run planned(RunningApp app, String session, int daysLater, double more) {
    Session its = planned(app, session, daysLater).session();
    return planned(
        app,
        its.withPieces(
            its.pieces().stream()
                .map(p -> p.withCount((int) Math.round(more * p.count())))
                .toList()));
  }

  private static Run planned(RunningApp app, Session its) {
    WorkedPlan worked = app.bean(Planner.class).work(its, app.bean(ShelfStore.class).workshop());
    return new Run(its, worked.job().used(), worked.plan(), its.startsAtInstant());
  }

  /** Pours a session of which one line is a trial, a year before the others. */
  static World.Told tried(RunningApp app, String session, int line, String trial) {
    Session its =
        app.bean(JsonMapper.class)
            .treeToValue(RunningApp.demoDocument("sessions/" + session), Session.class)
            .withStartsAt(FIRST.minusYears(1));
    List<Piece> pieces = new ArrayList<>(its.pieces());
    pieces.set(line, pieces.get(line).withTrial(trial));
    Run run = planned(app, its.withPieces(pieces));
    World.Told evening = World.carryOut(run, line, true);
    RunStore runs = app.bean(RunStore.class);
    runs.append(runs.begin(null, run).id(), evening.events());
    return evening;
  }

  /** Pours some evenings and waits until the journal has them. */
  static List<World.Told> pour(RunningApp app, List<String> sessions, int each) {
    RunStore runs = app.bean(RunStore.class);
    List<World.Told> told = new ArrayList<>();
    for (String session : sessions) {
      for (int seed = 1; seed <= each; seed++) {
        Run run = planned(app, session, 9 * told.size());
        World.Told evening = World.carryOut(run, seed, true);
        runs.append(runs.begin(null, run).id(), evening.events());
        told.add(evening);
      }
    }
    while (app.get("/api/journal").body().get("pending").asInt() > 0) {
      Thread.onSpinWait();
    }
    return told;
  }
}
