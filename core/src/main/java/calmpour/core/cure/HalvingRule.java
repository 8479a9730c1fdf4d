package calmpour.core.cure;

import calmpour.core.resin.ResinSystem;
import java.util.List;

/**
 * The bench rule of thumb: half the working time for every 10 °C more, a little longer for a
 * smaller mass. Common practice, no source. Each segment uses up its share of the life that a body
 * of its mass and surroundings would have. A mix that was warmed counts as warm throughout, which
 * errs on the short side.
 */
public final class HalvingRule implements CureModel {
  /**
   * Life goes with mass to this power: a quarter of the mass lasts 49 instead of 40 min. A starting
   * value without a source.
   */
  public static final double MASS_EXPONENT = -Math.log(49.0 / 40) / Math.log(4);

  /** The life at which a body gels, where 1 ends its working time. Assumed, no source. */
  public static final double GEL_LIFE = 1.4;

  /** How far a label's time may be off, as a share. Starting value, no source. */
  public static final double LABEL_SPREAD = 0.15;

  /** How far the room may be from what was said, °C. Starting value, no source. */
  public static final double ROOM_SPREAD_C = 1.5;

  @Override
  public CupStates states(ResinSystem resin, BodyHistory body) {
    return new CupStates(moment(resin, body, 1), moment(resin, body, GEL_LIFE));
  }

  private static CupStates.Moment moment(ResinSystem resin, BodyHistory body, double life) {
    return new CupStates.Moment(
        reach(resin, body, life, 1, 0),
        reach(resin, body, life, 1 - LABEL_SPREAD, ROOM_SPREAD_C),
        reach(resin, body, life, 1 + LABEL_SPREAD, -ROOM_SPREAD_C));
  }

  private static double reach(
      ResinSystem resin, BodyHistory body, double life, double labelFactor, double warmer) {
    double left = life;
    double elapsed = 0;
    List<BodyHistory.Segment> segments = body.segments();
    for (int i = 0; ; i++) {
      BodyHistory.Segment segment = segments.get(i);
      double whole =
          labelFactor
              * lifeMinutes(
                  resin,
                  segment.massG(),
                  Math.max(body.startC(), segment.surroundingsC()) + warmer);
      double used = segment.minutes() / whole;
      if (i == segments.size() - 1 || used >= left) {
        return elapsed + left * whole;
      }
      left -= used;
      elapsed += segment.minutes();
    }
  }

  /** Working time in minutes of a body that keeps one mass and one temperature throughout. */
  public static double lifeMinutes(ResinSystem resin, double massG, double temperatureC) {
    double warmer = temperatureC - resin.knownPotLifeTemperatureC().value();
    double heavier = massG / resin.knownPotLifeMassG().value();
    return resin.knownPotLifeMinutes().value()
        * Math.pow(2, -warmer / 10)
        * Math.pow(heavier, MASS_EXPONENT);
  }
}
