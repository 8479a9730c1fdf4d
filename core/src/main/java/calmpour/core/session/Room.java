package calmpour.core.session;

import calmpour.core.check.Check;
import calmpour.core.check.Range;
import org.jspecify.annotations.Nullable;

/** The air of the workshop. */
public record Room(double temperatureC, @Nullable Double humidityPercent) {
  public static final Range TEMPERATURE_C = new Range(5, 45);
  public static final Range HUMIDITY_PERCENT = new Range(0, 100);

  public Room {
    new Check()
        .within("temperatureC", temperatureC, TEMPERATURE_C)
        .within("humidityPercent", humidityPercent, HUMIDITY_PERCENT)
        .orThrow();
  }
}
