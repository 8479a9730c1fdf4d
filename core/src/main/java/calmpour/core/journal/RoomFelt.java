package calmpour.core.journal;

import java.util.List;

/**
 * How much warmer the room really is than it is told to be: the median evening, so that one
 * thermometer in the sun moves nothing.
 *
 * @param warmerK negative for colder
 * @param lowestK a quarter of the evenings were less than that, K
 * @param highestK a quarter of the evenings were more than that, K
 * @param evenings on which it was read
 * @param enough whether there are evenings enough to plan with it
 */
public record RoomFelt(
    double warmerK, double lowestK, double highestK, int evenings, boolean enough) {
  /**
   * @param warmerK of each evening, the median of its readings less what was told; none is 0
   */
  public static RoomFelt of(List<Double> warmerK) {
    return new RoomFelt(
        Quantile.of(warmerK, 0.5),
        Quantile.of(warmerK, 0.25),
        Quantile.of(warmerK, 0.75),
        warmerK.size(),
        warmerK.size() >= LearnedTimes.FEWEST_EVENINGS);
  }
}
