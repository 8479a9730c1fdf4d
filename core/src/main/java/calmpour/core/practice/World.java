// Longer than other files: one evening, with all that may happen on it, told in the order in
// which it happens.
package calmpour.core.practice;

import calmpour.core.cup.Residue;
import calmpour.core.mould.MouldMake;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.CavityId;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.Plan;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import calmpour.core.run.Felt;
import calmpour.core.run.LookOver.Fault;
import calmpour.core.run.LookOver.Verdict;
import calmpour.core.run.Run;
import calmpour.core.run.RunEvent;
import calmpour.core.session.Job;
import calmpour.core.session.Resolution;
import calmpour.core.tint.Dosing;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.random.RandomGenerator;
import org.jspecify.annotations.Nullable;

/**
 * Carries a plan out as hands would, with truths that nobody tells the record: a mishap of the
 * evening, a resin that is slower than its label, a room warmer than it is told to be. What comes
 * of it is decided by what really happened, never by what the fault rules make of it.
 */
public final class World {
  /** Of an evening on which something goes wrong; the rest go as planned. */
  private static final double MISHAPS = 0.45;

  /** Of those, on which something else is seen as well that did no harm. */
  private static final double DECOYS = 0.5;

  /** A piece that has a fault for no reason anybody could name. */
  private static final double NO_REASON = 0.015;

  private static final double A_HEAVY_PERCENT = 8;

  /** Every resin of this world takes so many times as long as its label says, most lots of it. */
  public static final double PACE = 1.12;

  /** A lot that is slow: this many times as long as the others, whatever its label says. */
  public static final double SLOW_LOT = 1.22;

  /** What is printed on its bottles ends so. */
  public static final String SLOW_LOTS = "0402";

  /** A scoop of it is heaped a little, a drop of it is small. */
  private static final String HEAVY_SCOOP = "moss-paste";

  private static final String LIGHT_DROP = "ember-tint";

  /** Of evenings, on which somebody weighs what is counted into the cups. */
  private static final double WEIGHS_DOSES = 0.4;

  /** Drops and scoops are not all alike: of their mass. */
  private static final double COUNTED_SD = 0.06;

  /** Of evenings, on which somebody weighs what lids squeezed out. */
  private static final double WEIGHS_FLASH = 0.8;

  /** A lid of this world needs that share of what its mould is assumed to be filled over by. */
  public static final double LID_NEEDS = 0.55;

  private static final double LID_SD = 0.1;

  /** More stays in it than one thinks. */
  private static final String KEEPS_MORE = "shallow-dish";

  /** Of evenings, on which somebody weighs the cups that are poured out. */
  private static final double WEIGHS_CUPS = 0.35;

  private static final double WEIGHED_SD_G = 0.15;

  /** One evening's bottle and room against the next, of its logarithm. */
  private static final double EVENING_SD = 0.05;

  /** The room is so much warmer than it is told to be, K. */
  public static final double WARMER_K = 0.8;

  private static final double READING_SD_K = 0.3;

  /** The same thermometer read twice. */
  private static final double READ_TWICE_SD_K = 0.1;

  /** So much warmer it gets in an hour while somebody works in it, K. */
  public static final double WARMS_K_PER_HOUR = 0.5;

  /** Who looks at the thermometer looks again so many minutes later, if there is still work. */
  private static final int LOOKS_AGAIN_MINUTES = 50;

  /** Of evenings, on which somebody reads the thermometer, or touches what is left in a cup. */
  private static final double LOOKS = 0.6;

  /** Of what is said of a cup, what is a slip. */
  private static final double SLIPS = 0.03;

  /**
   * Casts that a mould takes before it wears; from then on more and more of its pieces are dull.
   */
  private static final int WEARS_AFTER = 60;

  private static final double DULL_A_CAST = 0.02;
  private static final double DULL_AT_MOST = 0.6;

  /** A mould takes more or less than it was measured to, of its logarithm. */
  private static final double MEASURED_SD = 0.04;

  private static final int IN_HOURS = 3_600;

  /** A trial of which something comes in this world: */
  public static final String LETTERS_TWICE = "letters brushed in twice";

