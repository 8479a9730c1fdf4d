package calmpour.core.practice;

import calmpour.core.cure.HalvingRule;
import calmpour.core.habit.Hands;
import calmpour.core.plan.doc.TaskId;
import calmpour.core.resin.ResinSystem;
import calmpour.core.run.Run;
import calmpour.core.session.Workshop;
import java.util.List;
import java.util.SplittableRandom;

/**
 * What is really so on an evening: how quick the hands are, how warm the room is, how far the label
 * is off. Drawn from the exercise's seed; "±" is read as two standard deviations of a normal
 * distribution, half of the variance of hands being the day's, as in the chance of a plan.
 */
final class Drawn {
  private static final double HANDS = Hands.UNCERTAIN / 2;
  private static final double ROOM_K = HalvingRule.ROOM_SPREAD_K / 2;
  private static final double LABEL = HalvingRule.LABEL_SPREAD / 2;

  /** Nobody is quicker than a third of what was said, and no label that far off. */
  private static final double LEAST = 1.0 / 3;

  private final long seed;
  private final double handsTimes;
  private final double day;
  private final double roomC;
  private final double labelTimes;
  private final Run really;

  Drawn(long seed, Run run) {
    this(seed, run, Truth.AS_TOLD);
  }

  /**
   * What is really so in a workshop, whatever its plans take for it; an evening differs from that
   * as it does from what is told.
   *
   * @param handsTimes as long as planned hands really take
   * @param warmerK than planned the room really is
   * @param potLifeTimes as long as its label says a resin really pours
   */
  record Truth(double handsTimes, double warmerK, double potLifeTimes) {
    /** All that was told is so. */
    static final Truth AS_TOLD = new Truth(1, 0, 1);
  }

  Drawn(long seed, Run run, Truth truth) {
    this.seed = seed;
    this.handsTimes = truth.handsTimes;
    SplittableRandom random = new SplittableRandom(seed);
    this.day = random.nextGaussian() * HANDS * Math.sqrt(0.5);
    this.roomC =
        run.session().room().temperatureC() + truth.warmerK + random.nextGaussian() * ROOM_K;
    this.labelTimes = truth.potLifeTimes * Math.max(LEAST, 1 + random.nextGaussian() * LABEL);
    Workshop shelf = run.workshop();
    // What was taken over of a resin is in its plans; it really is as it is.
    List<ResinSystem> resins =
        shelf.resins().stream().map(r -> r.withOwn(null).ofPotLife(labelTimes)).toList();
    this.really =
        new Run(
            run.session(),
            shelf.overlaidWith(new Workshop(List.of(), resins, List.of(), List.of(), List.of())),
            run.plan(),
            run.begunAt());
  }

  /** How many times its label's pot life the resin really has. */
  double labelTimes() {
    return labelTimes;
  }

  /** What the room really has to begin with, °C. */
  double roomC() {
    return roomC;
  }

  /** The run with the resins as they really are. */
  Run really() {
    return really;
  }

  /** How long a step takes these hands, s; the same whatever else is chosen. */
  int takes(TaskId taskId, int said) {
    SplittableRandom own = new SplittableRandom(seed * 31 + taskId.hashCode());
    double times = 1 + day + own.nextGaussian() * HANDS * Math.sqrt(0.5);
    return (int) Math.round(said * handsTimes * Math.max(LEAST, times));
  }
}
