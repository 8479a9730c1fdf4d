package calmpour.core.journal;

import calmpour.core.check.InvalidValuesException;
import calmpour.core.habit.Hands;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import calmpour.core.run.Corrections;
import calmpour.core.run.Run;
import calmpour.core.run.RunEvent;
import calmpour.core.run.RunReader;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * How long hands really take, by what was told at the bench. A step counts where it followed the
 * one before it without a pause in the plan, and nobody was away between them. Of an evening the
 * median step counts, and of all evenings the median evening: one phone call, or one slow evening,
 * moves nothing.
 */
public final class HandSpeeds {
  /** Never learned from fewer evenings. */
  public static final int FEWEST_EVENINGS = 3;

  private static final double QUARTER = 0.25;

  private HandSpeeds() {}

  /** A speed of {@link Hands}, under which it is kept there. */
  public enum Speed {
    WEIGH_SECONDS_PART,
    SPLIT_SECONDS_CUP,
    TINT_SECONDS_CUP,
    POUR_SECONDS_CAVITY,
    POUR_SECONDS_ML,
    BUBBLE_SECONDS_CAVITY,
    COVER_SECONDS,
    EMBED_SECONDS,
    DEMOULD_SECONDS_PIECE;

    private double planned(Hands hands) {
      return switch (this) {
        case WEIGH_SECONDS_PART -> hands.weighSecondsPart();
        case SPLIT_SECONDS_CUP -> hands.splitSecondsCup();
        case TINT_SECONDS_CUP -> hands.tintSecondsCup();
        case POUR_SECONDS_CAVITY -> hands.pourSecondsCavity();
        case POUR_SECONDS_ML -> hands.pourSecondsMl();
        case BUBBLE_SECONDS_CAVITY -> hands.bubbleSecondsCavity();
        case COVER_SECONDS -> hands.coverSeconds();
        case EMBED_SECONDS -> hands.embedSeconds();
        case DEMOULD_SECONDS_PIECE -> hands.demouldSecondsPiece();
      };
    }

    private Hands in(Hands hands, double seconds) {
      return switch (this) {
        case WEIGH_SECONDS_PART -> hands.withWeighSecondsPart(seconds);
        case SPLIT_SECONDS_CUP -> hands.withSplitSecondsCup(seconds);
        case TINT_SECONDS_CUP -> hands.withTintSecondsCup(seconds);
        case POUR_SECONDS_CAVITY -> hands.withPourSecondsCavity(seconds);
        case POUR_SECONDS_ML -> hands.withPourSecondsMl(seconds);
        case BUBBLE_SECONDS_CAVITY -> hands.withBubbleSecondsCavity(seconds);
        case COVER_SECONDS -> hands.withCoverSeconds(seconds);
        case EMBED_SECONDS -> hands.withEmbedSeconds(seconds);
        case DEMOULD_SECONDS_PIECE -> hands.withDemouldSecondsPiece(seconds);
      };
    }

    /** The same hands where no plan may have such a speed. */
    private Hands within(Hands hands, double seconds) {
      try {
        return in(hands, told(seconds));
      } catch (InvalidValuesException beyondWhatIsPlanned) {
        return hands;
      }
    }

    /** Speeds are told to the tenth of a second, a millilitre to the hundredth. */
    private double told(double seconds) {
      double steps = this == POUR_SECONDS_ML ? 100 : 10;
      return Math.max(1, Math.round(seconds * steps)) / steps;
    }

    private static List<Speed> of(Task.Kind kind) {
      return switch (kind) {
        case WEIGH_FIRST, WEIGH_SECOND -> List.of(WEIGH_SECONDS_PART);
        case SPLIT -> List.of(SPLIT_SECONDS_CUP);
        case TINT -> List.of(TINT_SECONDS_CUP);
        case POUR -> List.of(POUR_SECONDS_CAVITY, POUR_SECONDS_ML);
        case BUBBLE_PASS -> List.of(BUBBLE_SECONDS_CAVITY);
        case COVER -> List.of(COVER_SECONDS);
        case EMBED -> List.of(EMBED_SECONDS);
        case DEMOULD -> List.of(DEMOULD_SECONDS_PIECE);
        default -> List.of();
      };
    }
  }

  /**
   * What one evening says.
   *
   * @param person whose hands; null where nobody said
   * @param steps it is told by, 1 or more
   * @param seconds the speed by its median step
   */
  public record OfEvening(Speed speed, @Nullable String person, int steps, double seconds) {}

  /**
   * What all evenings say.
   *
   * @param seconds the speed by the median evening
   * @param lowest a quarter of the evenings were quicker, s
   * @param highest a quarter of the evenings were slower, s
   * @param enough whether there are evenings enough to plan with it
   */
  public record Learned(
      Speed speed,
      int evenings,
      int steps,
      double seconds,
      double lowest,
      double highest,
      boolean enough) {}

