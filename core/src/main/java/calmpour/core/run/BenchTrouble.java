package calmpour.core.run;

import calmpour.core.plan.doc.CavityId;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.CupId;
import calmpour.core.plan.doc.Plan;
import calmpour.core.plan.doc.PourId;
import calmpour.core.plan.doc.TaskId;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * What went wrong at the bench, and what was done about it. An event names it as {@code
 * KIND/address}, such as {@code SPILLED/1.2} or {@code WRONG_COLOUR/2.1.1/1.3}: what was meant for
 * that pour came out of that cup.
 *
 * @param atSeconds from when the run was begun
 * @param pour that was meant; null unless a wrong colour went in
 * @param cup it happened to, or that the wrong colour came out of
 * @param batch in its mixing cup; null for what happened elsewhere
 * @param piece line and cavity
 * @param task the embed's step
 * @param by grams, or minutes of a rest; null where nobody weighed: all of it, or as planned
 * @param text in the maker's words; null for none
 */
public record BenchTrouble(
    Kind kind,
    Answer answer,
    int atSeconds,
    @Nullable PourId pour,
    @Nullable CupId cup,
    @Nullable Integer batch,
    @Nullable CavityId piece,
    @Nullable TaskId task,
    @Nullable Double by,
    @Nullable String text) {

  /** What is done about it. */
  public enum Answer {
    /** What is left is worked on with. */
    GOES_ON,
    /** It is left as it is, in the piece. */
    STAYS,
    /** Poured out again and wiped; it is poured once more. */
    TIPPED_OUT,
    /** The leak is shut; what ran out comes once more out of the cup of its layer. */
    MENDED,
    /** It is fished out, and the work goes on. */
    TAKEN_OUT,
    /** The embed goes in now. */
    LATE,
    /** The piece goes without it. */
    WITHOUT,
    /** The cup rests for some minutes before it is poured. */
    RESTS,
    /** The piece, or what is in the cup, is not used any more. */
    GIVEN_UP
  }

  /** What happened. */
  public enum Kind {
    WRONG_COLOUR,
    /** Out of a cup. */
    SPILLED,
    /** Out of the mixing cup. */
    SPILLED_MIX,
    LEAKS,
    EMBED_FORGOTTEN,
    /** Before the last pour from it. */
    CUP_EMPTY,
    FELL_INTO_CUP,
    FELL_INTO_PIECE,
    FOAM,
    /** Anything else, in the maker's words. */
    NOTE;

    /** What can be done about it. */
    public List<Answer> answers() {
      return switch (this) {
        case SPILLED, SPILLED_MIX, CUP_EMPTY, NOTE -> List.of(Answer.GOES_ON);
        case WRONG_COLOUR -> List.of(Answer.STAYS, Answer.TIPPED_OUT);
        case LEAKS -> List.of(Answer.MENDED, Answer.GIVEN_UP);
        case EMBED_FORGOTTEN -> List.of(Answer.LATE, Answer.WITHOUT);
        case FELL_INTO_CUP -> List.of(Answer.TAKEN_OUT, Answer.GIVEN_UP);
        case FELL_INTO_PIECE -> List.of(Answer.TAKEN_OUT, Answer.STAYS, Answer.GIVEN_UP);
        case FOAM -> List.of(Answer.RESTS, Answer.GIVEN_UP);
      };
    }
  }

  /**
   * As an event tells it; empty for what is no such thing.
   *
   * @param codes one answer; none where there is but one
   */
  static Optional<BenchTrouble> read(
      @Nullable String of,
      List<String> codes,
      @Nullable Double by,
      @Nullable String text,
      int atSeconds) {
    String[] parts = (of == null ? "" : of).split("/", 2);
    String address = parts.length == 2 ? parts[1] : "";
    try {
      Kind kind = Kind.valueOf(parts[0]);
      Answer answer =
          codes.isEmpty() && kind.answers().size() == 1
              ? kind.answers().getFirst()
              : Answer.valueOf(codes.size() == 1 ? codes.getFirst() : "");
      boolean said = kind != Kind.NOTE || (text != null && !text.isBlank());
      return kind.answers().contains(answer) && said
          ? about(
              new BenchTrouble(kind, answer, atSeconds, null, null, null, null, null, by, text),
              address)
          : Optional.empty();
    } catch (IllegalArgumentException notOurs) {
      return Optional.empty();
    }
  }

  /** Whether what an event of trouble names is in a plan. */
  public static boolean names(Plan plan, RunEvent event) {
    BenchTrouble told =
        read(event.of(), event.codes(), event.value(), event.text(), 0).orElse(null);
    if (told == null) {
      return false;
    }
    List<Cup> cups = plan.batches().stream().flatMap(b -> b.cups().stream()).toList();
    List<PourId> pours = cups.stream().flatMap(c -> c.pours().stream()).map(Cup.Pour::id).toList();
    return (told.cup == null || cups.stream().anyMatch(c -> c.id().equals(told.cup)))
        && (told.pour == null || pours.contains(told.pour))
        && (told.piece == null || pours.stream().anyMatch(p -> p.into().equals(told.piece)))
        && (told.batch == null || told.batch <= plan.batches().size())
        && (told.task == null || Troubles.isEmbeds(plan, told.task));
  }

  private static Optional<BenchTrouble> about(BenchTrouble of, String address) {
    return switch (of.kind) {
      case WRONG_COLOUR -> {
        String[] fromTo = address.split("/", 2);
        yield fromTo.length < 2
            ? Optional.empty()
            : PourId.read(fromTo[0])
                .flatMap(p -> CupId.read(fromTo[1]).map(c -> of.of(p, c, null, null, null)));
      }
      case SPILLED, CUP_EMPTY, FELL_INTO_CUP, FOAM ->
          CupId.read(address).map(c -> of.of(null, c, null, null, null));
      case LEAKS, FELL_INTO_PIECE ->
          CavityId.read(address).map(p -> of.of(null, null, null, p, null));
      case SPILLED_MIX ->
          address.matches("[1-9]\\d{0,5}")
              ? Optional.of(of.of(null, null, Integer.valueOf(address), null, null))
              : Optional.empty();
      case EMBED_FORGOTTEN ->
          address.isBlank()
              ? Optional.empty()
              : Optional.of(of.of(null, null, null, null, new TaskId(address)));
      case NOTE -> address.isEmpty() ? Optional.of(of) : Optional.empty();
    };
  }

  private BenchTrouble of(
      @Nullable PourId itsPour,
      @Nullable CupId itsCup,
      @Nullable Integer itsBatch,
      @Nullable CavityId itsPiece,
      @Nullable TaskId itsTask) {
    return new BenchTrouble(
        kind, answer, atSeconds, itsPour, itsCup, itsBatch, itsPiece, itsTask, by, text);
  }
}
