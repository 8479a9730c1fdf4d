package calmpour.core.plan.ways;

import calmpour.core.check.InvalidValuesException;
import calmpour.core.habit.Habits;
import calmpour.core.habit.Mixing;
import calmpour.core.habit.Planning;
import calmpour.core.habit.Splitting;
import calmpour.core.plan.doc.Finding;
import calmpour.core.plan.doc.Place;
import calmpour.core.plan.doc.Plan;
import calmpour.core.plan.doc.PourId;
import calmpour.core.plan.search.Watch;
import calmpour.core.resin.ResinKind;
import calmpour.core.resin.ResinSystem;
import calmpour.core.session.Piece;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.DoubleFunction;
import org.jspecify.annotations.Nullable;

/**
 * When a session does not fit: which limit binds, and the cheapest changes with which it does. Each
 * is planned through, and only what has no breach left is offered.
 */
public final class WaysOut {
  private static final int MOST_WAYS = 3;
  private static final int MOST_PLANS = 60;

  /** Cups by their heat, mL; 50 to 120 is common practice, no source. */
  private static final double[] SMALLER_CUPS_ML = {80, 60, 40, 25};

  private static final int MOST_MORE_BATCHES = 4;

  /** More layers of a day each than anybody pours. */
  private static final int MOST_LAYERS = 5;

  private final Session session;
  private final Workshop workshop;
  private final Plans plans;
  private final Watch watch;
  private final Plan now;
  private final List<Way> ways = new ArrayList<>();
  private int planned;

  private WaysOut(Session session, Workshop workshop, Plans plans, Watch watch) {
    this.workshop = workshop;
    this.plans = plans;
    this.watch = watch;
    this.now = plans.plan(session, workshop, watch);
    // As little as can be is changed: what shares a batch goes on sharing it.
    this.session = session.withArrangement(session.arrangement().withTogether(together(now)));
  }

  /**
   * @throws InvalidValuesException when the session cannot be planned at all
   */
  public static Ways of(Session session, Workshop workshop, Plans plans, Watch watch) {
    WaysOut out = new WaysOut(session, workshop, plans, watch);
    List<Finding> breaches = breaches(out.now);
    if (breaches.isEmpty()) {
      return new Ways(null, out.now, List.of(), false);
    }
    Finding worst = worst(breaches);
    out.search(breaches);
    Ways.LongRest rest = out.longRest();
    out.ways.sort(new WayOrder(out.session, out.now, rest != null));
    return new Ways(
        new Ways.Binding(
            worst.rule(),
            worst.place(),
            worst.value(),
            worst.limit(),
            worst.unit(),
            breaches.size(),
            rest),
        out.now,
        out.ways.subList(0, Math.min(MOST_WAYS, out.ways.size())),
        !watch.goOn(out.planned));
  }

  /** Which pours of a plan share a batch. */
  public static List<List<String>> together(Plan plan) {
    return plan.batches().stream()
        .map(b ->
            b.cups().stream().flatMap(c -> c.pours().stream()).map(p -> p.id().toString()).toList())
        .toList();
  }

  private static List<Finding> breaches(Plan plan) {
    return plan.findings().stream()
        .filter(f -> f.severity() == Finding.Severity.BREACH || f.heatWarning())
        .filter(f -> f.accepted() == null)
        .toList();
  }

  /**
   * Whether nothing stands in the way any more. What gets hot only when it is forgotten is a
   * caution: it rules a way out where there was nothing worse to be rid of.
   */
  private boolean does(Plan plan) {
    boolean worse = breaches(now).stream().anyMatch(f -> f.rule() != Finding.Rule.HOT_IF_FORGOTTEN);
    return breaches(plan).stream()
        .allMatch(f -> worse && f.rule() == Finding.Rule.HOT_IF_FORGOTTEN);
  }

  /** The first rule that is broken, where it is broken most. */
  private static Finding worst(List<Finding> breaches) {
    Finding.Rule first = breaches.get(0).rule();
    return breaches.stream()
        .filter(f -> f.rule() == first)
        .max(Comparator.comparingDouble(f -> Math.abs(f.value() - f.limit())))
        .orElseThrow();
  }

  private Ways.@Nullable LongRest longRest() {
    double restMinutes = session.habits().restMinutes();
    Workshop all = session.carried() == null ? workshop : workshop.overlaidWith(session.carried());
    double quickest =
        all.resins().stream()
            .filter(r -> now.batches().stream().anyMatch(b -> b.resinId().equals(r.id())))
            .mapToDouble(ResinSystem::plannedPotLifeMinutes)
            .min()
            .orElse(Double.POSITIVE_INFINITY);
    return restMinutes >= quickest ? new Ways.LongRest(restMinutes, quickest) : null;
  }

