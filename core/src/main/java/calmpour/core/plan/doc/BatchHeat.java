package calmpour.core.plan.doc;

import org.jspecify.annotations.Nullable;

/**
 * How warm a batch gets: its mixing cup, the hottest of its colour cups, the hottest of its pieces.
 *
 * @param mixing until it is split; the cup it stays in where it is not
 * @param cup until its last planned pour; null where nothing is poured
 * @param piece in its mould; null where nothing is poured
 */
public record BatchHeat(Hot mixing, @Nullable Hot cup, @Nullable Hot piece) {
  /**
   * @param place what it is: a batch, a cup or a pour
   * @param plannedC the warmest it gets while the plan is followed
   * @param forgottenC the warmest it gets when it is left where it is, full
   * @param forgottenMostC the same, of which one in ten gets more
   */
  public record Hot(Place place, double plannedC, double forgottenC, double forgottenMostC) {}
}
