package calmpour.core.mould;

import calmpour.core.check.Check;
import calmpour.core.check.Problem;
import calmpour.core.check.Range;
import org.jspecify.annotations.Nullable;

/**
 * What a new mould takes: kneaded putty round a master, or rubber poured into a box. Both are box
 * less master; the box of a putty mould is the master and its walls.
 *
 * @param masterMl volume of the master, mL
 * @param lengthMm of the box, or of the master for putty
 * @param widthMm of the box, or of the master for putty
 * @param heightMm of the box, or of the master for putty
 * @param wallMm thickness of the putty round the master; null for 10
 * @param density of putty or rubber, g/mL; null for 1.25 putty, 1.12 rubber (starting values)
 * @param partsA of the label's ratio, by weight
 * @param partsB of the label's ratio, by weight
 * @param overagePercent for what stays on hands and in the cup
 * @param minutes to work in: about 5 for putty once it is of one colour
 * @param hoursToReady until the first cast
 */
public record MouldMaking(
    Kind kind,
    double masterMl,
    double lengthMm,
    double widthMm,
    double heightMm,
    @Nullable Double wallMm,
    @Nullable Double density,
    double partsA,
    double partsB,
    double overagePercent,
    double minutes,
    double hoursToReady) {
  public static final Range MASTER_ML = new Range(0.05, 20_000);
  public static final Range LENGTH_MM = new Range(2, 2_000);
  public static final Range WIDTH_MM = new Range(2, 2_000);
  public static final Range HEIGHT_MM = new Range(2, 1_000);
  public static final Range WALL_MM = new Range(2, 60);
  public static final Range DENSITY = new Range(0.8, 2.5);
  public static final Range PARTS_A = new Range(0.1, 100);
  public static final Range PARTS_B = new Range(0.1, 100);
  public static final Range OVERAGE_PERCENT = new Range(0, 60);
  public static final Range MINUTES = new Range(1, 240);
  public static final Range HOURS_TO_READY = new Range(0.1, 240);

  private static final double PUTTY_WALL_MM = 10;
  private static final double PUTTY_DENSITY = 1.25;
  private static final double RUBBER_DENSITY = 1.12;

  /** How the mould is made. */
  public enum Kind {
    PUTTY,
    POURED
  }

  /**
   * @param volumeMl of putty or rubber
   * @param partAG to weigh out
   * @param partBG to weigh out
   */
  public record Need(double volumeMl, double partAG, double partBG) {}

  public MouldMaking {
    new Check()
        .present("kind", kind)
        .within("masterMl", masterMl, MASTER_ML)
        .within("lengthMm", lengthMm, LENGTH_MM)
        .within("widthMm", widthMm, WIDTH_MM)
        .within("heightMm", heightMm, HEIGHT_MM)
        .within("wallMm", wallMm, WALL_MM)
        .within("density", density, DENSITY)
        .within("partsA", partsA, PARTS_A)
        .within("partsB", partsB, PARTS_B)
        .within("overagePercent", overagePercent, OVERAGE_PERCENT)
        .within("minutes", minutes, MINUTES)
        .within("hoursToReady", hoursToReady, HOURS_TO_READY)
        .orThrow();
    double room = lengthMm * widthMm * heightMm / 1_000;
    new Check()
        .that(
            masterMl < room || (kind == Kind.PUTTY && masterMl <= room),
            Problem.outside("masterMl", Problem.Code.OVERFILLED, masterMl, new Range(0, room)))
        .orThrow();
  }

  /** Parts for the whole master at once: it cannot be stretched half way. */
  public Need need() {
    double walls = kind == Kind.PUTTY ? 2 * (wallMm == null ? PUTTY_WALL_MM : wallMm) : 0;
    // A putty mould has a floor of one wall's thickness and is open on top.
    double box = (lengthMm + walls) * (widthMm + walls) * (heightMm + walls / 2) / 1_000;
    double volume = (box - masterMl) * (1 + overagePercent / 100);
    double usual = kind == Kind.PUTTY ? PUTTY_DENSITY : RUBBER_DENSITY;
    double mass = volume * (density == null ? usual : density);
    double shareA = partsA / (partsA + partsB);
    return new Need(volume, mass * shareA, mass * (1 - shareA));
  }
}
