package calmpour.core.practice;

import calmpour.core.check.InvalidValuesException;
import calmpour.core.check.Problem;
import calmpour.core.cure.BodyHistory;
import calmpour.core.cure.CureCurve;
import calmpour.core.cure.CureEngine;
import calmpour.core.cure.CureRun;
import calmpour.core.cure.CureStates;
import calmpour.core.cure.EngineModel;
import calmpour.core.embed.Bubbles;
import calmpour.core.embed.Embed;
import calmpour.core.embed.Placing;
import calmpour.core.practice.Tried.CureCaution;
import calmpour.core.practice.Tried.CureCost;
import calmpour.core.practice.Tried.Measure;
import calmpour.core.resin.ResinSystem;
import calmpour.core.session.Workshop;
import calmpour.core.tint.Colourant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Tries a set-up out on the cure engine: what if it were mixed and left like this? */
public final class WhatIf {
  /** Colder than that it is thick and keeps its bubbles, °C: common practice, no source. */
  private static final double COLD_C = 18;

  /** A thing may move that far and is still where it was put, mm; no source. */
  private static final double STAYS_MM = 1;

  /** How much warmer is tried for the bubbles, K, and no warmer than that, °C. */
  private static final double[] WARMER_K = {4, 8, 12, 16};

  private static final double WARMEST_C = 43;

  private final EngineModel model;
  private final Workshop workshop;

  public WhatIf(EngineModel model, Workshop workshop) {
    this.model = model;
    this.workshop = workshop;
  }

  /**
   * @throws InvalidValuesException when the set-up names what the workshop lacks, or a cup too
   *     small
   */
  public Tried of(SetUp setUp) {
    TriedBodies bodies = new TriedBodies(setUp, workshop);
    ResinSystem resin = bodies.resin();
    BodyHistory cup = bodies.cup();
    Optional<CureRun> run = model.curve(resin, cup);
    CureStates states = model.states(resin, cup);
    Tried.BodyTried inCup = tried(cup, bodies.cupLevelMm(), states, run);
    Tried.BodyTried piece = null;
    Optional<CureRun> lying = Optional.empty();
    if (setUp.lies() != SetUp.Lies.CUP) {
      BodyHistory body = bodies.piece();
      lying = model.curve(resin, body);
      piece = tried(body, bodies.pieceDepthMm(), model.states(resin, body), lying);
    }
    Bubbles bubbles = run.isEmpty() ? null : bubbles(bodies, setUp);
    return new Tried(
        inCup,
        setUp.splitInto(),
        setUp.readyAfterMinutes(),
        piece,
        costs(setUp),
        bubbles,
        bubbles == null || bubbles.worthMinutes() != null ? null : warmInstead(setUp),
        lying.map(r -> embed(setUp, bodies, r)).orElse(null),
        lying.map(r -> grains(bodies, r)).orElse(List.of()),
        cautions(setUp, bodies, inCup, piece),
        model.calibrated(resin).refusals());
  }

  private static Tried.BodyTried tried(
      BodyHistory body, double levelMm, CureStates states, Optional<CureRun> run) {
    return new Tried.BodyTried(
        body.last().massG(), levelMm, states, run.map(CureCurve::of).orElse(null));
  }

  private Bubbles bubbles(TriedBodies bodies, SetUp setUp) {
    CureRun mixing = model.curve(bodies.resin(), bodies.mixing()).orElseThrow();
    return Bubbles.of(
        mixing,
        setUp.mixMinutes(),
        setUp.restMinutes(),
        bodies.mixingLevelMm(),
        bodies.resin().mixedDensity());
  }

  private Tried.@Nullable WarmInstead warmInstead(SetUp setUp) {
    for (double warmer : WARMER_K) {
      double toC = setUp.knownStartC() + warmer;
      if (toC > WARMEST_C) {
        return null;
      }
      SetUp warm = setUp.warmedTo(toC);
      TriedBodies bodies = new TriedBodies(warm, workshop);
      Double rest = bubbles(bodies, warm).worthMinutes();
      if (rest != null) {
        return new Tried.WarmInstead(toC, rest, working(warm));
      }
    }
    return null;
  }

  private List<CureCost> costs(SetUp setUp) {
    List<CureCost> costs = new ArrayList<>();
    if (setUp.startC() != null && setUp.startC() != setUp.roomC()) {
      costs.add(minutes(Measure.WARMING, setUp.unwarmed(), setUp));
    }
    if (setUp.lampMinutes() > 0) {
      costs.add(minutes(Measure.LAMP, setUp.withoutLamp(), setUp));
    }
    if (setUp.splitInto() > 1) {
      costs.add(minutes(Measure.SPLITTING, setUp.unsplit(), setUp));
    }
    if (setUp.colourId() != null) {
      costs.add(minutes(Measure.COLOUR, setUp.clear(), setUp));
    }
    if (setUp.laterC() != null && setUp.lies() != SetUp.Lies.CUP) {
      Double before = demouldHours(setUp.inTheSameRoom());
      Double after = demouldHours(setUp);
      if (before != null && after != null) {
        costs.add(new CureCost(Measure.LATER_ROOM, before, after, "h"));
      }
    }
    return costs;
  }

