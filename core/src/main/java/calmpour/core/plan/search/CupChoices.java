package calmpour.core.plan.search;

import static calmpour.core.check.Known.known;

import calmpour.core.cup.CupKind;
import calmpour.core.plan.amounts.BatchDraft;
import calmpour.core.plan.amounts.CupDraft;
import calmpour.core.plan.amounts.Limits;
import calmpour.core.plan.amounts.PourDraft;
import calmpour.core.plan.search.Stages.Sitting;
import calmpour.core.plan.search.Trials.Trial;
import calmpour.core.plan.time.Chain;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/** Other cups for one batch of pours: other kinds, more of them, other pours in each. */
public final class CupChoices {
  /** A cup too late is taken apart no further than that many times. */
  private static final int MOST_EXTRA_CUPS = 3;

  /** Choices of kinds of cup that are all tried. */
  private static final int MOST_WAYS = 81;

  /** Exchanges of pours that are tried at a time. */
  private static final int MOST_EXCHANGES = 80;

  /** Cups changed one after the other for more time to spare. */
  private static final int MOST_CALMING = 6;

  private final Trials trials;
  private final Sitting sitting;
  private final List<Integer> groups;
  private final int required;
  private final BatchDraft draft;

  /**
   * @param groups places of the sitting's groups that share the batch
   * @param required time to spare that is looked for, s
   */
  CupChoices(Trials trials, Sitting sitting, List<Integer> groups, int required) {
    this.trials = trials;
    this.sitting = sitting;
    this.groups = groups;
    this.required = required;
    this.draft =
        new BatchDraft(sitting.job(), new Limits(sitting.job()), sitting.stage(), trials.splits());
    groups.forEach(g -> draft.add(sitting.groups().get(g)));
  }

  /** The batch in the cups that its limits ask for; null when there are none. */
  @Nullable Trial first(boolean poured) {
    BatchDraft.Settled settled = draft.settledWithinLimits(poured);
    return settled == null ? null : tried(enoughCups(settled));
  }

  private Trial tried(BatchDraft.Settled settled) {
    return trials.measured(sitting, groups, settled);
  }

