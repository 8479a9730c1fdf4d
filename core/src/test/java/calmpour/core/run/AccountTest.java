package calmpour.core.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.Samples;
import calmpour.core.design.Join;
import calmpour.core.design.Layer;
import calmpour.core.plan.Planner;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import calmpour.core.session.Piece;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import java.time.Instant;
import java.util.List;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;

/** Where every gram of an evening is, beside books kept here by hand. */
class AccountTest extends Evening {
  private static final Offset<Double> SAME = within(1e-9);

  private final Cup first = batch().cups().get(0);
  private final Cup second = batch().cups().get(1);
  private final Cup third = batch().cups().get(2);

  private Account books() {
    return Account.of(RUN.plan(), History.of(RUN, events));
  }

  private void done(TaskId task, Double grams) {
    now = now.plusSeconds(10);
    tell(RunEvent.Kind.DONE, task, grams);
  }

  private static TaskId of(Task.Kind kind) {
    return TaskId.batch(1, kind);
  }

  private static TaskId of(Cup cup, Task.Kind kind) {
    return TaskId.cup(cup.id(), kind);
  }

  private static TaskId pour(Cup cup, int which) {
    return TaskId.pour(cup.pours().get(which).id());
  }

  private static double colour(Cup cup) {
    return cup.tint().doses().stream().mapToDouble(Cup.Dose::massG).sum();
  }

  /** 2:1 by weight; this maker weighs B first. */
  private void weighed(double b, double a) {
    done(of(Task.Kind.WEIGH_FIRST), b);
    done(of(Task.Kind.WEIGH_SECOND), a);
    done(of(Task.Kind.STIR), null);
  }

  @Test
  void nothingIsAnywhereBeforeAnythingIsWeighed() {
    Account books = books();
    assertThat(books.masses()).isEqualTo(new Masses(0, 0, 0, 0, 0, 0));
    assertThat(books.share(batch())).isEqualTo(1);
    // Until both parts are in, a batch is as it was planned.
    assertThat(books.really(batch()).measuring().totalG()).isEqualTo(batch().measuring().totalG());
    done(of(Task.Kind.WEIGH_FIRST), 20.0);
    assertThat(books().inBG(1)).isEqualTo(20);
    assertThat(books().inAG(1)).isZero();
    assertThat(books().share(batch())).isEqualTo(1);
    assertThat(books().really(batch()).measuring().totalG())
        .isEqualTo(batch().measuring().totalG());
    // A second part that nobody weighed is as much as makes 2:1.
    done(of(Task.Kind.WEIGH_SECOND), null);
    double planned = batch().measuring().partA().massG() / batch().measuring().partB().massG();
    assertThat(books().inAG(1)).isCloseTo(20 * planned, SAME);
    assertThat(books().really(batch()).measuring().totalG()).isCloseTo(20 + 20 * planned, SAME);
    assertThat(books().share(batch()))
        .isCloseTo((20 + 20 * planned) / batch().measuring().totalG(), SAME);
  }

  @Test
  void whatIsAddedLaterCountsToItsPartAndMoreThanPlannedIsSharedByNobody() {
    weighed(60, 130);
    tell(RunEvent.Kind.ADDED, "1/B", 5.0);
    tell(RunEvent.Kind.ADDED, "1/A", 2.5);
    Account books = books();
    assertThat(books.inAG(1)).isEqualTo(132.5);
    assertThat(books.inBG(1)).isEqualTo(65);
    assertThat(books.masses().resinG()).isEqualTo(197.5);
    assertThat(books.staysG(1)).isEqualTo(197.5);
    assertThat(books.share(batch())).isEqualTo(Math.min(1, 197.5 / batch().measuring().totalG()));
  }

  /** Cups that are filled later than others get what is left of the mix by then. */
  @Test
  void aSpilledMixIsMissingInCupsThatAreFilledAfterIt() {
    double b = batch().measuring().partB().massG();
    double a = batch().measuring().partA().massG();
    weighed(b, a);
    // Told in another order than planned, and not all weighed.
    done(of(second, Task.Kind.SPLIT), 30.0);
    trouble("SPILLED_MIX/1", null, 12.0);
    done(of(first, Task.Kind.SPLIT), null);
    double mix = a + b;
    double share = (mix - 30 - 12) / (mix - 30);
    double got = first.amounts().resinG() * share;
    Account books = books();
    assertThat(books.contentG(second.id())).isEqualTo(30);
    assertThat(books.contentG(first.id())).isCloseTo(got, SAME);
    assertThat(books.contentG(third.id())).isZero();
    assertThat(books.share(batch())).isCloseTo(share, SAME);
    assertThat(books.lostMixG(1)).isEqualTo(12);
    assertThat(books.staysG(1)).isCloseTo(mix - 30 - 12 - got, SAME);
    assertThat(books.masses().lostG()).isEqualTo(12);
    // More than there is cannot be spilled, nor be put into the last cup.
    trouble("SPILLED_MIX/1", null, 1_000.0);
    done(of(third, Task.Kind.SPLIT), 25.0);
    assertThat(books().contentG(third.id())).isZero();
    assertThat(books().staysG(1)).isZero();
    assertThat(books().lostMixG(1)).isCloseTo(mix - 30 - got, SAME);
    // Colour goes into what there is, and nowhere else.
    done(of(first, Task.Kind.TINT), null);
    done(of(third, Task.Kind.TINT), null);
    assertThat(books().contentG(first.id())).isCloseTo(got + colour(first), SAME);
    assertThat(books().contentG(third.id())).isZero();
    assertThat(books().masses().colourG()).isCloseTo(colour(first), SAME);
  }

