package calmpour.core.cure;

/**
 * How fast a body of resin gives its heat to the air: face by face, W/(m²·K) times m². The
 * coefficients are starting values without a published source.
 */
final class HeatLoss {
  private static final double OPEN_TOP = 9;
  private static final double CUP_SIDE = 6;
  private static final double CUP_BASE = 2;
  private static final double UNDER_A_SHEET = 4;
  private static final double SQUARE_MM = 1e-6;

  private HeatLoss() {}

  /** W/K. */
  static double wattsPerKelvin(BodyShape shape) {
    return switch (shape) {
      case BodyShape.InCup cup -> cup(cup);
      case BodyShape.InMould mould -> (OPEN_TOP + UNDER_A_SHEET) * mould.areaCm2() * 1e-4;
    };
  }

  private static double cup(BodyShape.InCup cup) {
    double top = Math.PI / 4 * cup.topWidthMm() * cup.topWidthMm();
    double base = Math.PI / 4 * cup.bottomWidthMm() * cup.bottomWidthMm();
    double lean = (cup.topWidthMm() - cup.bottomWidthMm()) / 2;
    double slant = Math.hypot(lean, cup.depthMm());
    double side = Math.PI * (cup.topWidthMm() + cup.bottomWidthMm()) / 2 * slant;
    return (OPEN_TOP * top + CUP_SIDE * side + CUP_BASE * base) * SQUARE_MM;
  }
}
