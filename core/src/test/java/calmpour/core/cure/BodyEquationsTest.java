package calmpour.core.cure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import org.junit.jupiter.api.Test;

/** The equations of a body as docs/science.md has them, written out here once more. */
class BodyEquationsTest {
  private static final Chemistry CHEMISTRY =
      new Chemistry(1, 2, 0.05, 50, 15, 260, 1.9, 0.6, 48, 1.6, 1.0);

  /** dα/dt, 1/min: exp(lnA − E/RT)·(r + α)·(1 − α)², as far as it is no glass. */
  private static double rate(double alpha, double celsius) {
    double k = Math.exp(15 - 50_000 / (8.314462618 * (celsius + 273.15)));
    double share = (celsius + 25 + 40) / 100;
    double glass = share <= 0 ? 0 : share >= 1 ? 1 : share / (0.4 + 0.6 * share);
    return k * (0.05 + alpha) * (1 - alpha) * (1 - alpha) / (1 + Math.exp(60 * (alpha - glass)));
  }

  private static final BodyShape.InCup CUP = new BodyShape.InCup(50, 60, 40, 0.8);

  /** Areas of the cup's top, base and side, m². */
  private static final double TOP = Math.PI * 0.03 * 0.03;

  private static final double BASE = Math.PI * 0.025 * 0.025;
  private static final double SIDE = Math.PI * 0.055 * Math.sqrt(0.005 * 0.005 + 0.04 * 0.04);

  private static final double CUP_LOSES = 9 * TOP + 2 * BASE + 6 * SIDE;
  private static final double CUP_HOLDS = 100 * 1.9 + 1.71e6 * (BASE + SIDE) * 0.8e-3;

  private static Body cup(double heatedW, TintShift tint) {
    return new Body(CHEMISTRY, new BodyHistory.Segment(0, 100, CUP, 22, heatedW, tint));
  }

  @Test
  void aStirredCupWarmsByWhatItMakesLessWhatItLoses() {
    TintShift tint = new TintShift(0.8, 0.9);
    for (double heated : new double[] {0, 3}) {
      Body body = cup(heated, tint);
      assertThat(body.cells()).isEqualTo(1);
      for (double alpha : new double[] {0, 0.2, 0.5}) {
        for (double celsius : new double[] {18, 35, 80}) {
          double rate = 0.8 * rate(alpha, celsius);
          double watts = heated - CUP_LOSES * (celsius - 22);
          double warms = (100 * 260 * 0.9 * rate + 60 * watts) / CUP_HOLDS;
          double[] dot = body.computeDerivatives(0, new double[] {alpha, celsius, 7});
          assertThat(dot[0]).isCloseTo(rate, within(1e-12 + 1e-9 * rate));
          assertThat(dot[1]).isCloseTo(warms, within(1e-9));
          assertThat(dot[2]).isCloseTo(1 / CHEMISTRY.viscosity(alpha, celsius), within(1e-12));
        }
      }
      assertThat(body.loses(0)).isCloseTo(60 * CUP_LOSES / CUP_HOLDS, within(1e-12));
      assertThat(body.warming()).isCloseTo(100 * 260 * 0.9 / CUP_HOLDS, within(1e-9));
    }
  }

  /** Where it turns to glass a rate falls with conversion and rises with warmth the more. */
  @Test
  void nearItsGlassARateChangesAsItsWordsDo() {
    Body body = cup(0, new TintShift(0.8, 0.9));
    double[] byAlpha = new double[1];
    double[] byC = new double[1];
    for (double celsius : new double[] {-75, 2, 15, 23, 31, 90}) {
      for (double alpha : new double[] {0.7, 0.85, 0.9, 0.94, 0.97}) {
        body.slopes(new double[] {alpha, celsius, 0}, byAlpha, byC);
        double da = 0.8 * (rate(alpha + 1e-6, celsius) - rate(alpha - 1e-6, celsius)) / 2e-6;
        double dc = 0.8 * (rate(alpha, celsius + 1e-4) - rate(alpha, celsius - 1e-4)) / 2e-4;
        assertThat(byAlpha[0])
            .as("%s at %s °C", alpha, celsius)
            .isCloseTo(da, within(1e-4 * Math.abs(da) + 1e-15));
        assertThat(byC[0])
            .as("%s at %s °C", alpha, celsius)
            .isCloseTo(dc, within(1e-4 * Math.abs(dc) + 1e-15));
      }
    }
    assertThat(CHEMISTRY.viscosity(Chemistry.GEL, 30)).isInfinite();
    assertThat(CHEMISTRY.viscosity(Chemistry.GEL - 1e-6, 30)).isFinite();
    // Castro and Macosko: at 25 °C and two tenths, 0.6·(g/(g − 0.2))^(1.6 + 0.2).
    assertThat(CHEMISTRY.viscosity(0.2, 25))
        .isCloseTo(0.6 * Math.pow(Chemistry.GEL / (Chemistry.GEL - 0.2), 1.8), within(1e-12));
  }

