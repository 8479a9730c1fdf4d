package calmpour.core.plan;

import calmpour.core.design.PieceSide;
import calmpour.core.design.PieceWork;
import calmpour.core.mould.DepthProfile;
import calmpour.core.mould.MouldMake;
import calmpour.core.plan.doc.Plan;
import calmpour.core.resin.LabelFacts;
import calmpour.core.session.Job;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** The pieces of a session as they are drawn. */
final class PieceViews {
  private final Job job;
  private final Looks looks;

  PieceViews(Job job) {
    this.job = job;
    this.looks = new Looks(job);
  }

  Plan.PieceView of(Job.Line line) {
    double depth = line.profile().depthMm();
    List<Plan.LayerView> layers = new ArrayList<>();
    for (int l = 0; l < line.levels().size(); l++) {
      layers.add(layer(line, l));
    }
    PieceWork work = line.piece().workOrNone();
    MouldMake make = line.mould().make();
    boolean open = make != null && make.front() == MouldMake.Front.OPEN_SIDE;
    PieceSide front = work.front() != null ? work.front() : open ? PieceSide.OPEN : PieceSide.FLOOR;
    Job.Above above = line.levels().get(line.levels().size() - 1).above();
    return new Plan.PieceView(
        line.mould().id(),
        line.cavity().id(),
        line.name(),
        line.piece().count(),
        line.measured().section().widthMm(),
        depth,
        line.measured().depthAssumed(),
        line.measured().volumeMl(),
        line.uncertainShare() * line.measured().volumeMl(),
        line.measured().section().rows(),
        line.levels().stream().mapToDouble(Job.Level::volumeMl).sum(),
        layers,
        front,
        work.base(),
        line.coat() == null ? null : layer(line, line.levels().size()),
        above == null || line.flat() ? null : above.mm(),
        finished(job, line));
  }

  /** Where its surface lies once it has cured, mm; null where no label says how much it shrinks. */
  static @Nullable Double finished(Job job, Job.Line line) {
    Job.Above above = line.levels().get(line.levels().size() - 1).above();
    double lost = 0;
    for (Job.Level level : line.levels()) {
      LabelFacts facts = job.in(level.resinId()).resin().facts();
      Double share = facts == null ? null : facts.volumeLost();
      if (share == null) {
        return null;
      }
      lost += level.volumeMl() * share;
    }
    DepthProfile profile = line.profile();
    double to = line.levels().get(line.levels().size() - 1).toMm();
    // What a lid presses out is no part of the piece.
    double dome = above == null || line.lidded() || line.flat() ? 0 : above.ml();
    if (above != null && dome > 0 && dome >= lost) {
      return to + above.mm() * (dome - lost) / dome;
    }
    return profile.depthAtMm(Math.max(0, profile.volumeAtMl(to) + dome - lost));
  }

  private Plan.LayerView layer(Job.Line line, int index) {
    Job.Level level = line.level(index);
    double density = looks.tint(level).mixDensity();
    double massG =
        level.colours().stream()
            .mapToDouble(c -> c.volumeMl() * job.tint(level, c.colour()).mixDensity())
            .sum();
    return new Plan.LayerView(
        level.colour().id(),
        level.colour().name(),
        level.colour().swatch(),
        level.fromMm(),
        level.toMm(),
        level.volumeMl(),
        level.stage(),
        looks.of(line, index),
        massG,
        level.resinId(),
        level.colours().stream()
            .map(c ->
                new Plan.ColourView(
                    c.colour().id(),
                    c.colour().name(),
                    c.colour().swatch(),
                    c.volumeMl() / level.volumeMl()))
            .toList(),
        level.embeds().stream()
            .map(e ->
                new Plan.InsideView(
                    e.embed().id(),
                    e.embed().name(),
                    e.placed().count(),
                    e.embed().in(density),
                    Math.cbrt(6 * e.embed().displacesMl() * 1_000 / Math.PI),
                    e.displacesMl()))
            .toList());
  }
}
