package calmpour.core.journal;

import static org.assertj.core.api.Assertions.assertThat;

import calmpour.core.design.Join;
import calmpour.core.design.Layer;
import calmpour.core.plan.doc.CavityId;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import calmpour.core.run.AsRun;
import calmpour.core.run.Evening;
import calmpour.core.run.Run;
import calmpour.core.run.RunEvent;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Cases of rules.md, "What a join met". */
class JoinedTest {
  private static final Run RUN = Evening.RUN;
  private static final Instant LOWER = RUN.begunAt().plus(Duration.ofMinutes(30));

  /** The first knob's two layers, the upper one so long after the lower one. */
  private static Joined.JoinMade after(Instant lower, Duration later) {
    return Joined.of(RUN, asRun(lower, later)).getFirst();
  }

  private static AsRun asRun(Instant lower, Duration later) {
    List<RunEvent> told = new ArrayList<>();
    for (Task task : RUN.plan().tasks()) {
      if (task.hands() && task.kind().compareTo(Task.Kind.POUR) < 0) {
        told.add(event(told, RUN.begunAt().plusSeconds(task.endSeconds()), task.id().text()));
      }
    }
    told.add(event(told, lower, "pour/1.1.1"));
    told.add(event(told, lower.plus(later), "pour/1.1.2"));
    return Evening.RUNS.lookBack(RUN, told, lower.plus(later).plusSeconds(60));
  }

  private static RunEvent event(List<RunEvent> told, Instant at, String of) {
    return RunEvent.of("e" + told.size(), at, RunEvent.Kind.DONE, new TaskId(of).text());
  }

  @Test
  void aLayerFindsTheOneBelowThinThenThickThenGelledThenCured() {
    List<Join> met = new ArrayList<>();
    for (int minutes = 1; minutes < 6_000; minutes += 1 + minutes / 8) {
      Joined.JoinMade join = after(LOWER, Duration.ofMinutes(minutes));
      assertThat(join.planned()).isEqualTo(Join.TOGETHER);
      assertThat(join.minutesAfter()).isEqualTo(minutes);
      met.add(join.met());
    }
    assertThat(met).isSorted().contains(Join.values());
    // Common practice, no source: minutes are together, a slow casting resin is hard after days.
    assertThat(met.getFirst()).isEqualTo(Join.TOGETHER);
    assertThat(after(LOWER, Duration.ofMinutes(12)).met()).isEqualTo(Join.TOGETHER);
    assertThat(after(LOWER, Duration.ofDays(3)).met()).isEqualTo(Join.CURED);
  }

  @Test
  void itsClockIsThatOfTheLayerBelowFromWhenThatWasReallyPoured() {
    for (int minutes = 20; minutes < 2_000; minutes *= 2) {
      Duration later = Duration.ofMinutes(minutes);
      assertThat(after(LOWER.plusSeconds(900), later).met()).isEqualTo(after(LOWER, later).met());
    }
  }

  /** A layer that was to lie on a thick one, and came while that was thin. */
  @Test
  void aLayerThatCameTooSoonIsAFactOfWhatWentWrong() {
    Run thick =
        new Run(
            RUN.session()
                .withPieces(
                    RUN.session().pieces().stream()
                        .map(p ->
                            p.withLayers(
                                p.layers().stream()
                                    .map(l -> new Layer(l.colourId(), l.fill(), Join.THICK))
                                    .toList()))
                        .toList()),
            RUN.workshop(),
            RUN.plan(),
            RUN.begunAt());
    CavityId knob = new CavityId(1, 1);
    AsRun soon = asRun(LOWER, Duration.ofMinutes(5));
    assertThat(PieceFacts.of(thick, List.of(), soon, knob).get(Clue.JOINED_SOFTER).told())
        .isEqualTo(Evidence.Told.THERE);
    assertThat(PieceFacts.of(RUN, List.of(), soon, knob).get(Clue.JOINED_SOFTER).told())
        .isEqualTo(Evidence.Told.NOT_THERE);
    AsRun later = asRun(LOWER, Duration.ofHours(6));
    assertThat(PieceFacts.of(thick, List.of(), later, knob).get(Clue.JOINED_SOFTER).told())
        .isEqualTo(Evidence.Told.NOT_THERE);
  }
}
