package calmpour.core.cure;

import calmpour.core.resin.ResinSystem;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/** Tells how long a body of resin stays pourable, and when everything else happens. */
public interface CureModel {
  /**
   * Each body follows from its own history alone, so several may be followed at a time.
   *
   * @return what each comes to, in their order
   */
  default <T, R> List<R> each(List<T> all, Function<? super T, ? extends R> of) {
    return all.stream().<R>map(of).toList();
  }

  /**
   * States of a body over its history: of a cup as far as its gel and its peak, of a piece as far
   * as its full cure.
   *
   * @param resin whose label counts
   * @param body from the first contact of A and B
   */
  CureStates states(ResinSystem resin, BodyHistory body);

  /** When a body thickens, alone: the same as of its states, and much quicker to find. */
  default Thickens thickens(ResinSystem resin, BodyHistory body) {
    CureStates states = states(resin, body);
    return new Thickens(states.workingTimeEnds().minutes(), states.gels().minutes());
  }

  /** What the label came to; empty where a rule of thumb takes every label as it is. */
  Optional<Calibrated> label(ResinSystem resin);

  /** How many of a label's hours pass in one hour at so many °C: 1 at the label's own. */
  double pace(ResinSystem resin, double temperatureC);

  /** How long a cup stays pourable where room and label are not quite what was said. */
  WorkingTimes workingTimes(ResinSystem resin, BodyHistory cup);

  /**
   * The warmest a body gets within so many minutes of the first contact, °C; empty where a rule of
   * thumb stands in.
   */
  Optional<Double> warmestWithin(ResinSystem resin, BodyHistory body, double minutes);

  /** Conversion and temperature along the way; empty where a rule of thumb stands in. */
  Optional<CureRun> curve(ResinSystem resin, BodyHistory body);
}
