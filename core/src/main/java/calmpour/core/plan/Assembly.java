package calmpour.core.plan;

import calmpour.core.cure.CureModel;
import calmpour.core.cure.CureStates;
import calmpour.core.derive.Formula;
import calmpour.core.derive.Origin;
import calmpour.core.derive.Recorder;
import calmpour.core.design.PieceSide;
import calmpour.core.design.PieceWork;
import calmpour.core.habit.Habits;
import calmpour.core.mould.MouldMake;
import calmpour.core.session.CupKind;
import calmpour.core.session.Job;
import calmpour.core.tint.Colourant;
import calmpour.core.tint.Dosing;
import calmpour.core.tint.LoadingBasis;
import calmpour.core.tint.Look;
import calmpour.core.tint.Rgb;
import calmpour.core.tint.StrengthSteps;
import calmpour.core.tint.Tint;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** Puts masses and times together into the plan that everybody reads. */
final class Assembly {
  private final Job job;
  private final Recorder recorder;
  private final CureModel cure;
  private final CureNotes notes;

  Assembly(Job job, CureModel cure, Recorder recorder) {
    this.job = job;
    this.recorder = recorder;
    this.cure = cure;
    this.notes = new CureNotes(job, cure, recorder);
  }

  /** A batch as amounts; what it says of times and looks means nothing yet. */
  Batch amounts(MixSheet.FilledBatch batch) {
    return batch(batch, null, List.of());
  }

  /**
   * @param laid when everything happens; null for the amounts alone
   * @param tasks the same as a list
   */
  Batch batch(MixSheet.FilledBatch batch, Schedule.@Nullable Laid laid, List<Task> tasks) {
    Habits habits = job.session().habits();
    List<Cup> cups = new ArrayList<>();
    for (MixSheet.FilledCup cup : batch.cups()) {
      cups.add(cup(batch, cup, laid));
    }
    int number = batch.number();
    List<Task> its = tasks.stream().filter(t -> t.batch() == number).toList();
    Integer end = Schedule.end(its, number);
    var a = batch.weighOut().partA();
    var b = batch.weighOut().partB();
    double firstMl = habits.firstPart() == Habits.FirstPart.A ? a.volumeMl() : b.volumeMl();
    CupKind mixingCup = batch.mixingCup();
    return new Batch(
        batch.number(),
        batch.resinId(),
        job.resin().name(),
        batch.stage(),
        batch.needG(),
        a,
        b,
        Milligrams.grams(batch.totalMg()),
        habits.firstPart(),
        batch.weighOut().measured(),
        batch.weighOut().divisionUsed(),
        batch.weighOut().ratioErrorPercent(),
        mixingCup,
        mixingCup.levelMm(firstMl),
        mixingCup.levelMm(a.volumeMl() + b.volumeMl()),
        Milligrams.grams(batch.staysMg()),
        Milligrams.grams(batch.firstStaysMg()),
        batch.split() ? new Limits(job).reserveG() : 0,
        Bodies.startC(job),
        batch.wholeDoses().stream().map(Assembly::dose).toList(),
        batch.split(),
        cups,
        its.stream().mapToInt(Task::startSeconds).min().orElse(0),
        laid == null ? 0 : laid.times().contact(number),
        laid == null ? 0 : laid.times().mixed(number),
        end == null ? 0 : end,
        laid == null ? null : BatchHeat.of(job, cure, amounts(batch), laid).orElse(null));
  }

  private Cup cup(
      MixSheet.FilledBatch batch, MixSheet.FilledCup cup, Schedule.@Nullable Laid laid) {
    List<Cup.Pour> pours = new ArrayList<>();
    for (PourDraft pour : cup.pours()) {
      String task = Times.pour(pour.id());
      int start = laid == null ? 0 : laid.times().start(task);
      int end = laid == null ? 0 : laid.times().end(task);
      pours.add(pour(pour, start, end));
    }
    pours.sort(Comparator.comparingInt(Cup.Pour::startSeconds));
    // Thousands of batches are tried for a plan, and none of them is looked at.
    boolean shown = laid != null;
    Cup amounts =
        amounts(batch, cup, pours, shown ? strength(cup) : null, shown ? look(cup) : null);
    if (laid == null) {
      return amounts;
    }
    int contact = laid.times().contact(batch.number());
    BatchStates.CupStates follows = laid.states().get(batch.number()).cups().get(cup.id());
    notes.cup(cup.id(), follows);
    follows.layers().forEach(layer -> notes.layer(layer, contact));
    CureStates states = follows.states();
    CureStates.Moment thickens = states.workingTimeEnds();
    Double latest = thickens.latestMinutes();
    return amounts.timed(
        laid.times().filled(batch.number(), cup.id()),
        contact + seconds(thickens.minutes()) - marginSeconds(job.session().habits()),
        contact + seconds(thickens.minutes()),
        contact + seconds(thickens.earliestMinutes()),
        contact + seconds(latest == null ? thickens.minutes() : latest),
        contact + seconds(states.tooThick().minutes()),
        contact + seconds(states.gels().minutes()),
        peak(follows.forgotten(), contact),
        follows.layers().stream().map(l -> layer(l, contact)).toList());
  }

