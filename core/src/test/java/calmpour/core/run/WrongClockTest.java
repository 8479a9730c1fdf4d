package calmpour.core.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import calmpour.core.check.InvalidValuesException;
import calmpour.core.plan.doc.Task;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Cases of rules.md, "A record that is put right": a clock that was wrong from the beginning. */
class WrongClockTest {
  private static final Run RUN = Evening.RUN;
  private static final ZoneId ZONE = ZoneId.of(RUN.session().zoneId());

  private static RunEvent clock(String id, Instant told, LocalDateTime began) {
    return new RunEvent(
        id, told, RunEvent.Kind.CLOCK, null, null, List.of("BEGAN/" + began), "flat battery");
  }

  /** Some of an evening, a line of it put right, as its clock had it. */
  private static List<RunEvent> told(Run run, Random random) {
    List<RunEvent> told = new ArrayList<>();
    for (Task task : run.plan().tasks()) {
      if (task.hands() && random.nextInt(8) > 0 && told.size() < 14) {
        told.add(
            RunEvent.of(
                "e" + told.size(),
                run.begunAt().plusSeconds(task.endSeconds()),
                RunEvent.Kind.DONE,
                task.id().text()));
      }
    }
    told.add(
        new RunEvent(
            "c",
            run.begunAt().plusSeconds(9_000),
            RunEvent.Kind.CORRECTED,
            "e3",
            null,
            List.of(Corrections.at(run.begunAt().plusSeconds(400))),
            "pressed late"));
    return told;
  }

  /** Told wrong and put right is what it would be if the clock had been right. */
  @Test
  void anEveningByAWrongClockPutRightIsTheSameEvening() {
    Random random = new Random(42);
    for (int i = 0; i < 12; i++) {
      LocalDateTime began =
          LocalDateTime.of(2026, 6, 1, 18, 0).plusMinutes(random.nextInt(400_000));
      Instant really = began.atZone(ZONE).toInstant();
      Run right = new Run(RUN.session(), RUN.workshop(), RUN.plan(), really);
      long seed = random.nextLong();
      List<RunEvent> asItWas = told(RUN, new Random(seed));
      Instant later = really.plus(Duration.ofDays(2));
      asItWas.add(clock("clock", later, began));
      WrongClock.RightRun put = WrongClock.of(RUN, asItWas);
      assertThat(put.run().begunAt()).isEqualTo(really);
      assertThat(put.clocks()).singleElement().matches(c -> c.showed().equals(RUN.begunAt()));
      assertThat(Evening.RUNS.lookBack(put.run(), put.events(), later))
          .isEqualTo(Evening.RUNS.lookBack(right, told(right, new Random(seed)), later));
    }
  }

  @Test
  void whatIsToldAfterwardsStandsAndTakenBackAllIsAsBefore() {
    LocalDateTime began = LocalDateTime.of(2026, 12, 24, 18, 0);
    Instant really = began.atZone(ZONE).toInstant();
    List<RunEvent> told = new ArrayList<>(told(RUN, new Random(1)));
    told.add(clock("clock", really.plusSeconds(90_000), began));
    Instant after = really.plusSeconds(95_000);
    told.add(RunEvent.of("last", after, RunEvent.Kind.FINISHED, null));
    assertThat(WrongClock.of(RUN, told).events().getLast().at()).isEqualTo(after);
    // Twice wrong: the second counts from where the first had put it.
    told.add(clock("again", after.plusSeconds(9), began.plusHours(1)));
    WrongClock.RightRun twice = WrongClock.of(RUN, told);
    assertThat(twice.run().begunAt()).isEqualTo(really.plusSeconds(3_600));
    assertThat(twice.events().get(told.size() - 2).at()).isEqualTo(after.plusSeconds(3_600));
    told.add(RunEvent.of("u1", after.plusSeconds(20), RunEvent.Kind.UNDONE, "again"));
    told.add(RunEvent.of("u2", after.plusSeconds(21), RunEvent.Kind.UNDONE, "clock"));
    assertThat(WrongClock.of(RUN, told).events()).isEqualTo(told);
    assertThat(WrongClock.of(RUN, told).run()).isEqualTo(RUN);
  }

  @Test
  void nonsenseAndTimeToComeAreRefused() {
    Instant now = RUN.begunAt().plusSeconds(50_000);
    for (List<String> codes :
        List.of(
            List.<String>of(),
            List.of("BEGAN/soon"),
            List.of("BEGAN/0026-03-03T18:30:00"),
            List.of("AT/" + now))) {
      assertThatThrownBy(
              () -> new RunEvent("x", now, RunEvent.Kind.CLOCK, null, null, codes, "why"))
          .isInstanceOf(InvalidValuesException.class);
    }
    assertThatThrownBy(() ->
            new RunEvent(
                "x",
                now,
                RunEvent.Kind.CLOCK,
                null,
                null,
                List.of("BEGAN/2026-01-01T18:00:00"),
                " "))
        .isInstanceOf(InvalidValuesException.class);
    List<RunEvent> told = told(RUN, new Random(1));
    LocalDateTime began = LocalDateTime.ofInstant(RUN.begunAt(), ZONE);
    assertThat(WrongClock.isPast(RUN, told, clock("a", now, began.minusYears(3)), now)).isTrue();
    assertThat(WrongClock.isPast(RUN, told, clock("a", now, began.plusHours(12)), now)).isFalse();
    assertThat(WrongClock.isPast(RUN, told, clock("a", now, began.plusDays(2)), now)).isFalse();
  }

  /** Only a clock put right, or that taken back, changes what was told before. */
  @Test
  void onlyAClockChangesTheClock() {
    RunEvent step = RunEvent.of("a", RUN.begunAt(), RunEvent.Kind.DONE, "batch/1/WEIGH_FIRST");
    RunEvent clock = clock("c", RUN.begunAt(), LocalDateTime.of(2026, 11, 27, 19, 0));
    List<RunEvent> before = List.of(step, clock);
    assertThat(WrongClock.changes(clock, List.of())).isTrue();
    assertThat(WrongClock.changes(step, before)).isFalse();
    assertThat(WrongClock.changes(back("c"), before)).isTrue();
    assertThat(WrongClock.changes(back("a"), before)).isFalse();
    assertThat(WrongClock.changes(back("c"), List.of(step))).isFalse();
    assertThat(WrongClock.began(List.of("BEGAN/2000-01-01T00:00:00"))).isPresent();
    assertThat(WrongClock.began(List.of("BEGAN/1999-12-31T23:59:59"))).isEmpty();
  }

  private static RunEvent back(String of) {
    return RunEvent.of("u" + of, RUN.begunAt(), RunEvent.Kind.UNDONE, of);
  }
}
