package calmpour.core.journal;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * How deep one layer of a resin was poured here and came out well.
 *
 * @param mm that many good pieces reached, see {@link #PIECES}
 * @param good pieces that reached it
 * @param others pieces that were as deep or deeper in one layer and came out second or lost
 */
public record ProvenDepth(double mm, int good, int others) {
  /** One deep piece may have been lucky. */
  public static final int PIECES = 3;

  /** The deepest layer of one piece of the resin, mm, and whether it came out well. */
  public record Layered(double mm, boolean good) {}

  /** Empty while fewer than {@link #PIECES} came out well. */
  public static Optional<ProvenDepth> of(List<Layered> pieces) {
    return pieces.stream()
        .filter(Layered::good)
        .map(Layered::mm)
        .sorted(Comparator.reverseOrder())
        .skip(PIECES - 1L)
        .findFirst()
        .map(mm ->
            new ProvenDepth(
                mm,
                (int) pieces.stream().filter(p -> p.good() && p.mm() >= mm).count(),
                (int) pieces.stream().filter(p -> !p.good() && p.mm() >= mm).count()));
  }
}
