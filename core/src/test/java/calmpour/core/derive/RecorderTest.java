package calmpour.core.derive;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;

class RecorderTest {
  @Test
  void inputsKeepTheOrderOfTheFormulaWhereverTheyComeFrom() {
    Recorder recorder = Recorder.on();
    recorder.note(
        "b", 4, "g", Formula.BATCH_NEED, s -> s.given("first", null, 4, "g", Origin.CHOSEN));
    recorder.note(
        "a",
        6,
        "g",
        Formula.PARTS_TOGETHER,
        s ->
            s.given("one", "Label", 1, "g", Origin.LABEL)
                .from("two", "b", 4, "g")
                .given("three", null, new Known(1, Origin.ASSUMED), "g")
                .rounded(5.9, 0.1, true));
    Derivation a = recorder.derivation("a").orElseThrow();
    assertThat(a.inputs())
        .extracting(Derivation.Input::name)
        .containsExactly("one", "two", "three");
    assertThat(a.inputs().get(1).from().quantity()).isEqualTo("b");
    assertThat(a.inputs().get(1).origin()).isEqualTo(Origin.WORKED_OUT);
    assertThat(a.inputs().get(2).origin()).isEqualTo(Origin.ASSUMED);
    assertThat(a.rounding()).isEqualTo(new Derivation.Rounding(5.9, 0.1, true));
    assertThat(recorder.derivation("c")).isEmpty();
  }

  @Test
  void nobodyAskedNothingIsWorkedOut() {
    AtomicInteger asked = new AtomicInteger();
    Recorder off = Recorder.off();
    off.note("a", 1, "g", Formula.DOSE, s -> asked.incrementAndGet());
    assertThat(asked).hasValue(0);
    assertThat(off.derivation("a")).isEmpty();
  }

  @Test
  void anUnknownIsAssumedAndAKnownSaysWhoKnows() {
    assertThat(Known.labelOr(null, 1.14)).isEqualTo(new Known(1.14, Origin.ASSUMED));
    assertThat(Known.labelOr(1.2, 1.14)).isEqualTo(new Known(1.2, Origin.LABEL));
    assertThat(Known.measuredOr(0.03, 0.035)).isEqualTo(new Known(0.03, Origin.MEASURED));
    assertThat(Known.measuredOr(null, 0.035).assumed()).isTrue();
  }
}
