package calmpour.core.run;

import calmpour.core.plan.doc.CavityId;
import calmpour.core.plan.doc.CupId;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * How a cup or a piece was when somebody touched it: a line of the cure diary.
 *
 * @param cup which cup; null for a piece
 * @param piece which piece; null for a cup
 * @param atSeconds from when the run was begun
 */
public record Felt(
    @Nullable CupId cup, @Nullable CavityId piece, Word word, int atSeconds, String eventId) {
  private static final String CUP = "CUP/";
  private static final String PIECE = "PIECE/";

  /** From fresh to hard, as one would say it. */
  public enum Word {
    DRIPS,
    SYRUP,
    HONEY,
    THREAD_HOLDS,
    TACKY,
    NAIL_DENTS,
    HARD,
    OUT_OF_THE_MOULD,
    /** It is out, and bends. */
    BENDS
  }

  /** Empty where no cup, piece or word of ours is told. */
  static Optional<Felt> read(@Nullable String of, List<String> codes, int at, String eventId) {
    if (of == null || codes.size() != 1) {
      return Optional.empty();
    }
    Word word;
    try {
      word = Word.valueOf(codes.getFirst());
    } catch (IllegalArgumentException notOurs) {
      return Optional.empty();
    }
    if (of.startsWith(CUP)) {
      return CupId.read(of.substring(CUP.length()))
          .map(cup -> new Felt(cup, null, word, at, eventId));
    }
    return of.startsWith(PIECE)
        ? CavityId.read(of.substring(PIECE.length()))
            .map(piece -> new Felt(null, piece, word, at, eventId))
        : Optional.empty();
  }
}
