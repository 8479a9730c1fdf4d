package calmpour.core.practice;

import calmpour.core.plan.doc.CavityId;
import calmpour.core.run.AsRun;
import calmpour.core.run.CupCurve;
import calmpour.core.run.LookOver;
import java.util.List;

/**
 * How a rehearsed evening ended. A good piece is two points, a second one.
 *
 * @param points reached
 * @param most two a piece
 * @param roomC temperature it really had at the end, °C
 * @param labelTimes how many times its label's pot life the resin really had
 * @param befell what went wrong, in the order in which it did
 * @param record what would be kept of it
 */
public record Score(
    int points,
    int most,
    List<PieceScore> pieces,
    double roomC,
    double labelTimes,
    List<Befell> befell,
    List<CupCurve> curves,
    AsRun record) {
  public Score {
    pieces = List.copyOf(pieces);
    befell = List.copyOf(befell);
    curves = List.copyOf(curves);
  }

  /** Why a piece is not as good as it could be. */
  public enum Why {
    /** Its cup was poured when it was already thick. */
    POURED_THICK,
    /** Its cup had gelled. */
    GELLED,
    GIVEN_UP,
    TOO_LATE,
    OFF_RATIO,
    COLD_RESIN,
    OTHER_COLOUR,
    RAN_SHORT,
    /** What ran out of its mould was not noticed. */
    LEAKED,
    EMBED_MISSING,
    EMBED_TOO_LATE
  }

  /** How one piece came out. */
  public record PieceScore(
      CavityId piece, String mouldName, LookOver.Verdict verdict, List<Why> why) {
    public PieceScore {
      why = List.copyOf(why);
    }
  }

  /**
   * A mishap that came.
   *
   * @param size as of its {@link Mishap}
   * @param seenTo whether the maker saw to it
   */
  public record Befell(Mishap.Kind kind, int atSeconds, double size, boolean seenTo) {}
}
