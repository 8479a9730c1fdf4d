package calmpour.core.mould;

import java.util.List;

/**
 * A cavity seen from the side, to scale: its outline from the floor up.
 *
 * @param rows rising in depth; two rows at one depth make a step
 */
public record Section(List<SectionRow> rows) {
  public Section {
    rows = List.copyOf(rows);
  }

  /**
   * @param depthMm above the lowest point
   * @param leftMm left wall, from the middle
   * @param rightMm right wall, from the middle
   * @param holeMm half the width of what stands in the middle; 0 for nothing
   */
  public record SectionRow(double depthMm, double leftMm, double rightMm, double holeMm) {}

  /** An upright-walled outline. */
  static Section upright(double widthMm, double depthMm) {
    return new Section(
        List.of(
            new SectionRow(0, -widthMm / 2, widthMm / 2, 0),
            new SectionRow(depthMm, -widthMm / 2, widthMm / 2, 0)));
  }

  /** Widest place, mm. */
  public double widthMm() {
    double left = rows.stream().mapToDouble(SectionRow::leftMm).min().orElse(0);
    return rows.stream().mapToDouble(SectionRow::rightMm).max().orElse(0) - left;
  }

  /** Half of the narrower of the two walls at a level, by straight lines between the rows. */
  double reachMm(double depth) {
    for (int i = 1; i < rows.size(); i++) {
      SectionRow below = rows.get(i - 1);
      SectionRow above = rows.get(i);
      if (depth <= above.depthMm() && above.depthMm() > below.depthMm()) {
        double share = Math.max(0, (depth - below.depthMm()) / (above.depthMm() - below.depthMm()));
        double left = below.leftMm() + share * (above.leftMm() - below.leftMm());
        double right = below.rightMm() + share * (above.rightMm() - below.rightMm());
        return Math.min(-left, right);
      }
    }
    SectionRow rim = rows.get(rows.size() - 1);
    return Math.min(-rim.leftMm(), rim.rightMm());
  }
}
