package calmpour.core.tint;

import static calmpour.core.check.Known.known;

import calmpour.core.check.Check;
import calmpour.core.check.Problem;
import calmpour.core.check.Range;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A named colour: what goes into the resin for it, each colourant by its share of the mix or all of
 * them by parts. An empty recipe is clear resin.
 *
 * @param swatch how it is drawn on screen, {@code #rrggbb}
 * @param strengthPercent of the finished mix that all colourants make together, where the recipe is
 *     in parts; null where it is in shares
 */
public record Colour(
    String id, String name, String swatch, List<Part> recipe, @Nullable Double strengthPercent) {
  /** All parts together must leave room for resin. */
  public static final Range RECIPE_PERCENT = new Range(0, 40);

  public static final Range STRENGTH_PERCENT = new Range(0.001, 40);

  /** Resin as it is; known to every workshop, also an empty one. */
  public static final Colour CLEAR = new Colour("clear", "Clear", "#dde6e4", List.of());

  /** A colour whose recipe is in shares of the mix. */
  public Colour(String id, String name, String swatch, List<Part> recipe) {
    this(id, name, swatch, recipe, null);
  }

  public Colour {
    recipe = recipe == null ? List.of() : List.copyOf(recipe);
    Check check =
        new Check()
            .name("id", id)
            .name("name", name)
            .colour("swatch", swatch)
            .within("strengthPercent", strengthPercent, STRENGTH_PERCENT);
    double sum = 0;
    for (int i = 0; i < recipe.size(); i++) {
      Part part = recipe.get(i);
      Double given = strengthPercent == null ? part.percentOfMix : part.parts;
      String field = strengthPercent == null ? "percentOfMix" : "parts";
      check.present("recipe[" + i + "]." + field, given);
      sum += given == null ? 0 : given;
    }
    check.that(
        recipe.isEmpty() || sum > 0, Problem.of("recipe", Problem.Code.RECIPE_IS_NOTHING, null));
    check.that(
        strengthPercent != null || RECIPE_PERCENT.contains(sum),
        Problem.outside("recipe", Problem.Code.RECIPE_TOO_STRONG, sum, RECIPE_PERCENT));
    check.orThrow();
  }

  /** Whether nothing is stirred in. */
  public boolean clear() {
    return recipe.isEmpty();
  }

  /** Grams of each colourant in 100 g of the finished mix, in the order of the recipe. */
  public List<Double> percentsOfMix() {
    double all = recipe.stream().mapToDouble(p -> p.parts == null ? 0 : p.parts).sum();
    List<Double> percents = new ArrayList<>();
    for (Part part : recipe) {
      percents.add(
          strengthPercent == null
              ? known(part.percentOfMix)
              : strengthPercent * known(part.parts) / all);
    }
    return percents;
  }

  /**
   * One colourant of a recipe; one of the two amounts is given.
   *
   * @param percentOfMix grams of this colourant in 100 g of the finished mix
   * @param parts of this colourant beside the others, by weight
   */
  public record Part(String colourantId, @Nullable Double percentOfMix, @Nullable Double parts) {
    public static final Range PERCENT_OF_MIX = new Range(0, 40);
    public static final Range PARTS = new Range(0, 1_000);

    /** A share of the mix. */
    public Part(String colourantId, double percentOfMix) {
      this(colourantId, percentOfMix, null);
    }

    public Part {
      new Check()
          .name("colourantId", colourantId)
          .within("percentOfMix", percentOfMix, PERCENT_OF_MIX)
          .within("parts", parts, PARTS)
          .that(
              (percentOfMix == null) != (parts == null),
              Problem.of("percentOfMix", Problem.Code.ONE_OF_THESE, null))
          .orThrow();
    }
  }
}
