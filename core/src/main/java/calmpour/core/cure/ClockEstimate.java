package calmpour.core.cure;

import calmpour.core.resin.ResinKind;
import java.util.ArrayList;
import java.util.List;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.EigenDecompositionSymmetric;
import org.hipparchus.linear.RealMatrix;

/**
 * What a resin's clock is taken to be, how sure that is, and how well every fact is met; see {@link
 * ClockFit}.
 */
public final class ClockEstimate {
  /** A fact further off than that many of its standard deviations is at odds with the rest. */
  private static final double AT_ODDS = 2;

  /** An unknown further off than that many of the prior's is unusual for its kind. */
  private static final double UNUSUAL = 1.5;

  private final ResinKind kind;
  private final ClockPrior prior;
  private final double[] mean;
  private final double[][] covariance;
  private final List<Met> facts;

  /**
   * A fact beside what comes out.
   *
   * @param comesTo as the fact's value
   * @param off standard deviations of the fact; 0 where it is met on its side
   */
  public record Met(ClockFact fact, double comesTo, double off) {
    public boolean atOdds() {
      return Math.abs(off) > AT_ODDS;
    }
  }

  /**
   * One unknown.
   *
   * @param what as in the list of unknowns
   * @param value 1/min at 23 °C, kJ/mol, J/g, a share, Pa·s at 25 °C, a conversion
   * @param from where it lies with 95 %
   * @param to likewise
   * @param usual of its kind; of the speed, what its pot life alone would say
   * @param unusual whether it is far from there
   */
  public record ClockPart(
      String what, double value, double from, double to, double usual, boolean unusual) {}

  /**
   * @param mean the unknowns
   * @param covariance of them
   */
  ClockEstimate(
      ResinKind kind, ClockPrior prior, double[] mean, double[][] covariance, List<Met> facts) {
    this.kind = kind;
    this.prior = prior;
    this.mean = mean.clone();
    this.covariance = new double[covariance.length][];
    for (int i = 0; i < covariance.length; i++) {
      this.covariance[i] = covariance[i].clone();
    }
    this.facts = List.copyOf(facts);
  }

  /** Every fact beside what comes out, in the order in which they are told. */
  public List<Met> facts() {
    return facts;
  }

  /** What the clock is made of. */
  public List<ClockPart> parts() {
    List<ClockPart> parts = new ArrayList<>();
    for (int i = 0; i < ClockPrior.UNKNOWNS; i++) {
      double sd = Math.sqrt(covariance[i][i]);
      double off = Math.abs(mean[i] - prior.mean(i)) / prior.sd(i);
      parts.add(
          new ClockPart(
              ClockPrior.NAMES.get(i),
              told(i, mean[i]),
              told(i, mean[i] - 1.96 * sd),
              told(i, mean[i] + 1.96 * sd),
              told(i, prior.mean(i)),
              i != ClockPrior.SPEED && off > UNUSUAL));
    }
    return parts;
  }

  private static double told(int unknown, double value) {
    boolean plain = unknown == ClockPrior.ACTIVATION || unknown == ClockPrior.HARDNESS;
    return plain ? value : Math.exp(value);
  }

  Chemistry chemistry() {
    return ClockPrior.chemistry(kind, mean);
  }

  double hardness() {
    return ClockPrior.hardness(mean);
  }

  ResinKind kind() {
    return kind;
  }

  /** The same with another speed, ln of 1/min at 23 °C. */
  ClockEstimate at(double speed) {
    double[] other = mean.clone();
    other[ClockPrior.SPEED] = speed;
    List<ClockFact> told = facts.stream().map(Met::fact).toList();
    return new ClockEstimate(kind, prior, other, covariance, ClockFit.met(kind, told, other));
  }

  /** Standard deviation of one unknown. */
  double sd(int unknown) {
    return Math.sqrt(covariance[unknown][unknown]);
  }

  /** The unknowns. */
  double[] mean() {
    return mean.clone();
  }

  /**
   * A square root of the covariance, so many more of a bottle's own speed within.
   *
   * @param bottle standard deviation of ln of one bottle's speed
   */
  double[][] root(double bottle) {
    RealMatrix all = new Array2DRowRealMatrix(covariance);
    all.addToEntry(0, 0, bottle * bottle);
    // Two ways of adding up the same leave it a rounding off its mirror image.
    RealMatrix even = all.add(all.transpose()).scalarMultiply(0.5);
    EigenDecompositionSymmetric parts = new EigenDecompositionSymmetric(even);
    RealMatrix root = parts.getV();
    for (int j = 0; j < mean.length; j++) {
      double wide = Math.sqrt(Math.max(0, parts.getEigenvalue(j)));
      for (int i = 0; i < mean.length; i++) {
        root.multiplyEntry(i, j, wide);
      }
    }
    return root.getData();
  }
}