  private static Cup amounts(
      MixSheet.FilledBatch batch,
      MixSheet.FilledCup cup,
      List<Cup.Pour> pours,
      Cup.@Nullable Strength strength,
      @Nullable Look look) {
    return new Cup(
        cup.id(),
        batch.number(),
        cup.colour().id(),
        cup.colour().name(),
        cup.colour().swatch(),
        cup.kind(),
        cup.kind().levelMm(cup.contentMl()),
        Milligrams.grams(cup.resinMg()),
        Milligrams.grams(cup.contentMg()),
        cup.contentMl(),
        Milligrams.grams(cup.pouredMg()),
        Milligrams.grams(cup.contentMg() - cup.pouredMg()),
        cup.doses().stream().map(Assembly::dose).toList(),
        cup.tint().heldAt(),
        cup.asCounted().readings().stream().map(Assembly::loading).toList(),
        cup.hand() == CupDraft.BY_PLAN ? null : cup.hand(),
        cup.asCounted().inAll(),
        cup.asCounted().waterPercent(),
        cup.asCounted().solventPercent(),
        strength,
        look,
        pours,
        0,
        0,
        0,
        0,
        0,
        0,
        0,
        null,
        List.of());
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

  static Cup.Loading loading(Tint.Reading reading) {
    LoadingBasis basis = reading.basis();
    return new Cup.Loading(
        reading.limit().whose(),
        reading.limit().colourantId(),
        basis,
        reading.percent(),
        reading.limitPercent());
  }

  private static Cup.Pour pour(PourDraft pour, int startSeconds, int endSeconds) {
    return new Cup.Pour(
        pour.id(),
        pour.line(),
        pour.cavity(),
        pour.layer(),
        pour.part(),
        pour.parts(),
        pour.half(),
        pour.volumeMl(),
        Milligrams.grams(pour.massMg()),
        pour.toMm(),
        startSeconds,
        endSeconds);
  }

  private Cup.@Nullable Strength strength(MixSheet.FilledCup cup) {
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
                s.stoppedBy() == null ? null : loading(s.stoppedBy())))
        .orElse(null);
  }

  /** The thinnest of its layers hides least. */
  private @Nullable Look look(MixSheet.FilledCup cup) {
    Look thinnest = null;
    for (PourDraft pour : cup.pours()) {
      Look look = look(job.lines().get(pour.line()), pour.layer());
      if (thinnest == null || look.thicknessMm() < thinnest.thicknessMm()) {
        thinnest = look;
      }
    }
    return thinnest;
  }

  private Look look(Job.Line line, int layer) {
    Rgb below = null;
    for (int l = 0; l < layer; l++) {
      Job.Level level = line.level(l);
      below = Look.reflected(tint(level), thickness(level), below);
    }
    Job.Level own = line.level(layer);
    return Look.of(tint(own), thickness(own), below);
  }

  private static double thickness(Job.Level level) {
    return level.coat()
        ? level.volumeMl() / level.coatAreaCm2() * 10
        : level.toMm() - level.fromMm();
  }

  private Tint tint(Job.Level level) {
    return job.tint(level, level.colour());
  }

  private static Cup.Dose dose(Dosing.Counted counted) {
    Colourant colourant = counted.colourant();
    boolean told = counted.by() != Dosing.By.WITH_MIX && counted.by() != Dosing.By.NOTHING;
    boolean liquid = colourant.form().liquid();
    // Beside a weight the nearest count is told, for who has no scale at hand.
    double count =
        counted.by() == Dosing.By.SCALE
            ? Math.rint(counted.massG() / colourant.countedG())
            : counted.count();
    return new Cup.Dose(
        colourant.id(),
        colourant.name(),
        Milligrams.grams(Milligrams.down(counted.massG())),
        counted.wantedG(),
        counted.errorPercent(),
        told && liquid ? (Integer) (int) count : null,
        told && !liquid ? (Double) (count / 4) : null,
        colourant.implement(),
        counted.by(),
        counted.stock());
  }

  Plan plan(List<Batch> batches, List<Task> tasks) {
    List<Plan.PieceView> pieces = new ArrayList<>();
    int cavities = 0;
    double volume = 0;
    for (Job.Line line : job.lines()) {
      pieces.add(piece(line));
      int count = line.piece().count();
      cavities += count;
      volume += count * line.poured().stream().mapToDouble(Job.Level::volumeMl).sum();
    }
    long a = 0;
    long b = 0;
    long colourants = 0;
    long poured = 0;
    long stays = 0;
    int spare = Integer.MAX_VALUE;
    for (Batch batch : batches) {
      a += Milligrams.nearest(batch.partA().massG());
      b += Milligrams.nearest(batch.partB().massG());
      stays += Milligrams.nearest(batch.staysG());
      // Tinted whole, the doses of the cups are within those of the batch.
      for (Cup.Dose dose : batch.tintedWhole()) {
        colourants += Milligrams.nearest(dose.massG());
      }
      for (Cup cup : batch.cups()) {
        for (Cup.Dose dose : batch.tintedWhole().isEmpty() ? cup.doses() : List.<Cup.Dose>of()) {
          colourants += Milligrams.nearest(dose.massG());
        }
        poured += Milligrams.nearest(cup.pouredG());
        stays += Milligrams.nearest(cup.staysG());
        for (Cup.Pour pour : cup.pours()) {
          int left = cup.latestPourEndSeconds() - pour.endSeconds();
          if (left < spare) {
            spare = left;
            noteSpare(left, batch, cup, pour, tasks);
          }
        }
      }
    }
    noteVolumes(volume);
    int end = batches.stream().mapToInt(Batch::endSeconds).max().orElse(0);
    if (spare == Integer.MAX_VALUE) {
      // A mix without moulds has no pour to be late: what counts is when it is ready.
      spare =
          batches.stream()
              .mapToInt(x -> x.cups().get(0).latestPourEndSeconds() - x.endSeconds())
              .min()
              .orElse(0);
    }
    Plan.Totals totals =
        new Plan.Totals(
            cavities,
            volume,
            Milligrams.grams(a + b),
            Milligrams.grams(a),
            Milligrams.grams(b),
            Milligrams.grams(colourants),
            Milligrams.grams(poured),
            Milligrams.grams(stays));
    return new Plan(
        pieces,
        batches,
        tasks,
        List.of(),
        job.assumptions(),
        totals,
        end,
        spare,
        BenchRows.of(job, tasks),
        null,
        null);
  }

  private void noteVolumes(double volume) {
    for (int i = 0; i < job.lines().size(); i++) {
      Job.Line line = job.lines().get(i);
      double piece = line.poured().stream().mapToDouble(Job.Level::volumeMl).sum();
      recorder.note(
          "piece/" + i + "/volumeMl",
          piece,
          "mL",
          Formula.PIECE_VOLUME,
          step ->
              line.poured()
                  .forEach(l ->
                      step.given(
                          "layer", l.colour().name(), l.volumeMl(), "mL", Origin.WORKED_OUT)));
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
                .from("each", "piece/" + i + "/volumeMl", piece, "mL");
          }
        });
  }

  private void noteSpare(int left, Batch batch, Cup cup, Cup.Pour pour, List<Task> tasks) {
    String ends = "pour/" + pour.id() + "/endMinutes";
    double begins = batch.startSeconds() / 60.0;
    double sinceStart = pour.endSeconds() / 60.0 - begins;
    recorder.note(
        ends,
        sinceStart,
        "min",
        Formula.POUR_END,
        step -> {
          until(batch, pour, tasks)
              .forEach(
                  (what, seconds) -> step.given(what, null, seconds / 60.0, "min", Origin.CHOSEN));
        });
    double contact = (batch.contactSeconds() - batch.startSeconds()) / 60.0;
    double working = (cup.thickensSeconds() - batch.contactSeconds()) / 60.0;
    recorder.note(
        "plan/spareMinutes",
        left / 60.0,
        "min",
        Formula.SPARE,
        step ->
            step.given("A meets B", null, contact, "min", Origin.WORKED_OUT)
                .from("working time", "cup/" + cup.id() + "/workingTimeMinutes", working, "min")
                .given("margin", null, job.session().habits().marginMinutes(), "min", Origin.CHOSEN)
                .from("last pour ends", ends, sinceStart, "min"));
  }

  /**
   * What there was to do, one thing after the other, from the start of a batch until a pour has
   * ended, s: back from the pour, always to what ended last before; what lies between is waiting.
   */
  private static Map<String, Integer> until(Batch batch, Cup.Pour pour, List<Task> tasks) {
    List<Task> before =
        tasks.stream()
            .filter(t -> t.batch() == batch.number() && t.takesSeconds() > 0)
            .sorted(Comparator.comparingInt(Task::endSeconds).thenComparingInt(Task::startSeconds))
            .toList();
    Map<String, Integer> spent = new LinkedHashMap<>();
    int at = pour.endSeconds();
    while (at > batch.startSeconds()) {
      Task last = null;
      for (Task task : before) {
        boolean itself = at != pour.endSeconds() || pour.id().equals(task.pourId());
        last = task.endSeconds() <= at && itself ? task : last;
      }
      int ended = last == null ? batch.startSeconds() : last.endSeconds();
      if (ended < at) {
        spent.merge("waiting", at - Math.max(ended, batch.startSeconds()), Integer::sum);
      }
      if (last == null) {
        break;
      }
      int began = Math.max(last.startSeconds(), batch.startSeconds());
      String name = last.kind().name().toLowerCase(Locale.ROOT).replace('_', ' ');
      spent.merge(name, Math.max(0, ended - began), Integer::sum);
      at = began;
    }
    return spent;
  }

  static int marginSeconds(Habits habits) {
    return (int) Math.ceil(habits.marginMinutes() * 60);
  }

  private Plan.PieceView piece(Job.Line line) {
    double depth = line.profile().depthMm();
    List<Plan.LayerView> layers = new ArrayList<>();
    for (int l = 0; l < line.levels().size(); l++) {
      layers.add(layer(line, l));
    }
    PieceWork work = line.piece().workOrNone();
    MouldMake make = line.mould().make();
    boolean open = make != null && make.front() == MouldMake.Front.OPEN_SIDE;
    PieceSide front = work.front() != null ? work.front() : open ? PieceSide.OPEN : PieceSide.FLOOR;
    return new Plan.PieceView(
        line.mould().id(),
        line.cavity().id(),
        line.name(),
        line.piece().count(),
        line.measured().section().widthMm(),
        depth,
        line.measured().depthAssumed(),
        line.measured().volumeMl(),
        line.measured().plusMinusMl(),
        line.measured().section().rows(),
        line.levels().stream().mapToDouble(Job.Level::volumeMl).sum(),
        layers,
        front,
        work.base(),
        line.coat() == null ? null : layer(line, line.levels().size()));
  }

  private Plan.LayerView layer(Job.Line line, int index) {
    Job.Level level = line.level(index);
    double density = tint(level).mixDensity();
    double massG =
        level.colours().stream()
            .mapToDouble(c -> c.volumeMl() * job.tint(level, c.colour()).mixDensity())
            .sum();
    return new Plan.LayerView(
        level.colour().id(),
        level.colour().name(),
        level.colour().swatch(),
        level.fromMm(),
        level.toMm(),
        level.volumeMl(),
        level.stage(),
        look(line, index),
        massG,
        level.resinId(),
        level.colours().stream()
            .map(c ->
                new Plan.ColourView(
                    c.colour().id(),
                    c.colour().name(),
                    c.colour().swatch(),
                    c.volumeMl() / level.volumeMl()))
            .toList(),
        level.embeds().stream()
            .map(e ->
                new Plan.InsideView(
                    e.embed().id(),
                    e.embed().name(),
                    e.placed().count(),
                    e.embed().in(density),
                    Math.cbrt(6 * e.embed().displacesMl() * 1_000 / Math.PI),
                    e.displacesMl()))
            .toList());
  }
}
