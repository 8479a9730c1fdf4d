package calmpour.core.cure;

import static calmpour.core.check.Known.known;

import calmpour.core.cure.Calibrated.Refusal;
import calmpour.core.cure.Calibrated.Why;
import calmpour.core.derive.Known;
import calmpour.core.derive.Origin;
import calmpour.core.resin.CureTimes;
import calmpour.core.resin.LabelFacts;
import calmpour.core.resin.ResinKind;
import calmpour.core.resin.ResinSystem;
import java.util.ArrayList;
import java.util.List;
import org.hipparchus.analysis.UnivariateFunction;
import org.hipparchus.analysis.solvers.BrentSolver;
import org.jspecify.annotations.Nullable;

/**
 * Makes a resin of the model out of all that is known of one: the estimate of its clock, its
 * label's later times as conversions, and what of the label cannot be. A pot life that stands alone
 * is then exactly when the model ends the working time of such a cup.
 */
public final class Calibration {
  /** Where a label is silent: conversions that starting values give; no source. */
  static final double BONDS_TO = 0.80;

  static final double FULLY_CURED_FROM = 0.96;

  /** The thin sheet that full cure and recoat are meant for, mm: a starting value, no source. */
  private static final double SHEET_MM = 3;

  /** What is no deeper is meant as a sheet, mm: common practice, no source. */
  private static final double THIN_MM = 5;

  /** Its area makes no difference, cm². */
  private static final double SHEET_CM2 = 100;

