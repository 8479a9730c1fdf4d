package calmpour.core.cure;

import calmpour.core.resin.CureTimes;
import calmpour.core.resin.ResinSystem;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

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
  public static final double ROOM_SPREAD_K = 1.5;

  /** The life at which a drawn thread holds. Assumed, no source. */
  private static final double THICK_LIFE = 1.2;

  /** Where a label is silent, h: common practice, no source. */
  private static final double BONDS_HOURS = 12;

  private static final double DEMOULD_HOURS = 24;
  private static final double FULL_CURE_HOURS = 72;

  @Override
  public CureStates states(ResinSystem resin, BodyHistory body) {
    CureTimes times = resin.times();
    boolean piece = !(body.last().shape() instanceof BodyShape.InCup);
    CureStates thought =
        new CureStates(
            moment(resin, body, 1),
            moment(resin, body, THICK_LIFE),
            moment(resin, body, GEL_LIFE),
            null,
            piece
                ? hours(resin, body, times == null ? null : times.recoatToHours(), BONDS_HOURS)
                : null,
            piece
                ? hours(resin, body, times == null ? null : times.demouldHours(), DEMOULD_HOURS)
                : null,
            piece
                ? hours(resin, body, times == null ? null : times.fullCureHours(), FULL_CURE_HOURS)
                : null,
            null);
    return LabelFloor.held(resin, body, thought, c -> pace(resin, c));
  }

  @Override
  public double pace(ResinSystem resin, double temperatureC) {
    return Math.pow(2, (temperatureC - resin.knownPotLifeTemperatureC().value()) / 10);
  }

  @Override
  public Optional<Calibrated> label(ResinSystem resin) {
    return Optional.empty();
  }

  @Override
  public WorkingTimes workingTimes(ResinSystem resin, BodyHistory cup) {
    return WorkingTimes.of(
        (roomOffC, labelFactor) -> reach(resin, cup, 1, labelFactor, roomOffC), LABEL_SPREAD / 2);
  }

  @Override
  public Optional<Double> warmestWithin(ResinSystem resin, BodyHistory body, double minutes) {
    return Optional.empty();
  }

  @Override
  public Optional<CureRun> curve(ResinSystem resin, BodyHistory body) {
    return Optional.empty();
  }

  /** The label's hours, half of them for every 10 °C that the last room is warmer than meant. */
  private static CureStates.Moment hours(
      ResinSystem resin, BodyHistory body, @Nullable Double label, double otherwise) {
    double meant = resin.knownPotLifeTemperatureC().value();
    double at = (label == null ? otherwise : label) * 60;
    double warmer = body.last().surroundingsC() - meant;
    return new CureStates.Moment(
        at * Math.pow(2, -warmer / 10),
        at * (1 - LABEL_SPREAD) * Math.pow(2, -(warmer + ROOM_SPREAD_K) / 10),
        at * (1 + LABEL_SPREAD) * Math.pow(2, -(warmer - ROOM_SPREAD_K) / 10));
  }

  private static CureStates.Moment moment(ResinSystem resin, BodyHistory body, double life) {
    return new CureStates.Moment(
        reach(resin, body, life, 1, 0),
        reach(resin, body, life, 1 - LABEL_SPREAD, ROOM_SPREAD_K),
        reach(resin, body, life, 1 + LABEL_SPREAD, -ROOM_SPREAD_K));
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
    return resin.plannedPotLifeMinutes()
        * Math.pow(2, -warmer / 10)
        * Math.pow(heavier, MASS_EXPONENT);
  }
}
