package calmpour.core.audit;

import calmpour.core.cure.BodyHistory;
import calmpour.core.cure.Calibrated;
import calmpour.core.embed.Bubbles;
import calmpour.core.plan.Facts;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.Finding;
import calmpour.core.plan.doc.Finding.Mend;
import calmpour.core.plan.doc.Place;
import calmpour.core.resin.ResinKind;
import calmpour.core.session.Job;
import calmpour.core.session.JobInResin;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** Judges what the cure engine says of a plan: how damp it is for it, how hard it ever gets. */
final class Warmth implements Rule {
  /** A room to cure in is at least this warm, and this much warmer than now (no source), °C. */
  private static final double WARM_ENOUGH_C = 24;

  private static final double WARMER_K = 3;

  /** Below that A and B are cold: common practice, no source. */
  private static final double COLD_C = 18;

  /** The cool end of what workshops are kept at: common practice, no source. */
  private static final double WARMED_ROOM_C = 21;

  /** More than that of a fast resin is bulk (starting value, no source), g. */
  private static final double BULK_G = 150;

  @Override
  public void judge(Facts facts, Findings told) {
    air(facts.job(), told);
    cold(facts, told);
    release(facts, told);
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
      double damp = job.in(use.resin().id()).dampFromPercent();
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

  /**
   * Resin that meets cold is thick, turns milky and keeps its micro-bubbles; a fast one in bulk
   * thickens around them. Told once, with the longest rest that any of its batches would take.
   */
  private static void cold(Facts facts, Findings told) {
    for (Job.ResinUse use : facts.job().resins()) {
      JobInResin job = facts.job().in(use.resin().id());
      double startC = job.meetC();
      boolean cold = startC < COLD_C;
      if (cold) {
        told.near(
            Finding.Rule.RESIN_COLD,
            Place.Whole.RESIN,
            startC,
            COLD_C,
            "°C",
            new Mend(Mend.Kind.WARM_BOTTLES, 0),
            new Mend(Mend.Kind.WARMER_ROOM, WARMED_ROOM_C));
      }
      Batch worst = null;
      for (Batch batch : facts.plan().batches()) {
        boolean its = batch.resinId().equals(use.resin().id()) && facts.mixes(batch);
        boolean bulk = use.resin().kind() == ResinKind.FAST && batch.measuring().totalG() > BULK_G;
        boolean deeper = worst == null || worst.measuring().totalG() < batch.measuring().totalG();
        worst = its && (cold || bulk) && deeper ? batch : worst;
      }
      if (worst != null) {
        rest(facts, job, worst, told);
      }
    }
  }

  /** What warming the mix for its bubbles costs of the time in its cup, and what it brings. */
  private static void release(Facts facts, Findings told) {
    double warmer = facts.job().session().habits().mixing().releaseOrNone().warmerK();
    for (Job.ResinUse use : warmer > 0 ? facts.job().resins() : List.<Job.ResinUse>of()) {
      Optional<Batch> largest =
          facts.plan().batches().stream()
              .filter(b -> b.resinId().equals(use.resin().id()) && facts.mixes(b))
              .max(Comparator.comparingDouble(b -> b.measuring().totalG()));
      if (largest.isEmpty()) {
        continue;
      }
      Batch batch = largest.get();
      JobInResin job = facts.job().in(use.resin().id());
      BodyHistory with = facts.mixed(batch);
      BodyHistory without = new BodyHistory(with.startC() - warmer, with.segments());
      told.note(
          Finding.Rule.RELEASE_COSTS_TIME,
          Place.of(batch),
          facts.cure().thickens(job.resin(), with).workingMinutes(),
          facts.cure().thickens(job.resin(), without).workingMinutes(),
          "min");
      Optional<Bubbles> clears = bubbles(facts, job, batch, with);
      Optional<Bubbles> otherwise = bubbles(facts, job, batch, without);
      if (clears.isPresent() && otherwise.isPresent()) {
        told.note(
            Finding.Rule.RELEASE_CLEARS,
            Place.of(batch),
            clears.get().clearsMm(),
            otherwise.get().clearsMm(),
            "mm");
      }
    }
  }

  private static void rest(Facts facts, JobInResin job, Batch batch, Findings told) {
    double rested = job.session().habits().restMinutes();
    bubbles(facts, job, batch, facts.mixed(batch))
        .filter(b -> b.worthMinutes() == null || b.worthMinutes() > rested)
        .ifPresent(b ->
            told.near(
                Finding.Rule.REST_TOO_SHORT,
                Place.Whole.RESIN,
                b.clearsMm(),
                Bubbles.SEEN_MM,
                "mm",
                new Mend(Mend.Kind.WARM_BOTTLES, 0)));
  }

  /** What leaves a mixing cup during its rest; empty where a rule of thumb stands in. */
  private static Optional<Bubbles> bubbles(
      Facts facts, JobInResin job, Batch batch, BodyHistory mixed) {
    double rested = job.session().habits().restMinutes();
    int contact = facts.contact(batch);
    double from = Math.max(0, (batch.times().mixedSeconds() - contact) / 60.0);
    double depth =
        batch
            .mixing()
            .cup()
            .holding(batch.measuring().totalG() / job.resin().mixedDensity())
            .depthMm();
    return facts
        .cure()
        .curve(job.resin(), mixed)
        .map(run -> Bubbles.of(run, from, rested, depth, job.resin().mixedDensity()));
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
