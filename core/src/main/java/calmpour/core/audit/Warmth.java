package calmpour.core.audit;

import calmpour.core.cure.Calibrated;
import calmpour.core.plan.Facts;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.Finding;
import calmpour.core.plan.doc.Finding.Mend;
import calmpour.core.plan.doc.Place;
import calmpour.core.resin.ResinKind;
import calmpour.core.session.Job;
import java.util.List;

/** Judges what the cure engine says of a plan: how damp it is for it, how hard it ever gets. */
final class Warmth implements Rule {
  /** A room to cure in is at least this warm, and this much warmer than now (no source), °C. */
  private static final double WARM_ENOUGH_C = 24;

  private static final double WARMER_K = 3;

  @Override
  public void judge(Facts facts, Findings told) {
    air(facts.job(), told);
    int unmet =
        facts.job().resins().stream()
            .mapToInt(r -> facts.cure().label(r.resin()).map(Calibrated::unmet).orElse(0))
            .sum();
    if (unmet > 0) {
      told.note(Finding.Rule.LABEL_NOT_MET, Place.Whole.RESIN, unmet, 0, "");
    }
    layers(facts, told);
  }

  private static void air(Job job, Findings told) {
    Double humidity = job.session().room().humidityPercent();
    for (Job.ResinUse use : job.resins()) {
      boolean urethane = use.resin().kind() == ResinKind.POLYURETHANE;
      double damp = use.resin().kind().dampFromPercent();
      if (humidity != null && humidity > damp && urethane) {
        told.near(
            Finding.Rule.DAMP_AIR,
            Place.Whole.RESIN,
            humidity,
            damp,
            "%",
            new Mend(Mend.Kind.DRIER_AIR, damp));
      } else if (humidity != null && humidity > damp) {
        told.note(Finding.Rule.DAMP_AIR, Place.Whole.RESIN, humidity, damp, "%");
      }
    }
  }

  /** Whether any layer never gets hard: one line, however many pieces. */
  private static void layers(Facts facts, Findings told) {
    List<Cup.LayerCure> known =
        facts.plan().batches().stream()
            .flatMap(b -> b.cups().stream())
            .flatMap(c -> c.follows().layers().stream())
            .filter(l -> l.peakC() != null)
            .toList();
    if (known.stream().anyMatch(l -> l.fullCure() == null)) {
      double roomC = facts.job().session().room().temperatureC();
      double warmer = Math.max(WARM_ENOUGH_C, roomC + WARMER_K);
      told.near(
          Finding.Rule.NEVER_FULLY_CURED,
          Place.Whole.PLAN,
          roomC,
          warmer,
          "°C",
          new Mend(Mend.Kind.WARMER_ROOM, warmer));
    }
  }
}