  /** Semenov's ψ: how the heat made grows with a degree, beside what a degree more loses. */
  @Test
  void theDriveIsWhatADegreeMoreMakesBesideWhatItLoses() {
    Body body = cup(0, TintShift.NONE);
    double[] state = {0.1, 40, 0};
    double watts = 100 * 260 * rate(0.1, 40) / 60;
    double grows = 50_000 / (8.314462618 * 313.15 * 313.15);
    assertThat(body.drive(state)).isCloseTo(watts * grows / CUP_LOSES, within(1e-9));
  }

  /**
   * A sheet of 60 mm: fifteen cells, what flows between them, and both faces through half a cell.
   */
  @Test
  void aThickSheetConductsFromCellToCell() {
    double area = 100e-4;
    double massG = area * 0.06 * 1.10e6;
    Body body =
        new Body(CHEMISTRY, new BodyHistory.Segment(0, massG, new BodyShape.Spread(100, 60), 20));
    assertThat(body.cells()).isEqualTo(15);
    double between = 0.2 * area / (0.06 / 15);
    double above = 1 / (1 / (12 * area) + 1 / (2 * between));
    double below = 1 / (1 / (10 * area) + 1 / (2 * between));
    double holds = massG * 1.9 / 15;
    double[] y = new double[31];
    for (int i = 0; i < 15; i++) {
      y[i] = 0.02 * i;
      y[15 + i] = 20 + 40 * Math.sin(0.2 * i + 0.1);
    }
    double[] dot = body.computeDerivatives(0, y);
    double meanAlpha = 0;
    double meanC = 0;
    for (int i = 0; i < 15; i++) {
      double t = y[15 + i];
      double rate = rate(y[i], t);
      double watts = i > 0 ? between * (y[14 + i] - t) : -above * (t - 20);
      watts += i < 14 ? between * (y[16 + i] - t) : -below * (t - 20);
      assertThat(dot[i]).isCloseTo(rate, within(1e-12 + 1e-9 * rate));
      assertThat(dot[15 + i])
          .as("cell %d", i)
          .isCloseTo((massG / 15 * 260 * rate + 60 * watts) / holds, within(1e-8));
      meanAlpha += y[i] / 15;
      meanC += t / 15;
    }
    assertThat(dot[30]).isCloseTo(1 / CHEMISTRY.viscosity(meanAlpha, meanC), within(1e-12));
    assertThat(body.exchange()).isCloseTo(60 * between / holds, within(1e-12));
    assertThat(body.loses(0)).isCloseTo(60 * above / holds, within(1e-12));
    assertThat(body.loses(7)).isZero();
    assertThat(body.loses(14)).isCloseTo(60 * below / holds, within(1e-12));
    assertThat(body.warmest(y)).isCloseTo(y[15 + 7], within(1e-12));
    assertThat(body.face(y)).isEqualTo(y[15]);
    assertThat(body.behind(y)).isZero();
    assertThat(body.cured(y)).isCloseTo(0.14, within(1e-12));
    // How rates change with conversion and temperature, by differences of the words above.
    double[] byAlpha = new double[15];
    double[] byC = new double[15];
    body.slopes(y, byAlpha, byC);
    for (int i = 0; i < 15; i++) {
      double da = (rate(y[i] + 1e-6, y[15 + i]) - rate(y[i] + 1e-9, y[15 + i])) / (1e-6 - 1e-9);
      double dc = (rate(y[i], y[15 + i] + 1e-4) - rate(y[i], y[15 + i] - 1e-4)) / 2e-4;
      assertThat(byAlpha[i]).isCloseTo(da, within(1e-4 * Math.abs(da) + 1e-9));
      assertThat(byC[i]).isCloseTo(dc, within(1e-4 * Math.abs(dc) + 1e-9));
    }
    // Semenov's drive of all of it: with a slab's mean a third of its half behind its faces.
    double loss = 22 * area;
    double biot = loss / (2 * area) * (massG / 1.10e6 / (2 * area)) / 0.2;
    double made = 0;
    for (int i = 0; i < 15; i++) {
      double kelvin = y[15 + i] + 273.15;
      made +=
          massG / 15 * 260 * rate(y[i], y[15 + i]) / 60 * 50_000 / 8.314462618 / kelvin / kelvin;
    }
    assertThat(body.drive(y)).isCloseTo(made / (loss / (1 + biot / 3)), within(1e-9));
  }

  /** A tall narrow fill in a mould is a row of cells across, and its rubber warms with it. */
  @Test
  void aNarrowFillGivesItsHeatThroughItsSides() {
    BodyShape.InMould bar = new BodyShape.InMould(4, 84, 80, 20, new BodyShape.Around(9, 20, 3));
    double massG = 40 * 1.10;
    Body body = new Body(CHEMISTRY, new BodyHistory.Segment(0, massG, bar, 20));
    assertThat(body.cells()).isEqualTo(6);
    double floor = 40e-6 / 0.08;
    double sides = 20 * (84e-4 - floor);
    double aside = 9 * 4e-4 + 3 * floor;
    double holds = (massG * 1.9 + 1.5e6 * 5e-3 * 84e-4) / 6;
    double between = 0.2 * (40e-6 / 0.02) / (0.02 / 6);
    double face = 1 / (2 / sides + 1 / (2 * between)) + aside / 6;
    assertThat(body.loses(0)).isCloseTo(60 * face / holds, within(1e-12));
    assertThat(body.loses(5)).isCloseTo(60 * face / holds, within(1e-12));
    assertThat(body.loses(2)).isCloseTo(60 * aside / 6 / holds, within(1e-12));
    assertThat(body.exchange()).isCloseTo(60 * between / holds, within(1e-12));
  }

