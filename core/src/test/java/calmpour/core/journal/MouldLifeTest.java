package calmpour.core.journal;

import static org.assertj.core.api.Assertions.assertThat;

import calmpour.core.plan.doc.CavityId;
import calmpour.core.run.LookOver.Fault;
import calmpour.core.run.LookOver.Verdict;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

/**
 * Moulds that wear and moulds that do not, of which the truth is known; and the codes of pieces.
 */
class MouldLifeTest {
  private static MouldLife.Cast cast(boolean good) {
    return new MouldLife.Cast(
        "knob",
        "Knob",
        good ? Verdict.GOOD : Verdict.SECOND,
        good ? List.of() : List.of(Fault.DULL));
  }

  /** Of 500 moulds that stay as they are, few are called worn; of 500 that wear badly, most are. */
  @Test
  void tellsAWornMouldFromOneThatIsNot() {
    Random random = new Random(11);
    int slandered = 0;
    int found = 0;
    for (int mould = 0; mould < 500; mould++) {
      List<MouldLife.Cast> sound = new ArrayList<>();
      List<MouldLife.Cast> wears = new ArrayList<>();
      for (int i = 0; i < 60; i++) {
        sound.add(cast(random.nextDouble() < 0.85));
        wears.add(cast(random.nextDouble() < (i < 40 ? 0.9 : 0.5)));
      }
      slandered += MouldLife.of(sound).getFirst().worse() ? 1 : 0;
      MouldLife worn = MouldLife.of(wears).getFirst();
      found += worn.worse() && worn.fault() == Fault.DULL ? 1 : 0;
    }
    // A two-sided interval of 95 % leaves 2.5 % of them on this side: 12.5 of 500.
    assertThat(slandered).isLessThan(25);
    assertThat(found).isGreaterThan(440);
  }

  @Test
  void saysNothingOfAFew() {
    List<MouldLife.Cast> casts = new ArrayList<>();
    for (int i = 0; i < 19; i++) {
      casts.add(cast(i < 9));
    }
    casts.add(new MouldLife.Cast("knob", "Knob", null, List.of()));
    casts.add(new MouldLife.Cast("pull", "Pull", Verdict.LOST, List.of()));
    List<MouldLife> lives = MouldLife.of(casts);
    assertThat(lives).extracting(MouldLife::name).containsExactly("Knob", "Pull");
    assertThat(lives.getFirst().casts()).isEqualTo(20);
    assertThat(lives.getFirst().lately()).isNull();
    casts.add(cast(false));
    MouldLife twenty = MouldLife.of(casts).getFirst();
    assertThat(twenty.before()).isEqualTo(Proportion.of(9, 10));
    assertThat(twenty.lately()).isEqualTo(Proportion.of(0, 10));
    assertThat(twenty.worse()).isTrue();
  }

  @Test
  void aPiecesCodeIsShortItsOwnAndReadAsItIsMistyped() {
    Set<String> codes = new HashSet<>();
    for (int evening = 0; evening < 200; evening++) {
      for (int cavity = 1; cavity <= 50; cavity++) {
        codes.add(PieceCode.of("evening-" + evening, new CavityId(1, cavity)));
      }
    }
    assertThat(codes).hasSize(10_000).allMatch(c -> c.matches("[0-9A-HJKMNP-TV-Z]{7}"));
    String code = PieceCode.of("evening-1", new CavityId(1, 1));
    assertThat(code).isEqualTo(PieceCode.of("evening-1", new CavityId(1, 1)));
    String typed = code.toLowerCase(java.util.Locale.ROOT).replace('0', 'o').replace('1', 'l');
    assertThat(PieceCode.read(" " + typed.substring(0, 3) + "-" + typed.substring(3)))
        .isEqualTo(code);
  }
}
