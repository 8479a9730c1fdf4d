package calmpour.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import calmpour.core.Samples;
import calmpour.core.design.Layer;
import calmpour.core.plan.doc.Finding;
import calmpour.core.plan.doc.Plan;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.ways.LatestStart;
import calmpour.core.resin.MixRatio;
import calmpour.core.session.Hours;
import calmpour.core.session.Piece;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import calmpour.core.tint.Colour;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.List;
import org.junit.jupiter.api.Test;

/** When it is too late to begin, held against plans of every ten minutes of that evening. */
class LatestStartTest {
  private static final Workshop SHOP =
      Samples.workshop(
          Samples.resin(2, 1, MixRatio.Basis.WEIGHT),
          List.of(Samples.mould("push", 4, 10.0)),
          List.of(Colour.CLEAR));
  private static final Session FREE =
      Samples.session(
          List.of(new Piece("push", 6, List.of(new Layer(Colour.CLEAR.id(), null, null)))));

  private static Session at(LocalTime time, Hours hours) {
    return FREE.withArrangement(FREE.arrangement().withHours(hours))
        .withStartsAt(FREE.startsAt().with(time));
  }

  private static LocalDateTime latest(Session session) {
    return LatestStart.of(session, SHOP, (s, w, watch) -> Samples.planner().plan(s, w));
  }

  @Test
  void isTheLastOfTheEveningWithWhichEverythingIsDoneBeforeTheMakerLeaves() {
    Hours hours = new Hours(7 * 60, 22 * 60, List.of());
    LocalDateTime told = latest(at(LocalTime.of(18, 0), hours));

    assertThat(told).isNotNull();
    assertThat(goesWell(at(told.toLocalTime(), hours))).isTrue();
    for (LocalTime later = told.toLocalTime().plusMinutes(10);
        later.isBefore(LocalTime.of(22, 0));
        later = later.plusMinutes(15)) {
      assertThat(goesWell(at(later, hours))).as("begun at %s", later).isFalse();
    }
  }

  @Test
  void isTheSameWheneverItIsAsked() {
    Hours hours = new Hours(7 * 60, 22 * 60, List.of());
    assertThat(latest(at(LocalTime.of(9, 0), hours)))
        .isEqualTo(latest(at(LocalTime.of(18, 0), hours)));
  }

  @Test
  void isNotToldWhereNothingBoundsItOrThePlanIsWrongAsItStands() {
    assertThat(latest(at(LocalTime.of(18, 0), null))).isNull();
    // Ten minutes at home are too few for any batch.
    assertThat(latest(at(LocalTime.of(18, 0), new Hours(18 * 60, 18 * 60 + 10, List.of()))))
        .isNull();
  }

  /**
   * By the tasks themselves: begun when asked, nothing wrong, the evening's work before leaving.
   */
  private static boolean goesWell(Session session) {
    Plan plan = Samples.planner().plan(session, SHOP);
    int first =
        plan.tasks().stream().filter(Task::hands).mapToInt(Task::startSeconds).min().orElse(0);
    return first < 300
        && plan.findings().stream().noneMatch(f -> f.severity() == Finding.Severity.BREACH);
  }
}
