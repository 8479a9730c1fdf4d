package calmpour.core.cure;

import static calmpour.core.check.Known.known;

import calmpour.core.resin.DemouldRow;
import calmpour.core.resin.LabelHours;
import calmpour.core.resin.ResinKind;
import calmpour.core.resin.ResinSystem;
import calmpour.core.work.Helpers;
import calmpour.core.work.Memory;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * The cure engine behind the interface of the plan. A label that no resin of the model can have is
 * left to the rule of thumb.
 *
 * <p>How early or late a state may come: see {@link ClockSpread}. What a tint is assumed to slow
 * never makes the earliest later.
 */
public final class EngineModel implements CureModel {
  /** Resins kept calibrated; a workshop has a shelf of them, not thousands. */
  private static final int MOST_RESINS = 200;

  /** Bodies kept: a plan made again after one edit asks for nearly all of them once more. */
  private static final int MOST_BODIES = 4_000;

  /** Even a small cup in a cold room gels within so many pot lives of its label. */
  private static final double LIVES = 60;

  /** Of a resin: as many as there are like bodies. */
  private static final int SLOPES = 64;

  /** By which a maker knows a resin: g at °C, and mm deep. */
  private static final double[][] USUAL_CUPS = {{25, 23}, {100, 18}, {100, 28}};

  private static final double[] PIECES_MM = {3, 10, 25};
  private static final double[] DEEP_PIECES_MM = {3, 25, 100};
  private static final double ROOM_C = 23;

  /** A moment that is looked at, min. */
  private static final double LEAST_MINUTES = 1e-3;

  private final HalvingRule otherwise = new HalvingRule();
  private final Helpers helpers;
  private final Memory<ResinSystem, Calibrations> resins;
  private final Memory<ResinBody, CureStates> bodies;
  private final Memory<ResinBody, Thickens> thickening;
  private final Memory<ResinBody, WorkingTimes> cups;
  private final Memory<ResinFactor, Optional<Chemistry>> quicker;
  private final Memory<ResinAt, Double> paces;

  /** For one thread. */
  public EngineModel() {
    this(Helpers.alone(), MOST_BODIES);
  }

  public EngineModel(Helpers helpers) {
    this(helpers, MOST_BODIES);
  }

  /**
   * @param mostBodies how many bodies are remembered; few where each is asked for once and never
   *     again
   */
  public EngineModel(Helpers helpers, int mostBodies) {
    this.helpers = helpers;
    resins = helpers.memory("resins", MOST_RESINS);
    bodies = helpers.memory("bodies", mostBodies);
    thickening = helpers.memory("thickening", mostBodies * 2);
    cups = helpers.memory("working times", Math.max(1, mostBodies / 2));
    quicker = helpers.memory("resins of other pot lives", MOST_RESINS * 5);
    paces = helpers.memory("paces", MOST_RESINS);
  }

  @Override
  public <T, R> List<R> each(List<T> all, Function<? super T, ? extends R> of) {
    return helpers.each(all, of);
  }

  /** A resin in a place of so many °C. */
  private record ResinAt(ResinSystem resin, double temperatureC) {}

  private record ResinBody(ResinSystem resin, BodyHistory body) {}

  /** A resin that pours so many times as long as is thought of it. */
  private record ResinFactor(ResinSystem resin, double factor) {}

  /** The label as it is, and how far that may be off; null when it cannot be met. */
  private record Calibrations(Calibrated usual, @Nullable ClockSpread spread) {
    boolean met() {
      return spread != null;
    }
  }

  /** What the label came to, and what of it could not be met. */
  public Calibrated calibrated(ResinSystem resin) {
    return calibrations(resin).usual();
  }

  @Override
  public CureStates states(ResinSystem resin, BodyHistory body) {
    return bodies.of(new ResinBody(resin, body), asked -> follow(resin, body));
  }

  @Override
  public Thickens thickens(ResinSystem resin, BodyHistory body) {
    return thickening.of(
        new ResinBody(resin, body),
        asked -> {
          Calibrations label = calibrations(resin);
          return label.met()
              ? new CureEngine(known(label.usual.chemistry())).thickens(body, ahead(resin, body))
              : otherwise.thickens(resin, body);
        });
  }

  @Override
  public Optional<Calibrated> label(ResinSystem resin) {
    return Optional.of(calibrated(resin));
  }

  @Override
  public Optional<CureRun> curve(ResinSystem resin, BodyHistory body) {
    Calibrations label = calibrations(resin);
    return label.met()
        ? Optional.of(
            engine(label, known(label.usual.chemistry()), body).run(body, ahead(resin, body)))
        : Optional.empty();
  }

  @Override
  public Optional<Double> warmestWithin(ResinSystem resin, BodyHistory body, double minutes) {
    Calibrations label = calibrations(resin);
    if (!label.met()) {
      return Optional.empty();
    }
    double within = Math.clamp(minutes, LEAST_MINUTES, CureEngine.MOST_MINUTES);
    return Optional.of(
        new CureEngine(known(label.usual.chemistry())).runThrough(body, within).peakC());
  }

  @Override
  public WorkingTimes workingTimes(ResinSystem resin, BodyHistory cup) {
    return cups.of(
        new ResinBody(resin, cup),
        asked ->
            calibrations(resin).met()
                ? WorkingTimes.of(
                    (roomOffC, factor) -> pourable(resin, cup.warmer(roomOffC), factor),
                    known(calibrations(resin).spread()).ofWorkingTime(cup))
                : otherwise.workingTimes(resin, cup));
  }

