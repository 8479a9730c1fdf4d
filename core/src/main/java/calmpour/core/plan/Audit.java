package calmpour.core.plan;

import calmpour.core.cure.CureModel;
import calmpour.core.habit.Habits;
import calmpour.core.session.Job;
import java.util.ArrayList;
import java.util.List;

/** Judges a plan: every rule that it breaks or nearly breaks, with the figures. */
final class Audit {
  /** A limit is called near from this share of it on. */
  private static final double NEAR = 0.9;

  private static final double ROUNDED_UP = 0.03;

  private final Job job;
  private final CureModel cure;
  private final Habits habits;
  private final List<Finding> findings = new ArrayList<>();

  Audit(Job job, CureModel cure) {
    this.job = job;
    this.cure = cure;
    this.habits = job.session().habits();
  }

  /** The same plan with its findings. */
  Plan judge(Plan plan, Mends mends) {
    List<Finding.Mend> ways = plan.spareSeconds() < 0 ? mends.forLatePours() : List.of();
    for (Batch batch : plan.batches()) {
      weighing(batch);
      for (Cup cup : batch.cups()) {
        workingTime(cup, ways);
        loading(cup);
        capacity(cup);
      }
    }
    findings.addAll(new Materials(job).judge(plan));
    findings.addAll(new Warmth(job, cure).judge(plan));
    if (plan.batches().size() > 1) {
      note(Finding.Rule.SEVERAL_BATCHES, "plan", plan.batches().size(), 1, "batches");
    }
    return new Plan(
        plan.pieces(),
        plan.batches(),
        plan.tasks(),
        findings,
        plan.assumptions(),
        plan.totals(),
        plan.endSeconds(),
        plan.spareSeconds());
  }

  private void workingTime(Cup cup, List<Finding.Mend> ways) {
    int margin = Assembly.marginSeconds(habits);
    boolean near = false;
    boolean late = false;
    for (Cup.Pour pour : cup.pours()) {
      int latest = cup.latestPourEndSeconds();
      if (pour.endSeconds() > latest) {
        late = true;
        findings.add(
            new Finding(
                Finding.Severity.BREACH,
                Finding.Rule.POUR_AFTER_WORKING_TIME,
                "pour/" + pour.id(),
                pour.endSeconds() / 60.0,
                latest / 60.0,
                "min",
                ways));
      } else if (pour.endSeconds() > cup.thickensEarliestSeconds() - margin) {
        near = true;
      }
      if (pour.part() == 1 && pour.parts() > 1) {
        note(Finding.Rule.POUR_IN_PARTS, "pour/" + pour.id(), pour.parts(), 1, "parts");
      }
    }
    if (near && !late) {
      int last = cup.pours().get(cup.pours().size() - 1).endSeconds();
      add(
          Finding.Severity.NEAR,
          Finding.Rule.POUR_AFTER_WORKING_TIME,
          "cup/" + cup.id(),
          last / 60.0,
          (cup.thickensEarliestSeconds() - margin) / 60.0,
          "min");
    }
  }

  private void loading(Cup cup) {
    String place = "cup/" + cup.id();
    if (cup.tintHeldAt() < 1) {
      double held = cup.tintHeldAt() * 100;
      add(Finding.Severity.NEAR, Finding.Rule.TINT_HELD_BACK, place, held, 100, "%");
    } else if (!cup.loading().isEmpty()) {
      Cup.Loading nearest = cup.loading().get(0);
      if (nearest.percent() > NEAR * nearest.limitPercent()) {
        add(
            Finding.Severity.NEAR,
            Finding.Rule.LOADING_NEAR_LIMIT,
            place,
            nearest.percent(),
            nearest.limitPercent(),
            "%");
      }
    }
  }

  private void capacity(Cup cup) {
    double capacity = cup.kind().capacityMl();
    double heat = Limits.mostMlForHeat(job);
    // What rounding A and B up adds to a cup is no reason to speak of heat.
    if (cup.contentMl() > heat * (1 + ROUNDED_UP)) {
      add(
          Finding.Severity.NEAR,
          Finding.Rule.CUP_HEATS,
          "cup/" + cup.id(),
          cup.contentMl(),
          heat,
          "mL");
    }
    for (Cup.Dose dose : cup.doses()) {
      if (dose.stock() != null) {
        double division = habits.scaleDivisionG();
        note(Finding.Rule.STOCK_CUP, "cup/" + cup.id(), dose.massG(), division, "g");
      }
    }
    if (cup.contentMl() > capacity) {
      add(
          Finding.Severity.BREACH,
          Finding.Rule.CUP_TOO_SMALL,
          "cup/" + cup.id(),
          cup.contentMl(),
          capacity,
          "mL");
    }
  }

  private void weighing(Batch batch) {
    double error = batch.ratioErrorPercent();
    if (Math.abs(error) > habits.ratioTolerancePercent()) {
      add(
          Finding.Severity.BREACH,
          Finding.Rule.RATIO_OFF,
          "batch/" + batch.number(),
          error,
          habits.ratioTolerancePercent(),
          "%");
    }
    Double largest = job.resin().largestBatchG();
    if (largest != null && batch.totalG() > largest) {
      add(
          Finding.Severity.BREACH,
          Finding.Rule.BATCH_TOO_LARGE,
          "batch/" + batch.number(),
          batch.totalG(),
          largest,
          "g");
    }
    double volume = batch.partA().volumeMl() + batch.partB().volumeMl();
    if (volume > batch.mixingCup().capacityMl()) {
      add(
          Finding.Severity.BREACH,
          Finding.Rule.CUP_TOO_SMALL,
          "batch/" + batch.number(),
          volume,
          batch.mixingCup().capacityMl(),
          "mL");
    }
  }

  private void note(Finding.Rule rule, String place, double value, double limit, String unit) {
    add(Finding.Severity.NOTE, rule, place, value, limit, unit);
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
