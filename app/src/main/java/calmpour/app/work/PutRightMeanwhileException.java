package calmpour.app.work;

import calmpour.core.run.AsTold;

/** Somebody, perhaps another tab, has put a line of the record right since it was read here. */
public final class PutRightMeanwhileException extends RuntimeException {
  private static final long serialVersionUID = 1L;

  PutRightMeanwhileException(AsTold stands) {
    super(
        stands.value() == null
            ? "its moment was put right"
            : "it says "
                + stands.value()
                + (stands.measured() == AsTold.Measured.CELSIUS ? " °C now" : " g now"));
  }
}
