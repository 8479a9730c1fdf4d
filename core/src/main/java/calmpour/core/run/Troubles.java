package calmpour.core.run;

import static calmpour.core.check.Known.known;

import calmpour.core.plan.doc.CavityId;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.CupId;
import calmpour.core.plan.doc.Plan;
import calmpour.core.plan.doc.PourId;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** What went wrong at the bench, and what it does to cups, pieces and the rest of the plan. */
final class Troubles {
  /** Foam has mostly risen by then; common practice, no source. */
  private static final double REST_MINUTES = 3;

  private static final Set<Task.Kind> EMBEDS = EnumSet.of(Task.Kind.EMBED, Task.Kind.LAY_EMBEDS);

  /**
   * Something that left a cup and is in no mould.
   *
   * @param grams null for all that was in it
   */
  record Loss(int atSeconds, @Nullable Double grams) {
    double outOf(double there) {
      return grams == null ? there : Math.min(there, grams);
    }
  }

  final List<BenchTrouble> all = new ArrayList<>();

  /** Which cup a pour really came out of, where it was another. */
  final Map<PourId, CupId> outOf = new HashMap<>();

  final Map<CupId, List<Loss>> fromCup = new HashMap<>();
  final Map<Integer, List<Loss>> fromMix = new HashMap<>();
  final Set<CupId> spoilt = new HashSet<>();
  final Set<CavityId> givenUp = new HashSet<>();

  /** Until when a cup rests, s. */
  final Map<CupId, Integer> rests = new HashMap<>();

  private final Plan plan;
  private final Map<TaskId, History.Done> done;
  private final Set<TaskId> notDone;

  /**
   * @param done what was done so far; changed by what happens
   * @param notDone what will not be done; changed likewise
   */
  Troubles(Plan plan, Map<TaskId, History.Done> done, Set<TaskId> notDone) {
    this.plan = plan;
    this.done = done;
    this.notDone = notDone;
  }

  void add(BenchTrouble trouble, String eventId) {
    all.add(trouble);
    switch (trouble.kind()) {
      case WRONG_COLOUR ->
          wrongColour(trouble, known(trouble.pour()), known(trouble.cup()), eventId);
      case SPILLED -> lose(known(trouble.cup()), trouble.atSeconds(), trouble.by());
      // Less was in it than was thought: nothing is left, whatever was weighed.
      case CUP_EMPTY -> lose(known(trouble.cup()), trouble.atSeconds(), null);
      case SPILLED_MIX ->
          fromMix
              .computeIfAbsent(known(trouble.batch()), b -> new ArrayList<>())
              .add(new Loss(trouble.atSeconds(), trouble.by()));
      case LEAKS -> leaks(trouble, known(trouble.piece()));
      case FELL_INTO_PIECE -> {
        if (trouble.answer() == BenchTrouble.Answer.GIVEN_UP) {
          giveUp(known(trouble.piece()));
        }
      }
      case EMBED_FORGOTTEN -> embed(known(trouble.task()), trouble.answer());
      case FELL_INTO_CUP -> spoils(trouble, known(trouble.cup()));
      case FOAM -> {
        CupId cup = known(trouble.cup());
        spoils(trouble, cup);
        if (trouble.answer() == BenchTrouble.Answer.RESTS) {
          double minutes = trouble.by() == null ? REST_MINUTES : trouble.by();
          rests.merge(cup, trouble.atSeconds() + (int) Math.round(minutes * 60), Math::max);
        }
      }
      case NOTE -> {}
    }
  }

  private void wrongColour(BenchTrouble trouble, PourId pour, CupId cup, String eventId) {
    TaskId task = TaskId.pour(pour);
    if (trouble.answer() == BenchTrouble.Answer.STAYS) {
      outOf.put(pour, cup);
      notDone.remove(task);
      done.putIfAbsent(task, new History.Done(trouble.atSeconds(), trouble.by(), eventId));
    } else {
      done.remove(task);
      // It never came out of its own cup: it is poured once more.
      outOf.remove(pour);
      double planned = pour(pour).map(Cup.Pour::massG).orElse(0.0);
      lose(cup, trouble.atSeconds(), trouble.by() == null ? planned : trouble.by());
    }
  }

