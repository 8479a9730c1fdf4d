package calmpour.core.plan.amounts;

import static calmpour.core.check.Known.known;

import calmpour.core.session.JobInResin;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * How the pours of one colour are best shared among cups, found once for pours alike: while batches
 * are tried out the same ones come up again and again.
 */
public final class CupSplits {
  private final Map<Pours, List<List<Integer>>> known = new HashMap<>();

  /** What a split depends on, beside the workshop: one cup after the other as they were filled. */
  private record Pours(String resinId, String colourId, List<Filled> cups) {}

  private record Filled(String kindId, List<Mass> pours) {}

  private record Mass(long massMg, long mayTakeMoreMg) {}

  /**
   * @param given cups of one colour, each of a kind that holds it
   */
  List<CupDraft> best(JobInResin job, Limits limits, List<CupDraft> given) {
    Pours pours =
        new Pours(
            job.resin().id(),
            given.get(0).colour().id(),
            given.stream().map(CupSplits::filled).toList());
    CupSplit split = new CupSplit(job, limits, given);
    return split.drafts(known.computeIfAbsent(pours, p -> split.best()));
  }

  private static Filled filled(CupDraft cup) {
    return new Filled(
        known(cup.kind()).id(),
        cup.pours().stream().map(p -> new Mass(p.massMg(), p.mayTakeMoreMg())).toList());
  }
}
