package calmpour.core.run;

import calmpour.core.cure.CureCurve;
import calmpour.core.plan.doc.CupId;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * How a cup of a run followed, in the room and with the content that it really had.
 *
 * @param contactSeconds from when the run was begun; the curve's minute 0
 * @param pouredMinutes ends of the pours out of it, from the contact
 * @param curve null where a rule of thumb stands in
 */
public record CupCurve(
    CupId cupId,
    int batch,
    String colourName,
    String swatch,
    int contactSeconds,
    List<Double> pouredMinutes,
    @Nullable CureCurve curve) {
  public CupCurve {
    pouredMinutes = List.copyOf(pouredMinutes);
  }
}