  /** Whose speed at what. */
  private record Whose(Speed speed, @Nullable String person) {}

  /**
   * One for each speed and each person who worked. Of two pairs of hands only steps count that
   * somebody told in their own name: else nobody knows which pair did what.
   */
  public static List<OfEvening> of(Run run, List<RunEvent> raw) {
    List<RunEvent> events = Corrections.applied(raw);
    boolean several = run.session().habits().planning().pairsOfHands() > 1;
    Map<TaskId, RunEvent> done = new HashMap<>();
    Set<TaskId> stands = RunReader.done(run, events);
    for (RunEvent event : events) {
      if (event.kind() == RunEvent.Kind.DONE && event.of() != null) {
        TaskId task = new TaskId(event.of());
        if (stands.contains(task)) {
          done.put(task, event);
        }
      }
    }
    Map<Whose, List<Double>> told = new LinkedHashMap<>();
    Map<String, Task> before = new HashMap<>();
    for (Task task :
        run.plan().tasks().stream()
            .filter(Task::hands)
            .sorted(Comparator.comparingInt(Task::startSeconds).thenComparingInt(Task::endSeconds))
            .toList()) {
      RunEvent by = done.get(task.id());
      String person = by == null ? null : by.person();
      // Of one pair of hands it is known which step came before, whoever told it.
      String pair = several ? String.valueOf(person) : "";
      Task last = before.get(pair);
      Double times =
          last == null || (several && person == null) ? null : times(last, task, done, events);
      if (times != null) {
        for (Speed speed : Speed.of(task.kind())) {
          told.computeIfAbsent(new Whose(speed, person), s -> new ArrayList<>())
              .add(times * speed.planned(run.session().hands()));
        }
      }
      before.put(pair, task);
    }
    return told.entrySet().stream()
        .map(e ->
            new OfEvening(
                e.getKey().speed(),
                e.getKey().person(),
                e.getValue().size(),
                Quantile.of(e.getValue(), 0.5)))
        .toList();
  }

  /** Only what one person's hands say. */
  public static List<OfEvening> by(String person, List<OfEvening> evenings) {
    return evenings.stream().filter(e -> person.equals(e.person())).toList();
  }

  /** How many times as long as planned a step took; null where nobody can say. */
  private static @Nullable Double times(
      Task before, Task task, Map<TaskId, RunEvent> done, List<RunEvent> events) {
    RunEvent first = done.get(before.id());
    RunEvent then = done.get(task.id());
    if (first == null || then == null) {
      return null;
    }
    Instant from = first.at();
    Instant to = then.at();
    if (task.startSeconds() != before.endSeconds()
        || task.takesSeconds() <= 0
        || !to.isAfter(from)
        || events.stream()
            .anyMatch(e ->
                e.kind() == RunEvent.Kind.AWAY && !e.at().isBefore(from) && e.at().isBefore(to))) {
      return null;
    }
    return Duration.between(from, to).toMillis() / 1000.0 / task.takesSeconds();
  }

  /** The same hands with every speed that enough evenings tell otherwise. */
  public static Hands with(Hands hands, List<Learned> learned) {
    Hands now = hands;
    for (Learned one : learned) {
      double planned = one.speed().planned(now);
      if (one.enough() && Math.abs(one.seconds() - planned) > LearnedTimes.SAME * planned) {
        now = one.speed().within(now, one.seconds());
      }
    }
    return now;
  }

  /**
   * The first speed by which a kind of step goes, where these hands have each of them just as it
   * was learned.
   */
  public static Optional<Speed> says(Hands hands, List<Learned> learned, Task.Kind kind) {
    List<Speed> all = Speed.of(kind);
    boolean each =
        all.stream()
            .allMatch(speed ->
                learned.stream()
                    .anyMatch(l ->
                        l.speed() == speed
                            && l.enough()
                            && Math.abs(speed.planned(hands) - speed.told(l.seconds())) < SAME));
    return each ? all.stream().findFirst() : Optional.empty();
  }

  /** Far below what speeds are told to, s. */
  private static final double SAME = 1e-6;

  /** What all evenings say together, in the order of the work. */
  public static List<Learned> learn(List<OfEvening> evenings) {
    Map<Speed, List<OfEvening>> by = new EnumMap<>(Speed.class);
    evenings.forEach(e -> by.computeIfAbsent(e.speed(), s -> new ArrayList<>()).add(e));
    return by.entrySet().stream()
        .map(e -> {
          List<Double> seconds = e.getValue().stream().map(OfEvening::seconds).toList();
          return new Learned(
              e.getKey(),
              seconds.size(),
              e.getValue().stream().mapToInt(OfEvening::steps).sum(),
              Quantile.of(seconds, 0.5),
              Quantile.of(seconds, QUARTER),
              Quantile.of(seconds, 1 - QUARTER),
              seconds.size() >= FEWEST_EVENINGS);
        })
        .toList();
  }
}
