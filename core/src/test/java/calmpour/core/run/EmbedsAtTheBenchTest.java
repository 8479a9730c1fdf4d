package calmpour.core.run;

import static org.assertj.core.api.Assertions.assertThat;

import calmpour.core.Samples;
import calmpour.core.design.Fill;
import calmpour.core.design.Join;
import calmpour.core.design.Layer;
import calmpour.core.design.PlacedEmbed;
import calmpour.core.embed.Embed;
import calmpour.core.plan.Planner;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import calmpour.core.session.Piece;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Fern tips laid into a layer while that still gives way, and what happens to them. */
class EmbedsAtTheBenchTest {
  private static final Run RUN = run();

  private final List<RunEvent> events = new ArrayList<>();
  private Instant now = RUN.begunAt();

  private static Run run() {
    Layer blue =
        new Layer("blue", Fill.ofShare(0.5), Join.TOGETHER)
            .withEmbeds(
                List.of(
                    new PlacedEmbed(
                        "fern", 1, PlacedEmbed.Moment.AFTER_POUR, true, 0.0, null, List.of())));
    Workshop workshop =
        Samples.workshop(
                Evening.RESIN,
                List.of(Samples.mould("knob", 12, 20.0), Samples.mould("pull", 16, 12.0)),
                List.of(Evening.BLUE, Evening.BROWN))
            .withEmbeds(
                List.of(new Embed("fern", "Fern tip", 0.06, 0.14, null, true, true, null, 30)));
    Session session =
        Samples.session(
            List.of(
                new Piece("knob", 2, List.of(blue)),
                new Piece("pull", 2, List.of(new Layer("brown", null, Join.TOGETHER)))));
    return new Run(
        session,
        Planner.snapshot(session, workshop),
        Samples.planner(Evening.CURE).plan(session, workshop),
        Instant.parse("2026-11-28T10:07:30Z"));
  }

  private RunState state() {
    return Evening.RUNS.state(RUN, events, now);
  }

  private static final TaskId LAID = new TaskId("batch/1/EMBED/1.1/AFTER_POUR");

  private RunState.Step step(String task) {
    return Evening.step(state(), task);
  }

  private AsRun record() {
    return Evening.RUNS.lookBack(RUN, events, now);
  }

  private void done(String task) {
    events.add(RunEvent.of("e" + events.size(), now, RunEvent.Kind.DONE, task));
  }

  private void trouble(String of, BenchTrouble.Answer answer) {
    now = now.plusSeconds(1);
    events.add(
        new RunEvent(
            "t" + events.size(),
            now,
            RunEvent.Kind.TROUBLE,
            of,
            null,
            List.of(answer.name()),
            null));
  }

  /** Every step when it is planned, up to one of them. */
  private void upTo(String task) {
    for (Task planned : RUN.plan().tasks()) {
      if (planned.id().text().equals(task)) {
        return;
      }
      if (planned.hands()) {
        now = RUN.begunAt().plusSeconds(planned.endSeconds());
        done(planned.id().text());
      }
    }
  }

  /** Its layer gives way until the first of its cavities has thickened. */
  @Test
  void anEmbedHasUntilTheFirstOfItsCavitiesIsThick() {
    upTo("pour/1.1.1");
    assertThat(step(LAID.text()).untilSeconds()).isNull();
    now = RUN.begunAt().plusSeconds(1_013);
    done("pour/1.1.1");
    int first = step(LAID.text()).untilSeconds();
    assertThat(
            Evening.RUNS.how(RUN, events, now, "step/" + LAID + "/until", of -> Optional.empty()))
        .hasValueSatisfying(d -> {
          assertThat(d.value()).isEqualTo(first);
          assertThat(d.inputs()).singleElement().matches(i -> i.value() == first);
        });
    // The second came a quarter of an hour later out of a warmer cup.
    now = RUN.begunAt().plusSeconds(1_913);
    done("pour/1.2.1");
    int both = step(LAID.text()).untilSeconds();
    assertThat(both).isLessThanOrEqualTo(first).isGreaterThan(1_913);
    events.removeIf(e -> "pour/1.1.1".equals(e.of()));
    assertThat(step(LAID.text()).untilSeconds()).isGreaterThanOrEqualTo(both);
  }

