package calmpour.core.run;

import calmpour.core.check.Problem;
import calmpour.core.check.Range;
import calmpour.core.plan.doc.Task;
import java.time.Duration;
import java.time.Instant;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Lines of the record that were put right afterwards, see "A record that is put right" in
 * docs/rules.md. What was told stays; what counts is what it should have said.
 */
public final class Corrections {
  private static final String AT = "AT/";

  private static final Set<RunEvent.Kind> CAN_BE =
      EnumSet.of(
          RunEvent.Kind.DONE,
          RunEvent.Kind.ADDED,
          RunEvent.Kind.ROOM,
          RunEvent.Kind.WARMTH,
          RunEvent.Kind.STAYED,
          RunEvent.Kind.DOSED,
          RunEvent.Kind.SQUEEZED,
          RunEvent.Kind.THICK,
          RunEvent.Kind.HOT,
          RunEvent.Kind.AWAY,
          RunEvent.Kind.BACK,
          RunEvent.Kind.FELT);

  private static final Set<Task.Kind> WEIGHED =
      EnumSet.of(Task.Kind.WEIGH_FIRST, Task.Kind.WEIGH_SECOND, Task.Kind.POUR);

  private Corrections() {}

  /** How a moment is written among the codes of a correction. */
  public static String at(Instant at) {
    return AT + at;
  }

  /** The moment that a correction tells; empty where it tells none, or none that can be read. */
  static Optional<Instant> moment(List<String> codes) {
    return codes.stream()
        .filter(c -> c.startsWith(AT))
        .findFirst()
        .flatMap(c -> {
          try {
            return Optional.of(Instant.parse(c.substring(AT.length())));
          } catch (DateTimeParseException notATime) {
            return Optional.empty();
          }
        });
  }

  /** Whether they say what a line should have said. */
  static boolean whole(List<String> codes, @Nullable Double value) {
    return codes.isEmpty() ? value != null : codes.size() == 1 && moment(codes).isPresent();
  }

  /**
   * The same events as they should have been told; what put them right is not among them.
   *
   * @param events in the order in which they were told
   */
  public static List<RunEvent> applied(List<RunEvent> events) {
    if (events.stream().noneMatch(e -> e.kind() == RunEvent.Kind.CORRECTED)) {
      return events;
    }
    Map<String, RunEvent> right = new HashMap<>();
    chains(events).forEach((id, chain) -> right.put(id, chain.getLast().right()));
    return events.stream()
        .filter(e -> e.kind() != RunEvent.Kind.CORRECTED)
        .map(e -> right.getOrDefault(e.id(), e))
        .toList();
  }

  /** A line after one correction of it. */
  private record Link(RunEvent correction, RunEvent before, RunEvent right) {}

  /** By line that was put right: its corrections in their order. */
  private static Map<String, List<Link>> chains(List<RunEvent> events) {
    Set<String> undone = new HashSet<>();
    Map<String, RunEvent> lines = new HashMap<>();
    for (RunEvent event : events) {
      if (event.kind() == RunEvent.Kind.UNDONE && event.of() != null) {
        undone.add(event.of());
      } else {
        lines.putIfAbsent(event.id(), event);
      }
    }
    Map<String, String> first = new HashMap<>();
    Map<String, List<Link>> chains = new LinkedHashMap<>();
    for (RunEvent event : events) {
      String of = event.of();
      if (event.kind() != RunEvent.Kind.CORRECTED || of == null || undone.contains(event.id())) {
        continue;
      }
      String line = first.getOrDefault(of, of);
      RunEvent told = lines.get(line);
      if (told == null || !CAN_BE.contains(told.kind())) {
        continue;
      }
      first.put(event.id(), line);
      List<Link> chain = chains.computeIfAbsent(line, k -> new ArrayList<>());
      RunEvent before = chain.isEmpty() ? told : chain.getLast().right();
      RunEvent right = event.value() == null ? before : before.withValue(event.value());
      chain.add(new Link(event, before, moment(event.codes()).map(right::withAt).orElse(right)));
    }
    return chains;
  }

