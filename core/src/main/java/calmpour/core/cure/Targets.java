package calmpour.core.cure;

import calmpour.core.derive.Known;

/**
 * Conversions, 0 to 1, at which a label's later times are due; assumed where it says none.
 *
 * @param bond up to which a next layer bonds by itself
 * @param demould from which a piece comes out of its mould
 * @param fullCure from which it is as hard as the label means
 * @param withinK how near to its room a piece has to be as well; infinite for what is taken out
 *     warm
 */
public record Targets(Known bond, Known demould, Known fullCure, double withinK) {
  /** For what comes out of its mould at its room's temperature. */
  public Targets(Known bond, Known demould, Known fullCure) {
    this(bond, demould, fullCure, CureEngine.AT_ROOM_K);
  }
}
