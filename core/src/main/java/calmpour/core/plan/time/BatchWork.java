package calmpour.core.plan.time;

import static calmpour.core.check.Known.known;

import calmpour.core.design.PieceWork;
import calmpour.core.design.PlacedEmbed;
import calmpour.core.habit.Care;
import calmpour.core.habit.Habits;
import calmpour.core.habit.Hands;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.CavityId;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.CupId;
import calmpour.core.plan.doc.LineLayer;
import calmpour.core.plan.doc.PourId;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import calmpour.core.plan.time.PourOrder.Step;
import calmpour.core.session.Job;
import calmpour.core.session.JobInResin;
import calmpour.core.tint.Tint;
import calmpour.core.tool.Tool;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * What one batch takes, from the warm water to the last wiped stick: tasks as data, each with what
 * it waits for.
 */
public final class BatchWork {
  private static final int LOAD_SECONDS = 60;

  /** Less than that fills no mould (starting value, no source), mL. */
  private static final double WORTH_A_FILLER_ML = 3;

  private final JobInResin job;
  private final Batch batch;
  private final Hands hands;
  private final Habits habits;
  private final int number;
  private final Joins joins;
  private final EmbedWork embeds;
  private final Faces faces;

  /** */
  public BatchWork(JobInResin job, Batch batch) {
    this.job = job;
    this.batch = batch;
    this.hands = job.session().hands();
    this.habits = job.session().habits();
    this.number = batch.number();
    this.joins = new Joins(job, number);
    this.embeds = new EmbedWork(job, batch, joins);
    this.faces = new Faces(job, number);
  }

  /** Moments that a plan of ours waits for, by task id; filled with the tasks. */
  Map<TaskId, Integer> best() {
    return joins.best();
  }

  EmbedWork embeds() {
    return embeds;
  }

  Faces faces() {
    return faces;
  }

  /** The tasks in the order they are meant to be done in, the pours as they are given. */
  public List<Task> tasks(List<Step> order, Filled filled) {
    List<TaskDraft> all = new ArrayList<>();
    TaskId mixed = mixing(all);
    Map<CupId, TaskId> ready = cups(all, mixed);
    gather(all, ready);
    pours(all, order, ready, filled);
    if (!order.isEmpty()) {
      afterwards(all, order);
    }
    return all.stream().map(TaskDraft::task).toList();
  }

  /** From the bottles to a mix that has rested; returns the last task's id. */
  private TaskId mixing(List<TaskDraft> all) {
    int warm = seconds(habits.mixing().minutesOfWarming() * 60);
    TaskId before = null;
    if (warm > 0) {
      // The bottles stand in the water by themselves, so they may go in while hands are busy.
      before = add(all, Task.Kind.WARM, warm, null);
      all.get(0).byItself();
    }
    before = add(all, Task.Kind.WEIGH_FIRST, hands.weighSecondsPart(), before);
    before = add(all, Task.Kind.WEIGH_SECOND, hands.weighSecondsPart(), before);
    Double label = job.resin().mixMinutes();
    double stir = label == null ? habits.stirMinutes() : label;
    before = add(all, Task.Kind.STIR, stir * 60, before);
    if (habits.mixing().twoCups()) {
      double over = hands.secondCupSeconds() + habits.mixing().secondStirMinutes() * 60;
      before = add(all, Task.Kind.SECOND_CUP, over, before);
    }
    if (habits.restMinutes() > 0) {
      before = add(all, Task.Kind.REST, habits.restMinutes() * 60, before);
      all.get(all.size() - 1).byItself();
    }
    if (habits.mixing().releaseOrNone().minutes() > 0) {
      before = add(all, Task.Kind.RELEASE, habits.mixing().releaseOrNone().minutes() * 60, before);
    }
    if (!batch.mixing().tintedWhole().isEmpty()) {
      before = add(all, Task.Kind.TINT, tintSeconds(batch.cups().get(0)), before);
    }
    return before;
  }

  private TaskId add(List<TaskDraft> all, Task.Kind kind, double seconds, @Nullable TaskId before) {
    TaskId id = TaskId.batch(number, kind);
    TaskDraft draft = TaskDraft.of(id, kind, number, seconds);
    all.add(before == null ? draft : draft.after(before));
    return id;
  }

  /** Every cup split, stocked and tinted; returns the last task of each by cup. */
  private Map<CupId, TaskId> cups(List<TaskDraft> all, TaskId mixed) {
    Map<CupId, TaskId> ready = new HashMap<>();
    for (Cup cup : batch.cups()) {
      ready.put(cup.id(), mixed);
      if (batch.split()) {
        step(all, ready, cup, Task.Kind.SPLIT, seconds(hands.splitSecondsCup()));
      }
    }
    for (Cup cup : batch.cups()) {
      int stocks =
          (int) cup.tint().doses().stream().map(Cup.Dose::stock).filter(Objects::nonNull).count();
      if (stocks > 0) {
        // A stock cup is stirred like a cup of colour.
        step(all, ready, cup, Task.Kind.STOCK_CUP, stocks * seconds(hands.tintSecondsCup()));
      }
      double tint = tintSeconds(cup);
      if (tint > 0 && batch.mixing().tintedWhole().isEmpty()) {
        step(all, ready, cup, Task.Kind.TINT, tint);
      }
    }
    return ready;
  }