  private void search(List<Finding> breaches) {
    Habits habits = session.habits();
    Mixing mixing = habits.mixing();
    boolean late =
        breaches.stream().anyMatch(f -> f.rule() == Finding.Rule.POUR_AFTER_WORKING_TIME);
    boolean hot = breaches.stream().anyMatch(f -> f.rule().heat());
    if (late) {
      if (mixing.warming() != Mixing.Warming.NONE) {
        add(Way.Kind.NO_WARMING, 0, Mending.unwarmed(session));
      }
    }
    if (late || hot) {
      double rest = Math.ceil(habits.restMinutes()) - 1;
      leastOrAnew(Way.Kind.SHORTER_REST, rest, 0, m -> Mending.rested(session, m));
      double room = Math.ceil(session.room().temperatureC()) - 1;
      leastOrAnew(Way.Kind.COOLER_ROOM, room, Mending.COLDEST_ROOM_C, session::withTemperatureC);
      smallerCups(habits);
      slowerResins();
    }
    if (hot) {
      least(
          Way.Kind.IN_LAYERS,
          2,
          MOST_LAYERS,
          1,
          n -> Changed.to(Changed.inLayers(session, (int) n)));
    }
    if (habits.planning().pairsOfHands() < Planning.PAIRS_OF_HANDS.maxInclusive()) {
      add(Way.Kind.HELPER, 2, Mending.helped(session));
    }
    least(
        Way.Kind.MORE_BATCHES,
        session.splitInto() + 1.0,
        session.splitInto() + (double) MOST_MORE_BATCHES,
        1,
        n -> Changed.to(Changed.anew(session.withSplitInto((int) n))));
    otherStarts();
    leaveOut(breaches);
  }

  private void smallerCups(Habits habits) {
    Splitting splitting = habits.splitting();
    for (double ml : SMALLER_CUPS_ML) {
      boolean found =
          ml < splitting.cupAtMostMl()
              && add(
                  Way.Kind.SMALLER_CUPS,
                  ml,
                  session.withHabits(
                      habits.withSplitting(
                          new Splitting(splitting.when(), splitting.reserveMl(), ml))));
      if (found) {
        return;
      }
    }
  }

  private void slowerResins() {
    ResinSystem present =
        workshop.resins().stream()
            .filter(r -> r.id().equals(session.resinId()))
            .findFirst()
            .orElse(null);
    if (present == null) {
      return;
    }
    double potLife = present.plannedPotLifeMinutes();
    List<ResinSystem> slower =
        workshop.resins().stream()
            .filter(r -> r.plannedPotLifeMinutes() > potLife)
            // A coating bends and polyurethane is another craft: those are not proposed.
            .filter(r -> r.kind() == ResinKind.CASTING || r.kind() == ResinKind.DEEP)
            .sorted(Comparator.comparingDouble(ResinSystem::plannedPotLifeMinutes))
            .toList();
    for (ResinSystem resin : slower) {
      if (keep(
          tried(
              Way.Kind.SLOWER_RESIN,
              0,
              resin.id(),
              Changed.to(Changed.anew(session.withResinId(resin.id())))))) {
        return;
      }
    }
  }

  /** Earlier on the same day, and the days after; later on the same day the plan has looked. */
  private void otherStarts() {
    int[] minutes = {-60, -120, -180, -300, 1_440, 2_880, 7 * 1_440};
    for (int by : minutes) {
      if (add(Way.Kind.OTHER_START, by, Mending.later(session, by))) {
        return;
      }
    }
  }

  /**
   * As few pieces as were in the way; where that does not do, fewer of one line after the other.
   */
  private void leaveOut(List<Finding> breaches) {
    Map<Integer, Integer> fewer = new TreeMap<>();
    for (Finding breach : breaches) {
      switch (breach.place()) {
        case Place.OfPour(PourId id) -> fewer.merge(id.line() - 1, 1, Integer::sum);
        case Place.OfLine(int line) -> fewer.put(line - 1, session.pieces().get(line - 1).count());
        default -> {}
      }
    }
    if (fewerThanAll(fewer) && leave(fewer)) {
      return;
    }
    for (int line = 0; line < session.pieces().size(); line++) {
      int its = line;
      int count = session.pieces().get(line).count();
      int most = session.pieces().size() > 1 ? count : count - 1;
      least(
          Way.Kind.LEAVE_OUT,
          1,
          most,
          1,
          n -> Changed.without(session, new TreeMap<>(Map.of(its, (int) n))));
    }
  }

