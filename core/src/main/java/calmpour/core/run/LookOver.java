package calmpour.core.run;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * How one piece came out, by its maker's eye.
 *
 * @param faults none where it is as it should be
 * @param text a line of the maker's; null for none
 */
public record LookOver(Verdict verdict, List<Fault> faults, @Nullable String text) {
  public LookOver {
    faults = List.copyOf(faults);
  }

  /** What becomes of it. */
  public enum Verdict {
    GOOD,
    /** Can be used, but not sold as the others. */
    SECOND,
    LOST
  }

  /** What can be wrong with a piece, in the order in which a maker looks. */
  public enum Fault {
    STICKY_ALL_OVER,
    STICKY_SPOTS,
    SOFT_EDGE_OR_TOP,
    BENDS,
    CLOUDY,
    FOAM,
    BUBBLES_AT_EMBEDS_OR_LIPS,
    LAST_PIECES_BAD,
    CRACKS_OR_RIPPLES,
    YELLOW,
    LUMPS_OR_SUNK_GLITTER,
    PATCHY_COLOUR,
    EMBED_MOVED,
    LOPSIDED_OR_SHORT,
    DULL
  }

  /** As an event tells it: the verdict first, then the faults. */
  public List<String> codes() {
    List<String> codes = new ArrayList<>();
    codes.add(verdict.name());
    faults.forEach(f -> codes.add(f.name()));
    return codes;
  }

  /** Empty where the codes are not a verdict followed by faults. */
  static Optional<LookOver> of(List<String> codes, @Nullable String text) {
    try {
      return codes.isEmpty()
          ? Optional.empty()
          : Optional.of(
              new LookOver(
                  Verdict.valueOf(codes.getFirst()),
                  codes.stream().skip(1).map(Fault::valueOf).distinct().toList(),
                  text));
    } catch (IllegalArgumentException notOurs) {
      return Optional.empty();
    }
  }
}
