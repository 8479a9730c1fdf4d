package calmpour.core.plan.search;

import static calmpour.core.check.Known.known;

import calmpour.core.check.InvalidValuesException;
import calmpour.core.check.Problem;
import calmpour.core.check.Range;
import calmpour.core.design.Join;
import calmpour.core.plan.amounts.BatchDraft;
import calmpour.core.plan.amounts.CupDraft;
import calmpour.core.plan.amounts.Limits;
import calmpour.core.plan.amounts.PourDraft;
import calmpour.core.session.Job;
import calmpour.core.session.JobInResin;
import calmpour.core.tint.Tint;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;

/**
 * Gathers the pours of a job into batches: a stage at a time, in the order of the session, a new
 * batch when the next cavity would pass a limit or the maker wants more of them.
 */
public final class Stages {
  /** More batches than anybody mixes for one session. */
  private static final Range BATCHES = new Range(1, 100);

  /** More parts than anybody would pour one layer in. */
  private static final Range PARTS = new Range(1, 100);

  private final JobInResin job;
  private final Join waits;
  private final Limits limits;

  /**
   * @param waits for what the pours of these batches wait
   */
  private Stages(JobInResin job, Join waits) {
    this.job = job;
    this.waits = waits;
    this.limits = new Limits(job);
  }

  /**
   * Pours that may share batches: of one resin and stage, and waiting for the same. The shortest
   * wait first; what waits for a day is a sitting of its own.
   *
   * @param groups pours that cannot be parted, in the order of the session
   */
  record Sitting(JobInResin job, int stage, Join waits, List<List<PourDraft>> groups) {}

  static List<Sitting> sittings(Job job) {
    List<Sitting> sittings = new ArrayList<>();
    int last =
        job.lines().stream()
            .flatMap(l -> l.poured().stream())
            .mapToInt(Job.Level::stage)
            .max()
            .orElse(-1);
    for (int stage = 0; stage <= last; stage++) {
      for (Join waits : Join.values()) {
        for (Job.ResinUse use : job.resins()) {
          JobInResin inResin = job.in(use.resin().id());
          List<List<PourDraft>> groups = new Stages(inResin, waits).groups(stage);
          if (!groups.isEmpty()) {
            sittings.add(new Sitting(inResin, stage, waits, groups));
          }
        }
      }
    }
    return sittings;
  }

  /**
   * Batches as they come: a new one when the next cavity would pass a limit of mass or cup, or the
   * maker wants more of them. Whether hands keep up is not asked.
   *
   * @throws InvalidValuesException when it would take an absurd number of batches
   */
  static List<BatchDraft.Settled> asTheyCome(Sitting sitting) {
    List<BatchDraft> drafts = new ArrayList<>();
    new Stages(sitting.job, sitting.waits).gather(sitting, drafts);
    return drafts.stream().map(BatchDraft::settled).toList();
  }

  /** Whether a group has to be poured in parts, because no cup or batch holds it. */
  static boolean inParts(Sitting sitting, List<PourDraft> group) {
    Stages stages = new Stages(sitting.job, sitting.waits);
    BatchDraft empty = new BatchDraft(sitting.job, stages.limits, sitting.stage);
    return !empty.fits(group);
  }

  private void gather(Sitting sitting, List<BatchDraft> drafts) {
    int stage = sitting.stage;
    double totalMg =
        sitting.groups.stream().flatMap(List::stream).mapToLong(PourDraft::massMg).sum();
    double beforeMg = 0;
    int share = 0;
    BatchDraft current = open(stage, drafts);
    for (List<PourDraft> group : sitting.groups) {
      int wanted = (int) (beforeMg / totalMg * job.session().splitInto());
      boolean nextShare = wanted > share && !current.isEmpty();
      share = wanted;
      if (nextShare) {
        current = open(stage, drafts);
      }
      for (List<PourDraft> pours : portions(group, stage)) {
        if (!current.isEmpty() && !current.fits(pours)) {
          current = open(stage, drafts);
        }
        current.add(pours);
      }
      beforeMg += group.stream().mapToLong(PourDraft::massMg).sum();
    }
  }

  private BatchDraft open(int stage, List<BatchDraft> drafts) {
    notTooMany(drafts.size() + 1);
    BatchDraft draft = new BatchDraft(job, limits, stage);
    drafts.add(draft);
    return draft;
  }

  /**
   * The group's pours as one, or as many as it takes where one batch or cup cannot hold them. What
   * was put together by hand is never taken apart.
   */
  private List<List<PourDraft>> portions(List<PourDraft> group, int stage) {
    BatchDraft empty = new BatchDraft(job, limits, stage);
    if (empty.fits(group)) {
      return List.of(group);
    }
    if (group.stream().anyMatch(p -> p.hand() != CupDraft.BY_PLAN)) {
      return List.of(group.stream().flatMap(p -> inCups(p).stream()).toList());
    }
    List<List<PourDraft>> portions = new ArrayList<>();
    for (PourDraft pour : group) {
      for (PourDraft part : inParts(pour, part -> empty.fits(List.of(part)))) {
        portions.add(List.of(part));
      }
    }
    return portions;
  }

