package calmpour.core.run;

import calmpour.core.cure.RoomCourse;
import calmpour.core.plan.doc.CavityId;
import calmpour.core.plan.doc.CupId;
import calmpour.core.plan.doc.TaskId;
import java.time.Duration;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Deque;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * What the events of a run come to, once what was taken back is left out; seconds from its start.
 */
final class History {
  /** What the maker does by hand and may want to take back; that somebody was away is no step. */
  private static final Set<RunEvent.Kind> BY_HAND =
      EnumSet.of(
          RunEvent.Kind.CHECKED,
          RunEvent.Kind.DONE,
          RunEvent.Kind.ADDED,
          RunEvent.Kind.GIVEN_UP,
          RunEvent.Kind.THICK,
          RunEvent.Kind.HOT,
          RunEvent.Kind.POT,
          RunEvent.Kind.FELT,
          RunEvent.Kind.STAYED,
          RunEvent.Kind.DOSED,
          RunEvent.Kind.SQUEEZED,
          RunEvent.Kind.TROUBLE,
          RunEvent.Kind.FINISHED);

  /** What was put on the scale beside the work. */
  private static final Set<RunEvent.Kind> BESIDE =
      EnumSet.of(RunEvent.Kind.STAYED, RunEvent.Kind.DOSED, RunEvent.Kind.SQUEEZED);

  private static final String ANSWERED_RATIO = "RATIO/";
  private static final String ANSWERED_HOT = "HOT/";
  private static final String ANSWERED_GONE = "GONE/";
  private static final String ANSWERED_EARLY = "EARLY/";

  /**
   * @param grams as weighed; null for as planned
   */
  record Done(int atSeconds, @Nullable Double grams, String eventId) {}

  /**
   * @param backSeconds null while nobody is back
   */
  record Away(int atSeconds, @Nullable Integer backSeconds) {}

  /** A temperature of a cup, °C. */
  record Reading(int atSeconds, double temperatureC) {}

  /** Something that was weighed beside the work: what, and of what. */
  record Beside(RunEvent.Kind kind, String of) {}

  /** The last weight counts, g. */
  final Map<Beside, Double> weighed = new LinkedHashMap<>();

  final Map<TaskId, Done> done = new HashMap<>();
  final Set<TaskId> givenUp = new HashSet<>();
  final Map<CupId, Integer> thick = new HashMap<>();
  final Map<CupId, Integer> hot = new HashMap<>();
  final List<RoomCourse.Reading> room = new ArrayList<>();

  /** Of the last reading of the room; null while there is none. */
  @Nullable String roomEventId;

  /** What stayed in cups that were poured out, weighed, g. */
  final Map<CupId, Double> stayed = new HashMap<>();

  final Map<CupId, List<Reading>> warmth = new HashMap<>();
  final Map<String, Double> added = new LinkedHashMap<>();
  final Set<String> checked = new LinkedHashSet<>();
  final List<Away> away = new ArrayList<>();
  final List<PotLog> pot = new ArrayList<>();

  /** In the order in which they were told. */
  final List<Felt> felt = new ArrayList<>();

  /** By piece; of several looks the last one counts. */
  final Map<CavityId, LookOver> lookedOver = new HashMap<>();

  /** By piece; of several tellings the last one counts. */
  final Map<CavityId, Became> became = new HashMap<>();

  /** Done before its wait was over, and meant so: minutes too early, by task. */
  final Map<TaskId, Double> early = new LinkedHashMap<>();

  @Nullable Integer awaySince;
  @Nullable Integer finished;

  /** What can be taken back, the last first: a step together with what was told with it. */
  final Deque<List<RunEvent>> undoable = new ArrayDeque<>();

  /** What went wrong. */
  final Troubles troubles;

  private History(Run run) {
    this.troubles = new Troubles(run.plan(), done, givenUp);
  }

  /**
   * @param events in the order in which they were told, which need not be that of their times
   */
  static History of(Run run, List<RunEvent> events) {
    History history = new History(run);
    List<RunEvent> stand = standing(Corrections.applied(events));
    // A screen that was cut off tells later what was done before.
    stand.sort(Comparator.comparing(RunEvent::at));
    for (RunEvent event : stand) {
      history.add(event, (int) Duration.between(run.begunAt(), event.at()).toSeconds());
    }
    return history;
  }

  /** Those that were not taken back. A step that was finished twice is taken back altogether. */
  static List<RunEvent> standing(List<RunEvent> events) {
    List<RunEvent> stand = new ArrayList<>();
    Set<String> known = new HashSet<>();
    for (RunEvent event : events) {
      if (!known.add(event.id())) {
        continue;
      }
      if (event.kind() != RunEvent.Kind.UNDONE) {
        stand.add(event);
        continue;
      }
      stand.stream()
          .filter(e -> e.id().equals(event.of()))
          .findFirst()
          .ifPresent(back ->
              stand.removeIf(
                  e -> e.kind() == back.kind() && same(e.of(), back.of()) && twice(e, back)));
    }
    return stand;
  }

