package calmpour.core.cup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Optional;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;

/** Parts that are poured up to the rings of a cup, judged by the frustum of a cone alone. */
class RingsTest {
  private static final double TOLERANCE = 3;

  /** V = πh(D² + Dd + d²)/12, as any handbook has it; mL. */
  private static double frustum(CupKind cup, double upTo) {
    double d = cup.bottomWidthMm();
    double top = d + (cup.topWidthMm() - d) * upTo / cup.heightMm();
    return Math.PI * upTo * (top * top + top * d + d * d) / 12 / 1_000;
  }

  private static CupKind cup(double bottom, double top, double high, Double rings) {
    return new CupKind("c", "Cup", CupKind.Use.EITHER, bottom, top, high).withRingsMm(rings);
  }

  /** In a straight cup 2 : 1 is two rings and three, where a quarter less would not be 2 : 1. */
  @Test
  void aStraightCupIsReadOff() {
    CupKind straight = cup(60, 60, 120, 10.0);
    double need = frustum(straight, 27);
    Rings rings = Rings.of(straight, need * 2 / 3, need, TOLERANCE).orElseThrow();
    assertThat(rings.first()).isEqualTo(2);
    assertThat(rings.both()).isEqualTo(3);
    assertThat(rings.ratioErrorPercent()).isCloseTo(0, within(1e-9));
    assertThat(Rings.of(cup(60, 60, 120, null), need * 2 / 3, need, TOLERANCE)).isEmpty();
    // Nothing up to a quarter more meets it: the rings are too far apart.
    assertThat(Rings.of(cup(60, 60, 120, 26.0), need * 2 / 3, need, TOLERANCE)).isEmpty();
  }

  /** What is said holds enough in the right ratio, and nothing lower would; else none would. */
  @Test
  void theLowestThatMeetTheRatioAreSaid() {
    SplittableRandom chance = new SplittableRandom(7);
    int said = 0;
    for (int i = 0; i < 300; i++) {
      double bottom = chance.nextDouble(30, 80);
      CupKind cup =
          cup(
              bottom,
              bottom + chance.nextDouble(0, 30),
              chance.nextDouble(60, 140),
              chance.nextDouble(4, 15));
      double need = frustum(cup, cup.heightMm() * chance.nextDouble(0.2, 0.9));
      double first = need * chance.nextDouble(0.3, 0.7);
      Optional<Rings> rings = Rings.of(cup, first, need, TOLERANCE);
      Optional<Double> lowest = lowest(cup, first, need);
      assertThat(rings.map(Rings::both)).as("cup %d", i).isEqualTo(lowest);
      if (rings.isPresent()) {
        said++;
        double holds = frustum(cup, rings.get().both() * cup.ringsMm());
        double below = frustum(cup, rings.get().first() * cup.ringsMm());
        assertThat(holds).isGreaterThanOrEqualTo(need * (1 - 1e-9));
        double ratio = below / (holds - below) / (first / (need - first));
        assertThat(Math.abs(ratio - 1) * 100).isLessThanOrEqualTo(TOLERANCE + 1e-6);
      }
    }
    assertThat(said).isBetween(100, 299);
  }

  /** Tried one by one. */
  private static Optional<Double> lowest(CupKind cup, double first, double need) {
    double quarter = cup.ringsMm() / 4;
    for (int both = 1; both * quarter <= cup.heightMm(); both++) {
      double holds = frustum(cup, both * quarter);
      if (holds < need * (1 - 1e-9) || holds > need * 1.25 * (1 + 1e-9)) {
        continue;
      }
      for (int low = 1; low < both; low++) {
        double below = frustum(cup, low * quarter);
        double ratio = below / (holds - below) / (first / (need - first));
        if (Math.abs(ratio - 1) * 100 <= TOLERANCE) {
          return Optional.of(both / 4.0);
        }
      }
    }
    return Optional.empty();
  }
}
