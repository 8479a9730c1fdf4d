package calmpour.core.plan;

import calmpour.core.cure.BodyHistory;
import calmpour.core.cure.CureModel;
import calmpour.core.cure.CureStates;
import calmpour.core.habit.Habits;
import calmpour.core.habit.Hands;
import calmpour.core.habit.Mixing;
import calmpour.core.session.Job;
import calmpour.core.tint.Tint;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * Lays the work of one pair of hands along the clock, batch after batch: warm, weigh, stir, over
 * into a second cup, rest, split, tint, pour, look for bubbles, cover. Whole seconds from the first
 * step, durations rounded up.
 */
final class HandsLine {
  private final Job job;
  private final CureModel cure;
  private final Hands hands;
  private final Habits habits;
  private final List<Task> tasks = new ArrayList<>();

  /** End of the last pour and of its batch's stirring, by cavity and layer. */
  private final Map<String, Poured> poured = new HashMap<>();

  private int handsFree;

  HandsLine(Job job, CureModel cure) {
    this.job = job;
    this.cure = cure;
    this.hands = job.session().hands();
    this.habits = job.session().habits();
  }

  private record Poured(int endSeconds, int mixedSeconds) {}

  /** When one batch's moments fall. */
  record BatchTimes(
      int start,
      int contact,
      int mixed,
      int end,
      Map<String, CupTimes> cups,
      Map<String, Span> pours) {}

  /**
   * When a cup is filled and how its states follow, seconds from the first step.
   *
   * @param states with the mass that is left in it at each moment
   * @param forgotten as if nothing were ever poured from it
   */
  record CupTimes(
      int filled,
      CureStates states,
      BodyHistory body,
      CureStates forgotten,
      BodyHistory forgottenBody,
      List<LayerTimes> layers) {}

  /**
   * How a layer follows, after the last pour of this line's layer from this cup.
   *
   * @param poured end of that pour, seconds from the first step
   */
  record LayerTimes(PourDraft pour, int poured, CureStates states, BodyHistory body) {}

  /** From when to when, seconds from the first step. */
  record Span(int start, int end) {}

  List<Task> tasks() {
    return tasks;
  }

  /** Places one batch after all that were placed before it. */
  BatchTimes place(MixSheet.FilledBatch batch) {
    int start = handsFree;
    if (batch.stage() > 0) {
      int lead = leadSeconds(batch);
      for (MixSheet.FilledCup cup : batch.cups()) {
        for (PourDraft pour : cup.pours()) {
          start = Math.max(start, earliest(pour) - lead);
        }
      }
    }
    return from(start, batch);
  }

  /** When the layer below allows this pour; 0 when there is none. */
  private int earliest(PourDraft pour) {
    Poured below = poured.get(cavityLayer(pour, pour.layer() - 1));
    if (below == null) {
      return 0;
    }
    Double labelGel = job.resin().gelMinutes();
    double gel = labelGel == null ? habits.gelWaitMinutes() : labelGel;
    return switch (pour.level().join()) {
      case TOGETHER -> below.endSeconds;
      case THICK ->
          Math.max(below.endSeconds, below.mixedSeconds + minutes(habits.thickWaitMinutes()));
      case GEL -> Math.max(below.endSeconds, below.mixedSeconds + minutes(gel));
      case CURED -> below.endSeconds + minutes(habits.curedWaitHours() * 60);
    };
  }

  private static String cavityLayer(PourDraft pour, int layer) {
    return pour.line() + "." + pour.cavity() + "." + layer;
  }

  private int stirSeconds() {
    Double label = job.resin().mixMinutes();
    return minutes(label == null ? habits.stirMinutes() : label);
  }

  private static int minutes(double minutes) {
    return seconds(minutes * 60);
  }

  private static int seconds(double seconds) {
    return (int) Math.ceil(seconds);
  }

  /** From the first step of a batch to its first pour. */
  private int leadSeconds(MixSheet.FilledBatch batch) {
    int lead = 2 * seconds(hands.weighSecondsPart()) + stirSeconds() + secondCupSeconds();
    lead += minutes(habits.restMinutes());
    lead += batch.split() ? batch.cups().size() * seconds(hands.splitSecondsCup()) : 0;
    for (MixSheet.FilledCup cup : batch.cups()) {
      lead += stockSeconds(cup);
      lead += batch.tintedWhole() ? 0 : tintSeconds(cup.tint());
    }
    return lead + (batch.tintedWhole() ? tintSeconds(batch.cups().get(0).tint()) : 0);
  }

