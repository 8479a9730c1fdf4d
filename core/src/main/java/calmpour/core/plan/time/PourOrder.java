package calmpour.core.plan.time;

import static calmpour.core.check.Known.known;

import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.CavityId;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.CupId;
import calmpour.core.plan.doc.LineLayer;
import calmpour.core.plan.doc.PourId;
import calmpour.core.session.JobInResin;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** In which order the pours of one batch are done. */
public final class PourOrder {
  private final JobInResin job;
  private final Batch batch;

  PourOrder(JobInResin job, Batch batch) {
    this.job = job;
    this.batch = batch;
  }

  /** A pour in the order of pouring, or an embed between two halves. */
  public sealed interface Step {
    record PourStep(Cup cup, Cup.Pour pour) implements Step {}

    record EmbedStep(LineLayer at) implements Step {}
  }

  /**
   * The calm order: the cup that thickens first is emptied first, a lower layer always before the
   * one on it, and a cup once picked up is kept in hand while it has something to pour. What waits
   * for an embed comes after everything that does not.
   *
   * @param thickens when each cup's working time ends, by id; any clock
   */
  List<Step> cupInHand(Map<CupId, Integer> thickens) {
    Map<CupId, List<Cup.Pour>> left = new LinkedHashMap<>();
    Map<PourId, Integer> waiting = new HashMap<>();
    Set<LineLayer> held = new LinkedHashSet<>();
    Map<CupId, Cup> cups = new HashMap<>();
    for (Cup cup : batch.cups()) {
      cups.put(cup.id(), cup);
      left.put(cup.id(), new ArrayList<>(fussyFirst(cup)));
      for (Cup.Pour pour : cup.pours()) {
        waiting.merge(cavityLayer(pour, pour.layer()), 1, Integer::sum);
        if (pour.half() == 2) {
          held.add(LineLayer.of(pour));
        }
      }
    }
    List<Step> order = new ArrayList<>();
    CupId inHand = null;
    while (left.values().stream().anyMatch(l -> !l.isEmpty())) {
      Cup.Pour next = inHand == null ? null : ready(known(left.get(inHand)), waiting, held);
      if (next == null) {
        int soonest = Integer.MAX_VALUE;
        for (Map.Entry<CupId, List<Cup.Pour>> each : left.entrySet()) {
          Cup.Pour candidate = ready(each.getValue(), waiting, held);
          int thick = known(thickens.get(each.getKey()));
          if (candidate != null && thick < soonest) {
            soonest = thick;
            inHand = each.getKey();
            next = candidate;
          }
        }
      }
      if (next == null && !held.isEmpty()) {
        // Nothing else can be poured: time for the embeds, one line after the other.
        LineLayer first = nextHeld(held, left);
        held.remove(first);
        order.add(new Step.EmbedStep(first));
        continue;
      }
      if (next == null) {
        throw new IllegalStateException(
            "bug: every cup waits for another in batch " + batch.number());
      }
      known(left.get(inHand)).remove(next);
      waiting.merge(cavityLayer(next, next.layer()), -1, Integer::sum);
      order.add(new Step.PourStep(known(cups.get(inHand)), next));
    }
    return order;
  }

  /** Slow cavities come early in the pot life: at its end only they would meet gelling resin. */
  private List<Cup.Pour> fussyFirst(Cup cup) {
    List<Cup.Pour> pours = new ArrayList<>(cup.pours());
    pours.sort(Comparator.comparingDouble((Cup.Pour p) -> -job.lines().get(p.line()).pourTimes()));
    return pours;
  }

