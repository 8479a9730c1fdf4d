package calmpour.core.plan.bench;

import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Place;
import calmpour.core.plan.doc.Task;
import calmpour.core.session.JobInResin;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import java.util.List;

/**
 * A batch card, and where each leftover can go.
 *
 * @param together moulds that take all leftovers in one, several colours in a piece; empty for a
 *     single leftover
 * @param topUps the other way: a rounder batch, and what takes the difference
 */
public record BatchAtHand(
    BatchCard card,
    Batch batch,
    List<LeftoverWays> leftovers,
    List<Fillers.Filler> together,
    List<Fillers.TopUp> topUps) {
  /** More choices than that are none. */
  static final int MOST_FILLERS = 4;

  public BatchAtHand {
    leftovers = List.copyOf(leftovers);
    together = List.copyOf(together);
    topUps = List.copyOf(topUps);
  }

  /** Moulds that take what one cup has left. */
  public record LeftoverWays(Place of, List<Fillers.Filler> fillers) {
    public LeftoverWays {
      fillers = List.copyOf(fillers);
    }
  }

  /**
   * @param workshop with every mould that may be filled
   */
  public static BatchAtHand of(JobInResin job, Batch batch, List<Task> tasks, Workshop workshop) {
    Session session = job.session();
    BatchCard card = BatchCard.of(job, batch, tasks);
    double leftMl = card.leftovers().stream().mapToDouble(BatchCard.Leftover::leftMl).sum();
    int open = card.leftovers().stream().mapToInt(BatchCard.Leftover::openSeconds).min().orElse(0);
    Double largest = job.resin().largestBatchG();
    return new BatchAtHand(
        card,
        batch,
        card.leftovers().stream()
            .map(l ->
                new LeftoverWays(
                    l.of(),
                    Fillers.of(session, workshop, l.leftMl(), l.openSeconds(), MOST_FILLERS)))
            .toList(),
        card.leftovers().size() < 2
            ? List.of()
            : Fillers.of(session, workshop, leftMl, open, MOST_FILLERS),
        Fillers.topUps(
            session,
            workshop,
            batch,
            leftMl,
            largest == null ? Double.POSITIVE_INFINITY : largest,
            MOST_FILLERS));
  }
}
