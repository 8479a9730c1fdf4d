package calmpour.core.plan.bench;

import calmpour.core.design.SurfaceWork;
import calmpour.core.design.WetWork;
import calmpour.core.habit.Care;
import calmpour.core.habit.FillTo;
import calmpour.core.mould.MouldMake;
import calmpour.core.plan.doc.Cup;
import calmpour.core.session.Job;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What there is to say of a mould's wall and of the open face: dusted, filled so far, worked on.
 */
final class FaceSays {
  private final Job job;

  FaceSays(Job job) {
    this.job = job;
  }

  /** How far, with the last pour of the topmost layer. */
  void filled(Job.Line line, Job.Level level, Cup.Pour pour, List<StepCard.Say> says) {
    boolean last = pour.layer() == line.levels().size() - 1 && pour.part() >= pour.parts();
    Job.Above above = level.above();
    if (!last) {
      return;
    }
    if (above != null && line.lidded()) {
      double density = job.tint(level, level.colour()).mixDensity();
      say(says, StepCard.Code.SURPLUS, above.ml() * density, null);
    } else if (above != null && line.flat()) {
      double density = job.tint(level, level.colour()).mixDensity();
      say(says, StepCard.Code.RUNS_OFF, above.ml() * density, null);
    } else if (above != null) {
      say(says, StepCard.Code.DOME, above.mm(), null);
    }
    FillTo to = line.piece().workOrNone().fill();
    // Where a depth, a share or grams were said, that is how far.
    boolean rest =
        pour.layer() >= line.piece().layers().size()
            || line.piece().layers().get(pour.layer()).fill() == null;
    if (rest && to != null && to.kind() == FillTo.Kind.SHORT && to.mm() != null) {
      say(says, StepCard.Code.FREE_RIM, to.mm(), null);
    }
  }

  static void dusted(Job.Line line, boolean first, List<StepCard.Say> says) {
    List<SurfaceWork> surface = line.piece().workOrNone().surface();
    if (first && surface.stream().anyMatch(s -> s.kind().loose())) {
      say(says, StepCard.Code.DUSTED);
    }
    if (first && surface.stream().anyMatch(s -> s.kind() == SurfaceWork.Kind.BURNISH)) {
      say(says, StepCard.Code.DARK_BEHIND);
    }
  }

  /** As is usual here, where neither mould nor wall wants it otherwise. */
  void stream(Job.Line line, boolean first, List<StepCard.Say> says) {
    Care.Stream stream = job.session().habits().care().stream();
    MouldMake make = line.mould().make();
    boolean slow = make != null && make.pourTimes() > 1;
    boolean dusted =
        first && line.piece().workOrNone().surface().stream().anyMatch(s -> s.kind().loose());
    if (stream != null && !slow && !dusted && !line.flat()) {
      say(says, StepCard.Code.STREAM, null, stream.name());
    }
  }

  /**
   * @param line whose layer it is; null where a task has none
   */
  static void wet(Job.@Nullable Line line, int layer, List<StepCard.Say> says) {
    if (line == null || layer < 0 || layer >= line.piece().layers().size()) {
      return;
    }
    for (WetWork work : line.piece().layers().get(layer).wetOrNone()) {
      say(says, StepCard.Code.WET, null, work.kind().name());
      if (work.with() != null) {
        say(says, StepCard.Code.WITH, null, work.with());
      }
    }
    say(says, StepCard.Code.DRIFTS);
  }

  private static void say(List<StepCard.Say> says, StepCard.Code code) {
    say(says, code, null, null);
  }

  private static void say(
      List<StepCard.Say> says, StepCard.Code code, @Nullable Double value, @Nullable String text) {
    says.add(new StepCard.Say(code, value, text));
  }
}