  /**
   * The order with the most time to spare at its tightest pour: from the end backwards, always the
   * pour whose cup thickens last among those that nothing still has to follow. E. L. Lawler,
   * Optimal sequencing of a single machine subject to precedence constraints, Management Science 19
   * (1973) 544–546.
   *
   * @param thickens when each cup's working time ends, by id; any clock
   * @return empty where an embed comes between two halves: there a wait is part of the order
   */
  List<Step> latestLast(Map<CupId, Integer> thickens) {
    List<Step.PourStep> all = new ArrayList<>();
    for (Cup cup : batch.cups()) {
      for (Cup.Pour pour : fussyFirst(cup)) {
        if (pour.half() == 2) {
          return List.of();
        }
        all.add(new Step.PourStep(cup, pour));
      }
    }
    Map<CavityId, List<Step.PourStep>> byCavity = new HashMap<>();
    for (Step.PourStep step : all) {
      byCavity.computeIfAbsent(CavityId.of(step.pour()), k -> new ArrayList<>()).add(step);
    }
    List<Step> backwards = new ArrayList<>();
    CupId inHand = null;
    while (!all.isEmpty()) {
      Step.PourStep last = null;
      for (Step.PourStep step : all) {
        if (followed(step.pour(), known(byCavity.get(CavityId.of(step.pour()))))) {
          continue;
        }
        int by =
            last == null
                ? 1
                : known(thickens.get(step.cup().id())) - known(thickens.get(last.cup().id()));
        // Of equals the cup in hand, then what stands last in the plan.
        boolean keeps = by == 0 && (step.cup().id().equals(inHand) || !holds(known(last), inHand));
        if (by > 0 || keeps) {
          last = step;
        }
      }
      if (last == null) {
        throw new IllegalStateException(
            "bug: every pour waits for another in batch " + batch.number());
      }
      inHand = last.cup().id();
      backwards.add(last);
      all.remove(last);
      known(byCavity.get(CavityId.of(last.pour()))).remove(last);
    }
    Collections.reverse(backwards);
    return backwards;
  }

  private static boolean holds(Step.PourStep step, @Nullable CupId cupId) {
    return step.cup().id().equals(cupId);
  }

  /** Whether another pour of its cavity has to come after it. */
  private boolean followed(Cup.Pour pour, List<Step.PourStep> ofCavity) {
    boolean several = severalColours(pour);
    for (Step.PourStep other : ofCavity) {
      boolean above = other.pour().layer() > pour.layer();
      boolean after =
          several && other.pour().layer() == pour.layer() && other.pour().part() > pour.part();
      if (above || after) {
        return true;
      }
    }
    return false;
  }

  private boolean severalColours(Cup.Pour pour) {
    return job.lines().get(pour.line()).level(pour.layer()).colours().size() > 1;
  }

  private static PourId cavityLayer(Cup.Pour pour, int layer) {
    return new PourId(pour.line() + 1, pour.cavity(), layer + 1, 0);
  }

  /** Embeds go in where all the first halves they are meant for lie in their moulds. */
  private static LineLayer nextHeld(Set<LineLayer> held, Map<CupId, List<Cup.Pour>> left) {
    for (LineLayer at : held) {
      boolean poured =
          left.values().stream()
              .flatMap(List::stream)
              .noneMatch(p -> p.half() == 1 && LineLayer.of(p).equals(at));
      if (poured) {
        return at;
      }
    }
    return held.iterator().next();
  }

  /** The first pour with nothing of its cavity still to come below it, and no embed to wait for. */
  private Cup.@Nullable Pour ready(
      List<Cup.Pour> pours, Map<PourId, Integer> waiting, Set<LineLayer> held) {
    for (Cup.Pour pour : pours) {
      boolean free = pour.half() == 1 || !held.contains(LineLayer.of(pour));
      for (int below = 0; below < pour.layer(); below++) {
        free &= waiting.getOrDefault(cavityLayer(pour, below), 0) == 0;
      }
      // What presses others apart comes after them.
      int before = pour.parts() - waiting.getOrDefault(cavityLayer(pour, pour.layer()), 0);
      free &= !severalColours(pour) || before >= pour.part() - 1;
      if (free) {
        return pour;
      }
    }
    return null;
  }
}
