package calmpour.core.journal;

import static org.assertj.core.api.Assertions.assertThat;

import calmpour.core.Samples;
import calmpour.core.cure.EngineModel;
import calmpour.core.cure.HalvingRule;
import calmpour.core.design.Join;
import calmpour.core.design.Layer;
import calmpour.core.plan.WorkedPlan;
import calmpour.core.plan.doc.CavityId;
import calmpour.core.resin.ResinKind;
import calmpour.core.run.AsRun;
import calmpour.core.run.Run;
import calmpour.core.run.RunReader;
import calmpour.core.session.Piece;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import calmpour.core.stock.Lot;
import calmpour.core.stock.ResinPart;
import calmpour.core.tint.Colour;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Cases of rules.md, "What a piece is found by, in words". */
class FoundByTest {
  /** Of the sample session. */
  private static final LocalDate EVENING = LocalDate.of(2026, 11, 28);

  private static final LocalDate EARLY = EVENING.minusDays(40);

  private static Lot lot(String code, LocalDate opened, Double left) {
    return new Lot(code, opened, left, null, null);
  }

  private static Run run(Lot... ofA) {
    Session session =
        Samples.session(
            List.of(
                new Piece(
                    "knob",
                    null,
                    1,
                    List.of(new Layer("clear", null, Join.TOGETHER)),
                    null,
                    null)));
    Workshop bare =
        Samples.workshop(
            Samples.resin(ResinKind.CASTING, 40, 100, 24, null),
            List.of(Samples.mould("knob", 8, 20.0)),
            List.of(Colour.CLEAR));
    ResinPart a =
        new ResinPart("a", "Part A here", ResinPart.Side.A, null, null, null, List.of(ofA));
    ResinPart other =
        new ResinPart(
            "x", "Not in it", ResinPart.Side.A, null, null, null, List.of(lot("X", EARLY, 9.0)));
    Workshop workshop =
        bare.withParts(List.of(a, other))
            .withResins(bare.resins().stream().map(r -> r.withPartAId("a")).toList());
    WorkedPlan worked = Samples.planner(new EngineModel()).work(session, workshop);
    return new Run(session, workshop, worked.plan(), session.startsAtInstant());
  }

  private static List<LotsUsed.LotOfBatch> used(Lot... ofA) {
    return LotsUsed.of(run(ofA));
  }

  @Test
  void theBottleThatWasOpenedFirstAndIsNotEmpty() {
    assertThat(
            used(
                lot("SHUT", null, 500.0),
                lot("TOMORROW", EVENING.plusDays(1), 500.0),
                lot("LATER", EVENING, 500.0),
                lot("FIRST", EARLY, null),
                lot("EMPTY", EARLY.minusDays(9), 0.0)))
        .containsExactly(
            new LotsUsed.LotOfBatch(1, ResinPart.Side.A, "a", "Part A here", "FIRST", EARLY));
  }

  @Test
  void nothingIsSaidOfAPartWithoutAnOpenBottle() {
    assertThat(used(lot("SHUT", null, 500.0), lot("TOMORROW", EVENING.plusDays(1), 500.0)))
        .isEmpty();
    assertThat(used()).isEmpty();
  }

  /** What was open for long is the bottle that it came out of, not one that is empty or shut. */
  @ParameterizedTest
  @CsvSource({"40, NOT_THERE", "250, THERE", "-1, UNKNOWN"})
  void anOldBottleIsAClueOnlyWhereItWasMixedFrom(int openedDaysAgo, Evidence.Told told) {
    Run run =
        run(
            lot("EMPTY", EVENING.minusDays(400), 0.0),
            lot("OPEN", EVENING.minusDays(openedDaysAgo), 300.0));
    AsRun asRun =
        new RunReader(new HalvingRule())
            .lookBack(run, List.of(), run.begunAt().plusSeconds(200_000));
    assertThat(PieceFacts.of(run, List.of(), asRun, new CavityId(1, 1)).get(Clue.OPENED_LONG))
        .extracting(Evidence::told)
        .isEqualTo(told);
  }

  @Test
  void aResinThatIsGoneIsNoClue() {
    Run whole = run(lot("OPEN", EARLY, 300.0));
    AsRun asRun =
        new RunReader(new HalvingRule())
            .lookBack(whole, List.of(), whole.begunAt().plusSeconds(200_000));
    Run without =
        new Run(
            whole.session(), whole.workshop().withResins(List.of()), whole.plan(), whole.begunAt());
    assertThat(PieceFacts.of(without, List.of(), asRun, new CavityId(1, 1)))
        .extractingByKeys(Clue.FAST_RESIN, Clue.FLEXIBLE_RESIN, Clue.OPENED_LONG)
        .extracting(Evidence::told)
        .containsOnly(Evidence.Told.UNKNOWN);
  }

  /** Depths with a + came out good; the third deepest of those counts. */
  @ParameterizedTest
  @CsvSource(
      nullValues = "-",
      value = {
        "'12+ 30+', -",
        "'12+ 30+ 18+', 12 3 0",
        "'12+ 30+ 18+ 25+ 17 18 31', 18 3 2",
        "'20+ 20+ 20+ 20+ 20', 20 4 1",
        "'9 9 9', -",
      })
  void provenIsWhatThreeGoodPiecesReached(String pieces, String expected) {
    List<ProvenDepth.Layered> layered =
        List.of(pieces.split(" ", -1)).stream()
            .map(p ->
                new ProvenDepth.Layered(Double.parseDouble(p.replace("+", "")), p.endsWith("+")))
            .toList();
    assertThat(
            ProvenDepth.of(layered)
                .map(d -> "%.0f %d %d".formatted(d.mm(), d.good(), d.others()))
                .orElse(null))
        .isEqualTo(expected);
  }
}
