package calmpour.core.tint;

import org.jspecify.annotations.Nullable;

/**
 * How a layer of a tinted mix will look when it has cured, as far as three bands of light tell.
 *
 * @param thicknessMm of the layer
 * @param opacityPercent how much it hides: luminance over black as a share of that over white, 100
 *     for a layer that shows nothing of what lies below
 * @param overWhite {@code #rrggbb} on a white card
 * @param overBlack on a black one
 * @param overBelow on the layers below it; null where it is the first
 * @param guess whether any colourant in it has no cured swatch over white and black
 */
public record Look(
    double thicknessMm,
    double opacityPercent,
    String overWhite,
    String overBlack,
    @Nullable String overBelow,
    boolean guess) {
  /**
   * A white card as contrast charts have it; from memory of ISO 6504-3, not the standard's text.
   */
  static final Rgb WHITE_CARD = Rgb.grey(0.8);

  private static final Rgb BLACK_CARD = Rgb.grey(0);

  /**
   * @param below what the layers below reflect; null where there are none
   */
  public static Look of(Tint tint, double thicknessMm, @Nullable Rgb below) {
    Optics optics = optics(tint);
    Rgb white = optics.over(WHITE_CARD, thicknessMm);
    Rgb black = optics.over(BLACK_CARD, thicknessMm);
    return new Look(
        thicknessMm,
        100 * black.luminance() / white.luminance(),
        white.hex(),
        black.hex(),
        below == null ? null : optics.over(below, thicknessMm).hex(),
        tint.shares().stream().anyMatch(s -> s.colourant().curedSwatch() == null));
  }

  /** What a layer reflects on what lies below it; on a white card where nothing does. */
  public static Rgb reflected(Tint tint, double thicknessMm, @Nullable Rgb below) {
    return optics(tint).over(below == null ? WHITE_CARD : below, thicknessMm);
  }

  private static Optics optics(Tint tint) {
    Optics all = Optics.CLEAR;
    for (Tint.Share share : tint.shares()) {
      double percent = 100 * share.gPerGResin() / (1 + tint.gPerGResin());
      all = all.plus(share.colourant().optics().times(percent));
    }
    return all;
  }
}
