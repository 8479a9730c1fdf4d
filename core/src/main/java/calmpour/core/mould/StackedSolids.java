package calmpour.core.mould;

import java.util.ArrayList;
import java.util.List;

/** One solid on the other, from the floor up; exact, because each part is. */
final class StackedSolids extends ProfileBase {
  /** Rows of the drawing for each part; a curve of so many chords looks round. */
  private static final int ROWS = 24;

  private final List<Slice> parts;
  private final double depth;
  private final double volume;
  private final double scale;

  /**
   * @param scale by which areas are widened so that the whole holds what was measured; 1 for as is
   */
  private StackedSolids(List<Slice> parts, double scale) {
    this.parts = List.copyOf(parts);
    this.scale = scale;
    this.depth = parts.stream().mapToDouble(Slice::heightMm).sum();
    this.volume = scale * parts.stream().mapToDouble(p -> p.volumeMm3(p.heightMm())).sum() / 1_000;
  }

  static StackedSolids of(List<Solid> solids) {
    return new StackedSolids(solids.stream().map(Solid::slice).toList(), 1);
  }

  /** The same outline, holding another volume. */
  StackedSolids holding(double volumeMl) {
    return new StackedSolids(parts, scale * volumeMl / volume);
  }

  @Override
  public double volumeMl() {
    return volume;
  }

  @Override
  public double depthMm() {
    return depth;
  }

  @Override
  double volumeBelow(double level) {
    double left = level;
    double sum = 0;
    for (Slice part : parts) {
      double z = Math.min(left, part.heightMm());
      sum += part.volumeMm3(z);
      left -= z;
      if (left <= 0) {
        break;
      }
    }
    // Rounding of the sum must not let the rim hold more than the whole.
    return Math.min(volume, scale * sum / 1_000);
  }

  @Override
  double areaAt(double level) {
    double left = level;
    for (int i = 0; i < parts.size(); i++) {
      Slice part = parts.get(i);
      if (left <= part.heightMm() || i == parts.size() - 1) {
        return scale * part.areaMm2(Math.min(left, part.heightMm()));
      }
      left -= part.heightMm();
    }
    throw new IllegalStateException("bug: a cavity without parts");
  }

  Section section() {
    List<Section.SectionRow> rows = new ArrayList<>();
    double floor = 0;
    double wider = Math.sqrt(scale);
    for (Slice part : parts) {
      boolean straight = part instanceof Slice.Sloping;
      int steps = straight ? 1 : ROWS;
      for (int i = 0; i <= steps; i++) {
        // Closer together where a round floor turns upwards.
        double share = (double) i / steps;
        double z = part.heightMm() * (straight ? share : share * share);
        double half = part.halfWidthMm(z) * wider;
        rows.add(new Section.SectionRow(floor + z, -half, half, part.holeMm(z) * wider));
      }
      floor += part.heightMm();
    }
    return new Section(rows);
  }
}