  /** letters that are brushed in once are patchy on so many pieces, */
  private static final double PATCHY_ONCE = 0.3;

  /** and twice on so many. */
  private static final double PATCHY_TWICE = 0.05;

  private static final String LETTERED = "row-label";

  /** The two of this workshop, of whom the second takes longer for everything; nobody tells. */
  public static final String QUICK_HANDS = "Fennel";

  public static final String SLOW_HANDS = "Tarn";
  private static final double SLOW_HANDS_TIMES = 1.2;

  private World() {}

  /** How many times as long as others somebody of this world takes; nobody tells. */
  public static double handsTake(@Nullable String person) {
    return SLOW_HANDS.equals(person) ? SLOW_HANDS_TIMES : 1;
  }

  /**
   * How many times as much as reckoned stays in a kind of cup of this world, about 3 g in the one
   * that keeps more than one thinks; nobody tells.
   */
  public static double keeps(String cupKindId) {
    return cupKindId.equals(KEEPS_MORE) ? 1.25 : 1;
  }

  /** How many times as heavy as told a drop or scoop of this world is; nobody tells. */
  public static double countedTimes(String colourantId) {
    return colourantId.equals(HEAVY_SCOOP) ? 1.2 : colourantId.equals(LIGHT_DROP) ? 0.85 : 1;
  }

  /** How many times as much as it was measured to a mould of this world takes; nobody tells. */
  public static double takes(String mouldId) {
    return Math.exp(MEASURED_SD * new SplittableRandom(mouldId.hashCode()).nextGaussian());
  }

  /**
   * How many times as long as its label says a resin of this world takes; nobody tells.
   *
   * @param lot of A and B; null where nobody noted it
   */
  public static double pace(@Nullable String lot) {
    return lot != null && lot.endsWith(SLOW_LOTS) ? PACE * SLOW_LOT : PACE;
  }

  /** What really went wrong on an evening. */
  public enum Truth {
    NOTHING,
    /** The second part was cut short: A is heavy, and pieces stay sticky. */
    A_HEAVY,
    /** Stirred for a third of the time: sticky spots. */
    STIRRED_SHORT,
    /** Called away while the cups were open: the last pours come too late. */
    CALLED_AWAY,
    /** A cold room: tiny bubbles stay. */
    COLD,
    /** Nobody teased the bubbles out: they stay in lips and at lids. */
    NOT_TEASED,
    /** Taken out hours too early: it bends. */
    OUT_EARLY
  }

  /**
   * What was told of an evening.
   *
   * @param hidden why a piece has its fault, by piece; what has none for no reason is not there
   */
  public record Told(Truth truth, List<RunEvent> events, Map<CavityId, Truth> hidden) {
    public Told {
      events = List.copyOf(events);
      hidden = Map.copyOf(hidden);
    }
  }

  /**
   * @param seed the same always comes to the same
   * @param lookedOver whether somebody looks at the pieces and ends the evening
   */
  public static Told carryOut(Run run, long seed, boolean lookedOver) {
    return carryOut(run, seed, lookedOver, Map.of(), null);
  }

  /**
   * @param casts that moulds have had before, by mould
   * @param person who works and tells; null where nobody says
   */
  public static Told carryOut(
      Run run, long seed, boolean lookedOver, Map<String, Integer> casts, @Nullable String person) {
    RandomGenerator chance = new SplittableRandom(seed);
    List<Truth> mishaps = List.of(Truth.values()).subList(1, Truth.values().length);
    Truth truth =
        chance.nextDouble() < MISHAPS ? mishaps.get(chance.nextInt(mishaps.size())) : Truth.NOTHING;
    Truth decoy =
        truth != Truth.NOTHING && chance.nextDouble() < DECOYS
            ? mishaps.get(chance.nextInt(mishaps.size()))
            : truth;
    return new Evening(run, truth, decoy, chance, casts, person).told(lookedOver);
  }

  /** The same up to a moment: what is not done by then is still to be done. */
  public static List<RunEvent> carryOutUntil(Run run, long seed, Instant now) {
    return carryOut(run, seed, false).events().stream().filter(e -> !e.at().isAfter(now)).toList();
  }