  /** A pour beside one that is in a cup by hand: in as many parts as it takes cups for it. */
  private List<PourDraft> inCups(PourDraft pour) {
    Tint tint = known(job.tints().get(pour.colour().id()));
    return inParts(
        pour,
        part ->
            part.hand() != CupDraft.BY_PLAN
                || limits.bestKind(
                        job.colourCups(),
                        tint,
                        limits.loadG(part.massMg(), part.mayTakeMoreMg()),
                        true)
                    != null);
  }

  private static List<PourDraft> inParts(PourDraft pour, Predicate<PourDraft> fits) {
    int parts = 1;
    // The last part is the largest: it takes what the division of whole milligrams leaves.
    while (!fits.test(pour.inParts(parts).get(parts - 1))) {
      parts++;
      if (parts > PARTS.maxInclusive()) {
        String at = "pieces[" + pour.line() + "].mouldId";
        throw tooMuch(at, Problem.Code.CUP_TOO_SMALL, parts, PARTS);
      }
    }
    return pour.inParts(parts);
  }

  /**
   * @throws InvalidValuesException when nobody mixes so many batches for one session
   */
  static void notTooMany(int batches) {
    if (batches > BATCHES.maxInclusive()) {
      throw tooMuch("pieces", Problem.Code.TOO_MANY, batches, BATCHES);
    }
  }

  private static InvalidValuesException tooMuch(
      String field, Problem.Code code, int value, Range legal) {
    return new InvalidValuesException(List.of(Problem.outside(field, code, value, legal)));
  }

  /**
   * Pours of one stage that cannot be parted: those of one cavity, and of all cavities that share a
   * cup put together by hand.
   */
  private List<List<PourDraft>> groups(int stage) {
    List<Group> groups = new ArrayList<>();
    Map<Integer, Group> ofHand = new HashMap<>();
    for (List<PourDraft> cavity : cavities(stage)) {
      Group group = null;
      for (PourDraft pour : cavity) {
        Group other = ofHand.get(pour.hand());
        if (other != null && group != null && group != other) {
          // This cavity ties two groups together.
          Group joined = group;
          joined.pours.addAll(other.pours);
          groups.remove(other);
          ofHand.replaceAll((hand, g) -> g == other ? joined : g);
        } else if (other != null) {
          group = other;
        }
      }
      if (group == null) {
        group = new Group();
        groups.add(group);
      }
      group.pours.addAll(cavity);
      for (PourDraft pour : cavity) {
        if (pour.hand() != CupDraft.BY_PLAN) {
          ofHand.put(pour.hand(), group);
        }
      }
    }
    return groups.stream().map(g -> g.pours).toList();
  }

  /** Pours that stay in one batch; told apart by which it is, not by what is in it. */
  private static final class Group {
    final List<PourDraft> pours = new ArrayList<>();
  }

  /** Pours of one stage, a list a cavity. */
  private List<List<PourDraft>> cavities(int stage) {
    Map<Job.CavityLayer, Integer> byHand = new HashMap<>();
    for (int hand = 0; hand < job.handCups().size(); hand++) {
      for (Job.CavityLayer pour : job.handCups().get(hand).pours()) {
        byHand.put(pour, hand);
      }
    }
    List<List<PourDraft>> cavities = new ArrayList<>();
    for (int l : lines()) {
      Job.Line line = job.lines().get(l);
      for (int cavity = 1; cavity <= line.piece().count(); cavity++) {
        List<PourDraft> pours = new ArrayList<>();
        for (int layer = 0; layer < line.poured().size(); layer++) {
          Job.Level level = line.level(layer);
          boolean now = level.stage() == stage && line.waits(level) == waits;
          if (now && level.resinId().equals(job.resin().id())) {
            int hand = byHand.getOrDefault(new Job.CavityLayer(l, cavity, layer), CupDraft.BY_PLAN);
            pours.addAll(
                PourDraft.of(
                    l,
                    cavity,
                    layer,
                    line,
                    c -> known(job.tints().get(c.id())).mixDensity(),
                    limits.residue(job.colourCups().get(0)),
                    hand));
          }
        }
        if (!pours.isEmpty()) {
          cavities.add(pours);
        }
      }
    }
    return cavities;
  }

  /**
   * Lines as they are taken: by what they are, so that the order in which a maker entered them
   * makes no other plan, and cups keep their numbers when one of them is changed.
   */
  private List<Integer> lines() {
    List<Integer> lines = new ArrayList<>();
    for (int l = 0; l < job.lines().size(); l++) {
      lines.add(l);
    }
    lines.sort(
        Comparator.comparing((Integer l) -> job.lines().get(l).piece().mouldId())
            .thenComparing(l -> job.lines().get(l).piece().toString()));
    return lines;
  }
}
