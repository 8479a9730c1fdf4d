package calmpour.core.plan.ways;

import calmpour.core.check.InvalidValuesException;
import calmpour.core.design.Fill;
import calmpour.core.design.Join;
import calmpour.core.design.Layer;
import calmpour.core.habit.Habits;
import calmpour.core.habit.Mixing;
import calmpour.core.habit.Planning;
import calmpour.core.habit.Splitting;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.Finding;
import calmpour.core.plan.doc.Plan;
import calmpour.core.plan.search.Watch;
import calmpour.core.resin.ResinKind;
import calmpour.core.resin.ResinSystem;
import calmpour.core.session.Piece;
import calmpour.core.session.Room;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
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

  /** Below this a room is too cold to mix in: common practice, no source. */
  private static final double COLDEST_ROOM_C = 18;

  /** Cups by their heat, mL; 50 to 120 is common practice, no source. */
  private static final double[] SMALLER_CUPS_ML = {80, 60, 40, 25};

  /** Work and waste that differ by less are the same to a maker. */
  private static final double WORK_STEP_MINUTES = 10;

  private static final double WASTE_STEP_G = 5;

  private static final int MOST_MORE_BATCHES = 4;

  /** More layers of a day each than anybody pours. */
  private static final int MOST_LAYERS = 5;

  /**
   * What a change costs a maker beside the minutes it takes, in minutes: starting values without a
   * source, for nothing but the order in which ways are shown.
   */
  private static final double PIECE_LEFT_OUT = 40;

  private static final double BATCH_MORE = 10;
  private static final double GRAM_MORE = 0.2;
  private static final double HELPER = 25;
  private static final double OTHER_RESIN = 20;
  private static final double DEGREE_COOLER = 6;
  private static final double MINUTE_OF_REST = 4;
  private static final double SMALLER_CUPS = 5;
  private static final double HOUR_LATER = 4;
  private static final double LAYER_MORE = 20;

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

  /** What could be changed. */
  public enum Kind {
    /** To {@code value} minutes. */
    SHORTER_REST,
    /** Bottles left cold. */
    NO_WARMING,
    /** To {@code value} °C. */
    COOLER_ROOM,
    HELPER,
    /** No cup fuller than {@code value} mL. */
    SMALLER_CUPS,
    /** At least {@code value} batches a stage. */
    MORE_BATCHES,
    /** Resin {@code target}. */
    SLOWER_RESIN,
    /** {@code value} minutes later, or earlier when negative. */
    OTHER_START,
    /** {@code value} pieces fewer. */
    LEAVE_OUT,
    /** Pieces of one layer poured in {@code value} layers, each when the one below is hard. */
    IN_LAYERS
  }

  /**
   * What stands in the way most.
   *
   * @param value what it comes to, in {@code unit}
   * @param limit what it may be
   * @param breaches how many there are in all
   * @param rest the cause of it all, where the rest alone outlasts the resin
   */
  public record Binding(
      Finding.Rule rule,
      String place,
      double value,
      double limit,
      String unit,
      int breaches,
      @Nullable LongRest rest) {}

  /**
   * A rest that is longer than the resin lasts: whatever else is changed, it stays in the way.
   *
   * @param restMinutes as the maker has it
   * @param potLifeMinutes of the quickest resin poured
   */
  public record LongRest(double restMinutes, double potLifeMinutes) {}

  /**
   * One change and what comes of it.
   *
   * @param pieces how many pieces fewer of each line, where some are left out
   * @param session with the change made
   * @param plan of it, without a breach
   * @param resinMoreG A + B more than in the present plan
   * @param finishLaterSeconds how much later the last piece is poured
   */
  public record Way(
      Kind kind,
      double value,
      @Nullable String target,
      List<Fewer> pieces,
      Session session,
      Plan plan,
      double resinMoreG,
      int finishLaterSeconds) {
    public Way {
      pieces = List.copyOf(pieces);
    }
  }

  /** So many pieces fewer of a line of the session. */
  public record Fewer(int line, int count) {}

  /**
   * @param binding null when nothing stands in the way
   * @param plan the present one
   * @param ways the cheapest first; fewer than three when no more was found
   * @param stopped whether somebody had enough before everything was looked at
   */
  public record Ways(@Nullable Binding binding, Plan plan, List<Way> ways, boolean stopped) {
    public Ways {
      ways = List.copyOf(ways);
    }
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
    LongRest rest = out.longRest();
    // By what comes of a way first; how much of a change it is only parts what is as good.
    out.ways.sort(
        Comparator.comparing((Way w) -> rest == null || w.kind != Kind.SHORTER_REST)
            .thenComparingInt(w -> w.pieces.stream().mapToInt(Fewer::count).sum())
            .thenComparingInt(w -> w.plan.batches().size())
            .thenComparingLong(w -> workSteps(w.plan))
            .thenComparingLong(w -> Math.round(w.plan.totals().staysG() / WASTE_STEP_G))
            .thenComparingDouble(out::cost));
    return new Ways(
        new Binding(
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

  /** What hands do, in steps, without what may be left undone. */
  private static long workSteps(Plan plan) {
    double seconds =
        plan.tasks().stream()
            .filter(t -> t.hands() && !t.optional())
            .mapToDouble(t -> t.endSeconds() - t.startSeconds())
            .sum();
    return Math.round(seconds / 60 / WORK_STEP_MINUTES);
  }

  /** Which pours of a plan share a batch. */
  public static List<List<String>> together(Plan plan) {
    return plan.batches().stream()
        .map(b -> b.cups().stream().flatMap(c -> c.pours().stream()).map(Cup.Pour::id).toList())
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

  private @Nullable LongRest longRest() {
    double restMinutes = session.habits().restMinutes();
    Workshop all = session.carried() == null ? workshop : workshop.overlaidWith(session.carried());
    double quickest =
        all.resins().stream()
            .filter(r -> now.batches().stream().anyMatch(b -> b.resinId().equals(r.id())))
            .mapToDouble(r -> r.knownPotLifeMinutes().value())
            .min()
            .orElse(Double.POSITIVE_INFINITY);
    return restMinutes >= quickest ? new LongRest(restMinutes, quickest) : null;
  }

  private void search(List<Finding> breaches) {
    Habits habits = session.habits();
    Mixing mixing = habits.mixing();
    boolean late =
        breaches.stream().anyMatch(f -> f.rule() == Finding.Rule.POUR_AFTER_WORKING_TIME);
    boolean hot = breaches.stream().anyMatch(f -> f.rule().heat());
    if (late) {
      if (mixing.warming() != Mixing.Warming.NONE) {
        add(Kind.NO_WARMING, 0, session.withHabits(habits.withMixing(mixing.unwarmed())));
      }
    }
    if (late || hot) {
      double rest = Math.ceil(habits.restMinutes()) - 1;
      leastOrAnew(Kind.SHORTER_REST, rest, 0, m -> session.withHabits(habits.withRestMinutes(m)));
      double room = Math.ceil(session.room().temperatureC()) - 1;
      leastOrAnew(
          Kind.COOLER_ROOM,
          room,
          COLDEST_ROOM_C,
          c -> session.withRoom(new Room(c, session.room().humidityPercent())));
      smallerCups(habits);
      slowerResins();
    }
    if (hot) {
      least(Kind.IN_LAYERS, 2, MOST_LAYERS, 1, n -> Changed.to(inLayers((int) n)));
    }
    if (habits.planning().pairsOfHands() < Planning.PAIRS_OF_HANDS.maxInclusive()) {
      Planning two = new Planning(habits.planning().surePercent(), 2);
      add(Kind.HELPER, 2, session.withHabits(habits.withPlanning(two)));
    }
    least(
        Kind.MORE_BATCHES,
        session.splitInto() + 1.0,
        session.splitInto() + (double) MOST_MORE_BATCHES,
        1,
        n -> Changed.to(anew(session.withSplitInto((int) n))));
    otherStarts();
    leaveOut(breaches);
  }

  private void smallerCups(Habits habits) {
    Splitting splitting = habits.splitting();
    for (double ml : SMALLER_CUPS_ML) {
      boolean found =
          ml < splitting.cupAtMostMl()
              && add(
                  Kind.SMALLER_CUPS,
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
    double potLife = present.knownPotLifeMinutes().value();
    List<ResinSystem> slower =
        workshop.resins().stream()
            .filter(r -> r.knownPotLifeMinutes().value() > potLife)
            // A coating bends and polyurethane is another craft: those are not proposed.
            .filter(r -> r.kind() == ResinKind.CASTING || r.kind() == ResinKind.DEEP)
            .sorted(Comparator.comparingDouble(r -> r.knownPotLifeMinutes().value()))
            .toList();
    for (ResinSystem resin : slower) {
      if (keep(
          tried(
              Kind.SLOWER_RESIN,
              0,
              resin.id(),
              Changed.to(anew(session.withResinId(resin.id())))))) {
        return;
      }
    }
  }

  /** Earlier on the same day, and the days after; later on the same day the plan has looked. */
  private void otherStarts() {
    int[] minutes = {-60, -120, -180, -300, 1_440, 2_880, 7 * 1_440};
    for (int by : minutes) {
      if (add(Kind.OTHER_START, by, session.withStartsAt(session.startsAt().plusMinutes(by)))) {
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
      if (breach.place().startsWith("pour/")) {
        int line = Integer.parseInt(breach.place().substring(5).split("\\.", 2)[0]) - 1;
        fewer.merge(line, 1, Integer::sum);
      } else if (breach.place().startsWith("piece/")) {
        int line = Integer.parseInt(breach.place().substring(6));
        fewer.put(line, session.pieces().get(line).count());
      }
    }
    if (fewerThanAll(fewer) && leave(fewer)) {
      return;
    }
    for (int line = 0; line < session.pieces().size(); line++) {
      int its = line;
      int count = session.pieces().get(line).count();
      int most = session.pieces().size() > 1 ? count : count - 1;
      least(Kind.LEAVE_OUT, 1, most, 1, n -> without(new TreeMap<>(Map.of(its, (int) n))));
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

  /** Pieces of one plain layer in so many of equal depth; what is laid in stays with one pour. */
  private Session inLayers(int count) {
    List<Piece> pieces = new ArrayList<>();
    for (Piece piece : session.pieces()) {
      Layer only = piece.layers().get(0);
      boolean plain =
          piece.layers().size() == 1
              && only.fill() == null
              && only.embeds().isEmpty()
              && only.beside().isEmpty();
      List<Layer> layers = new ArrayList<>();
      for (int i = 0; plain && i < count; i++) {
        Fill fill = i < count - 1 ? Fill.ofDepthShare(1.0 / count) : null;
        layers.add(new Layer(only.colourId(), fill, i == 0 ? null : Join.CURED));
      }
      pieces.add(
          plain
              ? new Piece(piece.mouldId(), piece.cavityId(), piece.count(), layers, piece.work())
              : piece);
    }
    return anew(session.withPieces(pieces).withCupsByHand(List.of()));
  }

  /** A changed session, and the pieces that are no longer in it. */
  private record Changed(List<Fewer> fewer, Session session) {
    static Changed to(Session session) {
      return new Changed(List.of(), session);
    }
  }

  private Changed without(Map<Integer, Integer> fewer) {
    List<Piece> pieces = new ArrayList<>();
    List<Fewer> all = new ArrayList<>();
    for (int line = 0; line < session.pieces().size(); line++) {
      Piece piece = session.pieces().get(line);
      int out = Math.min(piece.count(), fewer.getOrDefault(line, 0));
      if (out > 0) {
        all.add(new Fewer(line, out));
      }
      if (piece.count() > out) {
        pieces.add(
            new Piece(
                piece.mouldId(),
                piece.cavityId(),
                piece.count() - out,
                piece.layers(),
                piece.work()));
      }
    }
    // Lines move up, so nothing that was put together or moved by hand can be told any more.
    return new Changed(all, unpinned(anew(session.withPieces(pieces).withCupsByHand(List.of()))));
  }

  private boolean leave(Map<Integer, Integer> fewer) {
    Changed left = without(fewer);
    double out = left.fewer.stream().mapToInt(Fewer::count).sum();
    return keep(tried(Kind.LEAVE_OUT, out, null, left));
  }

  private static Session anew(Session changed) {
    return changed.withArrangement(changed.arrangement().withTogether(List.of()));
  }

  private static Session unpinned(Session changed) {
    return changed.withArrangement(changed.arrangement().withPins(List.of()));
  }

  /**
   * The least change downwards that gives as few batches as the furthest does: with what shared a
   * batch going on to share it, or planned anew where that makes fewer.
   */
  private void leastOrAnew(Kind kind, double first, double last, DoubleFunction<Session> change) {
    if (first < last) {
      return;
    }
    Way kept = tried(kind, last, null, Changed.to(change.apply(last)));
    Way fresh = tried(kind, last, null, Changed.to(anew(change.apply(last))));
    boolean anew = batches(fresh) < batches(kept);
    Way furthest = anew ? fresh : kept;
    DoubleFunction<Changed> changed =
        v -> Changed.to(anew ? anew(change.apply(v)) : change.apply(v));
    least(kind, first, last, -1, batches(furthest), furthest, changed);
  }

  private static int batches(@Nullable Way way) {
    return way == null ? Integer.MAX_VALUE : way.plan.batches().size();
  }

  /** The least change of a kind that does; that the furthest does not tells that none will. */
  private void least(
      Kind kind, double first, double last, double step, DoubleFunction<Changed> change) {
    if ((last - first) * step >= 0) {
      Way furthest = tried(kind, last, null, change.apply(last));
      least(kind, first, last, step, Integer.MAX_VALUE, furthest, change);
    }
  }

  private void least(
      Kind kind,
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

  private boolean add(Kind kind, double value, Session changed) {
    Way kept = tried(kind, value, null, Changed.to(changed));
    Way fresh = batches(kept) == 1 ? null : tried(kind, value, null, Changed.to(anew(changed)));
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
  private @Nullable Way tried(Kind kind, double value, @Nullable String target, Changed changed) {
    Way way = triedAsItIs(kind, value, target, changed);
    Session s = changed.session;
    if (way != null || s.arrangement().pins().isEmpty() || !s.arrangement().together().isEmpty()) {
      return way;
    }
    return triedAsItIs(kind, value, target, new Changed(changed.fewer, unpinned(s)));
  }

  private @Nullable Way triedAsItIs(
      Kind kind, double value, @Nullable String target, Changed changed) {
    if (planned >= MOST_PLANS || !watch.goOn(planned)) {
      return null;
    }
    planned++;
    try {
      Plan plan = plans.plan(changed.session, workshop, watch);
      if (!does(plan)) {
        return null;
      }
      return new Way(
          kind,
          value,
          target,
          changed.fewer,
          changed.session,
          plan,
          plan.totals().resinG() - now.totals().resinG(),
          plan.endSeconds() - now.endSeconds());
    } catch (InvalidValuesException cannotBePlanned) {
      return null;
    }
  }

  private double cost(Way way) {
    double change =
        switch (way.kind) {
          case SHORTER_REST -> (session.habits().restMinutes() - way.value) * MINUTE_OF_REST;
          case NO_WARMING -> SMALLER_CUPS;
          case COOLER_ROOM -> (session.room().temperatureC() - way.value) * DEGREE_COOLER;
          case HELPER -> HELPER;
          case SMALLER_CUPS -> SMALLER_CUPS;
          case MORE_BATCHES -> 0;
          case SLOWER_RESIN -> OTHER_RESIN;
          case OTHER_START -> Math.abs(way.value) / 60 * HOUR_LATER;
          case LEAVE_OUT -> way.value * PIECE_LEFT_OUT;
          case IN_LAYERS -> way.value * LAYER_MORE;
        };
    int more = way.plan.batches().size() - now.batches().size();
    return change
        + Math.max(0, more) * BATCH_MORE
        + Math.max(0, way.resinMoreG) * GRAM_MORE
        + Math.max(0, way.finishLaterSeconds) / 3_600.0 * HOUR_LATER;
  }
}
