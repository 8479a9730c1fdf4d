package calmpour.app.work;

import calmpour.app.store.JournalLearned;
import calmpour.app.store.ShelfKind;
import calmpour.app.store.ShelfStore;
import calmpour.app.store.WorkshopClock;
import calmpour.core.check.Check;
import calmpour.core.check.Range;
import calmpour.core.journal.LearnedPace;
import calmpour.core.journal.LearnedTimes;
import calmpour.core.journal.Looked;
import calmpour.core.resin.LabelHours;
import calmpour.core.resin.OwnPace;
import calmpour.core.resin.ResinSystem;
import calmpour.core.session.Workshop;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What the cure diaries say of the resins on the shelf, and what is planned with. */
@Component
public class PaceDesk {
  private static final int MOST_KNOWN = 100;

  private static final Range ENOUGH = new Range(LearnedTimes.FEWEST_EVENINGS, Integer.MAX_VALUE);

  private final JournalDesk desk;
  private final JournalLearned journal;
  private final ShelfStore shelf;
  private final WorkshopClock clock;

  /** By what it was learned from: it takes a while, and the looks change with an evening only. */
  private final Map<Asked, LearnedPace> known = new HashMap<>();

  private record Asked(List<Looked> looks, boolean told) {}

  PaceDesk(JournalDesk desk, JournalLearned journal, ShelfStore shelf, WorkshopClock clock) {
    this.desk = desk;
    this.journal = journal;
    this.shelf = shelf;
    this.clock = clock;
  }

  /**
   * How slow or quick a resin is in this workshop, beside its label.
   *
   * @param of until it gels, or until it comes out of its mould
   * @param labelMinutes pot life on its label, or usual for its kind; min
   * @param labelHours until it comes out of its mould by its label, or usual for its kind; h
   * @param lots the same of single lots; none where fewer than two are known apart
   * @param lotNow the lots of A and B that are poured from; null where nobody noted them
   * @param taken what is planned with; null while that is the label
   */
  public record ResinPace(
      String resinId,
      String name,
      Looked.Of of,
      LearnedTimes learned,
      List<LearnedPace.LotPace> lots,
      @Nullable String lotNow,
      double labelMinutes,
      double labelHours,
      OwnPace.@Nullable Pace taken) {
    public ResinPace {
      lots = List.copyOf(lots);
    }
  }

  /** Resins that somebody looked at while they cured, by name. */
  public List<ResinPace> paces() {
    desk.catchUp();
    List<Looked> looks = journal.looks();
    List<ResinPace> paces = new ArrayList<>();
    Workshop shop = shelf.workshop();
    for (ResinSystem resin : shelf.<ResinSystem>all(ShelfKind.RESIN)) {
      for (Looked.Of of : Looked.Of.values()) {
        List<Looked> its = of(looks, resin.id(), of);
        if (!its.isEmpty()) {
          LearnedPace learned = learned(resin, of, its);
          paces.add(
              new ResinPace(
                  resin.id(),
                  resin.name(),
                  of,
                  learned.all(),
                  learned.lots(),
                  shop.lotOf(resin, today()),
                  resin.knownPotLifeMinutes().value(),
                  LabelHours.demould(resin, LabelHours.USUAL_DEPTH_MM).value(),
                  of == Looked.Of.FLUID ? resin.ownFluid() : resin.ownHard()));
        }
      }
    }
    return paces;
  }

  /**
   * Plans with what was learned of a resin, or with its label again.
   *
   * @param learned false for the label
   * @return false where the resin is not on the shelf
   * @throws calmpour.core.check.InvalidValuesException where there are too few evenings
   */
  public boolean planWith(String resinId, Looked.Of of, boolean learned) {
    desk.catchUp();
    ResinSystem resin = shelf.find(ShelfKind.RESIN, resinId).orElse(null);
    if (resin == null) {
      return false;
    }
    if (learned) {
      LearnedPace pace = learned(resin, of, of(journal.looks(), resinId, of));
      new Check().within("evenings", pace.all().evenings(), ENOUGH).orThrow();
      shelf.put(ShelfKind.RESIN, pace.takenBy(resin, of, today()));
    } else {
      shelf.put(ShelfKind.RESIN, LearnedPace.forgotten(resin, of));
    }
    return true;
  }

  /** Plans with all that enough evenings tell otherwise than what is planned with. */
  void takeLearned() {
    List<Looked> looks = journal.looks();
    for (Looked.Of of : Looked.Of.values()) {
      for (ResinSystem resin : shelf.<ResinSystem>all(ShelfKind.RESIN)) {
        List<Looked> its = of(looks, resin.id(), of);
        if (!its.isEmpty() && learned(resin, of, its).differsFromWhatIsPlannedWith(resin, of)) {
          shelf.put(ShelfKind.RESIN, learned(resin, of, its).takenBy(resin, of, today()));
        }
      }
    }
  }

  private LocalDate today() {
    return LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC);
  }

  private synchronized LearnedPace learned(ResinSystem resin, Looked.Of of, List<Looked> its) {
    if (known.size() > MOST_KNOWN) {
      known.clear();
    }
    boolean told = LearnedPace.isTold(resin, of);
    return known.computeIfAbsent(new Asked(its, told), a -> LearnedPace.of(a.looks, a.told));
  }

  private static List<Looked> of(List<Looked> looks, String resinId, Looked.Of of) {
    return looks.stream().filter(l -> l.resinId().equals(resinId) && l.of() == of).toList();
  }
}
