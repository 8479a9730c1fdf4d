package calmpour.app.work;

import calmpour.app.store.JournalLearned;
import calmpour.app.store.ShelfKind;
import calmpour.app.store.ShelfStore;
import calmpour.app.store.UsualStore;
import calmpour.app.store.WorkshopClock;
import calmpour.core.check.Check;
import calmpour.core.check.Range;
import calmpour.core.cup.CupKind;
import calmpour.core.cup.OwnStays;
import calmpour.core.cup.Residue;
import calmpour.core.habit.Habits;
import calmpour.core.journal.LearnedTimes;
import calmpour.core.journal.Quantile;
import calmpour.core.journal.Stayed;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What cups that were weighed after the pour say of their kinds, and what is planned with. */
@Component
public class StaysDesk {
  private static final Range ENOUGH = new Range(LearnedTimes.FEWEST_EVENINGS, Integer.MAX_VALUE);

  private final JournalDesk desk;
  private final JournalLearned journal;
  private final ShelfStore shelf;
  private final UsualStore usual;
  private final WorkshopClock clock;
  private final KnownTimes times;

  StaysDesk(
      JournalDesk desk,
      JournalLearned journal,
      ShelfStore shelf,
      UsualStore usual,
      WorkshopClock clock,
      KnownTimes times) {
    this.desk = desk;
    this.journal = journal;
    this.shelf = shelf;
    this.usual = usual;
    this.clock = clock;
    this.times = times;
  }

  /**
   * What stays in a kind of cup beside what was reckoned or said.
   *
   * @param learned how many times as much
   * @param contentG what such a cup mostly held, g
   * @param toldG what was reckoned or said to stay of that, g
   * @param taken what is planned with; null while that is as reckoned or said
   */
  public record CupStays(
      String kindId,
      String name,
      LearnedTimes learned,
      double contentG,
      double toldG,
      @Nullable OwnStays taken) {}

  /** Kinds of cups that somebody weighed after the pour, by name. */
  public List<CupStays> stays() {
    desk.catchUp();
    List<Stayed> stayed = journal.stayed();
    Habits habits = usual.find().usual().habits();
    List<CupStays> all = new ArrayList<>();
    for (CupKind kind : shelf.<CupKind>all(ShelfKind.CUP)) {
      List<Stayed> its = of(stayed, kind.id());
      if (!its.isEmpty()) {
        double content = Quantile.of(its.stream().map(Stayed::contentG).toList(), 0.5);
        Residue told = kind.told(habits);
        all.add(
            new CupStays(
                kind.id(),
                kind.name(),
                times.of(its),
                content,
                told.alwaysG() + told.share() * content,
                kind.learned()));
      }
    }
    return all;
  }

  /**
   * Plans with what was learned of a kind of cup, or as reckoned again.
   *
   * @param learned false for as reckoned or said
   * @return false where the kind is not on the shelf
   * @throws calmpour.core.check.InvalidValuesException where there are too few evenings
   */
  public boolean planWith(String kindId, boolean learned) {
    desk.catchUp();
    CupKind kind = shelf.<CupKind>find(ShelfKind.CUP, kindId).orElse(null);
    if (kind == null) {
      return false;
    }
    OwnStays own = learned ? own(kind, of(journal.stayed(), kindId)) : null;
    shelf.put(ShelfKind.CUP, kind.withOwn(own));
    return true;
  }

  /** Plans with all that enough evenings tell otherwise than what is planned with. */
  void takeLearned() {
    List<Stayed> stayed = journal.stayed();
    for (CupKind kind : shelf.<CupKind>all(ShelfKind.CUP)) {
      List<Stayed> its = of(stayed, kind.id());
      OwnStays now = kind.learned();
      LearnedTimes learned = its.isEmpty() ? null : times.of(its);
      if (learned != null
          && learned.differsFrom(now == null ? null : now.times())
          && OwnStays.TIMES.contains(learned.times())
          && OwnStays.SD.contains(learned.sd())) {
        shelf.put(ShelfKind.CUP, kind.withOwn(own(kind, its)));
      }
    }
  }

  private OwnStays own(CupKind kind, List<Stayed> stayed) {
    LearnedTimes learned = times.of(stayed);
    new Check().within("evenings", learned.evenings(), ENOUGH).orThrow();
    return new OwnStays(
        learned.times(),
        learned.sd(),
        learned.evenings(),
        LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC),
        kind.staysG());
  }

  private static List<Stayed> of(List<Stayed> stayed, String kindId) {
    return stayed.stream().filter(s -> s.kindId().equals(kindId)).toList();
  }
}
