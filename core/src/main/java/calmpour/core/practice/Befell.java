package calmpour.core.practice;

import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.CupId;
import calmpour.core.plan.doc.Task;
import calmpour.core.run.BenchTrouble;
import calmpour.core.run.RunEvent;
import org.jspecify.annotations.Nullable;

/**
 * A mishap that came.
 *
 * @param with the step that it came with
 * @param cup the other cup, or the one that tipped over; null for other mishaps
 * @param pour that went wrong; null for other mishaps
 * @param grams spilled or leaked; 0 for other mishaps
 */
record Befell(
    Mishap mishap,
    RunEvent with,
    Task task,
    @Nullable CupId cup,
    Cup.@Nullable Pour pour,
    double grams) {

  /**
   * What an event of trouble names when it tells of this; which cup the wrong colour came from may
   * differ.
   */
  String trouble() {
    return switch (mishap.kind()) {
      case WRONG_CUP ->
          BenchTrouble.Kind.WRONG_COLOUR + "/" + (pour == null ? "" : pour.id().toString());
      case SPILL -> BenchTrouble.Kind.SPILLED + "/" + cup;
      case LEAK -> BenchTrouble.Kind.LEAKS + "/" + into();
      case EMBED_FORGOTTEN -> BenchTrouble.Kind.EMBED_FORGOTTEN + "/" + task.id().text();
      case PHONE, OVER_POUR, WARM_ROOM, COLD_RESIN ->
          throw new IllegalStateException("bug: no trouble of the bench " + mishap);
    };
  }

  /** The piece that it was poured into; empty for what was no pour. */
  String into() {
    return pour == null ? "" : pour.id().into().toString();
  }
}
