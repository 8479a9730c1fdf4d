package calmpour.core.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.Samples;
import calmpour.core.mould.Mould;
import calmpour.core.mould.MouldMake;
import calmpour.core.plan.doc.PieceGroup;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** What comes after the bench was left: what is due, what is put off, which moulds are full. */
class AfterwardsTest extends Evening {
  private static final Set<Task.Kind> AFTERWARDS =
      Set.of(
          Task.Kind.DEMOULD,
          Task.Kind.MOULDS_AWAY,
          Task.Kind.FINISH,
          Task.Kind.READY,
          Task.Kind.LOOK);

  private static TaskId out(int line) {
    return PieceGroup.of(RUN.plan().batches(), line, line == 0 ? 4 : 3)
        .getFirst()
        .taskId(Task.Kind.DEMOULD);
  }

  @Test
  void whatIsDueIsWhatThePlanHasAfterTheBench() {
    assertThat(Due.of(state())).isNotEmpty();
    upTo(Task.Kind.DEMOULD);
    RunState state = state();
    List<Due> due = Due.of(state);
    assertThat(due).extracting(Due::kind).isSubsetOf(AFTERWARDS);
    assertThat(due).extracting(Due::fromSeconds).isSorted();
    List<Task> planned =
        RUN.plan().tasks().stream()
            .filter(t -> Set.of(Task.Kind.DEMOULD, Task.Kind.READY).contains(t.kind()))
            .toList();
    assertThat(planned).hasSize(4);
    for (Task task : planned) {
      Due its = due(due, task.id());
      assertThat(its.fromSeconds()).isCloseTo(task.startSeconds(), within(300));
      assertThat(its.toSeconds()).isGreaterThanOrEqualTo(its.fromSeconds());
      assertThat(its.hands()).isEqualTo(task.hands());
      assertThat(its.line()).isEqualTo(task.line());
      assertThat(its.places()).isEqualTo(task.line() == 0 ? 4 : 3);
      assertThat(its.untilSeconds()).isNull();
    }
    // What is done is not due; of a run that is over nothing is.
    tell(RunEvent.Kind.DONE, out(0), null);
    assertThat(Due.of(state())).extracting(Due::taskId).doesNotContain(out(0)).contains(out(1));
    tell(RunEvent.Kind.FINISHED, null, null);
    assertThat(Due.of(state())).isEmpty();
  }

  private static Due due(List<Due> all, TaskId id) {
    return all.stream().filter(d -> d.taskId().equals(id)).findFirst().orElseThrow();
  }

  /** The next layer is one thing to come for, from when the first was begun until it was begun. */
  @Test
  void aLayerOfAnotherBatchIsDueOnce() {
    Run two = WindowsTest.run();
    Instant then = two.begunAt();
    List<RunEvent> told = new ArrayList<>();
    assertThat(Due.of(RUNS.state(two, told, then)))
        .as("before anything is begun no layer waits for another")
        .extracting(Due::kind)
        .isSubsetOf(AFTERWARDS)
        .isNotEmpty();
    boolean begun = false;
    for (RunState state = RUNS.state(two, told, then);
        state.currentId() != null;
        state = RUNS.state(two, told, then)) {
      RunState.Step step = step(state, state.currentId());
      List<Due> layers =
          Due.of(state).stream().filter(d -> !AFTERWARDS.contains(d.kind())).toList();
      if (step.batch() == 2 && !begun) {
        assertThat(layers)
            .singleElement()
            .satisfies(d -> {
              assertThat(d.batch()).isEqualTo(2);
              assertThat(d.taskId()).isEqualTo(step.taskId());
              assertThat(d.untilSeconds()).as("it bonds until then").isNotNull();
            });
      } else {
        assertThat(layers).hasSize(begun || told.isEmpty() ? 0 : 1);
      }
      begun |= step.batch() == 2;
      then = two.begunAt().plusSeconds(Math.max(state.atSeconds(), step.endSeconds()));
      told.add(RunEvent.of("e" + told.size(), then, RunEvent.Kind.DONE, state.currentId().text()));
    }
    assertThat(begun).isTrue();
  }

  private static Due at(int from, int to, Integer until) {
    return new Due(
        out(0), Task.Kind.DEMOULD, 1, 0, 4, from, to, true, Task.Phase.PREPARE, until, null);
  }

