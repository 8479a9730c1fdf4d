package calmpour.app.work;

import calmpour.app.store.JournalLearned;
import calmpour.app.store.ShelfKind;
import calmpour.app.store.ShelfStore;
import calmpour.app.store.WorkshopClock;
import calmpour.core.check.Check;
import calmpour.core.check.Range;
import calmpour.core.journal.Dosed;
import calmpour.core.journal.LearnedTimes;
import calmpour.core.tint.Colourant;
import calmpour.core.tint.OwnCount;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What doses that were weighed as they were counted say of a drop or scoop. */
@Component
public class DosesDesk {
  private static final Range ENOUGH = new Range(LearnedTimes.FEWEST_EVENINGS, Integer.MAX_VALUE);

  private final JournalDesk desk;
  private final JournalLearned journal;
  private final ShelfStore shelf;
  private final WorkshopClock clock;
  private final KnownTimes times;

  DosesDesk(
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
   * A drop or scoop of a colourant beside what was told of it.
   *
   * @param drops whether it is counted in drops; in level scoops otherwise
   * @param implement what it is counted with; null where nobody has named it
   * @param learned how many times as heavy
   * @param toldG what one was told or assumed to weigh, g
   * @param taken what is planned with; null while that is as told
   */
  public record CountedDose(
      String colourantId,
      String name,
      boolean drops,
      @Nullable String implement,
      LearnedTimes learned,
      double toldG,
      @Nullable OwnCount taken) {}

  /** Colourants of which somebody weighed what was counted, by name. */
  public List<CountedDose> doses() {
    desk.catchUp();
    List<Dosed> dosed = journal.dosed();
    List<CountedDose> all = new ArrayList<>();
    for (Colourant colourant : shelf.<Colourant>all(ShelfKind.COLOURANT)) {
      List<Dosed> its = of(dosed, colourant.id());
      if (!its.isEmpty()) {
        all.add(
            new CountedDose(
                colourant.id(),
                colourant.name(),
                colourant.form().liquid(),
                colourant.implement(),
                times.of(its),
                colourant.toldG(),
                colourant.learnedCount()));
      }
    }
    return all;
  }

  /**
   * Plans with what was learned of a colourant's drop or scoop, or as told again.
   *
   * @param learned false for as told
   * @return false where the colourant is not on the shelf
   * @throws calmpour.core.check.InvalidValuesException where there are too few evenings
   */
  public boolean planWith(String colourantId, boolean learned) {
    desk.catchUp();
    Colourant colourant = shelf.<Colourant>find(ShelfKind.COLOURANT, colourantId).orElse(null);
    if (colourant == null) {
      return false;
    }
    OwnCount own = learned ? own(colourant, of(journal.dosed(), colourantId)) : null;
    shelf.put(ShelfKind.COLOURANT, colourant.withCount(own));
    return true;
  }

  /** Plans with all that enough evenings tell otherwise than what is planned with. */
  void takeLearned() {
    List<Dosed> dosed = journal.dosed();
    for (Colourant colourant : shelf.<Colourant>all(ShelfKind.COLOURANT)) {
      List<Dosed> its = of(dosed, colourant.id());
      OwnCount now = colourant.learnedCount();
      LearnedTimes learned = its.isEmpty() ? null : times.of(its);
      if (learned != null
          && learned.differsFrom(now == null ? null : now.times())
          && OwnCount.TIMES.contains(learned.times())
          && OwnCount.SD.contains(learned.sd())) {
        shelf.put(ShelfKind.COLOURANT, colourant.withCount(own(colourant, its)));
      }
    }
  }

  private OwnCount own(Colourant colourant, List<Dosed> dosed) {
    new Check().within("evenings", dosed.size(), ENOUGH).orThrow();
    LearnedTimes learned = times.of(dosed);
    return new OwnCount(
        learned.times(),
        learned.sd(),
        learned.evenings(),
        LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC),
        colourant.toldG());
  }

  private static List<Dosed> of(List<Dosed> dosed, String colourantId) {
    return dosed.stream().filter(d -> d.colourantId().equals(colourantId)).toList();
  }
}
