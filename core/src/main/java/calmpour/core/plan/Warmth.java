package calmpour.core.plan;

import calmpour.core.cure.CureEngine;
import calmpour.core.cure.CureModel;
import calmpour.core.plan.Finding.Rule;
import calmpour.core.plan.Finding.Severity;
import calmpour.core.resin.ResinKind;
import calmpour.core.session.Job;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** Judges what the cure engine says of a plan: how warm, how damp, how hard it ever gets. */
final class Warmth {
  private final Job job;
  private final CureModel cure;
  private final List<Finding> findings = new ArrayList<>();

  Warmth(Job job, CureModel cure) {
    this.job = job;
    this.cure = cure;
  }

  List<Finding> judge(Plan plan) {
    air();
    int refusals = cure.label(job.resin()).map(l -> l.refusals().size()).orElse(0);
    if (refusals > 0) {
      add(Severity.NOTE, Rule.LABEL_NOT_MET, "resin", refusals, 0, "");
    }
    layers(plan);
    plan.batches().stream()
        .flatMap(b -> b.cups().stream())
        .filter(c -> c.peak() != null && !c.pours().isEmpty())
        .max(Comparator.comparingDouble(c -> c.peak().peakC()))
        .filter(c -> c.peak().peakC() >= CureEngine.TOO_WARM_C)
        .ifPresent(c ->
            add(
                Severity.NOTE,
                Rule.CUP_HOT_IF_FORGOTTEN,
                "cup/" + c.id(),
                c.peak().peakC(),
                CureEngine.TOO_WARM_C,
                "°C"));
    return findings;
  }

  private void air() {
    Double humidity = job.session().room().humidityPercent();
    boolean urethane = job.resin().kind() == ResinKind.POLYURETHANE;
    double damp = job.resin().kind().dampFromPercent();
    if (humidity != null && humidity > damp) {
      add(urethane ? Severity.NEAR : Severity.NOTE, Rule.DAMP_AIR, "resin", humidity, damp, "%");
    }
  }

  /** The hottest layer, and whether any never gets hard: a line each, however many pieces. */
  private void layers(Plan plan) {
    List<Cup.LayerCure> known =
        plan.batches().stream()
            .flatMap(b -> b.cups().stream())
            .flatMap(c -> c.layers().stream())
            .filter(l -> l.peakC() != null)
            .toList();
    known.stream()
        .max(Comparator.comparingDouble(l -> l.peakC()))
        .filter(l -> l.peakC() >= CureEngine.TOO_WARM_C)
        .ifPresent(l ->
            add(
                Severity.NEAR,
                Rule.PIECE_GETS_HOT,
                "pour/" + l.pourId(),
                l.peakC(),
                CureEngine.TOO_WARM_C,
                "°C"));
    if (known.stream().anyMatch(l -> l.fullCure() == null)) {
      double roomC = job.session().room().temperatureC();
      add(Severity.NEAR, Rule.NEVER_FULLY_CURED, "plan", roomC, roomC, "°C");
    }
  }

  private void add(
      Severity severity, Rule rule, String place, double value, double limit, String unit) {
    findings.add(new Finding(severity, rule, place, value, limit, unit, List.of()));
  }
}