  private void step(
      List<TaskDraft> all, Map<CupId, TaskId> ready, Cup cup, Task.Kind kind, double seconds) {
    TaskId id = TaskId.cup(cup.id(), kind);
    all.add(
        TaskDraft.of(id, kind, number, seconds).cup(cup.id()).after(known(ready.get(cup.id()))));
    ready.put(cup.id(), id);
  }

  /** Colours that are poured from one cup meet in it first, each as long as splitting takes. */
  private void gather(List<TaskDraft> all, Map<CupId, TaskId> ready) {
    gatheredCups(job, batch)
        .forEach((at, cups) -> {
          TaskDraft draft =
              TaskDraft.of(
                      gatherId(at), Task.Kind.GATHER, number, hands.splitSecondsCup() * cups.size())
                  .line(at.line());
          cups.forEach(cup -> draft.after(known(ready.get(cup.id()))));
          all.add(draft);
        });
  }

  private TaskId gatherId(LineLayer at) {
    return TaskId.batch(number, Task.Kind.GATHER).of(at);
  }

  /** The cups of each layer whose colours meet in one more cup before they are poured. */
  public static Map<LineLayer, List<Cup>> gatheredCups(JobInResin job, Batch batch) {
    Map<LineLayer, List<Cup>> gathered = new LinkedHashMap<>();
    for (Cup cup : batch.cups()) {
      cup.pours().stream()
          .filter(p -> job.lines().get(p.line()).level(p.layer()).gathered())
          .map(LineLayer::of)
          .distinct()
          .forEach(at -> gathered.computeIfAbsent(at, k -> new ArrayList<>()).add(cup));
    }
    return gathered;
  }

  private double tintSeconds(Cup cup) {
    Tint tint = cup.tintIn(job);
    if (tint.shares().isEmpty()) {
      return 0;
    }
    boolean dry = tint.shares().stream().anyMatch(s -> s.colourant().form().dry());
    return dry ? hands.tintPowderSecondsCup() : hands.tintSecondsCup();
  }

  private void pours(
      List<TaskDraft> all, List<Step> order, Map<CupId, TaskId> ready, Filled filled) {
    Map<CavityId, TaskId> below = new HashMap<>();
    Map<LineLayer, List<PourId>> halves = new HashMap<>();
    for (Step step : order) {
      if (step instanceof Step.PourStep(Cup cup, Cup.Pour pour) && inHalves(pour, 1)) {
        halves.computeIfAbsent(LineLayer.of(pour), l -> new ArrayList<>()).add(pour.id());
      }
    }
    for (LineLayer at : embeds.laidFirst()) {
      all.add(embeds.lay(at.line(), at.layer(), filled));
    }
    for (Step step : order) {
      switch (step) {
        case Step.EmbedStep embed -> {
          all.add(
              embeds.embed(
                  embed.at().line(),
                  embed.at().layer(),
                  PlacedEmbed.Moment.HALF_FILL,
                  halves.getOrDefault(embed.at(), List.of())));
        }
        case Step.PourStep(Cup cup, Cup.Pour pour) -> {
          TaskId id = TaskId.pour(pour.id());
          double takes =
              (hands.pourSecondsCavity() + hands.pourSecondsMl() * pour.volumeMl())
                  * job.lines().get(pour.line()).pourTimes();
          TaskDraft draft =
              TaskDraft.of(id, Task.Kind.POUR, number, takes)
                  .cup(cup.id())
                  .pour(pour.id())
                  .line(pour.line())
                  .after(known(ready.get(cup.id())));
          CavityId cavity = CavityId.of(pour);
          TaskId before = below.put(cavity, id);
          if (before != null) {
            draft.after(before);
          } else {
            joins.wait(draft, pour, filled);
          }
          Job.Level level = job.lines().get(pour.line()).level(pour.layer());
          if (level.gathered()) {
            draft.after(gatherId(LineLayer.of(pour)));
          }
          if (inHalves(pour, 2)) {
            draft.after(embeds.embedId(pour.line(), pour.layer(), PlacedEmbed.Moment.HALF_FILL));
          }
          if (level.stage() > 0 && job.lines().get(pour.line()).laysFirst(pour.layer())) {
            draft.after(embeds.embedId(pour.line(), pour.layer(), PlacedEmbed.Moment.BEFORE_POUR));
          }
          all.add(draft);
        }
      }
    }
  }

