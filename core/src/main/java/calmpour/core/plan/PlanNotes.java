package calmpour.core.plan;

import calmpour.core.derive.Formula;
import calmpour.core.derive.Origin;
import calmpour.core.derive.Recorder;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.Place;
import calmpour.core.plan.doc.PourId;
import calmpour.core.plan.doc.Task;
import calmpour.core.resin.LabelFacts;
import calmpour.core.session.Job;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** Writes down how the sums of a plan and its time to spare came about. */
final class PlanNotes {
  private final Job job;
  private final Recorder recorder;

  PlanNotes(Job job, Recorder recorder) {
    this.job = job;
    this.recorder = recorder;
  }

  /** A layer of one colour is opened as the pour of the first cavity. */
  private static void layers(Recorder.Step step, int line, List<Job.Level> levels) {
    for (int i = 0; i < levels.size(); i++) {
      Job.Level level = levels.get(i);
      String name = level.colour().name();
      if (level.colours().size() > 1 || level.gathered()) {
        step.given("layer", name, level.volumeMl(), "mL", Origin.WORKED_OUT);
      } else {
        String pour = new Place.OfPour(new PourId(line, 1, i + 1, 0)) + "/volumeMl";
        step.from("layer", name, pour, level.volumeMl(), "mL");
      }
    }
  }

  void volumes(double volume) {
    for (int i = 0; i < job.lines().size(); i++) {
      Job.Line line = job.lines().get(i);
      double piece = line.poured().stream().mapToDouble(Job.Level::volumeMl).sum();
      int number = i + 1;
      recorder.note(
          Place.line(i) + "/volumeMl",
          piece,
          "mL",
          Formula.PIECE_VOLUME,
          step -> layers(step, number, line.poured()));
      surface(Place.line(i), line);
    }
    recorder.note(
        "session/volumeMl",
        volume,
        "mL",
        Formula.SESSION_VOLUME,
        step -> {
          for (int i = 0; i < job.lines().size(); i++) {
            Job.Line line = job.lines().get(i);
            double piece = line.poured().stream().mapToDouble(Job.Level::volumeMl).sum();
            step.given(line.name(), null, line.piece().count(), "pieces", Origin.CHOSEN)
                .from("each", Place.line(i) + "/volumeMl", piece, "mL");
          }
        });
  }

  /** How high a dome stands, and where the cured surface lies, mm from the floor. */
  private void surface(Place at, Job.Line line) {
    Job.Level top = line.levels().get(line.levels().size() - 1);
    Job.Above above = line.flat() ? null : top.above();
    if (above != null && above.mm() > 0) {
      double opening = line.profile().areaAtMm2(line.profile().depthMm());
      recorder.note(
          at + "/aboveMm",
          above.mm(),
          "mm",
          Formula.DOME_HEIGHT,
          step ->
              step.given("resin above the rim", line.name(), above.ml(), "mL", Origin.WORKED_OUT)
                  .given("opening", null, opening, "mm²", Origin.MEASURED)
                  .given(
                      "mean height, of the highest",
                      null,
                      above.meanShare() * 100,
                      "%",
                      Origin.ASSUMED)
                  .given("most that its skin holds", null, above.mostMm(), "mm", Origin.ASSUMED));
    }
    Double finished = PieceViews.finished(job, line);
    if (finished == null) {
      return;
    }
    recorder.note(
        at + "/finishedMm",
        finished,
        "mm",
        Formula.CURED_SURFACE,
        step -> {
          step.given("poured up to", line.name(), top.toMm(), "mm", Origin.WORKED_OUT);
          for (Job.Level level : line.levels()) {
            LabelFacts facts = job.in(level.resinId()).resin().facts();
            Double lost = facts == null ? null : facts.volumeLost();
            step.given("layer", level.colour().name(), level.volumeMl(), "mL", Origin.WORKED_OUT)
                .given("of it is lost", null, (lost == null ? 0 : lost) * 100, "%", Origin.ASSUMED);
          }
          if (above != null && above.mm() > 0 && !line.lidded()) {
            step.from("dome", at + "/aboveMm", above.mm(), "mm");
          }
        });
  }

  void spare(int left, Batch batch, Cup cup, Cup.Pour pour, List<Task> tasks) {
    String ends = new Place.OfPour(pour.id()) + "/endMinutes";
    double begins = batch.times().startSeconds() / 60.0;
    double sinceStart = pour.endSeconds() / 60.0 - begins;
    recorder.note(
        ends,
        sinceStart,
        "min",
        Formula.POUR_END,
        step -> {
          until(batch, pour, tasks)
              .forEach((what, seconds) -> {
                String name = what.replace('_', ' ').toLowerCase(Locale.ROOT);
                step.mayBeLearned(
                    name, null, seconds / 60.0, "min", Origin.CHOSEN, "hands/" + what);
              });
        });
    double contact = (batch.times().contactSeconds() - batch.times().startSeconds()) / 60.0;
    double working = (cup.times().thickensSeconds() - batch.times().contactSeconds()) / 60.0;
    recorder.note(
        "plan/spareMinutes",
        left / 60.0,
        "min",
        Formula.SPARE,
        step ->
            step.given("A meets B", null, contact, "min", Origin.WORKED_OUT)
                .from(
                    "working time",
                    new Place.OfCup(cup.id()) + "/workingTimeMinutes",
                    working,
                    "min")
                .given("margin", null, job.session().habits().marginMinutes(), "min", Origin.CHOSEN)
                .from("last pour ends", ends, sinceStart, "min"));
  }

  private static final String WAITING = "WAITING";

  /**
   * What there was to do, one thing after the other, from the start of a batch until a pour has
   * ended, by its kind, s: back from the pour, always to what ended last before; what lies between
   * is waiting.
   */
  private Map<String, Integer> until(Batch batch, Cup.Pour pour, List<Task> tasks) {
    List<Task> before =
        tasks.stream()
            .filter(t -> t.batch() == batch.number() && t.takesSeconds() > 0)
            .sorted(Comparator.comparingInt(Task::endSeconds).thenComparingInt(Task::startSeconds))
            .toList();
    Map<String, Integer> spent = new LinkedHashMap<>();
    int at = pour.endSeconds();
    while (at > batch.times().startSeconds()) {
      Task last = null;
      for (Task task : before) {
        boolean itself = at != pour.endSeconds() || pour.id().equals(task.pourId());
        last = task.endSeconds() <= at && itself ? task : last;
      }
      int ended = last == null ? batch.times().startSeconds() : last.endSeconds();
      if (ended < at) {
        spent.merge(WAITING, at - Math.max(ended, batch.times().startSeconds()), Integer::sum);
      }
      if (last == null) {
        break;
      }
      int began = Math.max(last.startSeconds(), batch.times().startSeconds());
      spent.merge(named(batch, last), Math.max(0, ended - began), Integer::sum);
      at = began;
    }
    return spent;
  }

  /** Powder has a speed of its own. */
  private String named(Batch batch, Task task) {
    boolean powder =
        task.kind() == Task.Kind.TINT
            && batch.cups().stream()
                .filter(c -> c.id().equals(task.cupId()))
                .flatMap(c -> c.tintIn(job.in(batch.resinId())).shares().stream())
                .anyMatch(s -> s.colourant().form().dry());
    return powder ? "TINT_WITH_POWDER" : task.kind().name();
  }
}
