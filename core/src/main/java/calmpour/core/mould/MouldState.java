package calmpour.core.mould;

import calmpour.core.check.Check;
import calmpour.core.check.Range;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What a mould has been through.
 *
 * @param casts made from it so far
 * @param expectedCasts before it is worn out; null when nobody knows
 * @param lastCast what was last cast in it
 * @param clean whether it is clean; null for unknown
 * @param dry whether it is dry; null for unknown
 * @param readyFrom wall-clock time from which a newly made mould can be used
 */
public record MouldState(
    int casts,
    @Nullable Integer expectedCasts,
    @Nullable Chemistry lastCast,
    @Nullable Boolean clean,
    @Nullable Boolean dry,
    @Nullable LocalDateTime readyFrom) {
  public static final Range CASTS = new Range(0, 100_000);
  public static final Range EXPECTED_CASTS = new Range(1, 100_000);

  /** Families of resin that mind each other's residue. */
  public enum Chemistry {
    EPOXY,
    URETHANE,
    OTHER
  }

  /** From this share of its expected casts on a mould is called nearly worn (starting value). */
  private static final double NEARLY = 0.9;

  /** What a mould wants, or what is worth knowing, before resin goes in; most pressing first. */
  public enum Want {
    DRYING,
    CLEANING,
    REPLACING,
    /** Residue of polyurethane can spoil epoxy. */
    AFTER_URETHANE,
    NEARLY_WORN,
    /** A new mould's first cast is often poor. */
    FIRST_CAST
  }

  public MouldState {
    new Check()
        .within("casts", casts, CASTS)
        .within("expectedCasts", expectedCasts, EXPECTED_CASTS)
        .orThrow();
  }

  public List<Want> wants() {
    List<Want> wants = new ArrayList<>();
    if (Boolean.FALSE.equals(dry)) {
      wants.add(Want.DRYING);
    }
    if (Boolean.FALSE.equals(clean)) {
      wants.add(Want.CLEANING);
    }
    if (expectedCasts != null && casts >= expectedCasts) {
      wants.add(Want.REPLACING);
    }
    if (lastCast == Chemistry.URETHANE) {
      wants.add(Want.AFTER_URETHANE);
    }
    if (expectedCasts != null && casts < expectedCasts && casts >= NEARLY * expectedCasts) {
      wants.add(Want.NEARLY_WORN);
    }
    if (casts == 0) {
      wants.add(Want.FIRST_CAST);
    }
    return wants;
  }
}
