package calmpour.core.derive;

import org.jspecify.annotations.Nullable;

/** A value together with what it rests on, so that an unknown never hides behind its default. */
public record Known(double value, Origin origin) {

  /** The label's value when it says one, otherwise the declared starting value. */
  public static Known labelOr(@Nullable Double label, double assumed) {
    return label == null ? new Known(assumed, Origin.ASSUMED) : new Known(label, Origin.LABEL);
  }

  /** The measured value when there is one, otherwise the declared starting value. */
  public static Known measuredOr(@Nullable Double measured, double assumed) {
    return measured == null
        ? new Known(assumed, Origin.ASSUMED)
        : new Known(measured, Origin.MEASURED);
  }

  public boolean assumed() {
    return origin == Origin.ASSUMED;
  }
}
