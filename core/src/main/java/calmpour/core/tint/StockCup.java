package calmpour.core.tint;

import java.util.Optional;

/**
 * A stronger mix to be let down: a dose too small to count or weigh is stirred into a little resin
 * first, and a part of that is weighed into the cup.
 *
 * @param counted drops, or quarters of a scoop, that go into the stock cup
 * @param colourantG the same in g
 * @param resinG mixed resin to stir it into, g
 * @param takeG of the stock into the colour's cup, as the scale shows it, g
 * @param errorPercent what rounding that to the scale does to the dose
 * @param leftG stock that is left over, g
 */
public record StockCup(
    int counted,
    double colourantG,
    double resinG,
    double takeG,
    double errorPercent,
    double leftG) {
  /** Largest stock cup that anybody would mix for one dose, g. */
  private static final int MOST_RESIN_G = 40;

  /** The scale resolves what is taken to this share or better. */
  private static final double FINE = 0.1;

  /**
   * The smallest stock cup that makes the dose weighable; empty when the stock would bring more
   * resin than its cup is to hold, or when nothing of it would show on the scale.
   *
   * @param doseG wanted, more than 0
   * @param divisionG of the scale
   * @param cupResinG resin that the dose is meant for, g
   */
  public static Optional<StockCup> of(
      Colourant colourant, double doseG, double divisionG, double cupResinG) {
    double unit = colourant.countedG();
    double exact = doseG / unit;
    if (!(doseG > 0)) {
      return Optional.empty();
    }
    // One unit is enough below it; above, the dose lies between two counts, so one more is needed.
    int counted = (int) Math.ceil(exact);
    double inG = counted * unit;
    StockCup best = null;
    for (int resinG = 2; resinG <= MOST_RESIN_G; resinG++) {
      double wanted = doseG * (resinG + inG) / inG;
      double take = WholeSteps.nearest(wanted, divisionG);
      double error = take / wanted - 1;
      StockCup stock = new StockCup(counted, inG, resinG, take, error * 100, resinG + inG - take);
      boolean fine = divisionG / 2 / wanted <= FINE;
      if (fine && take <= resinG + inG) {
        return Optional.of(stock).filter(s -> s.resinWithItG() < cupResinG);
      }
      best = stock;
    }
    // Thinner than any stock worth mixing, nothing of it would show on the scale.
    return Optional.ofNullable(best).filter(s -> s.takeG() > 0 && s.resinWithItG() < cupResinG);
  }

  /** The same stock, of which a division less is taken. */
  StockCup less(double divisionG) {
    double take = WholeSteps.nearest(takeG - divisionG, divisionG);
    double error = (1 + errorPercent / 100) * take / takeG - 1;
    return new StockCup(counted, colourantG, resinG, take, error * 100, leftG + takeG - take);
  }

  /** Resin that comes into the colour's cup with the stock, g. */
  public double resinWithItG() {
    return takeG * resinG / (resinG + colourantG);
  }
}
