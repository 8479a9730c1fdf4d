package calmpour.core.practice;

import calmpour.core.habit.Habits;
import calmpour.core.plan.doc.BatchMeasuring;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.CupId;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import calmpour.core.run.BenchTrouble;
import calmpour.core.run.Run;
import calmpour.core.run.RunEvent;
import calmpour.core.run.RunReader;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * What really happened on a rehearsed evening so far, whatever was told of it. It follows from the
 * exercise and from what was told alone, so that nothing of it has to be kept.
 */
final class Befallen {
  /** So long a phone rings, s. */
  static final int RINGS_SECONDS = 60;

  /** Less than that in a mould is seen (starting value). */
  private static final double SEEN_SHORT_PERCENT = 95;

  /** So near a thermometer is read and typed, K. */
  private static final double ROOM_READ_K = 1;

  private static final String WARMED = "WARMED/";

  private final Run run;
  private final EveningPlan plan;
  private final Drawn drawn;
  private final List<RunEvent> stand;
  private final Map<Task.Kind, Integer> counts = new EnumMap<>(Task.Kind.class);
  final List<Befell> all = new ArrayList<>();

  /**
   * @param told in the order in which it was told
   */
  Befallen(Exercise exercise, Run run, Drawn drawn, List<RunEvent> told) {
    this.run = run;
    this.plan = new EveningPlan(run);
    this.drawn = drawn;
    this.stand = new ArrayList<>(RunReader.standing(told));
    stand.sort(Comparator.comparing(RunEvent::at));
    Map<TaskId, Task> tasks = new HashMap<>();
    run.plan().tasks().forEach(t -> tasks.put(t.id(), t));
    Set<TaskId> done = new HashSet<>();
    for (RunEvent event : stand) {
      Task task =
          event.kind() == RunEvent.Kind.DONE && event.of() != null
              ? tasks.get(new TaskId(event.of()))
              : null;
      if (task == null || !done.add(task.id())) {
        continue;
      }
      int nth = counts.merge(task.kind(), 1, Integer::sum);
      for (Mishap mishap : exercise.mishaps()) {
        if (mishap.at() == task.kind() && mishap.nth() == nth) {
          befall(mishap, event, task, done);
        }
      }
    }
  }

  private void befall(Mishap mishap, RunEvent with, Task task, Set<TaskId> done) {
    Cup.Pour pour = plan.pour(task.id());
    switch (mishap.kind()) {
      case WRONG_CUP -> {
        Cup other =
            cups(task)
                .filter(c -> !c.id().equals(task.cupId()) && !c.pours().isEmpty())
                .filter(c -> !done.contains(TaskId.pour(c.pours().getLast().id())))
                .findFirst()
                .orElse(null);
        if (other != null) {
          all.add(new Befell(mishap, with, task, other.id(), pour, 0));
        }
      }
      case SPILL -> {
        // Its own cup, while there is something to be poured from it.
        Cup tips =
            cups(task)
                .filter(c -> stillToPourG(c, done) > 0)
                .min(Comparator.comparing(c -> !c.id().equals(task.cupId())))
                .orElse(null);
        if (tips != null) {
          double grams = Math.rint(stillToPourG(tips, done) * mishap.size() / 10) / 10;
          all.add(new Befell(mishap, with, task, tips.id(), null, grams));
        }
      }
      case LEAK -> {
        if (pour != null) {
          double grams = Math.rint(pour.massG() * mishap.size() / 10) / 10;
          all.add(new Befell(mishap, with, task, null, pour, grams));
        }
      }
      case PHONE, OVER_POUR, WARM_ROOM, COLD_RESIN, EMBED_FORGOTTEN ->
          all.add(new Befell(mishap, with, task, null, null, 0));
    }
  }

  private Stream<Cup> cups(Task task) {
    return task.batch() < 1
        ? Stream.of()
        : run.plan().batches().get(task.batch() - 1).cups().stream();
  }

  private static double stillToPourG(Cup cup, Set<TaskId> done) {
    return cup.pours().stream()
        .filter(p -> !done.contains(TaskId.pour(p.id())))
        .mapToDouble(Cup.Pour::massG)
        .sum();
  }

  /** How many steps of a kind were done. */
  int count(Task.Kind kind) {
    return counts.getOrDefault(kind, 0);
  }

  int seconds(Instant at) {
    return (int) Duration.between(run.begunAt(), at).toSeconds();
  }

