package calmpour.core.cure;

import org.hipparchus.ode.OrdinaryDifferentialEquation;

/**
 * One stretch of a body's history as equations: a row of equal cells from one face of its thinnest
 * dimension to the other, one cell where it is stirred or thin enough to have one temperature.
 *
 * <pre>
 * dα/dt = rate(α, T)
 * m·cp·dT/dt = m·ΔH·dα/dt + conduction from the next cells − loss to the air + what heats it
 * dF/dt = 1/η
 * </pre>
 *
 * <p>Conduction is Fourier's between the middles of cells; what leaves through the other faces is
 * taken from all cells alike, so that heat balances as a whole.
 */
final class Body implements OrdinaryDifferentialEquation {
  /** From this Biot number on a piece is not of one temperature. */
  static final double ONE_TEMPERATURE = 0.3;

  private static final double THIN_CELL_M = 4e-3;
  private static final int MOST_CELLS = 15;
  private static final int LEAST_CELLS = 6;
  private static final int SECONDS = 60;

  /** A body whose cells differ by less has one temperature, K. */
  private static final double EVEN_K = 0.3;

  /** A body that near to its room has settled, K. */
  private static final double SETTLED_K = 0.15;

  /** And need not follow it any faster than that, min. */
  private static final double SLOW_MINUTES = 200;

  private final Chemistry chemistry;
  private final int cells;
  private final double[] lossPerCell;
  private final double between;
  private final double heatPerCell;
  private final double room;
  private final double wattsPerCell;
  private final double rateFactor;
  private final double warming;
  private final double wallShare;
  private final double outward;

  /** Whether it follows its room no faster than need be. */
  private final boolean slowed;

  Body(Chemistry chemistry, BodyHistory.Segment segment) {
    this.chemistry = chemistry;
    this.slowed = false;
    HeatLoss loss = HeatLoss.of(segment.shape(), segment.massG());
    double massG = segment.massG();
    this.cells = cells(segment, loss);
    double capacity = massG * chemistry.heatCapacity() + loss.wallJPerK();
    this.wallShare = loss.wallJPerK() / capacity;
    // J/K and W/K; times sixty, since minutes are what everything is in.
    this.heatPerCell = capacity / cells / SECONDS;
    this.room = segment.surroundingsC();
    this.wattsPerCell = segment.heatedW() / cells;
    this.rateFactor = segment.tint().rateFactor();
    this.warming = chemistry.heatJPerG() * segment.tint().heatFactor() * massG / capacity;
    double thick = loss.thicknessM() / cells;
    double area = massG / HeatLoss.G_PER_M3 / loss.thicknessM();
    this.between = cells == 1 ? 0 : HeatLoss.CONDUCTS * area / thick;
    this.lossPerCell = new double[cells];
    if (cells == 1) {
      lossPerCell[0] = loss.wattsPerKelvin();
      this.outward = loss.wattsPerKelvin();
    } else {
      double half = 2 * between;
      java.util.Arrays.fill(lossPerCell, loss.asideWPerK() / cells);
      lossPerCell[0] += inSeries(loss.upperWPerK(), half);
      lossPerCell[cells - 1] += inSeries(loss.lowerWPerK(), half);
      // A slab's mean temperature lies a third of its half behind its faces.
      double lag = loss.biot(massG) / 3;
      this.outward = loss.wattsPerKelvin() / (1 + lag);
    }
  }

  private Body(Body before, double slower) {
    this.chemistry = before.chemistry;
    this.slowed = before.cells == 1;
    this.cells = 1;
    this.wallShare = 0;
    this.heatPerCell = before.heatPerCell * before.cells * slower;
    this.room = before.room;
    this.wattsPerCell = before.wattsPerCell * before.cells;
    this.rateFactor = before.rateFactor;
    this.warming = before.warming / slower;
    this.between = 0;
    this.outward = before.outward;
    this.lossPerCell = new double[] {before.outward};
  }

  /** Minutes in which it comes two thirds nearer to its room. */
  private double settlesIn() {
    return heatPerCell * cells / outward;
  }

  /**
   * Whether a simpler body does for what is left: it has gelled, and either its cells are of one
   * temperature, or that temperature is the room's.
   */
  boolean calm(double[] y) {
    if (behind(y) < chemistry.gel()) {
      return false;
    }
    if (cells == 1) {
      return !slowed && settlesIn() < SLOW_MINUTES && offRoom(y) < SETTLED_K;
    }
    double least = y[cells];
    for (int i = 1; i < cells; i++) {
      least = Math.min(least, y[cells + i]);
    }
    return warmest(y) - least < EVEN_K;
  }

  /**
   * The simpler body: of one cell; or, where it is already, one that follows its room no faster
   * than need be. What it makes and what it loses are slowed alike, so that it settles where it
   * would, and the integrator is not held to steps of minutes for days.
   */
  Body calmer() {
    return new Body(this, cells == 1 ? SLOW_MINUTES / settlesIn() : 1);
  }

  /** Its state: as far cured and as warm as its mean. */
  double[] calmed(double[] y) {
    return new double[] {cured(y), mean(y, cells, cells), flow(y)};
  }