  private CureCost minutes(Measure measure, SetUp without, SetUp with) {
    return new CureCost(measure, working(without), working(with), "min");
  }

  private double working(SetUp setUp) {
    TriedBodies bodies = new TriedBodies(setUp, workshop);
    return model.states(bodies.resin(), bodies.cup()).workingTimeEnds().minutes();
  }

  private @Nullable Double demouldHours(SetUp setUp) {
    TriedBodies bodies = new TriedBodies(setUp, workshop);
    CureStates.Moment out = model.states(bodies.resin(), bodies.piece()).demould();
    return out == null ? null : (Double) (out.minutes() / 60);
  }

  private @Nullable Placing embed(SetUp setUp, TriedBodies bodies, CureRun run) {
    if (setUp.embedId() == null) {
      return null;
    }
    Embed embed =
        workshop.embeds().stream()
            .filter(e -> e.id().equals(setUp.embedId()))
            .findFirst()
            .orElseThrow(() -> unknown("embedId", setUp.embedId()));
    return Placing.large(
        run,
        bodies.readyMinutes(),
        embed.displacesMl(),
        embed.knownDensity(),
        bodies.mixDensity(),
        bodies.pieceDepthMm(),
        bodies.pieceAcrossMm(),
        STAYS_MM);
  }

  private static List<Tried.GrainTried> grains(TriedBodies bodies, CureRun run) {
    List<Tried.GrainTried> grains = new ArrayList<>();
    for (Colourant colourant : bodies.colourants()) {
      Double size = colourant.shelf() == null ? null : colourant.shelf().grainMm();
      if (size == null) {
        continue;
      }
      double density = colourant.knownTrueDensity().value();
      double mix = bodies.mixDensity();
      double depth = bodies.pieceDepthMm();
      boolean small = Placing.isSmall(run, size, density, mix, depth);
      grains.add(
          new Tried.GrainTried(
              colourant.id(),
              colourant.name(),
              small
                  ? Placing.small(run, bodies.readyMinutes(), size, density, mix, depth, STAYS_MM)
                  : null));
    }
    return grains;
  }

  static InvalidValuesException unknown(String field, @Nullable String id) {
    return new InvalidValuesException(List.of(Problem.of(field, Problem.Code.UNKNOWN_ID, id)));
  }

  private static List<CureCaution> cautions(
      SetUp setUp, TriedBodies bodies, Tried.BodyTried cup, Tried.@Nullable BodyTried piece) {
    List<CureCaution> cautions = new ArrayList<>();
    CureStates.Heat heat = cup.states().heat();
    if (heat == null) {
      add(cautions, CureCaution.Kind.BY_RULE_OF_THUMB, 0, 0, "");
    } else {
      if (heat.peakC() >= CureEngine.TOO_WARM_C) {
        add(
            cautions,
            CureCaution.Kind.CUP_HOT_IF_FORGOTTEN,
            heat.peakC(),
            CureEngine.TOO_WARM_C,
            "°C");
      } else if (heat.mostUsed() >= 1) {
        add(
            cautions,
            CureCaution.Kind.CUP_RUNS_AWAY,
            heat.mostPeakC(),
            CureEngine.TOO_WARM_C,
            "°C");
      }
    }
    double ready = bodies.readyMinutes();
    double ends = cup.states().workingTimeEnds().minutes();
    if (ready >= ends) {
      add(cautions, CureCaution.Kind.TOO_LATE_TO_POUR, ready, ends, "min");
    }
    if (piece != null) {
      CureStates.Heat inPiece = piece.states().heat();
      if (inPiece != null && inPiece.peakC() >= CureEngine.TOO_WARM_C) {
        add(
            cautions,
            CureCaution.Kind.PIECE_GETS_HOT,
            inPiece.peakC(),
            CureEngine.TOO_WARM_C,
            "°C");
      }
      if (piece.states().fullCure() == null) {
        double days = CureEngine.MOST_MINUTES / 1_440;
        add(cautions, CureCaution.Kind.NEVER_FULLY_CURED, setUp.roomC(), days, "°C");
      }
    }
    Double humidity = setUp.humidityPercent();
    double damp = bodies.resin().kind().dampFromPercent();
    if (humidity != null && humidity > damp) {
      add(cautions, CureCaution.Kind.DAMP_AIR, humidity, damp, "%");
    }
    if (setUp.knownStartC() < COLD_C) {
      add(cautions, CureCaution.Kind.COLD_ROOM, setUp.knownStartC(), COLD_C, "°C");
    }
    Double largest = bodies.resin().largestBatchG();
    if (largest != null && setUp.massG() > largest) {
      add(cautions, CureCaution.Kind.BEYOND_LARGEST_BATCH, setUp.massG(), largest, "g");
    }
    return cautions;
  }

  private static void add(
      List<CureCaution> cautions, CureCaution.Kind kind, double value, double limit, String unit) {
    cautions.add(new CureCaution(kind, value, limit, unit));
  }
}
