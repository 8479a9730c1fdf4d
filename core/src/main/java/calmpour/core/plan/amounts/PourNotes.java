package calmpour.core.plan.amounts;

import calmpour.core.derive.Formula;
import calmpour.core.derive.Origin;
import calmpour.core.derive.Recorder;
import calmpour.core.design.Fill;
import calmpour.core.design.Layer;
import calmpour.core.mould.MouldMake;
import calmpour.core.plan.doc.Place;
import calmpour.core.session.Job;
import calmpour.core.session.JobInResin;

/** Writes down how much a pour takes. */
final class PourNotes {
  /** Beyond that something else than rounding up to milligrams made it more, g. */
  private static final double WHOLE_MILLIGRAMS = 0.002;

  private final JobInResin job;
  private final Recorder recorder;

  PourNotes(JobInResin job, Recorder recorder) {
    this.job = job;
    this.recorder = recorder;
  }

  /** What is full to the rim may end a digit below it. */
  private static final double HAIR_BELOW = 1 - 1e-9;

  void note(PourDraft pour, FilledCup cup, Place cupAt) {
    Place at = new Place.OfPour(pour.id());
    Job.Line line = job.lines().get(pour.line());
    Job.Level level = pour.level();
    // A coat and what goes round embeds have a sum of their own.
    Layer layer = level.coat() ? null : line.piece().layers().get(pour.layer());
    Fill fill = layer == null ? null : layer.fill();
    // A flat back ends below the rim: by depth, too.
    double rim = line.profile().depthMm() * HAIR_BELOW;
    boolean flat = fill == null && !level.coat() && level.toMm() < rim;
    Formula formula =
        layer == null
            ? Formula.COAT_VOLUME
            : fill == null
                ? flat ? Formula.FILL_BY_DEPTH : Formula.FILL_THE_REST
                : fill.share() != null
                    ? Formula.FILL_BY_SHARE
                    : fill.volumeMl() != null || fill.massG() != null
                        ? Formula.FILL_BY_VOLUME
                        : Formula.FILL_BY_DEPTH;
    recorder.note(
        at + "/volumeMl",
        pour.volumeMl(),
        "mL",
        formula,
        step -> {
          if (layer == null) {
            double thick = level.volumeMl() / level.coatAreaCm2() * 10;
            step.given("area", line.name(), level.coatAreaCm2(), "cm²", Origin.MEASURED)
                .given("thickness with edges and drip", null, thick, "mm", Origin.CHOSEN);
            return;
          }
          double holds = line.measured().volumeMl();
          if (line.cavity().learned() == null) {
            step.given("mould holds", line.name(), holds, "mL", Origin.MEASURED);
          } else {
            String of = "fill/" + line.mould().id() + "/" + line.cavity().id();
            step.learned("mould holds", line.name(), holds, "mL", of);
          }
          double off = line.uncertainShare() * line.measured().volumeMl();
          step.given("give or take", line.name(), off, "mL", Origin.ASSUMED);
          if (fill == null && !flat) {
            double below = line.profile().volumeAtMl(pour.level().fromMm());
            step.given("filled below", null, below, "mL", Origin.WORKED_OUT);
            if (level.above() != null) {
              above(step, line, level.above());
              step.given("height of it", null, level.above().mm(), "mm", Origin.WORKED_OUT);
            }
          } else if (fill != null && fill.share() != null) {
            step.given("share", null, fill.share() * 100, "%", Origin.CHOSEN);
          } else if (fill != null && fill.volumeMl() != null) {
            step.given("layer", null, fill.volumeMl(), "mL", Origin.CHOSEN);
          } else if (fill != null && fill.massG() != null) {
            double density = cup.tint().mixDensity();
            step.given("layer", null, fill.massG(), "g", Origin.CHOSEN)
                .from("density of the mix", cupAt + "/mixDensity", density, "g/mL");
          } else {
            double deep = level.toMm() - level.fromMm();
            step.given("mould depth", line.name(), line.profile().depthMm(), "mm", Origin.MEASURED)
                .given("layer", null, deep, "mm", Origin.CHOSEN)
                .given(
                    "holds up to there",
                    line.name(),
                    line.profile().volumeAtMl(level.toMm()),
                    "mL",
                    Origin.MEASURED)
                .given(
                    "holds below",
                    line.name(),
                    line.profile().volumeAtMl(level.fromMm()),
                    "mL",
                    Origin.MEASURED);
          }
          for (Job.EmbedIn inside : level.embeds()) {
            String name = inside.embed().name();
            step.given("displaced by", name, inside.displacesMl(), "mL", Origin.MEASURED);
          }
          double share = pour.volumeMl() / level.volumeMl();
          if (Math.abs(share - 1) > 1e-9) {
            // One of several colours, halves, or parts that one cup cannot hold.
            step.given("of the layer", null, share * 100, "%", Origin.WORKED_OUT);
          }
        });
    recorder.note(
        at + "/massG",
        Milligrams.grams(pour.massMg()),
        "g",
        Formula.POUR_MASS,
        step -> {
          double density = cup.tint().mixDensity();
          step.from("volume", at + "/volumeMl", pour.volumeMl(), "mL")
              .from("density of the mix", cupAt + "/mixDensity", density, "g/mL");
          double more = Milligrams.grams(pour.massMg()) - pour.volumeMl() * density;
          if (more > WHOLE_MILLIGRAMS) {
            step.given("stays in the cup of all colours", null, more, "g", Origin.ASSUMED);
          }
        });
  }

  /** What stands above the rim: of a closed mould it was told, learned, or is assumed. */
  private static void above(Recorder.Step step, Job.Line line, Job.Above above) {
    MouldMake make = line.mould().make();
    Double surplus = make == null ? null : make.surplusMl();
    if (line.lidded() && surplus != null && surplus == above.ml()) {
      String lid = "lid/" + line.mould().id();
      step.mayBeLearned("above the rim", null, above.ml(), "mL", Origin.CHOSEN, lid);
    } else {
      step.given("above the rim", null, above.ml(), "mL", Origin.WORKED_OUT);
    }
  }
}
