package calmpour.core.journal;

import calmpour.core.plan.doc.CavityId;
import calmpour.core.run.AsRun;
import calmpour.core.run.Run;
import calmpour.core.run.RunEvent;
import calmpour.core.run.RunReader;
import calmpour.core.session.Job;
import calmpour.core.session.Resolution;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * How much a closed mould needed to be filled over by on one evening: what it was filled over by
 * less what its lid squeezed out, weighed (docs/rules.md, "What a lid squeezes out").
 *
 * @param neededMl of the piece that needed most, mL, 0 or more
 * @param looks pieces it is told by, 1 or more
 */
public record Squeezed(String mouldId, double neededMl, int looks) {
  /**
   * What is thought of a mould by all its evenings.
   *
   * @param middleMl needed on the middle evening
   * @param enoughMl enough on nine evenings of ten
   * @param enough whether there are evenings enough to plan with it
   */
  public record OfAll(int evenings, int looks, double middleMl, double enoughMl, boolean enough) {}

  /**
   * One for each closed mould of which something was weighed.
   *
   * @param events in the order in which they were told
   */
  public static List<Squeezed> of(Run run, List<RunEvent> events, AsRun asRun) {
    Map<CavityId, Double> out = new LinkedHashMap<>();
    for (RunEvent event : RunReader.standing(events)) {
      String of = event.of();
      if (event.kind() == RunEvent.Kind.SQUEEZED && of != null && event.value() != null) {
        // Weighed twice, the last one counts.
        double grams = event.value();
        CavityId.read(of).ifPresent(piece -> out.put(piece, grams));
      }
    }
    if (out.isEmpty()) {
      return List.of();
    }
    Job job = Resolution.of(run.asBegun(), run.workshop());
    Map<String, List<Double>> needed = new LinkedHashMap<>();
    out.forEach((piece, grams) -> {
      Job.Line line = piece.line() <= job.lines().size() ? job.lines().get(piece.line() - 1) : null;
      Job.Above above = line == null ? null : line.levels().getLast().above();
      if (line != null && line.lidded() && above != null) {
        Job.Level top = line.levels().getLast();
        double density = job.tint(top, top.colour()).mixDensity();
        double over = above.ml() + beyondPlanG(asRun, piece) / density;
        needed
            .computeIfAbsent(line.piece().mouldId(), m -> new ArrayList<>())
            .add(Math.max(0, over - grams / density));
      }
    });
    return needed.entrySet().stream()
        .map(e ->
            new Squeezed(
                e.getKey(),
                e.getValue().stream().mapToDouble(v -> v).max().orElse(0),
                e.getValue().size()))
        .toList();
  }

  /** What went in beyond the plan, as far as it was weighed; negative for less. */
  private static double beyondPlanG(AsRun asRun, CavityId piece) {
    double beyond = 0;
    for (AsRun.PourIn pour : asRun.pours()) {
      Double grams = pour.grams();
      if (pour.pourId().into().equals(piece) && pour.weighed() && grams != null) {
        beyond += grams - pour.plannedG();
      }
    }
    return beyond;
  }

  /**
   * @param evenings of one mould, at least one
   */
  public static OfAll learn(List<Squeezed> evenings) {
    List<Double> needed = evenings.stream().map(Squeezed::neededMl).toList();
    return new OfAll(
        evenings.size(),
        evenings.stream().mapToInt(Squeezed::looks).sum(),
        Quantile.of(needed, 0.5),
        Enough.of(needed),
        evenings.size() >= LearnedTimes.FEWEST_EVENINGS);
  }
}
