package calmpour.core.journal;

import calmpour.core.mould.Cavity;
import calmpour.core.mould.Mould;
import calmpour.core.mould.MouldMake;
import calmpour.core.mould.OwnFill;
import calmpour.core.plan.doc.CavityId;
import calmpour.core.plan.doc.Plan;
import calmpour.core.run.AsRun;
import calmpour.core.run.Run;
import calmpour.core.session.Piece;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * How many times as much as measured the cavities of a mould took on one evening, by pours that
 * were weighed (docs/rules.md, "What a mould really takes").
 *
 * @param mouldId the mould
 * @param cavityId which kind of its cavities
 * @param times as much as measured, by the middle piece
 * @param looks pieces it is told by, 1 or more
 */
public record Filled(String mouldId, String cavityId, double times, int looks) implements Bounds {
  /** What a scale and a steady hand tell apart, as a share (starting value). */
  private static final double READ = 0.005;

  @Override
  public Double lowest() {
    return times * (1 - READ);
  }

  @Override
  public Double highest() {
    return times * (1 + READ);
  }

  /** What went into a piece, and what was planned to. */
  private record Sums(double real, double planned) {}

  /** One for each kind of cavity that says something. */
  public static List<Filled> of(Run run, AsRun asRun) {
    Map<CavityId, @Nullable Sums> pieces = new LinkedHashMap<>();
    for (AsRun.PourIn pour : asRun.pours()) {
      if (pour.layer() < run.plan().pieces().get(pour.line()).layers().size()) {
        CavityId into = pour.pourId().into();
        Sums before = pieces.getOrDefault(into, new Sums(0, 0));
        Double grams = pour.weighed() && !Stayed.ranEmpty(asRun, pour) ? pour.grams() : null;
        pieces.put(
            into,
            before == null || grams == null
                ? null
                : new Sums(before.real + grams, before.planned + pour.plannedG()));
      }
    }
    Map<String, List<Double>> told = new HashMap<>();
    Map<String, Plan.PieceView> views = new LinkedHashMap<>();
    for (AsRun.PourIn pour : asRun.pours()) {
      Sums sums = pieces.remove(pour.pourId().into());
      Plan.PieceView view = run.plan().pieces().get(pour.line());
      Double before = ownTimes(run, pour.line(), view);
      if (sums != null && sums.planned > 0 && sums.real > 0 && before != null) {
        String of = Mould.key(view.mouldId(), view.cavityId());
        views.put(of, view);
        told.computeIfAbsent(of, k -> new ArrayList<>()).add(sums.real / sums.planned * before);
      }
    }
    List<Filled> all = new ArrayList<>();
    views.forEach((of, view) -> {
      List<Double> times = told.getOrDefault(of, List.of());
      all.add(new Filled(view.mouldId(), view.cavityId(), Quantile.of(times, 0.5), times.size()));
    });
    return all;
  }

  /** As much as measured the plan took it for; null where what is poured says nothing of it. */
  private static @Nullable Double ownTimes(Run run, int line, Plan.PieceView view) {
    Piece piece = run.session().pieces().get(line);
    Mould mould =
        run.workshop().moulds().stream()
            .filter(m -> m.id().equals(view.mouldId()))
            .findFirst()
            .orElse(null);
    Cavity cavity = mould == null ? null : mould.cavity(view.cavityId());
    if (mould == null || cavity == null || cavity.inner() != null || cavity.bed() != null) {
      return null;
    }
    MouldMake make = mould.make();
    boolean open =
        make == null || make.opening() == null || make.opening() == MouldMake.Opening.OPEN;
    // What is left to the rim is what the eye fills; an amount that was chosen is poured to a
    // figure.
    boolean chosen = piece.layers().isEmpty() || piece.layers().getLast().fill() != null;
    if (!open || chosen || piece.workOrNone().inner() != null) {
      return null;
    }
    OwnFill own = cavity.learned();
    return own == null ? 1 : own.times();
  }
}
