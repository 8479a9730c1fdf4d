package calmpour.core.stock;

import calmpour.core.check.Check;
import calmpour.core.check.Problem;
import calmpour.core.check.Range;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A part A or a part B as it stands on the shelf. One A may go with a slow and with a fast B.
 *
 * @param density g/mL as its own label says; null when it does not
 * @param kitG what one bottle of a kit holds, g, to be poured out whole; null when it is no kit
 * @param pumpMl what one stroke of its pump gives, mL; null without a pump
 */
public record ResinPart(
    String id,
    String name,
    Side side,
    @Nullable Double density,
    @Nullable Double kitG,
    @Nullable Double pumpMl,
    List<Lot> lots) {
  public static final Range DENSITY = new Range(0.7, 2.5);
  public static final Range KIT_G = new Range(1, 50_000);
  public static final Range PUMP_ML = new Range(0.1, 500);
  public static final Range LOTS = new Range(0, 50);

  /** Which bottle it is; caps and bottles are never swapped. */
  public enum Side {
    A,
    B
  }

  public ResinPart {
    lots = lots == null ? List.of() : List.copyOf(lots);
    new Check()
        .name("id", id)
        .name("name", name)
        .present("side", side)
        .within("density", density, DENSITY)
        .within("kitG", kitG, KIT_G)
        .within("pumpMl", pumpMl, PUMP_ML)
        .that(
            LOTS.contains(lots.size()),
            Problem.outside("lots", Problem.Code.OUT_OF_RANGE, lots.size(), LOTS))
        .orThrow();
  }
}
