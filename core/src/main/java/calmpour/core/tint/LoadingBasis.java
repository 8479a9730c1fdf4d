package calmpour.core.tint;

/** The four readings of "at most so many percent". */
public enum LoadingBasis {
  WEIGHT_OF_MIX,
  WEIGHT_OF_RESIN,
  VOLUME_OF_MIX,
  VOLUME_OF_RESIN
}
