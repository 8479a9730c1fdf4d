package calmpour.core.journal;

import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Cup;
import calmpour.core.run.Run;
import calmpour.core.run.RunEvent;
import calmpour.core.run.RunReader;
import calmpour.core.tint.Colourant;
import calmpour.core.tint.Dosing;
import calmpour.core.tint.OwnCount;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * How many times as heavy as told the drops or scoops of a colourant were on one evening, by doses
 * that were weighed as they were counted (docs/rules.md, "What a drop or a scoop is").
 *
 * @param times as heavy as told, all doses together
 * @param readShare how far the scale may be off, as a share
 * @param looks doses it is told by, 1 or more
 */
public record Dosed(String colourantId, double times, double readShare, int looks)
    implements Bounds {
  /** Nobody counts drops more evenly (starting value). */
  private static final double LEAST_SHARE = 0.05;

  /** What weighs no more than the scale shows says nothing. */
  private static final double MOST_SHARE = 0.6;

  @Override
  public Double lowest() {
    return times * (1 - readShare);
  }

  @Override
  public Double highest() {
    return times * (1 + readShare);
  }

  /**
   * One for each colourant of which something was counted and weighed.
   *
   * @param events in the order in which they were told
   */
  public static List<Dosed> of(Run run, List<RunEvent> events) {
    Map<String, Double> weighed = new LinkedHashMap<>();
    for (RunEvent event : RunReader.standing(events)) {
      if (event.kind() == RunEvent.Kind.DOSED && event.of() != null && event.value() != null) {
        // Weighed twice, the last one counts.
        weighed.put(event.of(), event.value());
      }
    }
    double half = run.session().habits().scaleDivisionG() / 2;
    List<Dosed> all = new ArrayList<>();
    for (Colourant colourant : run.workshop().colourants()) {
      double planned = 0;
      double really = 0;
      int doses = 0;
      for (Batch batch : run.plan().batches()) {
        for (Cup cup : batch.cups()) {
          for (Cup.Dose dose : cup.tint().doses()) {
            Double grams = weighed.get(cup.id() + "/" + colourant.id());
            if (grams != null
                && dose.colourantId().equals(colourant.id())
                && dose.by() == Dosing.By.COUNT) {
              planned += dose.massG();
              really += grams;
              doses++;
            }
          }
        }
      }
      double off = really > 0 ? Math.max(LEAST_SHARE, doses * half / really) : 1;
      if (planned > 0 && off <= MOST_SHARE) {
        OwnCount own = colourant.learnedCount();
        all.add(
            new Dosed(
                colourant.id(), really / planned * (own == null ? 1 : own.times()), off, doses));
      }
    }
    return all;
  }
}
