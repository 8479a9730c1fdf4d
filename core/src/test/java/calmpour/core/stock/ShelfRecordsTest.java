package calmpour.core.stock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.check.InvalidValuesException;
import calmpour.core.check.Problem;
import calmpour.core.cup.CupKind;
import calmpour.core.mould.Measurement;
import calmpour.core.mould.MeshShape;
import calmpour.core.mould.MouldMake;
import calmpour.core.mould.MouldState;
import calmpour.core.resin.CureTimes;
import calmpour.core.resin.LabelFacts;
import calmpour.core.tint.Colourant;
import calmpour.core.tint.ColourantForm;
import calmpour.core.tint.Weighed;
import java.util.List;
import java.util.stream.Stream;
import org.assertj.core.api.ThrowableAssert.ThrowingCallable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** What stands on the shelf is either sound or refused at its field; what is unknown stays so. */
class ShelfRecordsTest {
  static Stream<Arguments> unsound() {
    return Stream.of(
        bad("leftG", () -> new Lot("A-1", null, -1.0, null, null)),
        bad("code", () -> new Lot(" ", null, null, null, null)),
        bad("side", () -> new ResinPart("a", "A", null, null, null, null, List.of())),
        bad("pumpMl", () -> new ResinPart("a", "A", ResinPart.Side.A, null, null, 0.0, List.of())),
        bad("recoatToHours", () -> new CureTimes(null, 12.0, 4.0, null, null, null)),
        bad("demouldHours", () -> new CureTimes(null, null, null, Double.NaN, null, null)),
        bad("depthToMm", () -> facts(20.0, 5.0, null, null)),
        bad("warmToC", () -> facts(null, null, 28.0, 18.0)),
        bad("casts", () -> new MouldState(-1, null, null, null, null, null)),
        bad("expectedCasts", () -> new MouldState(0, 0, null, null, null, null)),
        bad("notes", () -> make("x".repeat(2_001))),
        bad("plusMinusPercent", () -> Measurement.told(5, 61.0)),
        bad("levels", () -> mesh(List.of())),
        bad("levels[1]", () -> mesh(List.of(level(0, 0), level(4, Double.NaN)))),
        bad("levels[0]", () -> mesh(List.of(level(1, 0), level(4, 2)))),
        bad("heightMm", () -> new CupKind("c", "C", CupKind.Use.EITHER, 40, 50, 1e9)),
        bad("waterPercent", () -> jar(101.0, null)),
        bad("weighingsG[1]", () -> new Weighed(20, List.of(0.7, 2_000.0))));
  }

  private static Arguments bad(String field, ThrowingCallable call) {
    return Arguments.of(field, call);
  }

  private static LabelFacts facts(Double from, Double to, Double warmFrom, Double warmTo) {
    return new LabelFacts(
        null, null, null, null, from, to, null, null, null, warmFrom, warmTo, null);
  }

  private static MouldMake make(String notes) {
    return new MouldMake(
        null, null, null, null, null, null, null, null, null, null, null, notes, null);
  }

  private static MeshShape.MeshLevel level(double depth, double volume) {
    return new MeshShape.MeshLevel(depth, volume, 10, -1, 1);
  }

  private static MeshShape mesh(List<MeshShape.MeshLevel> levels) {
    return new MeshShape("f", "f.stl", MeshShape.MeshUnit.MILLIMETRE, 0, 0, 4, false, levels);
  }

  private static Colourant.Jar jar(Double water, Weighed weighed) {
    return new Colourant.Jar(
        "a dropper", weighed, water, null, null, null, null, null, null, null, null);
  }

  @ParameterizedTest
  @MethodSource("unsound")
  void whatIsUnsoundIsToldAtItsField(String field, ThrowingCallable call) {
    assertThatThrownBy(call)
        .isInstanceOfSatisfying(
            InvalidValuesException.class,
            e -> assertThat(e.problems()).extracting(Problem::field).contains(field));
  }

  /**
   * Weighed drops go before a figure from the label; a scoop is weighed through its bulk density.
   */
  @Test
  void whatWasWeighedGoesBeforeWhatWasGiven() {
    Weighed weighed = new Weighed(10, List.of(0.4, 0.5));
    Colourant tint =
        new Colourant(
            "t",
            "T",
            ColourantForm.LIQUID_TINT,
            "#000000",
            null,
            null,
            0.09,
            null,
            null,
            null,
            jar(null, weighed));
    assertThat(tint.knownDropG().value()).isCloseTo(0.045, within(1e-12));
    Colourant mica =
        new Colourant(
            "m",
            "M",
            ColourantForm.MICA,
            "#000000",
            0.3,
            null,
            null,
            9.0,
            null,
            null,
            jar(null, weighed));
    assertThat(mica.knownScoopMl().value()).isCloseTo(0.15, within(1e-12));
    assertThat(mica.knownWaterPercent().value()).isZero();
    assertThat(
            new Colourant(
                    "p",
                    "P",
                    ColourantForm.PASTE,
                    "#000000",
                    null,
                    null,
                    null,
                    null,
                    null,
                    null,
                    jar(3.0, null))
                .knownWaterPercent()
                .value())
        .isEqualTo(3);
  }

  /** A square cup against the frustum of a pyramid: h(G + g + √(Gg))/3, worked by hand. */
  @Test
  void aSquareCupHoldsWhatAPyramidFrustumHolds() {
    CupKind tub =
        new CupKind(
            "t",
            "Tub",
            CupKind.Use.MIXING,
            60,
            80,
            90,
            CupKind.Outline.SQUARE,
            CupKind.Material.SILICONE,
            null);
    // 90 · (3600 + 6400 + 4800) / 3 = 444 000 mm³.
    assertThat(tub.capacityMl()).isCloseTo(444, within(1e-9));
    // At 45 mm it is 70 wide: 45 · (3600 + 4900 + 4200) / 3 = 190.5 mL.
    assertThat(tub.levelMm(190.5)).isCloseTo(45, within(1e-9));
  }
}
