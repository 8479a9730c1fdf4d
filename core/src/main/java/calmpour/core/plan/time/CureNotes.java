package calmpour.core.plan.time;

import calmpour.core.cure.BodyHistory;
import calmpour.core.cure.BodyShape;
import calmpour.core.cure.Calibrated;
import calmpour.core.cure.Chemistry;
import calmpour.core.cure.CureModel;
import calmpour.core.cure.CureRun;
import calmpour.core.cure.CureStates;
import calmpour.core.cure.LabelFloor;
import calmpour.core.cure.Targets;
import calmpour.core.cure.TintShift;
import calmpour.core.derive.Formula;
import calmpour.core.derive.Known;
import calmpour.core.derive.Origin;
import calmpour.core.derive.Recorder;
import calmpour.core.plan.doc.CupId;
import calmpour.core.plan.doc.Place;
import calmpour.core.resin.LabelFacts;
import calmpour.core.resin.LabelHours;
import calmpour.core.resin.OwnPace;
import calmpour.core.resin.ResinSystem;
import calmpour.core.session.JobInResin;
import java.util.List;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/** Writes down how the moments of a body of resin came about. */
public final class CureNotes {
  private final JobInResin job;
  private final CureModel cure;
  private final Recorder recorder;

  public CureNotes(JobInResin job, CureModel cure, Recorder recorder) {
    this.job = job;
    this.cure = cure;
    this.recorder = recorder;
  }

  public void cup(CupId cupId, BatchStates.CupStates times) {
    Place at = new Place.OfCup(cupId);
    CureStates states = times.states();
    note(
        at + "/workingTimeMinutes",
        states.workingTimeEnds().minutes(),
        "min",
        Formula.WORKING_TIME_ENGINE,
        states,
        times.body(),
        null);
    state(at + "/threadMinutes", states.tooThick().minutes(), states, times.body());
    state(at + "/gelsMinutes", states.gels().minutes(), states, times.body());
    peak(at.toString(), times.forgotten(), times.forgottenBody(), Formula.PEAK_FORGOTTEN);
  }

  public void layer(BatchStates.LayerStates layer, int contact) {
    CureStates states = layer.states();
    Place at = new Place.OfPour(layer.pour().id());
    Targets targets = cure.label(job.resin()).map(Calibrated::targets).orElse(null);
    state(at + "/gelsMinutes", states.gels().minutes(), states, layer.body());
    double depth = LabelFloor.depthMm(layer.body());
    ResinSystem resin = job.resin();
    Known bonds = targets == null ? null : targets.bond();
    hours(at + "/bondHours", states.bondEnds(), layer, contact, bonds, null, CureRun::bondEnds);
    Known out = targets == null ? null : targets.demould();
    Known label = LabelHours.demould(resin, depth);
    hours(at + "/demouldHours", states.demould(), layer, contact, out, label, CureRun::demould);
    Known full = targets == null ? null : targets.fullCure();
    Known cured = LabelHours.fullCure(resin, depth);
    hours(at + "/fullCureHours", states.fullCure(), layer, contact, full, cured, CureRun::fullCure);
    peak(at.toString(), states, layer.body(), Formula.LAYER_PEAK);
  }

  private void state(String quantity, double minutes, CureStates states, BodyHistory body) {
    note(quantity, minutes, "min", Formula.STATE_OF_CURE, states, body, null);
  }

  private void peak(String at, CureStates states, BodyHistory body, Formula formula) {
    CureStates.Heat heat = states.heat();
    if (heat != null) {
      note(at + "/peakC", heat.peakC(), "°C", formula, states, body, null);
    }
  }

  /**
   * @param label what the label, or its kind, says; null where nothing is promised
   */
  private void hours(
      String quantity,
      CureStates.@Nullable Moment moment,
      BatchStates.LayerStates layer,
      int contact,
      @Nullable Known target,
      @Nullable Known label,
      Function<CureRun, @Nullable Double> which) {
    if (moment == null) {
      return;
    }
    double before = (layer.poured() - contact) / 60.0;
    double hours = (moment.minutes() - before) / 60;
    recorder.note(
        quantity,
        hours,
        "h",
        Formula.LAYER_CURE,
        step -> {
          cure.curve(job.resin(), layer.body())
              .map(which)
              .ifPresent(m ->
                  step.given(
                      "by the engine alone", null, (m - before) / 60, "h", Origin.WORKED_OUT));
          if (label != null) {
            double here =
                LabelFloor.minutes(layer.body(), label.value(), c -> cure.pace(job.resin(), c));
            String says = label.origin() == Origin.LABEL ? "the label says" : "usual for its kind";
            step.given(says, job.resin().name(), label, "h")
                .given(
                    "that is, in this place", null, (here - before) / 60, "h", Origin.WORKED_OUT);
          }
          label(step, layer.body());
          OwnPace own = job.resin().own();
          pace(step, "HARD", own == null ? null : own.hard());
          if (layer.states().heat() != null) {
            cure.label(job.resin()).map(Calibrated::chemistry).ifPresent(c -> chemistry(step, c));
            if (target != null) {
              step.given("cured to", null, target.value() * 100, "%", target.origin());
            }
          }
        });
  }

