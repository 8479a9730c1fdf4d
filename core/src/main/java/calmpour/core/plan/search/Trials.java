package calmpour.core.plan.search;

import calmpour.core.check.Known;
import calmpour.core.cup.CupKind;
import calmpour.core.cure.CureModel;
import calmpour.core.derive.Recorder;
import calmpour.core.design.PieceWork;
import calmpour.core.habit.Habits;
import calmpour.core.habit.Hands;
import calmpour.core.plan.amounts.Amounts;
import calmpour.core.plan.amounts.BatchDraft;
import calmpour.core.plan.amounts.CupDraft;
import calmpour.core.plan.amounts.CupSplits;
import calmpour.core.plan.amounts.FilledBatch;
import calmpour.core.plan.amounts.Limits;
import calmpour.core.plan.amounts.MixSheet;
import calmpour.core.plan.amounts.PourDraft;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.time.Bodies;
import calmpour.core.plan.time.Chain;
import calmpour.core.plan.time.Spare;
import calmpour.core.session.Job;
import calmpour.core.session.JobInResin;
import calmpour.core.tool.Tool;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * Tries out groups of pours as one batch: whether it holds them, its waste and its time to spare.
 */
public final class Trials {
  /** Waste is compared in steps of that, g. */
  static final double STEP_G = 5;

  /** So much too late a batch may be to be worth changing its cups one by one, s. */
  private static final int NEARLY_SECONDS = 240;

  private final CureModel cure;
  private final Watch watch;
  private final Map<String, Trial> known = new HashMap<>();
  private final Map<String, Trial> measured = new HashMap<>();
  private final Map<String, Double> alone = new HashMap<>();
  private final CupSplits splits;
  private int tried;

  Trials(CureModel cure, Watch watch) {
    this(cure, watch, new CupSplits());
  }

  private Trials(CureModel cure, Watch watch, CupSplits splits) {
    this.cure = cure;
    this.watch = watch;
    this.splits = splits;
  }

  CupSplits splits() {
    return splits;
  }

  /**
   * One batch as it was tried.
   *
   * @param groups of which it was made
   * @param wasteG what is mixed and reaches no mould
   * @param spares least time between a pour's end and its cup's last good moment, by cup
   */
  record Trial(
      BatchDraft.Settled draft, List<Integer> groups, double wasteG, List<Integer> spares) {
    int spareSeconds() {
      return spares.stream().mapToInt(Integer::intValue).min().orElseThrow();
    }

    Quality quality() {
      return new Quality(0, 1, wasteG, spareSeconds());
    }

    boolean betterThan(Trial other, int required) {
      return quality().betterThan(other.quality(), STEP_G, required);
    }
  }

  /** With nothing known yet, for other groups; what was tried counts on. */
  Trials fresh() {
    Trials fresh = new Trials(cure, watch, splits);
    fresh.tried = tried;
    return fresh;
  }

  int tried() {
    return tried;
  }

  boolean goOn() {
    return watch.goOn(tried);
  }

  /**
   * @param groups places of the sitting's groups, rising
   * @param required time to spare that is looked for, s
   * @return null when a cup, the batch, the pot or the box would be over its limit
   */
  @Nullable Trial of(Stages.Sitting sitting, List<Integer> groups, int required) {
    String key = key(sitting, groups, required);
    if (known.containsKey(key)) {
      return known.get(key);
    }
    Trial trial = make(sitting, groups, required);
    known.put(key, trial);
    return trial;
  }

  /** Cavities of one line are all alike, unless one was put together by hand. */
  private static String key(Stages.Sitting sitting, List<Integer> groups, int required) {
    StringBuilder key = new StringBuilder();
    key.append(required).append(' ').append(sitting.stage()).append(sitting.waits());
    key.append(sitting.job().resin().id());
    for (int at : groups) {
      key.append(' ').append(kind(sitting, at));
    }
    return key.toString();
  }

  static String kind(Stages.Sitting sitting, int at) {
    List<PourDraft> group = sitting.groups().get(at);
    boolean plain = group.stream().noneMatch(p -> p.hand() != CupDraft.BY_PLAN);
    return plain ? "" + group.get(0).line() : "#" + at;
  }

  /** The batch of just these groups, where one of groups alike was tried. */
  BatchDraft.Settled draft(
      Stages.Sitting sitting, Trial alike, List<Integer> groups, int required) {
    Trial own = alike.groups.equals(groups) ? alike : make(sitting, groups, required);
    if (own == null) {
      throw new IllegalStateException("bug: cavities alike do not make batches alike");
    }
    return goOn()
        ? new CupChoices(this, sitting, own.groups, required).calmer(own).draft
        : own.draft;
  }

  private @Nullable Trial make(Stages.Sitting sitting, List<Integer> groups, int required) {
    tried++;
    if (!toolsHold(sitting, groups)) {
      return null;
    }
    CupChoices cups = new CupChoices(this, sitting, groups, required);
    Trial best = null;
    for (boolean poured : new boolean[] {false, true}) {
      if (poured && best != null && !best.draft.lone()) {
        continue;
      }
      Trial trial = cups.first(poured);
      if (trial == null) {
        continue;
      }
      best = best == null || trial.betterThan(best, required) ? trial : best;
      if (best.spareSeconds() >= Chain.calm(required) || !goOn()) {
        return best;
      }
      best = cups.slower(best);
    }
    boolean nearly =
        best != null
            && best.spareSeconds() < required
            && best.spareSeconds() > required - NEARLY_SECONDS;
    if (!nearly) {
      return best;
    }
    // With many pours in a sitting another batch takes some of them: that is quicker to see.
    return sitting.groups().size() <= BatchSearch.EVERY_WAY
        ? cups.justInTime(Known.known(best))
        : cups.calmer(Known.known(best));
  }

