package calmpour.core.plan;

import calmpour.core.habit.Tinting;
import calmpour.core.mould.MouldState;
import calmpour.core.resin.LabelCheck;
import calmpour.core.resin.LabelFacts;
import calmpour.core.resin.ResinKind;
import calmpour.core.session.CupKind;
import calmpour.core.session.Job;
import calmpour.core.tint.Colour;
import calmpour.core.tint.Tint;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** Judges the things a plan is made with: moulds as they are, and materials used against habit. */
final class Materials {
  /** A cavity known no better than this is worth measuring (starting value, no source). */
  private static final double UNSURE = 0.08;

  /** Thinner than that, flakes and coarse glitter sink before it thickens; no source. */
  private static final double THIN_PA_S = 0.5;

  private final Job job;
  private final List<Finding> findings = new ArrayList<>();

  Materials(Job job) {
    this.job = job;
  }

  List<Finding> judge(Plan plan) {
    for (int i = 0; i < job.lines().size(); i++) {
      String place = "piece/" + i;
      Job.Line line = job.lines().get(i);
      state(place, line.mould().state());
      rated(place, line);
      if (line.uncertainShare() > UNSURE) {
        add(
            Finding.Severity.NOTE,
            Finding.Rule.VOLUME_UNSURE,
            place,
            line.uncertainShare() * 100,
            UNSURE * 100,
            "%");
      }
    }
    if (!job.lines().isEmpty() && job.resin().kind() == ResinKind.COATING) {
      add(Finding.Severity.NEAR, Finding.Rule.COATING_IN_A_MOULD, "resin", 1, 0, "");
    }
    int doubts = LabelCheck.of(job.resin()).size();
    if (doubts > 0) {
      add(Finding.Severity.NOTE, Finding.Rule.LABEL_CONTRADICTS, "resin", doubts, 0, "");
    }
    cups(plan);
    colours();
    return findings;
  }

  private void state(String place, @Nullable MouldState state) {
    if (state == null) {
      return;
    }
    for (MouldState.Want want : state.wants()) {
      wants(place, state, want);
    }
    if (state.readyFrom() != null && state.readyFrom().isAfter(job.session().startsAt())) {
      double hours =
          Duration.between(job.session().startsAt(), state.readyFrom()).toMinutes() / 60.0;
      add(Finding.Severity.BREACH, Finding.Rule.MOULD_NOT_READY, place, hours, 0, "h");
    }
  }

  private void wants(String place, MouldState state, MouldState.Want want) {
    Integer expected = state.expectedCasts();
    double most = expected == null ? 0 : expected;
    switch (want) {
      case DRYING -> add(Finding.Severity.NEAR, Finding.Rule.MOULD_NOT_DRY, place, 0, 1, "");
      case CLEANING -> add(Finding.Severity.NEAR, Finding.Rule.MOULD_NOT_CLEAN, place, 0, 1, "");
      case REPLACING ->
          add(
              Finding.Severity.NEAR,
              Finding.Rule.MOULD_PAST_ITS_END,
              place,
              state.casts(),
              most,
              "casts");
      case NEARLY_WORN ->
          add(
              Finding.Severity.NOTE,
              Finding.Rule.MOULD_NEAR_ITS_END,
              place,
              state.casts(),
              most,
              "casts");
      case FIRST_CAST ->
          add(Finding.Severity.NOTE, Finding.Rule.MOULD_FIRST_CAST, place, 0, 1, "casts");
      case AFTER_URETHANE -> {
        if (job.resin().kind() != ResinKind.POLYURETHANE) {
          add(Finding.Severity.NEAR, Finding.Rule.URETHANE_BEFORE_EPOXY, place, 1, 0, "");
        }
      }
    }
  }

  /** Depth that is poured in one go, against what the label allows. */
  private void rated(String place, Job.Line line) {
    LabelFacts facts = job.resin().facts();
    if (facts == null) {
      return;
    }
    int stages = line.levels().stream().mapToInt(Job.Level::stage).max().orElse(-1);
    for (int stage = 0; stage <= stages; stage++) {
      int now = stage;
      double depth =
          line.levels().stream()
              .filter(l -> l.stage() == now)
              .mapToDouble(l -> l.toMm() - l.fromMm())
              .sum();
      if (depth > 0 && facts.depthToMm() != null && depth > facts.depthToMm()) {
        add(
            Finding.Severity.BREACH,
            Finding.Rule.DEEPER_THAN_RATED,
            place,
            depth,
            facts.depthToMm(),
            "mm");
      }
      if (depth > 0 && facts.depthFromMm() != null && depth < facts.depthFromMm()) {
        add(
            Finding.Severity.NOTE,
            Finding.Rule.THINNER_THAN_RATED,
            place,
            depth,
            facts.depthFromMm(),
            "mm");
      }
    }
  }

  private void cups(Plan plan) {
    for (Batch batch : plan.batches()) {
      waxed("batch/" + batch.number(), batch.mixingCup());
      if (batch.split()) {
        batch.cups().forEach(c -> waxed("cup/" + c.id(), c.kind()));
      }
    }
  }

  private void waxed(String place, CupKind cup) {
    if (cup.material() == CupKind.Material.WAXED_PAPER) {
      add(Finding.Severity.NEAR, Finding.Rule.WAXED_CUP, place, 1, 0, "");
    }
  }

  private void colours() {
    Set<String> told = new HashSet<>();
    for (Job.Line line : job.lines()) {
      for (Job.Level level : line.levels()) {
        Colour colour = level.colour();
        if (told.add(colour.id())) {
          colour("colour/" + colour.id(), job.tints().get(colour.id()));
        }
      }
    }
  }

  private void colour(String place, Tint tint) {
    double water = tint.waterPercent();
    if (water > 0) {
      boolean never = job.session().habits().tinting().waterPaint() == Tinting.WaterPaint.FORBID;
      if (never) {
        add(Finding.Severity.BREACH, Finding.Rule.WATER_FORBIDDEN, place, water, 0, "%");
      } else {
        add(Finding.Severity.NEAR, Finding.Rule.WATER_IN_COLOUR, place, water, 0, "%");
      }
    }
    double solvent = tint.solventPercent();
    if (solvent > 0) {
      add(Finding.Severity.NEAR, Finding.Rule.SOLVENT_IN_COLOUR, place, solvent, 0, "%");
    }
    if (thin()) {
      tint.shares().stream()
          .filter(s -> s.gPerGResin() > 0 && s.colourant().coarse())
          .findFirst()
          .ifPresent(s -> add(Finding.Severity.NEAR, Finding.Rule.SINKS_IN_THIN, place, 1, 0, ""));
    }
  }

  /** Thin by its label, or by its kind where that says nothing. */
  private boolean thin() {
    LabelFacts facts = job.resin().facts();
    Double viscosity = facts == null ? null : facts.viscosityPaS();
    return viscosity == null ? job.resin().kind() == ResinKind.DEEP : viscosity < THIN_PA_S;
  }

  private void add(
      Finding.Severity severity,
      Finding.Rule rule,
      String place,
      double value,
      double limit,
      String unit) {
    findings.add(new Finding(severity, rule, place, value, limit, unit, List.of()));
  }
}
