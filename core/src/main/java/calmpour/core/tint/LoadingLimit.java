package calmpour.core.tint;

import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * One rule that a cup's additives must keep.
 *
 * @param whose whose rule it is
 * @param colourantId the one colourant it counts; null when it counts several together
 * @param percent the limit
 * @param basis how it is read; null when nobody says, and then the strictest reading counts
 */
public record LoadingLimit(
    Whose whose, @Nullable String colourantId, double percent, @Nullable LoadingBasis basis) {

  /** Who set the limit. */
  public enum Whose {
    SHOP_ALL,
    SHOP_LIQUIDS,
    RESIN,
    COLOURANT
  }

  /** The readings to test: the one given, or all four where it is unknown. */
  public List<LoadingBasis> readings() {
    return basis == null ? Arrays.asList(LoadingBasis.values()) : List.of(basis);
  }

  boolean counts(Colourant colourant) {
    return switch (whose) {
      case SHOP_ALL, RESIN -> true;
      case SHOP_LIQUIDS -> colourant.form().liquid();
      case COLOURANT -> colourant.id().equals(colourantId);
    };
  }
}
