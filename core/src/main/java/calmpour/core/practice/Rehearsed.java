package calmpour.core.practice;

import calmpour.core.plan.doc.CavityId;
import calmpour.core.plan.doc.CupId;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import calmpour.core.run.AsRun;
import calmpour.core.run.CupCurve;
import calmpour.core.run.LookOver;
import calmpour.core.run.RunState;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A rehearsal as far as it went: every step that the simulated hands did, and either the next
 * question or how it ended. Times are seconds from when it was begun.
 *
 * @param frames in order of time
 * @param question what waits for an answer; null when it is over
 * @param score null while a question waits
 */
public record Rehearsed(List<Frame> frames, @Nullable Question question, @Nullable Score score) {
  public Rehearsed {
    frames = List.copyOf(frames);
  }

  /**
   * A step that was done, and how the bench looked then.
   *
   * @param startSeconds when it was begun
   * @param atSeconds when it was done
   * @param grams as it was weighed; null where nothing was
   * @param spareSeconds the least time to spare of what is left; null where nothing is to be poured
   */
  public record Frame(
      int startSeconds,
      int atSeconds,
      TaskId taskId,
      Task.Kind kind,
      @Nullable CupId cupId,
      @Nullable Double grams,
      @Nullable Integer spareSeconds,
      List<RunState.CupNow> cups) {
    public Frame {
      cups = List.copyOf(cups);
    }
  }

  /**
   * A mishap that has to be answered.
   *
   * @param about tasks that it is about
   * @param part of the mix that mends an over-pour, A or B; null for other mishaps
   * @param grams of it; null for other mishaps
   */
  public record Question(
      Mishap.Kind kind,
      double size,
      int atSeconds,
      List<TaskId> about,
      @Nullable String part,
      @Nullable Double grams,
      List<Mishap.Choice> choices) {
    public Question {
      about = List.copyOf(about);
      choices = List.copyOf(choices);
    }
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
   * How it ended. A good piece is two points, a second one.
   *
   * @param points reached
   * @param most two a piece
   * @param roomC temperature it really had at the end, °C
   * @param labelTimes how many times its label's pot life the resin really had
   * @param record what would be kept of it
   */
  public record Score(
      int points,
      int most,
      List<PieceScore> pieces,
      double roomC,
      double labelTimes,
      List<CupCurve> curves,
      AsRun record) {
    public Score {
      pieces = List.copyOf(pieces);
      curves = List.copyOf(curves);
    }
  }
}
