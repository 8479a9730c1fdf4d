package calmpour.core.run;

import calmpour.core.plan.doc.CupId;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Which pours to give up when not all of them can be in time: as few as possible.
 *
 * <p>Where no pour lies on another that is still to be done: all pours of a cup are due at the same
 * moment, so of each cup the shortest are kept, and cups come in the order in which they thicken
 * (J. R. Jackson's rule; with the choice of what to leave out it is J. M. Moore, An n job, one
 * machine sequencing algorithm for minimizing the number of late jobs, Management Science 15 (1968)
 * 102–109). A cup that is still to be tinted costs that first, so the choice is made over all
 * numbers of pours from each cup: least time for so many saved, cup after cup.
 *
 * <p>Where layers lie on each other, that choice and Moore's own are both mended until what is left
 * is in time, what fits again is taken back in, and the one that gives up fewer is kept; nobody
 * knows a quick way that is always best there.
 */
final class Salvage {
  private final List<Load> loads;
  private final int from;
  private final Map<TaskId, Open> pours = new LinkedHashMap<>();

  private Salvage(List<Load> loads, int from) {
    this.loads = loads;
    this.from = from;
    loads.forEach(l -> l.pours().forEach(p -> pours.put(p.id(), p)));
  }

  /**
   * One pour that is still to be done.
   *
   * @param onto pours that it lies on, of these and others
   */
  record Open(TaskId id, int seconds, Set<TaskId> onto) {
    Open {
      onto = Set.copyOf(onto);
    }
  }

  /**
   * One cup with what is still to be poured from it.
   *
   * @param setUpSeconds before the first pour from it
   * @param untilSeconds when the last one has to be done
   */
  record Load(CupId cupId, int setUpSeconds, int untilSeconds, List<Open> pours) {}

  /**
   * @param from when the hands are free, s
   * @return the pours to give up, by id; with each all that lies on it
   */
  static Set<TaskId> givenUp(List<Load> loads, int from) {
    Salvage salvage = new Salvage(loads, from);
    Set<TaskId> byCups = salvage.mended(salvage.cupByCup());
    Set<TaskId> oneByOne = salvage.mended(salvage.tooLateAlone());
    return oneByOne.size() < byCups.size() ? oneByOne : byCups;
  }

  /** Gives up more until what is left is in time, then takes back in what fits again. */
  private Set<TaskId> mended(Set<TaskId> out) {
    Set<TaskId> lost = withWhatLiesOn(out);
    for (List<DueOrder.Job> late = late(lost); !late.isEmpty(); late = late(lost)) {
      lost.addAll(cheapest(late, lost));
    }
    List<Open> back = new ArrayList<>(pours.values());
    back.sort(Comparator.comparingInt(Open::seconds));
    boolean more;
    do {
      more = false;
      for (Open pour : back) {
        if (lost.contains(pour.id()) && pour.onto().stream().noneMatch(lost::contains)) {
          lost.remove(pour.id());
          boolean fits = late(lost).isEmpty();
          more |= fits;
          if (!fits) {
            lost.add(pour.id());
          }
        }
      }
    } while (more);
    return lost;
  }

  /** What would not be in time if it were done at once. */
  private Set<TaskId> tooLateAlone() {
    Set<TaskId> lost = new HashSet<>();
    for (Load load : loads) {
      for (Open pour : load.pours()) {
        if (from + load.setUpSeconds() + pour.seconds() > load.untilSeconds()) {
          lost.add(pour.id());
        }
      }
    }
    return lost;
  }

  /** What to give up so that the last of some work comes sooner: few pours that take long. */
  private Set<TaskId> cheapest(List<DueOrder.Job> late, Set<TaskId> lost) {
    Set<TaskId> best = Set.of();
    int most = 0;
    for (DueOrder.Job job : late) {
      if (!pours.containsKey(job.id())) {
        continue;
      }
      Set<TaskId> its = withWhatLiesOn(Set.of(job.id()));
      its.removeAll(lost);
      Set<TaskId> left = new HashSet<>(lost);
      left.addAll(its);
      Set<TaskId> still = new HashSet<>();
      jobs(left).forEach(j -> still.add(j.id()));
      int saves =
          late.stream().filter(j -> !still.contains(j.id())).mapToInt(DueOrder.Job::seconds).sum();
      boolean better = best.isEmpty() || its.size() < best.size();
      if (better || (its.size() == best.size() && saves > most)) {
        best = its;
        most = saves;
      }
    }
    return best;
  }

  /** What is done one after the other until the first pour that is too late; empty for none. */
  private List<DueOrder.Job> late(Set<TaskId> lost) {
    List<DueOrder.Job> order = DueOrder.of(jobs(lost));
    long time = from;
    for (int i = 0; i < order.size(); i++) {
      time += order.get(i).seconds();
      if (time > order.get(i).untilSeconds() && pours.containsKey(order.get(i).id())) {
        return order.subList(0, i + 1);
      }
    }
    return List.of();
  }

  private List<DueOrder.Job> jobs(Set<TaskId> lost) {
    List<DueOrder.Job> jobs = new ArrayList<>();
    for (Load load : loads) {
      List<Open> kept = load.pours().stream().filter(p -> !lost.contains(p.id())).toList();
      TaskId setUp = TaskId.cup(load.cupId(), Task.Kind.TINT);
      if (!kept.isEmpty() && load.setUpSeconds() > 0) {
        jobs.add(new DueOrder.Job(setUp, load.setUpSeconds(), load.untilSeconds(), Set.of()));
      }
      for (Open pour : kept) {
        Set<TaskId> after = new HashSet<>(pour.onto());
        after.add(setUp);
        jobs.add(new DueOrder.Job(pour.id(), pour.seconds(), load.untilSeconds(), after));
      }
    }
    return jobs;
  }

  private Set<TaskId> withWhatLiesOn(Set<TaskId> lost) {
    Set<TaskId> all = new HashSet<>(lost);
    boolean more;
    do {
      more = false;
      for (Open pour : pours.values()) {
        more |= pour.onto().stream().anyMatch(all::contains) && all.add(pour.id());
      }
    } while (more);
    return all;
  }

  /** As few as possible where nothing lies on anything. */
  private Set<TaskId> cupByCup() {
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
