package calmpour.core.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.Samples;
import calmpour.core.check.InvalidValuesException;
import calmpour.core.check.Problem;
import calmpour.core.cure.EngineModel;
import calmpour.core.embed.Embed;
import calmpour.core.practice.Tried.CureCaution;
import calmpour.core.practice.Tried.CureCost;
import calmpour.core.practice.Tried.Measure;
import calmpour.core.resin.MixRatio;
import calmpour.core.session.Workshop;
import calmpour.core.tint.Colour;
import calmpour.core.tint.ColourantForm;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class WhatIfTest {
  private static final Workshop WORKSHOP =
      new Workshop(
          List.of(Samples.mould("knob", 24, 30.0)),
          List.of(Samples.resin(2, 1, MixRatio.Basis.WEIGHT)),
          List.of(Samples.colourant("ink", ColourantForm.ALCOHOL_INK)),
          List.of(new Colour("inky", "Inky", "#334455", List.of(new Colour.Part("ink", 3.0)))),
          List.of(Samples.MIXING, Samples.SMALL),
          List.of(),
          List.of(new Embed("brass", "Brass insert", 4.25, 0.5, null, null, null, null, null)));

  private static final WhatIf WHAT_IF = new WhatIf(new EngineModel(), WORKSHOP);

  /** 100 g in the mixing cup at 22 °C, stirred 3 min, rested 5; the rest by name. */
  private static final class Try {
    double massG = 100;
    double roomC = 22;
    Double startC;
    Double humidity;
    double rest = 5;
    double lamp;
    int split = 1;
    SetUp.Lies lies = SetUp.Lies.CUP;
    Double pouredAfter;
    Double sheetMm;
    Double laterC;
    Double laterHours;
    String cup = "mix";
    String splitCup = "small";
    String colour;
    String embed;
    String mould;

    SetUp setUp() {
      return new SetUp(
          "resin",
          massG,
          cup,
          roomC,
          humidity,
          startC,
          3,
          rest,
          lamp,
          split,
          splitCup,
          lies,
          pouredAfter,
          mould,
          null,
          sheetMm,
          laterC,
          laterHours,
          colour,
          embed);
    }

    Tried tried() {
      return WHAT_IF.of(setUp());
    }
  }

  private static CureCost cost(Tried tried, Measure measure) {
    return tried.costs().stream().filter(c -> c.measure() == measure).findFirst().orElseThrow();
  }

  private static boolean minds(Tried tried, CureCaution.Kind kind) {
    return tried.cautions().stream().anyMatch(c -> c.kind() == kind);
  }

  /** Common practice, no source: split early into shallow cups, and it lasts and keeps cool. */
  @Test
  void splittingGivesTimeAndTheComparisonSaysSo() {
    Try whole = new Try();
    whole.massG = 200;
    Try split = new Try();
    split.massG = 200;
    split.split = 4;
    Tried second = split.tried();
    assertThat(cost(second, Measure.SPLITTING).with())
        .isGreaterThan(cost(second, Measure.SPLITTING).without());
    Comparison comparison = Comparison.of(whole.tried(), second);
    assertThat(comparison.lasts())
        .isIn(Comparison.Lasts.SECOND_BEYOND_GEL, Comparison.Lasts.SECOND_LONGER);
    assertThat(comparison.first().cup().states().heat().peakC())
        .isGreaterThan(comparison.second().cup().states().heat().peakC());
    assertThat(Comparison.of(second, whole.tried()).lasts())
        .isIn(Comparison.Lasts.FIRST_BEYOND_GEL, Comparison.Lasts.FIRST_LONGER);
    assertThat(Comparison.of(second, second).lasts()).isEqualTo(Comparison.Lasts.ALIKE);
  }

  @Test
  void twoCoolCupsPassNoRoundFigure() {
    Try shallow = new Try();
    shallow.massG = 12;
    shallow.splitCup = null;
    Comparison comparison = Comparison.of(shallow.tried(), shallow.tried());
    assertThat(comparison.hot()).isEqualTo(Comparison.Hot.NEITHER);
    double peak = comparison.first().cup().states().heat().peakC();
    assertThat(comparison.coolC()).isGreaterThan(peak).isLessThanOrEqualTo(peak + 5);
    assertThat(comparison.coolC() % 5).isZero();
  }

  /** Warming, a lamp and ink each have their price; a box later brings it out sooner. */
  @Test
  void everyMeasureHasItsFigure() {
    Try all = new Try();
    all.startC = 35.0;
    all.lamp = 3;
    all.colour = "inky";
    all.lies = SetUp.Lies.SHEET;
    all.sheetMm = 6.0;
    all.laterC = 32.0;
    all.laterHours = 3.0;
    Tried tried = all.tried();
    assertThat(cost(tried, Measure.WARMING).with())
        .isLessThan(cost(tried, Measure.WARMING).without() * 0.8);
    assertThat(cost(tried, Measure.LAMP).with()).isLessThan(cost(tried, Measure.LAMP).without());
    assertThat(cost(tried, Measure.COLOUR).with())
        .isGreaterThan(cost(tried, Measure.COLOUR).without());
    CureCost box = cost(tried, Measure.LATER_ROOM);
    assertThat(box.unit()).isEqualTo("h");
    assertThat(box.with()).isLessThan(box.without());
  }

  /**
   * Common practice, no source: a warm mix lasts a quarter of its time; a dozen minutes at 40 °C.
   */
  @Test
  void warmedToFortyItLastsADozenMinutes() {
    Try warm = new Try();
    warm.cup = null;
    warm.startC = 40.0;
    assertThat(warm.tried().cup().states().workingTimeEnds().minutes()).isBetween(9.0, 16.0);
  }

  @Test
  void whatIsToBeMindedIsNamedWithItsFigure() {
    Try careless = new Try();
    careless.massG = 300;
    careless.roomC = 30;
    careless.rest = 30;
    careless.humidity = 70.0;
    Tried tried = careless.tried();
    assertThat(minds(tried, CureCaution.Kind.CUP_HOT_IF_FORGOTTEN)).isTrue();
    assertThat(minds(tried, CureCaution.Kind.TOO_LATE_TO_POUR)).isTrue();
    assertThat(minds(tried, CureCaution.Kind.DAMP_AIR)).isTrue();
    assertThat(minds(tried, CureCaution.Kind.COLD_ROOM)).isFalse();
    Try cold = new Try();
    cold.roomC = 8;
    cold.lies = SetUp.Lies.SHEET;
    cold.sheetMm = 3.0;
    Tried inTheCold = cold.tried();
    assertThat(minds(inTheCold, CureCaution.Kind.COLD_ROOM)).isTrue();
    assertThat(minds(inTheCold, CureCaution.Kind.NEVER_FULLY_CURED)).isTrue();
    assertThat(inTheCold.bubbles().worthMinutes()).isNull();
    assertThat(inTheCold.warmInstead().toC()).isBetween(12.0, 25.0);
  }

  @Test
  void anEmbedIsLookedAtInThePiece() {
    Try piece = new Try();
    piece.lies = SetUp.Lies.MOULD;
    piece.mould = "knob";
    piece.embed = "brass";
    Tried tried = piece.tried();
    assertThat(tried.embed().tendency()).isEqualTo(Embed.Tendency.SINKS);
    assertThat(tried.piece().massG()).isCloseTo(24 * 1.1, within(0.6));
    assertThat(tried.piece().levelMm()).isCloseTo(30, within(1e-9));
    piece.lies = SetUp.Lies.CUP;
    assertThat(piece.tried().embed()).isNull();
  }

  @Test
  void whatCannotBeIsToldAtItsField() {
    Try tooMuch = new Try();
    tooMuch.massG = 4_000;
    assertField(tooMuch, "cupId", Problem.Code.CUP_OVERFLOWS);
    Try small = new Try();
    small.massG = 350;
    small.split = 2;
    assertField(small, "splitCupId", Problem.Code.CUP_OVERFLOWS);
    Try lost = new Try();
    lost.cup = "bucket";
    assertField(lost, "cupId", Problem.Code.UNKNOWN_ID);
    Try frost = new Try();
    frost.roomC = -20;
    assertField(frost, "roomC", Problem.Code.OUT_OF_RANGE);
    Try thin = new Try();
    thin.lies = SetUp.Lies.SHEET;
    thin.sheetMm = 0.0;
    assertField(thin, "sheetMm", Problem.Code.OUT_OF_RANGE);
    Try half = new Try();
    half.laterC = 30.0;
    assertField(half, "laterAfterHours", Problem.Code.MISSING);
    Try little = new Try();
    little.massG = 20;
    little.lies = SetUp.Lies.MOULD;
    little.mould = "knob";
    assertField(little, "mouldId", Problem.Code.MOULD_TAKES_MORE);
    Try hasty = new Try();
    hasty.pouredAfter = 7.0;
    assertField(hasty, "pouredAfterMinutes", Problem.Code.OUT_OF_RANGE);
    Try nowhere = new Try();
    nowhere.lies = SetUp.Lies.MOULD;
    assertField(nowhere, "mouldId", Problem.Code.MISSING);
  }

  private static void assertField(Try it, String field, Problem.Code code) {
    assertThatThrownBy(it::tried)
        .isInstanceOfSatisfying(
            InvalidValuesException.class,
            wrong ->
                assertThat(wrong.problems())
                    .anySatisfy(p -> {
                      assertThat(p.field()).isEqualTo(field);
                      assertThat(p.code()).isEqualTo(code);
                    }));
  }

  /** Ten kilograms in a bucket, a hot room, a lamp: always an answer, and every number one. */
  @Property(tries = 60, seed = "20261126")
  void whateverIsTriedThereIsAnAnswer(
      @ForAll @DoubleRange(min = 1, max = 10_000) double massG,
      @ForAll @DoubleRange(min = 5, max = 45) double roomC,
      @ForAll @DoubleRange(min = 5, max = 55) double startC,
      @ForAll @IntRange(min = 1, max = 24) int split,
      @ForAll @DoubleRange(min = 0.5, max = 200) double depthMm) {
    Try any = new Try();
    any.cup = null;
    any.splitCup = null;
    any.massG = massG;
    any.roomC = roomC;
    any.startC = startC;
    any.split = split;
    any.lies = SetUp.Lies.SHEET;
    any.sheetMm = depthMm;
    Tried tried = any.tried();
    assertThat(tried.cup().states().workingTimeEnds().minutes()).isFinite().isPositive();
    assertThat(tried.piece().states().heat().peakC()).isFinite().isGreaterThan(0);
    assertThat(tried.piece().curve().points())
        .isNotEmpty()
        .allSatisfy(p -> {
          assertThat(p.conversion()).isBetween(-1e-6, 1 + 1e-6);
          assertThat(p.temperatureC()).isFinite();
        });
    assertThat(tried.cup().massG()).isCloseTo(massG / split, within(1e-9));
  }
}
