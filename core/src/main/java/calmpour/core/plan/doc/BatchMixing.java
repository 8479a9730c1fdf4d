package calmpour.core.plan.doc;

import calmpour.core.cup.CupKind;
import java.util.List;

/**
 * The mixing cup and what is in it.
 *
 * @param firstPartMm level of the first part in the mixing cup
 * @param bothPartsMm level of both
 * @param staysG left in the mixing cups, the reserve and what stock cups keep with it; what a lone
 *     cup keeps is told there
 * @param firstCupStaysG left in the first of two mixing cups; 0 where there is one
 * @param reserveG clear resin kept back in the mixing cup
 * @param startC temperature of A and B when they meet
 * @param tintedWhole what is stirred into the mixing cup before it is split; empty where each cup
 *     is tinted by itself
 */
public record BatchMixing(
    CupKind cup,
    double firstPartMm,
    double bothPartsMm,
    double staysG,
    double firstCupStaysG,
    double reserveG,
    double startC,
    List<Cup.Dose> tintedWhole) {
  public BatchMixing {
    tintedWhole = List.copyOf(tintedWhole);
  }
}
