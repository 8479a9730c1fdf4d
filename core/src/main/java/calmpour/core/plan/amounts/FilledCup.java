package calmpour.core.plan.amounts;

import calmpour.core.cup.CupKind;
import calmpour.core.plan.doc.CupId;
import calmpour.core.tint.Colour;
import calmpour.core.tint.Dosing;
import calmpour.core.tint.Tint;
import java.util.List;
import java.util.Objects;

/**
 * One cup with its masses in milligrams.
 *
 * @param doses as they are counted, in the order of the colour's recipe
 * @param hand which of the cups put together by hand it is, or {@link CupDraft#BY_PLAN}
 */
public record FilledCup(
    CupId id,
    Colour colour,
    Tint tint,
    List<PourDraft> pours,
    CupKind kind,
    long pouredMg,
    long resinMg,
    List<Dosing.Counted> doses,
    int hand) {
  long contentMg() {
    return resinMg + dosesMg();
  }

  long dosesMg() {
    return doses.stream().mapToLong(FilledCup::mg).sum();
  }

  double contentMl() {
    return Milligrams.grams(contentMg()) / tint.mixDensity();
  }

  /** The mix as it is counted together, with the limits of its colour. */
  Tint asCounted() {
    return counted(doses, resinMg, tint);
  }

  /** The same cup with other resin and doses. */
  FilledCup holding(long newResinMg, List<Dosing.Counted> newDoses) {
    return new FilledCup(id, colour, tint, pours, kind, pouredMg, newResinMg, newDoses, hand);
  }

  /** Resin that its stock cups take beyond what comes back with the stock, g. */
  double stockExtraG() {
    return doses.stream()
        .map(Dosing.Counted::stock)
        .filter(Objects::nonNull)
        .mapToDouble(s -> s.resinG() - s.resinWithItG())
        .sum();
  }

  /** A dose in the plan's milligrams: down, since it has an upper limit. */
  static long mg(Dosing.Counted dose) {
    return Milligrams.down(dose.massG());
  }

  /** A mix as it is counted together, with the limits of its colour. */
  static Tint counted(List<Dosing.Counted> doses, long resinMg, Tint tint) {
    double resinG = Milligrams.grams(resinMg);
    return Tint.asStirred(
        doses.stream()
            .map(d -> new Tint.Share(d.colourant(), Milligrams.grams(mg(d)) / resinG))
            .toList(),
        tint.resinDensity(),
        tint.limits());
  }
}