  @Test
  void whatIsSpilledBetweenTwoPoursIsMissingForTheSecond() {
    weighed(batch().measuring().partB().massG(), batch().measuring().partA().massG());
    done(of(first, Task.Kind.SPLIT), 20.0);
    done(of(first, Task.Kind.TINT), null);
    double in = 20 + colour(first);
    trouble("SPILLED/" + first.id(), null, 1.0);
    done(pour(first, 0), 6.0);
    trouble("SPILLED/" + first.id(), null, 2.0);
    trouble("SPILLED/" + first.id(), null, 0.5);
    done(pour(first, 1), null);
    Account books = books();
    assertThat(books.pouredG(first.pours().get(0).id())).isEqualTo(6);
    double planned = first.pours().get(1).massG();
    assertThat(books.pouredG(first.pours().get(1).id())).isCloseTo(planned, SAME);
    assertThat(books.pouredG(first.pours().get(2).id())).isNull();
    assertThat(books.leftG(first.id())).isCloseTo(in - 9.5 - planned, SAME);
    assertThat(books.lostG(first.id())).isCloseTo(3.5, SAME);
    assertThat(books.contentG(first.id())).isCloseTo(in, SAME);
    // What is there goes out, however much was told; a cup that fell over is empty.
    done(pour(first, 2), 500.0);
    trouble("SPILLED/" + first.id(), null, 4.0);
    books = books();
    assertThat(books.pouredG(first.pours().get(2).id())).isCloseTo(in - 9.5 - planned, SAME);
    assertThat(books.leftG(first.id())).isZero();
    assertThat(books.lostG(first.id())).isCloseTo(3.5, SAME);
    Masses masses = books.masses();
    assertThat(masses.pouredG()).isCloseTo(in - 3.5, SAME);
    assertThat(masses.lostG()).isCloseTo(3.5, SAME);
    // Of the batch as it really is, what was poured counts and what was not stays as planned.
    Cup really = books.really(batch()).cups().getFirst();
    assertThat(really.amounts().contentG()).isCloseTo(in, SAME);
    assertThat(really.pours())
        .extracting(Cup.Pour::massG)
        .containsExactly(
            6.0, planned, books.pouredG(first.pours().get(2).id()), first.pours().get(3).massG());
  }

  @Test
  void aLossAfterTheLastPourIsOutOfWhatWasLeft() {
    weighed(batch().measuring().partB().massG(), batch().measuring().partA().massG());
    done(of(first, Task.Kind.SPLIT), 20.0);
    // Before it is tinted it is reckoned with its colour to come.
    assertThat(books().really(batch()).cups().getFirst().amounts().contentG())
        .isCloseTo(20 + colour(first), SAME);
    assertThat(books().really(batch()).cups().get(2).amounts().contentG())
        .isEqualTo(third.amounts().contentG());
    done(pour(first, 0), 6.0);
    trouble("SPILLED/" + first.id(), null, 3.0);
    assertThat(books().leftG(first.id())).isEqualTo(11);
    trouble("CUP_EMPTY/" + first.id(), null, null);
    assertThat(books().leftG(first.id())).isZero();
    assertThat(books().lostG(first.id())).isEqualTo(14);
    // Clear needs no colour: what came in is what there is.
    done(of(second, Task.Kind.SPLIT), 10.0);
    assertThat(books().really(batch()).cups().get(1).amounts().contentG()).isEqualTo(10);
  }

  /** A batch of one colour is tinted whole: its mixing cup is its cup. */
  @Test
  void aBatchThatIsNotSplitIsOneCup() {
    Run run = oneColour();
    Batch whole = run.plan().batches().getFirst();
    assertThat(whole.split()).isFalse();
    Cup cup = whole.cups().getFirst();
    double b = whole.measuring().partB().massG();
    double a = whole.measuring().partA().massG();
    weighed(b - 1, a - 2);
    Account before = Account.of(run.plan(), History.of(run, events));
    assertThat(before.contentG(cup.id())).isCloseTo(a + b - 3, SAME);
    assertThat(before.staysG(1)).isZero();
    trouble("SPILLED_MIX/1", null, 4.0);
    done(of(cup, Task.Kind.TINT), null);
    done(TaskId.pour(cup.pours().getFirst().id()), 7.0);
    Account after = Account.of(run.plan(), History.of(run, events));
    double in = a + b - 7 + colour(cup);
    assertThat(after.contentG(cup.id())).isCloseTo(in, SAME);
    assertThat(after.leftG(cup.id())).isCloseTo(in - 7, SAME);
    assertThat(after.lostMixG(1)).isEqualTo(4);
    assertThat(after.masses().colourG()).isCloseTo(colour(cup), SAME);
  }

  private static Run oneColour() {
    Workshop workshop =
        Samples.workshop(RESIN, List.of(Samples.mould("pull", 16, 12.0)), List.of(BROWN));
    Session session =
        Samples.session(
            List.of(new Piece("pull", 3, List.of(new Layer("brown", null, Join.TOGETHER)))));
    return new Run(
        session,
        Planner.snapshot(session, workshop),
        Samples.planner(CURE).plan(session, workshop),
        Instant.parse("2026-11-28T10:07:30Z"));
  }
}
