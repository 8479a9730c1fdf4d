package calmpour.core.cure;

import calmpour.core.derive.Known;
import calmpour.core.resin.LabelHours;
import calmpour.core.resin.ResinSystem;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * Never sooner than the label: what a model thinks of a layer, held back to what the label says,
 * counted from the layer's last pour (docs/rules.md).
 */
public final class LabelFloor {
  private final BodyHistory body;
  private final DoubleUnaryOperator pace;
  private final int lies;
  private final double poured;

  /**
   * @param pace how many of the label's hours pass in one hour at so many °C; 1 at its own
   */
  private LabelFloor(BodyHistory body, DoubleUnaryOperator pace) {
    this.body = body;
    this.pace = pace;
    List<BodyHistory.Segment> segments = body.segments();
    int first = segments.size() - 1;
    while (first > 0 && !(segments.get(first - 1).shape() instanceof BodyShape.InCup)) {
      first--;
    }
    this.lies = first;
    this.poured =
        segments.subList(0, first).stream().mapToDouble(BodyHistory.Segment::minutes).sum();
  }

  /** The same states, none of a layer's sooner than the label says; a cup's as they are. */
  static CureStates held(
      ResinSystem resin, BodyHistory body, CureStates states, DoubleUnaryOperator pace) {
    if (body.last().shape() instanceof BodyShape.InCup) {
      return states;
    }
    LabelFloor floor = new LabelFloor(body, pace);
    double depth = depthMm(body);
    CureStates.Moment takesNext =
        LabelHours.recoatFrom(resin).map(h -> floor.held(states.gels(), h)).orElse(states.gels());
    CureStates.Moment bonds = states.bondEnds();
    if (bonds != null && bonds.minutes() < takesNext.minutes()) {
      // The label allows a next layer from then on: it knows until when, too.
      bonds = LabelHours.recoatTo(resin).map(h -> floor.held(states.gels(), h)).orElse(takesNext);
    }
    CureStates.Moment demould =
        states.demould() == null
            ? null
            : floor.held(states.demould(), LabelHours.demould(resin, depth));
    CureStates.Moment cured =
        states.fullCure() == null
            ? null
            : floor.held(states.fullCure(), LabelHours.fullCure(resin, depth));
    return new CureStates(
        states.workingTimeEnds(),
        states.tooThick(),
        states.gels(),
        takesNext,
        bonds,
        demould,
        cured == null || demould == null ? cured : CureStates.Moment.later(cured, demould),
        states.heat());
  }

  /**
   * Minutes from the first contact until so many of the label's hours have passed since a layer's
   * last pour.
   *
   * @param pace see {@link CureModel#pace}
   */
  public static double minutes(BodyHistory layer, double hours, DoubleUnaryOperator pace) {
    return new LabelFloor(layer, pace).minutes(hours);
  }

  /** Depth of the layer, mm. */
  public static double depthMm(BodyHistory body) {
    return switch (body.last().shape()) {
      case BodyShape.InCup cup -> cup.depthMm();
      case BodyShape.InMould mould -> mould.depthMm();
      case BodyShape.Spread sheet -> sheet.depthMm();
    };
  }

  private CureStates.Moment held(CureStates.Moment thought, Known hours) {
    double floor = minutes(hours.value());
    return CureStates.Moment.later(thought, new CureStates.Moment(floor, floor, floor));
  }

  /** Minutes from the first contact until so many of the label's hours have passed. */
  private double minutes(double hours) {
    double left = hours * 60;
    double at = poured;
    List<BodyHistory.Segment> segments = body.segments();
    for (int s = lies; ; s++) {
      BodyHistory.Segment segment = segments.get(s);
      double quick = pace.applyAsDouble(segment.surroundingsC());
      if (s == segments.size() - 1 || segment.minutes() * quick >= left) {
        return at + left / quick;
      }
      left -= segment.minutes() * quick;
      at += segment.minutes();
    }
  }

  /**
   * How many hours at the label's temperature one hour at another is worth, where a state comes
   * after {@code labelMinutes} here and {@code minutes} there.
   */
  static double pace(@Nullable Double labelMinutes, @Nullable Double minutes, double otherwise) {
    return labelMinutes == null || minutes == null ? otherwise : labelMinutes / minutes;
  }
}
