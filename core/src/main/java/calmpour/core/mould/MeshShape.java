package calmpour.core.mould;

import calmpour.core.check.Check;
import calmpour.core.check.Problem;
import calmpour.core.check.Range;
import java.util.List;

/**
 * A 3D model as it was sliced: all that a cavity needs of it, so that a session can travel without
 * the file.
 *
 * @param fileId the kept file, for slicing it again another way up
 * @param fileName as it was called
 * @param unit what one unit of the file is
 * @param turnXDegrees turned about the first axis, then
 * @param turnYDegrees about the second, so that what is up in the mould points up
 * @param triangles in the file
 * @param mended whether something had to be put right first
 * @param levels rising from 0 to the rim
 */
public record MeshShape(
    String fileId,
    String fileName,
    MeshUnit unit,
    double turnXDegrees,
    double turnYDegrees,
    int triangles,
    boolean mended,
    List<MeshLevel> levels) {
  public static final Range TURN_X_DEGREES = new Range(-360, 360);
  public static final Range TURN_Y_DEGREES = new Range(-360, 360);
  private static final Range LEVELS = new Range(2, 400);

  /** What one unit in a file means. */
  public enum MeshUnit {
    MICROMETRE(0.001),
    MILLIMETRE(1),
    CENTIMETRE(10),
    INCH(25.4),
    FOOT(304.8),
    METRE(1_000);

    private final double mm;

    MeshUnit(double mm) {
      this.mm = mm;
    }

    public double mm() {
      return mm;
    }
  }

  /**
   * The model below one level.
   *
   * @param leftMm left edge of the slice, from the middle of the whole
   * @param rightMm right edge
   */
  public record MeshLevel(
      double depthMm, double volumeMl, double areaMm2, double leftMm, double rightMm) {}

  public MeshShape {
    levels = levels == null ? List.of() : List.copyOf(levels);
    Check check =
        new Check()
            .name("fileId", fileId)
            .name("fileName", fileName)
            .present("unit", unit)
            .within("turnXDegrees", turnXDegrees, TURN_X_DEGREES)
            .within("turnYDegrees", turnYDegrees, TURN_Y_DEGREES)
            .that(
                LEVELS.contains(levels.size()),
                Problem.outside("levels", Problem.Code.OUT_OF_RANGE, levels.size(), LEVELS));
    for (int i = 0; i < levels.size(); i++) {
      MeshLevel level = levels.get(i);
      boolean rises =
          i == 0
              ? level.depthMm == 0 && level.volumeMl == 0
              : level.depthMm > levels.get(i - 1).depthMm
                  && level.volumeMl >= levels.get(i - 1).volumeMl;
      boolean sound = level.areaMm2 >= 0 && level.leftMm <= level.rightMm;
      check.that(
          rises && sound && Double.isFinite(level.areaMm2 + level.rightMm - level.leftMm),
          Problem.of("levels[" + i + "]", Problem.Code.LEVELS_NOT_RISING, "" + level.depthMm));
    }
    check.orThrow();
  }

  DepthProfile profile() {
    return new MonotoneProfile(
        levels.stream().mapToDouble(MeshLevel::depthMm).toArray(),
        levels.stream().mapToDouble(MeshLevel::volumeMl).toArray(),
        levels.stream().mapToDouble(MeshLevel::areaMm2).toArray());
  }

  Section section() {
    return new Section(
        levels.stream()
            .map(l -> new Section.SectionRow(l.depthMm, l.leftMm, l.rightMm, 0))
            .toList());
  }
}
