package calmpour.core.resin;

import java.util.ArrayList;
import java.util.List;

/**
 * A and B measured in two cups and poured together: what clings to the emptied one is lost, and the
 * schools differ in what to do about it. Common practice, no source.
 */
public final class TwoMeasures {
  /** Left on a wall that was scraped, g (starting value, no source). */
  private static final double SCRAPED_G = 0.3;

  private TwoMeasures() {}

  /** What to do about it. */
  public enum School {
    /** Both into one cup, one on the other: nothing is lost. */
    ONE_CUP,
    /** Scrape the emptied cup out. */
    SCRAPE,
    /** Overfill the emptied cup by what usually stays. */
    OVERFILL,
    /** Pour both into a third cup, so that both leave about the same share. */
    EQUAL_RESIDUE
  }

  /**
   * What one school does to a batch.
   *
   * @param extraG to measure beyond the card into the cup that is emptied
   * @param ratioErrorPercent how far A:B is off in the mix, positive when A is heavy
   */
  public record MeasureEffect(School school, double extraG, double ratioErrorPercent) {}

  /**
   * @param partAG and
   * @param partBG grams measured; the second, poured last, is the one whose cup is emptied
   * @param emptiesB whether that is B
   * @param residueG stays in any cup, and
   * @param residueShare of what was in it stays as well
   */
  public static List<MeasureEffect> effects(
      double partAG, double partBG, boolean emptiesB, double residueG, double residueShare) {
    double emptied = emptiesB ? partBG : partAG;
    double clings = residueG + residueShare * emptied;
    List<MeasureEffect> effects = new ArrayList<>();
    for (School school : School.values()) {
      double extra = school == School.OVERFILL ? clings / (1 - residueShare) : 0;
      double lost =
          switch (school) {
            case ONE_CUP -> 0;
            case SCRAPE -> Math.min(SCRAPED_G, clings);
            case OVERFILL -> residueG + residueShare * (emptied + extra);
            case EQUAL_RESIDUE -> clings;
          };
      double other =
          school == School.EQUAL_RESIDUE
              ? residueG + residueShare * (emptiesB ? partAG : partBG)
              : 0;
      double a = partAG + (emptiesB ? -other : extra - lost);
      double b = partBG + (emptiesB ? extra - lost : -other);
      effects.add(new MeasureEffect(school, extra, (a / b / (partAG / partBG) - 1) * 100));
    }
    return effects;
  }
}
