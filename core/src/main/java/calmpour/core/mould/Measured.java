package calmpour.core.mould;

import static calmpour.core.check.Known.known;

import calmpour.core.check.Check;
import calmpour.core.check.InvalidValuesException;
import calmpour.core.check.Problem;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What a measurement comes to.
 *
 * @param totalMl all that was measured; of several cavities when they were tipped together
 * @param plusMinusMl how far the volume of the one cavity may be off, either way
 * @param profile of one cavity, or of all together when they are not alike
 * @param depthAssumed nobody measured the depth: a cube of the volume stands in for the drawing
 * @param doubts what does not fit together
 */
public record Measured(
    double totalMl,
    double plusMinusMl,
    DepthProfile profile,
    Section section,
    boolean depthAssumed,
    List<Doubt> doubts) {
  public Measured {
    doubts = List.copyOf(doubts);
  }

  /** A size that is read off a rule is right to about half a millimetre (starting value). */
  private static final double SIZE_ERROR_MM = 0.5;

  /** Walls that nobody measured lean: what lies above the last logged level may be off by this. */
  private static final double UNKNOWN_WALLS = 0.25;

  private static final double USUAL_WATER_C = 20;
  private static final double USUAL_DIVISION_G = 0.1;
  private static final double USUAL_DIVISION_ML = 1;

  /** What a second look is worth. */
  public enum Doubt {
    /** Depth and length would need a cavity wider than it is long. */
    WIDER_THAN_LONG,
    /** Depth and length would leave hardly any width. */
    HARDLY_ANY_WIDTH,
    /** The shape's own volume is far from what the water says. */
    SHAPE_DISAGREES,
    /** More than the outer sizes allow is logged. */
    TOLD_ONLY,
    /** Tipped water reads low; weighing before and after is better. */
    READS_LOW
  }

  /** Volume of one cavity, mL. */
  public double volumeMl() {
    return profile.volumeMl();
  }

  /**
   * @param depthMm floor to rim, where somebody measured it
   * @param lengthMm the longer side, where somebody measured it
   * @throws InvalidValuesException when what comes out is no cavity; fields as a cavity has them
   */
  public static Measured of(Measurement by, @Nullable Double depthMm, @Nullable Double lengthMm) {
    double total = total(by, depthMm);
    double one = by.tellsOne() ? total / by.cavitiesTogether() : total;
    new Check()
        .that(
            Mould.VOLUME_ML.contains(one),
            Problem.outside(
                "measure." + field(by.method()), Problem.Code.OUT_OF_RANGE, one, Mould.VOLUME_ML))
        .orThrow();
    List<Doubt> doubts = new ArrayList<>();
    DepthProfile profile;
    Section section;
    boolean assumed = false;
    if (by.mesh() != null && by.method() == Measurement.Method.MESH) {
      profile = by.mesh().profile();
      section = by.mesh().section();
    } else if (!by.parts().isEmpty()) {
      StackedSolids shape = StackedSolids.of(by.parts());
      if (by.method() != Measurement.Method.SOLID) {
        double off = Math.abs(shape.volumeMl() / one - 1);
        if (off > 0.25) {
          doubts.add(Doubt.SHAPE_DISAGREES);
        }
        shape = shape.holding(one);
      }
      profile = shape;
      section = shape.section();
    } else {
      assumed = depthMm == null;
      double depth = assumed ? Math.cbrt(one) * 10 : known(depthMm);
      profile =
          by.method() == Measurement.Method.PARTIAL_POUR
              ? logged(by.levels(), one, depth)
              : new StraightSided(one, depth);
      section = plain(one, depth, lengthMm);
      doubtSizes(one, depthMm, lengthMm, doubts);
    }
    if (by.method() == Measurement.Method.TOLD && by.plusMinusPercent() == null) {
      doubts.add(Doubt.TOLD_ONLY);
    }
    if (by.method() == Measurement.Method.WATER_TIPPED_ON_SCALE
        || by.method() == Measurement.Method.WATER_TIPPED_IN_CUP) {
      doubts.add(Doubt.READS_LOW);
    }
    return new Measured(total, plusMinus(by, one, depthMm), profile, section, assumed, doubts);
  }

  private static String field(Measurement.Method method) {
    return switch (method) {
      case WATER_IN_MOULD, WATER_TIPPED_ON_SCALE -> "filledG";
      case WATER_TIPPED_IN_CUP -> "readMl";
      case SOLID -> "parts";
      case PARTIAL_POUR -> "levels";
      case MESH -> "mesh";
      case TOLD -> "toldMl";
    };
  }

  private static double total(Measurement by, @Nullable Double depthMm) {
    return switch (by.method()) {
      case WATER_IN_MOULD, WATER_TIPPED_ON_SCALE -> {
        double empty = by.emptyG() == null ? 0 : by.emptyG();
        double celsius = by.waterC() == null ? USUAL_WATER_C : by.waterC();
        yield (known(by.filledG()) - empty) / WaterDensity.gPerMl(celsius);
      }
      case WATER_TIPPED_IN_CUP -> known(by.readMl());
      case SOLID -> StackedSolids.of(by.parts()).volumeMl();
      case PARTIAL_POUR -> atRim(by, depthMm);
      case MESH -> known(by.mesh()).profile().volumeMl();
      case TOLD -> known(by.toldMl());
    };
  }

  /** Carries the last stretch of the logged levels on to the rim. */
  private static double atRim(Measurement by, @Nullable Double depthMm) {
    List<Measurement.LoggedLevel> levels = by.levels();
    Measurement.LoggedLevel top = levels.get(levels.size() - 1);
    if (depthMm == null) {
      throw new InvalidValuesException(List.of(Problem.of("depthMm", Problem.Code.MISSING, null)));
    }
    if (top.depthMm() > depthMm) {
      throw new InvalidValuesException(
          List.of(
              Problem.outside(
                  "measure.levels[" + (levels.size() - 1) + "].depthMm",
                  Problem.Code.ABOVE_RIM,
                  top.depthMm(),
                  new calmpour.core.check.Range(0, depthMm))));
    }
    if (!by.parts().isEmpty()) {
      StackedSolids shape = StackedSolids.of(by.parts());
      double share = shape.volumeAtMl(shape.depthMm() * top.depthMm() / depthMm) / shape.volumeMl();
      return top.volumeMl() / share;
    }
    Measurement.LoggedLevel before = levels.size() == 1 ? null : levels.get(levels.size() - 2);
    double slope =
        before == null
            ? top.volumeMl() / top.depthMm()
            : (top.volumeMl() - before.volumeMl()) / (top.depthMm() - before.depthMm());
    return top.volumeMl() + slope * (depthMm - top.depthMm());
  }

  private static DepthProfile logged(
      List<Measurement.LoggedLevel> levels, double one, double depth) {
    boolean rim = levels.get(levels.size() - 1).depthMm() < depth;
    int n = levels.size() + (rim ? 2 : 1);
    double[] depths = new double[n];
    double[] volumes = new double[n];
    for (int i = 0; i < levels.size(); i++) {
      depths[i + 1] = levels.get(i).depthMm();
      volumes[i + 1] = levels.get(i).volumeMl();
    }
    depths[n - 1] = depth;
    volumes[n - 1] = one;
    return new MonotoneProfile(depths, volumes, null);
  }

  private static Section plain(double volumeMl, double depth, @Nullable Double lengthMm) {
    // A straight-sided cavity of unknown outline is drawn as wide as a square one would be.
    double width = lengthMm == null ? Math.sqrt(volumeMl * 1_000 / depth) : lengthMm;
    return Section.upright(width, depth);
  }

  private static void doubtSizes(
      double volumeMl, @Nullable Double depth, @Nullable Double length, List<Doubt> doubts) {
    if (depth == null || length == null) {
      return;
    }
    double width = volumeMl * 1_000 / depth / length;
    if (width > length * 1.05) {
      doubts.add(Doubt.WIDER_THAN_LONG);
    } else if (width < length * 0.04) {
      doubts.add(Doubt.HARDLY_ANY_WIDTH);
    }
  }

  private static double plusMinus(Measurement by, double one, @Nullable Double depthMm) {
    if (by.plusMinusPercent() != null) {
      return one * by.plusMinusPercent() / 100;
    }
    double usual = one * by.method().usualPercent() / 100;
    int together = by.tellsOne() ? by.cavitiesTogether() : 1;
    return usual
        + switch (by.method()) {
          // Two readings, each right to half a division.
          case WATER_IN_MOULD, WATER_TIPPED_ON_SCALE ->
              (by.divisionG() == null ? USUAL_DIVISION_G : by.divisionG()) / together;
          case WATER_TIPPED_IN_CUP ->
              (by.divisionMl() == null ? USUAL_DIVISION_ML : by.divisionMl()) / 2 / together;
          case SOLID -> sizesOff(by.parts());
          case PARTIAL_POUR -> {
            Measurement.LoggedLevel top = by.levels().get(by.levels().size() - 1);
            double perMm = top.volumeMl() / top.depthMm();
            double above = depthMm == null ? 0 : one * (1 - top.depthMm() / depthMm);
            yield perMm * SIZE_ERROR_MM + (by.parts().isEmpty() ? UNKNOWN_WALLS * above : 0);
          }
          case MESH, TOLD -> 0;
        };
  }

  /** Each size off by half a millimetre, independently: the root of the squares. */
  private static double sizesOff(List<Solid> parts) {
    double volume = StackedSolids.of(parts).volumeMl();
    double squares = 0;
    for (int i = 0; i < parts.size(); i++) {
      Solid part = parts.get(i);
      for (SolidKind.Size size : part.kind().sizes()) {
        Double mm =
            switch (size) {
              case LENGTH -> part.lengthMm();
              case WIDTH -> part.widthMm();
              case DEPTH -> part.depthMm();
              case FLOOR_LENGTH -> part.floorLengthMm();
              case FLOOR_WIDTH -> part.floorWidthMm();
              case TUBE -> part.tubeMm();
              case SIDES -> null;
            };
        // A point is a point: only what is read off a rule can be read wrong.
        if (mm != null && mm > SIZE_ERROR_MM) {
          List<Solid> other = new ArrayList<>(parts);
          double change = changed(part, size, mm, other, i);
          squares += Math.pow(change - volume, 2);
        }
      }
    }
    return Math.sqrt(squares);
  }

  private static double changed(
      Solid part, SolidKind.Size size, double mm, List<Solid> other, int at) {
    // Larger where that is legal; a ring's tube, say, may have no room to grow.
    try {
      other.set(at, part.with(size, mm + SIZE_ERROR_MM));
    } catch (InvalidValuesException tooLarge) {
      other.set(at, part.with(size, mm - SIZE_ERROR_MM));
    }
    return StackedSolids.of(other).volumeMl();
  }
}