  private int secondCupSeconds() {
    Mixing mixing = habits.mixing();
    return mixing.twoCups()
        ? seconds(hands.secondCupSeconds() + mixing.secondStirMinutes() * 60)
        : 0;
  }

  /** A stock cup is stirred like a cup of colour. */
  private int stockSeconds(MixSheet.FilledCup cup) {
    long stocks = cup.stocks().stream().filter(Optional::isPresent).count();
    return (int) stocks * seconds(hands.tintSecondsCup());
  }

  private int tintSeconds(Tint tint) {
    if (tint.shares().isEmpty()) {
      return 0;
    }
    boolean dry = tint.shares().stream().anyMatch(s -> s.colourant().form().dry());
    return seconds(dry ? hands.tintPowderSecondsCup() : hands.tintSecondsCup());
  }

  private BatchTimes from(int start, MixSheet.FilledBatch batch) {
    int number = batch.number();
    int warm = minutes(habits.mixing().minutesOfWarming());
    int begin = start;
    if (warm > 0) {
      // The bottles stand in the water by themselves, so they may go in while hands are busy.
      begin = Math.max(warm, start);
      tasks.add(new Task(Task.Kind.WARM, number, null, null, false, begin - warm, begin));
    }
    int now = step(Task.Kind.WEIGH_FIRST, number, null, null, begin, hands.weighSecondsPart());
    int contact = now;
    now = step(Task.Kind.WEIGH_SECOND, number, null, null, now, hands.weighSecondsPart());
    now = step(Task.Kind.STIR, number, null, null, now, stirSeconds());
    if (habits.mixing().twoCups()) {
      now = step(Task.Kind.SECOND_CUP, number, null, null, now, secondCupSeconds());
    }
    int mixed = now;
    int rest = minutes(habits.restMinutes());
    if (rest > 0) {
      tasks.add(new Task(Task.Kind.REST, number, null, null, false, now, now + rest));
      now += rest;
    }
    if (batch.tintedWhole()) {
      now = step(Task.Kind.TINT, number, null, null, now, tintSeconds(batch.cups().get(0).tint()));
    }
    Bodies bodies = new Bodies(job, batch, contact);
    Map<String, Integer> filled = new LinkedHashMap<>();
    for (MixSheet.FilledCup cup : batch.cups()) {
      if (batch.split()) {
        now = step(Task.Kind.SPLIT, number, cup.id(), null, now, hands.splitSecondsCup());
      }
      filled.put(cup.id(), now);
    }
    Map<String, CureStates> forgotten = forgotten(batch, bodies, filled);
    for (MixSheet.FilledCup cup : batch.cups()) {
      int stock = stockSeconds(cup);
      if (stock > 0) {
        now = step(Task.Kind.STOCK_CUP, number, cup.id(), null, now, stock);
      }
      int tint = tintSeconds(cup.tint());
      if (tint > 0 && !batch.tintedWhole()) {
        now = step(Task.Kind.TINT, number, cup.id(), null, now, tint);
      }
    }
    Map<String, Span> pours = new LinkedHashMap<>();
    Set<String> cavities = new HashSet<>();
    for (Chosen chosen : order(batch, forgotten)) {
      PourDraft pour = chosen.pour;
      double takes = hands.pourSecondsCavity() + hands.pourSecondsMl() * pour.volumeMl();
      int from = now;
      now = step(Task.Kind.POUR, number, chosen.cupId, pour.id(), now, takes);
      pours.put(pour.id(), new Span(from, now));
      poured.put(cavityLayer(pour, pour.layer()), new Poured(now, mixed));
      cavities.add(pour.line() + "." + pour.cavity());
    }
    if (!cavities.isEmpty()) {
      if (hands.bubbleSecondsCavity() > 0) {
        double takes = hands.bubbleSecondsCavity() * cavities.size();
        now = step(Task.Kind.BUBBLE_PASS, number, null, null, now, takes);
      }
      if (hands.coverSeconds() > 0) {
        now = step(Task.Kind.COVER, number, null, null, now, hands.coverSeconds());
      }
    }
    handsFree = now;
    // Each body is worked out from its own history alone, so they may be at the same time.
    List<CupTimes> times =
        batch.cups().parallelStream()
            .map(cup -> cupTimes(bodies, cup, filled.get(cup.id()), forgotten.get(cup.id()), pours))
            .toList();
    Map<String, CupTimes> cups = new LinkedHashMap<>();
    for (int i = 0; i < times.size(); i++) {
      cups.put(batch.cups().get(i).id(), times.get(i));
    }
    return new BatchTimes(begin - warm, contact, mixed, now, cups, pours);
  }

