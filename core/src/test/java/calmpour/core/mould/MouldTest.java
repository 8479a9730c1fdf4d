package calmpour.core.mould;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.Samples;
import calmpour.core.check.InvalidValuesException;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;

/** A mould with its cavities, what it has been through, and what was learned of it. */
class MouldTest {
  private static final LocalDate DAY = LocalDate.of(2026, 11, 20);

  private static Cavity cavity(String id, double ml) {
    return new Cavity(id, id + " one", 2, Measurement.told(ml, 0.0), 20.0, null, null, null);
  }

  private static MouldState state(int casts, Integer expected) {
    return new MouldState(casts, expected, null, null, null, null);
  }

  @Test
  void aTrayKnowsItsCavitiesByTheirIds() {
    Mould tray = new Mould("t", "Tray", List.of(cavity("a", 8), cavity("b", 12)), null, null);
    assertThat(tray.cavity(null).id()).isEqualTo("a");
    assertThat(tray.cavity("b").id()).isEqualTo("b");
    assertThat(tray.cavity("c")).isNull();
    assertThat(tray.nameOf(tray.cavity("b"))).isEqualTo("Tray, b one");
    assertThat(tray.keyOf(tray.cavity("b"))).isEqualTo("t/b");
    Mould other = tray.with(cavity("b", 15));
    assertThat(other.cavity("b").measured().volumeMl()).isEqualTo(15);
    assertThat(other.cavity("a").measured().volumeMl()).isEqualTo(8);
    Mould told = Mould.told("k", "Knob", 12, 22.0, 5.0);
    assertThat(told.nameOf(told.cavity("main"))).isEqualTo("Knob");
    assertThat(told.cavity("main").measured().plusMinusMl()).isCloseTo(0.6, within(1e-12));
    assertThat(told.cavity(null).measured().profile().depthMm()).isEqualTo(22);
    assertThatThrownBy(
            () -> new Mould("t", "T", List.of(cavity("a", 8), cavity("a", 9)), null, null))
        .isInstanceOf(InvalidValuesException.class)
        .hasMessageContaining("cavities[1].id");
    assertThatThrownBy(() -> new Mould("t", "T", List.of(), null, null))
        .isInstanceOf(InvalidValuesException.class)
        .hasMessageContaining("cavities");
    MouldMake slow = paced(MouldMake.Pace.SLOW, null);
    assertThat(told.withMake(slow).make()).isEqualTo(slow);
    assertThat(told.withMake(slow).cavities()).isEqualTo(told.cavities());
  }

  /** Nine tenths of what it is expected to last is nearly worn; a new one's first cast is poor. */
  @Test
  void aMouldWantsWhatItHasBeenThrough() {
    assertThat(state(5, null).wants()).isEmpty();
    assertThat(state(0, 40).wants()).containsExactly(MouldState.Want.FIRST_CAST);
    assertThat(state(35, 40).wants()).isEmpty();
    assertThat(state(36, 40).wants()).containsExactly(MouldState.Want.NEARLY_WORN);
    assertThat(state(39, 40).wants()).containsExactly(MouldState.Want.NEARLY_WORN);
    assertThat(state(40, 40).wants()).containsExactly(MouldState.Want.REPLACING);
    MouldState used = new MouldState(3, 40, MouldState.Chemistry.URETHANE, false, false, null);
    assertThat(used.wants())
        .containsExactly(
            MouldState.Want.DRYING, MouldState.Want.CLEANING, MouldState.Want.AFTER_URETHANE);
    assertThat(new MouldState(3, 40, MouldState.Chemistry.EPOXY, true, true, null).wants())
        .isEmpty();
    assertThatThrownBy(() -> state(-1, null)).isInstanceOf(InvalidValuesException.class);
    assertThatThrownBy(() -> state(3, 0)).isInstanceOf(InvalidValuesException.class);
  }

