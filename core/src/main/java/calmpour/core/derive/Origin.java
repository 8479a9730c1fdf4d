package calmpour.core.derive;

/** What a number rests on. */
public enum Origin {
  /** Printed by the maker of the material. */
  LABEL,
  /** Measured in this workshop. */
  MEASURED,
  /** Drawn from the journal of this workshop. */
  LEARNED,
  /** Neither label nor maker says: a declared starting value. */
  ASSUMED,
  /** Chosen for this session: a count, a fill, a habit. */
  CHOSEN,
  /** Worked out from other numbers, which can be opened in turn. */
  WORKED_OUT
}