  /** When the hands were last at something, s. */
  int lastSeconds() {
    return stand.stream()
        .filter(e -> e.kind() != RunEvent.Kind.ROOM && e.kind() != RunEvent.Kind.FELT)
        .mapToInt(e -> seconds(e.at()))
        .max()
        .orElse(0);
  }

  /** Whether both bottles of a batch were put into warm water. */
  boolean warmed(int batch) {
    return stand.stream()
        .anyMatch(e -> e.kind() == RunEvent.Kind.CHECKED && (WARMED + batch).equals(e.of()));
  }

  static boolean warms(RunEvent event) {
    return event.kind() == RunEvent.Kind.CHECKED
        && event.of() != null
        && event.of().startsWith(WARMED);
  }

  /** What the room really has, °C. */
  double roomC() {
    return drawn.roomC()
        + all.stream()
            .filter(b -> b.mishap().kind() == Mishap.Kind.WARM_ROOM)
            .mapToDouble(b -> b.mishap().size())
            .sum();
  }

  /** The call that can be taken at this moment; null while no phone rings. */
  @Nullable Befell ringing(Instant now) {
    return all.stream()
        .filter(b -> b.mishap().kind() == Mishap.Kind.PHONE)
        .filter(b -> !now.isAfter(b.with().at().plusSeconds(RINGS_SECONDS)) && !taken(b))
        .findFirst()
        .orElse(null);
  }

  private boolean taken(Befell call) {
    Instant from = call.with().at();
    return stand.stream()
        .anyMatch(e ->
            e.kind() == RunEvent.Kind.AWAY
                && !e.at().isBefore(from)
                && !e.at()
                    .isAfter(from.plusSeconds(RINGS_SECONDS + (long) (call.mishap().size() * 60))));
  }

  /** Whether the maker told the bench of it, or did what it asks for. */
  boolean seenTo(Befell befell) {
    return switch (befell.mishap().kind()) {
      case PHONE -> !taken(befell);
      case OVER_POUR ->
          after(befell)
              .anyMatch(e ->
                  e.kind() == RunEvent.Kind.ADDED
                      && e.of() != null
                      && e.of().startsWith(befell.task().batch() + "/"));
      case WARM_ROOM ->
          after(befell)
              .anyMatch(e ->
                  e.kind() == RunEvent.Kind.ROOM
                      && e.value() != null
                      && Math.abs(e.value() - roomC()) <= ROOM_READ_K);
      case COLD_RESIN -> warmed(befell.task().batch());
      case WRONG_CUP, SPILL, LEAK, EMBED_FORGOTTEN -> {
        String of = befell.trouble();
        yield after(befell)
            .anyMatch(e -> e.kind() == RunEvent.Kind.TROUBLE && e.of() != null && told(e.of(), of));
      }
    };
  }

  private static boolean told(String is, String of) {
    return is.equals(of) || is.startsWith(of + "/");
  }

  private Stream<RunEvent> after(Befell befell) {
    return stand.stream().filter(e -> !e.at().isBefore(befell.with().at()));
  }

  /**
   * Everything as it really was: what was told, put right where it was told wrong or not at all.
   */
  List<RunEvent> really() {
    List<RunEvent> really = new ArrayList<>();
    really.add(truth("room", run.begunAt(), RunEvent.Kind.ROOM, null, drawn.roomC()));
    for (RunEvent event : stand) {
      switch (event.kind()) {
        // The room is what it is, whatever was typed.
        case ROOM, WARMTH -> {}
        case DONE -> really.add(weighed(event));
        case TROUBLE -> really.add(spilled(event));
        default -> really.add(event);
      }
    }
    double warmer = 0;
    for (Befell befell : all) {
      Instant at = befell.with().at();
      String id = "truth-" + all.indexOf(befell);
      switch (befell.mishap().kind()) {
        case WARM_ROOM -> {
          warmer += befell.mishap().size();
          really.add(truth(id, at, RunEvent.Kind.ROOM, null, drawn.roomC() + warmer));
        }
        case WRONG_CUP -> {
          if (!seenTo(befell)) {
            really.add(
                truth(
                    id,
                    at,
                    RunEvent.Kind.TROUBLE,
                    befell.trouble() + "/" + befell.cup(),
                    null,
                    BenchTrouble.Answer.STAYS.name()));
          }
        }
        case SPILL -> {
          if (!seenTo(befell)) {
            really.add(
                truth(
                    id,
                    at.plusMillis(1),
                    RunEvent.Kind.TROUBLE,
                    befell.trouble(),
                    befell.grams(),
                    BenchTrouble.Answer.GOES_ON.name()));
          }
        }
        case PHONE, OVER_POUR, COLD_RESIN, LEAK, EMBED_FORGOTTEN -> {}
      }
    }
    return really;
  }

