package calmpour.core.audit;

import calmpour.core.design.PlacedEmbed;
import calmpour.core.design.SurfaceWork;
import calmpour.core.embed.Embed;
import calmpour.core.mould.Measured;
import calmpour.core.plan.Facts;
import calmpour.core.plan.doc.Finding;
import calmpour.core.plan.doc.Finding.Mend;
import calmpour.core.plan.doc.LineLayer;
import calmpour.core.plan.doc.Place;
import calmpour.core.session.Job;
import java.util.List;

/** Embeds are dry, do not poke through loose powder, and stay where they are put. */
final class EmbedsFit implements Rule {
  @Override
  public void judge(Facts facts, Findings told) {
    List<Job.Line> lines = facts.job().lines();
    for (int l = 0; l < lines.size(); l++) {
      Job.Line line = lines.get(l);
      boolean loose =
          line.piece().workOrNone().surface().stream()
              .map(SurfaceWork::kind)
              .anyMatch(SurfaceWork.Kind::loose);
      if (loose && line.cavity().bed() != null) {
        told.near(Finding.Rule.CHIPS_DENT_POWDER, Place.line(l), 1, 0, "", Findings.openPiece(l));
      }
      for (int layer = 0; layer < line.levels().size(); layer++) {
        Job.Level level = line.levels().get(layer);
        for (Job.EmbedIn inside : level.embeds()) {
          Place place = Place.of(new LineLayer(l, layer));
          Embed embed = inside.embed();
          if (Boolean.FALSE.equals(embed.dry())) {
            told.near(
                Finding.Rule.EMBED_NOT_DRY,
                place,
                0,
                1,
                "",
                new Mend(Mend.Kind.OPEN_SHELF, 0, "embed/" + embed.id()));
          }
          if (loose && layer == 0 && Boolean.TRUE.equals(embed.pointed())) {
            told.near(Finding.Rule.EMBED_POKES_THROUGH, place, 1, 0, "", Findings.openPiece(l));
          }
          size(line, level, inside, place, l, told);
          moves(facts, level, inside, place, told);
        }
      }
    }
  }

  /** As it stands in the piece: no longer and wider than its cavity, no higher than its layer. */
  private static void size(
      Job.Line line, Job.Level level, Job.EmbedIn inside, Place place, int l, Findings told) {
    Embed embed = inside.embed();
    Double length = embed.lengthMm();
    if (length != null && line.cavity().outlineKnown()) {
      double wide = line.measured().section().widthMm();
      if (length > wide) {
        told.near(Finding.Rule.EMBED_TOO_LARGE, place, length, wide, "mm", Findings.openPiece(l));
      }
    }
    Double across = embed.widthMm();
    if (across != null && line.cavity().outlineKnown()) {
      // Seen from above: its area over its longer side.
      Measured bare = line.cavity().bare();
      double rim = bare.profile().areaAtMm2(bare.profile().depthMm());
      double narrow = rim / bare.section().widthMm();
      if (across > narrow) {
        told.near(Finding.Rule.EMBED_TOO_LARGE, place, across, narrow, "mm", Findings.openPiece(l));
      }
    }
    Double height = embed.heightMm();
    if (height != null) {
      double thick = level.toMm() - level.fromMm();
      double covered = height * inside.placed().inResin();
      if (covered > thick) {
        told.near(
            Finding.Rule.EMBED_NOT_COVERED, place, covered, thick, "mm", Findings.openPiece(l));
      }
    }
  }

  /** Put free into a fresh layer, what is much lighter or heavier does not stay. */
  private static void moves(
      Facts facts, Job.Level level, Job.EmbedIn inside, Place place, Findings told) {
    double density = facts.job().tint(level, level.colour()).mixDensity();
    Embed.Tendency tendency = inside.embed().in(density);
    boolean free =
        !inside.placed().anchored()
            && inside.placed().moment() == PlacedEmbed.Moment.AFTER_POUR
            && tendency != Embed.Tendency.HOVERS;
    if (free) {
      told.note(
          tendency == Embed.Tendency.FLOATS ? Finding.Rule.EMBED_RISES : Finding.Rule.EMBED_SINKS,
          place,
          inside.embed().knownDensity(),
          density,
          "g/mL");
    }
  }
}
