package calmpour.core.cure;

import static calmpour.core.check.Known.known;

import calmpour.core.cure.ClockFact.Side;
import calmpour.core.derive.Known;
import calmpour.core.derive.Origin;
import calmpour.core.resin.ResinKind;
import java.util.List;
import java.util.function.ToDoubleFunction;
import org.hipparchus.analysis.solvers.BrentSolver;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.hipparchus.exception.MathIllegalStateException;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresBuilder;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresProblem;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LevenbergMarquardtOptimizer;
import org.hipparchus.optim.nonlinear.vector.leastsquares.MultivariateJacobianFunction;
import org.hipparchus.util.Pair;
import org.jspecify.annotations.Nullable;

/**
 * One estimate of a resin's clock from all that is known of it: the most likely unknowns, given
 * what is usual for its kind and every fact with its own spread (maximum a posteriori, by
 * Levenberg's and Marquardt's damped least squares: K. Levenberg, Quarterly of Applied Mathematics
 * 2 (1944) 164; D. Marquardt, SIAM Journal 11 (1963) 431). How sure it is follows from the
 * curvature there. Facts on one side come after: of what is thought they cut off a part, whose mean
 * and variance are those of a normal distribution with a soft edge.
 */
final class ClockFit {
  /** Steps in which slopes are taken, in standard deviations of the prior; the speed's is wide. */
  private static final double STEP = 0.1;

  private static final double SPEED_STEP = 0.02;

  private static final int MOST_EVALUATIONS = 25;
  private static final double SETTLED = 2e-3;

  /** How far from the middle a deep resin's fit begins as well, sd of ln r. */
  private static final double OTHER_WAY = -1.2;

  private static final double DOUBTED = 2;

  /** Sum of squares up to which nothing is far off. */
  private static final double WELL_MET = 4;

  /** What is never hard within four weeks is so much later for each missing conversion, ln. */
  private static final double LATER = 20;

  private static final double AROUND = 4;

  private static final NormalDistribution NORMAL = new NormalDistribution();

  private final ResinKind kind;
  private final ClockPrior prior;
  private final List<ClockFact> exact;

  /** Demould of a piece that nobody told of: its logarithm at the prior's mean. */
  private final @Nullable Silent silent;

  private record Silent(BodyHistory piece, double usual, double sd) {}

  private ClockFit(ResinKind kind, ClockPrior prior, List<ClockFact> exact) {
    this.kind = kind;
    this.prior = prior;
    this.exact = exact;
    boolean told = exact.stream().anyMatch(f -> f.kind() == ClockFact.Kind.DEMOULD);
    if (told) {
      silent = null;
    } else {
      BodyHistory piece =
          Calibration.labelPiece(kind, ClockPrior.demouldDepthMm(kind), ClockPrior.AT_C);
      double[] usual = prior.unknowns(new double[ClockPrior.UNKNOWNS]);
      silent = new Silent(piece, hard(kind, piece, usual), ClockPrior.demouldSpread(kind));
    }
  }

  /**
   * @param potLife min: where the search for the speed begins
   * @param told whether a label or a maker gives a pot life
   */
  static ClockEstimate of(ResinKind kind, double potLife, boolean told, List<ClockFact> facts) {
    ClockPrior prior = ClockPrior.of(kind, potLife, told);
    List<ClockFact> exact = facts.stream().filter(f -> f.side() == Side.THEN).toList();
    ClockFact first =
        exact.stream().filter(f -> f.kind() == ClockFact.Kind.POT_LIFE).findFirst().orElse(null);
    // The prior's mean is the resin of its kind that has this pot life.
    ClockFact begins = first != null ? first : assumed(potLife);
    prior = prior.at(speed(kind, prior, begins));
    ClockFit fit = new ClockFit(kind, prior, exact);
    double[] mean = new double[ClockPrior.UNKNOWNS];
    if (exact.size() > (first == null ? 0 : 1)) {
      mean = fit.most(mean);
      // Where everything is met there is no second way that is much better.
      if (kind == ResinKind.DEEP && fit.cost(mean) > WELL_MET) {
        double[] other = new double[ClockPrior.UNKNOWNS];
        other[ClockPrior.START] = OTHER_WAY;
        double[] second = fit.most(other);
        mean = fit.cost(second) < fit.cost(mean) ? second : mean;
      }
    }
    RealMatrix cov = fit.curvature(mean);
    for (ClockFact fact : facts) {
      if (fact.side() != Side.THEN) {
        Cut cut = fit.cut(mean, cov, fact);
        mean = cut.mean.toArray();
        cov = cut.covariance;
      }
    }
    double[] unknowns = prior.unknowns(mean);
    unknowns[ClockPrior.HARDNESS] = Math.min(ClockPrior.HARDEST, unknowns[ClockPrior.HARDNESS]);
    return new ClockEstimate(kind, prior, unknowns, scaled(cov, prior), met(kind, facts, unknowns));
  }

