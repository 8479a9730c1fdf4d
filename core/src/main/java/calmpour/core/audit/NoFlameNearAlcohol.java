package calmpour.core.audit;

import static calmpour.core.check.Known.known;

import calmpour.core.habit.Care;
import calmpour.core.plan.Facts;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.Finding;
import calmpour.core.plan.doc.Finding.Mend;
import calmpour.core.plan.doc.Place;
import calmpour.core.plan.doc.Task;

/**
 * Once alcohol is out on a bench, wiped, sprayed or in a colour, no flame and no hot air comes near
 * it for the rest of that session.
 */
final class NoFlameNearAlcohol implements Rule {
  @Override
  public void judge(Facts facts, Findings told) {
    Care.BubbleMethod method = facts.job().session().habits().care().bubbles();
    if (!method.ignites()) {
      return;
    }
    int out = Integer.MAX_VALUE;
    for (Task task : facts.plan().tasks()) {
      if (task.kind() == Task.Kind.WIPE_MOULDS || holdsAlcohol(facts, task)) {
        out = Math.min(out, task.startSeconds());
      }
    }
    for (Task task : facts.plan().tasks()) {
      boolean flame = task.kind() == Task.Kind.BUBBLE_PASS || task.kind() == Task.Kind.LOOK;
      if (flame && task.endSeconds() > out) {
        told.breach(
            Finding.Rule.FLAME_NEAR_ALCOHOL,
            Place.of(task),
            Findings.minutes(task.startSeconds()),
            Findings.minutes(out),
            "min",
            new Mend(Mend.Kind.SOFT_TOOL, 0));
      }
    }
  }

  /** Ink or solvent goes into a mix when it is tinted, or into its stock cup. */
  private static boolean holdsAlcohol(Facts facts, Task task) {
    boolean tints = task.kind() == Task.Kind.TINT || task.kind() == Task.Kind.STOCK_CUP;
    if (!tints) {
      return false;
    }
    for (Batch batch : facts.plan().batches()) {
      for (Cup cup : batch.cups()) {
        boolean its =
            task.cupId() == null ? task.batch() == batch.number() : cup.id().equals(task.cupId());
        if (its && known(facts.job(batch).tints().get(cup.colour().id())).solventPercent() > 0) {
          return true;
        }
      }
    }
    return false;
  }
}
