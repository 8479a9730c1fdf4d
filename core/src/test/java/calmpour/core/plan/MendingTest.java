package calmpour.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import calmpour.core.Samples;
import calmpour.core.check.InvalidValuesException;
import calmpour.core.design.Layer;
import calmpour.core.design.PieceWork;
import calmpour.core.habit.Care;
import calmpour.core.habit.Habits;
import calmpour.core.habit.Mixing;
import calmpour.core.plan.doc.Finding.Mend;
import calmpour.core.plan.ways.Mending;
import calmpour.core.session.Arrangement;
import calmpour.core.session.Fewer;
import calmpour.core.session.HandCup;
import calmpour.core.session.Piece;
import calmpour.core.session.Session;
import java.time.LocalDateTime;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Each mend changes what it says, and nothing else. */
class MendingTest {
  private static final Set<Mend.Kind> ELSEWHERE =
      EnumSet.of(
          Mend.Kind.FILLER,
          Mend.Kind.LEAVE_OUT,
          Mend.Kind.CHANGE_HOURS,
          Mend.Kind.OPEN_SHELF,
          Mend.Kind.OPEN_PIECE);

  private static final List<HandCup.HandLayer> LAYER = List.of(new HandCup.HandLayer(0, 0, 1));

  private static final Session SESSION = session();

  private static Session session() {
    Piece inPot =
        new Piece("push", 2, List.of(new Layer("oat", null, null)))
            .withWork(PieceWork.NONE.withCuring(PieceWork.Curing.PRESSURE_POT));
    Session plain = Samples.session(List.of(inPot));
    return plain
        .withHabits(
            plain
                .habits()
                .withMixing(plain.habits().mixing().withWarming(Mixing.Warming.BOTH))
                .withCare(plain.habits().care().withBubbles(Care.BubbleMethod.FLAME)))
        .withStartsAt(LocalDateTime.parse("2026-11-28T23:30:00"))
        .withCupsByHand(List.of(new HandCup(LAYER, "small"), new HandCup(LAYER, "large")))
        .withArrangement(
            Arrangement.FREE.withPins(
                List.of(new Arrangement.Pin("a", 60), new Arrangement.Pin("b", 90))));
  }

  private static Session mended(Mend.Kind kind, double value, String target) {
    return Mending.of(SESSION, new Mend(kind, value, target)).orElseThrow();
  }

  private static Session mended(Mend.Kind kind, double value) {
    return Mending.of(SESSION, new Mend(kind, value)).orElseThrow();
  }

  @Test
  void whatIsMovedOrReleasedIsTheTaskNamed() {
    assertThat(mended(Mend.Kind.MOVE_TASK, 300.4, "a").arrangement().pins())
        .containsExactly(new Arrangement.Pin("b", 90), new Arrangement.Pin("a", 300));
    assertThat(mended(Mend.Kind.MOVE_TASK, -20, "c").arrangement().pins())
        .contains(new Arrangement.Pin("c", 0));
    assertThat(mended(Mend.Kind.RELEASE_PIN, 0, "a").arrangement().pins())
        .containsExactly(new Arrangement.Pin("b", 90));
    assertThat(mended(Mend.Kind.ANEW, 0).arrangement().pins()).isEmpty();
    assertThat(mended(Mend.Kind.ANEW, 0).cupsByHand()).isEmpty();
    assertThat(mended(Mend.Kind.RELEASE_CUP, 1).cupsByHand())
        .extracting(HandCup::cupId)
        .containsExactly("small");
    assertThat(mended(Mend.Kind.RELEASE_CUP, 7).cupsByHand()).hasSize(2);
  }

