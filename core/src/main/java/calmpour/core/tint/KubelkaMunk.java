package calmpour.core.tint;

import java.util.Optional;

/**
 * A layer that absorbs and scatters, lit from above, on a ground: Kubelka and Munk, Zeitschrift für
 * technische Physik 12 (1931) 593–601, in the hyperbolic form of Kubelka, Journal of the Optical
 * Society of America 38 (1948) 448–457. Without scattering it is Beer's and Lambert's law for light
 * that passes twice. What the surface itself reflects is left out.
 */
public final class KubelkaMunk {
  /** Over black a layer that scatters less than this looks black: an eighth of a screen's step. */
  private static final double NO_SCATTER = 5e-4;

  private KubelkaMunk() {}

  /**
   * Absorption and scattering of one band, 1/mm.
   *
   * @param k absorbed, 0 and more
   * @param s scattered back, 0 and more
   */
  public record Coefficients(double k, double s) {
    public Coefficients {
      if (!(k >= 0) || !(s >= 0)) {
        throw new IllegalArgumentException(
            "Coefficients k (" + k + ") and s (" + s + ") must be >= 0");
      }
    }
  }

  /**
   * Reflectance of a layer on a ground, 0 to 1.
   *
   * <p>With p = √(K(K + 2S)) and t = tanh(pX)/p, R = (G + (S − G(K + S))t) / (1 + (K + S − GS)t);
   * this is the published form with a and b written out, so that S = 0 and K = 0 need no case of
   * their own.
   *
   * @param thicknessMm 0 and more
   * @param ground reflectance of what lies below, 0 to 1
   */
  public static double reflectance(Coefficients of, double thicknessMm, double ground) {
    double p = Math.sqrt(of.k * (of.k + 2 * of.s));
    double t = p * thicknessMm < 1e-9 ? thicknessMm : Math.tanh(p * thicknessMm) / p;
    return (ground + (of.s - ground * (of.k + of.s)) * t) / (1 + (of.k + of.s - ground * of.s) * t);
  }

  /**
   * K and S from one layer seen over two grounds; Kubelka (1948), solved for a = 1 + K/S.
   *
   * @param thicknessMm of the layer, more than 0
   * @param overWhite reflectance seen over {@code white}
   * @param overBlack reflectance seen over {@code black}
   * @return empty when no layer could look like that, such as lighter over black than over white
   */
  public static Optional<Coefficients> fit(
      double thicknessMm, double overWhite, double white, double overBlack, double black) {
    double w = overWhite - white;
    double b = overBlack - black;
    if (!(overWhite > 0) || white <= black || overWhite < overBlack - NO_SCATTER) {
      return Optional.empty();
    }
    if (Math.abs(b) < NO_SCATTER && black < NO_SCATTER) {
      return overWhite > white
          ? Optional.empty()
          : Optional.of(new Coefficients(-Math.log(overWhite / white) / (2 * thicknessMm), 0));
    }
    double a =
        (b * (1 + overWhite * white) - w * (1 + overBlack * black))
            / (b * (overWhite + white) - w * (overBlack + black));
    // cosh/sinh of bSX times b, from the pair that tells more.
    double coth =
        Math.abs(w) > Math.abs(b)
            ? (1 - a * (overWhite + white) + overWhite * white) / w
            : (1 - a * (overBlack + black) + overBlack * black) / b;
    double root = Math.sqrt(Math.max(0, a * a - 1));
    if (!(a >= 1) || !(coth > root)) {
      return Optional.empty();
    }
    double s = root < 1e-6 ? 1 / (coth * thicknessMm) : arcoth(coth / root) / (root * thicknessMm);
    return Optional.of(new Coefficients(s * (a - 1), s));
  }

  private static double arcoth(double x) {
    return 0.5 * Math.log((x + 1) / (x - 1));
  }
}
