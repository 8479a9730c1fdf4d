package calmpour.core.cure;

import static org.assertj.core.api.Assertions.assertThat;

import calmpour.core.cure.CureStates.Heat;
import calmpour.core.cure.CureStates.Moment;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Of two bodies of one layer the first to be in a state, and the last; the hotter for its heat. */
class CureStatesTest {
  private static final Moment SOON = new Moment(10, 8, 20.0);
  private static final Moment LATE = new Moment(30, 5, 25.0);
  private static final Moment MAYBE = new Moment(20, 6, null);
  private static final Heat COOL = new Heat(40, 30, 50, 60, 0.4, 0.5);
  private static final Heat HOT = new Heat(45, 28, 55, 70, 0.3, 0.6);

  private static CureStates states(Moment fluid, Moment hard, Heat heat) {
    return new CureStates(fluid, fluid, fluid, hard, hard, hard, hard, heat);
  }

  private static void hard(CureStates of, Moment is) {
    assertThat(of.takesNext()).isEqualTo(is);
    assertThat(of.bondEnds()).isEqualTo(is);
    assertThat(of.demould()).isEqualTo(is);
    assertThat(of.fullCure()).isEqualTo(is);
  }

  private static void fluid(CureStates of, Moment is) {
    assertThat(of.workingTimeEnds()).isEqualTo(is);
    assertThat(of.tooThick()).isEqualTo(is);
    assertThat(of.gels()).isEqualTo(is);
  }

  @Test
  void theLastOfTwoIsNeverWhereOneNeverIs() {
    CureStates last = CureStates.last(states(SOON, SOON, COOL), states(LATE, LATE, HOT));
    fluid(last, new Moment(30, 8, 25.0));
    hard(last, new Moment(30, 8, 25.0));
    assertThat(last.heat()).isEqualTo(HOT);
    hard(CureStates.last(states(SOON, null, COOL), states(LATE, LATE, HOT)), null);
    hard(CureStates.last(states(SOON, SOON, COOL), states(LATE, null, HOT)), null);
    fluid(
        CureStates.last(states(SOON, null, COOL), states(MAYBE, null, HOT)),
        new Moment(20, 8, null));
    assertThat(CureStates.last(states(SOON, SOON, HOT), states(LATE, LATE, COOL)).heat())
        .isEqualTo(HOT);
    assertThat(CureStates.last(states(SOON, SOON, null), states(LATE, LATE, COOL)).heat()).isNull();
    assertThat(CureStates.last(states(SOON, SOON, HOT), states(LATE, LATE, null)).heat()).isNull();
  }

  @Test
  void theFirstOfTwoIsTheOneThatEverIs() {
    CureStates first = CureStates.first(states(SOON, SOON, COOL), states(LATE, LATE, HOT));
    fluid(first, new Moment(10, 5, 20.0));
    hard(first, new Moment(10, 5, 20.0));
    hard(CureStates.first(states(SOON, null, COOL), states(LATE, LATE, HOT)), LATE);
    hard(CureStates.first(states(SOON, SOON, COOL), states(LATE, null, HOT)), SOON);
    hard(CureStates.first(states(SOON, null, COOL), states(LATE, null, HOT)), null);
    fluid(
        CureStates.first(states(SOON, null, COOL), states(MAYBE, null, HOT)),
        new Moment(10, 6, 20.0));
    fluid(
        CureStates.first(states(MAYBE, null, COOL), states(LATE, null, HOT)),
        new Moment(20, 5, 25.0));
  }

  /** Warmer by two degrees a body is so from its start and all around it. */
  @Test
  void aWarmerBodyIsWarmerThroughout() {
    BodyHistory body =
        new BodyHistory(
            24, List.of(new BodyHistory.Segment(3, 20, new BodyShape.Spread(10, 5), 21)));
    assertThat(body.warmer(2).startC()).isEqualTo(26);
    assertThat(body.warmer(2).last().surroundingsC()).isEqualTo(23);
    assertThat(body.warmer(2).last().minutes()).isEqualTo(3);
  }
}
