package calmpour.core.cure;

import calmpour.core.resin.ResinSystem;

/** Tells how long a body of resin stays pourable. */
public interface CureModel {
  /**
   * States of a body over its history.
   *
   * @param resin whose label counts
   * @param body from the first contact of A and B
   */
  CupStates states(ResinSystem resin, BodyHistory body);
}
