package calmpour.core.cure;

import static calmpour.core.check.Known.known;

import calmpour.core.cure.CureStates.Moment;
import calmpour.core.derive.Known;
import calmpour.core.work.Memory;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * How early or late a body may come to its states: what is not sure of the resin's clock, how far
 * one bottle may be off another (±15 %) and the room (±1.5 °C), together, ± being two standard
 * deviations.
 *
 * <p>All that may be off are seven numbers, none of which has to do with another; how a state
 * follows each of them is known from a like body of the same resin. Two directions hold nearly all
 * of that: of a cup its working time and its peak, of a piece its demould and its gel. Along each
 * the body is followed at ±√3 deviations, the outer nodes of Gauss and Hermite's rule of three
 * (Abramowitz and Stegun 25.4.46), so that one run in the middle and four about it do: mean and
 * deviation of the logarithm of a time. What of a state lies outside both directions is known from
 * the like body, and its deviation is that much larger. Tests hold it against 500 draws.
 */
final class ClockSpread {
  private static final double BOTTLE = HalvingRule.LABEL_SPREAD / 2;
  private static final double ROOM_K = HalvingRule.ROOM_SPREAD_K / 2;
  private static final double NODE = Math.sqrt(3);

  /** Of nineteen in twenty. */
  private static final double SIDE = 1.96;

  /** Of nine in ten on one side: how hot it gets is asked only of what is forgotten. */
  private static final double WARM_SIDE = 1.2816;

  /** The room is the last of what may be off. */
  private static final int ROOM = ClockPrior.UNKNOWNS;

  private static final int ALL = ROOM + 1;

  /** In which slopes are taken, in standard deviations. */
  private static final double STEP = 0.25;

  /** A direction that is so little of its own says nothing. */
  private static final double SAME = 0.1;

  /** Where a like body says that hardly anything lies along them, it is not so like. */
  private static final double MOST_WIDER = 2;

  private static final double[] MASSES_G = {10, 30, 100, 300};
  private static final double[] DEPTHS_MM = {3, 10, 20, 40, 70, 100, 150};

  private final ClockEstimate estimate;
  private final Targets targets;
  private final double[][] root;
  private final double meantC;
  private final Memory<Integer, Slopes> known;

  /**
   * @param targets of the estimate itself
   * @param meantC temperature that the label is meant for, °C
   * @param known slopes of like bodies of this resin
   */
  ClockSpread(
      ClockEstimate estimate, Targets targets, double meantC, Memory<Integer, Slopes> known) {
    this.known = known;
    this.estimate = estimate;
    this.targets = targets;
    this.root = estimate.root(BOTTLE);
    this.meantC = meantC;
  }

  /** What becomes of a body. */
  private enum State {
    WORKING,
    THICK,
    GEL,
    BOND,
    DEMOULD,
    FULL,
    PEAK
  }

  /** How each state of a like body follows what may be off; without those it does not come to. */
  record Slopes(Map<State, List<Double>> of) {}

  /** One resin that may be behind the label, in a room that may be. */
  private record Node(Chemistry chemistry, @Nullable Targets targets, double warmerC) {}

  /** What lies along one direction. */
  private record Pair(Node plus, Node minus) {}

  /**
   * A body at the nodes about the middle, without its colour.
   *
   * @param slowed what that makes later, of the logarithm of a time
   */
  private record Around(
      List<QuickRun.Moments> plus,
      List<QuickRun.Moments> minus,
      Map<State, Double> wider,
      double slowed) {
    double wider(State state) {
      return wider.getOrDefault(state, 1.0);
    }
  }

  /**
   * @param usual the body as it is thought to be
   * @param ahead how far was looked, min
   */
  CureStates states(BodyHistory body, CureRun usual, double ahead) {
    double slowed = -Math.log(body.last().tint().rateFactor());
    Around around = around(body.untinted(), ahead, slowed);
    double least = usual.peakC();
    double most = usual.peakC();
    double used = usual.heatUsed();
    double middle = 0;
    double square = 0;
    int pairs = around.plus.size();
    for (int i = 0; i < pairs; i++) {
      double plus = around.plus.get(i).peakC();
      double minus = around.minus.get(i).peakC();
      middle += (plus + minus) / 2 / pairs;
      square += Math.pow((plus - minus) / 2 / NODE, 2);
      used = Math.max(used, around.plus.get(i).heatUsed());
      used = Math.max(used, around.minus.get(i).heatUsed());
    }
    if (pairs > 0) {
      double wide = WARM_SIDE * Math.sqrt(square) * around.wider(State.PEAK);
      least = Math.min(least, middle - wide);
      most = Math.max(most, middle + wide);
    }
    double floor = body.last().surroundingsC();
    return new CureStates(
        orAhead(usual.workingTimeEnds(), around, State.WORKING, ahead),
        orAhead(usual.tooThick(), around, State.THICK, ahead),
        orAhead(usual.gels(), around, State.GEL, ahead),
        null,
        orNever(usual.bondEnds(), around, State.BOND),
        orNever(usual.demould(), around, State.DEMOULD),
        orNever(usual.fullCure(), around, State.FULL),
        new CureStates.Heat(
            usual.peakC(),
            Math.min(usual.peakC(), Math.max(floor, least)),
            most,
            usual.peakAt(),
            usual.heatUsed(),
            used));
  }