  private boolean inHalves(Cup.Pour pour, int half) {
    return pour.half() == half && job.lines().get(pour.line()).level(pour.layer()).inHalves();
  }

  private void afterwards(List<TaskDraft> all, List<Step> order) {
    TaskId last = null;
    Set<CavityId> cavities = new LinkedHashSet<>();
    Map<LineLayer, List<PourId>> fresh = new LinkedHashMap<>();
    for (Step step : order) {
      if (step instanceof Step.PourStep(Cup cup, Cup.Pour pour)) {
        last = TaskId.pour(pour.id());
        cavities.add(CavityId.of(pour));
        Job.Level level = job.lines().get(pour.line()).level(pour.layer());
        if (EmbedWork.has(level, PlacedEmbed.Moment.AFTER_POUR)) {
          fresh.computeIfAbsent(LineLayer.of(pour), k -> new ArrayList<>()).add(pour.id());
        }
      }
    }
    fresh.forEach((at, pours) ->
        all.add(embeds.embed(at.line(), at.layer(), PlacedEmbed.Moment.AFTER_POUR, pours)));
    all.addAll(faces.wet(order, embeds));
    if (hands.bubbleSecondsCavity() > 0) {
      last = add(all, Task.Kind.BUBBLE_PASS, hands.bubbleSecondsCavity() * cavities.size(), last);
    }
    if (habits.care().bubbles() == Care.BubbleMethod.LAMP) {
      last = add(all, Task.Kind.UNDER_LAMP, habits.care().lampMinutes() * 60, last);
      all.get(all.size() - 1).byItself().pieces(cavities.size()).tool(toolId(Tool.Kind.LAMP));
    }
    TaskDraft lids = faces.lids(order, last);
    if (lids != null) {
      all.add(lids);
      last = TaskId.batch(number, Task.Kind.LID);
    }
    if (hands.coverSeconds() > 0) {
      last = add(all, Task.Kind.COVER, hands.coverSeconds(), last);
    }
    load(all, last, PieceWork.Curing.PRESSURE_POT, Task.Kind.LOAD_POT);
    load(all, last, PieceWork.Curing.HOT_BOX, Task.Kind.LOAD_BOX);
    leftovers(all, last);
    if (hands.cleanUpSeconds() > 0) {
      add(all, Task.Kind.CLEAN_UP, hands.cleanUpSeconds(), lastPour(order));
    }
  }

  /** The overage is resin that was paid for: if there is time it goes into a filler. */
  private void leftovers(List<TaskDraft> all, @Nullable TaskId after) {
    double leftMl =
        batch.cups().stream()
                .mapToDouble(
                    c -> c.amounts().pouredG() / c.amounts().contentG() * c.amounts().contentMl())
                .sum()
            * habits.overagePercent()
            / 100;
    if (leftMl >= WORTH_A_FILLER_ML) {
      double takes = hands.pourSecondsCavity() + hands.pourSecondsMl() * leftMl;
      add(all, Task.Kind.LEFTOVERS, takes, after);
      all.get(all.size() - 1).ifThereIsTime();
    }
  }

  private static @Nullable TaskId lastPour(List<Step> order) {
    TaskId last = null;
    for (Step step : order) {
      if (step instanceof Step.PourStep(Cup cup, Cup.Pour pour)) {
        last = TaskId.pour(pour.id());
      }
    }
    return last;
  }

  private void load(
      List<TaskDraft> all, @Nullable TaskId after, PieceWork.Curing where, Task.Kind kind) {
    int pieces = finished(where).stream().mapToInt(l -> embeds.cavities(l, top(l)).size()).sum();
    if (pieces > 0) {
      add(all, kind, LOAD_SECONDS + hands.mouldSeconds() * pieces, after);
      all.get(all.size() - 1).pieces(pieces);
    }
  }

  private int top(int line) {
    return job.lines().get(line).levels().size() - 1;
  }

  /** Lines whose last layer this batch pours and that cure there. */
  List<Integer> finished(PieceWork.Curing where) {
    List<Integer> lines = new ArrayList<>();
    for (int l = 0; l < job.lines().size(); l++) {
      boolean there = job.lines().get(l).piece().workOrNone().curing() == where;
      if (there && !embeds.cavities(l, top(l)).isEmpty()) {
        lines.add(l);
      }
    }
    return lines;
  }

  /** The first such thing of the workshop; null when there is none. */
  @Nullable String toolId(Tool.Kind kind) {
    return job.tools().stream()
        .filter(t -> t.kind() == kind)
        .map(Tool::id)
        .sorted()
        .findFirst()
        .orElse(null);
  }

  static int seconds(double seconds) {
    return (int) Math.ceil(seconds);
  }
}
