package calmpour.core.audit;

import calmpour.core.cure.CureEngine;
import calmpour.core.plan.Facts;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.BatchHeat.Hot;
import calmpour.core.plan.doc.Finding;
import calmpour.core.plan.doc.Finding.Mend;
import java.util.stream.Stream;

/**
 * Heat: resin that would be hot before it is poured, a piece that gets hot in its mould, and what
 * is left standing. What is forgotten is a caution, never a breach (docs/decisions/0013).
 */
final class Heat implements Rule {
  /** A piece beyond that smokes, cracks and ripples; common practice, no source. */
  static final double PIECE_C = 90;

  /** What is forgotten may pass it one time in ten; no source. */
  static final double FORGOTTEN_C = 120;

  @Override
  public void judge(Facts facts, Findings told) {
    for (Batch batch : facts.plan().batches()) {
      if (batch.heat() == null) {
        continue;
      }
      Hot mixing = batch.heat().mixing();
      Hot cup = batch.heat().cup();
      Hot piece = batch.heat().piece();
      Stream.of(mixing, cup == null ? mixing : cup)
          .distinct()
          .filter(h -> h.plannedC() >= CureEngine.TOO_WARM_C)
          .forEach(h ->
              told.breach(
                  Finding.Rule.RESIN_HOT,
                  h.place(),
                  h.plannedC(),
                  CureEngine.TOO_WARM_C,
                  "°C",
                  Findings.ANOTHER_BATCH));
      if (piece != null && piece.plannedC() > PIECE_C) {
        told.near(
            Finding.Rule.PIECE_GETS_HOT,
            piece.place(),
            piece.plannedC(),
            PIECE_C,
            "°C",
            Findings.openPiece(piece.place().lineIndex().orElseThrow()));
      }
      Hot worst = cup == null || mixing.forgottenMostC() >= cup.forgottenMostC() ? mixing : cup;
      if (worst.forgottenMostC() > FORGOTTEN_C) {
        told.near(
            Finding.Rule.HOT_IF_FORGOTTEN,
            worst.place(),
            worst.forgottenMostC(),
            FORGOTTEN_C,
            "°C",
            new Mend(Mend.Kind.MORE_BATCHES, 0));
      }
    }
  }
}
