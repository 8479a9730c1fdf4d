package calmpour.core.plan.ways;

import calmpour.core.plan.doc.Finding;
import calmpour.core.plan.doc.Place;
import calmpour.core.plan.doc.Plan;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What stands in the way of a session, and the cheapest changes with which it fits.
 *
 * @param binding null when nothing stands in the way
 * @param plan the present one
 * @param ways the cheapest first; fewer than three when no more was found
 * @param stopped whether somebody had enough before everything was looked at
 */
public record Ways(@Nullable Binding binding, Plan plan, List<Way> ways, boolean stopped) {
  public Ways {
    ways = List.copyOf(ways);
  }

  /**
   * What stands in the way most.
   *
   * @param value what it comes to, in {@code unit}
   * @param limit what it may be
   * @param breaches how many there are in all
   * @param rest the cause of it all, where the rest alone outlasts the resin
   */
  public record Binding(
      Finding.Rule rule,
      Place place,
      double value,
      double limit,
      String unit,
      int breaches,
      @Nullable LongRest rest) {}

  /**
   * A rest that is longer than the resin lasts: whatever else is changed, it stays in the way.
   *
   * @param restMinutes as the maker has it
   * @param potLifeMinutes of the quickest resin poured
   */
  public record LongRest(double restMinutes, double potLifeMinutes) {}
}
