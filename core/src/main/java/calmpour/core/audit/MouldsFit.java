package calmpour.core.audit;

import calmpour.core.design.PieceWork;
import calmpour.core.mould.InnerMould;
import calmpour.core.mould.MouldMake;
import calmpour.core.mould.MouldState;
import calmpour.core.plan.Facts;
import calmpour.core.plan.doc.Finding;
import calmpour.core.plan.doc.Finding.Mend;
import calmpour.core.plan.doc.Place;
import calmpour.core.resin.ResinKind;
import calmpour.core.session.Job;
import java.time.Duration;
import java.util.List;

/** Moulds are dry, clean, ready, not worn out, known well enough, and fit for what is poured. */
final class MouldsFit implements Rule {
  /** A cavity known no better than this is worth measuring (starting value, no source). */
  private static final double UNSURE = 0.08;

  @Override
  public void judge(Facts facts, Findings told) {
    List<Job.Line> lines = facts.job().lines();
    for (int i = 0; i < lines.size(); i++) {
      Place place = Place.line(i);
      Job.Line line = lines.get(i);
      state(facts.job(), place, line, told);
      if (line.uncertainShare() > UNSURE) {
        told.note(
            Finding.Rule.VOLUME_UNSURE, place, line.uncertainShare() * 100, UNSURE * 100, "%");
      }
      InnerMould inner = line.inner();
      if (inner != null) {
        double density = facts.job().tint(line.level(0), line.level(0).colour()).mixDensity();
        InnerMould.Effect effect = inner.effect(line.cavity().bare(), density);
        if (effect.ballastG() > 0) {
          told.near(
              Finding.Rule.INNER_MOULD_RISES,
              place,
              effect.ballastG(),
              0,
              "g",
              Findings.openPiece(i));
        }
        if (effect.thin()) {
          told.near(
              Finding.Rule.INNER_WALL_THIN, place, effect.wallMm(), 2, "mm", Findings.openPiece(i));
        }
      }
      MouldMake make = line.mould().make();
      boolean pot = line.piece().workOrNone().curing() == PieceWork.Curing.PRESSURE_POT;
      if (pot && make != null && Boolean.FALSE.equals(make.pressureFit())) {
        told.near(
            Finding.Rule.MOULD_NOT_FOR_POT,
            place,
            1,
            0,
            "",
            new Mend(Mend.Kind.CURE_ON_BENCH, 0, place.toString()));
      }
    }
  }

  private static void state(Job job, Place place, Job.Line line, Findings told) {
    MouldState state = line.mould().state();
    if (state == null) {
      return;
    }
    Mend open = Findings.open("mould/" + line.mould().id());
    for (MouldState.Want want : state.wants()) {
      wants(job, line, place, state, want, open, told);
    }
    if (state.readyFrom() != null && state.readyFrom().isAfter(job.session().startsAt())) {
      double hours =
          Duration.between(job.session().startsAt(), state.readyFrom()).toMinutes() / 60.0;
      told.breach(
          Finding.Rule.MOULD_NOT_READY,
          place,
          hours,
          0,
          "h",
          new Mend(Mend.Kind.OTHER_START, Math.ceil(hours * 60)));
    }
  }

  private static void wants(
      Job job,
      Job.Line line,
      Place place,
      MouldState state,
      MouldState.Want want,
      Mend open,
      Findings told) {
    Integer expected = state.expectedCasts();
    double most = expected == null ? 0 : expected;
    switch (want) {
      case DRYING -> told.near(Finding.Rule.MOULD_NOT_DRY, place, 0, 1, "", open);
      case CLEANING -> told.near(Finding.Rule.MOULD_NOT_CLEAN, place, 0, 1, "", open);
      case REPLACING ->
          told.near(Finding.Rule.MOULD_PAST_ITS_END, place, state.casts(), most, "casts", open);
      case NEARLY_WORN ->
          told.note(Finding.Rule.MOULD_NEAR_ITS_END, place, state.casts(), most, "casts");
      case FIRST_CAST -> told.note(Finding.Rule.MOULD_FIRST_CAST, place, 0, 1, "casts");
      case AFTER_URETHANE -> {
        boolean other =
            line.levels().stream()
                .anyMatch(v -> job.in(v.resinId()).resin().kind() != ResinKind.POLYURETHANE);
        if (other) {
          told.near(Finding.Rule.URETHANE_BEFORE_EPOXY, place, 1, 0, "", open);
        }
      }
    }
  }
}
