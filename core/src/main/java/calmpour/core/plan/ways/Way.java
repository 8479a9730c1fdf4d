package calmpour.core.plan.ways;

import calmpour.core.plan.doc.Plan;
import calmpour.core.session.Session;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * One change and what comes of it.
 *
 * @param pieces how many pieces fewer of each line, where some are left out
 * @param session with the change made
 * @param plan of it, without a breach
 * @param resinMoreG A + B more than in the present plan
 * @param finishLaterSeconds how much later the last piece is poured
 */
public record Way(
    Kind kind,
    double value,
    @Nullable String target,
    List<Fewer> pieces,
    Session session,
    Plan plan,
    double resinMoreG,
    int finishLaterSeconds) {
  public Way {
    pieces = List.copyOf(pieces);
  }

  /** What could be changed. */
  public enum Kind {
    /** To {@code value} minutes. */
    SHORTER_REST,
    /** Bottles left cold. */
    NO_WARMING,
    /** To {@code value} °C. */
    COOLER_ROOM,
    HELPER,
    /** No cup fuller than {@code value} mL. */
    SMALLER_CUPS,
    /** At least {@code value} batches a stage. */
    MORE_BATCHES,
    /** Resin {@code target}. */
    SLOWER_RESIN,
    /** {@code value} minutes later, or earlier when negative. */
    OTHER_START,
    /** {@code value} pieces fewer. */
    LEAVE_OUT,
    /** Pieces of one layer poured in {@code value} layers, each when the one below is hard. */
    IN_LAYERS
  }

  /** So many pieces fewer of a line of the session. */
  public record Fewer(int line, int count) {}
}
