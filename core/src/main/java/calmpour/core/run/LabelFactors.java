package calmpour.core.run;

import calmpour.core.cure.BodyHistory;
import calmpour.core.cure.CureModel;
import calmpour.core.resin.ResinSystem;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * What thermometers said of labels, remembered: a factor costs some twenty curves, and between two
 * readings nothing about it changes however often a run is looked at.
 */
final class LabelFactors {
  /** Cups that are looked at again; a few benches have no more. */
  private static final int MOST = 256;

  private record Asked(ResinSystem resin, BodyHistory past, List<Measured.Warmth> readings) {}

  private final CureModel cure;
  private final Map<Asked, Double> known =
      new LinkedHashMap<>(MOST, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<Asked, Double> eldest) {
          return size() > MOST;
        }
      };

  LabelFactors(CureModel cure) {
    this.cure = cure;
  }

  /** See {@link Measured#labelFactor}. */
  double of(ResinSystem resin, BodyHistory body, List<Measured.Warmth> readings) {
    if (readings.isEmpty()) {
      return 1;
    }
    BodyHistory past = Measured.until(body, readings.getLast().minutes());
    Asked asked = new Asked(resin, past, List.copyOf(readings));
    synchronized (known) {
      Double before = known.get(asked);
      if (before != null) {
        return before;
      }
    }
    double factor = Measured.labelFactor(cure, resin, past, readings);
    synchronized (known) {
      known.put(asked, factor);
    }
    return factor;
  }
}
