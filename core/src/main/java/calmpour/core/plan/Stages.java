package calmpour.core.plan;

import calmpour.core.check.InvalidValuesException;
import calmpour.core.check.Problem;
import calmpour.core.check.Range;
import calmpour.core.session.Job;
import java.util.ArrayList;
import java.util.List;

/**
 * Gathers the pours of a job into batches: a stage at a time, in the order of the session, a new
 * batch when the next cavity would pass a limit or the maker wants more of them.
 */
final class Stages {
  /** More batches than anybody mixes for one session. */
  private static final Range BATCHES = new Range(1, 100);

  /** More parts than anybody would pour one layer in. */
  private static final Range PARTS = new Range(1, 100);

  private final Job job;
  private final List<BatchDraft> drafts = new ArrayList<>();

  private Stages(Job job) {
    this.job = job;
  }

  /**
   * @throws InvalidValuesException when it would take an absurd number of batches
   */
  static List<BatchDraft> of(Job job) {
    Stages stages = new Stages(job);
    int last =
        job.lines().stream()
            .flatMap(l -> l.levels().stream())
            .mapToInt(Job.Level::stage)
            .max()
            .orElse(-1);
    for (int stage = 0; stage <= last; stage++) {
      stages.gather(stage);
    }
    return stages.drafts;
  }

  private void gather(int stage) {
    List<List<PourDraft>> cavities = cavities(stage);
    boolean lone =
        cavities.stream().flatMap(List::stream).map(p -> p.level().colour().id()).distinct().count()
            == 1;
    Limits limits = new Limits(job, lone);
    double totalMg = cavities.stream().flatMap(List::stream).mapToLong(PourDraft::massMg).sum();
    double beforeMg = 0;
    int share = 0;
    BatchDraft current = open(limits, stage);
    for (List<PourDraft> cavity : cavities) {
      int wanted = (int) (beforeMg / totalMg * job.session().splitInto());
      boolean nextShare = wanted > share && !current.isEmpty();
      share = wanted;
      if (nextShare) {
        current = open(limits, stage);
      }
      for (List<PourDraft> pours : portions(cavity, limits, stage)) {
        if (!current.fits(pours, job) && !current.isEmpty()) {
          current = open(limits, stage);
        }
        current.add(pours, job);
      }
      beforeMg += cavity.stream().mapToLong(PourDraft::massMg).sum();
    }
  }

  private BatchDraft open(Limits limits, int stage) {
    if (drafts.size() == (int) BATCHES.maxInclusive()) {
      throw tooMuch("pieces", Problem.Code.TOO_MANY, drafts.size() + 1, BATCHES);
    }
    BatchDraft draft = new BatchDraft(limits, stage);
    drafts.add(draft);
    return draft;
  }

  /** The cavity's pours as one, or as many as it takes where one batch or cup cannot hold them. */
  private List<List<PourDraft>> portions(List<PourDraft> cavity, Limits limits, int stage) {
    BatchDraft empty = new BatchDraft(limits, stage);
    if (empty.fits(cavity, job)) {
      return List.of(cavity);
    }
    List<List<PourDraft>> portions = new ArrayList<>();
    for (PourDraft pour : cavity) {
      int parts = 1;
      while (!empty.fits(pour.inParts(parts).subList(parts - 1, parts), job)) {
        parts++;
        if (parts > PARTS.maxInclusive()) {
          String at = "pieces[" + pour.line() + "].mouldId";
          throw tooMuch(at, Problem.Code.CUP_TOO_SMALL, parts, PARTS);
        }
      }
      for (PourDraft part : pour.inParts(parts)) {
        portions.add(List.of(part));
      }
    }
    return portions;
  }

  private static InvalidValuesException tooMuch(
      String field, Problem.Code code, int value, Range legal) {
    return new InvalidValuesException(List.of(Problem.outside(field, code, value, legal)));
  }

  /** Pours of one stage, a list a cavity. */
  private List<List<PourDraft>> cavities(int stage) {
    List<List<PourDraft>> cavities = new ArrayList<>();
    for (int l = 0; l < job.lines().size(); l++) {
      Job.Line line = job.lines().get(l);
      for (int cavity = 1; cavity <= line.piece().count(); cavity++) {
        List<PourDraft> pours = new ArrayList<>();
        for (int layer = 0; layer < line.levels().size(); layer++) {
          Job.Level level = line.levels().get(layer);
          if (level.stage() == stage) {
            double density = job.tints().get(level.colour().id()).mixDensity();
            pours.add(PourDraft.of(l, cavity, layer, level, density, line.uncertainShare()));
          }
        }
        if (!pours.isEmpty()) {
          cavities.add(pours);
        }
      }
    }
    return cavities;
  }
}
