package calmpour.core.cure;

import calmpour.core.resin.ResinSystem;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * The cure engine behind the interface of the plan. A label that no resin of the model can have is
 * left to the rule of thumb.
 *
 * <p>How early or late a state may come: the label's pot life 15 % off and the room 1.5 °C, both at
 * once (starting values, no source).
 */
public final class EngineModel implements CureModel {
  /** Resins kept calibrated; a workshop has a shelf of them, not thousands. */
  private static final int MOST_KEPT = 200;

  /** Even a small cup in a cold room gels within so many pot lives of its label. */
  private static final double LIVES = 60;

  private final HalvingRule otherwise = new HalvingRule();
  private final Map<ResinSystem, List<Chemistry>> kept = new ConcurrentHashMap<>();

  @Override
  public CupStates states(ResinSystem resin, BodyHistory body) {
    List<Chemistry> usualQuickSlow = calibrated(resin);
    if (usualQuickSlow.isEmpty()) {
      return otherwise.states(resin, body);
    }
    double ahead = Math.min(CureEngine.MOST_MINUTES, LIVES * resin.knownPotLifeMinutes().value());
    CureRun usual = new CureEngine(usualQuickSlow.get(0)).run(body, ahead);
    CureRun quick =
        new CureEngine(usualQuickSlow.get(1)).run(warmer(body, HalvingRule.ROOM_SPREAD_C), ahead);
    CureRun slow =
        new CureEngine(usualQuickSlow.get(2)).run(warmer(body, -HalvingRule.ROOM_SPREAD_C), ahead);
    return new CupStates(
        moment(usual, quick, slow, ahead, CureRun::workingTimeEnds),
        moment(usual, quick, slow, ahead, CureRun::gels));
  }

  private static CupStates.Moment moment(
      CureRun usual,
      CureRun quick,
      CureRun slow,
      double ahead,
      Function<CureRun, @Nullable Double> of) {
    return new CupStates.Moment(
        or(of.apply(usual), ahead), or(of.apply(quick), ahead), or(of.apply(slow), ahead));
  }

  private static double or(@Nullable Double minutes, double ahead) {
    return minutes == null ? ahead : minutes;
  }

  /** The label as it is, quicker and slower; empty when the model cannot meet it. */
  private List<Chemistry> calibrated(ResinSystem resin) {
    if (kept.size() > MOST_KEPT) {
      kept.clear();
    }
    return kept.computeIfAbsent(resin, EngineModel::calibrate);
  }

  private static List<Chemistry> calibrate(ResinSystem resin) {
    double potLife = resin.knownPotLifeMinutes().value();
    List<Chemistry> all = new ArrayList<>();
    for (double factor :
        new double[] {1, 1 - HalvingRule.LABEL_SPREAD, 1 + HalvingRule.LABEL_SPREAD}) {
      Calibration.of(resin, potLife * factor).ifPresent(all::add);
    }
    return all.size() == 3 ? List.copyOf(all) : List.of();
  }

  private static BodyHistory warmer(BodyHistory body, double by) {
    return new BodyHistory(
        body.startC() + by,
        body.segments().stream()
            .map(s ->
                new BodyHistory.Segment(s.minutes(), s.massG(), s.shape(), s.surroundingsC() + by))
            .toList());
  }
}