  /**
   * What was poured over is even, and shares its heat with what it lies in; a body that stays keeps
   * what it is, cell by cell.
   */
  @Test
  void whatIsTakenOverIsEvenOnlyWhereItWasPoured() {
    Body cup = cup(0, TintShift.NONE);
    double wall = 1 - 190 / CUP_HOLDS;
    double[] over = cup.takeOver(new double[] {0.1, 0.3, 30, 50, 4}, true);
    assertThat(over[0]).isCloseTo(0.2, within(1e-12));
    assertThat(over[1]).isCloseTo(40 + wall * (22 - 40), within(1e-9));
    assertThat(over[2]).isEqualTo(4);
    double[] still = cup.takeOver(new double[] {0.1, 0.3, 30, 50, 4}, false);
    assertThat(still[1]).isCloseTo(40, within(1e-12));
    double[] same = {0.15, 33, 9};
    assertThat(cup.takeOver(same, false)).containsExactly(0.15, 33, 9);
    Body sheet =
        new Body(CHEMISTRY, new BodyHistory.Segment(0, 660, new BodyShape.Spread(100, 60), 20));
    double[] all = sheet.takeOver(same, true);
    assertThat(all).hasSize(31);
    assertThat(all[3]).isEqualTo(0.15);
    assertThat(all[20]).isCloseTo(33, within(1e-12));
    assertThat(all[30]).isEqualTo(9);
    all[5] = 0.5;
    assertThat(sheet.takeOver(all, false)).containsExactly(all);
    assertThat(sheet.takeOver(all, true)[0]).isCloseTo(0.15 + 0.35 / 15, within(1e-12));
  }

  /**
   * Once it has gelled and is even to 0.3 K a body is taken for one cell of the same heat and the
   * same loss; one that has settled to 0.15 K is slowed to 200 minutes, and settles where it would.
   */
  @Test
  void aCalmBodyIsSimplerAndSettlesWhereItWould() {
    Body sheet =
        new Body(
            CHEMISTRY,
            new BodyHistory.Segment(0, 660, new BodyShape.Spread(100, 60), 20, 2, TintShift.NONE));
    double[] y = new double[31];
    Arrays.fill(y, 0, 15, 0.6);
    Arrays.fill(y, 15, 30, 50);
    y[30] = 3;
    y[22] = 50.29;
    assertThat(sheet.calm(y)).isTrue();
    y[22] = 50.31;
    assertThat(sheet.calm(y)).isFalse();
    y[22] = 49.71;
    assertThat(sheet.calm(y)).isTrue();
    y[22] = 49.69;
    assertThat(sheet.calm(y)).isFalse();
    y[22] = 50;
    y[4] = 0.57;
    assertThat(sheet.calm(y)).as("not gelled in one cell").isFalse();
    y[4] = 0.6;
    double[] one = sheet.calmed(y);
    assertThat(one).hasSize(3);
    assertThat(one[0]).isCloseTo(0.6, within(1e-12));
    assertThat(one[1]).isCloseTo(50, within(1e-12));
    assertThat(one[2]).isEqualTo(3);
    Body calmer = sheet.calmer();
    double area = 100e-4;
    double biot = 22 * area / (2 * area) * (660 / 1.10e6 / (2 * area)) / 0.2;
    double loses = 22 * area / (1 + biot / 3);
    double holds = 660 * 1.9;
    double rate = rate(0.6, 50);
    assertThat(calmer.cells()).isEqualTo(1);
    assertThat(calmer.computeDerivatives(0, one)[1])
        .isCloseTo((660 * 260 * rate + 60 * (2 - loses * 30)) / holds, within(1e-9));
    assertThat(calmer.loses(0)).isCloseTo(60 * loses / holds, within(1e-12));

    Body cup = cup(1.5, TintShift.NONE);
    double[] settled = {0.9, 22.1, 5};
    assertThat(cup.calm(settled)).isTrue();
    assertThat(cup.calm(new double[] {0.9, 22.16, 5})).isFalse();
    assertThat(cup.calm(new double[] {0.9, 21.84, 5})).isFalse();
    Body slow = cup.calmer();
    assertThat(slow.calm(settled)).isFalse();
    assertThat(1 / slow.loses(0)).isCloseTo(200, within(1e-9));
    double slower = 200 / (CUP_HOLDS / CUP_LOSES / 60);
    assertThat(slow.computeDerivatives(0, settled)[1] * slower)
        .isCloseTo(cup.computeDerivatives(0, settled)[1], within(1e-9));
    assertThat(slow.computeDerivatives(0, settled)[0])
        .isEqualTo(cup.computeDerivatives(0, settled)[0]);
  }
}
