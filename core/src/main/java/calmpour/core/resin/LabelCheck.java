package calmpour.core.resin;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Holds what is printed on a label against itself. Nothing here forbids anything: a label that
 * contradicts itself is worth a letter to its maker, and a small trial.
 */
public final class LabelCheck {
  /** A ratio by weight and one by volume may differ by rounding; beyond this something is wrong. */
  private static final double ROUNDED = 0.04;

  /** A over B of ordinary systems, by density (common practice, no source). */
  private static final double LEAST_DENSITY_RATIO = 0.95;

  private static final double MOST_DENSITY_RATIO = 1.35;

  /** A batch this many times the mass of the pot life's test lives much shorter than it. */
  private static final double FAR_LARGER = 8;

  private LabelCheck() {}

  /**
   * One thing that does not fit.
   *
   * @param value what the label says
   * @param against what it would have to be, or is held against
   * @param unit of both
   */
  public record LabelDoubt(
      Kind kind, @Nullable Double value, @Nullable Double against, String unit) {
    static LabelDoubt of(Kind kind, double value, double against, String unit) {
      return new LabelDoubt(kind, value, against, unit);
    }
  }

  /** What does not fit. */
  public enum Kind {
    /** The two ratios want A this many times as dense as B. */
    RATIOS_DISAGREE,
    /** Both ratios are on the same basis. */
    RATIOS_SAME_BASIS,
    /** The largest batch is far larger than what the pot life was found with. */
    BATCH_OUTLIVES_POT_LIFE,
    /** Stirring by the label leaves little of the pot life. */
    STIRRING_EATS_POT_LIFE,
    DEMOULD_AFTER_FULL_CURE,
    DEMOULD_BEFORE_TACK_FREE,
    TACK_FREE_WITHIN_POT_LIFE,
    RECOAT_AFTER_FULL_CURE,
    /** A slow pot life and a demould within a few hours do not go together. */
    SLOW_YET_SOON_OUT,
    /** A fast or coating resin that claims to be poured deep. */
    DEEP_FOR_ITS_KIND,
    FOR_EVERY_USE
  }

  public static List<LabelDoubt> of(ResinSystem resin) {
    List<LabelDoubt> doubts = new ArrayList<>();
    ratios(resin, doubts);
    potLife(resin, doubts);
    times(resin, doubts);
    uses(resin, doubts);
    return doubts;
  }

  private static void ratios(ResinSystem resin, List<LabelDoubt> doubts) {
    MixRatio other = resin.facts() == null ? null : resin.facts().otherRatio();
    if (other == null) {
      return;
    }
    if (other.basis() == resin.ratio().basis()) {
      doubts.add(new LabelDoubt(Kind.RATIOS_SAME_BASIS, null, null, ""));
      return;
    }
    double own = resin.ratio().partsA() / resin.ratio().partsB();
    double second = other.partsA() / other.partsB();
    // By weight over by volume is what A must be denser than B.
    double wanted = other.basis() == MixRatio.Basis.WEIGHT ? second / own : own / second;
    if (resin.densityA() != null && resin.densityB() != null) {
      double known = resin.densityA() / resin.densityB();
      if (Math.abs(wanted / known - 1) > ROUNDED) {
        doubts.add(LabelDoubt.of(Kind.RATIOS_DISAGREE, wanted, known, "×"));
      }
    } else if (wanted < LEAST_DENSITY_RATIO || wanted > MOST_DENSITY_RATIO) {
      double usual = resin.knownDensityA().value() / resin.knownDensityB().value();
      doubts.add(LabelDoubt.of(Kind.RATIOS_DISAGREE, wanted, usual, "×"));
    }
  }

  private static void potLife(ResinSystem resin, List<LabelDoubt> doubts) {
    Double potLife = resin.potLifeMinutes();
    if (potLife == null) {
      return;
    }
    Double tested = resin.potLifeMassG();
    if (resin.largestBatchG() != null
        && tested != null
        && resin.largestBatchG() > FAR_LARGER * tested) {
      doubts.add(LabelDoubt.of(Kind.BATCH_OUTLIVES_POT_LIFE, resin.largestBatchG(), tested, "g"));
    }
    if (resin.mixMinutes() != null && resin.mixMinutes() > potLife / 3) {
      doubts.add(LabelDoubt.of(Kind.STIRRING_EATS_POT_LIFE, resin.mixMinutes(), potLife, "min"));
    }
  }

  private static void times(ResinSystem resin, List<LabelDoubt> doubts) {
    CureTimes times = resin.times();
    if (times == null) {
      return;
    }
    Double full = times.fullCureHours();
    Double out = times.demouldHours();
    Double tack = times.tackFreeHours();
    Double potLife = resin.potLifeMinutes();
    if (out != null && full != null && out > full) {
      doubts.add(LabelDoubt.of(Kind.DEMOULD_AFTER_FULL_CURE, out, full, "h"));
    }
    if (out != null && tack != null && out < tack) {
      doubts.add(LabelDoubt.of(Kind.DEMOULD_BEFORE_TACK_FREE, out, tack, "h"));
    }
    if (tack != null && potLife != null && tack * 60 < potLife) {
      doubts.add(LabelDoubt.of(Kind.TACK_FREE_WITHIN_POT_LIFE, tack * 60, potLife, "min"));
    }
    if (times.recoatFromHours() != null && full != null && times.recoatFromHours() > full) {
      doubts.add(LabelDoubt.of(Kind.RECOAT_AFTER_FULL_CURE, times.recoatFromHours(), full, "h"));
    }
    if (out != null && potLife != null && potLife >= 30 && out * 60 < 6 * potLife) {
      doubts.add(LabelDoubt.of(Kind.SLOW_YET_SOON_OUT, out, potLife / 60, "h"));
    }
  }

  private static void uses(ResinSystem resin, List<LabelDoubt> doubts) {
    LabelFacts facts = resin.facts();
    if (facts == null) {
      return;
    }
    Double deepest = facts.depthToMm();
    double usual =
        switch (resin.kind()) {
          case COATING -> 10;
          case FAST, POLYURETHANE -> 50;
          case CASTING -> 60;
          case DEEP -> 300;
        };
    if (deepest != null && deepest > usual) {
      doubts.add(LabelDoubt.of(Kind.DEEP_FOR_ITS_KIND, deepest, usual, "mm"));
    }
    if (Boolean.TRUE.equals(facts.forEveryUse())) {
      doubts.add(new LabelDoubt(Kind.FOR_EVERY_USE, null, null, ""));
    }
  }
}
