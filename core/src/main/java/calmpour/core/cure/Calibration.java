package calmpour.core.cure;

import calmpour.core.cure.Calibrated.Refusal;
import calmpour.core.cure.Calibrated.Why;
import calmpour.core.derive.Known;
import calmpour.core.derive.Origin;
import calmpour.core.resin.CureTimes;
import calmpour.core.resin.DemouldRow;
import calmpour.core.resin.LabelFacts;
import calmpour.core.resin.LabelHours;
import calmpour.core.resin.ResinKind;
import calmpour.core.resin.ResinSystem;
import java.util.ArrayList;
import java.util.List;
import org.hipparchus.analysis.UnivariateFunction;
import org.hipparchus.analysis.solvers.BrentSolver;
import org.jspecify.annotations.Nullable;

/**
 * Finds how quick a resin is from its label: the label's pot life, for its mass at its temperature
 * in a cup filled as high as wide, is then exactly when the model ends the working time. Its
 * demould time becomes the conversion that a piece of the label's depth, as wide as deep, has come
 * to by then; full cure and recoat, which are promised for every piece, that of a thin sheet.
 */
public final class Calibration {
  /** Where a label is silent: conversions that starting values give; no source. */
  static final double BONDS_TO = 0.80;

  /** By kind; a resin at 23 °C turns to glass at 0.948. */
  static double demouldsFrom(ResinKind kind) {
    return switch (kind) {
      case CASTING, DEEP -> 0.91;
      case FAST -> 0.84;
      case COATING -> 0.90;
      case POLYURETHANE -> 0.88;
    };
  }

  static final double FULLY_CURED_FROM = 0.96;

  /** The thin sheet that full cure and recoat are meant for, mm: a starting value, no source. */
  private static final double SHEET_MM = 3;

  /** Its area makes no difference, cm². */
  private static final double SHEET_CM2 = 100;

  /** Density of the mix, g/mL: a starting value, no source. */
  private static final double DENSITY = 1.10;

  /** Part of the way to gel that a pot life is, roughly; only where the search begins. */
  private static final double ABOUT = 0.4;

  /** How far from there the search goes, in logarithms of the rate. */
  private static final double AROUND = 3;

  /** A pot life's end is looked for up to so many times as long. */
  private static final double AHEAD = 4;

  private static final double EXACT = 1e-7;
  private static final int MOST_TRIES = 200;

  private Calibration() {}

  public static Calibrated of(ResinSystem resin) {
    List<Refusal> refusals = new ArrayList<>();
    Chemistry chemistry = chemistry(resin, resin.knownPotLifeMinutes().value(), refusals);
    Targets targets =
        chemistry == null ? assumed(resin.kind()) : targets(resin, chemistry, refusals);
    return new Calibrated(chemistry, targets, refusals);
  }

  /**
   * The speed alone, for a pot life in place of the label's.
   *
   * @param potLife min
   * @param refusals what stands in the way is added to it
   */
  static @Nullable Chemistry chemistry(ResinSystem resin, double potLife, List<Refusal> refusals) {
    BodyHistory body =
        asLabelled(resin.knownPotLifeMassG().value(), resin.knownPotLifeTemperatureC().value());
    return chemistry(resin, potLife, body, refusals);
  }

  static @Nullable Chemistry chemistry(
      ResinSystem resin, double potLife, BodyHistory body, List<Refusal> refusals) {
    LabelFacts facts = resin.facts();
    Chemistry fresh =
        Chemistry.startingValues(resin.kind(), facts == null ? null : facts.viscosityPaS());
    double temperatureC = body.startC();
    double thickness = fresh.viscosity(0, temperatureC);
    if (thickness >= CureEngine.POURABLE_PA_S) {
      refusals.add(
          new Refusal(Why.TOO_THICK_WHEN_FRESH, thickness, CureEngine.POURABLE_PA_S, "Pa·s"));
      return null;
    }
    if (temperatureC >= CureEngine.TOO_WARM_C) {
      refusals.add(new Refusal(Why.MEANT_TOO_WARM, temperatureC, CureEngine.TOO_WARM_C, "°C"));
      return null;
    }
    double longest = CureEngine.MOST_MINUTES / AHEAD;
    if (potLife > longest) {
      refusals.add(new Refusal(Why.POT_LIFE_TOO_LONG, potLife, longest, "min"));
      return null;
    }
    UnivariateFunction off =
        lnA -> {
          Double ends =
              new CureEngine(fresh.withLnA(lnA)).run(body, potLife * AHEAD).workingTimeEnds();
          // In logarithms, so that a resin far too slow and one far too quick are alike far off.
          return ends == null ? Math.log(AHEAD) : Math.log(Math.max(ends, 1e-6) / potLife);
        };
    double kelvin = temperatureC + Chemistry.KELVIN;
    double begin =
        fresh.activationKJ() * 1_000 / (Chemistry.GAS * kelvin) + Math.log(ABOUT / potLife);
    double slow = begin - AROUND;
    double quick = begin + AROUND;
    if (off.value(slow) <= 0 || off.value(quick) >= 0) {
      refusals.add(new Refusal(Why.POT_LIFE_OUT_OF_REACH, potLife, potLife, "min"));
      return null;
    }
    return fresh.withLnA(new BrentSolver(EXACT, EXACT).solve(MOST_TRIES, off, slow, quick));
  }