  /** Standard deviation of the logarithm of a cup's working time, but for the room. */
  double ofWorkingTime(BodyHistory cup) {
    double[] off = off(known(slopes(cup).of.get(State.WORKING)), cup);
    double square = 0;
    for (int i = 0; i < ROOM; i++) {
      square += off[i] * off[i];
    }
    return Math.sqrt(square);
  }

  private static Moment orAhead(@Nullable Double usual, Around around, State state, double ahead) {
    Moment moment = orNever(usual, around, state);
    if (moment == null) {
      return new Moment(ahead, ahead, ahead);
    }
    double latest = moment.latestMinutes() == null ? ahead : moment.latestMinutes();
    return new Moment(moment.minutes(), moment.earliestMinutes(), Math.max(known(usual), latest));
  }

  private static @Nullable Moment orNever(@Nullable Double usual, Around around, State state) {
    if (usual == null) {
      return null;
    }
    double here = Math.log(usual);
    double sum = 0;
    int count = 0;
    double square = 0;
    boolean never = false;
    for (int i = 0; i < around.plus.size(); i++) {
      Double plus = minutes(around.plus.get(i), state);
      Double minus = minutes(around.minus.get(i), state);
      never |= plus == null || minus == null;
      double up =
          plus == null ? 2 * here - (minus == null ? here : Math.log(minus)) : Math.log(plus);
      double down = minus == null ? 2 * here - up : Math.log(minus);
      sum += up + down;
      count += 2;
      square += Math.pow((up - down) / 2 / NODE, 2);
    }
    double wide = SIDE * Math.sqrt(square) * around.wider(state);
    double middle = count == 0 ? here : sum / count;
    return new Moment(
        usual,
        Math.min(usual, Math.exp(middle - wide)),
        never ? null : (Double) Math.max(usual, Math.exp(middle + around.slowed + wide)));
  }

  private Around around(BodyHistory body, double ahead, double slowed) {
    boolean cup = inCup(body);
    Slopes slopes = slopes(body);
    State most = cup || !slopes.of.containsKey(State.DEMOULD) ? State.WORKING : State.DEMOULD;
    State next = cup ? State.PEAK : State.GEL;
    double[] first = off(known(slopes.of.get(most)), body);
    double[] second = off(known(slopes.of.get(next)), body);
    List<double[]> directions = new ArrayList<>();
    directions.add(unit(first));
    double along = dot(second, directions.get(0));
    double[] rest = second.clone();
    for (int i = 0; i < ALL; i++) {
      rest[i] -= along * directions.get(0)[i];
    }
    if (Math.sqrt(dot(rest, rest)) > SAME * Math.sqrt(dot(second, second))) {
      directions.add(unit(rest));
    }
    Map<State, Double> wider = new EnumMap<>(State.class);
    slopes.of.forEach((state, slope) -> wider.put(state, outside(off(slope, body), directions)));
    List<QuickRun.Moments> plus = new ArrayList<>();
    List<QuickRun.Moments> minus = new ArrayList<>();
    for (double[] direction : directions) {
      Pair pair = pair(direction, cup);
      plus.add(follow(pair.plus, body, ahead));
      minus.add(follow(pair.minus, body, ahead));
    }
    return new Around(plus, minus, wider, slowed);
  }

  /** How much wider a state spreads than along the directions that are looked at. */
  private static double outside(double[] off, List<double[]> directions) {
    double caught = 0;
    for (double[] direction : directions) {
      caught += Math.pow(dot(off, direction), 2);
    }
    double all = dot(off, off);
    return caught * MOST_WIDER * MOST_WIDER <= all ? MOST_WIDER : Math.sqrt(all / caught);
  }

  private static QuickRun.Moments follow(Node node, BodyHistory body, double ahead) {
    return QuickRun.of(node.chemistry, node.targets, body.warmer(node.warmerC), ahead);
  }

  private Pair pair(double[] direction, boolean cup) {
    return new Pair(node(direction, NODE, cup), node(direction, -NODE, cup));
  }

  private Node node(double[] direction, double times, boolean cup) {
    double[] unknowns = estimate.mean();
    for (int i = 0; i < ROOM; i++) {
      for (int j = 0; j < ROOM; j++) {
        unknowns[i] += times * root[i][j] * direction[j];
      }
    }
    return new Node(
        ClockPrior.chemistry(estimate.kind(), unknowns),
        cup ? null : targets(unknowns),
        times * ROOM_K * direction[ROOM]);
  }

