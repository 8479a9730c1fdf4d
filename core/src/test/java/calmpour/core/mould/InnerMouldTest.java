package calmpour.core.mould;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.Samples;
import calmpour.core.check.InvalidValuesException;
import calmpour.core.check.Problem;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;

/** A form that leaves a hollow, by hand: a rod in a round cavity 40 mm across and 30 deep. */
class InnerMouldTest {
  private static final Measured ROUND = measured(cylinder(40, 30));

  private static Solid cylinder(double across, double deep) {
    return new Solid(SolidKind.CYLINDER, null, across, deep, null, null, null, null, null);
  }

  private static Measured measured(Solid... parts) {
    return Measured.of(Samples.solids(parts), null, null);
  }

  private static InnerMould rod(double across, double tall, double clearance) {
    return new InnerMould(List.of(cylinder(across, tall)), clearance, null);
  }

  private static List<Section.SectionRow> at(Measured in, double depth) {
    return in.section().rows().stream().filter(r -> r.depthMm() == depth).toList();
  }

  /** Five above the floor and as high as the rim: a ring of 10 mm round 20, and a floor. */
  @Test
  void itKeepsItsOwnRoomFreeAndLeavesAWallAndAFloor() {
    Measured in = rod(20, 25, 5).in(ROUND);
    assertThat(ROUND.volumeMl() - in.volumeMl()).isCloseTo(Math.PI * 100 * 25 / 1e3, within(1e-9));
    assertThat(in.profile().areaAtMm2(4)).isCloseTo(Math.PI * 400, within(1e-6));
    assertThat(in.profile().areaAtMm2(5)).isCloseTo(Math.PI * 300, within(1e-6));
    assertThat(in.profile().areaAtMm2(30)).isCloseTo(Math.PI * 300, within(1e-6));
    assertThat(in.profile().volumeAtMl(10))
        .isCloseTo((400 * 10 - 100 * 5) * Math.PI / 1e3, within(1e-9));
    assertThat(at(in, 0)).extracting(Section.SectionRow::holeMm).containsExactly(0.0);
    assertThat(at(in, 5)).extracting(Section.SectionRow::holeMm).containsExactly(0.0, 10.0);
    assertThat(at(in, 30)).extracting(Section.SectionRow::holeMm).containsExactly(10.0, 0.0);
    assertThat(in.section().rows()).allMatch(r -> r.leftMm() == -20 && r.rightMm() == 20);
  }

  /** It ends below the rim, or stands out of it. */
  @Test
  void whatEndsBelowTheRimIsCoveredAndWhatStandsOutKeepsNothingOut() {
    Measured low = rod(20, 15, 5).in(ROUND);
    assertThat(low.profile().areaAtMm2(20)).isCloseTo(Math.PI * 300, within(1e-6));
    assertThat(low.profile().areaAtMm2(21)).isCloseTo(Math.PI * 400, within(1e-6));
    assertThat(at(low, 20)).extracting(Section.SectionRow::holeMm).containsExactly(10.0, 0.0);
    Measured tall = rod(20, 40, 5).in(ROUND);
    assertThat(ROUND.volumeMl() - tall.volumeMl())
        .isCloseTo(Math.PI * 100 * 25 / 1e3, within(1e-9));
    assertThat(tall.section().rows()).allMatch(r -> r.depthMm() <= 30);
  }

  private static InnerMould.Effect effect(double across, @Nullable Double massG) {
    return new InnerMould(List.of(cylinder(across, 25)), 5, massG).effect(ROUND, 1.1);
  }

  /**
   * Archimedes; a quarter more than it lifts keeps it down for sure, and 2 mm of wall do not tear.
   */
  @Test
  void itIsLiftedByWhatItKeepsOut() {
    double saved = Math.PI * 100 * 25 / 1e3;
    InnerMould.Effect light = effect(20, 3.0);
    assertThat(light.savedMl()).isCloseTo(saved, within(1e-9));
    assertThat(light.liftG()).isCloseTo(saved * 1.1, within(1e-9));
    assertThat(light.ballastG()).isCloseTo(saved * 1.1 * 1.25 - 3, within(1e-9));
    assertThat(effect(20, null).ballastG()).isCloseTo(saved * 1.1 * 1.25, within(1e-9));
    assertThat(effect(20, 900.0).ballastG()).isZero();
    assertThat(light.wallMm()).isCloseTo(10, within(1e-9));
    assertThat(effect(36, null).thin()).isFalse();
    assertThat(effect(36.2, null).thin()).isTrue();
    assertThat(effect(36.2, null).wallMm()).isCloseTo(1.9, within(1e-9));
  }

  /** In a slot the wall that the section does not show is the thin one: 20 across, a rod of 16. */
  @Test
  void theWallAcrossASlotCounts() {
    Measured slot =
        measured(new Solid(SolidKind.BOX, 60.0, 20.0, 30.0, null, null, null, null, null));
    assertThat(rod(16, 25, 5).effect(slot, 1.1).wallMm()).isCloseTo(2, within(0.1));
  }

  @Test
  void whatWidensDownwardsDoesNotComeOut() {
    assertThat(rod(20, 20, 5).effect(ROUND, 1.1).drawsOut()).isTrue();
    InnerMould step = new InnerMould(List.of(cylinder(20, 10), cylinder(12, 10)), 5, null);
    assertThat(step.effect(ROUND, 1.1).drawsOut()).isFalse();
    InnerMould stair = new InnerMould(List.of(cylinder(12, 10), cylinder(20, 10)), 5, null);
    assertThat(stair.effect(ROUND, 1.1).drawsOut()).isTrue();
  }

  private static void refused(InnerMould inner, String field, Problem.Code code) {
    assertThatThrownBy(() -> inner.in(ROUND))
        .isInstanceOfSatisfying(
            InvalidValuesException.class,
            e -> {
              assertThat(e.problems()).extracting(Problem::field).containsExactly(field);
              assertThat(e.problems()).extracting(Problem::code).containsExactly(code);
            });
  }

  @Test
  void whatDoesNotFitIsRefused() {
    refused(rod(20, 25, 30), "inner.clearanceMm", Problem.Code.ABOVE_RIM);
    assertThat(rod(20, 25, 29.9).in(ROUND).volumeMl()).isLessThan(ROUND.volumeMl());
    refused(rod(40, 25, 5), "inner.parts", Problem.Code.INNER_TOO_WIDE);
    refused(rod(44, 25, 5), "inner.parts", Problem.Code.INNER_TOO_WIDE);
    assertThatThrownBy(() -> new InnerMould(List.of(), 5, null))
        .isInstanceOf(InvalidValuesException.class);
    assertThatThrownBy(() -> rod(20, 25, -1)).isInstanceOf(InvalidValuesException.class);
  }
}
