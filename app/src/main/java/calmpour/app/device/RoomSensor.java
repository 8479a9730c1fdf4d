package calmpour.app.device;

import java.util.Optional;

/** The thermo-hygrometer on the wall. */
public interface RoomSensor {
  /**
   * The air of the room.
   *
   * @param temperatureC °C
   * @param humidityPercent relative
   */
  record Air(double temperatureC, double humidityPercent) {}

  /** Empty while it says nothing. */
  Optional<Air> now();
}