  private static ClockFact assumed(double potLife) {
    return new ClockFact(
        ClockFact.Kind.POT_LIFE,
        Side.THEN,
        potLife,
        1,
        ClockFact.Source.LABEL,
        Calibration.asLabelled(100, ClockPrior.AT_C),
        new ClockFact.Said(potLife, null, "min", 100.0, null, ClockPrior.AT_C));
  }

  /** How quick the usual resin of its kind is with that pot life. */
  private static double speed(ResinKind kind, ClockPrior prior, ClockFact potLife) {
    double[] of = prior.unknowns(new double[ClockPrior.UNKNOWNS]);
    double begin = of[0];
    return new BrentSolver(1e-5, 1e-5)
        .solve(
            200,
            speed -> {
              double[] at = of.clone();
              at[0] = speed;
              QuickRun.Moments run =
                  QuickRun.of(
                      ClockPrior.chemistry(kind, at),
                      null,
                      known(potLife.body()),
                      CureEngine.MOST_MINUTES,
                      QuickRun.Until.THICK);
              return Math.log(orNever(run.workingTimeEnds()) / potLife.value());
            },
            begin - AROUND,
            begin + AROUND,
            begin);
  }

  private static double orNever(@Nullable Double minutes) {
    return minutes == null ? CureEngine.MOST_MINUTES : minutes;
  }

  /** What a fact would be of such a resin, on the scale that it is compared on. */
  private static double predicted(ResinKind kind, ClockFact fact, double[] unknowns) {
    Chemistry chemistry = ClockPrior.chemistry(kind, unknowns);
    BodyHistory body = fact.body();
    return switch (fact.kind()) {
      case FRESH -> unknowns[ClockPrior.THICKNESS];
      case POT_LIFE, LARGEST_BATCH ->
          log(chemistry, known(body), QuickRun.Until.THICK, QuickRun.Moments::workingTimeEnds);
      case THICK -> log(chemistry, known(body), QuickRun.Until.GEL, QuickRun.Moments::tooThick);
      case GEL, TACK_FREE, RECOAT ->
          log(chemistry, known(body), QuickRun.Until.GEL, QuickRun.Moments::gels);
      case DEMOULD, FULL_CURE -> hard(kind, known(body), unknowns);
      case DEEPEST, PEAK ->
          QuickRun.of(chemistry, null, known(body), CureEngine.MOST_MINUTES, QuickRun.Until.ALL)
              .peakC();
    };
  }

  private static double log(
      Chemistry chemistry,
      BodyHistory body,
      QuickRun.Until until,
      java.util.function.Function<QuickRun.Moments, @Nullable Double> of) {
    return Math.log(
        orNever(of.apply(QuickRun.of(chemistry, null, body, CureEngine.MOST_MINUTES, until))));
  }

  private static double hard(ResinKind kind, BodyHistory piece, double[] unknowns) {
    Targets targets = targets(kind, unknowns);
    QuickRun.Moments run =
        QuickRun.of(
            ClockPrior.chemistry(kind, unknowns),
            targets,
            piece,
            CureEngine.MOST_MINUTES,
            QuickRun.Until.HARD);
    if (run.demould() != null) {
      return Math.log(run.demould());
    }
    double missing = Math.max(0, targets.demould().value() - run.conversion());
    return Math.log(CureEngine.MOST_MINUTES) + LATER * missing;
  }

