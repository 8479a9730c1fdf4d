package calmpour.core.plan;

import calmpour.core.plan.amounts.FilledCup;
import calmpour.core.plan.amounts.PourDraft;
import calmpour.core.session.Job;
import calmpour.core.tint.Look;
import calmpour.core.tint.Rgb;
import calmpour.core.tint.Tint;
import org.jspecify.annotations.Nullable;

/** How layers look over what lies below them. */
final class Looks {
  private final Job job;

  Looks(Job job) {
    this.job = job;
  }

  /** The thinnest of its layers hides least. */
  @Nullable Look of(FilledCup cup) {
    Look thinnest = null;
    for (PourDraft pour : cup.pours()) {
      Look look = of(job.lines().get(pour.line()), pour.layer());
      if (thinnest == null || look.thicknessMm() < thinnest.thicknessMm()) {
        thinnest = look;
      }
    }
    return thinnest;
  }

  /** A layer of a line, counted from the floor of the mould. */
  Look of(Job.Line line, int layer) {
    Rgb below = null;
    for (int l = 0; l < layer; l++) {
      Job.Level level = line.level(l);
      below = Look.reflected(tint(level), thickness(level), below);
    }
    Job.Level own = line.level(layer);
    return Look.of(tint(own), thickness(own), below);
  }

  private static double thickness(Job.Level level) {
    return level.coat()
        ? level.volumeMl() / level.coatAreaCm2() * 10
        : level.toMm() - level.fromMm();
  }

  Tint tint(Job.Level level) {
    return job.tint(level, level.colour());
  }
}