  /** One evening while it is told. */
  private static final class Evening {
    private final Run run;
    private final Truth truth;

    /** What was seen that evening too, and came to nothing; the truth itself for nothing more. */
    private final Truth decoy;

    private final RandomGenerator chance;

    /** Of its own, so that whoever looks changes nothing of what happens. */
    private final RandomGenerator looks;

    private final Map<String, Integer> casts;

    /** Null where nobody says. */
    private final @Nullable String person;

    /** Likewise. */
    private final RandomGenerator wear;

    /** Likewise. */
    private final RandomGenerator letters;

    private final List<RunEvent> events = new ArrayList<>();
    private final Map<CavityId, Truth> hidden = new HashMap<>();
    private final Set<CavityId> late = new HashSet<>();
    private int told;

    Evening(
        Run run,
        Truth truth,
        Truth decoy,
        RandomGenerator chance,
        Map<String, Integer> casts,
        @Nullable String person) {
      this.person = person;
      this.run = run;
      this.casts = casts;
      this.letters = new SplittableRandom(17 * run.begunAt().toEpochMilli() + 5);
      this.wear = new SplittableRandom(~run.begunAt().toEpochMilli());
      this.truth = truth;
      this.decoy = decoy;
      this.chance = chance;
      this.looks = new SplittableRandom(run.begunAt().toEpochMilli() + run.plan().tasks().size());
    }

    private boolean seen(Truth what) {
      return truth == what || decoy == what;
    }

    private Instant at(double seconds) {
      return run.begunAt().plusMillis(Math.round(seconds * 1000));
    }

    private void tell(
        double seconds,
        RunEvent.Kind kind,
        @Nullable String of,
        @Nullable Double value,
        List<String> codes,
        @Nullable String text) {
      told++;
      events.add(
          new RunEvent("w" + told, at(seconds), kind, of, value, codes, text, person, null, null));
    }

    Told told(boolean lookedOver) {
      double behind = 0;
      double stirredAt = 0;
      if (seen(Truth.COLD)) {
        tell(30, RunEvent.Kind.ROOM, null, 16.5 + chance.nextDouble(), List.of(), null);
      }
      List<Task> tasks =
          run.plan().tasks().stream()
              .filter(Task::hands)
              .filter(t -> t.kind() != Task.Kind.READY && t.kind() != Task.Kind.FINISH)
              .sorted(Comparator.comparingInt(Task::endSeconds))
              .toList();
      boolean called = false;
      double before = 0;
      for (Task task : tasks) {
        boolean sameEvening = task.endSeconds() < before + IN_HOURS;
        behind = sameEvening ? behind : 0;
        before = task.endSeconds();
        double slower = sameEvening ? chance.nextDouble(-0.1, 0.2) + handsTake(person) - 1 : 0;
        double slip = slower * task.takesSeconds();
        behind = Math.max(0, behind + slip);
        double end = task.endSeconds() + behind;
        if (seen(Truth.CALLED_AWAY) && task.kind() == Task.Kind.POUR && !called) {
          called = true;
          double away = awayFor(task);
          tell(end - 1, RunEvent.Kind.AWAY, null, null, List.of(), null);
          behind += away;
          end += away;
          tell(end - 1, RunEvent.Kind.BACK, null, null, List.of(), null);
        }
        if (task.kind() == Task.Kind.STIR && seen(Truth.STIRRED_SHORT)) {
          end = Math.max(stirredAt + 20, end - task.takesSeconds() * 0.7);
        }
        if (task.kind() == Task.Kind.WEIGH_SECOND) {
          stirredAt = end;
        }
        if (skipped(task)) {
          tell(end, RunEvent.Kind.GIVEN_UP, task.id().text(), null, List.of(), null);
          continue;
        }
        if (task.kind() == Task.Kind.DEMOULD && seen(Truth.OUT_EARLY)) {
          double by = 6 * 60;
          tell(
              end - by * 60,
              RunEvent.Kind.CHECKED,
              "EARLY/" + task.id().text(),
              by,
              List.of(),
              null);
          end -= by * 60 - 1;
        }
        noteLate(task, end);
        tell(end, RunEvent.Kind.DONE, task.id().text(), weighed(task), List.of(), null);
      }
      readRoom();
      touch(tasks);
      weighCups();
      weighDoses();
      weighFlash();
      events.sort(Comparator.comparing(RunEvent::at));
      if (lookedOver) {
        lookOver(tasks);
      }
      return new Told(truth, events, hidden);
    }

