package calmpour.core.resin;

import calmpour.core.check.Check;

/**
 * One more pot life that a label gives, or a maker has timed.
 *
 * @param massG of A + B in a cup filled about as high as wide
 * @param temperatureC of the room
 * @param minutes from the first contact until it can no longer be poured
 */
public record PotLifeRow(double massG, double temperatureC, double minutes) {
  public PotLifeRow {
    new Check()
        .within("massG", massG, ResinSystem.POT_LIFE_MASS_G)
        .within("temperatureC", temperatureC, ResinSystem.POT_LIFE_TEMPERATURE_C)
        .within("minutes", minutes, ResinSystem.POT_LIFE_MINUTES)
        .orThrow();
  }
}
