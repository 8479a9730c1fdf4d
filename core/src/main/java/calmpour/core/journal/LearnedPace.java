package calmpour.core.journal;

import calmpour.core.derive.Known;
import calmpour.core.derive.Origin;
import calmpour.core.resin.LabelHours;
import calmpour.core.resin.OwnPace;
import calmpour.core.resin.ResinSystem;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/**
 * What the cure diaries say of one pace of a resin: of all its bottles together, and of each pair
 * of lots beside the others (docs/rules.md, "The cure diary").
 *
 * @param all its bottles together
 * @param lots by their names; none where fewer than two are known apart
 */
public record LearnedPace(LearnedTimes all, List<LotPace> lots) {
  public LearnedPace {
    lots = List.copyOf(lots);
  }

  /**
   * One pair of lots.
   *
   * @param lot what is printed on the bottles of A and B
   */
  public record LotPace(String lot, LearnedTimes learned) {}

  /**
   * @param looks of one resin and one pace, an evening each
   * @param told whether its label says how long it takes
   */
  public static LearnedPace of(List<Looked> looks, boolean told) {
    List<String> names =
        looks.stream().map(Looked::lot).filter(Objects::nonNull).distinct().sorted().toList();
    List<LotPace> lots = new ArrayList<>();
    for (String name : names.size() < 2 ? List.<String>of() : names) {
      List<Looked> its = looks.stream().filter(l -> name.equals(l.lot())).toList();
      List<Looked> others = looks.stream().filter(l -> !name.equals(l.lot())).toList();
      lots.add(
          new LotPace(
              name, LearnedTimes.beside(LearnedTimes.of(others, told), OwnPace.LOT_SD, its)));
    }
    return new LearnedPace(LearnedTimes.of(looks, told), lots);
  }

  /** Whether a resin's label says how long that takes; else something of its kind was assumed. */
  public static boolean isTold(ResinSystem resin, Looked.Of of) {
    Known known =
        of == Looked.Of.FLUID
            ? resin.knownPotLifeMinutes()
            : LabelHours.demould(resin, LabelHours.USUAL_DEPTH_MM);
    return known.origin() != Origin.ASSUMED;
  }

  /**
   * A resin that is planned with like this: with all its bottles, and with the lots that enough
   * evenings tell apart.
   *
   * @throws calmpour.core.check.InvalidValuesException where it lies too far off to plan with
   */
  public ResinSystem takenBy(ResinSystem resin, Looked.Of of, LocalDate since) {
    Map<String, OwnPace.OfLot> byName = new TreeMap<>();
    otherPaces(resin, of).forEach(l -> byName.put(l.lot(), l));
    for (LotPace lot : lots) {
      if (lot.learned.enough() && plannable(lot.learned)) {
        OwnPace.OfLot before = byName.get(lot.lot);
        OwnPace.Pace its = pace(lot.learned, since);
        byName.put(
            lot.lot,
            of == Looked.Of.FLUID
                ? new OwnPace.OfLot(lot.lot, its, before == null ? null : before.hard())
                : new OwnPace.OfLot(lot.lot, before == null ? null : before.fluid(), its));
      }
    }
    return resin.withOwn(own(resin, of, pace(all, since), List.copyOf(byName.values())));
  }

  /** A resin that is planned with as on its label again. */
  public static ResinSystem forgotten(ResinSystem resin, Looked.Of of) {
    OwnPace own = own(resin, of, null, otherPaces(resin, of));
    boolean none = own.fluid() == null && own.hard() == null;
    return resin.withOwn(none ? null : own);
  }

  /** Of all bottles, or of a lot: whether it is enough, and another figure. */
  public boolean differsFromWhatIsPlannedWith(ResinSystem resin, Looked.Of of) {
    OwnPace.Pace now = of == Looked.Of.FLUID ? resin.ownFluid() : resin.ownHard();
    if (!all.enough() || !plannable(all)) {
      return false;
    }
    boolean otherLot =
        lots.stream()
            .filter(l -> l.learned.enough() && plannable(l.learned))
            .anyMatch(l -> l.learned.differsFrom(ofLot(resin, of, l.lot)));
    return otherLot || all.differsFrom(now == null ? null : now.times());
  }

  /** What a lot is planned with; null for as on the label. */
  private static @Nullable Double ofLot(ResinSystem resin, Looked.Of of, String lot) {
    OwnPace own = resin.own() == null ? null : resin.own().with(lot);
    OwnPace.Pace pace = own == null ? null : of == Looked.Of.FLUID ? own.fluid() : own.hard();
    return pace == null ? null : (Double) pace.times();
  }

  private static OwnPace own(
      ResinSystem resin, Looked.Of of, OwnPace.@Nullable Pace pace, List<OwnPace.OfLot> lots) {
    return of == Looked.Of.FLUID
        ? new OwnPace(pace, resin.ownHard(), lots)
        : new OwnPace(resin.ownFluid(), pace, lots);
  }

  /** What is known of lots beside this pace. */
  private static List<OwnPace.OfLot> otherPaces(ResinSystem resin, Looked.Of than) {
    List<OwnPace.OfLot> all = resin.own() == null ? List.of() : resin.own().lots();
    return all.stream()
        .map(l ->
            than == Looked.Of.FLUID
                ? new OwnPace.OfLot(l.lot(), null, l.hard())
                : new OwnPace.OfLot(l.lot(), l.fluid(), null))
        .filter(l -> l.fluid() != null || l.hard() != null)
        .toList();
  }

  private static boolean plannable(LearnedTimes learned) {
    return OwnPace.TIMES.contains(learned.times()) && OwnPace.SD.contains(learned.sd());
  }

  private static OwnPace.Pace pace(LearnedTimes learned, LocalDate since) {
    return new OwnPace.Pace(learned.times(), learned.sd(), learned.evenings(), since);
  }
}
