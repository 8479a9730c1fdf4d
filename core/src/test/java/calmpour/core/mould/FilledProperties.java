package calmpour.core.mould;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.Samples;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;

/** Cavities with something standing or lying in them still fill as cavities do. */
class FilledProperties {
  private static Measurement of(Solid solid) {
    return Samples.solids(solid);
  }

  private static void fillsAsACavityDoes(DepthProfile profile) {
    double before = 0;
    for (int i = 0; i <= 200; i++) {
      double depth = profile.depthMm() * i / 200;
      double now = profile.volumeAtMl(depth);
      assertThat(now).isGreaterThanOrEqualTo(before - 1e-9);
      assertThat(profile.areaAtMm2(depth)).isGreaterThanOrEqualTo(-1e-9);
      before = now;
    }
    assertThat(profile.volumeAtMl(profile.depthMm())).isCloseTo(profile.volumeMl(), within(1e-9));
    for (double share : new double[] {0.1, 0.5, 0.9}) {
      double volume = profile.volumeMl() * share;
      assertThat(profile.volumeAtMl(profile.depthAtMm(volume))).isCloseTo(volume, within(1e-6));
    }
  }

  @Property(tries = 150, seed = "20261123")
  void roundAnInnerMould(
      @ForAll @DoubleRange(min = 10, max = 80) double rim,
      @ForAll @DoubleRange(min = 0.3, max = 1) double taper,
      @ForAll @DoubleRange(min = 8, max = 90) double depth,
      @ForAll @DoubleRange(min = 0.1, max = 0.8) double wide,
      @ForAll @DoubleRange(min = 0.1, max = 1.6) double high,
      @ForAll @DoubleRange(min = 0, max = 0.9) double clear) {
    Solid outside = SolidTest.cone(rim * taper, rim, depth);
    Solid inside =
        SolidTest.solid(SolidKind.CYLINDER, null, Math.max(0.5, rim * taper * wide), depth * high);
    InnerMould inner = new InnerMould(List.of(inside), depth * clear, null);
    Cavity cavity = new Cavity("c", "C", 1, of(outside), null, null, inner, null);
    fillsAsACavityDoes(cavity.measured().profile());
    InnerMould.Effect effect = inner.effect(cavity.bare(), 1.1);
    // What it saves is what of it is under the rim, and with it the cavity is whole again.
    assertThat(effect.savedMl() + cavity.measured().volumeMl())
        .isCloseTo(cavity.bare().volumeMl(), within(1e-9));
    double wet = Math.min(inside.depthMm(), depth * (1 - clear));
    assertThat(effect.savedMl())
        .isCloseTo(Math.PI * Math.pow(inside.widthMm() / 2, 2) * wet / 1_000, within(1e-6));
    assertThat(effect.wallMm()).isBetween(0.0, rim / 2);
    assertThat(cavity.measured().section().rows())
        .allSatisfy(row -> assertThat(row.holeMm()).isLessThan(row.rightMm() + 1e-9));
  }

  @Property(tries = 150, seed = "20261123")
  void overABedOfChips(
      @ForAll @DoubleRange(min = 10, max = 80) double rim,
      @ForAll @DoubleRange(min = 8, max = 60) double depth,
      @ForAll @DoubleRange(min = 0.01, max = 1) double full,
      @ForAll @DoubleRange(min = 0.2, max = 0.95) double packing) {
    Solid outside = SolidTest.cone(rim * 0.6, rim, depth);
    double holds = StackedSolids.of(List.of(outside)).volumeMl();
    double bulk = Math.max(0.05, holds * full);
    ChipBed bed = new ChipBed(Math.min(bulk, holds), Math.min(bulk, holds) * packing * 2.6, null);
    Cavity cavity = new Cavity("c", "C", 1, of(outside), null, null, null, bed);
    fillsAsACavityDoes(cavity.measured().profile());
    assertThat(cavity.measured().volumeMl()).isCloseTo(holds - bed.solidMl(), within(1e-9 * holds));
  }
}