  /** Minutes; as far as is looked ahead where it never thickens. */
  private double pourable(ResinSystem resin, BodyHistory cup, double factor) {
    double ahead = ahead(resin, cup);
    Chemistry usual = calibrations(resin).usual.chemistry();
    Double ends =
        QuickRun.of(
                known(chemistry(resin, factor).orElse(usual)),
                null,
                cup,
                ahead,
                QuickRun.Until.THICK)
            .workingTimeEnds();
    return ends == null ? ahead : ends;
  }

  private Optional<Chemistry> chemistry(ResinSystem resin, double factor) {
    Chemistry usual = known(calibrations(resin).usual.chemistry());
    return factor == 1
        ? Optional.of(usual)
        : quicker.of(
            new ResinFactor(resin, factor),
            k -> Optional.ofNullable(Calibration.lasting(resin, usual, factor)));
  }

  private CureStates follow(ResinSystem resin, BodyHistory body) {
    ClockSpread spread = calibrations(resin).spread();
    if (spread == null) {
      return otherwise.states(resin, body);
    }
    return LabelFloor.held(resin, body, thought(resin, spread, body), c -> pace(resin, c));
  }

  /** What the engine alone thinks, whatever the label says. */
  private CureStates thought(ResinSystem resin, ClockSpread spread, BodyHistory body) {
    Calibrations label = calibrations(resin);
    double ahead = ahead(resin, body);
    CureRun usual = engine(label, known(label.usual.chemistry()), body).run(body, ahead);
    return spread.states(body, usual, ahead);
  }

  /**
   * A body by which a maker knows a resin.
   *
   * @param massG of a cup as high as wide, whose working time counts; null for a piece
   * @param depthMm of a piece as wide as deep, whose demould counts; null for a cup
   */
  public record UsualBody(
      @Nullable Double massG,
      @Nullable Double depthMm,
      double temperatureC,
      CureStates.Moment moment) {}

  /** What is thought of such bodies, the label not yet asked; empty where a rule stands in. */
  public List<UsualBody> usualBodies(ResinSystem resin) {
    ClockSpread spread = calibrations(resin).spread();
    if (spread == null) {
      return List.of();
    }
    List<UsualBody> bodies = new ArrayList<>();
    for (double[] cup : USUAL_CUPS) {
      CureStates states = thought(resin, spread, Calibration.asLabelled(cup[0], cup[1]));
      bodies.add(new UsualBody(cup[0], null, cup[1], states.workingTimeEnds()));
    }
    for (double depthMm : resin.kind() == ResinKind.DEEP ? DEEP_PIECES_MM : PIECES_MM) {
      BodyHistory piece = Calibration.labelPiece(resin.kind(), depthMm, ROOM_C);
      CureStates.Moment out = thought(resin, spread, piece).demould();
      if (out != null) {
        bodies.add(new UsualBody(null, depthMm, ROOM_C, out));
      }
    }
    return bodies;
  }

  @Override
  public double pace(ResinSystem resin, double temperatureC) {
    Calibrations label = calibrations(resin);
    if (!label.met()) {
      return otherwise.pace(resin, temperatureC);
    }
    double meant = resin.knownPotLifeTemperatureC().value();
    if (temperatureC == meant) {
      return 1;
    }
    return paces.of(
        new ResinAt(resin, temperatureC),
        k -> {
          Chemistry chemistry = label.usual.chemistry();
          double byRate =
              Math.exp(
                  known(chemistry).activationKJ()
                      * 1_000
                      / Chemistry.GAS
                      * (1 / (meant + Chemistry.KELVIN) - 1 / (temperatureC + Chemistry.KELVIN)));
          List<DemouldRow> rows = LabelHours.rows(resin);
          double depth = rows.isEmpty() ? LabelHours.USUAL_DEPTH_MM : rows.get(0).depthMm();
          return LabelFloor.pace(
              demoulds(resin, label, depth, meant),
              demoulds(resin, label, depth, temperatureC),
              byRate);
        });
  }

  private static @Nullable Double demoulds(
      ResinSystem resin, Calibrations label, double depthMm, double atC) {
    BodyHistory piece = Calibration.piece(resin.kind(), depthMm, atC);
    return engine(label, known(label.usual.chemistry()), piece)
        .run(piece, CureEngine.MOST_MINUTES)
        .demould();
  }

  private static CureEngine engine(Calibrations label, Chemistry chemistry, BodyHistory body) {
    return inCup(body)
        ? new CureEngine(chemistry)
        : new CureEngine(chemistry, label.usual.targets());
  }

  private static boolean inCup(BodyHistory body) {
    return body.last().shape() instanceof BodyShape.InCup;
  }

  private static double ahead(ResinSystem resin, BodyHistory body) {
    return inCup(body)
        ? Math.min(CureEngine.MOST_MINUTES, LIVES * resin.plannedPotLifeMinutes())
        : CureEngine.MOST_MINUTES;
  }

  private Calibrations calibrations(ResinSystem resin) {
    return resins.of(resin, this::calibrate);
  }

  private Calibrations calibrate(ResinSystem resin) {
    Calibrated usual = Calibration.of(resin);
    ClockEstimate estimate = usual.estimate();
    return new Calibrations(
        usual,
        estimate == null
            ? null
            : new ClockSpread(
                estimate,
                usual.targets(),
                resin.knownPotLifeTemperatureC().value(),
                helpers.memory("slopes", SLOPES)));
  }
}
