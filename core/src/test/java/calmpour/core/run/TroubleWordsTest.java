package calmpour.core.run;

import static org.assertj.core.api.Assertions.assertThat;

import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.PourId;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** How an event names what went wrong, and whether its plan has what it names. */
class TroubleWordsTest extends Evening {
  private static Optional<BenchTrouble> read(String of, String answer, String text) {
    return BenchTrouble.read(of, answer == null ? List.of() : List.of(answer), 12.5, text, 90);
  }

  private static String address(BenchTrouble.Kind kind) {
    return switch (kind) {
      case WRONG_COLOUR -> "WRONG_COLOUR/1.2.1/1.2";
      case SPILLED_MIX -> "SPILLED_MIX/1";
      case LEAKS, FELL_INTO_PIECE -> kind + "/1.2";
      case EMBED_FORGOTTEN -> "EMBED_FORGOTTEN/line/1/1/EMBED";
      case NOTE -> "NOTE";
      case SPILLED, CUP_EMPTY, FELL_INTO_CUP, FOAM -> kind + "/1.2";
    };
  }

  /** Every kind takes its own answers and no others. */
  @ParameterizedTest
  @EnumSource
  void eachKindTakesItsOwnAnswers(BenchTrouble.Kind kind) {
    for (BenchTrouble.Answer answer : BenchTrouble.Answer.values()) {
      Optional<BenchTrouble> told = read(address(kind), answer.name(), "it dripped");
      assertThat(told.isPresent()).as("" + answer).isEqualTo(kind.answers().contains(answer));
      told.ifPresent(t -> {
        assertThat(t.kind()).isEqualTo(kind);
        assertThat(t.answer()).isEqualTo(answer);
        assertThat(t.by()).isEqualTo(12.5);
        assertThat(t.atSeconds()).isEqualTo(90);
      });
    }
    assertThat(read(address(kind), null, "it dripped").isPresent())
        .as("without an answer, where there is but one")
        .isEqualTo(kind.answers().size() == 1);
    assertThat(
            BenchTrouble.read(address(kind), List.of("GOES_ON", "GOES_ON"), null, "it dripped", 0))
        .isEmpty();
  }

  @ParameterizedTest
  @CsvSource(
      nullValues = "-",
      value = {
        "-,GOES_ON",
        "'',GOES_ON",
        "EXPLODED/1.2,GOES_ON",
        "SPILLED,GOES_ON",
        "SPILLED/1,GOES_ON",
        "SPILLED_MIX/0,GOES_ON",
        "SPILLED_MIX/1.2,GOES_ON",
        "WRONG_COLOUR/1.2.1,STAYS",
        "WRONG_COLOUR/1.2.1/x,STAYS",
        "WRONG_COLOUR/1.2/1.2,STAYS",
        "EMBED_FORGOTTEN/,LATE",
        "LEAKS/x,MENDED",
        "NOTE/1.2,GOES_ON"
      })
  void whatIsNoAddressIsNothing(String of, String answer) {
    assertThat(read(of, answer, "it dripped")).isEmpty();
  }

  @Test
  void aNoteSaysSomething() {
    assertThat(read("NOTE", "GOES_ON", " ")).isEmpty();
    assertThat(read("NOTE", "GOES_ON", null)).isEmpty();
    assertThat(read("NOTE", "GOES_ON", "a hair in the knob")).isPresent();
    assertThat(read("SPILLED/1.2", "GOES_ON", null)).isPresent();
  }

  private static boolean names(String of, String answer) {
    return BenchTrouble.names(
        RUN.plan(),
        new RunEvent(
            "e", RUN.begunAt(), RunEvent.Kind.TROUBLE, of, null, List.of(answer), "it dripped"));
  }

  /** One batch, four knobs and three pulls: a fifth knob, a second batch, a ninth cup are not. */
  @Test
  void onlyWhatThePlanHasCanGoWrong() {
    Cup cup = batch().cups().getFirst();
    PourId pour = cup.pours().getFirst().id();
    assertThat(names("SPILLED/" + cup.id(), "GOES_ON")).isTrue();
    assertThat(names("SPILLED/1.9", "GOES_ON")).isFalse();
    assertThat(names("WRONG_COLOUR/" + pour + "/" + cup.id(), "STAYS")).isTrue();
    assertThat(names("WRONG_COLOUR/1.5.1/" + cup.id(), "STAYS")).isFalse();
    assertThat(names("WRONG_COLOUR/" + pour + "/1.9", "STAYS")).isFalse();
    assertThat(names("LEAKS/1.4", "MENDED")).isTrue();
    assertThat(names("LEAKS/1.5", "MENDED")).isFalse();
    assertThat(names("LEAKS/2.3", "MENDED")).isTrue();
    assertThat(names("SPILLED_MIX/1", "GOES_ON")).isTrue();
    assertThat(names("SPILLED_MIX/2", "GOES_ON")).isFalse();
    assertThat(names("EMBED_FORGOTTEN/line/1/1/EMBED", "LATE")).isFalse();
    assertThat(names("NOTE", "GOES_ON")).isTrue();
  }
}
