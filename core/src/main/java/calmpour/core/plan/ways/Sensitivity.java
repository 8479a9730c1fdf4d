package calmpour.core.plan.ways;

import calmpour.core.check.InvalidValuesException;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.CupId;
import calmpour.core.plan.doc.Plan;
import calmpour.core.plan.search.Watch;
import calmpour.core.resin.ResinSystem;
import calmpour.core.session.Job;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import calmpour.core.tint.Colourant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * How much an assumed value matters: the session is planned again with the value as low and as high
 * as it could plausibly be, and what changes is told. How far that is are starting values, no
 * source: densities of resin 5 %, pot life 30 %, its mass by half, its temperature 3 °C, densities
 * of colourants 40 %, a drop or scoop a third.
 */
public final class Sensitivity {
  private final Session session;
  private final Workshop workshop;
  private final Plans plans;

  public Sensitivity(Session session, Workshop workshop, Plans plans) {
    this.session = session;
    this.workshop = session.carried() == null ? workshop : workshop.overlaidWith(session.carried());
    this.plans = plans;
  }

  /**
   * What one assumption is worth.
   *
   * @param low smallest plausible value, in the assumption's unit
   * @param high largest plausible value
   * @param resinG most that A + B in all changes by, g
   * @param spareMinutes most that the time to spare changes by
   * @param dosePercent most that the number of drops or scoops of a colourant changes by, %
   */
  public record Weight(
      Job.Assumption assumption,
      double low,
      double high,
      double resinG,
      double spareMinutes,
      double dosePercent) {}

  /**
   * @return one for each assumption that can be varied, in the order of the plan
   * @throws InvalidValuesException when the session cannot be planned
   */
  public List<Weight> weigh() {
    Session alone = session.carrying(Workshop.EMPTY);
    Plan plan = plans.plan(alone, workshop, Watch.NOBODY);
    List<Weight> weights = new ArrayList<>();
    for (Job.Assumption assumption : plan.assumptions()) {
      double[] ends = plausible(assumption);
      if (ends == null) {
        continue;
      }
      double resin = 0;
      double spare = 0;
      double dose = 0;
      for (double value : ends) {
        Plan other = planned(alone, assumption, value);
        if (other == null) {
          continue;
        }
        resin = Math.max(resin, Math.abs(other.totals().resinG() - plan.totals().resinG()));
        spare = Math.max(spare, Math.abs(other.spareSeconds() - plan.spareSeconds()) / 60.0);
        dose = Math.max(dose, doses(plan, other, assumption.subjectId()));
      }
      weights.add(new Weight(assumption, ends[0], ends[1], resin, spare, dose));
    }
    return weights;
  }

  private @Nullable Plan planned(Session alone, Job.Assumption assumption, double value) {
    try {
      return plans.plan(alone, with(assumption, value), Watch.NOBODY);
    } catch (InvalidValuesException notPossible) {
      // At that end the session would not even be planned; the other end still tells something.
      return null;
    }
  }

  private static double @Nullable [] plausible(Job.Assumption assumption) {
    double value = assumption.value();
    return switch (assumption.quantity()) {
      case "densityA", "densityB" -> around(value, 0.05);
      case "potLifeMinutes" -> around(value, 0.3);
      case "potLifeMassG" -> around(value, 0.5);
      case "potLifeTemperatureC" -> new double[] {value - 3, value + 3};
      case "bulkDensity", "trueDensity" -> around(value, 0.4);
      case "dropG", "scoopMl" -> around(value, 1 / 3.0);
      default -> null;
    };
  }

  private static double[] around(double value, double share) {
    return new double[] {value * (1 - share), value * (1 + share)};
  }

  /** Largest change in the count of a colourant's drops or scoops in any cup, %. */
  private static double doses(Plan plan, Plan other, String colourantId) {
    Map<CupId, Double> before = counts(plan, colourantId);
    double most = 0;
    for (Map.Entry<CupId, Double> after : counts(other, colourantId).entrySet()) {
      Double was = before.get(after.getKey());
      if (was != null && was > 0) {
        most = Math.max(most, Math.abs(after.getValue() / was - 1) * 100);
      }
    }
    return most;
  }

  private static Map<CupId, Double> counts(Plan plan, String colourantId) {
    Map<CupId, Double> counts = new HashMap<>();
    for (Batch batch : plan.batches()) {
      for (Cup cup : batch.cups()) {
        for (Cup.Dose dose : cup.tint().doses()) {
          if (dose.colourantId().equals(colourantId)) {
            double count =
                dose.drops() != null
                    ? dose.drops()
                    : dose.scoops() != null ? dose.scoops() : dose.massG();
            counts.put(cup.id(), count);
          }
        }
      }
    }
    return counts;
  }

  private Workshop with(Job.Assumption assumption, double value) {
    return workshop
        .withResins(
            workshop.resins().stream()
                .map(r -> r.id().equals(assumption.subjectId()) ? resin(r, assumption, value) : r)
                .toList())
        .withColourants(
            workshop.colourants().stream()
                .map(c ->
                    c.id().equals(assumption.subjectId()) ? colourant(c, assumption, value) : c)
                .toList());
  }

  private static ResinSystem resin(ResinSystem r, Job.Assumption of, double value) {
    return switch (of.quantity()) {
      case "densityA" -> r.withDensityA(value);
      case "densityB" -> r.withDensityB(value);
      case "potLifeMinutes" -> r.withPotLifeMinutes(value);
      case "potLifeMassG" -> r.withPotLifeMassG(value);
      case "potLifeTemperatureC" -> r.withPotLifeTemperatureC(value);
      default -> r;
    };
  }

  private static Colourant colourant(Colourant c, Job.Assumption of, double value) {
    return switch (of.quantity()) {
      case "bulkDensity" -> c.withBulkDensity(value);
      case "trueDensity" -> c.withTrueDensity(value);
      case "dropG" -> c.withDropG(value);
      case "scoopMl" -> c.withScoopMl(value);
      default -> c;
    };
  }
}
