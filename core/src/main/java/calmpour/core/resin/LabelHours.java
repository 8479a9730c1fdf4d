package calmpour.core.resin;

import calmpour.core.derive.Known;
import calmpour.core.derive.Origin;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * How long a cautious maker waits by the label, in hours after a layer's last pour at the label's
 * own temperature; where the label is silent, by the kind of resin (common practice, no source).
 */
public final class LabelHours {
  /** Depth that a label's demould time is meant for where it does not say, mm. */
  public static final double USUAL_DEPTH_MM = 10;

  /** Full cure is called after days, never sooner; common practice, no source. */
  private static final double CURED_HOURS = 48;

  private static final double CURED_TIMES = 2;

  private LabelHours() {}

  /**
   * Until a piece comes out of its mould. A range counts by its late end; between two depths the
   * logarithm of the hours is a straight line in the depth, outside them the nearest row counts.
   *
   * @param depthMm of the layer, more than 0
   */
  public static Known demould(ResinSystem resin, double depthMm) {
    List<DemouldRow> rows = rows(resin);
    return rows.isEmpty()
        ? new Known(between(silent(resin.kind()), depthMm), Origin.ASSUMED)
        : new Known(between(rows, depthMm), Origin.LABEL);
  }

  /** The label's rows, the shallowest first; empty where it is silent. */
  public static List<DemouldRow> rows(ResinSystem resin) {
    CureTimes times = resin.times();
    List<DemouldRow> rows = new ArrayList<>();
    if (times == null) {
      return rows;
    }
    if (times.demouldRows() != null) {
      rows.addAll(times.demouldRows());
    }
    if (times.demouldHours() != null) {
      double depth = times.demouldDepthMm() == null ? USUAL_DEPTH_MM : times.demouldDepthMm();
      if (rows.stream().noneMatch(r -> r.depthMm() == depth)) {
        rows.add(new DemouldRow(depth, times.demouldHours(), null));
      }
    }
    rows.sort(Comparator.comparingDouble(DemouldRow::depthMm));
    return rows;
  }

  private static List<DemouldRow> silent(ResinKind kind) {
    return switch (kind) {
      case CASTING, COATING -> List.of(new DemouldRow(USUAL_DEPTH_MM, 24, null));
      case FAST -> List.of(new DemouldRow(USUAL_DEPTH_MM, 6, null));
      case POLYURETHANE -> List.of(new DemouldRow(USUAL_DEPTH_MM, 2, null));
      case DEEP -> List.of(new DemouldRow(3, 72, null), new DemouldRow(100, 48, null));
    };
  }

  private static double between(List<DemouldRow> rows, double depthMm) {
    DemouldRow before = rows.get(0);
    if (depthMm <= before.depthMm()) {
      return before.lateHours();
    }
    for (DemouldRow row : rows.subList(1, rows.size())) {
      if (depthMm <= row.depthMm()) {
        double share = (depthMm - before.depthMm()) / (row.depthMm() - before.depthMm());
        return before.lateHours() * Math.pow(row.lateHours() / before.lateHours(), share);
      }
      before = row;
    }
    return before.lateHours();
  }

  /** Earliest next layer; empty where the label is silent, for then the gel alone counts. */
  public static Optional<Known> recoatFrom(ResinSystem resin) {
    return said(resin.times() == null ? null : resin.times().recoatFromHours());
  }

  /** Latest next layer without scuffing; empty where the label is silent. */
  public static Optional<Known> recoatTo(ResinSystem resin) {
    return said(resin.times() == null ? null : resin.times().recoatToHours());
  }

  private static Optional<Known> said(@Nullable Double hours) {
    return Optional.ofNullable(hours).map(h -> new Known(h, Origin.LABEL));
  }

  /** Until it is fully cured. */
  public static Known fullCure(ResinSystem resin, double depthMm) {
    Double hours = resin.times() == null ? null : resin.times().fullCureHours();
    return hours != null
        ? new Known(hours, Origin.LABEL)
        : new Known(
            Math.max(CURED_HOURS, CURED_TIMES * demould(resin, depthMm).value()), Origin.ASSUMED);
  }
}
