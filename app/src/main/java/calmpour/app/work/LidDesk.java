package calmpour.app.work;

import calmpour.app.store.JournalLearned;
import calmpour.app.store.ShelfKind;
import calmpour.app.store.ShelfStore;
import calmpour.core.check.Check;
import calmpour.core.check.Range;
import calmpour.core.journal.LearnedTimes;
import calmpour.core.journal.Squeezed;
import calmpour.core.mould.Mould;
import calmpour.core.mould.MouldMake;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What lids squeezed out, and how much closed moulds are filled over by. */
@Component
public class LidDesk {
  private static final Range ENOUGH = new Range(LearnedTimes.FEWEST_EVENINGS, Integer.MAX_VALUE);

  /** Less of a difference is none, mL. */
  private static final double SAME_ML = 0.05;

  private final JournalDesk desk;
  private final JournalLearned journal;
  private final ShelfStore shelf;

  LidDesk(JournalDesk desk, JournalLearned journal, ShelfStore shelf) {
    this.desk = desk;
    this.journal = journal;
    this.shelf = shelf;
  }

  /**
   * What a closed mould needs to be filled over by.
   *
   * @param plannedMl what it is filled over by; null where it is assumed
   * @param taken whether that is what was learned
   */
  public record LidSurplus(
      String mouldId,
      String name,
      Squeezed.OfAll learned,
      @Nullable Double plannedMl,
      boolean taken) {}

  /** Closed moulds of which somebody weighed what came out, by name. */
  public List<LidSurplus> lids() {
    desk.catchUp();
    List<Squeezed> all = journal.squeezed();
    List<LidSurplus> lids = new ArrayList<>();
    for (Mould mould : shelf.<Mould>all(ShelfKind.MOULD)) {
      List<Squeezed> its = of(all, mould.id());
      if (!its.isEmpty()) {
        Squeezed.OfAll learned = Squeezed.learn(its);
        Double planned = mould.make() == null ? null : mould.make().surplusMl();
        boolean taken =
            planned != null && Math.abs(planned - told(learned.enoughMl())) < SAME_ML / 2;
        lids.add(new LidSurplus(mould.id(), mould.name(), learned, planned, taken));
      }
    }
    return lids;
  }

  /**
   * Plans with what was learned of a closed mould, or as assumed again.
   *
   * @param learned false for as assumed
   * @return false where the mould is not on the shelf, or has no lid any more
   * @throws calmpour.core.check.InvalidValuesException where there are too few evenings
   */
  public boolean planWith(String mouldId, boolean learned) {
    desk.catchUp();
    Mould mould = shelf.<Mould>find(ShelfKind.MOULD, mouldId).orElse(null);
    if (mould == null || !closed(mould.make())) {
      return false;
    }
    List<Squeezed> its = of(journal.squeezed(), mouldId);
    if (learned) {
      new Check().within("evenings", its.size(), ENOUGH).orThrow();
    }
    put(mould, learned ? told(Squeezed.learn(its).enoughMl()) : null);
    return true;
  }

  /** Whether enough evenings say that a mould is to be filled over by just that, mL. */
  boolean says(String mouldId, double ml) {
    List<Squeezed> its = of(journal.squeezed(), mouldId);
    return its.size() >= LearnedTimes.FEWEST_EVENINGS
        && Math.abs(ml - told(Squeezed.learn(its).enoughMl())) < SAME_ML / 2;
  }

  /** Plans with all that enough evenings tell otherwise than what is planned with. */
  void takeLearned() {
    List<Squeezed> all = journal.squeezed();
    for (Mould mould : shelf.<Mould>all(ShelfKind.MOULD)) {
      List<Squeezed> its = of(all, mould.id());
      MouldMake make = mould.make();
      if (make != null && closed(make) && its.size() >= LearnedTimes.FEWEST_EVENINGS) {
        double learned = told(Squeezed.learn(its).enoughMl());
        Double now = make.surplusMl();
        if (now == null || Math.abs(now - learned) >= SAME_ML) {
          put(mould, learned);
        }
      }
    }
  }

  private void put(Mould mould, @Nullable Double surplusMl) {
    MouldMake make = mould.make();
    if (make != null) {
      shelf.put(ShelfKind.MOULD, mould.withMake(make.withSurplusMl(surplusMl)));
    }
  }

  private static boolean closed(@Nullable MouldMake make) {
    return make != null && make.opening() == MouldMake.Opening.CLOSED;
  }

  /** To the twentieth of a millilitre above. */
  private static double told(double ml) {
    return Math.min(MouldMake.SURPLUS_ML.maxInclusive(), Math.ceil(20 * ml - 1e-9) / 20);
  }

  private static List<Squeezed> of(List<Squeezed> all, String mouldId) {
    return all.stream().filter(s -> s.mouldId().equals(mouldId)).toList();
  }
}
