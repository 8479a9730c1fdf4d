package calmpour.core.mould;

/**
 * A solid as level planes cut it. Levels run from its own floor, mm; areas are mm², volumes mm³,
 * all in closed form (any handbook of mathematics; for the ring Pappus’ rule).
 */
sealed interface Slice {
  double heightMm();

  double areaMm2(double z);

  double volumeMm3(double z);

  /** Half of its width in the drawn section. */
  double halfWidthMm(double z);

  /** Half of the width of a hole in its middle; 0 for none. */
  default double holeMm(double z) {
    return 0;
  }

  /**
   * Two sides that grow evenly from floor to rim: A = k·p·q with p and q linear in the level.
   * Boxes, cylinders, cones, pyramids and prisms are of this kind.
   *
   * @param k area of the outline where p = q = 1
   * @param across drawn width for p = 1
   */
  record Sloping(
      double heightMm,
      double k,
      double floorP,
      double rimP,
      double floorQ,
      double rimQ,
      double across)
      implements Slice {
    @Override
    public double areaMm2(double z) {
      return k * (floorP + slopeP() * z) * (floorQ + slopeQ() * z);
    }

    @Override
    public double volumeMm3(double z) {
      return k
          * (floorP * floorQ * z
              + (floorP * slopeQ() + slopeP() * floorQ) * z * z / 2
              + slopeP() * slopeQ() * z * z * z / 3);
    }

    @Override
    public double halfWidthMm(double z) {
      return across * (floorP + slopeP() * z) / 2;
    }

    private double slopeP() {
      return (rimP - floorP) / heightMm;
    }

    private double slopeQ() {
      return (rimQ - floorQ) / heightMm;
    }
  }

  /** A sphere of {@code radius} standing on its lowest point, cut off at a height. */
  record Cap(double radius, double heightMm) implements Slice {
    @Override
    public double areaMm2(double z) {
      return Math.PI * (2 * radius * z - z * z);
    }

    @Override
    public double volumeMm3(double z) {
      return Math.PI * z * z * (3 * radius - z) / 3;
    }

    @Override
    public double halfWidthMm(double z) {
      return Math.sqrt(Math.max(0, 2 * radius * z - z * z));
    }
  }

  /** Half a cylinder lying on its back. */
  record Trough(double radius, double length) implements Slice {
    @Override
    public double heightMm() {
      return radius;
    }

    @Override
    public double areaMm2(double z) {
      return 2 * length * chord(radius, z);
    }

    @Override
    public double volumeMm3(double z) {
      return length * segment(radius, z);
    }

    @Override
    public double halfWidthMm(double z) {
      return chord(radius, z);
    }
  }

  /**
   * A ring of round section lying flat, cut off at a height.
   *
   * @param middle radius of the circle through the middle of the tube
   */
  record Ring(double middle, double tube, double heightMm) implements Slice {
    @Override
    public double areaMm2(double z) {
      return 4 * Math.PI * middle * chord(tube, z);
    }

    @Override
    public double volumeMm3(double z) {
      return 2 * Math.PI * middle * segment(tube, z);
    }

    @Override
    public double halfWidthMm(double z) {
      return middle + chord(tube, z);
    }

    @Override
    public double holeMm(double z) {
      return middle - chord(tube, z);
    }
  }

  /** Half of the chord that a level cuts from a circle standing on its lowest point. */
  private static double chord(double radius, double z) {
    return Math.sqrt(Math.max(0, 2 * radius * z - z * z));
  }

  /** Area of the circle below a level. */
  private static double segment(double radius, double z) {
    double cosine = Math.max(-1, Math.min(1, (radius - z) / radius));
    return radius * radius * Math.acos(cosine) - (radius - z) * chord(radius, z);
  }
}
