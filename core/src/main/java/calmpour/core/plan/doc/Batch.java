package calmpour.core.plan.doc;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * One mixing of A and B and the cups it is split into.
 *
 * @param number 1 for the first
 * @param stage 0 for what is poured first, one more for every join that waits
 * @param split whether the mix is poured over into cups, or stays in the cup it was mixed in
 * @param heat how warm it gets; null where a rule of thumb stands in
 */
@RecordBuilder
public record Batch(
    int number,
    int stage,
    String resinId,
    String resinName,
    BatchMeasuring measuring,
    BatchMixing mixing,
    boolean split,
    List<Cup> cups,
    BatchTimes times,
    @Nullable BatchHeat heat)
    implements BatchBuilder.With {
  public Batch {
    cups = List.copyOf(cups);
  }

  /**
   * The same batch with what is really in its cups.
   *
   * @param really A + B in the mixing cup, g
   */
  public Batch holding(double really, List<Cup> itsCups) {
    return withCups(itsCups).withMeasuring(measuring.withTotalG(really));
  }
}
