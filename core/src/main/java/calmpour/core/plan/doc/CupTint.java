package calmpour.core.plan.doc;

import calmpour.core.tint.Look;
import calmpour.core.tint.Tint;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What is stirred in, and how near that comes to what is allowed.
 *
 * @param heldAt 1, or the share of the recipe's strength that the limits allow
 * @param loading every limit with how near this cup comes to it, the nearest first
 * @param inAll all additives together, in the four readings of a percentage
 * @param waterPercent water in the mix, by weight
 * @param solventPercent solvent in the mix, by weight
 * @param strength what stronger and weaker mean here; null for a clear cup
 * @param look of the thinnest layer poured from it; null when nothing is
 */
@RecordBuilder
public record CupTint(
    List<Cup.Dose> doses,
    double heldAt,
    List<Cup.Loading> loading,
    Tint.FourReadings inAll,
    double waterPercent,
    double solventPercent,
    Cup.@Nullable Strength strength,
    @Nullable Look look)
    implements CupTintBuilder.With {
  public CupTint {
    doses = List.copyOf(doses);
    loading = List.copyOf(loading);
  }
}
