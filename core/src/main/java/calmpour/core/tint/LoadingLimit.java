package calmpour.core.tint;

import calmpour.core.resin.LoadingBasis;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * One rule that a cup's additives must keep.
 *
 * @param whose whose rule it is
 * @param colourantId the one colourant it counts; null when it counts several together
 * @param percent the limit; drops where they are counted
 * @param basis how it is read; null when nobody says, and then the strictest reading counts
 */
public record LoadingLimit(
    Whose whose, @Nullable String colourantId, double percent, @Nullable LoadingBasis basis) {

  /** Who set the limit. */
  public enum Whose {
    SHOP_ALL,
    SHOP_LIQUIDS,
    SHOP_DROPS,
    RESIN,
    COLOURANT
  }

  /** What the label of a colourant allows of it; empty when it says nothing. */
  public static Optional<LoadingLimit> ofLabel(Colourant colourant) {
    Double most = colourant.limitPercent();
    return most == null
        ? Optional.empty()
        : Optional.of(
            new LoadingLimit(Whose.COLOURANT, colourant.id(), most, colourant.limitBasis()));
  }

  /** The readings to test: the one given, or all four where it is unknown. */
  public List<LoadingBasis> readings() {
    return basis == null ? LoadingBasis.PERCENTAGES : List.of(basis);
  }

  public boolean counts(Colourant colourant) {
    return switch (whose) {
      case SHOP_ALL, RESIN -> true;
      case SHOP_LIQUIDS, SHOP_DROPS -> colourant.form().liquid();
      case COLOURANT -> colourant.id().equals(colourantId);
    };
  }
}
