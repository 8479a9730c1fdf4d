package calmpour.core.practice;

import static org.assertj.core.api.Assertions.assertThat;

import calmpour.core.Samples;
import calmpour.core.cure.EngineModel;
import calmpour.core.design.Layer;
import calmpour.core.habit.Hands;
import calmpour.core.journal.HandSpeeds;
import calmpour.core.journal.LearnedPace;
import calmpour.core.journal.Looked;
import calmpour.core.journal.RoomFelt;
import calmpour.core.mould.Mould;
import calmpour.core.plan.Planner;
import calmpour.core.plan.WorkedPlan;
import calmpour.core.resin.ResinKind;
import calmpour.core.resin.ResinSystem;
import calmpour.core.run.LookOver;
import calmpour.core.run.Run;
import calmpour.core.run.RunReader;
import calmpour.core.session.Piece;
import calmpour.core.session.Room;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import calmpour.core.tint.Colour;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/**
 * Workshops whose resin, hands and room are not as told: the same evenings, planned by the label
 * and planned with what six evenings before them had taught, carried out by the same simulated
 * hands.
 */
class LearnedPlansTest {
  private static final LocalDate DAY = LocalDate.of(2026, 11, 29);
  private static final EngineModel MODEL = new EngineModel();
  private static final Planner PLANNER = Samples.planner(MODEL);
  private static final RunReader RUNS = new RunReader(MODEL);
  private static final ResinSystem RESIN = Samples.resin(ResinKind.CASTING, 14, 100, 23, null);
  private static final List<Mould> MOULDS = List.of(Samples.mould("push", 8, 10.0));
  private static final int EVENINGS_BEFORE = 6;

  private record Counted(int pieces, int byLabel, int byLearned, int batchesByLabel, int batches) {}

  /** A quick bottle in slow hands; one a little quick in a warm room; and one that lasts longer. */
  @Test
  void learnedFiguresLoseFewerPieces() {
    Counted counted =
        count(
            List.of(
                new Drawn.Truth(1.3, 0, 0.75),
                new Drawn.Truth(1, 3, 0.9),
                new Drawn.Truth(0.9, -1, 1.2)),
            2);
    assertThat(counted.byLabel).isGreaterThan(20);
    assertThat(counted.byLearned).isLessThan(counted.byLabel / 2);
  }

  /** What it last found is in docs/campaigns.md. */
  @Tag("long")
  @Test
  void byHowMuch() {
    Random random = new Random(2_911);
    List<Drawn.Truth> drawn = new ArrayList<>();
    for (int w = 0; w < 60; w++) {
      drawn.add(
          new Drawn.Truth(
              Math.exp(0.25 * random.nextGaussian()),
              1.5 * random.nextGaussian(),
              Math.exp(0.2 * random.nextGaussian())));
    }
    Counted counted = count(drawn, 4);
    assertThat(counted.byLearned).isLessThan(counted.byLabel / 2);
  }

  private static Counted count(List<Drawn.Truth> workshops, int evenings) {
    Random random = new Random(41);
    int pieces = 0;
    int label = 0;
    int learned = 0;
    int batchesByLabel = 0;
    int batches = 0;
    for (int w = 0; w < workshops.size(); w++) {
      Drawn.Truth truth = workshops.get(w);
      double pace = truth.potLifeTimes();
      double hands = truth.handsTimes();
      double warmerK = truth.warmerK();
      Session told = session(Hands.DEFAULT, 23);
      Run byLabel = run(told, RESIN);
      RoomFelt room = RoomFelt.of(rooms(random, warmerK));
      Hands theirs = HandSpeeds.with(Hands.DEFAULT, HandSpeeds.learn(speeds(random, hands)));
      ResinSystem resin =
          LearnedPace.of(looks(random, pace), true).takenBy(RESIN, Looked.Of.FLUID, DAY);
      Run byLearned = run(session(theirs, 23 + room.warmerK()), resin);
      double toldPour = Hands.DEFAULT.pourSecondsCavity();
      for (int e = 0; e < evenings; e++) {
        long seed = 1_000L * w + e;
        pieces += 24;
        label += lost(byLabel, seed, truth);
        double off = theirs.pourSecondsCavity() / toldPour;
        learned +=
            lost(byLearned, seed, new Drawn.Truth(hands / off, warmerK - room.warmerK(), pace));
      }
      batchesByLabel += byLabel.plan().batches().size();
      batches += byLearned.plan().batches().size();
    }
    System.out.printf(
        Locale.ROOT,
        "of %d pieces %d lost as planned by the label (%d batches), %d with what was learned (%d)%n",
        pieces,
        label,
        batchesByLabel,
        learned,
        batches);
    return new Counted(pieces, label, learned, batchesByLabel, batches);
  }