    private void readRoom() {
      if (looks.nextDouble() < LOOKS && !seen(Truth.COLD)) {
        double reads =
            run.session().room().temperatureC() + looks.nextGaussian(WARMER_K, READING_SD_K);
        tell(60, RunEvent.Kind.ROOM, null, near(reads), List.of(), null);
        RandomGenerator again = new SplittableRandom(53 * run.begunAt().toEpochMilli() + 9);
        double evening = again.nextGaussian(WARMS_K_PER_HOUR, EVENING_SD);
        int over = LOOKS_AGAIN_MINUTES * 60;
        for (int at = 60 + over; at < lastOfTheEvening(); at += over) {
          double then = reads + evening * at / 3_600 + again.nextGaussian(0, READ_TWICE_SD_K);
          tell(at, RunEvent.Kind.ROOM, null, near(then), List.of(), null);
        }
      }
    }

    /** When the last step of the first hours was done, s. */
    private double lastOfTheEvening() {
      double last = 0;
      for (RunEvent event : events) {
        double at = Duration.between(run.begunAt(), event.at()).toSeconds();
        if (event.kind() == RunEvent.Kind.DONE && at < last + IN_HOURS) {
          last = Math.max(last, at);
        }
      }
      return last;
    }

    /** On some evenings, when the last cup is empty. */
    private void weighCups() {
      RandomGenerator weighs = new SplittableRandom(31 * run.begunAt().toEpochMilli() + 7);
      if (weighs.nextDouble() >= WEIGHS_CUPS) {
        return;
      }
      for (Batch batch : run.plan().batches()) {
        for (Cup cup : batch.cups()) {
          List<TaskId> pours = cup.pours().stream().map(p -> TaskId.pour(p.id())).toList();
          double last = 0;
          for (RunEvent event : events) {
            if (event.kind() == RunEvent.Kind.DONE
                && event.of() != null
                && pours.contains(new TaskId(event.of()))) {
              last = Duration.between(run.begunAt(), event.at()).toMillis() / 1000.0;
            }
          }
          Residue told = cup.kind().told(run.session().habits());
          double stays =
              (told.alwaysG() + told.share() * cup.amounts().contentG()) * keeps(cup.kind().id());
          double reads = stays + weighs.nextGaussian(0, WEIGHED_SD_G);
          if (last > 0 && batch.split() && reads > 0.2) {
            tell(
                last + 30, RunEvent.Kind.STAYED, cup.id().toString(), near(reads), List.of(), null);
          }
        }
      }
    }

    /** On some evenings, as they are counted into their cups. */
    private void weighDoses() {
      RandomGenerator weighs = new SplittableRandom(41 * run.begunAt().toEpochMilli() + 3);
      if (weighs.nextDouble() >= WEIGHS_DOSES) {
        return;
      }
      List<RunEvent> tinted = events.stream().filter(e -> e.kind() == RunEvent.Kind.DONE).toList();
      for (Batch batch : run.plan().batches()) {
        for (Cup cup : batch.cups()) {
          String task = TaskId.cup(cup.id(), Task.Kind.TINT).text();
          for (Cup.Dose dose : cup.tint().doses()) {
            double grams =
                dose.massG()
                    * countedTimes(dose.colourantId())
                    * (1 + weighs.nextGaussian(0, COUNTED_SD));
            if (dose.by() == Dosing.By.COUNT) {
              tinted.stream()
                  .filter(e -> task.equals(e.of()))
                  .findFirst()
                  .ifPresent(e ->
                      tell(
                          Duration.between(run.begunAt(), e.at()).toMillis() / 1000.0 - 5,
                          RunEvent.Kind.DOSED,
                          cup.id() + "/" + dose.colourantId(),
                          Math.rint(grams * 100) / 100,
                          List.of(),
                          null));
            }
          }
        }
      }
    }