  @Test
  void whatIsPutOffIsDueThenAndAtItsLatestMomentAtTheLatest() {
    at(600);
    tell(RunEvent.Kind.PUT_OFF, out(0), 40.0);
    List<Due> off = Later.putOff(List.of(at(1_000, 1_200, 2_500)), RUN, events);
    // 600 s and forty minutes.
    assertThat(off).containsExactly(at(2_500, 2_500, 2_500));
    assertThat(Later.putOff(List.of(at(1_000, 1_200, null)), RUN, events))
        .containsExactly(at(3_000, 3_000, null));
    assertThat(Later.putOff(List.of(at(1_000, 3_600, 9_000)), RUN, events))
        .containsExactly(at(3_000, 3_600, 9_000));
    assertThat(Later.putOff(List.of(at(4_000, 4_200, 9_000)), RUN, events))
        .as("never sooner")
        .containsExactly(at(4_000, 4_200, 9_000));
    assertThat(Later.putOff(List.of(at(1_000, 1_200, 500)), RUN, events))
        .as("what is past its latest moment stays where it is")
        .containsExactly(at(1_000, 1_200, 500));
    tell(RunEvent.Kind.PUT_OFF, out(0), 10.0);
    assertThat(Later.putOff(List.of(at(1_000, 1_100, null)), RUN, events))
        .as("what was said last counts")
        .containsExactly(at(1_200, 1_200, null));
    assertThat(Later.putOff(List.of(at(1_000, 1_100, null)), RUN, List.of()))
        .containsExactly(at(1_000, 1_100, null));
  }

  private void felt(String of, String word) {
    events.add(
        new RunEvent("f" + events.size(), now, RunEvent.Kind.FELT, of, null, List.of(word), null));
  }

  /** From when it may be hard; nobody is asked again within three hours of a touch. */
  @Test
  void aPieceIsTouchedWhenItMayBeHardAndNotAllTheTime() {
    upTo(Task.Kind.DEMOULD);
    int from =
        Later.touch(RUN, events, 0, RUN.begunAt().plus(Duration.ofDays(9))).orElseThrow().from();
    assertThat(from).isPositive().isLessThan(task(out(0)).endSeconds());
    at(from - 1);
    assertThat(Later.touch(RUN, events, 0, now)).isEmpty();
    at(from);
    Later.Touch touch = Later.touch(RUN, events, 0, now).orElseThrow();
    assertThat(touch.piece()).startsWith("1.");
    felt("PIECE/2.1", "TACKY");
    felt("CUP/1.1", "HARD");
    assertThat(Later.touch(RUN, events, 0, now)).as("others were touched").isPresent();
    felt("PIECE/" + touch.piece(), "TACKY");
    assertThat(Later.touch(RUN, events, 0, now.plusSeconds(3 * 3600 - 1))).isEmpty();
    assertThat(Later.touch(RUN, events, 0, now.plusSeconds(3 * 3600))).isPresent();
  }

  @Test
  void whatIsFeltIsOneOfOurWordsAboutACupOrAPiece() {
    Felt piece = Felt.read("PIECE/2.3", List.of("NAIL_DENTS"), 70, "e").orElseThrow();
    assertThat(piece.word()).isEqualTo(Felt.Word.NAIL_DENTS);
    assertThat(piece.cup()).isNull();
    assertThat(piece.piece()).hasToString("2.3");
    assertThat(piece.atSeconds()).isEqualTo(70);
    Felt cup = Felt.read("CUP/1.2", List.of("HONEY"), 70, "e").orElseThrow();
    assertThat(cup.piece()).isNull();
    assertThat(cup.cup()).hasToString("1.2");
    for (String of : new String[] {null, "", "1.2", "MIX/1.2", "CUP/x", "PIECE/0"}) {
      assertThat(Felt.read(of, List.of("HONEY"), 0, "e")).as("" + of).isEmpty();
    }
    assertThat(Felt.read("CUP/1.2", List.of(), 0, "e")).isEmpty();
    assertThat(Felt.read("CUP/1.2", List.of("HONEY", "HARD"), 0, "e")).isEmpty();
    assertThat(Felt.read("CUP/1.2", List.of("LIKE_GLUE"), 0, "e")).isEmpty();
    assertThat(Became.of(List.of("SOLD"), "at the fair", 9))
        .contains(new Became(Became.What.SOLD, 9, "at the fair"));
    assertThat(Became.of(List.of("SOLD", "KEPT"), null, 9)).isEmpty();
    assertThat(Became.of(List.of("EATEN"), null, 9)).isEmpty();
    assertThat(List.of(Became.What.values()).stream().filter(Became.What::handedOver))
        .containsExactly(Became.What.GIVEN_AWAY, Became.What.SOLD);
  }