  static Targets targets(ResinKind kind, double[] unknowns) {
    double hardness = ClockPrior.hardness(unknowns);
    return new Targets(
        new Known(Calibration.BONDS_TO, Origin.ASSUMED),
        new Known(hardness, Origin.ASSUMED),
        new Known(Math.max(hardness, Calibration.FULLY_CURED_FROM), Origin.ASSUMED),
        Calibration.withinK(kind));
  }

  /** How far off everything is, in its own standard deviations: the prior first, then the facts. */
  private double[] off(double[] at) {
    return off(at, null, -1);
  }

  /**
   * @param before the same where only {@code changed} was another; null where nothing is known
   */
  private double[] off(double[] at, double @Nullable [] before, int changed) {
    double[] unknowns = prior.unknowns(at);
    int extra = silent == null ? 0 : 1;
    double[] off = new double[at.length + exact.size() + extra];
    System.arraycopy(at, 0, off, 0, at.length);
    for (int i = 0; i < exact.size(); i++) {
      ClockFact fact = exact.get(i);
      if (before != null && !minds(fact.kind(), changed)) {
        off[at.length + i] = before[at.length + i];
        continue;
      }
      off[at.length + i] =
          believed(fact, (predicted(kind, fact, unknowns) - fact.target()) / fact.sd());
    }
    if (silent != null && before != null && changed == ClockPrior.THICKNESS) {
      off[off.length - 1] = before[off.length - 1];
    } else if (silent != null) {
      off[off.length - 1] = (hard(kind, silent.piece, unknowns) - silent.usual) / silent.sd;
    }
    return off;
  }

  /**
   * What is far off is more likely a slip than a resin unlike all others: beyond two deviations it
   * pulls no harder (P. J. Huber, Annals of Mathematical Statistics 35 (1964) 73). A pot life that
   * stands alone is met.
   */
  private static double believed(ClockFact fact, double off) {
    double far = Math.abs(off);
    if (far <= DOUBTED || fact.sd() <= ClockFacts.ALONE) {
      return off;
    }
    return Math.signum(off) * Math.sqrt(2 * DOUBTED * far - DOUBTED * DOUBTED);
  }

  /**
   * Whether a fact has to do with an unknown: hardness comes last, and thickness before the gel.
   */
  private static boolean minds(ClockFact.Kind kind, int unknown) {
    boolean hard = kind == ClockFact.Kind.DEMOULD || kind == ClockFact.Kind.FULL_CURE;
    boolean flows =
        kind == ClockFact.Kind.POT_LIFE
            || kind == ClockFact.Kind.LARGEST_BATCH
            || kind == ClockFact.Kind.THICK;
    return switch (unknown) {
      case ClockPrior.HARDNESS -> hard;
      case ClockPrior.THICKNESS -> flows || kind == ClockFact.Kind.FRESH;
      default -> kind != ClockFact.Kind.FRESH;
    };
  }

  private double cost(double[] at) {
    double sum = 0;
    for (double o : off(at)) {
      sum += o * o;
    }
    return sum;
  }

  private static double step(int unknown) {
    return unknown == ClockPrior.SPEED ? SPEED_STEP : STEP;
  }

  private RealMatrix slopes(double[] at, double[] here) {
    RealMatrix slopes = new Array2DRowRealMatrix(here.length, at.length);
    for (int j = 0; j < at.length; j++) {
      double[] there = at.clone();
      there[j] += step(j);
      double[] off = off(there, here, j);
      for (int i = 0; i < here.length; i++) {
        slopes.setEntry(i, j, (off[i] - here[i]) / step(j));
      }
    }
    return slopes;
  }

