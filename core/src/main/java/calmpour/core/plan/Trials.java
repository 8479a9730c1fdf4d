package calmpour.core.plan;

import calmpour.core.cure.CureModel;
import calmpour.core.derive.Recorder;
import calmpour.core.design.PieceWork;
import calmpour.core.habit.Habits;
import calmpour.core.habit.Hands;
import calmpour.core.session.CupKind;
import calmpour.core.session.Job;
import calmpour.core.tool.Tool;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * Tries out groups of pours as one batch: whether it holds them, its waste and its time to spare.
 */
final class Trials {
  /** Waste is compared in steps of that, g. */
  static final double STEP_G = 5;

  /** A cup too late is taken apart no further than that many times. */
  private static final int MOST_EXTRA_CUPS = 3;

  /** Cups changed one after the other for more time to spare. */
  private static final int MOST_CALMING = 6;

  /** So much too late a batch may be to be worth changing its cups one by one, s. */
  private static final int NEARLY_SECONDS = 240;

  private final CureModel cure;
  private final Watch watch;
  private final Map<String, Trial> known = new HashMap<>();
  private final Map<String, Double> alone = new HashMap<>();
  private int tried;

  Trials(CureModel cure, Watch watch) {
    this.cure = cure;
    this.watch = watch;
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

    private boolean betterThan(Trial other, int required) {
      boolean does = spareSeconds() >= required;
      if (does != other.spareSeconds() >= required) {
        return does;
      }
      if (!does) {
        return spareSeconds() > other.spareSeconds();
      }
      long steps = steps(wasteG, STEP_G);
      long others = steps(other.wasteG, STEP_G);
      int calm = required + Chain.CALM_SECONDS;
      return steps != others
          ? steps < others
          : Math.min(spareSeconds(), calm) > Math.min(other.spareSeconds(), calm);
    }
  }

  static long steps(double wasteG, double stepG) {
    return (long) Math.floor(wasteG / stepG + 1e-9);
  }

  /** With nothing known yet, for other groups; what was tried counts on. */
  Trials fresh() {
    Trials fresh = new Trials(cure, watch);
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
    return goOn() ? calmer(sitting, own, required).draft : own.draft;
  }

  /**
   * The same batch with more time to spare, as long as that costs no step of waste: the tightest
   * cups one by one in other kinds, or as two.
   */
  private Trial calmer(Stages.Sitting sitting, Trial from, int required) {
    BatchDraft draft = new BatchDraft(sitting.job(), new Limits(sitting.job()), sitting.stage());
    from.groups.forEach(g -> draft.add(sitting.groups().get(g)));
    Trial best = from;
    for (int step = 0; step < MOST_CALMING; step++) {
      if (best.spareSeconds() >= required + Chain.CALM_SECONDS || best.draft.lone() || !goOn()) {
        return best;
      }
      Trial now = best;
      List<Integer> tightest =
          IntStream.range(0, now.spares.size())
              .boxed()
              .sorted(Comparator.comparing(now.spares::get))
              .limit(2)
              .toList();
      boolean gained = false;
      for (int at : tightest) {
        for (BatchDraft.Settled other :
            others(sitting, draft, now.draft, now.draft.cups().get(at))) {
          Trial trial = tried(sitting, from.groups, enoughCups(draft, other));
          if (trial.betterThan(best, required)) {
            best = trial;
            gained = true;
          }
        }
      }
      if (!gained) {
        return best;
      }
    }
    return best;
  }

  /** One cup in each other kind that holds it, and as two. */
  private List<BatchDraft.Settled> others(
      Stages.Sitting sitting, BatchDraft draft, BatchDraft.Settled of, CupDraft cup) {
    List<BatchDraft.Settled> others = new ArrayList<>();
    if (cup.byHand()) {
      return others;
    }
    int at = of.cups().indexOf(cup);
    for (CupKind kind : draft.kindsFor(cup)) {
      if (!kind.equals(cup.kind)) {
        List<CupDraft> cups = new ArrayList<>(of.cups());
        cups.set(at, cup.with(cup.pours, kind));
        if (draft.holds(cups)) {
          others.add(new BatchDraft.Settled(of.resinId(), of.stage(), cups, false));
        }
      }
    }
    BatchDraft.Settled two = cup.pours.size() > 1 ? apart(sitting, draft, of, cup) : null;
    if (two != null) {
      others.add(two);
    }
    return others;
  }