  /** Poured without the bench, it counts as done at the plan's times, and as no more than that. */
  @Test
  void anEveningWithoutTheBenchIsAsItsPlanHadIt() {
    Task first = RUN.plan().tasks().stream().filter(Task::hands).findFirst().orElseThrow();
    Instant begun = RUN.begunAt();
    assertThat(AsPlanned.until(RUN, begun.plusSeconds(first.endSeconds() - 1))).isEmpty();
    List<RunEvent> one = AsPlanned.until(RUN, begun.plusSeconds(first.endSeconds()));
    assertThat(one)
        .singleElement()
        .satisfies(e -> {
          assertThat(e.of()).isEqualTo(first.id().text());
          assertThat(e.value()).as("nobody weighed it").isNull();
          assertThat(e.at()).isEqualTo(begun.plusSeconds(first.endSeconds()));
        });
    Instant later = begun.plus(Duration.ofDays(60));
    List<RunEvent> all = AsPlanned.until(RUN, later);
    assertThat(all).extracting(RunEvent::at).isSorted();
    assertThat(RUNS.state(RUN, all, later).steps())
        .filteredOn(RunState.Step::hands)
        .allMatch(s -> s.status() == RunState.Status.DONE);
  }

  private Map<String, Integer> full() {
    return FullMoulds.of(RUN, state());
  }

  @Test
  void aMouldIsFullFromItsFirstPourUntilWhatIsInItComesOut() {
    String knob = key("knob");
    String pull = key("pull");
    upTo(Task.Kind.POUR);
    assertThat(full()).isEmpty();
    tell(RunEvent.Kind.DONE, state().currentId(), null);
    assertThat(full()).hasSize(1).containsValue(1);
    upTo(Task.Kind.DEMOULD);
    assertThat(full()).containsOnly(Map.entry(knob, 4), Map.entry(pull, 3));
    events.add(
        new RunEvent(
            "given up", now, RunEvent.Kind.TROUBLE, "LEAKS/2.1", null, List.of("GIVEN_UP"), null));
    assertThat(full()).as("what ran out is in no mould").containsEntry(pull, 2);
    tell(RunEvent.Kind.DONE, out(0), null);
    assertThat(full()).containsOnly(Map.entry(pull, 2));
    tell(RunEvent.Kind.GIVEN_UP, out(1), null);
    assertThat(full()).as("nobody will take it out there").isEmpty();
    events.removeLast();
    tell(RunEvent.Kind.FINISHED, null, null);
    assertThat(full()).isEmpty();
  }

  private static String key(String mould) {
    return RUN.plan().pieces().stream()
        .filter(p -> p.mouldId().equals(mould))
        .map(p -> Mould.key(p.mouldId(), p.cavityId()))
        .findFirst()
        .orElseThrow();
  }

  @Test
  void twoEveningsShareWhatThereIsOfAMould() {
    upTo(Task.Kind.DEMOULD);
    Session again = RUN.session();
    assertThat(inTheWay(again, null))
        .containsExactlyInAnyOrder(
            new FullMoulds.Taken("knob", 4), new FullMoulds.Taken("pull", 3));
    // Eight knobs at a time, four of them full: four more fit, and no fifth.
    assertThat(inTheWay(again, 8)).isEmpty();
    assertThat(inTheWay(again, 7)).containsExactly(new FullMoulds.Taken("knob", 4));
    tell(RunEvent.Kind.DONE, out(0), null);
    tell(RunEvent.Kind.DONE, out(1), null);
    assertThat(inTheWay(again, null)).isEmpty();
  }

  private List<FullMoulds.Taken> inTheWay(Session session, Integer copies) {
    List<Mould> moulds = RUN.workshop().moulds();
    Workshop workshop =
        Samples.workshop(
            RESIN,
            copies == null ? moulds : moulds.stream().map(m -> m.withMake(copies(copies))).toList(),
            RUN.workshop().colours());
    return FullMoulds.inTheWay(session, workshop, RUN, state());
  }

  private static MouldMake copies(int copies) {
    return new MouldMake(
        null, null, null, null, null, null, null, null, null, null, null, null, copies);
  }
}