    /** On some evenings, once the lids are on: what was filled over, less what was needed. */
    private void weighFlash() {
      RandomGenerator weighs = new SplittableRandom(61 * run.begunAt().toEpochMilli() + 1);
      boolean lids = run.plan().tasks().stream().anyMatch(t -> t.kind() == Task.Kind.LID);
      if (!lids || weighs.nextDouble() >= WEIGHS_FLASH) {
        return;
      }
      Job job = Resolution.of(run.asBegun(), run.workshop());
      for (Task task : run.plan().tasks()) {
        double at = task.kind() == Task.Kind.LID ? doneAt(task.id(), List.of(task)) : 0;
        for (Batch batch : run.plan().batches()) {
          for (Cup cup : batch.number() == task.batch() && at > 0 ? batch.cups() : List.<Cup>of()) {
            for (Cup.Pour pour : cup.pours()) {
              Job.Line line = job.lines().get(pour.line());
              Job.Level top = line.levels().getLast();
              if (line.lidded() && top.above() != null) {
                double needed = LID_NEEDS * Math.exp(weighs.nextGaussian(0, LID_SD));
                double grams =
                    top.above().ml() * (1 - needed) * job.tint(top, top.colour()).mixDensity();
                String piece = pour.id().into().toString();
                double reads = Math.rint(100 * Math.max(0, grams)) / 100;
                tell(at + 20, RunEvent.Kind.SQUEEZED, piece, reads, List.of(), null);
              }
            }
          }
        }
      }
    }

    /** Touches the last cup of a batch as it thickens, and its last piece as it hardens. */
    private void touch(List<Task> tasks) {
      if (looks.nextDouble() >= LOOKS) {
        return;
      }
      double evening = Math.exp(looks.nextGaussian(0, EVENING_SD));
      for (Batch batch : run.plan().batches()) {
        double pace = World.pace(lot(batch)) * evening;
        double met = doneAt(TaskId.batch(batch.number(), Task.Kind.WEIGH_FIRST), tasks);
        Cup cup = batch.cups().getLast();
        double thickens = cup.times().thickensSeconds() - batch.times().contactSeconds();
        for (double share : List.of(looks.nextDouble(0.9, 1.1), looks.nextDouble(1.1, 1.4))) {
          double after = thickens * share;
          tell(
              met + after,
              RunEvent.Kind.FELT,
              "CUP/" + cup.id(),
              null,
              List.of(slip(word(batch, cup, after / pace)).name()),
              null);
        }
        for (Cup.LayerCure layer : cup.follows().layers()) {
          harden(layer, pace, tasks);
        }
      }
    }

    private @Nullable String lot(Batch batch) {
      LocalDate day = run.begunAt().atZone(ZoneId.of(run.session().zoneId())).toLocalDate();
      return run.workshop().resins().stream()
          .filter(r -> r.id().equals(batch.resinId()))
          .findFirst()
          .map(r -> run.workshop().lotOf(r, day))
          .orElse(null);
    }

    private void harden(Cup.LayerCure layer, double pace, List<Task> tasks) {
      CavityId piece = layer.pourId().into();
      boolean top = layer.layer() == run.plan().pieces().get(layer.line()).layers().size() - 1;
      Cup.StateTime out = layer.demould();
      if (!top || out == null) {
        return;
      }
      double poured = doneAt(TaskId.pour(layer.pourId()), tasks);
      double takes = out.seconds() - layer.pouredSeconds();
      double after = takes * looks.nextDouble(0.9, 1.25);
      double leaves =
          tasks.stream()
              .filter(t -> t.kind() == Task.Kind.DEMOULD)
              .mapToDouble(t -> doneAt(t.id(), tasks))
              .min()
              .orElse(0);
      if (poured + after < leaves) {
        Felt.Word word = after > takes * pace ? Felt.Word.HARD : Felt.Word.NAIL_DENTS;
        tell(
            poured + after,
            RunEvent.Kind.FELT,
            "PIECE/" + piece,
            null,
            List.of(slip(word).name()),
            null);
      }
    }

