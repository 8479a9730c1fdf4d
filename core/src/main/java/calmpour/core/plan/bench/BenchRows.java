package calmpour.core.plan.bench;

import calmpour.core.plan.doc.BenchSpot;
import calmpour.core.plan.doc.CavityId;
import calmpour.core.plan.doc.Task;
import calmpour.core.session.Job;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * How the moulds stand on the bench, seen from above: big ones at the back, so that nobody reaches
 * over them; in a row from left to right as they are poured. Common practice, no source.
 */
public final class BenchRows {
  /** As wide as arms reach without a step; a starting value, no source, mm. */
  private static final double BENCH_MM = 700;

  /** Rubber and a finger between two cavities; a starting value, no source, mm. */
  private static final double AROUND_MM = 16;

  private BenchRows() {}

  /** Rows from the back to the front. */
  public static List<List<BenchSpot>> of(Job job, List<Task> tasks) {
    List<Place> places = new ArrayList<>();
    for (int l = 0; l < job.lines().size(); l++) {
      Job.Line line = job.lines().get(l);
      for (int cavity = 1; cavity <= line.piece().count(); cavity++) {
        places.add(
            new Place(
                l,
                cavity,
                line.profile().depthMm(),
                line.measured().section().widthMm() + AROUND_MM,
                0));
      }
    }
    List<CavityId> order = new ArrayList<>();
    for (Task task : tasks) {
      if (task.pourId() != null) {
        CavityId place = task.pourId().into();
        if (!order.contains(place)) {
          order.add(place);
        }
      }
    }
    List<Place> byTurn =
        places.stream()
            .map(p -> p.poured(1 + order.indexOf(new CavityId(p.line + 1, p.cavity))))
            .toList();
    List<Place> bySize = new ArrayList<>(byTurn);
    bySize.sort(
        Comparator.comparingDouble((Place p) -> -p.highMm)
            .thenComparingDouble(p -> -p.acrossMm)
            .thenComparingInt(Place::turn));
    List<List<BenchSpot>> rows = new ArrayList<>();
    List<Place> row = new ArrayList<>();
    double width = 0;
    for (Place place : bySize) {
      if (width + place.acrossMm > BENCH_MM && !row.isEmpty()) {
        rows.add(spots(row));
        row.clear();
        width = 0;
      }
      row.add(place);
      width += place.acrossMm;
    }
    if (!row.isEmpty()) {
      rows.add(spots(row));
    }
    return rows;
  }

  private record Place(int line, int cavity, double highMm, double acrossMm, int turn) {
    Place poured(int when) {
      return new Place(line, cavity, highMm, acrossMm, when);
    }
  }

  private static List<BenchSpot> spots(List<Place> row) {
    List<Place> inTurn = new ArrayList<>(row);
    inTurn.sort(Comparator.comparingInt(Place::turn));
    List<BenchSpot> spots = new ArrayList<>();
    double left = 0;
    for (Place place : inTurn) {
      spots.add(new BenchSpot(place.line, place.cavity, left, place.acrossMm, place.turn));
      left += place.acrossMm;
    }
    return spots;
  }
}
