package calmpour.core.plan.bench;

import static calmpour.core.check.Known.known;

import calmpour.core.check.Check;
import calmpour.core.check.Range;
import calmpour.core.cup.CupKind;
import calmpour.core.plan.amounts.Amounts;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.CupId;
import calmpour.core.session.JobInResin;
import calmpour.core.tint.Colourant;
import calmpour.core.tint.LoadingLimit;
import calmpour.core.tint.Look;
import calmpour.core.tint.Tint;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * "A bit more" at the bench: what is in a cup when more colour was stirred in than planned, against
 * every limit, and how much more of each is still possible.
 *
 * @param loading every limit with how near the cup comes to it, the nearest first
 * @param look of the thinnest layer poured from it; null when nothing is
 * @param overfullMl by how much the content passes its cup's brim; 0 when it does not
 */
public record BenchTally(
    CupId cupId,
    List<TallyDose> doses,
    List<Cup.Loading> loading,
    boolean overLimit,
    double overfullMl,
    double waterPercent,
    double solventPercent,
    @Nullable Look look) {
  public BenchTally {
    doses = List.copyOf(doses);
    loading = List.copyOf(loading);
  }

  /**
   * Colour added by hand.
   *
   * @param counted drops, or quarters of a scoop
   */
  public record AddedColour(String colourantId, int counted) {
    public static final Range COUNTED = new Range(0, 1_000);

    public AddedColour {
      new Check().name("colourantId", colourantId).within("counted", counted, COUNTED).orThrow();
    }
  }

  /**
   * One colourant as it is in the cup now.
   *
   * @param counted drops, or quarters of a scoop, that were added beyond the plan
   * @param unit what is counted
   * @param massG in all
   * @param moreCounted whole ones that may still be added of it alone; null when nothing limits it
   */
  public record TallyDose(
      String colourantId,
      String colourantName,
      int counted,
      CountUnit unit,
      double massG,
      @Nullable Integer moreCounted) {}

  /** What is counted. */
  public enum CountUnit {
    DROP,
    QUARTER_SCOOP
  }

  /**
   * @param cup as planned
   * @param added each colourant of the workshop at most once
   * @param colourants all that may be added, by id
   */
  public static BenchTally of(
      JobInResin job, Cup cup, List<AddedColour> added, Map<String, Colourant> colourants) {
    Map<String, Integer> counts = new LinkedHashMap<>();
    Map<String, Double> grams = new LinkedHashMap<>();
    for (Cup.Dose dose : cup.tint().doses()) {
      grams.put(dose.colourantId(), dose.massG());
    }
    Tint planned = known(job.tints().get(cup.colour().id()));
    List<LoadingLimit> limits = new ArrayList<>(planned.limits());
    for (AddedColour more : added) {
      Colourant colourant = known(colourants.get(more.colourantId()));
      if (!grams.containsKey(more.colourantId())) {
        LoadingLimit.ofLabel(colourant).ifPresent(limits::add);
      }
      counts.merge(more.colourantId(), more.counted(), Integer::sum);
      grams.merge(more.colourantId(), more.counted() * colourant.countedG(), Double::sum);
    }
    List<Tint.Share> shares = new ArrayList<>();
    grams.forEach((id, g) ->
        shares.add(new Tint.Share(known(colourants.get(id)), g / cup.amounts().resinG())));
    Tint stirred = Tint.asStirred(shares, planned.resinDensity(), limits);
    List<TallyDose> doses = new ArrayList<>();
    grams.forEach((id, g) -> {
      Colourant colourant = known(colourants.get(id));
      double room = stirred.mayAddGPerGResin(colourant) * cup.amounts().resinG();
      doses.add(
          new TallyDose(
              id,
              colourant.name(),
              counts.getOrDefault(id, 0),
              colourant.form().liquid() ? CountUnit.DROP : CountUnit.QUARTER_SCOOP,
              g,
              Double.isInfinite(room)
                  ? null
                  : (Integer) (int) Math.floor(room / colourant.countedG() + 1e-9)));
    });
    double contentMl = cup.amounts().resinG() * (1 + stirred.gPerGResin()) / stirred.mixDensity();
    CupKind kind = cup.kind();
    return new BenchTally(
        cup.id(),
        doses,
        stirred.readings().stream().map(Amounts::loading).toList(),
        stirred.readings().stream().anyMatch(r -> r.fraction() > 1 + 1e-9),
        Math.max(0, contentMl - kind.capacityMl()),
        stirred.waterPercent(),
        stirred.solventPercent(),
        cup.tint().look() == null ? null : Look.of(stirred, cup.tint().look().thicknessMm(), null));
  }
}