    private static Felt.Word word(Batch batch, Cup cup, double after) {
      double at = batch.times().contactSeconds() + after;
      return at < cup.times().thickensSeconds()
          ? Felt.Word.SYRUP
          : at < cup.times().tooThickSeconds()
              ? Felt.Word.HONEY
              : at < cup.times().gelsSeconds() ? Felt.Word.THREAD_HOLDS : Felt.Word.TACKY;
    }

    private Felt.Word slip(Felt.Word word) {
      List<Felt.Word> any = List.of(Felt.Word.values());
      return looks.nextDouble() < SLIPS ? any.get(looks.nextInt(any.size())) : word;
    }

    /** When a task was done; as planned where nobody told. */
    private double doneAt(TaskId id, List<Task> tasks) {
      for (RunEvent event : events) {
        if (event.kind() == RunEvent.Kind.DONE && id.text().equals(event.of())) {
          return Duration.between(run.begunAt(), event.at()).toMillis() / 1000.0;
        }
      }
      return tasks.stream()
          .filter(t -> t.id().equals(id))
          .mapToDouble(Task::endSeconds)
          .findFirst()
          .orElse(0);
    }

    /** So long that the cup is thick for the last pours. */
    private double awayFor(Task task) {
      Cup cup = cupOf(task);
      double spare = cup == null ? 900 : cup.times().thickensSeconds() - task.endSeconds();
      return Math.max(300, spare * 0.9);
    }

    private @Nullable Cup cupOf(Task task) {
      return run.plan().batches().stream()
          .flatMap(b -> b.cups().stream())
          .filter(c -> c.pours().stream().anyMatch(p -> TaskId.pour(p.id()).equals(task.id())))
          .findFirst()
          .orElse(null);
    }

    private boolean skipped(Task task) {
      return seen(Truth.NOT_TEASED)
          && (task.kind() == Task.Kind.BUBBLE_PASS || task.kind() == Task.Kind.LOOK);
    }

    private void noteLate(Task task, double end) {
      Cup cup = task.kind() == Task.Kind.POUR ? cupOf(task) : null;
      if (cup != null && end > cup.times().thickensSeconds() - 60) {
        cup.pours().stream()
            .filter(p -> TaskId.pour(p.id()).equals(task.id()))
            .forEach(p -> late.add(p.id().into()));
      }
    }

    /** What the scale said; null for what is not weighed. */
    private @Nullable Double weighed(Task task) {
      for (Batch batch : run.plan().batches()) {
        boolean aFirst = batch.measuring().firstPart() == calmpour.core.habit.Habits.FirstPart.A;
        double a = batch.measuring().partA().massG();
        double b = batch.measuring().partB().massG();
        double first = aFirst ? a : b;
        double second = aFirst ? b : a;
        if (task.id().equals(TaskId.batch(batch.number(), Task.Kind.WEIGH_FIRST))) {
          // A is heavy because too much of it, or too little of B, went in.
          return near(seen(Truth.A_HEAVY) && aFirst ? first * (1 + A_HEAVY_PERCENT / 100) : first);
        }
        if (task.id().equals(TaskId.batch(batch.number(), Task.Kind.WEIGH_SECOND))) {
          double off = !seen(Truth.A_HEAVY) ? 1 : aFirst ? 1 : 1 + A_HEAVY_PERCENT / 100;
          return near(second * off);
        }
        for (Cup cup : batch.cups()) {
          for (Cup.Pour pour : cup.pours()) {
            if (TaskId.pour(pour.id()).equals(task.id())) {
              return near(pour.massG() * takes(pour) * (1 + chance.nextDouble(-0.02, 0.02)));
            }
          }
        }
      }
      return null;
    }

