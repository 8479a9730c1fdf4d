package calmpour.core.tint;

import calmpour.core.check.Check;
import calmpour.core.check.Problem;
import calmpour.core.check.Range;
import org.jspecify.annotations.Nullable;

/**
 * A cured chip of one colourant in clear resin, looked at on a white and on a black card: what its
 * absorption and scattering are found from.
 *
 * @param percentOfMix how much of it is in the chip, by weight of the mix
 * @param thicknessMm of the chip
 * @param overWhite colour of the chip on the white card, {@code #rrggbb}
 * @param overBlack colour of the chip on the black card
 * @param white the bare white card; null for pure white
 * @param black the bare black card; null for pure black
 */
public record CuredSwatch(
    double percentOfMix,
    double thicknessMm,
    String overWhite,
    String overBlack,
    @Nullable String white,
    @Nullable String black) {
  public static final Range PERCENT_OF_MIX = new Range(0.001, 40);
  public static final Range THICKNESS_MM = new Range(0.1, 50);

  private static final String PURE_WHITE = "#ffffff";
  private static final String PURE_BLACK = "#000000";

  public CuredSwatch {
    new Check()
        .within("percentOfMix", percentOfMix, PERCENT_OF_MIX)
        .within("thicknessMm", thicknessMm, THICKNESS_MM)
        .colour("overWhite", overWhite)
        .colour("overBlack", overBlack)
        .colour("white", white == null ? PURE_WHITE : white)
        .colour("black", black == null ? PURE_BLACK : black)
        .orThrow();
    Optics found = optics(percentOfMix, thicknessMm, overWhite, overBlack, white, black);
    new Check()
        .that(found != null, Problem.of("overBlack", Problem.Code.NO_SUCH_SWATCH, null))
        .orThrow();
  }

  /** Absorption and scattering of the colourant, for one percent of it. */
  public Optics optics() {
    Optics found = optics(percentOfMix, thicknessMm, overWhite, overBlack, white, black);
    if (found == null) {
      throw new IllegalStateException("bug: a swatch that fits no layer was let through: " + this);
    }
    return found;
  }

  private static @Nullable Optics optics(
      double percent,
      double mm,
      String overWhite,
      String overBlack,
      @Nullable String white,
      @Nullable String black) {
    Rgb w = Rgb.ofHex(overWhite);
    Rgb b = Rgb.ofHex(overBlack);
    Rgb onWhite = Rgb.ofHex(white == null ? PURE_WHITE : white);
    Rgb onBlack = Rgb.ofHex(black == null ? PURE_BLACK : black);
    var red = KubelkaMunk.fit(mm, w.red(), onWhite.red(), b.red(), onBlack.red());
    var green = KubelkaMunk.fit(mm, w.green(), onWhite.green(), b.green(), onBlack.green());
    var blue = KubelkaMunk.fit(mm, w.blue(), onWhite.blue(), b.blue(), onBlack.blue());
    if (red.isEmpty() || green.isEmpty() || blue.isEmpty()) {
      return null;
    }
    return new Optics(red.get(), green.get(), blue.get()).times(1 / percent);
  }
}
