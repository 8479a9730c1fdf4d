package calmpour.core.cure;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A resin as its label makes it.
 *
 * @param chemistry null when no resin of the model can have this pot life
 * @param targets the label's later times as conversions
 * @param refusals what of the label could not be met, and why
 * @param estimate what all this rests on; null with the chemistry
 */
public record Calibrated(
    @Nullable Chemistry chemistry,
    Targets targets,
    List<Refusal> refusals,
    @Nullable ClockEstimate estimate) {
  public Calibrated {
    refusals = List.copyOf(refusals);
  }

  /** How much of what is known of the resin no one clock can do. */
  public int unmet() {
    long atOdds =
        estimate == null ? 0 : estimate.facts().stream().filter(ClockEstimate.Met::atOdds).count();
    return refusals.size() + (int) atOdds;
  }

  /**
   * A figure of the label that the model cannot meet.
   *
   * @param value what the label says
   * @param against what it is held against
   * @param unit of both
   */
  public record Refusal(Why why, double value, double against, String unit) {}

  /** Why a label cannot be met. */
  public enum Why {
    /** Fresh it is thicker than what can be poured, Pa·s. */
    TOO_THICK_WHEN_FRESH,
    /** Its pot life is meant for a temperature at which nothing is poured, °C. */
    MEANT_TOO_WARM,
    /** Its pot life is longer than anything that is looked at, min. */
    POT_LIFE_TOO_LONG,
    /** No speed of reaction gives this pot life, min. */
    POT_LIFE_OUT_OF_REACH,
    /** At its recoat time's end it has not even gelled, h. */
    LIQUID_AT_RECOAT,
    /** At its demould time it has not even gelled, h. */
    LIQUID_AT_DEMOULD,
    /** At its demould time it is warmer than the room by more than 5 °C; it comes out later, K. */
    WARM_AT_DEMOULD,
    /** It is to be fully cured before it can come out of its mould, h. */
    CURED_BEFORE_DEMOULD
  }
}
