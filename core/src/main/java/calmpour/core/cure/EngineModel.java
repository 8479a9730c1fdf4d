package calmpour.core.cure;

import calmpour.core.resin.DemouldRow;
import calmpour.core.resin.LabelHours;
import calmpour.core.resin.ResinSystem;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * The cure engine behind the interface of the plan. A label that no resin of the model can have is
 * left to the rule of thumb.
 *
 * <p>How early or late a state may come: the label's pot life 15 % off and the room 1.5 °C, both at
 * once (starting values, no source). What a tint is assumed to slow never makes the earliest later.
 */
public final class EngineModel implements CureModel {
  /** Resins kept calibrated; a workshop has a shelf of them, not thousands. */
  private static final int MOST_RESINS = 200;

  /** Bodies kept: a plan made again after one edit asks for nearly all of them once more. */
  private static final int MOST_BODIES = 4_000;

  /** Even a small cup in a cold room gels within so many pot lives of its label. */
  private static final double LIVES = 60;

  /** A moment that is looked at, min. */
  private static final double LEAST_MINUTES = 1e-3;

  private final HalvingRule otherwise = new HalvingRule();
  private final Map<ResinSystem, Calibrations> resins = new ConcurrentHashMap<>();
  private final Remembered<ResinBody, CureStates> bodies;
  private final Remembered<ResinBody, Thickens> thickening;
  private final Remembered<ResinBody, WorkingTimes> cups;
  private final Map<ResinFactor, Optional<Chemistry>> quicker = new ConcurrentHashMap<>();

  public EngineModel() {
    this(MOST_BODIES);
  }

  /**
   * @param mostBodies how many bodies are remembered; few where each is asked for once and never
   *     again
   */
  public EngineModel(int mostBodies) {
    bodies = new Remembered<>(mostBodies);
    thickening = new Remembered<>(mostBodies * 2);
    cups = new Remembered<>(Math.max(1, mostBodies / 2));
  }

  private final Remembered<ResinAt, Double> paces = new Remembered<>(MOST_RESINS);

  /** A resin in a place of so many °C. */
  private record ResinAt(ResinSystem resin, double temperatureC) {}

  private record ResinBody(ResinSystem resin, BodyHistory body) {}

  /** A resin whose pot life is so many times its label's. */
  private record ResinFactor(ResinSystem resin, double factor) {}

