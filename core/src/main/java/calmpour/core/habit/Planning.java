package calmpour.core.habit;

import calmpour.core.check.Check;
import calmpour.core.check.Problem;
import calmpour.core.check.Range;
import io.soabase.recordbuilder.core.RecordBuilder;

/**
 * What a plan is made for.
 *
 * @param surePercent how sure it has to be that every pour makes it, hands, room and label being as
 *     uncertain as they are
 * @param pairsOfHands 2 with a helper who can do everything
 */
@RecordBuilder
public record Planning(double surePercent, int pairsOfHands) implements PlanningBuilder.With {
  public static final Range SURE_PERCENT = new Range(50, 99.9);
  public static final Range PAIRS_OF_HANDS = new Range(1, 2);

  public static final Planning DEFAULT = new Planning(95, 1);

  public Planning {
    Check check = new Check();
    if (surePercent > SURE_PERCENT.maxInclusive() && surePercent <= 100) {
      check.that(
          false,
          Problem.outside("surePercent", Problem.Code.NEVER_CERTAIN, surePercent, SURE_PERCENT));
    } else {
      check.within("surePercent", surePercent, SURE_PERCENT);
    }
    check.within("pairsOfHands", pairsOfHands, PAIRS_OF_HANDS).orThrow();
  }
}
