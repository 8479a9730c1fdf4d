package calmpour.core.run;

import calmpour.core.cure.BodyHistory;
import calmpour.core.cure.CureModel;
import calmpour.core.resin.ResinSystem;
import calmpour.core.work.Helpers;
import calmpour.core.work.Memory;
import java.util.List;

/**
 * What thermometers said of labels, remembered: a factor costs some twenty curves, and between two
 * readings nothing about it changes however often a run is looked at.
 */
final class LabelFactors {
  /** Cups that are looked at again; a few benches have no more. */
  private static final int MOST = 256;

  private record Asked(
      ResinSystem resin, BodyHistory past, List<LabelByReadings.Warmth> readings) {}

  private final CureModel cure;
  private final Memory<Asked, Double> known;

  LabelFactors(CureModel cure, Helpers helpers) {
    this.cure = cure;
    this.known = helpers.memory("what thermometers said", MOST);
  }

  /** See {@link LabelByReadings#labelFactor}. */
  double of(ResinSystem resin, BodyHistory body, List<LabelByReadings.Warmth> readings) {
    if (readings.isEmpty()) {
      return 1;
    }
    BodyHistory past = LabelByReadings.until(body, readings.getLast().minutes());
    return known.of(
        new Asked(resin, past, List.copyOf(readings)),
        asked -> LabelByReadings.labelFactor(cure, resin, past, readings));
  }
}
