package calmpour.core.journal;

import calmpour.core.cup.CupKind;
import calmpour.core.cup.OwnStays;
import calmpour.core.cup.Residue;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Cup;
import calmpour.core.run.AsRun;
import calmpour.core.run.BenchTrouble;
import calmpour.core.run.Run;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * How many times as much as reckoned stayed in the cups of a kind on one evening, by cups that were
 * weighed when they were poured out, or that were empty before their last pour (docs/rules.md,
 * "What stays in a cup").
 *
 * @param kindId kind of cup
 * @param times as much as reckoned or as was said before, by the middle cup
 * @param contentG what the middle cup held, g
 * @param looks cups it is told by, 1 or more
 */
public record Stayed(String kindId, double times, double contentG, int looks) implements Bounds {
  /** What a kitchen scale tells of a few grams, as a share (starting value). */
  private static final double READ = 0.05;

  @Override
  public Double lowest() {
    return times * (1 - READ);
  }

  @Override
  public Double highest() {
    return times * (1 + READ);
  }

  /** One for each kind of cup that says something. */
  public static List<Stayed> of(Run run, AsRun asRun) {
    Map<String, List<Double>> times = new LinkedHashMap<>();
    Map<String, List<Double>> contents = new LinkedHashMap<>();
    for (AsRun.CupIn cup : asRun.cups()) {
      CupKind kind = kind(run, cup);
      Double stayed = stayed(asRun, cup);
      if (kind == null || stayed == null || cup.filledG() <= 0) {
        continue;
      }
      Residue planned = kind.residue(run.session().habits());
      double reckoned = planned.alwaysG() + planned.share() * cup.filledG();
      OwnStays own = kind.learned();
      if (reckoned > 0 && stayed > 0) {
        double before = own == null ? 1 : own.times();
        times.computeIfAbsent(kind.id(), k -> new ArrayList<>()).add(stayed / reckoned * before);
        contents.computeIfAbsent(kind.id(), k -> new ArrayList<>()).add(cup.filledG());
      }
    }
    List<Stayed> all = new ArrayList<>();
    times.forEach((kind, its) ->
        all.add(
            new Stayed(
                kind,
                Quantile.of(its, 0.5),
                Quantile.of(contents.getOrDefault(kind, List.of()), 0.5),
                its.size())));
    return all;
  }

  private static @Nullable CupKind kind(Run run, AsRun.CupIn cup) {
    for (Batch batch : run.plan().batches()) {
      for (Cup planned : batch.cups()) {
        if (planned.id().equals(cup.cupId())) {
          return planned.kind();
        }
      }
    }
    return null;
  }

  /** As weighed; else what was in it when it was found empty, if nothing else was lost from it. */
  private static @Nullable Double stayed(AsRun asRun, AsRun.CupIn cup) {
    if (cup.stayedG() != null) {
      return cup.stayedG();
    }
    List<BenchTrouble.Kind> troubles =
        asRun.troubles().stream()
            .filter(t -> cup.cupId().equals(t.cup()))
            .map(BenchTrouble::kind)
            .toList();
    boolean weighed =
        asRun.pours().stream()
            .filter(p -> p.cupId().equals(cup.cupId()) && p.grams() != null)
            .allMatch(AsRun.PourIn::weighed);
    return weighed && troubles.equals(List.of(BenchTrouble.Kind.CUP_EMPTY))
        ? (Double) cup.lostG()
        : null;
  }

  /** Whether a cup was found empty: what was poured from it last is not as much as was wanted. */
  static boolean ranEmpty(AsRun asRun, AsRun.PourIn pour) {
    return asRun.troubles().stream()
        .anyMatch(t -> t.kind() == BenchTrouble.Kind.CUP_EMPTY && pour.cupId().equals(t.cup()));
  }
}
