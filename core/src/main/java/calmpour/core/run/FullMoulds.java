package calmpour.core.run;

import calmpour.core.mould.Mould;
import calmpour.core.plan.doc.PieceGroup;
import calmpour.core.plan.doc.Plan;
import calmpour.core.plan.doc.Task;
import calmpour.core.session.Job;
import calmpour.core.session.Resolution;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** What still lies in the moulds of a run, so that no other can pour into them. */
public final class FullMoulds {
  private FullMoulds() {}

  /**
   * Cavities that are wanted and not free.
   *
   * @param mouldName as it is called
   * @param held how many the other run holds
   */
  public record Taken(String mouldName, int held) {}

  /**
   * Of one run, how many cavities hold something that was not taken out yet.
   *
   * @return by mould and cavity, as {@code mould/cavity}
   */
  static Map<String, Integer> of(Run run, RunState state) {
    Map<String, Integer> full = new HashMap<>();
    if (state.finishedSeconds() != null) {
      return full;
    }
    Set<String> out = new HashSet<>();
    Map<Integer, Set<Integer>> poured = new HashMap<>();
    for (RunState.Step step : state.steps()) {
      boolean gone =
          step.status() == RunState.Status.DONE || step.status() == RunState.Status.GIVEN_UP;
      // What stays in its setting uses it up.
      if (step.kind() == Task.Kind.DEMOULD && gone && step.hands()) {
        out.add(step.taskId().text());
      }
      boolean in =
          step.pourId() != null
              && step.status() == RunState.Status.DONE
              && !state.givenUp().contains(step.pourId().into());
      if (in && step.pourId() != null && step.line() != null) {
        poured.computeIfAbsent(step.line(), l -> new HashSet<>()).add(step.pourId().cavity());
      }
    }
    for (int line = 0; line < run.plan().pieces().size(); line++) {
      Plan.PieceView piece = run.plan().pieces().get(line);
      Set<Integer> filled = poured.getOrDefault(line, Set.of());
      for (PieceGroup group : PieceGroup.of(run.plan().batches(), line, piece.count())) {
        int still = (int) group.cavities().stream().filter(filled::contains).count();
        if (still > 0 && !out.contains(group.taskId(Task.Kind.DEMOULD).text())) {
          full.merge(Mould.key(piece.mouldId(), piece.cavityId()), still, Integer::sum);
        }
      }
    }
    return full;
  }

  /**
   * What a session wants of moulds that another run still fills. Of a mould whose copies nobody
   * counted there are as many as one of the two needs.
   */
  public static List<Taken> inTheWay(
      Session session, Workshop workshop, Run other, RunState stands) {
    Map<String, Integer> full = of(other, stands);
    Map<String, Integer> wanted = new HashMap<>();
    Map<String, Job.Line> lines = new HashMap<>();
    for (Job.Line line : Resolution.of(session, workshop).lines()) {
      String cavity = line.mould().keyOf(line.cavity());
      wanted.merge(cavity, line.piece().count(), Integer::sum);
      lines.put(cavity, line);
    }
    List<Taken> taken = new ArrayList<>();
    lines.forEach((cavity, line) -> {
      int held = full.getOrDefault(cavity, 0);
      int needs = wanted.getOrDefault(cavity, 0);
      Integer copies = line.mould().make() == null ? null : line.mould().make().copies();
      int have = copies == null ? Math.max(held, needs) : copies * line.cavity().count();
      if (held > 0 && held + needs > have) {
        taken.add(new Taken(line.mould().name(), held));
      }
    });
    return taken;
  }
}