  @Test
  void aForgottenEmbedIsLaidLateOrLeftOut() {
    upTo("batch/1/BUBBLE_PASS");
    assertThat(step(LAID.text()).status()).isEqualTo(RunState.Status.DONE);
    trouble("EMBED_FORGOTTEN/" + LAID, BenchTrouble.Answer.LATE);
    assertThat(step(LAID.text()).status()).isEqualTo(RunState.Status.TO_DO);
    assertThat(record().deviations()).noneMatch(d -> d.code() == AsRun.Code.EMBED_LEFT_OUT);
    trouble("EMBED_FORGOTTEN/" + LAID, BenchTrouble.Answer.WITHOUT);
    assertThat(step(LAID.text()).status()).isEqualTo(RunState.Status.GIVEN_UP);
    assertThat(record().deviations())
        .filteredOn(d -> d.code() == AsRun.Code.EMBED_LEFT_OUT)
        .singleElement()
        .matches(d -> LAID.text().equals(d.of()) && d.atSeconds() == state().atSeconds());
    // Found after all.
    trouble("EMBED_FORGOTTEN/" + LAID, BenchTrouble.Answer.LATE);
    assertThat(step(LAID.text()).status()).isEqualTo(RunState.Status.TO_DO);
    // What puts no embeds in was not forgotten: nothing changes.
    trouble("EMBED_FORGOTTEN/pour/1.1.1", BenchTrouble.Answer.WITHOUT);
    assertThat(step("pour/1.1.1").status()).isEqualTo(RunState.Status.DONE);
  }

  @Test
  void whatFellIntoAPieceOrACupGivesItUpOnlyWhereThatWasSaid() {
    upTo("pour/2.1.1");
    for (BenchTrouble.Answer answer :
        List.of(BenchTrouble.Answer.TAKEN_OUT, BenchTrouble.Answer.STAYS)) {
      trouble("FELL_INTO_PIECE/2.1", answer);
      assertThat(step("pour/2.1.1").status()).isEqualTo(RunState.Status.TO_DO);
    }
    trouble("FELL_INTO_PIECE/2.1", BenchTrouble.Answer.GIVEN_UP);
    assertThat(step("pour/2.1.1").status()).isEqualTo(RunState.Status.GIVEN_UP);
    assertThat(step("pour/2.2.1").status()).isEqualTo(RunState.Status.TO_DO);
    assertThat(state().givenUp()).extracting(Object::toString).containsExactly("2.1");
    String blue = step("pour/1.1.1").cupId().toString();
    trouble("FOAM/" + blue, BenchTrouble.Answer.GIVEN_UP);
    assertThat(step("pour/1.1.1").status()).isEqualTo(RunState.Status.GIVEN_UP);
    assertThat(step("pour/1.2.1").status()).isEqualTo(RunState.Status.GIVEN_UP);
    assertThat(step("pour/2.2.1").status()).isEqualTo(RunState.Status.TO_DO);
    assertThat(state().leftOvers())
        .filteredOn(l -> l.cupId().toString().equals(blue))
        .singleElement()
        .matches(l -> l.advice() == RunState.Advice.THROW_AWAY);
  }

  /** A look whose time has passed is no loss, and nobody is sent to it. */
  @Test
  void aLookThatNobodyCameToIsMissed() {
    upTo("batch/1/LOOK/1");
    RunState.Step look = step("batch/1/LOOK/1");
    assertThat(look.status()).isEqualTo(RunState.Status.TO_DO);
    now = RUN.begunAt().plusSeconds(look.untilSeconds());
    assertThat(step("batch/1/LOOK/1").status()).isEqualTo(RunState.Status.TO_DO);
    now = now.plusSeconds(1);
    assertThat(step("batch/1/LOOK/1").status()).isEqualTo(RunState.Status.MISSED);
    assertThat(state().currentId().text()).isNotEqualTo("batch/1/LOOK/1");
    assertThat(state().giveUp()).isEmpty();
  }

  private RunState.CupNow cup(String colour) {
    return state().cups().stream()
        .filter(c -> c.colourName().equals(colour))
        .findFirst()
        .orElseThrow();
  }

  private List<String> pours() {
    return state().steps().stream()
        .filter(s -> s.kind() == Task.Kind.POUR && s.status() == RunState.Status.TO_DO)
        .map(s -> s.taskId().text())
        .toList();
  }

  /** Its waits are part of the order: where embeds are still to be set, that stays. */
  @Test
  void whileEmbedsAreToBeSetThePoursKeepTheirOrder() {
    upTo("pour/2.1.1");
    now = RUN.begunAt().plusSeconds(2_100);
    events.add(
        new RunEvent(
            "warm",
            now,
            RunEvent.Kind.WARMTH,
            cup("Harbour").cupId().toString(),
            cup("Harbour").expectedC() + 10,
            List.of(),
            null));
    int thick = cup("Harbour").thicksSeconds();
    // 62 s of brown first are more than the blue cup has.
    now = RUN.begunAt().plusSeconds(thick - 80);
    assertThat(state().reordered()).isFalse();
    assertThat(state().giveUp()).isNotEmpty();
    assertThat(pours()).startsWith("pour/2.1.1", "pour/2.2.1");
    // Nobody sets them: now blue may come first, and all is in time.
    events.add(RunEvent.of("no", now, RunEvent.Kind.GIVEN_UP, LAID.text()));
    assertThat(state().giveUp()).isEmpty();
    assertThat(state().reordered()).isTrue();
    assertThat(pours()).containsExactly("pour/1.1.1", "pour/1.2.1", "pour/2.1.1", "pour/2.2.1");
  }
}
