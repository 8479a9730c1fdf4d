package calmpour.app.device;

import calmpour.core.plan.doc.CupId;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import org.jspecify.annotations.Nullable;

/**
 * Thermometers that are not there: the room as it was set, cups as they are expected, and noise.
 */
public final class SimulatedAir implements RoomSensor, CupThermometer {
  /** One standard deviation, K. */
  private static final double ROOM_NOISE_C = 0.05;

  private static final double CUP_NOISE_C = 0.4;

  private final Random random = new Random(11);
  private final Map<CupId, Double> warmer = new HashMap<>();
  private @Nullable Air air;

  /** Null for a sensor that says nothing. */
  public synchronized void set(@Nullable Air now) {
    air = now;
  }

  /** A cup that is warmer than it should be, K. */
  public synchronized void warm(CupId cupId, double byC) {
    warmer.put(cupId, byC);
  }

  @Override
  public synchronized Optional<Air> now() {
    return Optional.ofNullable(air)
        .map(a ->
            new Air(a.temperatureC() + random.nextGaussian() * ROOM_NOISE_C, a.humidityPercent()));
  }

  @Override
  public synchronized OptionalDouble read(CupId cupId, double expectedC) {
    return air == null
        ? OptionalDouble.empty()
        : OptionalDouble.of(
            expectedC + warmer.getOrDefault(cupId, 0.0) + random.nextGaussian() * CUP_NOISE_C);
  }
}