  private boolean fewerThanAll(Map<Integer, Integer> fewer) {
    int all = session.pieces().stream().mapToInt(Piece::count).sum();
    int out = 0;
    for (int line = 0; line < session.pieces().size(); line++) {
      out += Math.min(session.pieces().get(line).count(), fewer.getOrDefault(line, 0));
    }
    return out > 0 && out < all;
  }

  private boolean leave(Map<Integer, Integer> fewer) {
    Changed left = Changed.without(session, fewer);
    double out = left.fewer().stream().mapToInt(Way.Fewer::count).sum();
    return keep(tried(Way.Kind.LEAVE_OUT, out, null, left));
  }

  /**
   * The least change downwards that gives as few batches as the furthest does: with what shared a
   * batch going on to share it, or planned anew where that makes fewer.
   */
  private void leastOrAnew(
      Way.Kind kind, double first, double last, DoubleFunction<Session> change) {
    if (first < last) {
      return;
    }
    Way kept = tried(kind, last, null, Changed.to(change.apply(last)));
    Way fresh = tried(kind, last, null, Changed.to(Changed.anew(change.apply(last))));
    boolean anew = batches(fresh) < batches(kept);
    Way furthest = anew ? fresh : kept;
    DoubleFunction<Changed> changed =
        v -> Changed.to(anew ? Changed.anew(change.apply(v)) : change.apply(v));
    least(kind, first, last, -1, batches(furthest), furthest, changed);
  }

  private static int batches(@Nullable Way way) {
    return way == null ? Integer.MAX_VALUE : way.plan().batches().size();
  }

  /** The least change of a kind that does; that the furthest does not tells that none will. */
  private void least(
      Way.Kind kind, double first, double last, double step, DoubleFunction<Changed> change) {
    if ((last - first) * step >= 0) {
      Way furthest = tried(kind, last, null, change.apply(last));
      least(kind, first, last, step, Integer.MAX_VALUE, furthest, change);
    }
  }

  private void least(
      Way.Kind kind,
      double first,
      double last,
      double step,
      int mostBatches,
      @Nullable Way furthest,
      DoubleFunction<Changed> change) {
    if (furthest == null) {
      return;
    }
    Way best = furthest;
    int low = 0;
    int high = (int) Math.round((last - first) / step);
    while (low < high) {
      int middle = (low + high) / 2;
      double value = first + middle * step;
      Way way = tried(kind, value, null, change.apply(value));
      if (way != null && batches(way) <= mostBatches) {
        best = way;
        high = middle;
      } else {
        low = middle + 1;
      }
    }
    ways.add(best);
  }

  private boolean add(Way.Kind kind, double value, Session changed) {
    Way kept = tried(kind, value, null, Changed.to(changed));
    Way fresh =
        batches(kept) == 1 ? null : tried(kind, value, null, Changed.to(Changed.anew(changed)));
    return keep(batches(fresh) < batches(kept) ? fresh : kept);
  }

  private boolean keep(@Nullable Way way) {
    if (way != null) {
      ways.add(way);
    }
    return way != null;
  }

  /**
   * Planned anew, what was moved by hand stays there where that does; where it does not, it is
   * given up, and the screen says so.
   */
  private @Nullable Way tried(
      Way.Kind kind, double value, @Nullable String target, Changed changed) {
    Way way = triedAsItIs(kind, value, target, changed);
    Session s = changed.session();
    if (way != null || s.arrangement().pins().isEmpty() || !s.arrangement().together().isEmpty()) {
      return way;
    }
    return triedAsItIs(kind, value, target, new Changed(changed.fewer(), Changed.unpinned(s)));
  }

  private @Nullable Way triedAsItIs(
      Way.Kind kind, double value, @Nullable String target, Changed changed) {
    if (planned >= MOST_PLANS || !watch.goOn(planned)) {
      return null;
    }
    planned++;
    try {
      Plan plan = plans.plan(changed.session(), workshop, watch);
      if (!does(plan)) {
        return null;
      }
      return new Way(
          kind,
          value,
          target,
          changed.fewer(),
          changed.session(),
          plan,
          plan.totals().resinG() - now.totals().resinG(),
          (int)
              (Duration.between(session.startsAtInstant(), changed.session().startsAtInstant())
                      .toSeconds()
                  + plan.endSeconds()
                  - now.endSeconds()));
    } catch (InvalidValuesException cannotBePlanned) {
      return null;
    }
  }
}