  private static boolean same(@Nullable String a, @Nullable String b) {
    return a == null ? b == null : a.equals(b);
  }

  private static boolean twice(RunEvent one, RunEvent back) {
    return one.kind() == RunEvent.Kind.DONE || one.id().equals(back.id());
  }

  private void add(RunEvent event, int second) {
    int at = Math.max(0, second);
    String of = event.of() == null ? "" : event.of();
    if (BESIDE.contains(event.kind())) {
      weighed.put(new Beside(event.kind(), of), value(event));
    }
    switch (event.kind()) {
      case CHECKED -> {
        boolean takenBack = event.value() != null && event.value() == 0;
        if (takenBack) {
          checked.remove(of);
        } else {
          checked.add(of);
          if (of.startsWith(ANSWERED_EARLY)) {
            early.put(new TaskId(of.substring(ANSWERED_EARLY.length())), value(event));
          }
        }
      }
      // Told twice, by two screens: done when the first says, with the weight that either knew.
      case DONE ->
          done.merge(
              new TaskId(of),
              new Done(at, event.value(), event.id()),
              (first, again) ->
                  first.grams() == null
                      ? new Done(first.atSeconds(), again.grams(), first.eventId())
                      : first);
      case ADDED -> {
        added.merge(of, value(event), Double::sum);
        // What was answered before is asked anew.
        checked.remove(ANSWERED_RATIO + of.split("/", 2)[0]);
      }
      case GIVEN_UP -> givenUp.add(new TaskId(of));
      case AWAY -> {
        if (awaySince == null) {
          awaySince = at;
          away.add(new Away(at, null));
        }
      }
      case BACK -> {
        if (awaySince != null) {
          away.set(away.size() - 1, new Away(awaySince, at));
          awaySince = null;
        }
      }
      case THICK -> CupId.read(of).ifPresent(cup -> thick.putIfAbsent(cup, at));
      case HOT -> {
        checked.remove(ANSWERED_HOT + of);
        CupId.read(of).ifPresent(cup -> hot.putIfAbsent(cup, at));
      }
      case ROOM -> {
        room.add(new RoomCourse.Reading(at, value(event)));
        roomEventId = event.id();
      }
      case WARMTH ->
          CupId.read(of)
              .ifPresent(cup ->
                  warmth
                      .computeIfAbsent(cup, k -> new ArrayList<>())
                      .add(new Reading(at, value(event))));
      case STAYED -> CupId.read(of).ifPresent(cup -> stayed.put(cup, value(event)));
      case FINISHED -> finished = at;
      // Part of the record; how the run stands does not depend on them.
      case FELT -> Felt.read(of, event.codes(), at, event.id()).ifPresent(felt::add);
      case POT -> PotLog.of(of, event.value(), at).ifPresent(pot::add);
      case LOOKED_OVER ->
          LookOver.of(event.codes(), event.text())
              .ifPresent(l -> CavityId.read(of).ifPresent(piece -> lookedOver.put(piece, l)));
      case TROUBLE ->
          BenchTrouble.read(of, event.codes(), event.value(), event.text(), at)
              .ifPresent(t -> troubles.add(t, event.id()));
      case BECAME ->
          Became.of(event.codes(), event.text(), at)
              .ifPresent(b -> CavityId.read(of).ifPresent(piece -> became.put(piece, b)));
      case DOSED, SQUEEZED, UNDONE, PUT_OFF, CORRECTED, CLOCK -> {}
    }
    if (BY_HAND.contains(event.kind()) && !answers(event)) {
      byHand(event);
    }
  }

  private void byHand(RunEvent event) {
    List<RunEvent> last = undoable.peek();
    if (last != null && last.getFirst().at().equals(event.at())) {
      last.add(event);
    } else {
      undoable.push(new ArrayList<>(List.of(event)));
    }
  }

  /** A warning that was answered is no step of the work, and is not what undo is pressed for. */
  private static boolean answers(RunEvent event) {
    String of = event.of() == null ? "" : event.of();
    return event.kind() == RunEvent.Kind.CHECKED
        && (of.startsWith(ANSWERED_RATIO)
            || of.startsWith(ANSWERED_HOT)
            || of.startsWith(ANSWERED_GONE));
  }

  private static double value(RunEvent event) {
    return event.value() == null ? 0 : event.value();
  }
}
