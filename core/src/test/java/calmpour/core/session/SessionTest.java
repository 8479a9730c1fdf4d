package calmpour.core.session;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import calmpour.core.Samples;
import calmpour.core.check.InvalidValuesException;
import calmpour.core.check.Problem;
import calmpour.core.design.Fill;
import calmpour.core.design.Join;
import calmpour.core.design.Layer;
import calmpour.core.habit.Habits;
import calmpour.core.habit.Hands;
import calmpour.core.resin.MixRatio;
import calmpour.core.tint.Colour;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SessionTest {
  private static final Piece KNOB =
      new Piece("knob", 2, List.of(new Layer("clear", null, Join.TOGETHER)));

  private static Session at(String startsAt, String zone) {
    return new Session(
        "Evening",
        LocalDateTime.parse(startsAt),
        zone,
        new Room(21, 40.0),
        "resin",
        List.of(KNOB),
        null,
        List.of(),
        1,
        List.of(),
        List.of(),
        Habits.DEFAULT,
        Hands.DEFAULT,
        null,
        Arrangement.FREE);
  }

  /** Clock changes of 2026 in the EU and the UK: 29 March and 25 October (published by the law). */
  @ParameterizedTest
  @CsvSource({
    "2026-11-28T10:00, Europe/London, 2026-11-28T10:00:00Z",
    "2026-07-04T10:00, Europe/London, 2026-07-04T09:00:00Z",
    "2026-03-29T01:30, Europe/London, 2026-03-29T01:30:00Z",
    "2026-10-25T02:30, Europe/Berlin, 2026-10-25T00:30:00Z",
  })
  void theFirstStepIsAnInstantWhateverTheClocksDo(String wall, String zone, String instant) {
    assertThat(at(wall, zone).startsAtInstant()).isEqualTo(Instant.parse(instant));
  }

  @Test
  void aChangedSessionDiffersInThatAlone() {
    Session session = at("2026-11-28T10:00", "Europe/London");
    Session other =
        session
            .withSplitInto(3)
            .withTemperatureC(19)
            .withHabits(session.habits().withRestMinutes(2))
            .withStartsAt(LocalDateTime.parse("2027-01-02T09:00"));
    assertThat(other.splitInto()).isEqualTo(3);
    assertThat(other.room()).isEqualTo(new Room(19, 40.0));
    assertThat(other.habits().restMinutes()).isEqualTo(2);
    assertThat(other.habits().withRestMinutes(8)).isEqualTo(session.habits());
    assertThat(other.pieces()).isEqualTo(session.pieces());
    assertThat(other.zoneId()).isEqualTo(session.zoneId());
  }

  @Test
  void allThatIsWrongIsToldAtOnce() {
    InvalidValuesException wrong =
        catchThrowableOfType(
            InvalidValuesException.class,
            () ->
                new Session(
                    " ",
                    null,
                    "Nowhere",
                    null,
                    "",
                    List.of(),
                    null,
                    null,
                    0,
                    null,
                    null,
                    null,
                    null,
                    null,
                    Arrangement.FREE));
    assertThat(wrong.problems())
        .extracting(Problem::field)
        .containsExactly("name", "startsAt", "zoneId", "room", "resinId", "splitInto", "pieces");
  }

  @Test
  void aMixAndMouldsAtOnceIsNoSession() {
    assertThatThrownBy(
            () -> Samples.session(List.of(KNOB), new JustMix(50.0, null), Habits.DEFAULT))
        .isInstanceOf(InvalidValuesException.class)
        .hasMessageContaining("justMix");
    assertThatThrownBy(() -> new JustMix(50.0, 40.0)).isInstanceOf(InvalidValuesException.class);
    assertThatThrownBy(() -> new Fill(0.5, 3.0, null, null, null))
        .isInstanceOf(InvalidValuesException.class);
  }

  @Test
  void noNumberIsTakenForOne() {
    for (double value : new double[] {Double.NaN, Double.POSITIVE_INFINITY, -1, 0}) {
      assertThatThrownBy(() -> Fill.ofVolumeMl(value)).isInstanceOf(InvalidValuesException.class);
      assertThatThrownBy(() -> Samples.mould("m", value, null))
          .isInstanceOf(InvalidValuesException.class);
    }
  }

  @Test
  void whatIsCarriedCountsBeforeTheShelf() {
    Workshop shelf =
        Samples.workshop(
            Samples.resin(2, 1, MixRatio.Basis.WEIGHT),
            List.of(Samples.mould("knob", 12, 20.0)),
            List.of());
    Workshop carried =
        new Workshop(List.of(Samples.mould("knob", 15, 20.0)), null, null, null, null);
    Session session = Samples.session(List.of(KNOB));
    assertThat(Resolution.of(session, shelf).lines().get(0).measured().volumeMl()).isEqualTo(12);
    Job job = Resolution.of(session.carrying(carried), shelf);
    assertThat(job.lines().get(0).measured().volumeMl()).isEqualTo(15);
    assertThat(job.used().moulds()).containsExactly(carried.moulds().get(0));
  }

  @Test
  void onlyWhatIsUsedIsInTheSnapshotAndItIsEnoughToPlanAgain() {
    Colour blue = new Colour("blue", "Blue", "#335577", List.of(new Colour.Part("tint", 1.5)));
    Workshop shelf =
        Samples.workshop(
            Samples.resin(2, 1, MixRatio.Basis.WEIGHT),
            List.of(Samples.mould("knob", 12, 20.0), Samples.mould("unused", 9, null)),
            List.of(blue, new Colour("unused", "Unused", "#000000", List.of())));
    Session session =
        Samples.session(List.of(new Piece("knob", 1, List.of(new Layer("blue", null, null)))));
    Job job = Resolution.of(session, shelf);
    assertThat(job.used().moulds()).extracting(m -> m.id()).containsExactly("knob");
    assertThat(job.used().colours()).containsExactly(blue);
    assertThat(job.used().colourants()).extracting(c -> c.id()).containsExactly("tint");
    assertThat(Resolution.of(session, job.used()).used()).isEqualTo(job.used());
  }

  @Test
  void layersAreStackedFromTheFloorToTheRim() {
    Workshop shelf =
        Samples.workshop(
            Samples.resin(2, 1, MixRatio.Basis.WEIGHT),
            List.of(Samples.mould("knob", 30, 24.0)),
            List.of());
    Session session =
        Samples.session(
            List.of(
                new Piece(
                    "knob",
                    1,
                    List.of(
                        new Layer("clear", Fill.ofVolumeMl(5), null),
                        new Layer("clear", Fill.ofDepthMm(8), Join.GEL),
                        new Layer("clear", Fill.ofShare(0.25), Join.TOGETHER),
                        new Layer("clear", null, Join.CURED)))));
    List<Job.Level> levels = Resolution.of(session, shelf).lines().get(0).levels();
    assertThat(levels).extracting(Job.Level::volumeMl).containsExactly(5.0, 10.0, 7.5, 7.5);
    assertThat(levels).extracting(Job.Level::toMm).containsExactly(4.0, 12.0, 18.0, 24.0);
    assertThat(levels).extracting(Job.Level::stage).containsExactly(0, 1, 1, 2);
  }

  @Test
  void aLayerThatCannotBeIsNamed() {
    Workshop shelf =
        Samples.workshop(
            Samples.resin(2, 1, MixRatio.Basis.WEIGHT),
            List.of(Samples.mould("knob", 30, 24.0)),
            List.of());
    record Wrong(List<Layer> layers, String field, Problem.Code code) {}
    for (Wrong wrong :
        List.of(
            new Wrong(
                List.of(new Layer("clear", null, null), new Layer("clear", null, null)),
                "pieces[0].layers[0].fill",
                Problem.Code.REST_ONLY_ON_TOP),
            new Wrong(
                List.of(new Layer("clear", Fill.ofShare(1), null), new Layer("clear", null, null)),
                "pieces[0].layers[1].fill",
                Problem.Code.NOTHING_LEFT_FOR_LAYER),
            new Wrong(
                List.of(new Layer("clear", Fill.ofDepthMm(25), null)),
                "pieces[0].layers[0].fill.depthMm",
                Problem.Code.OVERFILLED))) {
      Session session = Samples.session(List.of(new Piece("knob", 1, wrong.layers())));
      InvalidValuesException told =
          catchThrowableOfType(InvalidValuesException.class, () -> Resolution.of(session, shelf));
      assertThat(told.problems())
          .extracting(Problem::field, Problem::code)
          .containsExactly(org.assertj.core.groups.Tuple.tuple(wrong.field(), wrong.code()));
    }
  }
}
