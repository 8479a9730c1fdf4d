package calmpour.core.plan.time;

import calmpour.core.design.PlacedEmbed;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.Lag;
import calmpour.core.plan.doc.LineLayer;
import calmpour.core.plan.doc.PourId;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import calmpour.core.session.Job;
import calmpour.core.session.JobInResin;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/** What it takes to put embeds into the layers of one batch. */
final class EmbedWork {
  private final JobInResin job;
  private final Batch batch;
  private final Joins joins;

  /** */
  EmbedWork(JobInResin job, Batch batch, Joins joins) {
    this.job = job;
    this.batch = batch;
    this.joins = joins;
  }

  static boolean has(Job.Level level, PlacedEmbed.Moment moment) {
    return level.embeds().stream().anyMatch(e -> e.placed().moment() == moment);
  }

  /** Line and layer of what is laid on a layer below before this batch covers it. */
  List<LineLayer> laidFirst() {
    Set<LineLayer> laid = new LinkedHashSet<>();
    for (Cup cup : batch.cups()) {
      for (Cup.Pour pour : cup.pours()) {
        Job.Level level = job.lines().get(pour.line()).level(pour.layer());
        if (level.stage() > 0 && job.lines().get(pour.line()).laysFirst(pour.layer())) {
          laid.add(LineLayer.of(pour));
        }
      }
    }
    return List.copyOf(laid);
  }

  TaskId embedId(int line, int layer, PlacedEmbed.Moment moment) {
    return TaskId.batch(batch.number(), Task.Kind.EMBED).of(new LineLayer(line, layer)).of(moment);
  }

  /** Embeds laid on a layer below before it is covered. */
  TaskDraft lay(int line, int layer, Filled filled) {
    PlacedEmbed.Moment moment = PlacedEmbed.Moment.BEFORE_POUR;
    TaskDraft draft =
        TaskDraft.of(
                embedId(line, layer, moment),
                Task.Kind.LAY_EMBEDS,
                batch.number(),
                embedSeconds(line, layer, moment))
            .line(line)
            .pieces(job.lines().get(line).piece().count());
    for (Integer cavity : cavities(line, layer)) {
      joins
          .lags(embedId(line, layer, moment), line, cavity, layer, filled, Lag.Why.EMBED)
          .forEach(draft::lag);
    }
    return draft;
  }

  /** Which of a line's cavities this batch pours a layer of. */
  Set<Integer> cavities(int line, int layer) {
    Set<Integer> cavities = new LinkedHashSet<>();
    for (Cup cup : batch.cups()) {
      for (Cup.Pour pour : cup.pours()) {
        if (pour.line() == line && pour.layer() == layer) {
          cavities.add(pour.cavity());
        }
      }
    }
    return cavities;
  }

  /** All embeds of a moment into all cavities of a layer that this batch fills. */
  TaskDraft embed(int line, int layer, PlacedEmbed.Moment moment, List<PourId> afterPours) {
    TaskDraft draft =
        TaskDraft.of(
                embedId(line, layer, moment),
                Task.Kind.EMBED,
                batch.number(),
                embedSeconds(line, layer, moment))
            .line(line)
            .pieces(cavities(line, layer).size());
    int rest =
        moment == PlacedEmbed.Moment.HALF_FILL
            ? BatchWork.seconds(job.session().habits().care().halfFillRestMinutes() * 60)
            : 0;
    for (PourId pour : afterPours) {
      draft.lag(new Lag(Lag.Clock.POURED, pour, rest, null, false, Lag.Why.EMBED));
    }
    return draft;
  }

  private double embedSeconds(int line, int layer, PlacedEmbed.Moment moment) {
    boolean sets =
        moment == PlacedEmbed.Moment.BEFORE_POUR && job.lines().get(line).setsInner(layer);
    int each =
        job.lines().get(line).level(layer).embeds().stream()
            .filter(e -> e.placed().moment() == moment)
            .mapToInt(e -> e.placed().count())
            .sum();
    double setting = sets ? SET_INNER_SECONDS : 0;
    return (job.session().hands().embedSeconds() * each + setting) * cavities(line, layer).size();
  }

  /** To set an inner mould level and weigh it down (starting value, no source), s. */
  static final double SET_INNER_SECONDS = 60;
}