  private static List<Double> rooms(Random random, double warmerK) {
    List<Double> read = new ArrayList<>();
    for (int i = 0; i < EVENINGS_BEFORE; i++) {
      read.add(warmerK + 0.4 * random.nextGaussian());
    }
    return read;
  }

  private static List<Looked> looks(Random random, double pace) {
    List<Looked> looks = new ArrayList<>();
    for (int i = 0; i < EVENINGS_BEFORE; i++) {
      double its = pace * Math.exp(0.05 * random.nextGaussian());
      looks.add(new Looked("r", null, Looked.Of.FLUID, its * 0.94, its * 1.06, 2));
    }
    return looks;
  }

  private static List<HandSpeeds.OfEvening> speeds(Random random, double times) {
    List<HandSpeeds.OfEvening> told = new ArrayList<>();
    Hands said = Hands.DEFAULT;
    for (int i = 0; i < EVENINGS_BEFORE; i++) {
      double its = times * Math.exp(0.1 * random.nextGaussian());
      told.add(of(HandSpeeds.Speed.WEIGH_SECONDS_PART, said.weighSecondsPart() * its));
      told.add(of(HandSpeeds.Speed.SPLIT_SECONDS_CUP, said.splitSecondsCup() * its));
      told.add(of(HandSpeeds.Speed.TINT_SECONDS_CUP, said.tintSecondsCup() * its));
      told.add(of(HandSpeeds.Speed.POUR_SECONDS_CAVITY, said.pourSecondsCavity() * its));
      told.add(of(HandSpeeds.Speed.POUR_SECONDS_ML, said.pourSecondsMl() * its));
      told.add(of(HandSpeeds.Speed.BUBBLE_SECONDS_CAVITY, said.bubbleSecondsCavity() * its));
      told.add(of(HandSpeeds.Speed.COVER_SECONDS, said.coverSeconds() * its));
    }
    return told;
  }

  private static HandSpeeds.OfEvening of(HandSpeeds.Speed speed, double seconds) {
    return new HandSpeeds.OfEvening(speed, null, 3, seconds);
  }

  private static Session session(Hands hands, double roomC) {
    return Samples.session(
            List.of(new Piece("push", 24, List.of(new Layer(Colour.CLEAR.id(), null, null)))))
        .withHands(hands)
        .withRoom(new Room(roomC, null));
  }

  private static Run run(Session session, ResinSystem resin) {
    Workshop shop = Samples.workshop(resin, MOULDS, List.of(Colour.CLEAR));
    WorkedPlan worked = PLANNER.work(session, shop);
    return new Run(session, worked.job().used(), worked.plan(), session.startsAtInstant());
  }

  /** Pieces poured too thick, or not at all: what nobody would sell. */
  private static int lost(Run run, long seed, Drawn.Truth truth) {
    Exercise exercise = new Exercise("evening", 1, seed, 0, run.session(), List.of());
    Rehearsal rehearsal = new Rehearsal(exercise, run, RUNS, new Drawn(seed, run, truth));
    return (int)
        rehearsal.carriedOut(true).score().pieces().stream()
            .filter(p -> p.verdict() != LookOver.Verdict.GOOD)
            .count();
  }
}
