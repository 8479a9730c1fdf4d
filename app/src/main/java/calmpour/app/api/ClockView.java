package calmpour.app.api;

import calmpour.core.cure.ClockEstimate;
import calmpour.core.cure.ClockFact;
import calmpour.core.cure.CureStates;
import calmpour.core.cure.EngineModel;
import calmpour.core.resin.ResinSystem;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What a resin's clock rests on: every fact beside what comes out, what it is made of, and what
 * follows.
 */
public record ClockView(
    List<FactView> facts, List<ClockEstimate.ClockPart> parts, List<Expected> expected) {
  /** No single figure is given where from and to are so many times apart. */
  private static final double TOO_FAR_APART = 3;

  /**
   * A fact beside what comes out.
   *
   * @param said as it was told
   * @param comesTo min; of the deepest pour °C, of the fresh mix Pa·s
   * @param off in standard deviations of the fact, 0 where it is met
   * @param atOdds whether it does not go with the rest
   */
  public record FactView(
      ClockFact.Kind kind,
      ClockFact.Source source,
      ClockFact.Said said,
      double comesTo,
      double off,
      boolean atOdds) {
    static FactView of(ClockEstimate.Met met) {
      return new FactView(
          met.fact().kind(),
          met.fact().source(),
          met.fact().said(),
          met.comesTo(),
          met.off(),
          met.atOdds());
    }
  }

  /**
   * What becomes of a usual body, bottle and room as uncertain as they are, in minutes.
   *
   * @param massG of a cup; null for a piece
   * @param depthMm of a piece as wide as deep; null for a cup
   * @param minutes null where nobody can give a single figure
   * @param toMinutes null where it may never come to that
   */
  public record Expected(
      @Nullable Double massG,
      @Nullable Double depthMm,
      double temperatureC,
      @Nullable Double minutes,
      double fromMinutes,
      @Nullable Double toMinutes) {}

  /**
   * @return null where a rule of thumb stands in
   */
  static @Nullable ClockView of(ResinSystem resin, EngineModel cure) {
    ClockEstimate estimate = cure.calibrated(resin).estimate();
    if (estimate == null) {
      return null;
    }
    return new ClockView(
        estimate.facts().stream().map(FactView::of).toList(),
        estimate.parts(),
        cure.usualBodies(resin).stream().map(ClockView::expected).toList());
  }

  private static Expected expected(EngineModel.UsualBody body) {
    CureStates.Moment moment = body.moment();
    Double latest = moment.latestMinutes();
    boolean apart = latest == null || latest > TOO_FAR_APART * moment.earliestMinutes();
    return new Expected(
        body.massG(),
        body.depthMm(),
        body.temperatureC(),
        apart ? null : (Double) moment.minutes(),
        moment.earliestMinutes(),
        latest);
  }
}