  private double[] most(double[] start) {
    double[] best = start.clone();
    double[] least = {Double.POSITIVE_INFINITY};
    MultivariateJacobianFunction model =
        point -> {
          double[] at = point.toArray();
          double[] here = off(at);
          double sum = 0;
          for (double o : here) {
            sum += o * o;
          }
          if (sum < least[0]) {
            least[0] = sum;
            System.arraycopy(at, 0, best, 0, best.length);
          }
          return new Pair<RealVector, RealMatrix>(
              new ArrayRealVector(here, false), slopes(at, here));
        };
    int size = start.length + exact.size() + (silent == null ? 0 : 1);
    LeastSquaresProblem problem =
        new LeastSquaresBuilder()
            .model(model)
            .target(new double[size])
            .start(start)
            .maxEvaluations(MOST_EVALUATIONS)
            .maxIterations(MOST_EVALUATIONS)
            .build();
    try {
      new LevenbergMarquardtOptimizer()
          .withInitialStepBoundFactor(100)
          .withCostRelativeTolerance(SETTLED)
          .withParameterRelativeTolerance(SETTLED)
          .optimize(problem);
    } catch (MathIllegalStateException tooMany) {
      // Facts at odds with each other make it creep; the best that it met is good enough.
    }
    return best;
  }

  /** How sure the unknowns are together, in standard deviations of the prior. */
  private RealMatrix curvature(double[] at) {
    RealMatrix slopes = slopes(at, off(at));
    return new LUDecomposition(slopes.transposeMultiply(slopes)).getSolver().getInverse();
  }

  private record Cut(RealVector mean, RealMatrix covariance) {}

  private Cut cut(double[] at, RealMatrix cov, ClockFact fact) {
    ToDoubleFunction<double[]> of = u -> predicted(kind, fact, prior.unknowns(u));
    double here = of.applyAsDouble(at);
    RealVector slope = new ArrayRealVector(at.length);
    for (int j = 0; j < at.length; j++) {
      double[] there = at.clone();
      there[j] += step(j);
      slope.setEntry(j, (of.applyAsDouble(there) - here) / step(j));
    }
    RealVector pulled = cov.operate(slope);
    double wide = Math.sqrt(pulled.dotProduct(slope) + fact.sd() * fact.sd());
    double side = fact.side() == Side.AT_MOST ? 1 : -1;
    double z = side * (fact.target() - here) / wide;
    // Inverse Mills ratio; far outside, where both are nothing, what its series comes to.
    boolean far = z < -30;
    double ratio = far ? -z - 1 / z : NORMAL.density(z) / NORMAL.cumulativeProbability(z);
    double cutOff = far ? 1 - 1 / (z * z) : ratio * (z + ratio);
    RealVector mean = new ArrayRealVector(at).add(pulled.mapMultiply(-side * ratio / wide));
    RealMatrix narrower =
        cov.subtract(pulled.outerProduct(pulled).scalarMultiply(cutOff / (wide * wide)));
    return new Cut(mean, narrower);
  }

  /** How well a resin of such unknowns meets each fact. */
  static List<ClockEstimate.Met> met(ResinKind kind, List<ClockFact> facts, double[] unknowns) {
    return facts.stream().map(f -> met(kind, f, unknowns)).toList();
  }

  private static ClockEstimate.Met met(ResinKind kind, ClockFact fact, double[] unknowns) {
    double comes = predicted(kind, fact, unknowns);
    double off = (comes - fact.target()) / fact.sd();
    double counted =
        switch (fact.side()) {
          case THEN -> off;
          case AT_MOST -> Math.max(0, off);
          case AT_LEAST -> Math.min(0, off);
        };
    return new ClockEstimate.Met(fact, fact.warmth() ? comes : Math.exp(comes), counted);
  }

  private static double[][] scaled(RealMatrix cov, ClockPrior prior) {
    double[][] of = new double[ClockPrior.UNKNOWNS][ClockPrior.UNKNOWNS];
    for (int i = 0; i < of.length; i++) {
      for (int j = 0; j < of.length; j++) {
        of[i][j] = cov.getEntry(i, j) * prior.sd(i) * prior.sd(j);
      }
    }
    return of;
  }
}
