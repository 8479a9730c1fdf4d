package calmpour.core.cure;

import java.util.function.DoubleBinaryOperator;

/**
 * How long one cup stays pourable, over how far its room and its label may be off: worked out on a
 * grid, and between its points the logarithm of the time is taken to be bilinear. What lies outside
 * the grid is as its edge: twice what is expected to be off.
 */
public final class WorkingTimes {
  /** Of the grid, °C from what was said. */
  private static final double[] ROOM_K = {-3, -1.5, 0, 1.5, 3};

  /** Of the grid, times the label's pot life. */
  private static final double[] LABEL = {0.5, 0.7, 1, 1.3, 1.8};

  /** Logarithms of minutes, a row a room. */
  private final double[][] logMinutes = new double[ROOM_K.length][LABEL.length];

  private final double labelSd;

  /**
   * @param minutes from the first contact until it is no longer pourable, for a room that is off by
   *     so many °C and a label off by such a factor
   * @param labelSd standard deviation of that factor, of this cup: of the bottle, and of what is
   *     not sure of its resin
   */
  public static WorkingTimes of(DoubleBinaryOperator minutes, double labelSd) {
    WorkingTimes times = new WorkingTimes(labelSd);
    for (int r = 0; r < ROOM_K.length; r++) {
      for (int l = 0; l < LABEL.length; l++) {
        times.logMinutes[r][l] = Math.log(minutes.applyAsDouble(ROOM_K[r], LABEL[l]));
      }
    }
    return times;
  }

  private WorkingTimes(double labelSd) {
    this.labelSd = labelSd;
  }

  /** Standard deviation of the label's factor. */
  public double labelSd() {
    return labelSd;
  }

  /**
   * Minutes from the first contact until it is no longer pourable.
   *
   * @param roomOffC how much warmer than said the room is, °C
   * @param labelFactor of the label's pot life, more than 0
   */
  public double minutes(double roomOffC, double labelFactor) {
    double room = Math.clamp(roomOffC, ROOM_K[0], ROOM_K[ROOM_K.length - 1]);
    double label = Math.clamp(labelFactor, LABEL[0], LABEL[LABEL.length - 1]);
    int r = cell(ROOM_K, room);
    int l = cell(LABEL, label);
    double x = (room - ROOM_K[r]) / (ROOM_K[r + 1] - ROOM_K[r]);
    double y = Math.log(label / LABEL[l]) / Math.log(LABEL[l + 1] / LABEL[l]);
    double low = logMinutes[r][l] * (1 - y) + logMinutes[r][l + 1] * y;
    double high = logMinutes[r + 1][l] * (1 - y) + logMinutes[r + 1][l + 1] * y;
    return Math.exp(low * (1 - x) + high * x);
  }

  private static int cell(double[] grid, double at) {
    int cell = 0;
    while (cell < grid.length - 2 && at >= grid[cell + 1]) {
      cell++;
    }
    return cell;
  }
}