  private @Nullable Trial make(Stages.Sitting sitting, List<Integer> groups, int required) {
    tried++;
    if (!toolsHold(sitting, groups)) {
      return null;
    }
    Trial best = null;
    for (boolean poured : new boolean[] {false, true}) {
      BatchDraft draft = new BatchDraft(sitting.job(), new Limits(sitting.job()), sitting.stage());
      groups.forEach(g -> draft.add(sitting.groups().get(g)));
      BatchDraft.Settled settled = draft.settledWithinLimits(poured);
      if (settled == null || (poured && best != null && !best.draft.lone())) {
        continue;
      }
      Trial trial = tried(sitting, groups, enoughCups(draft, settled));
      best = best == null || trial.betterThan(best, required) ? trial : best;
      if (best.spareSeconds() >= required + Chain.CALM_SECONDS || !goOn()) {
        return best;
      }
      best = slower(sitting, draft, best, required);
    }
    boolean nearly =
        best != null
            && best.spareSeconds() < required
            && best.spareSeconds() > required - NEARLY_SECONDS;
    return nearly ? calmer(sitting, best, required) : best;
  }

  private Trial tried(Stages.Sitting sitting, List<Integer> groups, BatchDraft.Settled settled) {
    MixSheet.FilledBatch filled = new MixSheet(sitting.job(), Recorder.off()).fill(1, settled);
    Batch batch = new Assembly(sitting.job(), cure, Recorder.off()).amounts(filled);
    double waste = batch.staysG() + batch.cups().stream().mapToDouble(Cup::staysG).sum();
    return new Trial(
        settled, List.copyOf(groups), waste, Schedule.spares(sitting.job(), cure, batch));
  }

  /** Cups that stay pourable for longer: other kinds, and more of them. */
  private Trial slower(Stages.Sitting sitting, BatchDraft draft, Trial from, int required) {
    Trial best = from;
    Trial now = from;
    for (int extra = 0; extra <= MOST_EXTRA_CUPS; extra++) {
      BatchDraft.Settled roomy = roomy(sitting, draft, now.draft);
      if (roomy != null) {
        Trial trial = tried(sitting, from.groups, enoughCups(draft, roomy));
        now = trial.spareSeconds() > now.spareSeconds() ? trial : now;
        best = trial.betterThan(best, required) ? trial : best;
      }
      // More cups are waste: only where it would not do without them.
      BatchDraft.Settled apart =
          best.spareSeconds() >= required ? null : apart(sitting, draft, now.draft);
      if (apart == null) {
        return best;
      }
      now = tried(sitting, from.groups, enoughCups(draft, apart));
      best = now.betterThan(best, required) ? now : best;
    }
    return best;
  }

