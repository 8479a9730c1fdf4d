package calmpour.core.journal;

import java.util.List;
import java.util.stream.IntStream;

/**
 * How the plans held against what was done: medians, so that one phone call does not count for more
 * than one pour.
 *
 * @param pours that were made
 * @param within of them, that ended no more than {@link #NEAR_SECONDS} from when they were planned
 * @param medianLateSeconds by how much the pour in the middle was later than planned; negative for
 *     sooner
 * @param beforeThick of them, that ended while their cup could still be poured
 */
public record PlansHeld(int pours, int within, int medianLateSeconds, int beforeThick) {
  /** Nobody calls less than that another time, s. */
  public static final int NEAR_SECONDS = 180;

  /**
   * One pour.
   *
   * @param plannedSeconds its end as planned
   * @param atSeconds its end
   * @param spareSeconds how long its cup stayed pourable after it; negative for poured too late
   */
  public record Poured(int plannedSeconds, int atSeconds, int spareSeconds) {
    int late() {
      return atSeconds - plannedSeconds;
    }
  }

  /** Of no pours all is 0. */
  public static PlansHeld of(List<Poured> pours) {
    int[] late = pours.stream().mapToInt(Poured::late).sorted().toArray();
    return new PlansHeld(
        late.length,
        (int) IntStream.of(late).filter(l -> Math.abs(l) <= NEAR_SECONDS).count(),
        late.length == 0 ? 0 : (late[(late.length - 1) / 2] + late[late.length / 2]) / 2,
        (int) pours.stream().filter(p -> p.spareSeconds() >= 0).count());
  }
}
