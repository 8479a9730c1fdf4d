package calmpour.core.resin;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.Samples;
import calmpour.core.resin.LabelCheck.Kind;
import calmpour.core.resin.LabelCheck.LabelDoubt;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;

/** What a label says against itself: right at its limits, and just beyond them. */
class LabelCheckTest {
  private static final ResinSystem PLAIN =
      Samples.resin(new MixRatio(2, 1, MixRatio.Basis.VOLUME), null, null, 30.0, null)
          .withMixMinutes(null);

  private static void fits(ResinSystem resin) {
    assertThat(LabelCheck.of(resin)).isEmpty();
  }

  private static void doubted(
      ResinSystem resin, Kind kind, double value, double against, String unit) {
    List<LabelDoubt> doubts = LabelCheck.of(resin);
    assertThat(doubts).extracting(LabelDoubt::kind).containsExactly(kind);
    assertThat(doubts.getFirst().value()).isCloseTo(value, within(1e-9));
    assertThat(doubts.getFirst().against()).isCloseTo(against, within(1e-9));
    assertThat(doubts.getFirst().unit()).isEqualTo(unit);
  }

  /** Eight times the mass of its test, and a third of its minutes. */
  @Test
  void aPotLifeIsHeldAgainstItsBatchAndItsStirring() {
    fits(PLAIN.withLargestBatchG(800.0));
    doubted(PLAIN.withLargestBatchG(801.0), Kind.BATCH_OUTLIVES_POT_LIFE, 801, 100, "g");
    fits(PLAIN.withLargestBatchG(801.0).withPotLifeMassG(null));
    fits(PLAIN.withMixMinutes(10.0));
    doubted(PLAIN.withMixMinutes(10.5), Kind.STIRRING_EATS_POT_LIFE, 10.5, 30, "min");
    fits(PLAIN.withMixMinutes(10.5).withLargestBatchG(801.0).withPotLifeMinutes(null));
  }

  private static ResinSystem times(
      @Nullable Double tackFree,
      @Nullable Double recoatFrom,
      @Nullable Double demould,
      @Nullable Double fullCure) {
    return PLAIN.withTimes(
        new CureTimes(tackFree, recoatFrom, null, demould, null, fullCure, null));
  }

  @Test
  void itsTimesComeInTheirOrder() {
    fits(times(null, null, 24.0, 24.0));
    doubted(times(null, null, 25.0, 24.0), Kind.DEMOULD_AFTER_FULL_CURE, 25, 24, "h");
    fits(times(24.0, null, 24.0, null));
    doubted(times(24.0, null, 23.0, null), Kind.DEMOULD_BEFORE_TACK_FREE, 23, 24, "h");
    fits(times(0.5, null, null, null));
    doubted(times(0.4, null, null, null), Kind.TACK_FREE_WITHIN_POT_LIFE, 24, 30, "min");
    fits(times(null, 48.0, null, 48.0));
    doubted(times(null, 49.0, null, 48.0), Kind.RECOAT_AFTER_FULL_CURE, 49, 48, "h");
    fits(times(null, 49.0, null, null));
  }

  /** Half an hour or more to pour, and out in less than six times that. */
  @Test
  void whatPoursSlowlyIsNotOutSoon() {
    fits(times(null, null, 3.0, null));
    doubted(times(null, null, 2.9, null), Kind.SLOW_YET_SOON_OUT, 2.9, 0.5, "h");
    fits(times(null, null, 1.0, null).withPotLifeMinutes(29.0));
  }

  private static ResinSystem deep(ResinKind kind, double toMm) {
    return PLAIN
        .withKind(kind)
        .withFacts(
            new LabelFacts(null, null, null, null, null, toMm, null, null, null, null, null, null));
  }

  @Test
  void depthIsHeldAgainstTheKind() {
    for (var usual :
        List.of(
            deep(ResinKind.COATING, 10),
            deep(ResinKind.FAST, 50),
            deep(ResinKind.POLYURETHANE, 50),
            deep(ResinKind.CASTING, 60),
            deep(ResinKind.DEEP, 300))) {
      fits(usual);
      double most = usual.facts().depthToMm();
      doubted(deep(usual.kind(), most + 1), Kind.DEEP_FOR_ITS_KIND, most + 1, most, "mm");
    }
  }

  private static ResinSystem ratios(
      MixRatio own, MixRatio other, @Nullable Double densityA, @Nullable Double densityB) {
    return Samples.withFacts(
        Samples.resin(own, densityA, densityB, 30.0, null).withMixMinutes(null),
        new LabelFacts(other, null, null, null, null, null, null, null, null, null, null, null));
  }

  private static MixRatio byWeight(double partsA) {
    return new MixRatio(partsA, 1, MixRatio.Basis.WEIGHT);
  }

  private static MixRatio byVolume(double partsA) {
    return new MixRatio(partsA, 1, MixRatio.Basis.VOLUME);
  }

  /** By weight over by volume is how many times as dense A has to be. */
  @Test
  void bothRatiosGoWithTheDensities() {
    fits(ratios(byVolume(2), byWeight(2.2), 1.1, 1.0));
    doubted(
        ratios(byVolume(2), byWeight(2.2), 1.15 * 1.2, 1.2), Kind.RATIOS_DISAGREE, 1.1, 1.15, "×");
    doubted(ratios(byWeight(3), byVolume(2), 1.15, 1.0), Kind.RATIOS_DISAGREE, 1.5, 1.15, "×");
    // Parts count on both sides: 4 to 2 is 2 to 1.
    fits(ratios(new MixRatio(4, 2, MixRatio.Basis.VOLUME), byWeight(2.2), 1.1, 1.0));
  }

  /** Where the densities are not known, A is 0.95 to 1.35 times as dense (common practice). */
  @Test
  void withoutDensitiesOnlyWhatNoResinHasIsDoubted() {
    fits(ratios(byVolume(2), byWeight(1.9), null, null));
    fits(ratios(byVolume(2), byWeight(2.7), null, 1.0));
    fits(ratios(byVolume(1), byWeight(1.35), 1.3, null));
    doubted(ratios(byVolume(2), byWeight(1.8), null, null), Kind.RATIOS_DISAGREE, 0.9, 1.14, "×");
    doubted(ratios(byVolume(2), byWeight(2.8), null, 0.8), Kind.RATIOS_DISAGREE, 1.4, 1.425, "×");
  }
}
