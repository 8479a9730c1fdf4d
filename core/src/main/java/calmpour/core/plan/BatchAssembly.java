package calmpour.core.plan;

import static calmpour.core.check.Known.known;

import calmpour.core.cure.CureModel;
import calmpour.core.cure.CureStates;
import calmpour.core.derive.Recorder;
import calmpour.core.plan.amounts.Amounts;
import calmpour.core.plan.amounts.FilledBatch;
import calmpour.core.plan.amounts.FilledCup;
import calmpour.core.plan.amounts.Milligrams;
import calmpour.core.plan.amounts.PourDraft;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.BatchTimes;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.CupFollows;
import calmpour.core.plan.doc.CupTimes;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import calmpour.core.plan.time.BatchStates;
import calmpour.core.plan.time.CureNotes;
import calmpour.core.plan.time.HottestBodies;
import calmpour.core.plan.time.Schedule;
import calmpour.core.session.JobInResin;
import calmpour.core.tint.StrengthSteps;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Puts masses and times of one batch together. */
final class BatchAssembly {
  private final JobInResin job;
  private final CureModel cure;
  private final CureNotes notes;
  private final Looks looks;

  BatchAssembly(JobInResin job, CureModel cure, Recorder recorder) {
    this.job = job;
    this.cure = cure;
    this.notes = new CureNotes(job, cure, recorder);
    this.looks = new Looks(job.job());
  }

  /**
   * @param laid when everything happens
   * @param tasks the same as a list
   */
  Batch batch(FilledBatch batch, Schedule.Laid laid, List<Task> tasks) {
    List<Cup> cups = new ArrayList<>();
    for (FilledCup cup : batch.cups()) {
      cups.add(cup(batch, cup, laid));
    }
    int number = batch.number();
    List<Task> its = tasks.stream().filter(t -> t.batch() == number).toList();
    Integer end = Schedule.end(its, number);
    Batch amounts = new Amounts(job).batch(batch);
    return amounts
        .withCups(cups)
        .withTimes(
            new BatchTimes(
                its.stream().mapToInt(Task::startSeconds).min().orElse(0),
                laid.times().contact(number),
                laid.times().mixed(number),
                end == null ? 0 : end))
        .withHeat(HottestBodies.of(job, cure, amounts, laid).orElse(null));
  }

  private Cup cup(FilledBatch batch, FilledCup cup, Schedule.Laid laid) {
    List<Cup.Pour> pours = new ArrayList<>();
    for (PourDraft pour : cup.pours()) {
      TaskId task = TaskId.pour(pour.id());
      pours.add(Amounts.pour(pour, laid.times().start(task), laid.times().end(task)));
    }
    pours.sort(Comparator.comparingInt(Cup.Pour::startSeconds));
    Cup amounts = Amounts.cup(batch, cup, pours, strength(cup), looks.of(cup));
    int contact = laid.times().contact(batch.number());
    BatchStates.CupStates follows =
        known(known(laid.states().get(batch.number())).cups().get(cup.id()));
    notes.cup(cup.id(), follows);
    follows.layers().forEach(layer -> notes.layer(layer, contact));
    CureStates states = follows.states();
    CureStates.Moment thickens = states.workingTimeEnds();
    Double latest = thickens.latestMinutes();
    return amounts
        .withTimes(
            new CupTimes(
                laid.times().filled(batch.number(), cup.id()),
                contact + seconds(thickens.minutes()) - job.session().habits().marginSeconds(),
                contact + seconds(thickens.minutes()),
                contact + seconds(thickens.earliestMinutes()),
                contact + seconds(latest == null ? thickens.minutes() : latest),
                contact + seconds(states.tooThick().minutes()),
                contact + seconds(states.gels().minutes())))
        .withFollows(
            new CupFollows(
                peak(follows.forgotten(), contact),
                follows.layers().stream().map(l -> layer(l, contact)).toList()));
  }

  private static Cup.@Nullable Peak peak(CureStates forgotten, int contact) {
    CureStates.Heat heat = forgotten.heat();
    return heat == null
        ? null
        : new Cup.Peak(
            heat.peakC(),
            heat.mostPeakC(),
            contact + seconds(heat.peakAtMinutes()),
            heat.used(),
            heat.mostUsed());
  }

  private static Cup.LayerCure layer(BatchStates.LayerStates layer, int contact) {
    CureStates states = layer.states();
    CureStates.Heat heat = states.heat();
    return new Cup.LayerCure(
        layer.pour().line(),
        layer.pour().layer(),
        layer.pour().id(),
        layer.poured(),
        moment(states.tooThick(), contact),
        moment(states.gels(), contact),
        orNull(states.bondEnds(), contact),
        orNull(states.demould(), contact),
        orNull(states.fullCure(), contact),
        heat == null ? null : (Double) heat.peakC(),
        heat == null ? null : (Double) heat.mostPeakC());
  }

  private static Cup.@Nullable StateTime orNull(CureStates.@Nullable Moment moment, int contact) {
    return moment == null ? null : moment(moment, contact);
  }

  private static Cup.StateTime moment(CureStates.Moment moment, int contact) {
    Double latest = moment.latestMinutes();
    return new Cup.StateTime(
        contact + seconds(moment.minutes()),
        contact + seconds(moment.earliestMinutes()),
        latest == null ? null : (Integer) (contact + seconds(latest)));
  }

  /** Whole seconds, rounded down: a deadline is never later than it was worked out. */
  private static int seconds(double minutes) {
    return (int) Math.floor(minutes * 60);
  }

  private Cup.@Nullable Strength strength(FilledCup cup) {
    double factor = job.session().strengthOf(cup.colour().id());
    List<Double> percents = cup.colour().percentsOfMix();
    double resinG = Milligrams.grams(cup.resinMg());
    return StrengthSteps.of(
            cup.tint(), percents, factor, resinG, job.session().habits().scaleDivisionG())
        .map(s ->
            new Cup.Strength(
                s.factor(),
                s.weaker(),
                s.stronger(),
                s.lastStep(),
                s.stoppedBy() == null ? null : Amounts.loading(s.stoppedBy())))
        .orElse(null);
  }
}
