package calmpour.core.stock;

import calmpour.core.check.Check;
import calmpour.core.check.Problem;
import calmpour.core.check.Range;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
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

  /**
   * The bottle that is poured from on a day: of those that were opened by then and have something
   * left, the one that was opened first. Empty where there is none, or nobody noted it.
   */
  public Optional<Lot> pouredFrom(LocalDate day) {
    return lots.stream()
        .filter(lot -> isOpen(lot.openedOn(), day) && !Objects.equals(lot.leftG(), 0.0))
        .min(Comparator.comparing(Lot::openedOn).thenComparing(Lot::code));
  }

  private static boolean isOpen(@Nullable LocalDate openedOn, LocalDate day) {
    return openedOn != null && !openedOn.isAfter(day);
  }

  /**
   * What tells the bottles of A and B together from others, such as {@code A-0711 + S-0711}; null
   * where nothing is known of either.
   */
  public static @Nullable String lotOf(
      @Nullable ResinPart a, @Nullable ResinPart b, LocalDate day) {
    String ofA = a == null ? null : a.pouredFrom(day).map(Lot::code).orElse(null);
    String ofB = b == null ? null : b.pouredFrom(day).map(Lot::code).orElse(null);
    return ofA == null ? ofB : ofB == null ? ofA : ofA + " + " + ofB;
  }
}