  /** Every cup in the kind in which it lasts longest; null where there is no choice. */
  private BatchDraft.@Nullable Settled roomy(
      Stages.Sitting sitting, BatchDraft draft, BatchDraft.Settled of) {
    List<CupDraft> cups = new ArrayList<>();
    boolean changed = false;
    for (CupDraft cup : of.cups()) {
      List<CupKind> kinds =
          cup.byHand() ? List.of() : of.lone() ? draft.loneKindsFor(cup) : draft.kindsFor(cup);
      CupKind longest = cup.kind;
      double most = lasts(sitting.job(), cup, cup.kind);
      for (CupKind kind : kinds) {
        double minutes = kind.equals(cup.kind) ? most : lasts(sitting.job(), cup, kind);
        // Half a minute is not worth another cup.
        if (minutes > most + 0.5) {
          longest = kind;
          most = minutes;
        }
      }
      changed |= !longest.equals(cup.kind);
      cups.add(cup.with(cup.pours, longest));
    }
    boolean holds = of.lone() || draft.holds(cups);
    return changed && holds
        ? new BatchDraft.Settled(of.resinId(), of.stage(), cups, of.lone())
        : null;
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
    Job job = sitting.job();
    double most = 0;
    for (List<PourDraft> group : sitting.groups()) {
      for (PourDraft pour : group) {
        CupDraft cup =
            new CupDraft(pour.colour(), job.tints().get(pour.colour().id()), CupDraft.BY_PLAN);
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
  private double known(Job job, CupDraft cup, CupKind kind) {
    String key = job.resin().id() + " " + cup.colour.id() + " " + cup.pouredMg + " " + kind.id();
    return alone.computeIfAbsent(key, k -> lasts(job, cup, kind));
  }

  /** The kind in which a cup lasts longest, the first of equals; null when there is none. */
  private @Nullable CupKind longest(Job job, CupDraft cup, List<CupKind> kinds) {
    CupKind longest = null;
    double most = 0;
    for (CupKind kind : kinds) {
      double minutes = lasts(job, cup, kind);
      if (minutes > most) {
        longest = kind;
        most = minutes;
      }
    }
    return longest;
  }

  /**
   * Minutes for which a cup's load would stay pourable in a kind, forgotten there from the start.
   */
  private double lasts(Job job, CupDraft cup, CupKind kind) {
    Limits limits = new Limits(job);
    double massG = limits.clings(kind).contentFor(limits.loadG(cup.pouredMg, cup.mayTakeMoreMg));
    return cure.thickens(job.resin(), Bodies.alone(job, kind, massG, cup.tint)).workingMinutes();
  }

  /** The fullest cup of several pours as two; null when there is none. */
  private BatchDraft.@Nullable Settled apart(
      Stages.Sitting sitting, BatchDraft draft, BatchDraft.Settled of) {
    CupDraft fullest =
        of.cups().stream()
            .filter(c -> !c.byHand() && c.pours.size() > 1)
            .max(Comparator.comparingLong(c -> c.pouredMg))
            .orElse(null);
    return fullest == null || of.lone() ? null : apart(sitting, draft, of, fullest);
  }

  /** A cup of several pours as two; null when no kind holds one of them. */
  private BatchDraft.@Nullable Settled apart(
      Stages.Sitting sitting, BatchDraft draft, BatchDraft.Settled of, CupDraft fullest) {
    CupDraft one = new CupDraft(fullest.colour, fullest.tint, fullest.hand);
    CupDraft two = new CupDraft(fullest.colour, fullest.tint, fullest.hand);
    for (PourDraft pour : fullest.pours) {
      (one.pouredMg <= two.pouredMg ? one : two).add(pour);
    }
    List<CupDraft> cups = new ArrayList<>();
    for (CupDraft cup : of.cups()) {
      for (CupDraft half : cup == fullest ? List.of(one, two) : List.of(cup)) {
        if (half.kind == null) {
          half.kind = longest(sitting.job(), half, draft.kindsFor(half));
        }
        if (half.kind == null) {
          return null;
        }
        cups.add(half);
      }
    }
    return draft.holds(cups) ? new BatchDraft.Settled(of.resinId(), of.stage(), cups, false) : null;
  }

  /** Other kinds where there are fewer of one than cups were given it. */
  private static BatchDraft.Settled enoughCups(BatchDraft draft, BatchDraft.Settled of) {
    Map<String, Integer> left = new HashMap<>();
    boolean short_ = false;
    for (CupDraft cup : of.cups()) {
      if (cup.kind.have() != null) {
        short_ |= left.merge(cup.kind.id(), 1, Integer::sum) > cup.kind.have();
      }
    }
    if (!short_ || of.lone()) {
      return of;
    }
    left.clear();
    List<CupDraft> cups = new ArrayList<>(of.cups());
    // What has most in it has least choice.
    List<CupDraft> byLoad = new ArrayList<>(of.cups());
    byLoad.sort(Comparator.comparingLong((CupDraft c) -> c.pouredMg).reversed());
    for (CupDraft cup : byLoad) {
      CupKind kind = cup.kind;
      if (!free(kind, left) && !cup.byHand()) {
        kind = draft.kindsFor(cup).stream().filter(k -> free(k, left)).findFirst().orElse(cup.kind);
      }
      left.merge(kind.id(), 1, Integer::sum);
      cups.set(of.cups().indexOf(cup), cup.with(cup.pours, kind));
    }
    return draft.holds(cups) ? new BatchDraft.Settled(of.resinId(), of.stage(), cups, false) : of;
  }

  private static boolean free(CupKind kind, Map<String, Integer> taken) {
    return kind.have() == null || taken.getOrDefault(kind.id(), 0) < kind.have();
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

  private static boolean holds(Job job, Tool.Kind kind, @Nullable Integer pieces) {
    Tool tool =
        job.tools().stream()
            .filter(t -> t.kind() == kind)
            .min(Comparator.comparing(Tool::id))
            .orElse(null);
    return pieces == null || tool == null || tool.holds() == null || pieces <= tool.holds();
  }
}
