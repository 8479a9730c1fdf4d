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
import org.jspecify.annotations.Nullable;

/** Judges what the cure engine says of a plan: how warm, how damp, how hard it ever gets. */
final class Warmth {
  /** Damp from that humidity on, %: common practice, no source. */
  static final double DAMP_PERCENT = 50;

  /** Polyurethane foams before that: a starting value, no source. */
  private static final double DAMP_FOR_URETHANE = 40;

  private final Job job;
  private final CureModel cure;
  private final List<Finding> findings = new ArrayList<>();

  Warmth(Job job, CureModel cure) {
    this.job = job;
    this.cure = cure;
  }

  List<Finding> judge(Plan plan) {
    air();
    int refusals = cure.refusals(job.resin()).size();
    if (refusals > 0) {
      add(Severity.NOTE, Rule.LABEL_NOT_MET, "resin", refusals, 0, "");
    }
    Cup hottest = null;
    for (Batch batch : plan.batches()) {
      for (Cup cup : batch.cups()) {
        hottest = hotter(hottest, cup);
      }
    }
    layers(plan);
    if (hottest != null
        && hottest.peak() != null
        && hottest.peak().peakC() >= CureEngine.TOO_WARM_C) {
      add(
          Severity.NOTE,
          Rule.CUP_HOT_IF_FORGOTTEN,
          "cup/" + hottest.id(),
          hottest.peak().peakC(),
          CureEngine.TOO_WARM_C,
          "°C");
    }
    return findings;
  }

  private void air() {
    Double humidity = job.session().room().humidityPercent();
    boolean urethane = job.resin().kind() == ResinKind.POLYURETHANE;
    double damp = urethane ? DAMP_FOR_URETHANE : DAMP_PERCENT;
    if (humidity != null && humidity > damp) {
      add(urethane ? Severity.NEAR : Severity.NOTE, Rule.DAMP_AIR, "resin", humidity, damp, "%");
    }
  }

  private static @Nullable Cup hotter(@Nullable Cup than, Cup cup) {
    if (cup.peak() == null || cup.pours().isEmpty()) {
      return than;
    }
    boolean hotter =
        than == null || than.peak() == null || cup.peak().peakC() > than.peak().peakC();
    return hotter ? cup : than;
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