  private static RunEvent truth(
      String id,
      Instant at,
      RunEvent.Kind kind,
      @Nullable String of,
      @Nullable Double value,
      String... codes) {
    return new RunEvent(id, at, kind, of, value, List.of(codes), null);
  }

  /** Who types what it should have been has poured as much all the same. */
  private RunEvent weighed(RunEvent event) {
    for (Befell befell : all) {
      if (befell.mishap().kind() == Mishap.Kind.OVER_POUR
          && befell.with().id().equals(event.id())) {
        BatchMeasuring m = run.plan().batches().get(befell.task().batch() - 1).measuring();
        boolean aFirst = m.firstPart() == Habits.FirstPart.A;
        double second = (aFirst ? m.partB() : m.partA()).massG();
        double times = 1 + befell.mishap().size() / 100;
        Double told = event.value();
        if (told == null || told < second * Math.sqrt(times)) {
          return event.withValue(second * times);
        }
      }
    }
    return event;
  }

  /** As much is gone as is gone, however much somebody took it for. */
  private RunEvent spilled(RunEvent event) {
    for (Befell befell : all) {
      if (befell.mishap().kind() == Mishap.Kind.SPILL && befell.trouble().equals(event.of())) {
        return event.withValue(befell.grams());
      }
    }
    return event;
  }

  /** What can be noticed at this moment. */
  List<Seen.Sign> signs(Instant now) {
    List<Seen.Sign> signs = new ArrayList<>();
    for (Befell befell : all) {
      int at = seconds(befell.with().at());
      Mishap mishap = befell.mishap();
      switch (mishap.kind()) {
        case PHONE -> {
          if (befell.equals(ringing(now))) {
            signs.add(new Seen.Sign(Seen.SignKind.PHONE_RINGS, at, null, null, null));
          }
        }
        case EMBED_FORGOTTEN -> {
          if (!seenTo(befell)) {
            signs.add(
                new Seen.Sign(Seen.SignKind.EMBED_LIES, at, befell.task().id().text(), null, null));
          }
        }
        case SPILL -> {
          if (!seenTo(befell)) {
            signs.add(
                new Seen.Sign(Seen.SignKind.CUP_TIPPED, at, null, befell.cup(), mishap.size()));
          }
        }
        case LEAK -> {
          if (!seenTo(befell)) {
            signs.add(
                new Seen.Sign(Seen.SignKind.CREEPS_OUT, at, befell.into(), null, mishap.size()));
          }
        }
        // Read off the wall, the scale, the bottle and the mould.
        case OVER_POUR, WARM_ROOM, COLD_RESIN, WRONG_CUP -> {}
      }
    }
    stand.stream()
        .filter(e -> e.kind() == RunEvent.Kind.DONE && e.of() != null)
        .reduce((a, b) -> b)
        .flatMap(e -> Optional.ofNullable(inTheMould(e)))
        .ifPresent(signs::add);
    return signs;
  }

  /** Which colour the last pour put where; null when the last step was no pour. */
  private Seen.@Nullable Sign inTheMould(RunEvent last) {
    Cup.Pour pour = plan.pour(new TaskId(String.valueOf(last.of())));
    if (pour == null) {
      return null;
    }
    CupId from =
        all.stream()
            .filter(
                b -> b.mishap().kind() == Mishap.Kind.WRONG_CUP && b.with().id().equals(last.id()))
            .map(Befell::cup)
            .findFirst()
            .orElseGet(() -> plan.cupOf(pour));
    return new Seen.Sign(
        Seen.SignKind.IN_THE_MOULD,
        seconds(last.at()),
        pour.id().toString(),
        from,
        low(pour, last.value()));
  }

  /** How far a pour fills its share of the cavity, where the eye sees that it falls short. */
  private static @Nullable Double low(Cup.Pour pour, @Nullable Double grams) {
    double percent = grams == null ? 100 : 100 * grams / pour.massG();
    return percent < SEEN_SHORT_PERCENT ? (Double) (5 * Math.rint(percent / 5)) : null;
  }
}
