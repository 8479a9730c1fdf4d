package calmpour.core.tint;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import calmpour.core.check.InvalidValuesException;
import java.time.LocalDate;
import java.util.Collections;
import java.util.List;
import org.assertj.core.api.ThrowableAssert.ThrowingCallable;
import org.junit.jupiter.api.Test;

/** A chip of the swatch book: when it is to be looked at again. */
class ChipTest {
  private static final LocalDate MADE = LocalDate.of(2026, 3, 31);

  private static Chip chip() {
    return new Chip(
        "c", "harbour", "Harbour", List.of(), 3, MADE, null, List.of(), "polished powder");
  }

  private static Chip.ChipLook on(LocalDate day) {
    return new Chip.ChipLook(day, Chip.Faded.SAME, null);
  }

  @Test
  void aLookTellsSomethingAfterOneThreeSixAndTwelveMonths() {
    // A month after the last of March is the last of April.
    assertThat(chip().nextLook()).contains(LocalDate.of(2026, 4, 30));
    // One look on the way counts for all that were missed.
    Chip late = chip().seen(on(LocalDate.of(2026, 7, 4)));
    assertThat(late.nextLook()).contains(LocalDate.of(2026, 9, 30));
    assertThat(late.seen(on(MADE.plusYears(2))).nextLook()).isEmpty();
    // Told out of order they stand in order.
    Chip two = late.seen(on(LocalDate.of(2026, 5, 1)));
    assertThat(two.looks()).extracting(Chip.ChipLook::on).isSorted();
    assertThat(two.nextLook()).isEqualTo(late.nextLook());
  }

  @Test
  void nobodyLooksAtAChipBeforeItWasMade() {
    assertThatThrownBy(() -> chip().seen(on(MADE.minusDays(1))))
        .isInstanceOf(InvalidValuesException.class);
  }

  @Test
  void itKeepsTheDosesOfItsDay() {
    Colour harbour =
        new Colour(
            "harbour",
            "Harbour",
            "#446688",
            List.of(new Colour.Part("tint", 0.8), new Colour.Part("mica", 1.5)));
    assertThat(harbour.clear()).isFalse();
    assertThat(Chip.doses(harbour, 2, id -> id.equals("tint") ? "Blue tint" : "Mica"))
        .containsExactly(new Chip.ChipDose("Blue tint", 1.6), new Chip.ChipDose("Mica", 3));
    assertThat(new Colour("c", "Clear", "#ffffff", List.of()).clear()).isTrue();
  }

  @Test
  void whatCannotBeAChipIsRefused() {
    List<Chip.ChipLook> sixty = Collections.nCopies(60, on(MADE));
    Chip full = new Chip("c", "h", "Harbour", List.of(), 3, MADE, null, sixty, null);
    assertThat(full.looks()).hasSize(60);
    for (ThrowingCallable wrong :
        List.<ThrowingCallable>of(
            () -> full.seen(on(MADE)),
            () -> new Chip("c", "h", "Harbour", List.of(), 0, MADE, null, List.of(), null),
            () ->
                new Chip("c", "h", "Harbour", List.of(), 3, MADE, null, List.of(), "x".repeat(101)),
            () -> new Chip.ChipLook(MADE, Chip.Faded.CLEARLY, "x".repeat(301)),
            () -> new Colour("c", "Nothing", "#ffffff", List.of(new Colour.Part("tint", 0.0))),
            () -> new Colour("c", "Both", "#ffffff", List.of(new Colour.Part("tint", 1.0, 1.0))))) {
      assertThatThrownBy(wrong).isInstanceOf(InvalidValuesException.class);
    }
  }
}
