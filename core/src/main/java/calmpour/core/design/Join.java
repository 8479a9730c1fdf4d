package calmpour.core.design;

/** How a layer meets the one below it. */
public enum Join {
  /** Both fluid: from the same batch, the colours mingle. */
  TOGETHER,
  /** The layer below flows slowly: a soft edge. */
  THICK,
  /** The layer below is tacky and dents: a clean edge and a chemical bond. */
  GEL,
  /** The layer below is hard: a crisp edge. */
  CURED
}
