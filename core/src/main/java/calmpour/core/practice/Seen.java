package calmpour.core.practice;

import calmpour.core.plan.doc.CupId;
import calmpour.core.plan.doc.TaskId;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What somebody at a rehearsed bench would see, feel and hear. Nothing of it says what is wrong.
 *
 * @param roomC what the thermometer on the wall reads, °C
 * @param taskId the step that bottle and scale are about; null while none is next
 * @param bottlesC of the bottle in the hand, °C; null while none is
 * @param scaleG what the scale comes to when the hands have poured what the step asks for; null
 *     where nothing is weighed
 * @param cups what a stick drawn out of each open cup shows
 * @param warmable whether both bottles can still be put into warm water
 * @param over whether nothing is left to be done of this evening
 */
public record Seen(
    double roomC,
    @Nullable TaskId taskId,
    @Nullable Double bottlesC,
    @Nullable Double scaleG,
    List<CupSeen> cups,
    List<Sign> signs,
    boolean warmable,
    boolean over) {
  public Seen {
    cups = List.copyOf(cups);
    signs = List.copyOf(signs);
  }

  /** What runs off the stick. */
  public enum Look {
    OIL,
    SYRUP,
    HONEY,
    /** A drawn thread holds. */
    THREADS,
    GEL
  }

  /** What a hand round the cup feels. */
  public enum Warmth {
    COOL,
    LUKEWARM,
    WARM,
    HOT
  }

  public record CupSeen(CupId cupId, String colourName, String swatch, Look look, Warmth warmth) {}

  /** What can be noticed. */
  public enum SignKind {
    PHONE_RINGS,
    /**
     * {@code of}: a pour; {@code cupId}: what colour stands in its cavity now; {@code percent}: how
     * much of what was to go in, where that is seen to be too little.
     */
    IN_THE_MOULD,
    /** {@code of}: a step whose embed lies on the bench. */
    EMBED_LIES,
    /** {@code cupId}: lies on its side. */
    CUP_TIPPED,
    /** {@code of}: a piece under whose mould resin creeps out. */
    CREEPS_OUT
  }

  /**
   * Something that is noticed.
   *
   * @param percent of what was there, as far as one can tell by looking; null where it is no share
   */
  public record Sign(
      SignKind kind,
      int atSeconds,
      @Nullable String of,
      @Nullable CupId cupId,
      @Nullable Double percent) {}
}