  /** Density of the mix, g/mL: a starting value, no source. */
  static final double DENSITY = 1.10;

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
    return of(resin, List.of());
  }

  /**
   * @param seen what its maker has seen of it, beside what the label says
   */
  public static Calibrated of(ResinSystem resin, List<ClockFact> seen) {
    List<Refusal> refusals = new ArrayList<>();
    double potLife = resin.knownPotLifeMinutes().value();
    BodyHistory cup =
        asLabelled(resin.knownPotLifeMassG().value(), resin.knownPotLifeTemperatureC().value());
    Chemistry usual = usual(resin);
    Chemistry begin = inTime(usual, potLife, cup, refusals);
    if (begin == null) {
      return new Calibrated(null, assumed(resin.kind(), usual(resin.kind())), refusals, null);
    }
    List<ClockFact> facts = new ArrayList<>(ClockFacts.of(resin));
    facts.removeIf(f -> liquidThen(f, begin, refusals));
    facts.addAll(seen);
    boolean told = facts.stream().anyMatch(f -> f.kind() == ClockFact.Kind.POT_LIFE);
    ClockEstimate estimate = ClockFit.of(resin.kind(), potLife, told, facts);
    Chemistry chemistry = estimate.chemistry();
    List<ClockFact> potLives =
        facts.stream().filter(f -> f.kind() == ClockFact.Kind.POT_LIFE).toList();
    if (potLives.size() == 1) {
      // The one that was told, wherever it stands; never one that is only assumed.
      ClockFact alone = potLives.get(0);
      Chemistry met = inTime(chemistry, alone.value(), known(alone.body()), new ArrayList<>());
      if (met != null) {
        estimate = estimate.at(estimate.mean()[0] + met.lnA() - chemistry.lnA());
        chemistry = estimate.chemistry();
      }
    }
    return new Calibrated(chemistry, targets(resin, estimate, refusals), refusals, estimate);
  }

  /** A resin of its kind before anything but its thickness is known. */
  private static Chemistry usual(ResinSystem resin) {
    ClockPrior prior = ClockPrior.of(resin.kind(), resin.knownPotLifeMinutes().value(), true);
    double[] of = prior.unknowns(new double[ClockPrior.UNKNOWNS]);
    LabelFacts facts = resin.facts();
    if (facts != null && facts.viscosityPaS() != null) {
      of[ClockPrior.THICKNESS] = Math.log(facts.viscosityPaS());
    }
    return ClockPrior.chemistry(resin.kind(), of);
  }

  /** Conversion at which a resin of its kind comes out of its mould. */
  private static double usual(ResinKind kind) {
    return ClockPrior.of(kind, 1, true).mean(ClockPrior.HARDNESS);
  }

  /** A demould time at which the resin is no more than a liquid says nothing of when it is hard. */
  private static boolean liquidThen(ClockFact fact, Chemistry usual, List<Refusal> refusals) {
    if (fact.kind() != ClockFact.Kind.DEMOULD) {
      return false;
    }
    double last = Math.min(CureEngine.MOST_MINUTES, fact.value() * AHEAD);
    QuickRun.Moments run = QuickRun.of(usual, null, known(fact.body()), last, QuickRun.Until.GEL);
    double gels = run.gels() == null ? last : run.gels();
    if (gels < fact.value()) {
      return false;
    }
    refusals.add(new Refusal(Why.LIQUID_AT_DEMOULD, fact.value() / 60, gels / 60, "h"));
    return true;
  }

  /**
   * The speed alone, for a resin that pours so many times as long as is thought of it: by its
   * label, by several of its rows that do not quite agree, or by what was learned of it.
   *
   * @param of everything else of it
   * @param times more than 0
   */
  static @Nullable Chemistry lasting(ResinSystem resin, Chemistry of, double times) {
    BodyHistory cup =
        asLabelled(resin.knownPotLifeMassG().value(), resin.knownPotLifeTemperatureC().value());
    double thought = new CureEngine(of).workingTime(cup, CureEngine.MOST_MINUTES / AHEAD);
    return ofPotLife(resin, of, times * thought);
  }

  /**
   * The speed alone, for a pot life in the cup that the label means.
   *
   * @param of everything else of it
   * @param potLife min
   */
  static @Nullable Chemistry ofPotLife(ResinSystem resin, Chemistry of, double potLife) {
    BodyHistory cup =
        asLabelled(resin.knownPotLifeMassG().value(), resin.knownPotLifeTemperatureC().value());
    return inTime(of, potLife, cup, new ArrayList<>());
  }

  /**
   * A resin of that kind whose working time in such a body is the one that is asked for.
   *
   * @param potLife min
   * @param refusals what stands in the way is added to it
   */
  static @Nullable Chemistry chemistry(
      ResinSystem resin, double potLife, BodyHistory body, List<Refusal> refusals) {
    return inTime(usual(resin), potLife, body, refusals);
  }

  private static @Nullable Chemistry inTime(
      Chemistry fresh, double potLife, BodyHistory body, List<Refusal> refusals) {
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
          double ends = new CureEngine(fresh.withLnA(lnA)).workingTime(body, potLife * AHEAD);
          // In logarithms, so that a resin far too slow and one far too quick are alike far off.
          return Math.log(Math.max(ends, 1e-6) / potLife);
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

  /** How near to its room a piece of that kind comes out of its mould, K. */
  static double withinK(ResinKind kind) {
    // A polyurethane is taken out warm, within the hour.
    return kind == ResinKind.POLYURETHANE ? Double.POSITIVE_INFINITY : CureEngine.AT_ROOM_K;
  }

  private static Targets assumed(ResinKind kind, double hardness) {
    return new Targets(
        new Known(BONDS_TO, Origin.ASSUMED),
        new Known(hardness, Origin.ASSUMED),
        new Known(Math.max(hardness, FULLY_CURED_FROM), Origin.ASSUMED),
        withinK(kind));
  }

  private static Targets targets(
      ResinSystem resin, ClockEstimate estimate, List<Refusal> refusals) {
    Targets assumed = assumed(resin.kind(), estimate.hardness());
    List<ClockEstimate.Met> rows =
        estimate.facts().stream().filter(m -> m.fact().kind() == ClockFact.Kind.DEMOULD).toList();
    Known demould =
        rows.isEmpty() ? assumed.demould() : new Known(estimate.hardness(), Origin.LABEL);
    for (ClockEstimate.Met row : rows) {
      warmThen(row.fact(), estimate, refusals);
    }
    CureTimes times = resin.times();
    if (times == null) {
      return new Targets(assumed.bond(), demould, assumed.fullCure(), assumed.withinK());
    }
    double temperatureC = resin.knownPotLifeTemperatureC().value();
    double last = Math.min(CureEngine.MOST_MINUTES, Math.max(1, longestHours(times) * 60));
    // Full cure and recoat are promised for everything, so for what is thin; demould for a depth.
    CureRun thin = new CureEngine(estimate.chemistry()).runThrough(sheet(temperatureC), last);
    double gel = estimate.chemistry().gel();
    Known bond = target(thin, gel, times.recoatToHours(), BONDS_TO, Why.LIQUID_AT_RECOAT, refusals);
    Known full =
        target(
            thin,
            gel,
            times.fullCureHours(),
            assumed.fullCure().value(),
            Why.CURED_BEFORE_DEMOULD,
            refusals);
    if (full.value() < demould.value()) {
      Double soonest =
          rows.stream().map(m -> m.fact().value() / 60).min(Double::compare).orElse(null);
      if (times.fullCureHours() != null && soonest != null) {
        refusals.add(new Refusal(Why.CURED_BEFORE_DEMOULD, times.fullCureHours(), soonest, "h"));
      }
      full = assumed.fullCure();
    }
    return new Targets(bond, demould, full, assumed.withinK());
  }

  /** Told where by the label's time it is not yet as cool as its room. */
  private static void warmThen(ClockFact row, ClockEstimate estimate, List<Refusal> refusals) {
    if (withinK(estimate.kind()) < Double.POSITIVE_INFINITY) {
      double late = row.said().to() == null ? row.value() : row.said().to() * 60;
      double warmer =
          QuickRun.through(
                  estimate.chemistry(),
                  known(row.body()),
                  Math.min(CureEngine.MOST_MINUTES, late),
                  1)
              .offRoomK();
      if (warmer > CureEngine.AT_ROOM_K) {
        refusals.add(new Refusal(Why.WARM_AT_DEMOULD, warmer, CureEngine.AT_ROOM_K, "K"));
      }
    }
  }

  private static double longestHours(CureTimes times) {
    double longest = 0;
    for (Double hours : new Double[] {times.recoatToHours(), times.fullCureHours()}) {
      longest = Math.max(longest, hours == null ? 0 : hours);
    }
    return longest;
  }

  /** What the sheet has come to by then; assumed where the label is silent or impossible. */
  private static Known target(
      CureRun run,
      double gel,
      @Nullable Double hours,
      double otherwise,
      Why liquid,
      List<Refusal> refusals) {
    if (hours == null) {
      return new Known(otherwise, Origin.ASSUMED);
    }
    CureRun.CurvePoint then = run.at(hours * 60);
    double conversion = then.cured();
    if (then.conversion() <= gel) {
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
    return sheet(SHEET_MM, temperatureC);
  }

  private static BodyHistory sheet(double depthMm, double temperatureC) {
    BodyShape sheet = new BodyShape.Spread(SHEET_CM2, depthMm);
    double massG = SHEET_CM2 * depthMm / 10 * DENSITY;
    return new BodyHistory(
        temperatureC, List.of(new BodyHistory.Segment(0, massG, sheet, temperatureC)));
  }

  /**
   * What a label means by a depth: a sheet where it is thin or of a coating, else a piece as wide
   * as deep.
   */
  static BodyHistory labelPiece(ResinKind kind, double depthMm, double temperatureC) {
    return depthMm <= THIN_MM || kind == ResinKind.COATING
        ? sheet(depthMm, temperatureC)
        : piece(kind, depthMm, temperatureC);
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
