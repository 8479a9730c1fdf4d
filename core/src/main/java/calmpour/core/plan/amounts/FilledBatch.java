package calmpour.core.plan.amounts;

import calmpour.core.cup.CupKind;
import calmpour.core.resin.WeighOut;
import calmpour.core.tint.Dosing;
import java.util.List;

/**
 * One batch with its masses.
 *
 * @param wholeDoses where the whole mix is tinted before it is split: what is stirred into it;
 *     empty otherwise
 * @param firstStaysMg what clings to the first of two mixing cups; 0 where there is one
 */
public record FilledBatch(
    int number,
    String resinId,
    int stage,
    double needG,
    WeighOut weighOut,
    long partAMg,
    long partBMg,
    CupKind mixingCup,
    boolean split,
    List<Dosing.Counted> wholeDoses,
    long firstStaysMg,
    List<FilledCup> cups) {
  boolean tintedWhole() {
    return !wholeDoses.isEmpty();
  }

  long totalMg() {
    return partAMg + partBMg;
  }

  /** What is left in the mixing cups, the clear reserve and what stock cups keep with it. */
  long staysMg() {
    long colourMg = wholeDoses.stream().mapToLong(FilledCup::mg).sum();
    long inCups = tintedWhole() ? cups.stream().mapToLong(FilledCup::dosesMg).sum() : 0;
    return totalMg() - cups.stream().mapToLong(FilledCup::resinMg).sum() + colourMg - inCups;
  }

  /** What is tinted where that is done before splitting, mg of resin. */
  long wholeMg() {
    return totalMg() - firstStaysMg;
  }

  /** The same batch, tinted before it is split. */
  FilledBatch tinted(List<Dosing.Counted> whole) {
    return new FilledBatch(
        number,
        resinId,
        stage,
        needG,
        weighOut,
        partAMg,
        partBMg,
        mixingCup,
        split,
        whole,
        firstStaysMg,
        cups);
  }
}
