package calmpour.core.plan.time;

import calmpour.core.cure.CureStates;
import calmpour.core.design.Join;
import calmpour.core.design.PlacedEmbed;
import calmpour.core.habit.Habits;
import calmpour.core.session.JobInResin;
import org.jspecify.annotations.Nullable;

/**
 * When a layer is ready for what comes next, in seconds from the first step.
 *
 * <p>A join or an embed follows the state of the layer, as the cure engine has it. Where a rule of
 * thumb stands in, a join waits as the label or the habit says.
 *
 * @param best from when it is done in a plan of ours
 * @param from the earliest that does
 * @param until the latest that does; null for no latest
 */
public record Window(int best, int from, @Nullable Integer until) {
  /**
   * For the next layer.
   *
   * @param layer the layer below, as it follows
   * @param contact first contact of A and B in its batch
   * @param mixed end of that batch's mixing
   * @param poured end of the pour into this cavity
   */
  static Window join(
      JobInResin job, Join join, BatchStates.LayerSpan layer, int contact, int mixed, int poured) {
    CureStates first = layer.first();
    CureStates last = layer.last();
    Habits habits = job.session().habits();
    boolean engine = first.heat() != null;
    int fluidUntil = down(contact, first.workingTimeEnds().minutes());
    int takesNext = last.takesNext() == null ? 0 : up(contact, last.takesNext().minutes());
    Integer bonds =
        first.bondEnds() == null ? null : (Integer) down(contact, first.bondEnds().minutes());
    Double labelGel = job.resin().gelMinutes();
    int habitGel = up(mixed, labelGel == null ? habits.gelWaitMinutes() : labelGel);
    int habitCured = up(poured, habits.curedWaitHours() * 60);
    return switch (join) {
      case TOGETHER -> new Window(poured, poured, fluidUntil);
      case THICK -> {
        if (!engine) {
          int thick = Math.max(poured, up(mixed, habits.thickWaitMinutes()));
          yield new Window(thick, thick, habitGel);
        }
        int flowsSlowly = Math.max(poured, up(contact, last.workingTimeEnds().minutes()));
        int threadHolds = up(contact, last.tooThick().minutes());
        int gels = down(contact, first.gels().minutes());
        yield new Window(Math.max(poured, threadHolds), flowsSlowly, gels);
      }
      case GEL -> {
        // The rule of thumb knows no gel of a layer; what the label says of a next layer it knows.
        boolean label =
            job.resin().times() != null && job.resin().times().recoatFromHours() != null;
        int gelled = Math.max(poured, engine ? takesNext : habitGel);
        gelled = label ? Math.max(gelled, takesNext) : gelled;
        yield new Window(gelled, gelled, bonds);
      }
      case CURED -> {
        if (last.demould() == null) {
          yield new Window(habitCured, habitCured, null);
        }
        int hard = Math.max(poured, up(contact, last.demould().minutes()));
        yield new Window(Math.max(hard, habitCured), hard, null);
      }
    };
  }

  /**
   * For an embed that goes into a layer.
   *
   * @param layer as it follows
   * @param contact first contact of A and B in its batch
   * @param poured end of the pour that it goes into
   */
  static Window embed(
      JobInResin job,
      PlacedEmbed.Moment moment,
      BatchStates.LayerSpan layer,
      int contact,
      int poured) {
    // A thread that holds no longer runs round anything: it would not be wetted.
    int wetsUntil = down(contact, layer.first().tooThick().minutes());
    return switch (moment) {
      case BEFORE_POUR, AFTER_POUR -> new Window(poured, poured, wetsUntil);
      case HALF_FILL -> {
        int rested = up(poured, job.session().habits().care().halfFillRestMinutes());
        yield new Window(rested, rested, wetsUntil);
      }
      case WHEN_THICK -> {
        int holds = Math.max(poured, up(contact, layer.last().workingTimeEnds().minutes()));
        yield new Window(holds, holds, down(contact, layer.first().gels().minutes()));
      }
    };
  }

  /** A moment so many minutes after another: never too early. */
  static int up(int seconds, double minutes) {
    return seconds + (int) Math.ceil(minutes * 60);
  }

  /** The same: never too late. */
  public static int down(int seconds, double minutes) {
    return seconds + (int) Math.floor(minutes * 60);
  }
}
