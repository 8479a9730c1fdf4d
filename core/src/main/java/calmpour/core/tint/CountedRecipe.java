package calmpour.core.tint;

import calmpour.core.check.Check;
import calmpour.core.check.InvalidValuesException;
import calmpour.core.check.Problem;
import calmpour.core.check.Range;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A colour as makers count it: so many drops, scoops or pinches of these jars into so much resin.
 *
 * @param resinG A + B that it is counted for, g
 */
public record CountedRecipe(double resinG, List<CountedPart> parts) {
  public static final Range RESIN_G = new Range(0.5, 50_000);
  public static final Range PARTS = new Range(1, 12);

  /** A pinch between two fingers, mL; starting value, no source. */
  private static final double PINCH_ML = 0.05;

  /** A layer as thick as a hand's small pieces are; its look is told for it, mm. */
  private static final double LOOK_MM = 5;

  /** In what an amount is counted. */
  public enum CountedIn {
    DROPS,
    SCOOPS,
    PINCHES,
    GRAMS,
    /** By weight of the finished mix. */
    PERCENT
  }

  /**
   * One jar of it.
   *
   * @param amount in {@code in}
   */
  public record CountedPart(Colourant colourant, double amount, CountedIn in) {
    public static final Range AMOUNT = new Range(0, 10_000);

    public CountedPart {
      new Check()
          .present("colourant", colourant)
          .present("in", in)
          .within("amount", amount, AMOUNT)
          .orThrow();
    }

    /** What is counted, g; 0 for a share, which depends on all the rest. */
    private double countedG() {
      return switch (in) {
        case DROPS -> amount * colourant.knownDropG().value();
        case SCOOPS -> amount * colourant.knownScoopMl().value() * bulk();
        case PINCHES -> amount * PINCH_ML * bulk();
        case GRAMS -> amount;
        case PERCENT -> 0;
      };
    }

    private double bulk() {
      return colourant.knownBulkDensity().value();
    }
  }

  public CountedRecipe {
    parts = parts == null ? List.of() : List.copyOf(parts);
    double shares =
        parts.stream()
            .filter(p -> p.in == CountedIn.PERCENT)
            .mapToDouble(CountedPart::amount)
            .sum();
    new Check()
        .within("resinG", resinG, RESIN_G)
        .that(
            PARTS.contains(parts.size()),
            Problem.outside("parts", Problem.Code.OUT_OF_RANGE, parts.size(), PARTS))
        .that(
            Colour.RECIPE_PERCENT.contains(shares),
            Problem.outside("parts", Problem.Code.RECIPE_TOO_STRONG, shares, Colour.RECIPE_PERCENT))
        .orThrow();
  }

  /**
   * One dose, in every way it can be told.
   *
   * @param massG for the resin it was counted for
   * @param drops of a liquid; null for anything else
   * @param scoops of anything but a liquid; null for that
   */
  public record DoseTold(
      String colourantId,
      double massG,
      double percentOfMix,
      @Nullable Double drops,
      @Nullable Double scoops) {}

  /**
   * What it comes to.
   *
   * @param recipe shares of the finished mix
   * @param swatch how a layer of it looks on a white card, {@code #rrggbb}; a guess unless every
   *     jar has a cured chip
   * @param percentOfMix all of it together, by weight
   */
  public record RecipeTold(
      List<DoseTold> doses, List<Colour.Part> recipe, String swatch, double percentOfMix) {}

  /**
   * The finished mix weighs M = (resin + what was counted) / (1 − the shares); every dose is its
   * share of that.
   *
   * @throws InvalidValuesException when it leaves no room for resin, or is nothing
   */
  public RecipeTold told() {
    double shares =
        parts.stream().filter(p -> p.in == CountedIn.PERCENT).mapToDouble(CountedPart::amount).sum()
            / 100;
    double mixG = (resinG + parts.stream().mapToDouble(CountedPart::countedG).sum()) / (1 - shares);
    List<DoseTold> doses = new ArrayList<>();
    List<Colour.Part> recipe = new ArrayList<>();
    Optics optics = Optics.CLEAR;
    for (CountedPart part : parts) {
      double percent = part.in == CountedIn.PERCENT ? part.amount : 100 * part.countedG() / mixG;
      double massG = mixG * percent / 100;
      Colourant jar = part.colourant;
      boolean liquid = jar.form().liquid();
      doses.add(
          new DoseTold(
              jar.id(),
              massG,
              percent,
              liquid ? massG / jar.knownDropG().value() : null,
              liquid ? null : massG / (jar.knownScoopMl().value() * part.bulk())));
      recipe.add(new Colour.Part(jar.id(), percent));
      optics = optics.plus(jar.optics().times(percent));
    }
    double all = doses.stream().mapToDouble(DoseTold::percentOfMix).sum();
    new Check()
        .that(all > 0, Problem.of("parts", Problem.Code.RECIPE_IS_NOTHING, null))
        .that(
            Colour.RECIPE_PERCENT.contains(all),
            Problem.outside("parts", Problem.Code.RECIPE_TOO_STRONG, all, Colour.RECIPE_PERCENT))
        .orThrow();
    return new RecipeTold(doses, recipe, optics.over(Look.WHITE_CARD, LOOK_MM).hex(), all);
  }
}
