package calmpour.app.device;

import calmpour.core.plan.doc.CupId;
import java.util.OptionalDouble;

/** An infrared thermometer that is pointed at a cup. */
public interface CupThermometer {
  /**
   * Temperature of what is in it, °C.
   *
   * @param expectedC what the cure engine expects of it just now: a stand-in has nothing else to go
   *     by, a real one does not look at it
   * @return empty while it says nothing
   */
  OptionalDouble read(CupId cupId, double expectedC);
}
