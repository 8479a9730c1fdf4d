package calmpour.core.journal;

import static org.assertj.core.api.Assertions.assertThat;

import calmpour.core.journal.PlansHeld.Poured;
import java.util.ArrayList;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.hipparchus.stat.descriptive.rank.Median;
import org.junit.jupiter.api.Test;

/** How plans held, against a statistics library, and with one evening that went quite otherwise. */
class PlansHeldTest {
  @Property
  void theMedianIsThatOfAStatisticsLibrary(
      @ForAll @Size(min = 1, max = 60) List<@IntRange(min = -3_000, max = 9_000) Integer> late) {
    PlansHeld held = PlansHeld.of(late.stream().map(l -> new Poured(600, 600 + l, 10)).toList());
    double library = new Median().evaluate(late.stream().mapToDouble(l -> l).toArray());
    assertThat(Math.abs(held.medianLateSeconds() - library)).isLessThanOrEqualTo(0.5);
    assertThat(held.within())
        .isEqualTo((int) late.stream().filter(l -> l >= -180 && l <= 180).count());
  }

  @Test
  void onePhoneCallDoesNotMoveIt() {
    List<Poured> pours = new ArrayList<>();
    for (int i = 0; i < 9; i++) {
      pours.add(new Poured(600 + 20 * i, 660 + 20 * i, 300));
    }
    pours.add(new Poured(800, 8_000, -4_000));
    assertThat(PlansHeld.of(pours)).isEqualTo(new PlansHeld(10, 9, 60, 9));
    assertThat(PlansHeld.of(List.of())).isEqualTo(new PlansHeld(0, 0, 0, 0));
  }
}
