package calmpour.core.session;

import calmpour.core.check.Check;
import calmpour.core.check.Range;

/**
 * A colour made stronger or weaker for one session.
 *
 * @param factor of every share in its recipe, 1 for as written
 */
public record ColourStrength(String colourId, double factor) {
  public static final Range FACTOR = new Range(0.01, 20);

  public ColourStrength {
    new Check().name("colourId", colourId).within("factor", factor, FACTOR).orThrow();
  }
}
