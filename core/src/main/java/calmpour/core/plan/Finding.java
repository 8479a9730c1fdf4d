package calmpour.core.plan;

import java.util.List;

/**
 * A breach or a near miss of one rule, with the figures and what would mend it.
 *
 * @param place address of what it concerns: {@code pour/1.3.2}, {@code cup/1.2}, {@code batch/1},
 *     {@code piece/0}, {@code colour/ID}, {@code resin}
 * @param value what the plan has
 * @param limit what the rule allows
 * @param unit of both
 */
public record Finding(
    Severity severity,
    Rule rule,
    String place,
    double value,
    double limit,
    String unit,
    List<Mend> mends) {
  public Finding {
    mends = List.copyOf(mends);
  }

  /** How much it matters. */
  public enum Severity {
    BREACH,
    NEAR,
    NOTE
  }

  /** What is judged. */
  public enum Rule {
    POUR_AFTER_WORKING_TIME,
    TINT_HELD_BACK,
    LOADING_NEAR_LIMIT,
    RATIO_OFF,
    CUP_TOO_SMALL,
    CUP_HEATS,
    BATCH_TOO_LARGE,
    STOCK_CUP,
    POUR_IN_PARTS,
    SEVERAL_BATCHES,
    MOULD_NOT_DRY,
    MOULD_NOT_CLEAN,
    MOULD_NOT_READY,
    MOULD_FIRST_CAST,
    MOULD_NEAR_ITS_END,
    MOULD_PAST_ITS_END,
    URETHANE_BEFORE_EPOXY,
    VOLUME_UNSURE,
    COATING_IN_A_MOULD,
    DEEPER_THAN_RATED,
    THINNER_THAN_RATED,
    WAXED_CUP,
    WATER_IN_COLOUR,
    WATER_FORBIDDEN,
    SOLVENT_IN_COLOUR,
    SINKS_IN_THIN,
    LABEL_CONTRADICTS,
    LABEL_NOT_MET,
    DAMP_AIR,
    CUP_HOT_IF_FORGOTTEN,
    PIECE_GETS_HOT,
    NEVER_FULLY_CURED
  }

  /**
   * A change that was tried on this session and mends it.
   *
   * @param value the new value: minutes of rest, number of batches, °C
   */
  public record Mend(Kind kind, double value) {
    /** What to change. */
    public enum Kind {
      NO_WARMING,
      SHORTER_REST,
      MORE_BATCHES,
      COOLER_ROOM
    }
  }
}
