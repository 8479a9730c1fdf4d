package calmpour.core.journal;

import calmpour.core.run.Corrections;
import calmpour.core.run.RunEvent;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * How the room gets warmer or cooler while somebody works in it (docs/rules.md, "The room"): the
 * median evening, so that one thermometer in the sun moves nothing.
 *
 * @param warmerKPerHour negative for cooler
 * @param lowest a quarter of the evenings were less than that, K/h
 * @param highest a quarter of the evenings were more than that, K/h
 * @param evenings on which it was read often enough
 * @param enough whether there are evenings enough to plan with it
 */
public record RoomDrift(
    double warmerKPerHour, double lowest, double highest, int evenings, boolean enough) {
  /** Readings sooner after each other say more of the thermometer than of the room. */
  private static final Duration APART = Duration.ofMinutes(20);

  /** Later readings belong to the night. */
  private static final Duration EVENING = Duration.ofHours(6);

  /**
   * What one evening says.
   *
   * @param beganC how warm it was when the work began, °C
   * @param kPerHour how it went on; null where it was not read twice
   */
  public record OfEvening(double beganC, @Nullable Double kPerHour) {}

  /** A reading so many hours after the work began. */
  private record Read(double hours, double celsius) {}

  /**
   * Empty where nobody read it. The slope is the median of those between any two readings (H.
   * Theil, Proc. Kon. Ned. Akad. Wetensch. A 53 (1950) 386): of three readings one may be wrong.
   *
   * @param raw in the order in which they were told
   */
  public static Optional<OfEvening> ofEvening(Instant begunAt, List<RunEvent> raw) {
    List<Read> reads = new ArrayList<>();
    List<Double> all = new ArrayList<>();
    for (RunEvent event : Corrections.applied(raw)) {
      if (event.kind() == RunEvent.Kind.ROOM && event.value() != null) {
        Duration after = Duration.between(begunAt, event.at());
        all.add(event.value());
        if (after.compareTo(EVENING) <= 0) {
          reads.add(new Read(after.toSeconds() / 3_600.0, event.value()));
        }
      }
    }
    if (all.isEmpty()) {
      return Optional.empty();
    }
    List<Double> slopes = new ArrayList<>();
    for (int i = 0; i < reads.size(); i++) {
      for (int j = i + 1; j < reads.size(); j++) {
        double hours = reads.get(j).hours - reads.get(i).hours;
        if (Math.abs(hours) * 3_600 >= APART.toSeconds()) {
          slopes.add((reads.get(j).celsius - reads.get(i).celsius) / hours);
        }
      }
    }
    if (slopes.isEmpty()) {
      return Optional.of(new OfEvening(Quantile.of(all, 0.5), null));
    }
    double slope = Quantile.of(slopes, 0.5);
    return Optional.of(
        new OfEvening(
            Quantile.of(reads.stream().map(r -> r.celsius - slope * r.hours).toList(), 0.5),
            slope));
  }

  /**
   * @param kPerHour of each evening; none is 0
   */
  public static RoomDrift of(List<Double> kPerHour) {
    return new RoomDrift(
        Quantile.of(kPerHour, 0.5),
        Quantile.of(kPerHour, 0.25),
        Quantile.of(kPerHour, 0.75),
        kPerHour.size(),
        kPerHour.size() >= LearnedTimes.FEWEST_EVENINGS);
  }
}
