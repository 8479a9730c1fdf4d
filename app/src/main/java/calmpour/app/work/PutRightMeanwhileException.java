package calmpour.app.work;

import calmpour.core.run.AsTold;

/** Somebody, perhaps another tab, has put a line of the record right since it was read here. */
public final class PutRightMeanwhileException extends RuntimeException {
  private static final long serialVersionUID = 1L;

  /** No scale at the bench reads finer. */
  private static final double HUNDREDTHS = 100;

  PutRightMeanwhileException(AsTold stands) {
    super(
        stands.value() == null
            ? "its moment was put right"
            : "it says "
                + Math.round(stands.value() * HUNDREDTHS) / HUNDREDTHS
                + (stands.measured() == AsTold.Measured.CELSIUS ? " °C now" : " g now"));
  }
}