  private Targets targets(double[] unknowns) {
    double hard = ClockPrior.hardness(unknowns);
    double full = Math.max(hard, targets.fullCure().value());
    return new Targets(
        targets.bond(),
        new Known(hard, targets.demould().origin()),
        new Known(full, targets.fullCure().origin()),
        targets.withinK());
  }

  private static boolean inCup(BodyHistory body) {
    return body.last().shape() instanceof BodyShape.InCup;
  }

  /** Of one standard deviation of each that may be off, a state's logarithm. */
  private double[] off(List<Double> slope, BodyHistory body) {
    double[] of = new double[ClockPrior.UNKNOWNS];
    for (int i = 0; i < of.length; i++) {
      of[i] = slope.get(i);
    }
    // A reaction slower by E is so at the temperature of the estimate, and the more so elsewhere.
    double there = body.last().surroundingsC() + Chemistry.KELVIN;
    double here = meantC + Chemistry.KELVIN;
    of[ClockPrior.ACTIVATION] +=
        of[ClockPrior.SPEED] * -1_000 / Chemistry.GAS * (1 / there - 1 / here);
    double[] off = new double[ALL];
    for (int j = 0; j < ROOM; j++) {
      for (int i = 0; i < ROOM; i++) {
        off[j] += root[i][j] * of[i];
      }
    }
    off[ROOM] = ROOM_K * slope.get(ROOM);
    return off;
  }

  private static double dot(double[] a, double[] b) {
    double sum = 0;
    for (int i = 0; i < a.length; i++) {
      sum += a[i] * b[i];
    }
    return sum;
  }

  private static double[] unit(double[] of) {
    double length = Math.sqrt(dot(of, of));
    double[] unit = of.clone();
    for (int i = 0; i < unit.length; i++) {
      unit[i] = length == 0 ? 0 : unit[i] / length;
    }
    return unit;
  }

  /** Of a like body: a cup of about that mass, or a piece as thin. */
  private Slopes slopes(BodyHistory body) {
    int like;
    if (inCup(body)) {
      like = -1 - nearest(MASSES_G, body.last().massG());
    } else {
      like =
          nearest(
              DEPTHS_MM,
              switch (body.last().shape()) {
                case BodyShape.InMould mould -> Math.min(mould.depthMm(), mould.acrossMm());
                case BodyShape.Spread sheet -> sheet.depthMm();
                case BodyShape.InCup cup -> cup.depthMm();
              });
    }
    return known.of(like, this::find);
  }

  /** On a scale of ratios. */
  private static int nearest(double[] of, double value) {
    int nearest = 0;
    for (int i = 1; i < of.length; i++) {
      nearest = value > Math.sqrt(of[i - 1] * of[i]) ? i : nearest;
    }
    return nearest;
  }

  private Slopes find(int like) {
    boolean cup = like < 0;
    BodyHistory body =
        cup
            ? Calibration.asLabelled(MASSES_G[-1 - like], meantC)
            : Calibration.labelPiece(estimate.kind(), DEPTHS_MM[like], meantC);
    double[] mean = estimate.mean();
    QuickRun.Moments here = at(body, mean, 0, cup);
    Map<State, List<Double>> slopes = new EnumMap<>(State.class);
    for (int i = 0; i < ALL; i++) {
      double[] there = mean.clone();
      // The hardness is at its end already where a resin is slow to get hard.
      double step = i == ROOM ? ROOM_K : (i == ClockPrior.HARDNESS ? -STEP : STEP) * estimate.sd(i);
      if (i < ROOM) {
        there[i] += step;
      }
      QuickRun.Moments moved = at(body, there, i == ROOM ? step : 0, cup);
      for (State state : State.values()) {
        Double before = on(here, state);
        Double after = on(moved, state);
        slopes
            .computeIfAbsent(state, s -> new ArrayList<>())
            .add(before == null || after == null ? Double.NaN : (after - before) / step);
      }
    }
    slopes.values().removeIf(s -> !s.stream().allMatch(Double::isFinite));
    return new Slopes(slopes);
  }

  /** A state's logarithm; the peak as it is. */
  private static @Nullable Double on(QuickRun.Moments of, State state) {
    Double minutes = minutes(of, state);
    return state == State.PEAK ? (Double) of.peakC() : minutes == null ? null : Math.log(minutes);
  }

  private static @Nullable Double minutes(QuickRun.Moments of, State state) {
    return switch (state) {
      case WORKING -> of.workingTimeEnds();
      case THICK -> of.tooThick();
      case GEL -> of.gels();
      case BOND -> of.bondEnds();
      case DEMOULD -> of.demould();
      case FULL -> of.fullCure();
      case PEAK -> null;
    };
  }

  private QuickRun.Moments at(BodyHistory body, double[] unknowns, double warmer, boolean cup) {
    return QuickRun.of(
        ClockPrior.chemistry(estimate.kind(), unknowns),
        cup ? null : targets(unknowns),
        body.warmer(warmer),
        CureEngine.MOST_MINUTES);
  }
}