  /**
   * The lines that can be put right, in the order of their moments.
   *
   * @param events in the order in which they were told
   */
  public static List<AsTold> lines(Run run, List<RunEvent> events) {
    Map<String, List<Link>> chains = chains(events);
    List<AsTold> lines = new ArrayList<>();
    for (RunEvent event : History.standing(applied(events))) {
      if (!CAN_BE.contains(event.kind())) {
        continue;
      }
      List<Link> chain = chains.getOrDefault(event.id(), List.of());
      lines.add(
          new AsTold(
              chain.isEmpty() ? event.id() : chain.getLast().correction().id(),
              event.kind(),
              event.of(),
              seconds(run, event.at()),
              event.value(),
              measured(run, event),
              event.person(),
              chain.stream().map(l -> was(run, l)).toList()));
    }
    lines.sort(Comparator.comparingInt(AsTold::atSeconds));
    return lines;
  }

  private static AsTold.Was was(Run run, Link link) {
    RunEvent by = link.correction();
    return new AsTold.Was(
        seconds(run, link.before().at()),
        link.before().value(),
        by.text() == null ? "" : by.text(),
        by.person(),
        by.at());
  }

  private static int seconds(Run run, Instant at) {
    return (int) Duration.between(run.begunAt(), at).toSeconds();
  }

  private static AsTold.Measured measured(Run run, RunEvent event) {
    return switch (event.kind()) {
      case ADDED, STAYED, DOSED, SQUEEZED -> AsTold.Measured.GRAMS;
      case ROOM, WARMTH -> AsTold.Measured.CELSIUS;
      case DONE ->
          event.value() != null || weighed(run, event.of())
              ? AsTold.Measured.GRAMS
              : AsTold.Measured.NOTHING;
      default -> AsTold.Measured.NOTHING;
    };
  }

  private static boolean weighed(Run run, @Nullable String task) {
    return run.plan().tasks().stream()
        .anyMatch(t -> t.id().text().equals(task) && WEIGHED.contains(t.kind()));
  }

  /** Why a line cannot be put right like that. */
  public sealed interface Refused {
    /** Somebody was faster. */
    record MeanwhileRight(AsTold stands) implements Refused {}

    /** What is wrong with it, at its field. */
    record Wrong(Problem problem) implements Refused {}
  }

  /**
   * Whether a correction may be told.
   *
   * @param before all that was told, in that order
   * @return empty where it may
   */
  public static Optional<Refused> refused(Run run, List<RunEvent> before, RunEvent correction) {
    List<AsTold> lines = lines(run, before);
    Optional<AsTold> its = lines.stream().filter(l -> l.id().equals(correction.of())).findFirst();
    if (its.isEmpty()) {
      Optional<Refused> faster =
          chains(before).entrySet().stream()
              .filter(c ->
                  c.getKey().equals(correction.of())
                      || c.getValue().stream()
                          .anyMatch(l -> l.correction().id().equals(correction.of())))
              .flatMap(c -> lines.stream().filter(l -> same(l, c.getValue())))
              .<Refused>map(Refused.MeanwhileRight::new)
              .findFirst();
      return faster.isPresent() ? faster : wrong("of", Problem.Code.UNKNOWN_ID, correction.of());
    }
    return wrongWith(run, its.get(), correction);
  }

  private static boolean same(AsTold line, List<Link> chain) {
    return line.id().equals(chain.getLast().correction().id());
  }

  private static Optional<Refused> wrongWith(Run run, AsTold line, RunEvent correction) {
    Double value = correction.value();
    if (value != null) {
      if (line.measured() == AsTold.Measured.NOTHING) {
        return wrong("value", Problem.Code.UNKNOWN_WORD, String.valueOf(value));
      }
      Range legal =
          line.measured() == AsTold.Measured.GRAMS ? RunEvent.GRAMS : RunEvent.TEMPERATURE_C;
      if (!legal.contains(value)) {
        return Optional.of(
            new Refused.Wrong(Problem.outside("value", Problem.Code.OUT_OF_RANGE, value, legal)));
      }
    }
    Optional<Instant> at = moment(correction.codes());
    boolean outside =
        at.isPresent() && (at.get().isBefore(run.begunAt()) || at.get().isAfter(correction.at()));
    return outside
        ? wrong("codes", Problem.Code.OUT_OF_RANGE, at.get().toString())
        : Optional.empty();
  }

  private static Optional<Refused> wrong(String field, Problem.Code code, @Nullable String value) {
    return Optional.of(new Refused.Wrong(Problem.of(field, code, value)));
  }
}
