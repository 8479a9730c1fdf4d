package calmpour.core.resin;

/** What a resin is made for; its starting values follow from it. */
public enum ResinKind {
  CASTING,
  DEEP,
  FAST,
  COATING,
  POLYURETHANE;

  /**
   * Air is damp for it from that humidity on, %: 50 is common practice, no source; polyurethane
   * foams before that (a starting value, no source).
   */
  public double dampFromPercent() {
    return this == POLYURETHANE ? 40 : 50;
  }
}
