package calmpour.core.run;

import calmpour.core.design.Join;
import calmpour.core.plan.bench.StepCard;
import calmpour.core.plan.doc.CavityId;
import calmpour.core.plan.doc.CupId;
import calmpour.core.plan.doc.PourId;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import calmpour.core.resin.Rescue;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * How a run stands at one moment. Times are whole seconds from when it was begun; masses are grams.
 *
 * @param atSeconds the moment
 * @param steps everything that was done and is left to do, by when
 * @param currentId the step that is next for the first pair of hands; null when nothing is left
 * @param cups those that hold resin, the soonest to thicken first
 * @param mixes batches in their mixing cups
 * @param lateSeconds how much later than planned the last pour of the open batches ends, negative
 *     for sooner; 0 where none is open
 * @param spareSeconds between the end of a pour and its cup's working time, the least that is left;
 *     null where nothing is to be poured
 * @param reordered whether the pours come in another order than planned, because some would be late
 * @param giveUp pours that cannot all be made in time; as few as possible
 * @param rescue what would bring the ratio of a batch right again; null while none is off
 * @param masses where everything is that was weighed out
 * @param undoable what can be taken back, the last first, no more than {@link #MOST_UNDOABLE}
 * @param leavesUntil when the bench is needed again, where that is half an hour or more away; null
 *     while it is needed
 * @param room as it was measured last; null while it was not
 * @param pot the log of the pressure pot so far
 * @param givenUp pieces that will not be used although something may be in them
 * @param weighed what was put on the scale beside the work, each as it was weighed last
 */
public record RunState(
    int atSeconds,
    List<Step> steps,
    @Nullable TaskId currentId,
    List<CupNow> cups,
    List<MixNow> mixes,
    int lateSeconds,
    @Nullable Integer spareSeconds,
    boolean reordered,
    List<TaskId> giveUp,
    @Nullable RescueNow rescue,
    Masses masses,
    List<LeftOver> leftOvers,
    Set<String> checked,
    List<Undoable> undoable,
    @Nullable Integer awaySinceSeconds,
    @Nullable Integer leavesUntil,
    @Nullable Integer finishedSeconds,
    @Nullable RoomReading room,
    List<PotLog> pot,
    List<CavityId> givenUp,
    List<WeighedBeside> weighed) {
  /** Further back nobody goes step by step. */
  public static final int MOST_UNDOABLE = 12;

  public RunState {
    steps = List.copyOf(steps);
    cups = List.copyOf(cups);
    mixes = List.copyOf(mixes);
    giveUp = List.copyOf(giveUp);
    leftOvers = List.copyOf(leftOvers);
    undoable = List.copyOf(undoable);
    pot = List.copyOf(pot);
    givenUp = List.copyOf(givenUp);
    weighed = List.copyOf(weighed);
  }

  /**
   * Something that was weighed so that later plans know more.
   *
   * @param kind what was weighed, see {@link RunEvent.Kind}
   * @param of what it is about, as its event says
   */
  public record WeighedBeside(RunEvent.Kind kind, String of, double grams) {}

  /** How a step stands. */
  public enum Status {
    DONE,
    /** A wait that has begun. */
    RUNNING,
    TO_DO,
    /** The maker will not do it. */
    GIVEN_UP,
    /** Not all that is left can be in time; giving this up saves most of the rest. */
    TOO_LATE,
    /** Out of a cup that can no longer be poured. */
    LOST,
    /** A look or a nudge whose time has passed; nothing is lost by it. */
    MISSED
  }

  /**
   * One step.
   *
   * @param startSeconds when it was begun, or will be
   * @param targetG what is to be weighed out, with what is already in; null where nothing is
   * @param grams as weighed; null where it was not
   * @param phase of the work
   * @param believedFromG less than that on the scale is asked about before it is taken; null where
   *     nothing is weighed
   * @param believedToG more than that is asked about
   * @param mostG no more than that can be meant: what there is, or what its cup holds to the brim;
   *     null where nothing is weighed
   * @param overflowsG of a pour, what its cavity still holds; null for other steps
   * @param notBeforeSeconds what it waits for is over then; null for what is not to be done any
   *     more
   * @param untilSeconds of what has a window, and of the opening of a batch whose layers have one,
   *     the latest; null for none
   * @param joinNow how its layer meets what lies below, where it can no longer as designed
   * @param card what design, mould and habits have to say about it
   */
  public record Step(
      TaskId taskId,
      Task.Kind kind,
      int batch,
      @Nullable CupId cupId,
      @Nullable PourId pourId,
      @Nullable Integer line,
      boolean hands,
      int pair,
      int places,
      boolean optional,
      int startSeconds,
      int endSeconds,
      Status status,
      @Nullable Double targetG,
      @Nullable Double grams,
      Task.Phase phase,
      @Nullable Double believedFromG,
      @Nullable Double believedToG,
      @Nullable Double mostG,
      @Nullable Double overflowsG,
      @Nullable Integer notBeforeSeconds,
      @Nullable Integer untilSeconds,
      @Nullable Join joinNow,
      StepCard card) {}

  /** What a cup is like. */
  public enum CupState {
    POURABLE,
    /** Too thick to pour: by the clock, or because the maker said so. */
    THICK,
    GELLED
  }

  /**
   * A cup with resin in it.
   *
   * @param thicksSeconds when it can no longer be poured
   * @param standsUntilSeconds the same if nothing more is poured from it, so that it stays as warm
   *     as it is; it runs down as the clock does
   * @param earliestSeconds the same as early as it comes, 19 times in 20
   * @param aheadSeconds how much sooner that is than if nothing had been measured; negative for
   *     later
   * @param empties whether nothing more is to be poured from it
   * @param lostPours that were to come from it and cannot or will not, with what would lie on them
   * @param temperatureC last measured; null while it was not
   * @param expectedC what it should be by now, as far as it is followed
   * @param warmsSeconds when it should pass 60 °C as it is; null for never
   * @param hot whether it has to be put away at once
   */
  public record CupNow(
      CupId cupId,
      int batch,
      String colourName,
      String swatch,
      CupState state,
      int contactSeconds,
      int thicksSeconds,
      int standsUntilSeconds,
      int earliestSeconds,
      int gelsSeconds,
      int aheadSeconds,
      double leftG,
      boolean empties,
      int lostPours,
      @Nullable Double temperatureC,
      double expectedC,
      @Nullable Integer warmsSeconds,
      boolean hot) {}

  /**
   * A batch that A and B of have met, in its mixing cup.
   *
   * @param massG what is in it
   * @param thicksSeconds when it can no longer be poured if it stays there
   */
  public record MixNow(
      int batch,
      double massG,
      int contactSeconds,
      int thicksSeconds,
      int gelsSeconds,
      CupState state) {}

  /** What the ratio of a batch needs. */
  public record RescueNow(int batch, Rescue rescue) {}

  /** What to do with resin that is left and has nowhere to go. */
  public enum Advice {
    /** Into moulds kept ready, while it pours. */
    FILLERS,
    /** Too thick to pour, not yet gelled: thin layers cannot heat up. */
    SPREAD_THIN,
    /** Let it cure where it is, then throw it away as local rules say. */
    LET_CURE,
    /** Outdoors, on something that does not burn, and keep away from the fumes. */
    OUTDOORS,
    /** Spoilt: nothing more is poured from it; let it cure, then throw it away. */
    THROW_AWAY
  }

  public record LeftOver(CupId cupId, double grams, Advice advice) {}

  /**
   * Something done by hand.
   *
   * @param eventIds of all that is taken back with it
   */
  public record Undoable(List<String> eventIds, RunEvent.Kind kind, @Nullable String of) {
    public Undoable {
      eventIds = List.copyOf(eventIds);
    }
  }

  /**
   * What a thermometer said of the room.
   *
   * @param eventId by which it can be taken back
   */
  public record RoomReading(String eventId, int atSeconds, double temperatureC) {}
}
