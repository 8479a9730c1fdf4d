package calmpour.core.plan.doc;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * How likely it is that every pour ends while its cup is still pourable, hands, room and label
 * being as uncertain as they are.
 *
 * @param percent that all of them do
 * @param cups the same for each cup alone
 * @param weakest the pour that most often comes too late; null when none ever did
 * @param runs how often the plan was carried out for it
 */
public record Chance(double percent, List<CupChance> cups, @Nullable Weakest weakest, int runs) {
  public Chance {
    cups = List.copyOf(cups);
  }

  /** Of one cup, by id. */
  public record CupChance(CupId cupId, double percent) {}

  /**
   * @param missedPercent how often this pour came too late
   */
  public record Weakest(PourId pourId, CupId cupId, double missedPercent) {}
}