  @Test
  void timesAndRoomsBecomeWhatIsSaid() {
    assertThat(mended(Mend.Kind.OTHER_START, 45).startsAt()).hasToString("2026-11-29T00:15");
    assertThat(mended(Mend.Kind.OTHER_START, -60).startsAt()).hasToString("2026-11-28T22:30");
    assertThat(mended(Mend.Kind.SHORTER_REST, 3).habits().restMinutes()).isEqualTo(3);
    assertThat(mended(Mend.Kind.COOLER_ROOM, 18).room().temperatureC()).isEqualTo(18);
    assertThat(mended(Mend.Kind.WARMER_ROOM, 24).room().temperatureC()).isEqualTo(24);
    assertThat(mended(Mend.Kind.DRIER_AIR, 50).room().humidityPercent()).isEqualTo(50);
    assertThat(mended(Mend.Kind.MORE_BATCHES, 0).splitInto()).isEqualTo(SESSION.splitInto() + 1);
    assertThat(mended(Mend.Kind.MORE_BATCHES, 4).splitInto()).isEqualTo(4);
  }

  @Test
  void habitsBecomeWhatIsSaid() {
    assertThat(mended(Mend.Kind.NO_WARMING, 0).habits().mixing().warming())
        .isEqualTo(Mixing.Warming.NONE);
    assertThat(mended(Mend.Kind.SOFT_TOOL, 0).habits().care().bubbles())
        .isEqualTo(Care.BubbleMethod.SOFT_TOOL);
    assertThat(mended(Mend.Kind.CURE_ON_BENCH, 0, "piece/1").pieces().getFirst().workOrNone())
        .isEqualTo(PieceWork.NONE);
    assertThat(mended(Mend.Kind.LESS_SURE, 80).habits().planning().surePercent()).isEqualTo(80);
    assertThat(mended(Mend.Kind.HELPER, 0).habits().planning().pairsOfHands()).isEqualTo(2);
    assertThat(mended(Mend.Kind.BY_VOLUME, 0).habits().measureBy())
        .isEqualTo(Habits.MeasureBy.VOLUME);
    assertThat(mended(Mend.Kind.BY_WEIGHT, 0).habits().measureBy())
        .isEqualTo(Habits.MeasureBy.WEIGHT);
    assertThatThrownBy(() -> mended(Mend.Kind.SHORTER_REST, -5))
        .isInstanceOf(InvalidValuesException.class);
  }

  @Test
  void piecesAreCountedOnTheLineNamed() {
    assertThat(mended(Mend.Kind.OVERAGE, 1.5).habits().overagePercent()).isEqualTo(1.5);
    Session fewer = mended(Mend.Kind.PIECES, 1, "piece/1");
    assertThat(fewer.pieces().getFirst().count()).isEqualTo(1);
    assertThat(fewer.cupsByHand()).isEmpty();
    for (String nowhere : List.of("piece/2", "piece/0", "a", "", "cup/1.1", "1")) {
      assertThat(Mending.of(SESSION, new Mend(Mend.Kind.PIECES, 1, nowhere))).isEmpty();
    }
    assertThat(Mending.of(SESSION, new Mend(Mend.Kind.PIECES, 1))).isEmpty();
  }

  @Test
  void severalLinesGiveUpTheirShareAndEachKeepsOne() {
    assertThat(Fewer.counts(List.of(2, 6, 6), 0)).containsExactly(2, 6, 6);
    assertThat(Fewer.counts(List.of(2, 6, 6), 3)).containsExactly(2, 5, 4);
    assertThat(Fewer.counts(List.of(2, 6, 6), 8)).containsExactly(2, 2, 2);
    assertThat(Fewer.counts(List.of(2, 6, 6), 99)).containsExactly(1, 1, 1);
    assertThat(Fewer.counts(List.of(), 3)).isEmpty();
    assertThat(mended(Mend.Kind.FEWER_OF_ALL, 1).pieces().getFirst().count())
        .isEqualTo(SESSION.pieces().getFirst().count() - 1);
  }

  @Test
  void everyKindIsMadeHereOrSaidToBeMadeElsewhere() {
    for (Mend.Kind kind : Mend.Kind.values()) {
      String target = kind == Mend.Kind.PIECES ? "piece/1" : "a";
      boolean here =
          Mending.of(SESSION, new Mend(kind, kind == Mend.Kind.LESS_SURE ? 80 : 18, target))
              .isPresent();
      assertThat(here).as("%s", kind).isEqualTo(!ELSEWHERE.contains(kind));
    }
  }
}
