package calmpour.core.plan.amounts;

import calmpour.core.cup.Residue;
import calmpour.core.plan.doc.PourId;
import calmpour.core.session.Job;
import calmpour.core.tint.Colour;
import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleFunction;

/**
 * One pour before it has a cup and a time.
 *
 * @param part from 1: a layer takes several pours when it has several colours, when an embed goes
 *     in between its halves, or when no cup holds it
 * @param half 1 or 2 where an embed goes in between; 1 otherwise
 * @param volumeMl that reaches the mould
 * @param massMg that leaves the cup
 * @param toMm level that the cavity reaches with it
 * @param hand which of the cups put together by hand holds it, or {@link CupDraft#BY_PLAN}
 */
public record PourDraft(
    int line,
    int cavity,
    int layer,
    int part,
    int parts,
    int half,
    Job.Level level,
    Colour colour,
    double volumeMl,
    double toMm,
    long massMg,
    long mayTakeMoreMg,
    int hand) {

  /** Which pours a level of a cavity takes, in the order they are poured. */
  public static List<PourDraft> of(
      int line,
      int cavity,
      int layer,
      Job.Line of,
      ToDoubleFunction<Colour> mixDensity,
      Residue gathering,
      int hand) {
    Job.Level level = of.level(layer);
    int halves = level.inHalves() ? 2 : 1;
    int parts = halves * level.colours().size();
    List<PourDraft> pours = new ArrayList<>();
    double filledMl = 0;
    for (int half = 1; half <= halves; half++) {
      for (Job.ColourShare share : level.colours()) {
        double volumeMl = share.volumeMl() / halves;
        filledMl += volumeMl;
        double massG = volumeMl * mixDensity.applyAsDouble(share.colour());
        // What one cup for all colours keeps has to leave theirs as well.
        double out = level.gathered() ? gathering.contentFor(massG * parts) / parts : massG;
        // A coat is as thick as it is made, however badly the mould is known.
        double more = level.coat() ? 0 : massG * of.uncertainShare();
        pours.add(
            new PourDraft(
                line,
                cavity,
                layer,
                pours.size() + 1,
                parts,
                half,
                level,
                share.colour(),
                volumeMl,
                level.fromMm()
                    + (level.toMm() - level.fromMm()) * Math.min(1, filledMl / level.volumeMl()),
                Milligrams.up(out),
                Milligrams.up(more),
                share.colour().id().equals(level.colour().id()) ? hand : CupDraft.BY_PLAN));
      }
    }
    return pours;
  }

  /** The same pour out of several cups or batches; no milligram is lost in the division. */
  public List<PourDraft> inParts(int count) {
    List<PourDraft> all = new ArrayList<>();
    double each = volumeMl / count;
    double fromMm = toMm - (level.toMm() - level.fromMm()) * volumeMl / level.volumeMl();
    for (int p = 0; p < count; p++) {
      long upTo = massMg * (p + 1) / count;
      long before = massMg * p / count;
      long more = mayTakeMoreMg * (p + 1) / count - mayTakeMoreMg * p / count;
      all.add(
          new PourDraft(
              line,
              cavity,
              layer,
              (part - 1) * count + p + 1,
              parts * count,
              half,
              level,
              colour,
              each,
              fromMm + (toMm - fromMm) * (p + 1) / count,
              upTo - before,
              more,
              hand));
    }
    return all;
  }

  public PourId id() {
    return new PourId(line + 1, cavity, layer + 1, parts == 1 ? 0 : part);
  }
}
