package calmpour.app.device;

/** Where nothing is connected. */
public final class NoScale implements Scale {
  @Override
  public Reading now() {
    return new Reading(Link.NONE, null, false, 0);
  }

  @Override
  public void tare() {
    // Nothing stands on it.
  }
}