  private static int cells(BodyHistory.Segment segment, HeatLoss loss) {
    if (segment.shape() instanceof BodyShape.InCup
        || loss.biot(segment.massG()) < ONE_TEMPERATURE) {
      return 1;
    }
    int wanted = (int) Math.round(loss.thicknessM() / THIN_CELL_M);
    return Math.clamp(wanted, LEAST_CELLS, MOST_CELLS);
  }

  private static double inSeries(double a, double b) {
    return a * b / (a + b);
  }

  int cells() {
    return cells;
  }

  /** Conversions, then temperatures, then the flow so far. */
  @Override
  public int getDimension() {
    return 2 * cells + 1;
  }

  /**
   * What comes over from the stretch before: conversion and temperature, evenly when the resin was
   * poured over, and shared with a cup that was as warm as the room.
   */
  double[] takeOver(double[] before, boolean pouredOver) {
    int were = (before.length - 1) / 2;
    double[] state = new double[getDimension()];
    state[2 * cells] = before[2 * were];
    if (were == cells && !pouredOver) {
      System.arraycopy(before, 0, state, 0, 2 * cells);
      return state;
    }
    double alpha = mean(before, 0, were);
    double mixed = mean(before, were, were);
    double t = pouredOver ? mixed + wallShare * (room - mixed) : mixed;
    java.util.Arrays.fill(state, 0, cells, alpha);
    java.util.Arrays.fill(state, cells, 2 * cells, t);
    return state;
  }

  private static double mean(double[] of, int from, int count) {
    double sum = 0;
    for (int i = 0; i < count; i++) {
      sum += of[from + i];
    }
    return sum / count;
  }

  @Override
  public double[] computeDerivatives(double minutes, double[] y) {
    double[] dot = new double[y.length];
    derivatives(y, dot);
    return dot;
  }

  /** The same into an array of the same length. */
  void derivatives(double[] y, double[] dot) {
    double meanAlpha = 0;
    double meanC = 0;
    for (int i = 0; i < cells; i++) {
      double t = y[cells + i];
      double rate = rateFactor * chemistry.rate(y[i], t);
      double watts = wattsPerCell - lossPerCell[i] * (t - room);
      if (i > 0) {
        watts += between * (y[cells + i - 1] - t);
      }
      if (i < cells - 1) {
        watts += between * (y[cells + i + 1] - t);
      }
      dot[i] = rate;
      dot[cells + i] = warming * rate + watts / heatPerCell;
      meanAlpha += y[i] / cells;
      meanC += t / cells;
    }
    dot[2 * cells] = 1 / chemistry.viscosity(meanAlpha, meanC);
  }

  /**
   * How conversions and temperatures of its cells pull at each other: what a linearly implicit
   * method needs, without the flow.
   *
   * @param byAlpha is filled with ∂(dα/dt)/∂α of every cell, 1/min
   * @param byC is filled with ∂(dα/dt)/∂T of every cell, 1/(min·K)
   */
  void slopes(double[] y, double[] byAlpha, double[] byC) {
    double[] rates = new double[3];
    for (int i = 0; i < cells; i++) {
      chemistry.rates(y[i], y[cells + i], rates);
      byAlpha[i] = rateFactor * rates[1];
      byC[i] = rateFactor * rates[2];
    }
  }

  /** How much one unit of conversion warms a cell, K. */
  double warming() {
    return warming;
  }

  /** What a cell's temperature loses to its next one for every degree, 1/min. */
  double exchange() {
    return between / heatPerCell;
  }

  /** What a cell loses to the air for every degree, 1/min. */
  double loses(int cell) {
    return lossPerCell[cell] / heatPerCell;
  }

  /** Where the cure is furthest behind. */
  double behind(double[] y) {
    double least = y[0];
    for (int i = 1; i < cells; i++) {
      least = Math.min(least, y[i]);
    }
    return least;
  }

  /** How far it is cured, all in all: what a piece bends or does not bend by. */
  double cured(double[] y) {
    return mean(y, 0, cells);
  }

  double warmest(double[] y) {
    double most = y[cells];
    for (int i = 1; i < cells; i++) {
      most = Math.max(most, y[cells + i]);
    }
    return most;
  }

  /** How far any of it is from its surroundings, K. */
  double offRoom(double[] y) {
    double most = 0;
    for (int i = 0; i < cells; i++) {
      most = Math.max(most, Math.abs(y[cells + i] - room));
    }
    return most;
  }

  double face(double[] y) {
    return y[cells];
  }

  double viscosity(double[] y) {
    return chemistry.viscosity(mean(y, 0, cells), mean(y, cells, cells));
  }

  double flow(double[] y) {
    return y[2 * cells];
  }

  /**
   * How the heat made grows with a degree more, beside how the heat lost grows with it. From 1 on
   * warmth feeds itself: the slope condition of Semenov, Zeitschrift für Physik 48 (1928) 571, and
   * van Heerden, Industrial and Engineering Chemistry 45 (1953) 1242.
   */
  double drive(double[] y) {
    double grows = 0;
    for (int i = 0; i < cells; i++) {
      double kelvin = y[cells + i] + Chemistry.KELVIN;
      // Heat made, W, without what the wall of a cup takes of it.
      double made = rateFactor * chemistry.rate(y[i], y[cells + i]) * warming * heatPerCell;
      grows += made * chemistry.activationKJ() * 1_000 / (Chemistry.GAS * kelvin * kelvin);
    }
    return grows / outward;
  }
}
