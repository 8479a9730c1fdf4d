package calmpour.app.work;

import calmpour.app.store.JournalLearned;
import calmpour.app.store.ShelfKind;
import calmpour.app.store.ShelfStore;
import calmpour.app.store.WorkshopClock;
import calmpour.core.check.Check;
import calmpour.core.check.Range;
import calmpour.core.journal.Filled;
import calmpour.core.journal.LearnedTimes;
import calmpour.core.mould.Cavity;
import calmpour.core.mould.Mould;
import calmpour.core.mould.OwnFill;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What weighed pours say of the moulds on the shelf, and what is planned with. */
@Component
public class FillDesk {
  private static final Range ENOUGH = new Range(LearnedTimes.FEWEST_EVENINGS, Integer.MAX_VALUE);

  private final JournalDesk desk;
  private final JournalLearned journal;
  private final ShelfStore shelf;
  private final WorkshopClock clock;
  private final KnownTimes times;

  FillDesk(
      JournalDesk desk,
      JournalLearned journal,
      ShelfStore shelf,
      WorkshopClock clock,
      KnownTimes times) {
    this.desk = desk;
    this.journal = journal;
    this.shelf = shelf;
    this.clock = clock;
    this.times = times;
  }

  /**
   * What a cavity takes beside what it was measured to.
   *
   * @param name the mould and, where it has several kinds, the cavity
   * @param learned how many times as much as measured
   * @param measuredMl what was measured, mL
   * @param taken what is planned with; null while that is the measurement
   */
  public record MouldFill(
      String mouldId,
      String cavityId,
      String name,
      LearnedTimes learned,
      double measuredMl,
      @Nullable OwnFill taken) {}

  /** Cavities into which somebody weighed a pour, by name. */
  public List<MouldFill> fills() {
    desk.catchUp();
    List<Filled> fills = journal.fills();
    List<MouldFill> all = new ArrayList<>();
    for (Mould mould : shelf.<Mould>all(ShelfKind.MOULD)) {
      for (Cavity cavity : mould.cavities()) {
        List<Filled> its = of(fills, mould.id(), cavity.id());
        if (!its.isEmpty()) {
          all.add(
              new MouldFill(
                  mould.id(),
                  cavity.id(),
                  mould.nameOf(cavity),
                  times.of(its),
                  measuredMl(cavity),
                  cavity.learned()));
        }
      }
    }
    return all;
  }

  /**
   * Plans with what was learned of a cavity, or with its measurement again.
   *
   * @param learned false for the measurement
   * @return false where the cavity is not on the shelf
   * @throws calmpour.core.check.InvalidValuesException where there are too few evenings
   */
  public boolean planWith(String mouldId, String cavityId, boolean learned) {
    desk.catchUp();
    Mould mould = shelf.<Mould>find(ShelfKind.MOULD, mouldId).orElse(null);
    Cavity cavity = mould == null ? null : mould.cavity(cavityId);
    if (mould == null || cavity == null) {
      return false;
    }
    OwnFill own = learned ? own(cavity, of(journal.fills(), mouldId, cavityId)) : null;
    shelf.put(ShelfKind.MOULD, mould.with(cavity.taking(own)));
    return true;
  }

  /** Plans with all that enough evenings tell otherwise than what is planned with. */
  void takeLearned() {
    List<Filled> fills = journal.fills();
    for (Mould mould : shelf.<Mould>all(ShelfKind.MOULD)) {
      Mould now = mould;
      for (Cavity cavity : mould.cavities()) {
        List<Filled> its = of(fills, mould.id(), cavity.id());
        OwnFill own = cavity.learned();
        LearnedTimes learned = its.isEmpty() ? null : times.of(its);
        if (learned != null
            && learned.differsFrom(own == null ? null : own.times())
            && OwnFill.TIMES.contains(learned.times())
            && OwnFill.SD.contains(learned.sd())) {
          now = now.with(cavity.taking(own(cavity, its)));
        }
      }
      if (!now.equals(mould)) {
        shelf.put(ShelfKind.MOULD, now);
      }
    }
  }

  private OwnFill own(Cavity cavity, List<Filled> fills) {
    LearnedTimes learned = times.of(fills);
    new Check().within("evenings", learned.evenings(), ENOUGH).orThrow();
    return new OwnFill(
        learned.times(),
        learned.sd(),
        learned.evenings(),
        LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC),
        measuredMl(cavity));
  }

  private static double measuredMl(Cavity cavity) {
    return cavity.taking(null).bare().volumeMl();
  }

  private static List<Filled> of(List<Filled> fills, String mouldId, String cavityId) {
    return fills.stream()
        .filter(f -> f.mouldId().equals(mouldId) && f.cavityId().equals(cavityId))
        .toList();
  }
}