  private void note(
      String quantity,
      double value,
      String unit,
      Formula formula,
      CureStates states,
      BodyHistory body,
      @Nullable Known target) {
    boolean engine = states.heat() != null;
    recorder.note(
        quantity,
        value,
        unit,
        engine ? formula : Formula.WORKING_TIME_HALVING,
        step -> {
          label(step, body);
          if (engine) {
            cure.label(job.resin()).map(Calibrated::chemistry).ifPresent(c -> chemistry(step, c));
          }
          if (engine && target != null) {
            step.given("cured to", null, target.value() * 100, "%", target.origin());
          }
        });
  }

  /** What the engine takes for a resin that its label says nothing of. */
  private void chemistry(Recorder.Step step, Chemistry chemistry) {
    LabelFacts facts = job.resin().facts();
    boolean said = facts != null && facts.viscosityPaS() != null;
    String resin = job.resin().name();
    Origin thickness = said ? Origin.LABEL : Origin.ASSUMED;
    step.given("fresh at 25 °C", resin, chemistry.viscosity25(), "Pa·s", thickness)
        .given("heat of reaction", resin, chemistry.heatJPerG(), "J/g", Origin.ASSUMED)
        .given("activation energy", resin, chemistry.activationKJ(), "kJ/mol", Origin.ASSUMED);
  }

  private static String place(int at, List<BodyHistory.Segment> segments) {
    BodyHistory.Segment segment = segments.get(at);
    boolean mixing = at == 0 && segments.size() > 1 && !sameCup(segment, segments.get(1));
    return switch (segment.shape()) {
      case BodyShape.InCup cup -> mixing ? "in the mixing cup" : "in this cup";
      case BodyShape.InMould mould -> "in the mould";
      case BodyShape.Spread sheet -> "spread out";
    };
  }

  private static boolean sameCup(BodyHistory.Segment a, BodyHistory.Segment b) {
    return a.shape() instanceof BodyShape.InCup was
        && b.shape() instanceof BodyShape.InCup is
        && was.bottomWidthMm() == is.bottomWidthMm()
        && b.massG() < a.massG()
        && a.tint().equals(b.tint());
  }

  /** What the workshop took over from its cure diaries, beside the label. */
  private void pace(Recorder.Step step, String of, OwnPace.@Nullable Pace own) {
    if (own != null) {
      String name = of.equals("HARD") ? "its demould, learned" : "its pot life, learned";
      ResinSystem resin = job.resin();
      step.learned(name, resin.name(), own.times(), "times", "pace/" + resin.id() + "/" + of);
    }
  }

  private void label(Recorder.Step step, BodyHistory body) {
    ResinSystem resin = job.resin();
    step.given("pot life", resin.name(), resin.knownPotLifeMinutes(), "min")
        .given("meant for", resin.name(), resin.knownPotLifeMassG(), "g")
        .given("meant at", resin.name(), resin.knownPotLifeTemperatureC(), "°C");
    OwnPace own = resin.own();
    pace(step, "FLUID", own == null ? null : own.fluid());
    step.given("A and B meet at", null, body.startC(), "°C", Origin.WORKED_OUT)
        .given("room", null, job.session().room().temperatureC(), "°C", Origin.MEASURED);
    Double warms = job.session().room().warmsPerHourK();
    if (warms != null) {
      step.mayBeLearned("warmer in an hour of work", null, warms, "K/h", Origin.MEASURED, "drift");
    }
    List<BodyHistory.Segment> segments = body.segments();
    for (int i = 0; i < segments.size(); i++) {
      BodyHistory.Segment segment = segments.get(i);
      step.given(place(i, segments), null, segment.massG(), "g", Origin.WORKED_OUT);
      double minutes = segment.minutes();
      int first = i;
      // Pour by pour the same cup holds less: its first and last mass tell enough.
      while (i + 1 < segments.size() && sameCup(segments.get(i), segments.get(i + 1))) {
        i++;
        minutes += segments.get(i).minutes();
      }
      boolean last = i == segments.size() - 1;
      if (i > first) {
        step.given("down to", null, segments.get(i).massG(), "g", Origin.WORKED_OUT);
        minutes -= last ? segments.get(i).minutes() : 0;
      }
      if (!last || i > first) {
        step.given(
            i > first ? "before its last pour, after" : "for",
            null,
            minutes,
            "min",
            Origin.WORKED_OUT);
      }
    }
    TintShift tint = body.last().tint();
    if (tint.rateFactor() < 1) {
      step.given("slowed by colour to", null, tint.rateFactor() * 100, "%", Origin.ASSUMED);
    }
  }
}