  private static Targets assumed(ResinKind kind) {
    return new Targets(
        new Known(BONDS_TO, Origin.ASSUMED),
        new Known(demouldsFrom(kind), Origin.ASSUMED),
        new Known(FULLY_CURED_FROM, Origin.ASSUMED));
  }

  private static Targets targets(ResinSystem resin, Chemistry chemistry, List<Refusal> refusals) {
    CureTimes times = resin.times();
    if (times == null) {
      return assumed(resin.kind());
    }
    List<DemouldRow> rows = LabelHours.rows(resin);
    DemouldRow row = rows.isEmpty() ? null : rows.get(0);
    Double demouldHours =
        row == null ? null : (Double) Math.sqrt(row.fromHours() * row.lateHours());
    double temperatureC = resin.knownPotLifeTemperatureC().value();
    double last =
        Math.min(CureEngine.MOST_MINUTES, Math.max(1, longestHours(times, demouldHours) * 60));
    // Full cure and recoat are promised for everything, so for what is thin; demould for a depth.
    CureRun thin = new CureEngine(chemistry).runThrough(sheet(temperatureC), last);
    CureRun run =
        resin.kind() == ResinKind.COATING
            ? thin
            : new CureEngine(chemistry)
                .runThrough(
                    piece(
                        resin.kind(),
                        row == null ? LabelHours.USUAL_DEPTH_MM : row.depthMm(),
                        temperatureC),
                    last);
    Known bond = target(thin, times.recoatToHours(), BONDS_TO, Why.LIQUID_AT_RECOAT, refusals);
    Known demould =
        target(run, demouldHours, demouldsFrom(resin.kind()), Why.LIQUID_AT_DEMOULD, refusals);
    if (demould.origin() == Origin.LABEL) {
      double warmer = run.at(demouldHours * 60).temperatureC() - temperatureC;
      if (warmer > CureEngine.AT_ROOM_K) {
        refusals.add(new Refusal(Why.WARM_AT_DEMOULD, warmer, CureEngine.AT_ROOM_K, "K"));
      }
    }
    Known full =
        target(thin, times.fullCureHours(), FULLY_CURED_FROM, Why.CURED_BEFORE_DEMOULD, refusals);
    if (full.value() < demould.value()) {
      Double hours = times.fullCureHours();
      if (hours != null && demouldHours != null) {
        refusals.add(new Refusal(Why.CURED_BEFORE_DEMOULD, hours, demouldHours, "h"));
      }
      full = new Known(Math.max(demould.value(), FULLY_CURED_FROM), Origin.ASSUMED);
    }
    return new Targets(bond, demould, full);
  }

  private static double longestHours(CureTimes times, @Nullable Double demouldHours) {
    double longest = 0;
    for (Double hours : new Double[] {times.recoatToHours(), demouldHours, times.fullCureHours()}) {
      longest = Math.max(longest, hours == null ? 0 : hours);
    }
    return longest;
  }

  /** What the sheet has come to by then; assumed where the label is silent or impossible. */
  private static Known target(
      CureRun run, @Nullable Double hours, double otherwise, Why liquid, List<Refusal> refusals) {
    if (hours == null) {
      return new Known(otherwise, Origin.ASSUMED);
    }
    CureRun.CurvePoint then = run.at(hours * 60);
    double conversion = then.cured();
    if (then.conversion() <= Chemistry.GEL) {
      double gels = run.gels() == null ? run.lasts() : run.gels();
      refusals.add(new Refusal(liquid, hours, gels / 60, "h"));
      return new Known(otherwise, Origin.ASSUMED);
    }
    return new Known(conversion, Origin.LABEL);
  }

  /** A cup filled as high as it is wide, at one temperature with its room. */
  static BodyHistory asLabelled(double massG, double temperatureC) {
    BodyShape cup = BodyShape.InCup.asHighAsWide(massG / DENSITY);
    return new BodyHistory(
        temperatureC, List.of(new BodyHistory.Segment(0, massG, cup, temperatureC)));
  }

  /** The thin sheet that takes longest. */
  static BodyHistory sheet(double temperatureC) {
    BodyShape sheet = new BodyShape.Spread(SHEET_CM2, SHEET_MM);
    double massG = SHEET_CM2 * SHEET_MM / 10 * DENSITY;
    return new BodyHistory(
        temperatureC, List.of(new BodyHistory.Segment(0, massG, sheet, temperatureC)));
  }

  /** A piece as wide as deep, as labels mean it: deep resins in a wooden form. */
  static BodyHistory piece(ResinKind kind, double depthMm, double temperatureC) {
    double floorCm2 = Math.PI / 4 * depthMm * depthMm / 100;
    double volumeMl = floorCm2 * depthMm / 10;
    BodyShape fill =
        BodyShape.InMould.round(volumeMl, depthMm, floorCm2, floorCm2)
            .in(
                kind == ResinKind.DEEP
                    ? BodyShape.Around.WOODEN_FORM
                    : BodyShape.Around.SILICONE_ON_BOARD);
    return new BodyHistory(
        temperatureC, List.of(new BodyHistory.Segment(0, volumeMl * DENSITY, fill, temperatureC)));
  }
}
