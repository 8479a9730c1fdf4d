package calmpour.core.mould;

import calmpour.core.check.Check;
import calmpour.core.check.Problem;
import calmpour.core.check.Range;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * How somebody found out what a cavity holds: the readings themselves, so that the volume can be
 * worked out again and opened. Which of them are needed depends on {@code method}.
 *
 * @param emptyG the scale before the water, g; null when it was set to zero
 * @param filledG the scale with the water, g
 * @param waterC temperature of the water, °C; null for 20
 * @param divisionG the scale's division, g; null for 0.1
 * @param readMl water read in a graduated cup, mL
 * @param divisionMl that cup's division, mL; null for 1
 * @param together cavities tipped together; null for one
 * @param identical whether those are all alike; null for yes
 * @param parts the shape as solids from the floor up; beside a water measurement it gives the shape
 *     only
 * @param levels logged pours: so many mL reached this depth
 * @param mesh the shape as sliced from a 3D model
 * @param toldMl a volume somebody told or printed, mL
 * @param plusMinusPercent the maker's own word on how far it may be off; null for the method's
 */
public record Measurement(
    Method method,
    @Nullable Double emptyG,
    @Nullable Double filledG,
    @Nullable Double waterC,
    @Nullable Double divisionG,
    @Nullable Double readMl,
    @Nullable Double divisionMl,
    @Nullable Integer together,
    @Nullable Boolean identical,
    List<Solid> parts,
    List<LoggedLevel> levels,
    @Nullable MeshShape mesh,
    @Nullable Double toldMl,
    @Nullable Double plusMinusPercent) {
  public static final Range EMPTY_G = new Range(0, 60_000);
  public static final Range FILLED_G = new Range(0.01, 60_000);
  public static final Range WATER_C = WaterDensity.TEMPERATURE_C;
  public static final Range DIVISION_G = new Range(0.001, 10);
  public static final Range READ_ML = new Range(0.05, 20_000);
  public static final Range DIVISION_ML = new Range(0.01, 100);
  public static final Range TOGETHER = new Range(1, 500);
  public static final Range TOLD_ML = Mould.VOLUME_ML;
  public static final Range PLUS_MINUS_PERCENT = new Range(0, 60);
  public static final Range PARTS = new Range(0, 12);
  public static final Range LEVELS = new Range(0, 40);

  /**
   * Ways to measure, each with how far it is usually off beyond what its instrument shows: starting
   * values of this product, no source.
   */
  public enum Method {
    /** Water weighed in the mould: how full "full" is stays a matter of the eye. */
    WATER_IN_MOULD(1),
    /** Water tipped out onto a scale: some stays behind. */
    WATER_TIPPED_ON_SCALE(3),
    /** Water tipped into a graduated cup: some stays behind, and the cup is read by eye. */
    WATER_TIPPED_IN_CUP(3),
    /** Reckoned from sizes; each may be off by half a millimetre. */
    SOLID(0),
    /** Scaled up from pours that were logged. */
    PARTIAL_POUR(3),
    /** From the 3D model of the piece: rubber and print shrink a little. */
    MESH(2),
    /** Told, printed on a packet or remembered. */
    TOLD(10);

    private final double usualPercent;

    Method(double usualPercent) {
      this.usualPercent = usualPercent;
    }

    public double usualPercent() {
      return usualPercent;
    }

    /** Whether the mould was wet afterwards. */
    public boolean wets() {
      return this == WATER_IN_MOULD || this == WATER_TIPPED_ON_SCALE || this == WATER_TIPPED_IN_CUP;
    }
  }

  /** A logged pour: so much resin reached this depth. */
  public record LoggedLevel(double depthMm, double volumeMl) {
    public static final Range DEPTH_MM = new Range(0.1, 500);
    public static final Range VOLUME_ML = new Range(0.01, 20_000);

    public LoggedLevel {
      new Check()
          .within("depthMm", depthMm, DEPTH_MM)
          .within("volumeMl", volumeMl, VOLUME_ML)
          .orThrow();
    }
  }

  public Measurement {
    parts = parts == null ? List.of() : List.copyOf(parts);
    levels = levels == null ? List.of() : List.copyOf(levels);
    Check check = new Check().present("method", method);
    if (method != null) {
      switch (method) {
        case WATER_IN_MOULD, WATER_TIPPED_ON_SCALE -> check.present("filledG", filledG);
        case WATER_TIPPED_IN_CUP -> check.present("readMl", readMl);
        case SOLID -> check.that(!parts.isEmpty(), Problem.of("parts", Problem.Code.MISSING, null));
        case PARTIAL_POUR ->
            check.that(!levels.isEmpty(), Problem.of("levels", Problem.Code.MISSING, null));
        case MESH -> check.present("mesh", mesh);
        case TOLD -> check.present("toldMl", toldMl);
      }
    }
    check
        .within("emptyG", emptyG, EMPTY_G)
        .within("filledG", filledG, FILLED_G)
        .within("waterC", waterC, WATER_C)
        .within("divisionG", divisionG, DIVISION_G)
        .within("readMl", readMl, READ_ML)
        .within("divisionMl", divisionMl, DIVISION_ML)
        .within("together", together, TOGETHER)
        .within("toldMl", toldMl, TOLD_ML)
        .within("plusMinusPercent", plusMinusPercent, PLUS_MINUS_PERCENT)
        .within("parts", parts.size(), PARTS)
        .within("levels", levels.size(), LEVELS)
        .that(
            emptyG == null || filledG == null || filledG > emptyG,
            Problem.of("filledG", Problem.Code.NOT_HEAVIER, String.valueOf(filledG)))
        .orThrow();
    for (int i = 0; i < levels.size(); i++) {
      LoggedLevel before = i == 0 ? null : levels.get(i - 1);
      boolean rises =
          before == null
              || (levels.get(i).depthMm > before.depthMm
                  && levels.get(i).volumeMl > before.volumeMl);
      check.that(
          rises,
          Problem.of(
              "levels[" + i + "].depthMm",
              Problem.Code.LEVELS_NOT_RISING,
              String.valueOf(levels.get(i).depthMm)));
    }
    check.orThrow();
  }

  /** A volume that somebody told. */
  public static Measurement told(double volumeMl, @Nullable Double plusMinusPercent) {
    return new Measurement(
        Method.TOLD,
        null,
        null,
        null,
        null,
        null,
        null,
        null,
        null,
        List.of(),
        List.of(),
        null,
        volumeMl,
        plusMinusPercent);
  }

  /** Cavities measured in one go. */
  public int cavitiesTogether() {
    return together == null || !tipped() ? 1 : together;
  }

  private boolean tipped() {
    return method == Method.WATER_TIPPED_ON_SCALE || method == Method.WATER_TIPPED_IN_CUP;
  }

  /** Whether what was measured is one cavity's, not only a session's total. */
  public boolean tellsOne() {
    return cavitiesTogether() == 1 || identical == null || identical;
  }
}
