package calmpour.core.mould;

/** A cavity with upright walls and a flat floor: a prism, whatever its outline. */
public record StraightSided(double volumeMl, double depthMm) implements DepthProfile {
  public StraightSided {
    if (!(volumeMl > 0) || !(depthMm > 0)) {
      throw new IllegalArgumentException(
          "StraightSided volumeMl (" + volumeMl + ") and depthMm (" + depthMm + ") must be > 0");
    }
  }

  @Override
  public double volumeAtMl(double depth) {
    inside(depth);
    return volumeMl * (depth / depthMm);
  }

  @Override
  public double areaAtMm2(double depth) {
    inside(depth);
    return volumeMl * 1_000 / depthMm;
  }

  @Override
  public double depthAtMm(double volume) {
    if (!(volume >= 0 && volume <= volumeMl)) {
      throw new IllegalArgumentException(
          "volume (" + volume + ") must be 0 to " + volumeMl + " mL");
    }
    return depthMm * (volume / volumeMl);
  }

  private void inside(double depth) {
    if (!(depth >= 0 && depth <= depthMm)) {
      throw new IllegalArgumentException("depth (" + depth + ") must be 0 to " + depthMm + " mm");
    }
  }
}