  private Map<String, CureStates> forgotten(
      MixSheet.FilledBatch batch, Bodies bodies, Map<String, Integer> filled) {
    return batch.cups().parallelStream()
        .collect(
            Collectors.toMap(
                MixSheet.FilledCup::id,
                cup -> cure.states(job.resin(), bodies.forgotten(cup, filled.get(cup.id())))));
  }

  private CupTimes cupTimes(
      Bodies bodies,
      MixSheet.FilledCup cup,
      int filledAt,
      CureStates forgotten,
      Map<String, Span> pours) {
    BodyHistory body = bodies.emptied(cup, filledAt, pours);
    return new CupTimes(
        filledAt,
        cure.states(job.resin(), body),
        body,
        forgotten,
        bodies.forgotten(cup, filledAt),
        layers(bodies, cup, filledAt, pours));
  }

  /** One for each layer of each line that this cup fills: the last of its cavities. */
  private List<LayerTimes> layers(
      Bodies bodies, MixSheet.FilledCup cup, int filledAt, Map<String, Span> pours) {
    Map<String, PourDraft> last = new LinkedHashMap<>();
    for (PourDraft pour : cup.pours()) {
      last.merge(
          pour.line() + "." + pour.layer(),
          pour,
          (a, b) -> pours.get(a.id()).end() > pours.get(b.id()).end() ? a : b);
    }
    return last.values().parallelStream()
        .map(pour -> {
          int end = pours.get(pour.id()).end();
          BodyHistory body = bodies.layer(cup, filledAt, pour, end);
          return new LayerTimes(pour, end, cure.states(job.resin(), body), body);
        })
        .toList();
  }

  private int step(
      Task.Kind kind,
      int batch,
      @Nullable String cupId,
      @Nullable String pourId,
      int start,
      double takesSeconds) {
    int end = start + seconds(takesSeconds);
    tasks.add(new Task(kind, batch, cupId, pourId, true, start, end));
    return end;
  }

  private record Chosen(String cupId, PourDraft pour) {}

  /**
   * The order of pouring: the cup that thickens first is emptied first, a lower layer always before
   * the one on it, and a cup once picked up is kept in hand while it has something to pour.
   */
  private List<Chosen> order(MixSheet.FilledBatch batch, Map<String, CureStates> states) {
    Map<String, List<PourDraft>> left = new LinkedHashMap<>();
    Map<String, Integer> waiting = new HashMap<>();
    for (MixSheet.FilledCup cup : batch.cups()) {
      left.put(cup.id(), new ArrayList<>(cup.pours()));
      for (PourDraft pour : cup.pours()) {
        waiting.merge(cavityLayer(pour, pour.layer()), 1, Integer::sum);
      }
    }
    List<Chosen> order = new ArrayList<>();
    String inHand = null;
    while (left.values().stream().anyMatch(l -> !l.isEmpty())) {
      PourDraft next = inHand == null ? null : ready(left.get(inHand), waiting);
      if (next == null) {
        double soonest = Double.POSITIVE_INFINITY;
        for (Map.Entry<String, List<PourDraft>> each : left.entrySet()) {
          double thickens = states.get(each.getKey()).workingTimeEnds().minutes();
          PourDraft candidate = ready(each.getValue(), waiting);
          if (candidate != null && thickens < soonest) {
            soonest = thickens;
            inHand = each.getKey();
            next = candidate;
          }
        }
      }
      if (next == null) {
        throw new IllegalStateException("bug: every cup waits for another in batch " + batch);
      }
      left.get(inHand).remove(next);
      waiting.merge(cavityLayer(next, next.layer()), -1, Integer::sum);
      order.add(new Chosen(inHand, next));
    }
    return order;
  }

  /** The first pour with nothing of its cavity still to come below it. */
  private static @Nullable PourDraft ready(List<PourDraft> pours, Map<String, Integer> waiting) {
    for (PourDraft pour : pours) {
      boolean free = true;
      for (int below = 0; below < pour.layer(); below++) {
        free &= waiting.getOrDefault(cavityLayer(pour, below), 0) == 0;
      }
      if (free) {
        return pour;
      }
    }
    return null;
  }
}
