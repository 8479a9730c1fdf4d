package calmpour.core.journal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.Samples;
import calmpour.core.design.Layer;
import calmpour.core.habit.Hands;
import calmpour.core.journal.HandSpeeds.Learned;
import calmpour.core.journal.HandSpeeds.OfEvening;
import calmpour.core.journal.HandSpeeds.Speed;
import calmpour.core.plan.WorkedPlan;
import calmpour.core.plan.doc.Task;
import calmpour.core.resin.MixRatio;
import calmpour.core.run.Run;
import calmpour.core.run.RunEvent;
import calmpour.core.session.Piece;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import calmpour.core.tint.Colour;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.hipparchus.stat.descriptive.rank.Percentile;
import org.junit.jupiter.api.Test;

/** Hands that really take half as long again, read back out of what they told. */
class HandSpeedsTest {
  private static final Run RUN = run();

  private static Run run() {
    Workshop shop =
        Samples.workshop(
            Samples.resin(2, 1, MixRatio.Basis.WEIGHT),
            List.of(Samples.mould("push", 4, 10.0)),
            List.of(Colour.CLEAR));
    Session session =
        Samples.session(
            List.of(new Piece("push", 6, List.of(new Layer(Colour.CLEAR.id(), null, null)))));
    WorkedPlan worked = Samples.planner().work(session, shop);
    return new Run(session, worked.job().used(), worked.plan(), session.startsAtInstant());
  }

  /** Every step takes so many times as long as planned; what stands between them stays. */
  private static List<RunEvent> evening(double times, int awayBeforePour) {
    List<RunEvent> events = new ArrayList<>();
    double late = 0;
    int pours = 0;
    for (Task task :
        RUN.plan().tasks().stream()
            .filter(Task::hands)
            .filter(t -> t.kind() != Task.Kind.READY)
            .sorted(Comparator.comparingInt(Task::startSeconds))
            .toList()) {
      late += task.takesSeconds() * (times - 1);
      if (task.kind() == Task.Kind.POUR && ++pours == awayBeforePour) {
        events.add(event(events, task.startSeconds() + late, RunEvent.Kind.AWAY, null));
        late += 1_200;
        events.add(event(events, task.startSeconds() + late, RunEvent.Kind.BACK, null));
      }
      events.add(event(events, task.endSeconds() + late, RunEvent.Kind.DONE, task.id().text()));
    }
    return events;
  }

  private static RunEvent event(
      List<RunEvent> before, double seconds, RunEvent.Kind kind, String of) {
    return RunEvent.of(
        "e" + before.size(), RUN.begunAt().plusMillis(Math.round(1000 * seconds)), kind, of);
  }

  private static double seconds(List<OfEvening> evening, Speed speed) {
    return evening.stream().filter(e -> e.speed() == speed).findFirst().orElseThrow().seconds();
  }

  @Test
  void readsTheTrueSpeedOutOfAnEvening() {
    List<OfEvening> slow = HandSpeeds.of(RUN, evening(1.5, 0));
    assertThat(seconds(slow, Speed.POUR_SECONDS_CAVITY)).isCloseTo(15 * 1.5, within(0.3));
    assertThat(seconds(slow, Speed.POUR_SECONDS_ML)).isCloseTo(1.5, within(0.02));
  }

  @Test
  void aCallInTheMiddleDoesNotCount() {
    List<OfEvening> called = HandSpeeds.of(RUN, evening(1.5, 3));
    assertThat(seconds(called, Speed.POUR_SECONDS_CAVITY)).isCloseTo(15 * 1.5, within(0.3));
  }

  /** Two at one bench, step by step in turn, of whom one takes twice as long. */
  private static List<RunEvent> turns(List<RunEvent> evening) {
    List<RunEvent> events = new ArrayList<>();
    for (RunEvent event : evening) {
      events.add(event.withPerson(events.size() % 2 == 0 ? "Fennel" : "Tarn"));
    }
    return events;
  }

