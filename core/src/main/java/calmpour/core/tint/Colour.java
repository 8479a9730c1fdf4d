package calmpour.core.tint;

import calmpour.core.check.Check;
import calmpour.core.check.Problem;
import calmpour.core.check.Range;
import java.util.List;

/**
 * A named colour: what goes into the resin for it. An empty recipe is clear resin.
 *
 * @param swatch how it is drawn on screen, {@code #rrggbb}
 */
public record Colour(String id, String name, String swatch, List<Part> recipe) {
  /** All parts together must leave room for resin. */
  public static final Range RECIPE_PERCENT = new Range(0, 40);

  /** Resin as it is; known to every workshop, also an empty one. */
  public static final Colour CLEAR = new Colour("clear", "Clear", "#dde6e4", List.of());

  public Colour {
    recipe = recipe == null ? List.of() : List.copyOf(recipe);
    double sum = recipe.stream().mapToDouble(Part::percentOfMix).sum();
    new Check()
        .name("id", id)
        .name("name", name)
        .name("swatch", swatch)
        .that(
            RECIPE_PERCENT.contains(sum),
            Problem.outside("recipe", Problem.Code.RECIPE_TOO_STRONG, sum, RECIPE_PERCENT))
        .orThrow();
  }

  /** Whether nothing is stirred in. */
  public boolean clear() {
    return recipe.isEmpty();
  }

  /**
   * @param percentOfMix grams of this colourant in 100 g of the finished mix
   */
  public record Part(String colourantId, double percentOfMix) {
    public static final Range PERCENT_OF_MIX = new Range(0.001, 40);

    public Part {
      new Check()
          .name("colourantId", colourantId)
          .within("percentOfMix", percentOfMix, PERCENT_OF_MIX)
          .orThrow();
    }
  }
}
