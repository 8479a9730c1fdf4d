package calmpour.core.session;

import calmpour.core.derive.Known;
import calmpour.core.mould.Cavity;
import calmpour.core.mould.DepthProfile;
import calmpour.core.mould.Measured;
import calmpour.core.mould.Mould;
import calmpour.core.resin.ResinSystem;
import calmpour.core.tint.Colour;
import calmpour.core.tint.Tint;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * A session with every id replaced by the thing itself and every fill turned into volume: all that
 * a plan is made from.
 *
 * @param tints by colour id, each held within the limits
 * @param mixingCups kinds fit for the whole mix, smallest first
 * @param colourCups kinds fit for one colour, smallest first
 * @param handCups cups put together by hand, in the order of the session
 * @param used the part of the workshop that the session really uses
 * @param assumptions starting values that stand in for what nobody measured
 */
public record Job(
    Session session,
    ResinSystem resin,
    List<Line> lines,
    Map<String, Tint> tints,
    List<CupKind> mixingCups,
    List<CupKind> colourCups,
    List<CupByHand> handCups,
    Workshop used,
    List<Assumption> assumptions) {
  public Job {
    lines = List.copyOf(lines);
    tints = Map.copyOf(tints);
    mixingCups = List.copyOf(mixingCups);
    colourCups = List.copyOf(colourCups);
    handCups = List.copyOf(handCups);
    assumptions = List.copyOf(assumptions);
  }

  /** One line of pieces with its mould and its layers in volume. */
  public record Line(
      Piece piece, Mould mould, Cavity cavity, Measured measured, List<Level> levels) {
    public Line {
      levels = List.copyOf(levels);
    }

    public DepthProfile profile() {
      return measured.profile();
    }

    /** What is written beside it. */
    public String name() {
      return mould.nameOf(cavity);
    }

    /** How far the cavity's volume may be off, as a share of it. */
    public double uncertainShare() {
      return measured.plusMinusMl() / measured.volumeMl();
    }
  }

  /**
   * One layer as it lies in the cavity.
   *
   * @param stage 0 for what is poured first; one more for every join that waits
   */
  public record Level(
      Colour colour, Join join, int stage, double volumeMl, double fromMm, double toMm) {}

  /**
   * A cup put together by hand, as it was found to be possible.
   *
   * @param kind null for whichever fits best
   * @param pours which cavities of which layers, from 1
   */
  public record CupByHand(@Nullable CupKind kind, Set<CavityLayer> pours) {
    public CupByHand {
      pours = Set.copyOf(pours);
    }
  }

  /** One layer of one cavity: line and layer from 0, cavity from 1. */
  public record CavityLayer(int line, int cavity, int layer) {}

  /** A starting value that stood in for something unknown. */
  public record Assumption(
      String subjectId, String subject, String quantity, double value, String unit) {
    static Assumption of(String id, String name, String quantity, Known known, String unit) {
      return new Assumption(id, name, quantity, known.value(), unit);
    }
  }
}
