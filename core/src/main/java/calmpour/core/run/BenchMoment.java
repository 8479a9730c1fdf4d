package calmpour.core.run;

import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.CupId;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import calmpour.core.session.Job;
import calmpour.core.session.Resolution;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** One moment of a run: what happened until then and where everything is. */
final class BenchMoment {
  final Run run;
  final History history;

  /** Seconds from when it was begun; of a run that is over its end. */
  final int now;

  /** In the room as it was read, and as assumed before that. */
  final Job job;

  final Account account;
  final LabelFactors labels;

  /** With what is really in their cups. */
  final List<Batch> batches;

  private final Map<CupId, Cup> cups = new HashMap<>();

  BenchMoment(Run run, List<RunEvent> events, Instant at, LabelFactors labels) {
    this.labels = labels;
    this.run = run;
    this.history = History.of(run, events);
    int second = (int) Math.max(0, Duration.between(run.begunAt(), at).toSeconds());
    this.now = history.finished == null ? second : history.finished;
    Job planned = Resolution.of(run.asBegun(), run.workshop());
    this.job = planned.withRoomRead(history.room);
    this.account = Account.of(run.plan(), history);
    this.batches = run.plan().batches().stream().map(account::really).toList();
    batches.forEach(b -> b.cups().forEach(c -> cups.put(c.id(), c)));
  }

  static TaskId pourTask(Cup.Pour pour) {
    return TaskId.pour(pour.id());
  }

  static TaskId task(Batch batch, Task.Kind kind) {
    return TaskId.batch(batch.number(), kind);
  }

  boolean done(TaskId taskId) {
    return history.done.containsKey(taskId);
  }

  /** Whether it is still to be done. */
  boolean open(TaskId taskId) {
    return !done(taskId) && !history.givenUp.contains(taskId);
  }

  /** Whether A and B of a batch have met. */
  boolean opened(Batch batch) {
    return done(task(batch, Task.Kind.WEIGH_FIRST));
  }

  /** As it really is. */
  @Nullable Cup cup(CupId id) {
    return cups.get(id);
  }

  /** All that was to be poured from a cup. */
  List<Cup.Pour> pours(Follows of) {
    Cup cup = cups.get(of.cup().id());
    return cup == null ? List.of() : cup.pours();
  }

  /** As it was planned. */
  Batch planned(int batch) {
    return run.plan().batches().get(batch - 1);
  }

  /** As it was planned. */
  @Nullable Cup plannedCup(CupId id) {
    return run.plan().batches().stream()
        .flatMap(b -> b.cups().stream())
        .filter(c -> c.id().equals(id))
        .findFirst()
        .orElse(null);
  }

  /** What lies under a pour in its cavity. */
  List<Cup.Pour> below(Cup.Pour pour) {
    List<Cup.Pour> below = new ArrayList<>();
    for (Cup cup : cups.values()) {
      for (Cup.Pour other : cup.pours()) {
        boolean sameCavity = other.line() == pour.line() && other.cavity() == pour.cavity();
        boolean lower =
            other.layer() < pour.layer()
                || (other.layer() == pour.layer() && other.part() < pour.part());
        if (sameCavity && lower) {
          below.add(other);
        }
      }
    }
    return below;
  }
}