  @Test
  void handsAreToldApartByWhoTellsTheirSteps() {
    List<OfEvening> fennel = new ArrayList<>();
    for (double times : List.of(1.0, 1.5)) {
      String person = times > 1 ? "Tarn" : "Fennel";
      fennel.addAll(
          HandSpeeds.of(RUN, evening(times, 0).stream().map(e -> e.withPerson(person)).toList()));
    }
    assertThat(seconds(HandSpeeds.by("Tarn", fennel), Speed.POUR_SECONDS_CAVITY))
        .isCloseTo(15 * 1.5, within(0.3));
    assertThat(seconds(HandSpeeds.by("Fennel", fennel), Speed.POUR_SECONDS_CAVITY))
        .isCloseTo(15, within(0.3));
    assertThat(HandSpeeds.by("somebody", fennel)).isEmpty();
    // In turns at one bench: each step is of whoever told it.
    List<OfEvening> both = HandSpeeds.of(RUN, turns(evening(1.5, 0)));
    assertThat(both.stream().map(OfEvening::person).distinct()).hasSize(2);
    assertThat(both.stream().mapToInt(OfEvening::steps).sum())
        .isEqualTo(HandSpeeds.of(RUN, evening(1.5, 0)).stream().mapToInt(OfEvening::steps).sum());
  }

  @Test
  void ofTwoPairsOfHandsOnlyWhatSomebodyToldInTheirNameCounts() {
    Run helped =
        new Run(
            RUN.session()
                .withHabits(
                    RUN.session()
                        .habits()
                        .withPlanning(RUN.session().habits().planning().withPairsOfHands(2))),
            RUN.workshop(),
            RUN.plan(),
            RUN.begunAt());
    assertThat(HandSpeeds.of(helped, evening(1.5, 0))).isEmpty();
    List<OfEvening> named =
        HandSpeeds.of(helped, evening(1.5, 0).stream().map(e -> e.withPerson("Tarn")).toList());
    assertThat(seconds(named, Speed.POUR_SECONDS_CAVITY)).isCloseTo(15 * 1.5, within(0.3));
  }

  /** Pouring goes by two speeds: hands that share one of them were not learned. */
  @Test
  void handsSayWhatWasLearnedOnlyWhereAllOfAStepsSpeedsDo() {
    List<OfEvening> all = new ArrayList<>();
    for (int i = 0; i < 3; i++) {
      all.addAll(HandSpeeds.of(RUN, evening(1.5, 0)));
    }
    List<Learned> learned = HandSpeeds.learn(all);
    Hands taken = HandSpeeds.with(Hands.DEFAULT, learned);
    assertThat(HandSpeeds.says(taken, learned, Task.Kind.POUR)).contains(Speed.POUR_SECONDS_CAVITY);
    assertThat(HandSpeeds.says(taken.withPourSecondsMl(7.7), learned, Task.Kind.POUR)).isEmpty();
    assertThat(HandSpeeds.says(taken.withPourSecondsCavity(77), learned, Task.Kind.POUR)).isEmpty();
    assertThat(HandSpeeds.says(Hands.DEFAULT, learned, Task.Kind.POUR)).isEmpty();
  }

  @Test
  void oneEveningTeachesNothingAndOneWrongOneMovesNothing() {
    List<OfEvening> usual = HandSpeeds.of(RUN, evening(1.5, 0));
    assertThat(HandSpeeds.learn(usual)).isNotEmpty().noneMatch(Learned::enough);
    List<OfEvening> all = new ArrayList<>();
    for (double times : List.of(1.4, 1.5, 1.5, 1.6, 9.0)) {
      all.addAll(HandSpeeds.of(RUN, evening(times, 0)));
    }
    Learned pour =
        HandSpeeds.learn(all).stream()
            .filter(l -> l.speed() == Speed.POUR_SECONDS_CAVITY)
            .findFirst()
            .orElseThrow();
    assertThat(pour.enough()).isTrue();
    assertThat(pour.evenings()).isEqualTo(5);
    assertThat(pour.seconds()).isCloseTo(15 * 1.5, within(0.3));
    double[] evenings =
        all.stream()
            .filter(e -> e.speed() == Speed.POUR_SECONDS_CAVITY)
            .mapToDouble(OfEvening::seconds)
            .toArray();
    Percentile library = new Percentile().withEstimationType(Percentile.EstimationType.R_7);
    assertThat(pour.lowest()).isCloseTo(library.evaluate(evenings, 25), within(1e-9));
    assertThat(pour.highest()).isCloseTo(library.evaluate(evenings, 75), within(1e-9));
  }
}
