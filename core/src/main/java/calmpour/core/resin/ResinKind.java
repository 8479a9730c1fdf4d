package calmpour.core.resin;

/** What a resin is made for; its starting values follow from it. */
public enum ResinKind {
  CASTING,
  DEEP,
  FAST,
  COATING,
  POLYURETHANE
}
