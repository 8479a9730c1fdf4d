package calmpour.core.run;

import calmpour.core.plan.doc.CupId;
import calmpour.core.plan.doc.TaskId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * Which pours to give up when not all of them can be in time: as few as possible, and of those the
 * ways that are done soonest.
 *
 * <p>All pours of a cup are due at the same moment, so of each cup the shortest are kept, and cups
 * come in the order in which they thicken (J. R. Jackson's rule; with the choice of what to leave
 * out it is J. M. Moore, An n job, one machine sequencing algorithm for minimizing the number of
 * late jobs, Management Science 15 (1968) 102–109). A cup that is still to be tinted costs that
 * first, so the choice is made over all numbers of pours from each cup: least time for so many
 * saved, cup after cup.
 */
final class Salvage {
  private Salvage() {}

  /** One pour that is still to be done. */
  record Open(TaskId id, int seconds) {}

  /**
   * One cup with what is still to be poured from it.
   *
   * @param setUpSeconds before the first pour from it
   * @param untilSeconds when the last one has to be done
   */
  record Load(CupId cupId, int setUpSeconds, int untilSeconds, List<Open> pours) {}

  /**
   * @param from when the hands are free, s
   * @return the pours to give up, by id
   */
  static Set<TaskId> givenUp(List<Load> loads, int from) {
    List<Load> due = new ArrayList<>(loads);
    due.sort(Comparator.comparingInt(Load::untilSeconds));
    int most = due.stream().mapToInt(l -> l.pours().size()).sum();
    long[] soonest = new long[most + 1];
    java.util.Arrays.fill(soonest, Long.MAX_VALUE);
    soonest[0] = from;
    List<int[]> taken = new ArrayList<>();
    for (Load load : due) {
      List<Open> shortest = shortestFirst(load);
      long[] next = soonest.clone();
      int[] take = new int[most + 1];
      long needs = load.setUpSeconds();
      for (int n = 1; n <= shortest.size(); n++) {
        needs += shortest.get(n - 1).seconds();
        for (int saved = 0; saved + n <= most; saved++) {
          long end = soonest[saved] == Long.MAX_VALUE ? Long.MAX_VALUE : soonest[saved] + needs;
          if (end <= load.untilSeconds() && end < next[saved + n]) {
            next[saved + n] = end;
            take[saved + n] = n;
          }
        }
      }
      soonest = next;
      taken.add(take);
    }
    int saved = most;
    while (soonest[saved] == Long.MAX_VALUE) {
      saved--;
    }
    Set<TaskId> lost = new HashSet<>();
    for (int l = due.size() - 1; l >= 0; l--) {
      int kept = taken.get(l)[saved];
      List<Open> shortest = shortestFirst(due.get(l));
      shortest.subList(kept, shortest.size()).forEach(p -> lost.add(p.id()));
      saved -= kept;
    }
    return lost;
  }

  private static List<Open> shortestFirst(Load load) {
    List<Open> pours = new ArrayList<>(load.pours());
    pours.sort(Comparator.comparingInt(Open::seconds));
    return pours;
  }
}