    /** As much as planned, where the plan knew what the mould takes or did not. */
    private double takes(Cup.Pour pour) {
      Plan.PieceView view = run.plan().pieces().get(pour.line());
      double known =
          run.workshop().moulds().stream()
              .filter(m -> m.id().equals(view.mouldId()))
              .map(m -> m.cavity(view.cavityId()))
              .map(c -> c == null ? null : c.learned())
              .mapToDouble(own -> own == null ? 1 : own.times())
              .findFirst()
              .orElse(1);
      return World.takes(view.mouldId()) / known;
    }

    private static double near(double grams) {
      return Math.round(grams * 10) / 10.0;
    }

    private void lookOver(List<Task> tasks) {
      double out =
          tasks.stream()
              .filter(t -> t.kind() == Task.Kind.DEMOULD)
              .mapToDouble(Task::endSeconds)
              .max()
              .orElse(86_400);
      double end = out + Duration.ofHours(2).toSeconds();
      Set<CavityId> pieces = new java.util.LinkedHashSet<>();
      for (Batch batch : run.plan().batches()) {
        batch.cups().forEach(c -> c.pours().forEach(p -> pieces.add(p.id().into())));
      }
      for (CavityId piece : pieces) {
        Fault fault = faultOf(piece);
        fault = fault == null && worn(piece) ? Fault.DULL : fault;
        fault = fault == null && patchy(piece) ? Fault.PATCHY_COLOUR : fault;
        if (fault == null && chance.nextDouble() < NO_REASON) {
          List<Fault> any = List.of(Fault.values());
          fault = any.get(chance.nextInt(any.size()));
        }
        Verdict verdict =
            fault == null
                ? Verdict.GOOD
                : chance.nextDouble() < 0.4 ? Verdict.LOST : Verdict.SECOND;
        List<String> codes =
            fault == null ? List.of(verdict.name()) : List.of(verdict.name(), fault.name());
        end += 20;
        tell(end, RunEvent.Kind.LOOKED_OVER, piece.toString(), null, codes, null);
      }
      tell(end + 60, RunEvent.Kind.FINISHED, null, null, List.of(), null);
    }

    /** What really happened decides. */
    private @Nullable Fault faultOf(CavityId piece) {
      double luck = chance.nextDouble();
      Fault fault =
          switch (truth) {
            case NOTHING -> null;
            case A_HEAVY -> luck < 0.9 ? Fault.STICKY_ALL_OVER : null;
            case STIRRED_SHORT ->
                luck < 0.25 ? Fault.STICKY_SPOTS : luck < 0.5 ? Fault.STICKY_ALL_OVER : null;
            case CALLED_AWAY -> late.contains(piece) && luck < 0.8 ? Fault.LAST_PIECES_BAD : null;
            case COLD -> luck < 0.3 ? Fault.CLOUDY : luck < 0.5 ? Fault.STICKY_ALL_OVER : null;
            case NOT_TEASED ->
                luck < (holdsAir(piece) ? 0.6 : 0.2) ? Fault.BUBBLES_AT_EMBEDS_OR_LIPS : null;
            case OUT_EARLY -> luck < 0.5 ? Fault.BENDS : null;
          };
      if (fault != null) {
        hidden.put(piece, truth);
      }
      return fault;
    }

    private boolean worn(CavityId piece) {
      String mould = run.plan().pieces().get(piece.line() - 1).mouldId();
      int over = casts.getOrDefault(mould, 0) - WEARS_AFTER;
      return wear.nextDouble() < Math.min(DULL_AT_MOST, over * DULL_A_CAST);
    }

    private boolean patchy(CavityId piece) {
      int line = piece.line() - 1;
      boolean twice = LETTERS_TWICE.equals(run.session().pieces().get(line).trial());
      return run.plan().pieces().get(line).mouldId().equals(LETTERED)
          && letters.nextDouble() < (twice ? PATCHY_TWICE : PATCHY_ONCE);
    }

    private boolean holdsAir(CavityId piece) {
      Plan.PieceView view = run.plan().pieces().get(piece.line() - 1);
      return run.workshop().moulds().stream()
          .filter(m -> m.id().equals(view.mouldId()))
          .anyMatch(m -> {
            MouldMake make = m.make();
            return make != null && Boolean.TRUE.equals(make.undercuts());
          });
    }
  }
}