  private void lose(CupId cup, int at, @Nullable Double grams) {
    fromCup.computeIfAbsent(cup, c -> new ArrayList<>()).add(new Loss(at, grams));
  }

  /** What ran out comes once more out of the cup of the layer that was poured last. */
  private void leaks(BenchTrouble trouble, CavityId piece) {
    if (trouble.answer() == BenchTrouble.Answer.GIVEN_UP) {
      giveUp(piece);
      return;
    }
    double again = trouble.by() == null ? 0 : trouble.by();
    plan.batches().stream()
        .flatMap(b -> b.cups().stream())
        .flatMap(c -> c.pours().stream())
        .filter(p -> p.id().into().equals(piece) && done.containsKey(TaskId.pour(p.id())))
        .max(Comparator.comparingInt(p -> known(done.get(TaskId.pour(p.id()))).atSeconds()))
        .ifPresent(last -> lose(cupOf(last.id()), trouble.atSeconds(), again));
  }

  private void giveUp(CavityId piece) {
    givenUp.add(piece);
    plan.batches().stream()
        .flatMap(b -> b.cups().stream())
        .flatMap(c -> c.pours().stream())
        .filter(p -> p.id().into().equals(piece))
        .forEach(this::giveUp);
  }

  private void spoils(BenchTrouble trouble, CupId cup) {
    if (trouble.answer() == BenchTrouble.Answer.GIVEN_UP) {
      spoilt.add(cup);
      plan.batches().stream()
          .flatMap(b -> b.cups().stream())
          .filter(c -> c.id().equals(cup))
          .flatMap(c -> c.pours().stream())
          .forEach(this::giveUp);
    }
  }

  private void giveUp(Cup.Pour pour) {
    TaskId task = TaskId.pour(pour.id());
    if (!done.containsKey(task)) {
      notDone.add(task);
    }
  }

  private void embed(TaskId task, BenchTrouble.Answer answer) {
    if (!isEmbeds(plan, task)) {
      return;
    }
    done.remove(task);
    if (answer == BenchTrouble.Answer.LATE) {
      notDone.remove(task);
    } else {
      notDone.add(task);
    }
  }

  /** Whether it is a step that puts embeds in. */
  static boolean isEmbeds(Plan plan, TaskId task) {
    return plan.tasks().stream().anyMatch(t -> t.id().equals(task) && EMBEDS.contains(t.kind()));
  }

  /** The cup that a pour came out of. */
  CupId cupOf(PourId pour) {
    CupId other = outOf.get(pour);
    return other != null
        ? other
        : plan.batches().stream()
            .flatMap(b -> b.cups().stream())
            .filter(c -> c.pours().stream().anyMatch(p -> p.id().equals(pour)))
            .map(Cup::id)
            .findFirst()
            .orElseThrow();
  }

  /** The pours that really come out of a cup. */
  List<Cup.Pour> pours(Cup cup) {
    List<Cup.Pour> pours = new ArrayList<>();
    for (Cup.Pour pour : cup.pours()) {
      CupId other = outOf.get(pour.id());
      if (other == null || other.equals(cup.id())) {
        pours.add(pour);
      }
    }
    outOf.forEach((id, from) -> {
      boolean own = cup.pours().stream().anyMatch(p -> p.id().equals(id));
      if (from.equals(cup.id()) && !own) {
        pour(id).ifPresent(pours::add);
      }
    });
    return pours;
  }

  private java.util.Optional<Cup.Pour> pour(PourId id) {
    return plan.batches().stream()
        .flatMap(b -> b.cups().stream())
        .flatMap(c -> c.pours().stream())
        .filter(p -> p.id().equals(id))
        .findFirst();
  }
}
