package calmpour.core.practice;

import calmpour.core.cure.Calibrated;
import calmpour.core.cure.CureCurve;
import calmpour.core.cure.CureStates;
import calmpour.core.embed.Bubbles;
import calmpour.core.embed.Placing;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What would become of a set-up. Minutes count from the first contact of A and B.
 *
 * @param cup one of its cups, if nothing were poured from it
 * @param cups how many there are, all alike
 * @param readyMinutes when it is mixed, rested, and had its lamp; nothing is poured before
 * @param piece what is poured; null when it stays in its cup
 * @param warmInstead what warming would do for the bubbles, when resting alone does not do
 * @param embed when the embed can be placed; null when there is none, or nothing is poured
 * @param refusals what of the label the model cannot meet
 */
public record Tried(
    BodyTried cup,
    int cups,
    double readyMinutes,
    @Nullable BodyTried piece,
    List<CureCost> costs,
    @Nullable Bubbles bubbles,
    @Nullable WarmInstead warmInstead,
    @Nullable Placing embed,
    List<GrainTried> grains,
    List<CureCaution> cautions,
    List<Calibrated.Refusal> refusals) {
  public Tried {
    costs = List.copyOf(costs);
    grains = List.copyOf(grains);
    cautions = List.copyOf(cautions);
    refusals = List.copyOf(refusals);
  }

  /**
   * One body.
   *
   * @param levelMm how high it stands
   * @param curve null where a rule of thumb stands in
   */
  public record BodyTried(
      double massG, double levelMm, CureStates states, @Nullable CureCurve curve) {}

  /**
   * What one measure costs or gives.
   *
   * @param without the time without it
   * @param with the time with it, in the same unit
   */
  public record CureCost(Measure measure, double without, double with, String unit) {}

  /** What is done to a mix. */
  public enum Measure {
    /** A and B met warmer or cooler than the room; working time, min. */
    WARMING,
    /** A lamp or hot air on the cup; working time, min. */
    LAMP,
    /** Divided into several cups; working time, min. */
    SPLITTING,
    /** What is stirred in, by assumed factors; working time, min. */
    COLOUR,
    /** Another room, or a hot box, later; until it comes out, h. */
    LATER_ROOM
  }

  /**
   * @param toC temperature of A and B at which resting is enough
   * @param restMinutes that rest
   * @param workingMinutes the working time that is left then
   */
  public record WarmInstead(double toC, double restMinutes, double workingMinutes) {}

  /**
   * A colourant of visible grains.
   *
   * @param placing what it does when it goes in with the pour
   */
  public record GrainTried(String colourantId, String name, @Nullable Placing placing) {}

  /** Something to be careful of, with its figure; never a verdict that all is well. */
  public record CureCaution(Kind kind, double value, double limit, String unit) {
    /** What. */
    public enum Kind {
      CUP_HOT_IF_FORGOTTEN,
      CUP_RUNS_AWAY,
      PIECE_GETS_HOT,
      TOO_LATE_TO_POUR,
      DAMP_AIR,
      COLD_ROOM,
      BEYOND_LARGEST_BATCH,
      NEVER_FULLY_CURED,
      BY_RULE_OF_THUMB
    }
  }
}