  /** So many times as much at every level, for as long as it is measured as it was then. */
  @Test
  void whatWasLearnedCountsUntilItIsMeasuredAnew() {
    OwnFill more = new OwnFill(1.25, 0.02, 6, DAY, 8);
    Cavity cavity = cavity("a", 8).taking(more);
    assertThat(cavity.learned()).isEqualTo(more);
    Measured learned = cavity.measured();
    assertThat(learned.volumeMl()).isEqualTo(10);
    assertThat(learned.totalMl()).isEqualTo(10);
    // Two of its deviations either way.
    assertThat(learned.plusMinusMl()).isCloseTo(0.4, within(1e-12));
    assertThat(learned.profile().depthMm()).isEqualTo(20);
    assertThat(learned.profile().volumeAtMl(5)).isCloseTo(2.5, within(1e-12));
    assertThat(learned.profile().areaAtMm2(5)).isCloseTo(500, within(1e-9));
    assertThat(learned.profile().depthAtMm(2.5)).isCloseTo(5, within(1e-6));
    assertThat(learned.depthAssumed()).isFalse();
    // Measured anew it is as measured.
    Cavity anew = cavity("a", 8.1).taking(more);
    assertThat(anew.learned()).isNull();
    assertThat(anew.measured().volumeMl()).isEqualTo(8.1);
    assertThat(cavity("a", 8).learned()).isNull();
    assertThat(cavity.bare().volumeMl()).isEqualTo(10);
    assertThatThrownBy(() -> new OwnFill(0.2, 0.02, 6, DAY, 8))
        .isInstanceOf(InvalidValuesException.class);
    assertThatThrownBy(() -> new OwnFill(1.2, 0.02, 0, DAY, 8))
        .isInstanceOf(InvalidValuesException.class);
  }

  @Test
  void anOutlineIsKnownByLengthOrShape() {
    assertThat(cavity("a", 8).outlineKnown()).isFalse();
    assertThat(
            new Cavity("a", "A", 1, Measurement.told(8, 0.0), 20.0, 30.0, null, null)
                .outlineKnown())
        .isTrue();
    Solid box = SolidTest.solid(SolidKind.BOX, 40.0, 30.0, 10.0);
    assertThat(new Cavity("a", "A", 1, Samples.solids(box), null, null, null, null).outlineKnown())
        .isTrue();
  }

  /** A bed half as dense as it could be: half the area up to its top, all of it above. */
  @Test
  void aBedTakesItsShareOfTheAreaUpToItsTop() {
    Solid box = SolidTest.solid(SolidKind.BOX, 50.0, 40.0, 20.0);
    Cavity tray =
        new Cavity("t", "T", 1, Samples.solids(box), null, null, null, new ChipBed(10, 13, null));
    DepthProfile profile = tray.measured().profile();
    assertThat(profile.areaAtMm2(3)).isCloseTo(1_000, within(1e-6));
    assertThat(profile.areaAtMm2(6)).isCloseTo(2_000, within(1e-6));
    assertThat(profile.volumeAtMl(4.999)).isCloseTo(4.999, within(1e-6));
    assertThat(profile.volumeAtMl(20)).isCloseTo(35, within(1e-9));
  }

  @Test
  void howQuicklyItCanBeFilledAndWhatADyeGoesInto() {
    assertThat(paced(null, null).pourTimes()).isEqualTo(1);
    assertThat(paced(null, true).pourTimes()).isEqualTo(1.5);
    assertThat(paced(MouldMake.Pace.USUAL, false).pourTimes()).isEqualTo(1);
    assertThat(paced(MouldMake.Pace.SLOW, true).pourTimes()).isEqualTo(2);
    assertThat(paced(MouldMake.Pace.BY_STICK, null).pourTimes()).isEqualTo(3);
    assertThat(List.of(MouldMake.Material.values()))
        .filteredOn(MouldMake.Material::rubber)
        .containsExactly(
            MouldMake.Material.SILICONE,
            MouldMake.Material.URETHANE_RUBBER,
            MouldMake.Material.LATEX);
    assertThat(List.of(Measurement.Method.values()))
        .filteredOn(Measurement.Method::wets)
        .containsExactly(
            Measurement.Method.WATER_IN_MOULD,
            Measurement.Method.WATER_TIPPED_ON_SCALE,
            Measurement.Method.WATER_TIPPED_IN_CUP);
  }

  /** What is known of how a mould is made is mostly nothing. */
  private static MouldMake paced(MouldMake.Pace pace, Boolean narrowMouth) {
    return new MouldMake(
        null,
        null,
        null,
        null,
        null,
        null,
        narrowMouth,
        null,
        null,
        null,
        null,
        null,
        null,
        null,
        pace,
        null,
        null,
        null);
  }
}
