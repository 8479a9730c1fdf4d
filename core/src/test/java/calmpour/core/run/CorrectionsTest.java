package calmpour.core.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import calmpour.core.check.InvalidValuesException;
import calmpour.core.check.Problem;
import calmpour.core.journal.HandSpeeds;
import calmpour.core.journal.PieceFacts;
import calmpour.core.plan.doc.CavityId;
import calmpour.core.practice.World;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** A record that is put right, from the words in docs/rules.md. */
class CorrectionsTest {
  private static final Run RUN = Evening.RUN;
  private static final Instant AFTER = RUN.begunAt().plus(Duration.ofDays(9));

  private int told;

  private RunEvent right(String of, Double value, Instant at) {
    told++;
    List<String> codes = at == null ? List.of() : List.of(Corrections.at(at));
    return new RunEvent(
        "c" + told, AFTER, RunEvent.Kind.CORRECTED, of, value, codes, "misread", "Ada", null, null);
  }

  private static List<RunEvent> with(List<RunEvent> events, RunEvent... more) {
    List<RunEvent> all = new ArrayList<>(events);
    all.addAll(List.of(more));
    return all;
  }

  private static RunEvent weighed(List<RunEvent> events) {
    return events.stream()
        .filter(e -> e.kind() == RunEvent.Kind.DONE && e.value() != null)
        .findFirst()
        .orElseThrow();
  }

  /** Whatever was told wrong: once it is put right, everything comes to what it would have. */
  @Test
  void whatIsPutRightCountsAsIfItHadBeenToldSo() {
    Random random = new Random(5);
    for (int seed = 0; seed < 25; seed++) {
      List<RunEvent> honest = World.carryOut(RUN, seed, true).events();
      List<RunEvent> slips = new ArrayList<>(honest);
      List<RunEvent> corrections = new ArrayList<>();
      for (int slip = 0; slip < 4; slip++) {
        int which = random.nextInt(honest.size());
        RunEvent is = honest.get(which);
        boolean weighs = is.kind() == RunEvent.Kind.DONE && is.value() != null;
        if (!weighs && is.kind() != RunEvent.Kind.FELT && is.kind() != RunEvent.Kind.ROOM) {
          continue;
        }
        Instant off = is.at().plusSeconds(random.nextInt(3_000));
        Double value =
            is.value() == null ? null : (Double) (is.value() * random.nextDouble(0.5, 2));
        slips.set(which, slips.get(which).withAt(off).withValue(value));
        String last =
            corrections.stream()
                .filter(c -> is.id().equals(c.device()))
                .reduce((a, b) -> b)
                .map(RunEvent::id)
                .orElse(is.id());
        corrections.add(right(last, is.value(), is.at()).withDevice(is.id()));
      }
      slips.addAll(corrections);
      Instant now = AFTER;
      AsRun as = Evening.RUNS.lookBack(RUN, slips, now);
      assertThat(as).isEqualTo(Evening.RUNS.lookBack(RUN, honest, now));
      assertThat(HandSpeeds.of(RUN, slips)).isEqualTo(HandSpeeds.of(RUN, honest));
      CavityId piece = new CavityId(1, 2);
      assertThat(PieceFacts.of(RUN, slips, as, piece))
          .isEqualTo(PieceFacts.of(RUN, honest, as, piece));
    }
  }

  @Test
  void theRecordShowsBothWithWhyAndByWhom() {
    List<RunEvent> honest = World.carryOut(RUN, 1, true, Map.of(), World.SLOW_HANDS).events();
    RunEvent line = weighed(honest);
    Instant later = line.at().plusSeconds(90);
    RunEvent first = right(line.id(), 12.5, null);
    RunEvent second = right(first.id(), null, later);
    AsTold stands =
        Corrections.lines(RUN, with(honest, first, second)).stream()
            .filter(l -> l.id().equals(second.id()))
            .findFirst()
            .orElseThrow();
    assertThat(stands.value()).isEqualTo(12.5);
    assertThat(stands.measured()).isEqualTo(AsTold.Measured.GRAMS);
    // Who told it stays who told it, whoever puts it right.
    assertThat(stands.person()).isEqualTo(World.SLOW_HANDS);
    assertThat(stands.was()).hasSize(2).allMatch(w -> w.why().equals("misread"));
    assertThat(stands.was().getFirst().value()).isEqualTo(line.value());
    assertThat(stands.was().getFirst().who()).isEqualTo("Ada");
    assertThat(stands.atSeconds() - stands.was().getLast().atSeconds()).isEqualTo(90);
    // Taken back, the one before counts again.
    RunEvent back = RunEvent.of("u", AFTER, RunEvent.Kind.UNDONE, second.id());
    assertThat(Corrections.lines(RUN, with(honest, first, second, back)))
        .anyMatch(l -> l.id().equals(first.id()) && l.was().size() == 1);
  }

