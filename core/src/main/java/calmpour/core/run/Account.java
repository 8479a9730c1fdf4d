package calmpour.core.run;

import static calmpour.core.check.Known.known;

import calmpour.core.habit.Habits;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.CupId;
import calmpour.core.plan.doc.Plan;
import calmpour.core.plan.doc.PourId;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * Where everything that was weighed is now, g. What nobody weighed went as planned, as far as there
 * was enough of it: nothing ever comes out of a cup that was not in it.
 */
final class Account {
  private final History history;
  private final Map<CupId, Double> content = new HashMap<>();
  private final Map<PourId, Double> poured = new HashMap<>();
  private final Map<CupId, Double> left = new HashMap<>();
  private final Map<Integer, double[]> parts = new HashMap<>();
  private final Map<Integer, Double> stays = new HashMap<>();
  private final Map<CupId, Double> lost = new HashMap<>();
  private final Map<Integer, Double> lostMix = new HashMap<>();
  private final Map<Integer, Double> shares = new HashMap<>();
  private double colourG;

  private Account(History history) {
    this.history = history;
  }

  static Account of(Plan plan, History history) {
    Account account = new Account(history);
    plan.batches().forEach(account::batch);
    return account;
  }

  private static TaskId task(Batch batch, Task.Kind kind) {
    return TaskId.batch(batch.number(), kind);
  }

  private static TaskId task(Cup cup, Task.Kind kind) {
    return TaskId.cup(cup.id(), kind);
  }

  private static double sum(List<Cup.Dose> doses) {
    return doses.stream().mapToDouble(Cup.Dose::massG).sum();
  }

  private boolean done(TaskId taskId) {
    return history.done.containsKey(taskId);
  }

  private double grams(TaskId taskId, double planned) {
    History.Done done = history.done.get(taskId);
    return done == null || done.grams() == null ? planned : done.grams();
  }

  private void batch(Batch batch) {
    boolean aFirst = batch.measuring().firstPart() == Habits.FirstPart.A;
    TaskId first = task(batch, Task.Kind.WEIGH_FIRST);
    TaskId second = task(batch, Task.Kind.WEIGH_SECOND);
    double firstG =
        done(first)
            ? grams(first, (aFirst ? batch.measuring().partA() : batch.measuring().partB()).massG())
            : 0;
    double secondG = done(second) ? grams(second, secondTargetG(batch, firstG)) : 0;
    double a = (aFirst ? firstG : secondG) + added(batch, "A");
    double b = (aFirst ? secondG : firstG) + added(batch, "B");
    parts.put(batch.number(), new double[] {a, b});
    double whole = 0;
    if (done(task(batch, Task.Kind.TINT))) {
      whole = sum(batch.mixing().tintedWhole());
      colourG += whole;
    }
    double available = a + b + whole;
    List<Troubles.Loss> losses =
        new ArrayList<>(history.troubles.fromMix.getOrDefault(batch.number(), List.of()));
    shares.put(
        batch.number(), done(second) ? Math.min(1, (a + b) / batch.measuring().totalG()) : 1.0);
    if (!batch.split()) {
      available = spill(batch, losses, available, Integer.MAX_VALUE);
    }
    List<Cup> inOrder = new ArrayList<>(batch.cups());
    inOrder.sort(Comparator.comparingInt(c -> splitAt(batch, c)));
    for (Cup cup : inOrder) {
      double got = 0;
      available = spill(batch, losses, available, splitAt(batch, cup));
      if (!batch.split()) {
        got = available;
      } else if (done(task(cup, Task.Kind.SPLIT))) {
        double planned =
            batch.mixing().tintedWhole().isEmpty()
                ? cup.amounts().resinG()
                : cup.amounts().contentG();
        // As planned is as it was asked for: a share of what there is.
        got = Math.min(available, grams(task(cup, Task.Kind.SPLIT), planned * share(batch)));
      }
      available -= got;
      if (got > 0 && done(task(cup, Task.Kind.TINT))) {
        got += sum(cup.tint().doses());
        colourG += sum(cup.tint().doses());
      }
      pour(cup, got);
    }
    stays.put(batch.number(), spill(batch, losses, available, Integer.MAX_VALUE));
  }

  private int splitAt(Batch batch, Cup cup) {
    History.Done split = history.done.get(task(cup, Task.Kind.SPLIT));
    return split == null || !batch.split() ? Integer.MAX_VALUE : split.atSeconds();
  }

