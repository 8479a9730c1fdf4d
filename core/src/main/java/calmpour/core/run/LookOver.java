package calmpour.core.run;

import calmpour.core.check.Range;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * How one piece came out, by its maker's eye.
 *
 * @param faults none where it is as it should be
 * @param marks where on the piece they are; none where nobody said
 * @param text a line of the maker's; null for none
 */
public record LookOver(
    Verdict verdict, List<Fault> faults, List<Mark> marks, @Nullable String text) {
  private static final String AT = "@";
  private static final Range PERCENT = new Range(0, 100);

  public LookOver {
    faults = List.copyOf(faults);
    marks = List.copyOf(marks);
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

  /**
   * A place of a fault in the section of its piece.
   *
   * @param acrossPercent of its greatest width, from the left, 0 to 100
   * @param upPercent of its height, from the floor of the mould, 0 to 100
   */
  public record Mark(Fault fault, double acrossPercent, double upPercent) {
    String code() {
      return fault.name() + AT + acrossPercent + "," + upPercent;
    }

    private static Mark of(String code) {
      String[] parts = code.split("[@,]", -1);
      if (parts.length != 3) {
        throw new IllegalArgumentException(code);
      }
      Mark mark =
          new Mark(
              Fault.valueOf(parts[0]), Double.parseDouble(parts[1]), Double.parseDouble(parts[2]));
      if (!PERCENT.contains(mark.acrossPercent) || !PERCENT.contains(mark.upPercent)) {
        throw new IllegalArgumentException(code);
      }
      return mark;
    }
  }

  /** As an event tells it: the verdict first, then the faults, then where they are. */
  public List<String> codes() {
    List<String> codes = new ArrayList<>();
    codes.add(verdict.name());
    faults.forEach(f -> codes.add(f.name()));
    marks.forEach(m -> codes.add(m.code()));
    return codes;
  }

  /** Empty where the codes are not a verdict followed by faults and places of these. */
  static Optional<LookOver> of(List<String> codes, @Nullable String text) {
    try {
      if (codes.isEmpty()) {
        return Optional.empty();
      }
      List<String> rest = codes.subList(1, codes.size());
      List<Fault> faults =
          rest.stream().filter(c -> !c.contains(AT)).map(Fault::valueOf).distinct().toList();
      List<Mark> marks = rest.stream().filter(c -> c.contains(AT)).map(Mark::of).toList();
      return marks.stream().allMatch(m -> faults.contains(m.fault()))
          ? Optional.of(new LookOver(Verdict.valueOf(codes.getFirst()), faults, marks, text))
          : Optional.empty();
    } catch (IllegalArgumentException notOurs) {
      return Optional.empty();
    }
  }
}