  /**
   * The same batch with more time to spare, as long as that costs no step of waste: the tightest
   * cups one by one in other kinds, or as two.
   */
  Trial calmer(Trial from) {
    Trial best = from;
    for (int step = 0; step < MOST_CALMING; step++) {
      if (best.spareSeconds() >= Chain.calm(required) || best.draft().lone() || !trials.goOn()) {
        return best;
      }
      Trial now = best;
      List<Integer> tightest =
          IntStream.range(0, now.spares().size())
              .boxed()
              .sorted(Comparator.comparing(now.spares()::get))
              .limit(2)
              .toList();
      boolean gained = false;
      for (int at : tightest) {
        for (BatchDraft.Settled other : others(now.draft(), now.draft().cups().get(at))) {
          Trial trial = tried(enoughCups(other));
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
  private List<BatchDraft.Settled> others(BatchDraft.Settled of, CupDraft cup) {
    List<BatchDraft.Settled> others = new ArrayList<>();
    if (cup.byHand()) {
      return others;
    }
    int at = of.cups().indexOf(cup);
    for (CupKind kind : draft.kindsFor(cup)) {
      if (!kind.equals(cup.kind())) {
        List<CupDraft> cups = new ArrayList<>(of.cups());
        cups.set(at, cup.with(cup.pours(), kind));
        if (draft.holds(cups)) {
          others.add(new BatchDraft.Settled(of.resinId(), of.stage(), cups, false));
        }
      }
    }
    BatchDraft.Settled two = cup.pours().size() > 1 ? apart(of, cup) : null;
    if (two != null) {
      others.add(two);
    }
    return others;
  }

  /** What is a little too late in calm ways is tried in every way that cups can be chosen. */
  Trial justInTime(Trial nearly) {
    Trial best = calmer(nearly);
    best = everyKind(best);
    if (best.spareSeconds() >= required || best.draft().lone()) {
      return best;
    }
    best = shuffled(best);
    for (int at = 0; at < best.draft().cups().size() && best.spareSeconds() < required; at++) {
      CupDraft cup = best.draft().cups().get(at);
      BatchDraft.Settled two =
          cup.byHand() || cup.pours().size() < 2 || !trials.goOn()
              ? null
              : apart(best.draft(), cup);
      if (two != null) {
        Trial halved = tried(enoughCups(two));
        halved = everyKind(halved);
        halved = shuffled(halved);
        best = halved.betterThan(best, required) ? halved : best;
      }
    }
    return best;
  }

  /** Pours change between cups of one colour, always the change that gains most. */
  private Trial shuffled(Trial from) {
    Trial best = from;
    for (int step = 0; step < MOST_CALMING && best.spareSeconds() < required; step++) {
      Trial now = best;
      for (List<CupDraft> cups : exchanged(now.draft().cups())) {
        if (!trials.goOn()) {
          return best;
        }
        if (draft.holds(cups)) {
          BatchDraft.Settled settled =
              new BatchDraft.Settled(now.draft().resinId(), now.draft().stage(), cups, false);
          Trial trial = tried(enoughCups(settled));
          best = trial.betterThan(best, required) ? trial : best;
        }
      }
      if (best.equals(now)) {
        return best;
      }
    }
    return best;
  }

  /** The same cups with one pour in another of its colour, or two pours in each other's place. */
  private static List<List<CupDraft>> exchanged(List<CupDraft> cups) {
    List<List<CupDraft>> all = new ArrayList<>();
    for (int a = 0; a < cups.size(); a++) {
      for (int b = 0; b < cups.size(); b++) {
        boolean alike = a != b && cups.get(a).colour().equals(cups.get(b).colour());
        if (!alike || cups.get(a).byHand() || cups.get(b).byHand()) {
          continue;
        }
        for (PourDraft out : cups.get(a).pours()) {
          if (cups.get(a).pours().size() > 1) {
            exchange(all, cups, a, b, out, null);
          }
          for (PourDraft back : a < b ? cups.get(b).pours() : List.<PourDraft>of()) {
            if (out.massMg() != back.massMg()) {
              exchange(all, cups, a, b, out, back);
            }
          }
        }
      }
    }
    return all;
  }

  private static void exchange(
      List<List<CupDraft>> all,
      List<CupDraft> cups,
      int a,
      int b,
      PourDraft out,
      @Nullable PourDraft back) {
    if (all.size() >= MOST_EXCHANGES) {
      return;
    }
    List<PourDraft> inA = new ArrayList<>(cups.get(a).pours());
    List<PourDraft> inB = new ArrayList<>(cups.get(b).pours());
    inA.remove(out);
    inB.add(out);
    if (back != null) {
      inB.remove(back);
      inA.add(back);
    }
    List<CupDraft> changed = new ArrayList<>(cups);
    changed.set(a, cups.get(a).with(inA, cups.get(a).kind()));
    changed.set(b, cups.get(b).with(inB, cups.get(b).kind()));
    all.add(changed);
  }

  /** The same cups in every choice of their kinds, where those are few. */
  private Trial everyKind(Trial from) {
    List<CupDraft> cups = from.draft().cups();
    List<List<CupKind>> kinds = new ArrayList<>();
    int ways = 1;
    for (CupDraft cup : cups) {
      kinds.add(cup.byHand() ? List.of(cup.kind()) : draft.kindsFor(cup));
      ways *= Math.max(1, kinds.getLast().size());
      if (ways > MOST_WAYS) {
        return from;
      }
    }
    Trial best = from;
    for (int way = 0; way < ways && trials.goOn() && !from.draft().lone(); way++) {
      List<CupDraft> chosen = new ArrayList<>();
      int rest = way;
      for (int c = 0; c < cups.size() && !kinds.get(c).isEmpty(); c++) {
        CupKind kind = kinds.get(c).get(rest % kinds.get(c).size());
        rest /= kinds.get(c).size();
        chosen.add(cups.get(c).with(cups.get(c).pours(), kind));
      }
      if (chosen.size() == cups.size() && draft.holds(chosen)) {
        BatchDraft.Settled settled =
            new BatchDraft.Settled(from.draft().resinId(), from.draft().stage(), chosen, false);
        Trial trial = tried(enoughCups(settled));
        best = trial.betterThan(best, required) ? trial : best;
      }
    }
    return best;
  }

  /** Cups that stay pourable for longer: other kinds, and more of them. */
  Trial slower(Trial from) {
    Trial best = from;
    Trial now = from;
    for (int extra = 0; extra <= MOST_EXTRA_CUPS; extra++) {
      BatchDraft.Settled roomy = roomy(now.draft());
      if (roomy != null) {
        Trial trial = tried(enoughCups(roomy));
        now = trial.spareSeconds() > now.spareSeconds() ? trial : now;
        best = trial.betterThan(best, required) ? trial : best;
      }
      // More cups are waste: only where it would not do without them.
      BatchDraft.Settled apart = best.spareSeconds() >= required ? null : apart(now.draft());
      if (apart == null) {
        return best;
      }
      now = tried(enoughCups(apart));
      best = now.betterThan(best, required) ? now : best;
    }
    return best;
  }

  /** Every cup in the kind in which it lasts longest; null where there is no choice. */
  private BatchDraft.@Nullable Settled roomy(BatchDraft.Settled of) {
    List<CupDraft> cups = new ArrayList<>();
    boolean changed = false;
    for (CupDraft cup : of.cups()) {
      List<CupKind> kinds =
          cup.byHand() ? List.of() : of.lone() ? draft.loneKindsFor(cup) : draft.kindsFor(cup);
      CupKind longest = cup.kind();
      double most = trials.lasts(sitting.job(), cup, known(cup.kind()));
      for (CupKind kind : kinds) {
        double minutes = kind.equals(cup.kind()) ? most : trials.lasts(sitting.job(), cup, kind);
        // Half a minute is not worth another cup.
        if (minutes > most + 0.5) {
          longest = kind;
          most = minutes;
        }
      }
      changed |= !known(longest).equals(cup.kind());
      cups.add(cup.with(cup.pours(), longest));
    }
    boolean holds = of.lone() || draft.holds(cups);
    return changed && holds
        ? new BatchDraft.Settled(of.resinId(), of.stage(), cups, of.lone())
        : null;
  }

  /** The kind in which a cup lasts longest, the first of equals; null when there is none. */
  private @Nullable CupKind longest(CupDraft cup, List<CupKind> kinds) {
    CupKind longest = null;
    double most = 0;
    for (CupKind kind : kinds) {
      double minutes = trials.lasts(sitting.job(), cup, kind);
      if (minutes > most) {
        longest = kind;
        most = minutes;
      }
    }
    return longest;
  }

  /** The fullest cup of several pours as two; null when there is none. */
  private BatchDraft.@Nullable Settled apart(BatchDraft.Settled of) {
    CupDraft fullest =
        of.cups().stream()
            .filter(c -> !c.byHand() && c.pours().size() > 1)
            .max(Comparator.comparingLong(c -> c.pouredMg()))
            .orElse(null);
    return fullest == null || of.lone() ? null : apart(of, fullest);
  }

  /** A cup of several pours as two; null when no kind holds one of them. */
  private BatchDraft.@Nullable Settled apart(BatchDraft.Settled of, CupDraft fullest) {
    CupDraft one = new CupDraft(fullest.colour(), fullest.tint(), fullest.hand());
    CupDraft two = new CupDraft(fullest.colour(), fullest.tint(), fullest.hand());
    for (PourDraft pour : fullest.pours()) {
      (one.pouredMg() <= two.pouredMg() ? one : two).add(pour);
    }
    List<CupDraft> cups = new ArrayList<>();
    for (CupDraft cup : of.cups()) {
      for (CupDraft half : cup == fullest ? List.of(one, two) : List.of(cup)) {
        if (half.kind() == null) {
          half.settle(longest(half, draft.kindsFor(half)));
        }
        if (half.kind() == null) {
          return null;
        }
        cups.add(half);
      }
    }
    return draft.holds(cups) ? new BatchDraft.Settled(of.resinId(), of.stage(), cups, false) : null;
  }

  /** Other kinds where there are fewer of one than cups were given it. */
  private BatchDraft.Settled enoughCups(BatchDraft.Settled of) {
    Map<String, Integer> left = new HashMap<>();
    boolean short_ = false;
    for (CupDraft cup : of.cups()) {
      CupKind kind = known(cup.kind());
      Integer have = kind.have();
      if (have != null) {
        short_ |= left.merge(kind.id(), 1, Integer::sum) > have;
      }
    }
    if (!short_ || of.lone()) {
      return of;
    }
    left.clear();
    List<CupDraft> cups = new ArrayList<>(of.cups());
    // What has most in it has least choice.
    List<CupDraft> byLoad = new ArrayList<>(of.cups());
    byLoad.sort(Comparator.comparingLong((CupDraft c) -> c.pouredMg()).reversed());
    for (CupDraft cup : byLoad) {
      CupKind kind = cup.kind();
      if (!free(known(kind), left) && !cup.byHand()) {
        kind =
            draft.kindsFor(cup).stream().filter(k -> free(k, left)).findFirst().orElse(cup.kind());
      }
      left.merge(known(kind).id(), 1, Integer::sum);
      cups.set(of.cups().indexOf(cup), cup.with(cup.pours(), kind));
    }
    return draft.holds(cups) ? new BatchDraft.Settled(of.resinId(), of.stage(), cups, false) : of;
  }

  private static boolean free(CupKind kind, Map<String, Integer> taken) {
    return kind.have() == null || taken.getOrDefault(kind.id(), 0) < kind.have();
  }
}