  private void pour(Cup cup, double got) {
    content.put(cup.id(), got);
    double inCup = got;
    double gone = 0;
    List<Cup.Pour> inOrder =
        history.troubles.pours(cup).stream()
            .filter(p -> done(TaskId.pour(p.id())))
            .sorted(Comparator.comparingInt(this::atSeconds))
            .toList();
    List<Troubles.Loss> losses =
        new ArrayList<>(history.troubles.fromCup.getOrDefault(cup.id(), List.of()));
    for (Cup.Pour pour : inOrder) {
      while (!losses.isEmpty() && losses.getFirst().atSeconds() < atSeconds(pour)) {
        double out = losses.removeFirst().outOf(inCup);
        gone += out;
        inCup -= out;
      }
      double out = Math.min(inCup, grams(TaskId.pour(pour.id()), pour.massG()));
      poured.put(pour.id(), out);
      inCup -= out;
    }
    for (Troubles.Loss loss : losses) {
      double out = loss.outOf(inCup);
      gone += out;
      inCup -= out;
    }
    left.put(cup.id(), inCup);
    lost.put(cup.id(), gone);
  }

  private int atSeconds(Cup.Pour pour) {
    return known(history.done.get(TaskId.pour(pour.id()))).atSeconds();
  }

  /**
   * What is left in the mixing cup after what was spilled out of it until then; every cup that is
   * filled later gets so much less.
   */
  private double spill(Batch batch, List<Troubles.Loss> losses, double there, int until) {
    double left = there;
    while (!losses.isEmpty() && losses.getFirst().atSeconds() <= until) {
      double out = losses.removeFirst().outOf(left);
      double share = left > 0 ? (left - out) / left : 1;
      shares.merge(batch.number(), share, (before, less) -> before * less);
      lostMix.merge(batch.number(), out, Double::sum);
      left -= out;
    }
    return left;
  }

  private double added(Batch batch, String part) {
    return history.added.getOrDefault(batch.number() + "/" + part, 0.0);
  }

  /** How much of the second part makes the ratio right with what is in of the first, g. */
  static double secondTargetG(Batch batch, double firstG) {
    boolean aFirst = batch.measuring().firstPart() == Habits.FirstPart.A;
    double first = (aFirst ? batch.measuring().partA() : batch.measuring().partB()).massG();
    double second = (aFirst ? batch.measuring().partB() : batch.measuring().partA()).massG();
    return firstG > 0 ? second * firstG / first : second;
  }

  /**
   * Of what was planned, what there is for each cup of a batch that is not filled yet, 0 to 1; 1
   * until both parts are in.
   */
  double share(Batch batch) {
    return shares.getOrDefault(batch.number(), 1.0);
  }

  double inAG(int batch) {
    return known(parts.get(batch))[0];
  }

  double inBG(int batch) {
    return known(parts.get(batch))[1];
  }

  double leftG(CupId cupId) {
    return left.getOrDefault(cupId, 0.0);
  }

  double contentG(CupId cupId) {
    return content.getOrDefault(cupId, 0.0);
  }

  /** What was spilled out of a cup, or tipped out of a mould again, g. */
  double lostG(CupId cupId) {
    return lost.getOrDefault(cupId, 0.0);
  }

  /** What was spilled out of a mixing cup, g. */
  double lostMixG(int batch) {
    return lostMix.getOrDefault(batch, 0.0);
  }

  /** What was really poured; null where it was not. */
  @Nullable Double pouredG(PourId pourId) {
    return poured.get(pourId);
  }

  /** Of a batch, what was not split yet and stays in its mixing cup, g. */
  double staysG(int batch) {
    return stays.getOrDefault(batch, 0.0);
  }

  Masses masses() {
    return new Masses(
        parts.values().stream().mapToDouble(p -> p[0] + p[1]).sum(),
        colourG,
        poured.values().stream().mapToDouble(g -> g).sum(),
        left.values().stream().mapToDouble(g -> g).sum(),
        stays.values().stream().mapToDouble(g -> g).sum(),
        lost.values().stream().mapToDouble(g -> g).sum()
            + lostMix.values().stream().mapToDouble(g -> g).sum());
  }

  /** A batch with what is really in its cups, as far as that is known. */
  Batch really(Batch batch) {
    double total = inAG(batch.number()) + inBG(batch.number());
    boolean mixed = done(task(batch, Task.Kind.WEIGH_SECOND)) && total > 0;
    List<Cup> cups = new ArrayList<>();
    for (Cup cup : batch.cups()) {
      double got = contentG(cup.id());
      boolean tinted = cup.tint().doses().isEmpty() || done(task(cup, Task.Kind.TINT));
      double content =
          got <= 0 ? cup.amounts().contentG() : tinted ? got : got + sum(cup.tint().doses());
      List<Cup.Pour> pours =
          history.troubles.pours(cup).stream()
              .map(p -> pouredG(p.id()) == null ? p : p.of(Math.max(0, known(poured.get(p.id())))))
              .toList();
      cups.add(cup.holding(content, pours));
    }
    return batch.holding(mixed ? total : batch.measuring().totalG(), cups);
  }
}
