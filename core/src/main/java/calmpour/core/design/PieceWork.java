package calmpour.core.design;

import calmpour.core.check.Check;
import calmpour.core.check.Problem;
import calmpour.core.check.Range;
import calmpour.core.habit.FillTo;
import calmpour.core.mould.InnerMould;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What belongs to a piece beside its layers. Front and base are the piece's own, whatever mould it
 * comes from.
 *
 * @param front the side that is looked at; null for what the mould says, or its floor
 * @param base the side it stands or is fixed on; null for none
 * @param surface before the pour, in this order
 * @param topCoat null for none
 * @param finishing after demoulding, in this order
 * @param bubbles how much bubbles matter
 * @param curing where it cures
 * @param inner a form that stands in it while it is poured and leaves a hollow; null for what the
 *     mould itself has
 * @param fill how far its mould is filled, where its topmost layer takes what room is left; null
 *     for what is usual here
 */
@RecordBuilder
public record PieceWork(
    @Nullable PieceSide front,
    @Nullable PieceSide base,
    List<SurfaceWork> surface,
    @Nullable TopCoat topCoat,
    List<FinishStep> finishing,
    BubbleCare bubbles,
    Curing curing,
    @Nullable InnerMould inner,
    @Nullable FillTo fill)
    implements PieceWorkBuilder.With {
  public static final Range SURFACE = new Range(0, 6);
  public static final Range FINISHING = new Range(0, 10);

  public static final PieceWork NONE =
      new PieceWork(
          null, null, List.of(), null, List.of(), BubbleCare.USUAL, Curing.BENCH, null, null);

  /** How much bubbles matter in a design: it makes its looks a duty, a wish, or nothing. */
  public enum BubbleCare {
    /** A bubble more or less is part of the look. */
    LITTLE,
    /** One pass; later looks if there is time. */
    USUAL,
    /** Every look counts. */
    MUCH
  }

  /** A piece without a hollow of its own. */
  public PieceWork(
      @Nullable PieceSide front,
      @Nullable PieceSide base,
      List<SurfaceWork> surface,
      @Nullable TopCoat topCoat,
      List<FinishStep> finishing,
      @Nullable BubbleCare bubbles,
      @Nullable Curing curing) {
    this(
        front,
        base,
        surface,
        topCoat,
        finishing,
        bubbles == null ? BubbleCare.USUAL : bubbles,
        curing == null ? Curing.BENCH : curing,
        null,
        null);
  }

  /** Where a piece cures. */
  public enum Curing {
    BENCH,
    PRESSURE_POT,
    HOT_BOX
  }

  public PieceWork {
    surface = surface == null ? List.of() : List.copyOf(surface);
    finishing = finishing == null ? List.of() : List.copyOf(finishing);
    bubbles = bubbles == null ? BubbleCare.USUAL : bubbles;
    curing = curing == null ? Curing.BENCH : curing;
    new Check()
        .that(
            SURFACE.contains(surface.size()),
            Problem.outside("surface", Problem.Code.TOO_MANY, surface.size(), SURFACE))
        .that(
            FINISHING.contains(finishing.size()),
            Problem.outside("finishing", Problem.Code.TOO_MANY, finishing.size(), FINISHING))
        .orThrow();
  }
}
