package calmpour.core.plan.doc;

import calmpour.core.tool.Booking;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * A breach or a near miss of one rule, with the figures and what would mend it.
 *
 * @param place what it concerns
 * @param value what the plan has
 * @param limit what the rule allows
 * @param unit of both
 * @param accepted why the maker breaks it on purpose; null otherwise
 * @param other the session that is in the way; null where none is
 */
public record Finding(
    Severity severity,
    Rule rule,
    Place place,
    double value,
    double limit,
    String unit,
    List<Mend> mends,
    @Nullable String accepted,
    @Nullable OtherSession other) {
  public Finding {
    mends = List.copyOf(mends);
  }

  /**
   * Another session of this workshop.
   *
   * @param id by which it is kept; null for one that is not
   */
  public record OtherSession(String name, @Nullable String id) {}

  /** A finding that is about nothing outside its own plan. */
  public Finding(
      Severity severity,
      Rule rule,
      Place place,
      double value,
      double limit,
      String unit,
      List<Mend> mends,
      @Nullable String accepted) {
    this(severity, rule, place, value, limit, unit, mends, accepted, null);
  }

  /** The same, with the session that is in the way of it. */
  public Finding because(Booking booking) {
    return new Finding(
        severity,
        rule,
        place,
        value,
        limit,
        unit,
        mends,
        accepted,
        new OtherSession(booking.session(), booking.sessionId()));
  }

  /** A finding that nobody has accepted. */
  public Finding(
      Severity severity,
      Rule rule,
      Place place,
      double value,
      double limit,
      String unit,
      List<Mend> mends) {
    this(severity, rule, place, value, limit, unit, mends, null);
  }

  /** A heat warning that nobody has accepted. */
  public boolean heatWarning() {
    return rule.heat() && severity != Severity.NOTE && accepted == null;
  }

  /** The same, broken on purpose: worth knowing, no more. */
  public Finding acceptedFor(String reason) {
    return new Finding(Severity.NOTE, rule, place, value, limit, unit, List.of(), reason, other);
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
    RESIN_HOT,
    HOT_IF_FORGOTTEN,
    PIECE_GETS_HOT,
    NEVER_FULLY_CURED,
    OUT_OF_ORDER,
    JOIN_TOO_EARLY,
    JOIN_TOO_LATE,
    EMBED_TOO_EARLY,
    EMBED_TOO_LATE,
    WET_TOO_LATE,
    NUDGE_TOO_LATE,
    LOOK_TOO_LATE,
    AFTER_GEL,
    NOT_YET_DRY,
    NOT_YET_CURED,
    FINISHED_TOO_EARLY,
    TASK_MISSING,
    HANDS_TWICE,
    HANDS_BOOKED,
    MAKER_AWAY,
    NO_SUCH_TOOL,
    TOOL_OVERFULL,
    TOOL_TWICE,
    BOARD_FULL,
    MOULD_TWICE,
    MOULD_BOOKED,
    MOULD_NOT_FOR_POT,
    CAVITY_SHORT,
    CAVITY_OVERFULL,
    MASS_BALANCE,
    LOADING_OVER_LIMIT,
    STOCK_SHORT,
    /** More of the resin than the maker says there is. */
    TOO_LITTLE_RESIN,
    RESIN_LEFT_OVER,
    FLAME_NEAR_ALCOHOL,
    PIN_LOST,
    EMBED_NOT_DRY,
    EMBED_POKES_THROUGH,
    EMBED_RISES,
    EMBED_SINKS,
    EMBED_TOO_LARGE,
    EMBED_NOT_COVERED,
    DOME_RUNS_OVER,
    LID_LEAVES_A_VOID,
    LID_OVERFULL,
    HEAT_UNDER_LID,
    RESIN_COLD,
    REST_TOO_SHORT,
    OIL_BRINGS_BUBBLES,
    OIL_AGES_RESIN,
    FADES_IN_LIGHT,
    DYE_STAINS_MOULD,
    RELEASE_COSTS_TIME,
    RELEASE_CLEARS,
    CHIPS_DENT_POWDER,
    INNER_MOULD_RISES,
    INNER_WALL_THIN,
    CUPS_SHORT,
    CUP_TWICE,
    NOT_SURE_ENOUGH,
    BEGINS_LATER,
    DOSE_OFF,
    DOSE_TOO_SMALL,
    BATCH_ENLARGED;

    /**
     * Rules about the right kind of resin, mould or colour: told, and the maker may know better.
     */
    private static final Set<String> TO_JUDGE =
        Set.of(
            "COATING_IN_A_MOULD",
            "DEEPER_THAN_RATED",
            "THINNER_THAN_RATED",
            "URETHANE_BEFORE_EPOXY",
            "WATER_FORBIDDEN",
            "WATER_IN_COLOUR",
            "SOLVENT_IN_COLOUR",
            "MOULD_PAST_ITS_END",
            "WAXED_CUP",
            "MOULD_NOT_FOR_POT",
            "CUP_HEATS");

    /** Told above everything about time: what heats can hurt somebody. */
    private static final Set<String> HEAT =
        Set.of(
            "RESIN_HOT",
            "HOT_IF_FORGOTTEN",
            "PIECE_GETS_HOT",
            "BATCH_TOO_LARGE",
            "DEEPER_THAN_RATED");

    /** Whether it speaks of heat. */
    public boolean heat() {
      return HEAT.contains(name());
    }

    /** Whether it may be broken on purpose, with a reason that is kept. */
    public boolean acceptable() {
      return TO_JUDGE.contains(name());
    }
  }

  /**
   * A change that mends it. Another rest, room or warming was tried on this session before it is
   * offered.
   *
   * @param value the new value: minutes of rest, number of batches, °C, a task's start in seconds
   * @param target what it is done to: a task's id, an address on the shelf; null where it is clear
   */
  public record Mend(Kind kind, double value, @Nullable String target) {
    /** What to change. */
    public enum Kind {
      NO_WARMING,
      /** Both bottles in warm water first. */
      WARM_BOTTLES,
      SHORTER_REST,
      MORE_BATCHES,
      COOLER_ROOM,
      /** To begin at {@code value}. */
      MOVE_TASK,
      RELEASE_PIN,
      CHANGE_HOURS,
      /** The whole session begins {@code value} minutes later, or earlier when negative. */
      OTHER_START,
      SOFT_TOOL,
      /** The line of pieces {@code value}. */
      LEAVE_OUT,
      CURE_ON_BENCH,
      /** Something to set right on the shelf or the mould's page. */
      OPEN_SHELF,
      /** The line of pieces {@code value}, to change its design. */
      OPEN_PIECE,
      /** The cup by hand {@code value} is given back to the plan. */
      RELEASE_CUP,
      WARMER_ROOM,
      /** No damper than {@code value} per cent. */
      DRIER_AIR,
      /** Everything by hand is given back, and the plan made anew. */
      ANEW,
      /** To be content with {@code value} % sure. */
      LESS_SURE,
      /** Another pair of hands. */
      HELPER,
      /** A and B on the scale instead of by marks, */
      BY_WEIGHT,
      /** or by marks instead of on the scale. */
      BY_VOLUME,
      /** An overage of {@code value} per cent. */
      OVERAGE,
      /** {@code value} pieces of the line {@code target}. */
      PIECES,
      /** {@code value} pieces fewer in all, off the lines that have most. */
      FEWER_OF_ALL,
      /** One more mould for {@code value} mL that would be left over. */
      FILLER
    }

    /** A change of one task. */
    public Mend(Kind kind, double value, TaskId target) {
      this(kind, value, target.text());
    }

    /** A change that is clear without a target. */
    public Mend(Kind kind, double value) {
      this(kind, value, (String) null);
    }
  }
}
