package calmpour.core.run;

import static org.assertj.core.api.Assertions.assertThat;

import calmpour.core.plan.doc.CupId;
import calmpour.core.plan.doc.TaskId;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** Against every order of every selection there is. */
class SalvageTest {
  @Test
  void noMorePoursCanBeSavedInAnyOrder() {
    Random random = new Random(28);
    for (int i = 0; i < 300; i++) {
      int from = random.nextInt(60);
      List<Salvage.Load> loads = new ArrayList<>();
      int left = 7;
      for (int c = 0; c < 3; c++) {
        int pours = Math.min(left, random.nextInt(4));
        left -= pours;
        List<Salvage.Open> open = new ArrayList<>();
        for (int p = 0; p < pours; p++) {
          open.add(new Salvage.Open(new TaskId(c + "." + p), 5 + random.nextInt(40), Set.of()));
        }
        int setUp = random.nextBoolean() ? 0 : random.nextInt(50);
        loads.add(new Salvage.Load(new CupId(1, 1 + c), setUp, from + random.nextInt(160), open));
      }
      Set<TaskId> lost = Salvage.givenUp(loads, from);
      int all = loads.stream().mapToInt(l -> l.pours().size()).sum();
      assertThat(all - lost.size()).as("%s from %d", loads, from).isEqualTo(most(loads, from));
      assertThat(canAll(loads, lost, from)).isTrue();
    }
  }

  /** Layers in the same cavities: a pour lies on one out of another cup, in two of three cases. */
  @Test
  void ofLayersOnEachOtherNoneIsLeftWithoutWhatItLiesOnAndFewMoreThanNeedBeAreGivenUp() {
    Random random = new Random(29);
    int more = 0;
    int cases = 2000;
    for (int i = 0; i < cases; i++) {
      int from = random.nextInt(60);
      List<Salvage.Load> loads = new ArrayList<>();
      List<TaskId> before = List.of();
      int left = 7;
      for (int c = 0; c < 3; c++) {
        int pours = Math.min(left, random.nextInt(4));
        left -= pours;
        List<Salvage.Open> open = new ArrayList<>();
        for (int p = 0; p < pours; p++) {
          boolean lies = p < before.size() && random.nextInt(3) > 0;
          open.add(
              new Salvage.Open(
                  new TaskId(c + "." + p),
                  5 + random.nextInt(40),
                  lies ? Set.of(before.get(p)) : Set.of()));
        }
        before = open.stream().map(Salvage.Open::id).toList();
        int setUp = random.nextBoolean() ? 0 : random.nextInt(50);
        loads.add(new Salvage.Load(new CupId(1, 1 + c), setUp, from + random.nextInt(200), open));
      }
      Collections.shuffle(loads, random);
      Set<TaskId> lost = Salvage.givenUp(loads, from);
      List<Salvage.Load> kept =
          loads.stream()
              .map(l ->
                  new Salvage.Load(
                      l.cupId(),
                      l.setUpSeconds(),
                      l.untilSeconds(),
                      l.pours().stream().filter(p -> !lost.contains(p.id())).toList()))
              .toList();
      int all = loads.stream().mapToInt(l -> l.pours().size()).sum();
      assertThat(most(kept, from)).as("%s from %d", loads, from).isEqualTo(all - lost.size());
      int most = most(loads, from);
      assertThat(lost.isEmpty()).as("%s from %d", loads, from).isEqualTo(most == all);
      assertThat(most - (all - lost.size())).as("%s from %d", loads, from).isBetween(0, 1);
      more += most - (all - lost.size());
    }
    // No quick way is always best here; this one gave up one too many in 6 of these 2,000.
    assertThat(more).isLessThan(10);
  }

  private static int most(List<Salvage.Load> loads, int from) {
    return most(loads, new HashSet<>(), new HashSet<>(), from);
  }

  private static int most(List<Salvage.Load> loads, Set<TaskId> done, Set<CupId> begun, int time) {
    int best = done.size();
    for (Salvage.Load load : loads) {
      for (Salvage.Open pour : load.pours()) {
        int end = time + pour.seconds() + (begun.contains(load.cupId()) ? 0 : load.setUpSeconds());
        boolean waits = !done.containsAll(pour.onto());
        if (done.contains(pour.id()) || waits || end > load.untilSeconds()) {
          continue;
        }
        done.add(pour.id());
        boolean first = begun.add(load.cupId());
        best = Math.max(best, most(loads, done, begun, end));
        done.remove(pour.id());
        if (first) {
          begun.remove(load.cupId());
        }
      }
    }
    return best;
  }

  /** Whether what is kept can all be done, by trying every order of the cups. */
  private static boolean canAll(List<Salvage.Load> loads, Set<TaskId> lost, int from) {
    Map<CupId, List<Salvage.Open>> kept =
        loads.stream()
            .collect(
                Collectors.toMap(
                    Salvage.Load::cupId,
                    l -> l.pours().stream().filter(p -> !lost.contains(p.id())).toList()));
    return orders(loads, new ArrayList<>()).stream()
        .anyMatch(order -> {
          int time = from;
          for (Salvage.Load load : order) {
            List<Salvage.Open> pours = kept.get(load.cupId());
            time += pours.isEmpty() ? 0 : load.setUpSeconds();
            time += pours.stream().mapToInt(Salvage.Open::seconds).sum();
            if (!pours.isEmpty() && time > load.untilSeconds()) {
              return false;
            }
          }
          return true;
        });
  }

  private static List<List<Salvage.Load>> orders(
      List<Salvage.Load> left, List<Salvage.Load> before) {
    if (left.isEmpty()) {
      return List.of(before);
    }
    List<List<Salvage.Load>> all = new ArrayList<>();
    for (Salvage.Load next : left) {
      List<Salvage.Load> rest = new ArrayList<>(left);
      rest.remove(next);
      List<Salvage.Load> more = new ArrayList<>(before);
      more.add(next);
      all.addAll(orders(rest, more));
    }
    return all;
  }
}
