package calmpour.core.plan.doc;

import org.jspecify.annotations.Nullable;

/**
 * How long after a clock's moment a task may begin or has to be done, in whole seconds.
 *
 * @param clock which moment it counts from
 * @param of the batch, pour or task whose moment that is
 * @param atLeastSeconds after it
 * @param atMostSeconds after it; null for no latest
 * @param ends whether it is a deadline: the task's end counts, not its start, and there is no
 *     earliest
 * @param why what the wait is for
 */
public record Lag(
    Clock clock,
    String of,
    int atLeastSeconds,
    @Nullable Integer atMostSeconds,
    boolean ends,
    Why why) {

  /** Counted from a pour. */
  public Lag(Clock clock, PourId of, int atLeast, @Nullable Integer atMost, boolean ends, Why why) {
    this(clock, of.toString(), atLeast, atMost, ends, why);
  }

  /** Counted from a task. */
  public Lag(Clock clock, TaskId of, int atLeast, @Nullable Integer atMost, boolean ends, Why why) {
    this(clock, of.text(), atLeast, atMost, ends, why);
  }

  /** Clocks start at different moments; each is named. */
  public enum Clock {
    /** First contact of A and B in that batch. */
    CONTACT,
    /** End of mixing of that batch. */
    MIXED,
    /** End of that pour. */
    POURED,
    /** End of that task. */
    DONE,
    /** Start of that task: what has to be done before it. */
    BEGINS
  }

  /** What a wait is for; each is judged by its own rule. */
  public enum Why {
    ORDER,
    WORKING_TIME,
    JOIN,
    EMBED,
    WET,
    NUDGE,
    LOOK,
    DRYING,
    BEFORE_GEL,
    CURED,
    FINISHING
  }

  /**
   * The task at whose end its clock starts; of a batch that is poured over into a second cup,
   * mixing is over when that is stirred.
   */
  public TaskId task() {
    return switch (clock) {
      case CONTACT -> TaskId.batch(Integer.parseInt(of), Task.Kind.WEIGH_FIRST);
      case MIXED -> TaskId.batch(Integer.parseInt(of), Task.Kind.STIR);
      case POURED -> TaskId.pourOf(of);
      case DONE, BEGINS -> new TaskId(of);
    };
  }

  /** One thing after another. */
  public static Lag after(TaskId taskId) {
    return new Lag(Clock.DONE, taskId.text(), 0, null, false, Why.ORDER);
  }
}
