package calmpour.core.journal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.journal.SaidSure.Evening;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Plans that are as sure as they say, and plans that boast. */
class SaidSureTest {
  private static List<Evening> evenings(double said, double real, int count) {
    Random random = new Random(11);
    List<Evening> evenings = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      evenings.add(new Evening(said, random.nextDouble() < real));
    }
    return evenings;
  }

  @Test
  void honestPlansAreToldFromThoseThatBoast() {
    List<Evening> all = new ArrayList<>(evenings(97, 0.97, 120));
    all.addAll(evenings(85, 0.6, 80));
    List<SaidSure> groups = SaidSure.of(all);
    assertThat(groups).hasSize(2);
    assertThat(groups.get(0).fromPercent()).isEqualTo(95);
    assertThat(groups.get(0).held().of()).isEqualTo(120);
    assertThat(groups.get(0).honest()).isTrue();
    assertThat(groups.get(1).saidPercent()).isCloseTo(85, within(1e-9));
    assertThat(groups.get(1).honest()).isFalse();
    assertThat(SaidSure.of(List.of())).isEmpty();
    // Who is quite sure belongs to the surest.
    assertThat(SaidSure.of(List.of(new Evening(100, true))).getFirst().fromPercent()).isEqualTo(95);
  }
}
