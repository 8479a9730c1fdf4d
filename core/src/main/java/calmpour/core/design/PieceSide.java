package calmpour.core.design;

/** A side of a piece, told by where it lay in the mould. */
public enum PieceSide {
  /** Against the floor of the mould: poured first. */
  FLOOR,
  /** The side that was open: poured last. */
  OPEN
}