  /** A batch in these cups as it comes out. */
  Trial measured(Stages.Sitting sitting, List<Integer> groups, BatchDraft.Settled settled) {
    String key = key(sitting, settled);
    Trial before = measured.get(key);
    if (before == null) {
      before = measure(sitting, groups, settled);
      measured.put(key, before);
    }
    return new Trial(settled, List.copyOf(groups), before.wasteG, before.spares);
  }

  /** Cavities of one line are all alike: pours of the same layer of it come to the same. */
  private static String key(Stages.Sitting sitting, BatchDraft.Settled settled) {
    StringBuilder key = new StringBuilder();
    key.append(sitting.stage()).append(sitting.waits()).append(settled.lone());
    key.append(settled.resinId());
    for (CupDraft cup : settled.cups()) {
      key.append('/')
          .append(cup.kind() == null ? "" : cup.kind().id())
          .append(' ')
          .append(cup.hand());
      for (PourDraft pour : cup.pours()) {
        key.append(' ').append(pour.line()).append('.').append(pour.layer());
        key.append('.').append(pour.part()).append('.').append(pour.half());
        key.append('.').append(pour.hand() == CupDraft.BY_PLAN ? "" : "" + pour.cavity());
      }
    }
    return key.toString();
  }

  private Trial measure(Stages.Sitting sitting, List<Integer> groups, BatchDraft.Settled settled) {
    FilledBatch filled = new MixSheet(sitting.job(), Recorder.off()).fill(1, settled);
    Batch batch = new Amounts(sitting.job()).batch(filled);
    double waste =
        batch.mixing().staysG()
            + batch.cups().stream().mapToDouble(c -> c.amounts().staysG()).sum();
    return new Trial(settled, List.copyOf(groups), waste, Spare.ofCups(sitting.job(), cure, batch));
  }

  /** What pouring alone takes, s. */
  double pouringSeconds(Stages.Sitting sitting) {
    Hands hands = sitting.job().session().hands();
    return sitting.groups().stream()
        .flatMap(List::stream)
        .mapToDouble(p -> hands.pourSecondsCavity() + hands.pourSecondsMl() * p.volumeMl())
        .sum();
  }

  /**
   * The longest that can be poured from any cup of a batch, all hands together: from the end of the
   * rest until the smallest pour, alone in whichever cup keeps it longest, thickens less the
   * margin; infinite where even that is too late.
   */
  double longestSeconds(Stages.Sitting sitting) {
    JobInResin job = sitting.job();
    double most = 0;
    for (List<PourDraft> group : sitting.groups()) {
      for (PourDraft pour : group) {
        CupDraft cup =
            new CupDraft(
                pour.colour(), Known.known(job.tints().get(pour.colour().id())), CupDraft.BY_PLAN);
        cup.add(pour);
        for (List<CupKind> kinds : List.of(job.colourCups(), job.mixingCups())) {
          for (CupKind kind : kinds) {
            most = Math.max(most, known(job, cup, kind));
          }
        }
      }
    }
    Habits habits = job.session().habits();
    Double label = job.resin().mixMinutes();
    double before =
        job.session().hands().weighSecondsPart()
            + 60 * (label == null ? habits.stirMinutes() : label)
            + 60 * habits.restMinutes();
    double left = most * 60 - 60 * habits.marginMinutes() - before;
    int pairs = habits.planning().pairsOfHands();
    return left > 0 ? left * pairs : Double.POSITIVE_INFINITY;
  }

  /** Minutes; pours alike are not asked about twice. */
  private double known(JobInResin job, CupDraft cup, CupKind kind) {
    String key =
        job.resin().id() + " " + cup.colour().id() + " " + cup.pouredMg() + " " + kind.id();
    return alone.computeIfAbsent(key, k -> lasts(job, cup, kind));
  }

  /**
   * Minutes for which a cup's load would stay pourable in a kind, forgotten there from the start.
   */
  double lasts(JobInResin job, CupDraft cup, CupKind kind) {
    Limits limits = new Limits(job);
    double massG =
        limits.residue(kind).contentFor(limits.loadG(cup.pouredMg(), cup.mayTakeMoreMg()));
    return cure.thickens(job.resin(), Bodies.alone(job, kind, massG, cup.tint())).workingMinutes();
  }

  /** Pot and box take one load of a batch, and what is in it all cures there. */
  private static boolean toolsHold(Stages.Sitting sitting, List<Integer> groups) {
    if (groups.size() < 2) {
      return true;
    }
    Map<PieceWork.Curing, Integer> pieces = new HashMap<>();
    for (int at : groups) {
      PourDraft top = sitting.groups().get(at).get(sitting.groups().get(at).size() - 1);
      Job.Line line = sitting.job().lines().get(top.line());
      if (top.layer() == line.levels().size() - 1) {
        pieces.merge(line.piece().workOrNone().curing(), 1, Integer::sum);
      }
    }
    return holds(sitting.job(), Tool.Kind.PRESSURE_POT, pieces.get(PieceWork.Curing.PRESSURE_POT))
        && holds(sitting.job(), Tool.Kind.HOT_BOX, pieces.get(PieceWork.Curing.HOT_BOX));
  }

  private static boolean holds(JobInResin job, Tool.Kind kind, @Nullable Integer pieces) {
    Tool tool =
        job.tools().stream()
            .filter(t -> t.kind() == kind)
            .min(Comparator.comparing(Tool::id))
            .orElse(null);
    return pieces == null || tool == null || tool.holds() == null || pieces <= tool.holds();
  }
}
