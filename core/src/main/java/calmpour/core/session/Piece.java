package calmpour.core.session;

import calmpour.core.check.Check;
import calmpour.core.check.Problem;
import calmpour.core.check.Range;
import calmpour.core.design.Design;
import calmpour.core.design.Layer;
import calmpour.core.design.PieceWork;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A line of the session: so many pieces alike, each from its own cavity of one kind.
 *
 * @param cavityId which of the mould's cavities; null for its first
 * @param count pieces and so cavities
 * @param layers from the floor of the mould up
 * @param work what belongs to it beside its layers; null for nothing
 * @param trial what is done otherwise with these than with the others of their mould, in the
 *     maker's words; null where they are no trial
 */
@RecordBuilder
public record Piece(
    String mouldId,
    @Nullable String cavityId,
    int count,
    List<Layer> layers,
    @Nullable PieceWork work,
    @Nullable String trial)
    implements PieceBuilder.With {
  public static final Range COUNT = new Range(1, 500);
  public static final Range LAYERS = Design.LAYERS;
  public static final int TRIAL_LENGTH = 60;

  /** Pieces from the first cavity of a mould. */
  public Piece(String mouldId, int count, List<Layer> layers) {
    this(mouldId, null, count, layers, null, null);
  }

  /** Pieces with nothing to do beside their layers. */
  public Piece(String mouldId, @Nullable String cavityId, int count, List<Layer> layers) {
    this(mouldId, cavityId, count, layers, null, null);
  }

  /** Pieces that are no trial. */
  public Piece(
      String mouldId,
      @Nullable String cavityId,
      int count,
      List<Layer> layers,
      @Nullable PieceWork work) {
    this(mouldId, cavityId, count, layers, work, null);
  }

  /** What belongs to it beside its layers. */
  public PieceWork workOrNone() {
    return work == null ? PieceWork.NONE : work;
  }

  public Piece {
    layers = layers == null ? List.of() : List.copyOf(layers);
    trial = trial == null || trial.isBlank() ? null : trial.strip();
    new Check()
        .name("mouldId", mouldId)
        .within("count", count, COUNT)
        .atMost("trial", trial, TRIAL_LENGTH)
        .that(
            LAYERS.contains(layers.size()),
            Problem.outside("layers", Problem.Code.OUT_OF_RANGE, layers.size(), LAYERS))
        .orThrow();
  }
}
