package calmpour.core.audit;

import static calmpour.core.check.Known.known;

import calmpour.core.plan.Facts;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.Finding;
import calmpour.core.plan.doc.Finding.Mend;
import calmpour.core.plan.doc.Place;
import calmpour.core.resin.ResinKind;
import calmpour.core.session.JobInResin;
import calmpour.core.tint.Dosing;
import calmpour.core.tint.Tint;
import java.util.List;

/** A cup holds what is in it, stays cool enough, and is not loaded beyond any limit. */
final class CupLimits implements Rule {
  /** A limit is called near from this share of it on. */
  private static final double NEAR = 0.9;

  /** What rounding A and B up adds to a cup is no reason to speak of heat. */
  private static final double ROUNDED_UP = 0.03;

  /** Sums of doses carry the noise of their arithmetic. */
  private static final double HAIR = 1e-9;

  /** Doses are kept in whole ones. */
  private static final double MILLIGRAM = 1e-3;

  @Override
  public void judge(Facts facts, Findings told) {
    for (Batch batch : facts.plan().batches()) {
      JobInResin job = facts.job(batch);
      if (!batch.mixing().tintedWhole().isEmpty()) {
        Tint tint = known(job.tints().get(batch.cups().get(0).colour().id()));
        double resinG = batch.measuring().totalG() - batch.mixing().firstCupStaysG();
        doses(tint, batch.mixing().tintedWhole(), resinG, Place.of(batch), told);
      }
      for (Cup cup : batch.cups()) {
        loading(job, cup, told);
        if (batch.mixing().tintedWhole().isEmpty()) {
          doses(cup.tintIn(job), cup.tint().doses(), cup.amounts().resinG(), Place.of(cup), told);
        }
        room(job, cup, told);
      }
    }
  }

  private static void loading(JobInResin job, Cup cup, Findings told) {
    Place place = Place.of(cup);
    Mend colour = Findings.open("colour/" + cup.colour().id());
    Tint stirred = cup.stirred(job);
    Tint.Reading nearest = null;
    for (Tint.Reading reading : stirred.readings()) {
      if (nearest == null || reading.fraction() > nearest.fraction()) {
        nearest = reading;
      }
    }
    if (nearest != null && nearest.fraction() > 1 + HAIR) {
      told.breach(
          Finding.Rule.LOADING_OVER_LIMIT,
          place,
          nearest.percent(),
          nearest.limitPercent(),
          "%",
          colour,
          Findings.ANEW);
    } else if (cup.tint().heldAt() < 1) {
      told.near(Finding.Rule.TINT_HELD_BACK, place, cup.tint().heldAt() * 100, 100, "%", colour);
    } else if (nearest != null && nearest.fraction() > NEAR) {
      told.near(
          Finding.Rule.LOADING_NEAR_LIMIT,
          place,
          nearest.percent(),
          nearest.limitPercent(),
          "%",
          colour);
    }
  }

  /**
   * What is counted beside what the recipe wants, as far as its limits allow it.
   *
   * @param resinG that it is stirred into
   */
  private static void doses(
      Tint tint, List<Cup.Dose> doses, double resinG, Place place, Findings told) {
    for (Tint.Share share : tint.shares()) {
      String id = share.colourant().id();
      double wantedG = share.gPerGResin() * resinG;
      double massG =
          doses.stream().filter(d -> d.colourantId().equals(id)).mapToDouble(Cup.Dose::massG).sum();
      Mend colour = Findings.open("colourant/" + id);
      if (massG == 0 && wantedG > 0) {
        told.breach(Finding.Rule.DOSE_TOO_SMALL, place, massG, wantedG, "g", colour);
      } else if (Math.abs(massG - wantedG) > wantedG * Dosing.TOLD_PERCENT / 100 + MILLIGRAM) {
        told.near(Finding.Rule.DOSE_OFF, place, massG, wantedG, "g", colour);
      }
    }
  }

  private static Mend smaller(Cup cup) {
    return cup.byHand() == null
        ? Findings.ANOTHER_BATCH
        : new Mend(Mend.Kind.RELEASE_CUP, cup.byHand());
  }

  private static void room(JobInResin job, Cup cup, Findings told) {
    Place place = Place.of(cup);
    double capacity = cup.kind().capacityMl();
    double contentMl =
        cup.amounts().contentG() / known(job.tints().get(cup.colour().id())).mixDensity();
    // Slow deep resins are ruled by their label.
    double heat =
        job.resin().kind() == ResinKind.DEEP
            ? Double.POSITIVE_INFINITY
            : job.session().habits().splitting().cupAtMostMl();
    if (contentMl > heat * (1 + ROUNDED_UP)) {
      told.near(Finding.Rule.CUP_HEATS, place, contentMl, heat, "mL", smaller(cup));
    }
    for (Cup.Dose dose : cup.tint().doses()) {
      if (dose.stock() != null) {
        double division = job.session().habits().scaleDivisionG();
        told.note(Finding.Rule.STOCK_CUP, place, dose.massG(), division, "g");
      }
    }
    if (contentMl > capacity + HAIR) {
      told.breach(Finding.Rule.CUP_TOO_SMALL, place, contentMl, capacity, "mL", smaller(cup));
    }
  }
}
