package calmpour.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import calmpour.core.plan.doc.CavityId;
import calmpour.core.plan.doc.CupId;
import calmpour.core.plan.doc.Place;
import calmpour.core.plan.doc.PourId;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import java.util.List;
import java.util.regex.Pattern;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

/** What an address says is what it was made of; everything counts from 1. */
class AddressesProperties {
  @Property
  void whatIsWrittenIsRead(
      @ForAll @IntRange(min = 1, max = 999) int a,
      @ForAll @IntRange(min = 1, max = 999) int b,
      @ForAll @IntRange(min = 1, max = 999) int c,
      @ForAll @IntRange(max = 99) int part) {
    PourId pour = new PourId(a, b, c, part);
    CupId cup = new CupId(a, b);
    assertThat(PourId.read(pour.toString())).contains(pour);
    assertThat(CupId.read(cup.toString())).contains(cup);
    assertThat(CavityId.read(pour.into().toString())).contains(new CavityId(a, b));
    assertThat(TaskId.pour(pour).pour()).contains(pour);
    assertThat(TaskId.cup(cup, Task.Kind.TINT).pour()).isEmpty();
    for (Place place :
        List.of(
            new Place.OfPour(pour),
            new Place.OfCup(cup),
            new Place.OfBatch(a),
            new Place.OfLine(a),
            new Place.OfLayer(a, b),
            new Place.OfTask(TaskId.batch(a, Task.Kind.NUDGE).of("1.1").of(2)),
            new Place.OnShelf(Place.Shelf.EMBED, "fern/tip"),
            Place.Whole.PLAN,
            Place.Whole.RESIN)) {
      assertThat(Place.read(place.toString())).contains(place);
    }
  }

  /** Read by a pattern of its own, so that a parser that takes too much is seen. */
  @Property
  void nothingElseIsTaken(@ForAll("nearly") String text) {
    Pattern pour = Pattern.compile("[1-9]\\d*(\\.[1-9]\\d*){2,3}");
    Pattern two = Pattern.compile("[1-9]\\d*\\.[1-9]\\d*");
    assertThat(PourId.read(text).isPresent()).isEqualTo(pour.matcher(text).matches());
    assertThat(CupId.read(text).isPresent()).isEqualTo(two.matcher(text).matches());
    assertThat(Place.read("layer/" + text).isPresent()).isEqualTo(two.matcher(text).matches());
  }

  @Provide
  Arbitrary<String> nearly() {
    return Arbitraries.strings().withChars("01239./-").ofMaxLength(8);
  }

  @Test
  void aLineIsNamedFromOneAndFoundFromNought() {
    assertThat(Place.line(0)).hasToString("piece/1");
    assertThat(Place.line(0).lineIndex()).hasValue(0);
    assertThat(Place.read("layer/2.1").orElseThrow().lineIndex()).hasValue(1);
    assertThat(Place.Whole.PLAN.lineIndex()).isEmpty();
  }
}
