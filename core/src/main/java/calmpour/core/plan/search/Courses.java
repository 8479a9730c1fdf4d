package calmpour.core.plan.search;

import static calmpour.core.check.Known.known;

import calmpour.core.plan.amounts.BatchDraft;
import calmpour.core.plan.amounts.CupDraft;
import calmpour.core.plan.amounts.PourDraft;
import calmpour.core.plan.doc.CavityId;
import calmpour.core.plan.time.Presence;
import calmpour.core.session.Job;
import calmpour.core.tool.Booking;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;

/**
 * Looks for an order of the batches, and for a start, with which nothing falls when nobody is there
 * or when something shared is taken. Other orders first, at the time that was said; then later
 * starts, the soonest that does.
 */
public final class Courses {
  private static final int MOST_ORDERS = 24;
  private static final int MOST_TRIES = 72;
  private static final int LEAST_TRIES = 3;

  /** Cups and pours laid out in all while a course is looked for. */
  private static final int WORK = 2_500;

  private static final int HALF_HOUR = 1_800;
  private static final int DAYS = 5;

  private final Job job;
  private final Trials trials;
  private final Function<List<BatchDraft.Settled>, Day> day;
  private int tried;
  private int mostTries = MOST_TRIES;

  Courses(Job job, Trials trials, Function<List<BatchDraft.Settled>, Day> day) {
    this.job = job;
    this.trials = trials;
    this.day = day;
  }

  /** A day on which batches are made in one order. */
  public interface Day {
    /**
     * @param notBefore nothing begins any sooner, s
     * @return how many things go wrong because of when they are done
     */
    int missed(int notBefore);
  }

  record Choice(List<BatchDraft.Settled> drafts, Day day, int notBefore, int missed) {
    /** The batches are the same in every course: what they waste and spare is as well. */
    Quality quality() {
      return new Quality(missed, drafts.size(), 0, 0);
    }
  }

  int tried() {
    return tried;
  }

  Choice best(List<BatchDraft.Settled> drafts) {
    // A large session takes long to lay out, so fewer of its courses are looked at.
    int work =
        drafts.stream().flatMap(d -> d.cups().stream()).mapToInt(c -> 2 + c.pours().size()).sum();
    mostTries = Math.clamp(WORK / (work + 4L * drafts.size() + 1), LEAST_TRIES, MOST_TRIES);
    Choice best = tried(drafts, day.apply(drafts), 0);
    if (best.missed == 0) {
      return best;
    }
    boolean byHand = !job.session().arrangement().pins().isEmpty();
    for (List<BatchDraft.Settled> order : byHand ? List.of(drafts) : orders(drafts)) {
      best = better(best, order, day.apply(order), 0);
      if (best.missed == 0) {
        return best;
      }
    }
    List<BatchDraft.Settled> order = best.drafts;
    Day inOrder = best.day;
    for (int start : starts()) {
      if (!goOn()) {
        break;
      }
      best = better(best, order, inOrder, start);
      if (best.missed == 0) {
        break;
      }
    }
    return best;
  }

  private Choice better(Choice best, List<BatchDraft.Settled> order, Day inOrder, int start) {
    if (!goOn()) {
      return best;
    }
    Choice other = tried(order, inOrder, start);
    return other.quality().betterThan(best.quality(), 1, 0) ? other : best;
  }

  private boolean goOn() {
    return tried < mostTries && trials.goOn();
  }

  private Choice tried(List<BatchDraft.Settled> order, Day inOrder, int start) {
    tried++;
    return new Choice(order, inOrder, start, inOrder.missed(start));
  }

  /** Starts at which somebody is there, and those at which something becomes free. */
  private Set<Integer> starts() {
    Set<Integer> starts = new TreeSet<>();
    Presence presence = new Presence(job.session());
    if (job.session().arrangement().hours() != null) {
      Integer at = presence.next(1, HALF_HOUR);
      while (at != null && at < DAYS * 24 * 3_600) {
        starts.add(at);
        // On the first days to the half hour, then to the hour.
        int step = at < 2 * 24 * 3_600 ? HALF_HOUR : 2 * HALF_HOUR;
        at = presence.next(at + step, HALF_HOUR);
      }
    }
    Instant begin = job.session().startsAtInstant();
    for (Booking booking : job.bookings()) {
      int free = (int) Duration.between(begin, booking.to()).toSeconds();
      Integer there = free > 0 ? presence.next(free, HALF_HOUR) : null;
      if (there != null) {
        starts.add(there);
      }
    }
    return starts;
  }

  /** Other orders in which no layer comes before the one below it. */
  private static List<List<BatchDraft.Settled>> orders(List<BatchDraft.Settled> drafts) {
    List<List<BatchDraft.Settled>> orders = new ArrayList<>();
    if (drafts.size() > 1) {
      permute(drafts, below(drafts), new ArrayList<>(), orders);
    }
    return orders;
  }

  /**
   * Deepest first: what can follow at once follows at once.
   *
   * @param order places of those that stand in the order so far
   */
  private static void permute(
      List<BatchDraft.Settled> drafts,
      List<Set<Integer>> below,
      List<Integer> order,
      List<List<BatchDraft.Settled>> orders) {
    if (order.size() == drafts.size()) {
      boolean asTheyStand = order.stream().sorted().toList().equals(order);
      if (!asTheyStand) {
        orders.add(order.stream().map(drafts::get).toList());
      }
      return;
    }
    for (int next = drafts.size() - 1; next >= 0 && orders.size() < MOST_ORDERS; next--) {
      if (!order.contains(next) && order.containsAll(below.get(next))) {
        order.add(next);
        permute(drafts, below, order, orders);
        order.removeLast();
      }
    }
  }

  /** Whether every layer of this order comes after the one below it. */
  static boolean possible(List<BatchDraft.Settled> order) {
    List<Set<Integer>> below = below(order);
    for (int i = 0; i < order.size(); i++) {
      int at = i;
      if (below.get(i).stream().anyMatch(other -> other > at)) {
        return false;
      }
    }
    return true;
  }

  /** By the place of each batch, those that have to come before it. */
  private static List<Set<Integer>> below(List<BatchDraft.Settled> drafts) {
    List<Map<CavityId, Integer>> lowest = new ArrayList<>();
    Map<CavityId, List<Integer>> byCavity = new HashMap<>();
    List<Set<Integer>> below = new ArrayList<>();
    for (int i = 0; i < drafts.size(); i++) {
      Map<CavityId, Integer> its = new HashMap<>();
      for (CupDraft cup : drafts.get(i).cups()) {
        for (PourDraft pour : cup.pours()) {
          // A layer in parts is poured in their order as well.
          int turn = pour.layer() * 10_000 + pour.part();
          its.merge(pour.id().into(), turn, Math::min);
        }
      }
      int at = i;
      its.keySet().forEach(c -> byCavity.computeIfAbsent(c, k -> new ArrayList<>()).add(at));
      lowest.add(its);
      below.add(new HashSet<>());
    }
    byCavity.forEach((cavity, its) -> {
      for (int one : its) {
        for (int other : its) {
          if (known(lowest.get(other).get(cavity)) < known(lowest.get(one).get(cavity))) {
            below.get(one).add(other);
          }
        }
      }
    });
    return below;
  }
}
