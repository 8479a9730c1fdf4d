package calmpour.core.audit;

import static org.assertj.core.api.Assertions.assertThat;

import calmpour.core.Replay;
import calmpour.core.Samples;
import calmpour.core.derive.Formula;
import calmpour.core.plan.Planner;
import calmpour.core.session.Resolution;
import java.util.Random;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** The same of whole evenings: two pairs of hands, depths, embeds, marks, several resins. */
@Tag("slow")
class ReplayWorkTest {
  @Test
  void everyNumberOfAnEveningFollowsFromWhatIsShown() {
    Planner planner = Samples.planner();
    Replay replay = new Replay();
    Random random = new Random(20_261_127);
    for (int i = 0; i < 150; i++) {
      RandomWork.Work work = RandomWork.of(random);
      planner
          .unjudged(Resolution.of(work.session(), work.workshop()), tried -> tried < 4)
          .everyDerivation()
          .forEach(replay::check);
    }
    assertThat(replay.replayed())
        .contains(
            Formula.DOSE,
            Formula.MIX_DENSITY,
            Formula.LOADING,
            Formula.RATIO_ERROR,
            Formula.POUR_END,
            Formula.DROPS);
  }
}
