package calmpour.core.plan.ways;

import calmpour.core.plan.doc.Plan;
import calmpour.core.session.Session;
import java.util.Comparator;

/**
 * Which way out is shown first: by what comes of it, and how much of a change it is only parts what
 * is as good.
 */
final class WayOrder implements Comparator<Way> {
  /** Work and waste that differ by less are the same to a maker. */
  private static final double WORK_STEP_MINUTES = 10;

  private static final double WASTE_STEP_G = 5;

  /**
   * What a change costs a maker beside the minutes it takes, in minutes: starting values without a
   * source, for nothing but the order in which ways are shown.
   */
  private static final double PIECE_LEFT_OUT = 40;

  private static final double BATCH_MORE = 10;
  private static final double GRAM_MORE = 0.2;
  private static final double HELPER = 25;
  private static final double OTHER_RESIN = 20;
  private static final double DEGREE_COOLER = 6;
  private static final double MINUTE_OF_REST = 4;
  private static final double SMALLER_CUPS = 5;

  /** Cold bottles are stirred longer and hold more bubbles. */
  private static final double NO_WARMING = 8;

  private static final double HOUR_LATER = 4;
  private static final double LAYER_MORE = 20;

  private final Session session;
  private final Plan now;
  private final Comparator<Way> order;

  /**
   * @param now the plan that has to be got out of
   * @param restTooLong whether the rest is longer than the quickest resin stays fluid: then a
   *     shorter one goes before everything else
   */
  WayOrder(Session session, Plan now, boolean restTooLong) {
    this.session = session;
    this.now = now;
    this.order =
        Comparator.comparing((Way w) -> !restTooLong || w.kind() != Way.Kind.SHORTER_REST)
            .thenComparingInt(w -> w.pieces().stream().mapToInt(Way.Fewer::count).sum())
            .thenComparingInt(w -> w.plan().batches().size())
            .thenComparingLong(w -> workSteps(w.plan()))
            .thenComparingLong(w -> Math.round(w.plan().totals().staysG() / WASTE_STEP_G))
            .thenComparingDouble(this::cost);
  }

  @Override
  public int compare(Way a, Way b) {
    return order.compare(a, b);
  }

  /** What hands do, in steps, without what may be left undone. */
  private static long workSteps(Plan plan) {
    double seconds =
        plan.tasks().stream()
            .filter(t -> t.hands() && !t.optional())
            .mapToDouble(t -> t.endSeconds() - t.startSeconds())
            .sum();
    return Math.round(seconds / 60 / WORK_STEP_MINUTES);
  }

  private double cost(Way way) {
    double change =
        switch (way.kind()) {
          case SHORTER_REST -> (session.habits().restMinutes() - way.value()) * MINUTE_OF_REST;
          case NO_WARMING -> NO_WARMING;
          case COOLER_ROOM -> (session.room().temperatureC() - way.value()) * DEGREE_COOLER;
          case HELPER -> HELPER;
          case SMALLER_CUPS -> SMALLER_CUPS;
          case MORE_BATCHES -> 0;
          case SLOWER_RESIN -> OTHER_RESIN;
          case OTHER_START ->
              // Later is counted by when the last piece is poured.
              Math.max(0, -way.value()) / 60 * HOUR_LATER;
          case LEAVE_OUT -> way.value() * PIECE_LEFT_OUT;
          case IN_LAYERS -> way.value() * LAYER_MORE;
        };
    int more = way.plan().batches().size() - now.batches().size();
    return change
        + Math.max(0, more) * BATCH_MORE
        + Math.max(0, way.resinMoreG()) * GRAM_MORE
        + Math.max(0, way.finishLaterSeconds()) / 3_600.0 * HOUR_LATER;
  }
}
