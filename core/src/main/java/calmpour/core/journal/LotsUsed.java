package calmpour.core.journal;

import calmpour.core.resin.ResinSystem;
import calmpour.core.run.Run;
import calmpour.core.stock.ResinPart;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;

/** Out of which bottles the batches of an evening came, as far as the shelf knew that evening. */
public final class LotsUsed {
  private LotsUsed() {}

  /**
   * One part of one batch.
   *
   * @param batch its number
   * @param code what is printed on the bottle
   */
  public record LotOfBatch(
      int batch,
      ResinPart.Side side,
      String partId,
      String partName,
      String code,
      LocalDate openedOn) {}

  /**
   * Of every batch the lots of A and B; a part without a lot that is known is left out
   * (docs/rules.md, "What a piece is found by").
   */
  public static List<LotOfBatch> of(Run run) {
    LocalDate day = run.begunAt().atZone(ZoneId.of(run.session().zoneId())).toLocalDate();
    List<LotOfBatch> all = new ArrayList<>();
    run.plan()
        .batches()
        .forEach(batch ->
            run.workshop().resins().stream()
                .filter(r -> r.id().equals(batch.resinId()))
                .findFirst()
                .ifPresent(resin -> add(all, run, resin, batch.number(), day)));
    return List.copyOf(all);
  }

  private static void add(
      List<LotOfBatch> all, Run run, ResinSystem resin, int batch, LocalDate day) {
    for (ResinPart part : run.workshop().parts()) {
      if (part.id().equals(resin.partAId()) || part.id().equals(resin.partBId())) {
        part.pouredFrom(day)
            .ifPresent(lot ->
                all.add(
                    new LotOfBatch(
                        batch,
                        // As the resin names it: a bottle on the wrong side is still one of two.
                        part.id().equals(resin.partAId()) ? ResinPart.Side.A : ResinPart.Side.B,
                        part.id(),
                        part.name(),
                        lot.code(),
                        Objects.requireNonNull(lot.openedOn()))));
      }
    }
  }
}
