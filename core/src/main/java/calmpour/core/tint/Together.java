package calmpour.core.tint;

import java.util.Comparator;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Stream;

/**
 * What goes with a colour: neighbours on the colour wheel blend, opposites contrast, and what is
 * nearly grey goes with all of them. Common practice, no source; so are the widths.
 *
 * @param neighbours at most three, the nearest to 30° first
 * @param opposites at most three, the nearest to 180° first
 * @param quiet at most three, nearly grey
 */
public record Together<T>(List<T> neighbours, List<T> opposites, List<T> quiet) {
  private static final int MOST = 3;
  private static final double NEIGHBOUR_FROM = 8;
  private static final double NEIGHBOUR_TO = 60;
  private static final double NEIGHBOUR_BEST = 30;
  private static final double OPPOSITE_FROM = 140;

  /**
   * @param swatch {@code #rrggbb} of what something is to go with
   * @param own what there is to choose from
   * @throws IllegalArgumentException when a colour is not {@code #rrggbb}
   */
  public static <T> Together<T> with(String swatch, List<T> own, Function<T, String> swatchOf) {
    Hue of = Hue.of(Rgb.ofHex(swatch));
    Function<T, Hue> hue = each -> Hue.of(Rgb.ofHex(swatchOf.apply(each)));
    List<T> others = own.stream().filter(c -> !swatchOf.apply(c).equalsIgnoreCase(swatch)).toList();
    List<T> quiet = others.stream().filter(c -> hue.apply(c).grey()).limit(MOST).toList();
    if (of.grey()) {
      // Grey itself contrasts with nothing and blends with all: the strongest colours first.
      return new Together<>(
          others.stream()
              .filter(c -> !hue.apply(c).grey())
              .sorted(Comparator.comparingDouble(c -> -hue.apply(c).chroma()))
              .limit(MOST)
              .toList(),
          List.of(),
          quiet);
    }
    return new Together<>(
        nearest(
            others.stream().filter(c -> between(hue.apply(c), of, NEIGHBOUR_FROM, NEIGHBOUR_TO)),
            c -> Math.abs(hue.apply(c).from(of) - NEIGHBOUR_BEST)),
        nearest(
            others.stream().filter(c -> between(hue.apply(c), of, OPPOSITE_FROM, 180)),
            c -> -hue.apply(c).from(of)),
        quiet);
  }

  private static boolean between(Hue hue, Hue of, double from, double to) {
    return !hue.grey() && hue.from(of) >= from && hue.from(of) <= to;
  }

  private static <T> List<T> nearest(Stream<T> some, Function<T, Double> by) {
    return some.sorted(Comparator.comparing(by)).limit(MOST).toList();
  }
}