  /** The label as it is, quicker and slower; quick and slow null when it cannot be met. */
  private record Calibrations(
      Calibrated usual, @Nullable Chemistry quick, @Nullable Chemistry slow) {
    boolean met() {
      return usual.chemistry() != null && quick != null && slow != null;
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
              ? new CureEngine(label.usual.chemistry()).thickens(body, ahead(resin, body))
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
        ? Optional.of(engine(label, label.usual.chemistry(), body).run(body, ahead(resin, body)))
        : Optional.empty();
  }

  @Override
  public Optional<Double> warmestWithin(ResinSystem resin, BodyHistory body, double minutes) {
    Calibrations label = calibrations(resin);
    if (!label.met()) {
      return Optional.empty();
    }
    double within = Math.clamp(minutes, LEAST_MINUTES, CureEngine.MOST_MINUTES);
    return Optional.of(new CureEngine(label.usual.chemistry()).runThrough(body, within).peakC());
  }

  @Override
  public WorkingTimes workingTimes(ResinSystem resin, BodyHistory cup) {
    return cups.of(
        new ResinBody(resin, cup),
        asked ->
            calibrations(resin).met()
                ? WorkingTimes.of(
                    (roomOffC, factor) -> pourable(resin, cup.warmer(roomOffC), factor))
                : otherwise.workingTimes(resin, cup));
  }

  /** Minutes; as far as is looked ahead where it never thickens. */
  private double pourable(ResinSystem resin, BodyHistory cup, double factor) {
    double ahead = ahead(resin, cup);
    Chemistry usual = calibrations(resin).usual.chemistry();
    return new CureEngine(chemistry(resin, factor).orElse(usual)).workingTime(cup, ahead);
  }

  private Optional<Chemistry> chemistry(ResinSystem resin, double factor) {
    if (quicker.size() > MOST_RESINS * 5) {
      quicker.clear();
    }
    double potLife = resin.knownPotLifeMinutes().value() * factor;
    return quicker.computeIfAbsent(
        new ResinFactor(resin, factor),
        k -> Optional.ofNullable(Calibration.chemistry(resin, potLife, new ArrayList<>())));
  }

  private CureStates follow(ResinSystem resin, BodyHistory body) {
    Calibrations label = calibrations(resin);
    if (!label.met()) {
      return otherwise.states(resin, body);
    }
    double ahead = ahead(resin, body);
    CureRun usual = engine(label, label.usual.chemistry(), body).run(body, ahead);
    CureRun quick =
        engine(label, label.quick, body)
            .run(body.untinted().warmer(HalvingRule.ROOM_SPREAD_C), ahead);
    CureRun slow =
        engine(label, label.slow, body).run(body.warmer(-HalvingRule.ROOM_SPREAD_C), ahead);
    CureStates thought =
        new CureStates(
            orAhead(usual, quick, slow, ahead, CureRun::workingTimeEnds),
            orAhead(usual, quick, slow, ahead, CureRun::tooThick),
            orAhead(usual, quick, slow, ahead, CureRun::gels),
            null,
            orNever(usual, quick, slow, CureRun::bondEnds),
            orNever(usual, quick, slow, CureRun::demould),
            orNever(usual, quick, slow, CureRun::fullCure),
            new CureStates.Heat(
                usual.peakC(),
                // In a box that comes later, the slow one may be the one that gets hot.
                Math.min(usual.peakC(), Math.min(slow.peakC(), quick.peakC())),
                Math.max(usual.peakC(), Math.max(slow.peakC(), quick.peakC())),
                usual.peakAt(),
                usual.heatUsed(),
                Math.max(usual.heatUsed(), Math.max(slow.heatUsed(), quick.heatUsed()))));
    return LabelFloor.held(resin, body, thought, c -> pace(resin, c));
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
                  chemistry.activationKJ()
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
    return engine(label, label.usual.chemistry(), piece)
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
        ? Math.min(CureEngine.MOST_MINUTES, LIVES * resin.knownPotLifeMinutes().value())
        : CureEngine.MOST_MINUTES;
  }

  private static CureStates.Moment orAhead(
      CureRun usual,
      CureRun quick,
      CureRun slow,
      double ahead,
      Function<CureRun, @Nullable Double> of) {
    return new CureStates.Moment(
        or(of.apply(usual), ahead), or(of.apply(quick), ahead), or(of.apply(slow), ahead));
  }

  private static double or(@Nullable Double minutes, double ahead) {
    return minutes == null ? ahead : minutes;
  }

  private static CureStates.@Nullable Moment orNever(
      CureRun usual, CureRun quick, CureRun slow, Function<CureRun, @Nullable Double> of) {
    Double minutes = of.apply(usual);
    if (minutes == null) {
      return null;
    }
    Double earliest = of.apply(quick);
    // A deep piece that is quick gets hotter and may come out later for it.
    Double latest = of.apply(slow);
    double first = earliest == null ? minutes : Math.min(minutes, earliest);
    return new CureStates.Moment(
        minutes,
        latest == null ? first : Math.min(first, latest),
        latest == null ? null : (Double) Math.max(latest, Math.max(minutes, or(earliest, 0))));
  }

  private Calibrations calibrations(ResinSystem resin) {
    if (resins.size() > MOST_RESINS) {
      resins.clear();
    }
    return resins.computeIfAbsent(resin, EngineModel::calibrate);
  }

  private static Calibrations calibrate(ResinSystem resin) {
    double potLife = resin.knownPotLifeMinutes().value();
    return new Calibrations(
        Calibration.of(resin),
        Calibration.chemistry(resin, potLife * (1 - HalvingRule.LABEL_SPREAD), new ArrayList<>()),
        Calibration.chemistry(resin, potLife * (1 + HalvingRule.LABEL_SPREAD), new ArrayList<>()));
  }
}
