package calmpour.core.plan;

import calmpour.core.cure.BodyHistory;
import calmpour.core.cure.BodyShape;
import calmpour.core.cure.CureStates;
import calmpour.core.cure.TintShift;
import calmpour.core.derive.Formula;
import calmpour.core.derive.Origin;
import calmpour.core.derive.Recorder;
import calmpour.core.resin.ResinSystem;
import calmpour.core.session.Job;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Writes down how the moments of a body of resin came about. */
final class CureNotes {
  private final Job job;
  private final Recorder recorder;

  CureNotes(Job job, Recorder recorder) {
    this.job = job;
    this.recorder = recorder;
  }

  void workingTime(MixSheet.FilledCup cup, CureStates states, BodyHistory body) {
    boolean engine = states.heat() != null;
    recorder.note(
        "cup/" + cup.id() + "/workingTimeMinutes",
        states.workingTimeEnds().minutes(),
        "min",
        engine ? Formula.WORKING_TIME_ENGINE : Formula.WORKING_TIME_HALVING,
        step -> label(step, body));
  }

  void peak(MixSheet.FilledCup cup, CureStates forgotten, BodyHistory body) {
    CureStates.Heat heat = forgotten.heat();
    if (heat != null) {
      recorder.note(
          "cup/" + cup.id() + "/peakC",
          heat.peakC(),
          "°C",
          Formula.PEAK_FORGOTTEN,
          step -> label(step, body));
    }
  }

  void layer(HandsLine.LayerTimes layer, int contact) {
    CureStates states = layer.states();
    String pour = "pour/" + layer.pour().id();
    recorder.note(
        pour + "/gelsMinutes",
        states.gels().minutes(),
        "min",
        states.heat() == null ? Formula.WORKING_TIME_HALVING : Formula.LAYER_GEL,
        step -> label(step, layer.body()));
    hours(pour + "/bondHours", states.bondEnds(), layer, contact);
    hours(pour + "/demouldHours", states.demould(), layer, contact);
    hours(pour + "/fullCureHours", states.fullCure(), layer, contact);
  }

  private void hours(
      String quantity,
      CureStates.@Nullable Moment moment,
      HandsLine.LayerTimes layer,
      int contact) {
    if (moment != null) {
      recorder.note(
          quantity,
          (moment.minutes() - (layer.poured() - contact) / 60.0) / 60,
          "h",
          layer.states().heat() == null ? Formula.WORKING_TIME_HALVING : Formula.LAYER_CURE,
          step -> label(step, layer.body()));
    }
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

  private void label(Recorder.Step step, BodyHistory body) {
    ResinSystem resin = job.resin();
    step.given("pot life", resin.name(), resin.knownPotLifeMinutes(), "min")
        .given("meant for", resin.name(), resin.knownPotLifeMassG(), "g")
        .given("meant at", resin.name(), resin.knownPotLifeTemperatureC(), "°C")
        .given("A and B meet at", null, body.startC(), "°C", Origin.WORKED_OUT)
        .given("room", null, job.session().room().temperatureC(), "°C", Origin.MEASURED);
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