  @Test
  void whoIsSlowerIsToldWhatTheFasterMadeOfIt() {
    List<RunEvent> honest = World.carryOut(RUN, 1, true).events();
    RunEvent line = weighed(honest);
    List<RunEvent> meanwhile = with(honest, right(line.id(), 12.5, null));
    assertThat(Corrections.refused(RUN, honest, right(line.id(), 13.0, null))).isEmpty();
    assertThat(Corrections.refused(RUN, meanwhile, right(line.id(), 13.0, null)))
        .get()
        .isInstanceOfSatisfying(
            Corrections.Refused.MeanwhileRight.class,
            m -> assertThat(m.stands().value()).isEqualTo(12.5));
  }

  @Test
  void whatCannotBePutRightIsToldAtItsField() {
    List<RunEvent> honest = World.carryOut(RUN, 1, true).events();
    RunEvent line = weighed(honest);
    RunEvent unweighed =
        honest.stream()
            .filter(e -> e.kind() == RunEvent.Kind.DONE && String.valueOf(e.of()).contains("STIR"))
            .findFirst()
            .orElseThrow();
    assertThat(wrong(honest, right("nothing", 1.0, null))).isEqualTo("of");
    assertThat(wrong(honest, right(honest.getLast().id(), 1.0, null))).isEqualTo("of");
    assertThat(wrong(honest, right(unweighed.id(), 1.0, null))).isEqualTo("value");
    assertThat(wrong(honest, right(line.id(), -3.0, null))).isEqualTo("value");
    assertThat(wrong(honest, right(line.id(), null, RUN.begunAt().minusSeconds(1))))
        .isEqualTo("codes");
    assertThat(wrong(honest, right(line.id(), null, AFTER.plusSeconds(1)))).isEqualTo("codes");
    assertThatThrownBy(() -> right(line.id(), null, null))
        .isInstanceOf(InvalidValuesException.class);
    assertThatThrownBy(() -> right(line.id(), 1.0, null).withText(" "))
        .isInstanceOf(InvalidValuesException.class);
  }

  private static String wrong(List<RunEvent> before, RunEvent correction) {
    Problem problem =
        ((Corrections.Refused.Wrong) Corrections.refused(RUN, before, correction).orElseThrow())
            .problem();
    return problem.field();
  }

  @Test
  void whatBecameOfAPieceIsWhatWasToldLast() {
    List<RunEvent> honest = World.carryOut(RUN, 1, true).events();
    RunEvent sold = became("b1", "SOLD");
    RunEvent here = became("b2", "STILL_HERE");
    AsRun.PieceOut piece = second(with(honest, sold));
    assertThat(piece.became()).extracting(Became::what).isEqualTo(Became.What.SOLD);
    assertThat(second(with(honest, sold, here)).became())
        .extracting(Became::what)
        .isEqualTo(Became.What.STILL_HERE);
    assertThatThrownBy(() -> became("b3", "EATEN")).isInstanceOf(InvalidValuesException.class);
  }

  private static RunEvent became(String id, String what) {
    return new RunEvent(id, AFTER, RunEvent.Kind.BECAME, "1.2", null, List.of(what), "Mr Brook");
  }

  private static AsRun.PieceOut second(List<RunEvent> events) {
    return Evening.RUNS.lookBack(RUN, events, AFTER).pieces().get(1);
  }

  @Test
  void aFaultHasItsPlacesAndAPlaceItsFault() {
    List<String> codes = List.of("SECOND", "BENDS", "DULL", "DULL@10.0,95.5", "DULL@0.0,100.0");
    LookOver look = LookOver.of(codes, null).orElseThrow();
    assertThat(look.marks())
        .containsExactly(
            new LookOver.Mark(LookOver.Fault.DULL, 10, 95.5),
            new LookOver.Mark(LookOver.Fault.DULL, 0, 100));
    assertThat(look.codes()).isEqualTo(codes);
    assertThat(LookOver.of(List.of("GOOD", "DULL@1,1"), null)).as("no such fault").isEmpty();
    assertThat(LookOver.of(List.of("GOOD", "DULL", "DULL@1,101"), null)).isEmpty();
    assertThat(LookOver.of(List.of("GOOD", "DULL", "DULL@1"), null)).isEmpty();
    assertThat(LookOver.of(List.of("GOOD", "DULL", "DULL@NaN,1"), null)).isEmpty();
  }
}
