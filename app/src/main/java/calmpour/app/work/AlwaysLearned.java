package calmpour.app.work;

import calmpour.app.store.JournalLearned;
import calmpour.app.store.UsualStore;
import calmpour.core.habit.Hands;
import calmpour.core.journal.HandSpeeds;
import calmpour.core.session.Usual;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * Plans with what was learned of resins, moulds and hands whenever evenings were read, where this
 * workshop does so always.
 */
@Component
public class AlwaysLearned {
  private final UsualStore usual;
  private final JournalLearned journal;
  private final PaceDesk paces;
  private final FillDesk fills;
  private final StaysDesk stays;
  private final DosesDesk doses;
  private final LidDesk lids;

  AlwaysLearned(
      UsualStore usual,
      JournalLearned journal,
      PaceDesk paces,
      FillDesk fills,
      StaysDesk stays,
      DosesDesk doses,
      LidDesk lids) {
    this.lids = lids;
    this.stays = stays;
    this.doses = doses;
    this.usual = usual;
    this.journal = journal;
    this.paces = paces;
    this.fills = fills;
  }

  /** Does nothing in a workshop that wants to be asked. */
  @EventListener(JournalDesk.Read.class)
  public void take() {
    UsualStore.Kept kept = usual.find();
    if (kept.usual().learned() != Usual.Learned.ALWAYS) {
      return;
    }
    paces.takeLearned();
    fills.takeLearned();
    stays.takeLearned();
    doses.takeLearned();
    lids.takeLearned();
    takeHands();
  }

  /** Only what hands take. */
  public void takeHands() {
    UsualStore.Kept kept = usual.find();
    if (kept.usual().learned() != Usual.Learned.ALWAYS) {
      return;
    }
    Hands hands = HandSpeeds.with(kept.usual().hands(), journal.learnedHands(null));
    if (!hands.equals(kept.usual().hands())) {
      // Whoever changes their ways at this moment wins; the next evening tries again.
      usual.update(kept.revision(), kept.usual().withHands(hands));
    }
  }
}
