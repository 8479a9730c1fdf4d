package calmpour.core.audit;

import static calmpour.core.check.Known.known;

import calmpour.core.design.WetWork;
import calmpour.core.habit.Mixing;
import calmpour.core.plan.Facts;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.Finding;
import calmpour.core.plan.doc.Finding.Mend;
import calmpour.core.plan.doc.Place;
import calmpour.core.plan.doc.Task;
import java.util.function.Predicate;

/**
 * Once alcohol is out on a bench, wiped, sprayed or in a colour, no flame and no hot air comes near
 * it for the rest of that session.
 */
final class NoFlameNearAlcohol implements Rule {
  @Override
  public void judge(Facts facts, Findings told) {
    Mixing mixing = facts.job().session().habits().mixing();
    boolean burns = facts.job().session().habits().care().bubbles().ignites();
    int out = Integer.MAX_VALUE;
    for (Task task : facts.plan().tasks()) {
      boolean dropped =
          task.kind() == Task.Kind.WET_WORK && wet(facts, task, WetWork.Kind::alcohol);
      if (task.kind() == Task.Kind.WIPE_MOULDS || dropped || holdsAlcohol(facts, task)) {
        out = Math.min(out, task.startSeconds());
      }
    }
    for (Task task : facts.plan().tasks()) {
      boolean passes = task.kind() == Task.Kind.BUBBLE_PASS || task.kind() == Task.Kind.LOOK;
      boolean laced = task.kind() == Task.Kind.WET_WORK && wet(facts, task, WetWork.Kind::ignites);
      boolean before =
          (task.kind() == Task.Kind.RELEASE && mixing.releaseOrNone().ignites())
              || (task.kind() == Task.Kind.WARM && mixing.warming() == Mixing.Warming.A_HOT_AIR);
      boolean flame = (burns && passes) || laced || before;
      if (flame && task.endSeconds() > out) {
        told.breach(
            Finding.Rule.FLAME_NEAR_ALCOHOL,
            Place.of(task),
            Findings.minutes(task.startSeconds()),
            Findings.minutes(out),
            "min",
            laced && task.line() != null
                ? Findings.openPiece(task.line())
                : new Mend(Mend.Kind.SOFT_TOOL, 0));
      }
    }
  }

  /** Whether any of a piece's wet work is of that sort. */
  private static boolean wet(Facts facts, Task task, Predicate<WetWork.Kind> sort) {
    String last = task.id().text().substring(task.id().text().lastIndexOf('.') + 1);
    return task.line() != null
        && facts
            .job()
            .lines()
            .get(task.line())
            .piece()
            .layers()
            .get(Integer.parseInt(last) - 1)
            .wetOrNone()
            .stream()
            .anyMatch(w -> sort.test(w.kind()));
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
