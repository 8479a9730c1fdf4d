package calmpour.core.cure;

/**
 * How a body of resin gives its heat to the air: face by face, W/(m²·K) times m², and how evenly it
 * can be warm inside. The coefficients are starting values without a published source.
 *
 * @param upperWPerK through the face at the one end of its thinnest dimension
 * @param lowerWPerK through the face at the other end
 * @param asideWPerK through everything else
 * @param thicknessM its thinnest dimension
 * @param surfaceM2 all its faces
 * @param wallJPerK heat that the wetted cup, or the rubber round it, takes up with it
 */
record HeatLoss(
    double upperWPerK,
    double lowerWPerK,
    double asideWPerK,
    double thicknessM,
    double surfaceM2,
    double wallJPerK) {
  private static final double OPEN_TOP = 9;
  private static final double CUP_SIDE = 6;
  private static final double CUP_BASE = 2;

  /** A sheet on a bench. */
  private static final double SHEET_TOP = 12;

  private static final double SHEET_BASE = 10;

  /** Heat that a cubic metre of cup holds, J/K: polypropylene, 0.90 g/mL and 1.9 J/(g·K). */
  private static final double CUP_J_PER_M3_K = 1.71e6;

  /** Rubber round a fill that warms with it, m: a starting value, no source. */
  private static final double RUBBER_M = 5e-3;

  /**
   * Heat that a cubic metre of silicone rubber holds, J/K: 1.15 g/mL and 1.3 J/(g·K), from memory.
   */
  private static final double RUBBER_J_PER_M3_K = 1.5e6;

  /** How resin conducts heat, W/(m·K); the usual figure for epoxies, from memory. */
  static final double CONDUCTS = 0.2;

  /** Heat capacities aside, g/m³ of mix: a starting value, no source. */
  static final double G_PER_M3 = 1.10e6;

  private static final double MM = 1e-3;
  private static final double CM2 = 1e-4;

  static HeatLoss of(BodyShape shape, double massG) {
    return switch (shape) {
      case BodyShape.InCup cup -> inCup(cup);
      case BodyShape.InMould mould -> inMould(mould, massG / G_PER_M3);
      case BodyShape.Spread sheet -> {
        double area = sheet.areaCm2() * CM2;
        yield new HeatLoss(
            SHEET_TOP * area, SHEET_BASE * area, 0, sheet.depthMm() * MM, 2 * area, 0);
      }
    };
  }

  private static HeatLoss inCup(BodyShape.InCup cup) {
    double top = Math.PI / 4 * cup.topWidthMm() * cup.topWidthMm() * MM * MM;
    double base = Math.PI / 4 * cup.bottomWidthMm() * cup.bottomWidthMm() * MM * MM;
    double lean = (cup.topWidthMm() - cup.bottomWidthMm()) / 2;
    double slant = Math.hypot(lean, cup.depthMm());
    double side = Math.PI * (cup.topWidthMm() + cup.bottomWidthMm()) / 2 * slant * MM * MM;
    return new HeatLoss(
        OPEN_TOP * top,
        CUP_BASE * base,
        CUP_SIDE * side,
        cup.depthMm() * MM,
        top + base + side,
        CUP_J_PER_M3_K * (base + side) * cup.wallMm() * MM);
  }

  private static HeatLoss inMould(BodyShape.InMould mould, double volumeM3) {
    double open = mould.openCm2() * CM2;
    double wetted = mould.wettedCm2() * CM2;
    double floor = Math.min(wetted, volumeM3 / (mould.depthMm() * MM));
    double top = mould.around().top() * open;
    double under = mould.around().base() * floor;
    double sides = mould.around().sides() * (wetted - floor);
    double surface = open + wetted;
    double rubber = RUBBER_J_PER_M3_K * RUBBER_M * wetted;
    if (mould.acrossMm() < mould.depthMm()) {
      // A tall narrow fill gives its heat to the rubber round it.
      return new HeatLoss(
          sides / 2, sides / 2, top + under, mould.acrossMm() * MM, surface, rubber);
    }
    return new HeatLoss(top, under, sides, mould.depthMm() * MM, surface, rubber);
  }

  double wattsPerKelvin() {
    return upperWPerK + lowerWPerK + asideWPerK;
  }

  /**
   * Biot number: how hard it is for the heat to get to the surface beside how hard to leave it,
   * with volume over surface for the length (Incropera and DeWitt, Fundamentals of Heat and Mass
   * Transfer, chapter 5).
   */
  double biot(double massG) {
    double volume = massG / G_PER_M3;
    double mean = wattsPerKelvin() / surfaceM2;
    return mean * (volume / surfaceM2) / CONDUCTS;
  }
}
