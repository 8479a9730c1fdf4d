package calmpour.core.journal;

import static org.assertj.core.api.Assertions.assertThat;

import calmpour.core.journal.Evidence.Told;
import calmpour.core.run.LookOver.Fault;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/**
 * Every row of the trade's table of faults, with what speaks for it and with what speaks against:
 * common practice, no source.
 */
class WhatWentWrongTest {
  /** All facts known, those named there, the others not. */
  private static Map<Clue, Evidence> record(Set<Clue> there) {
    Map<Clue, Evidence> facts = new EnumMap<>(Clue.class);
    for (Clue clue : Clue.values()) {
      Told told = there.contains(clue) ? Told.THERE : Told.NOT_THERE;
      facts.put(clue, new Evidence(clue, told, null));
    }
    return facts;
  }

  private static Cause first(Fault fault, Map<Clue, Evidence> facts) {
    return WhatWentWrong.of(fault, facts).suspects().getFirst().cause();
  }

  private static double share(Cause cause, Fault fault, Map<Clue, Evidence> facts) {
    return WhatWentWrong.of(fault, facts).suspects().stream()
        .filter(s -> s.cause() == cause)
        .findFirst()
        .orElseThrow()
        .sharePercent();
  }

  /** A row of the table, a fact, and which cause a maker would look at first. */
  @ParameterizedTest
  @CsvSource({
    "STICKY_ALL_OVER, A_HEAVY, TOO_MUCH_A",
    "STICKY_ALL_OVER, STIRRED_SHORT, SHORT_MIX",
    "STICKY_ALL_OVER, COLD_ROOM, COLD",
    "STICKY_ALL_OVER, COLOUR_NEAR_LIMIT, TOO_MUCH_COLOUR",
    "STICKY_SPOTS, ONE_CUP, WALLS_NOT_SCRAPED",
    "STICKY_SPOTS, LAST_FROM_ITS_CUP, WALL_SCRAPED_AT_THE_END",
    "STICKY_SPOTS, STIRRED_SHORT, SHORT_MIX",
    "SOFT_EDGE_OR_TOP, SOLVENT, SOLVENT_OR_INK",
    "SOFT_EDGE_OR_TOP, WATER, WATER_IN_COLOUR",
    "SOFT_EDGE_OR_TOP, COLOUR_NEAR_LIMIT, TOO_MUCH_COLOUR",
    "BENDS, FLEXIBLE_RESIN, KIND_OF_RESIN",
    "BENDS, OUT_EARLY, TAKEN_OUT_EARLY",
    "BENDS, THIN, THIN_PIECE",
    "CLOUDY, COLD_ROOM, COLD",
    "CLOUDY, RESTED_SHORT, NO_REST",
    "CLOUDY, DAMP_AIR, DAMP",
    "FOAM, OPENED_LONG, OLD_STOCK",
    "FOAM, POLYURETHANE_BEFORE, POLYURETHANE_RESIDUE",
    "FOAM, DAMP_AIR, DAMP",
    "BUBBLES_AT_EMBEDS_OR_LIPS, EMBED_NOT_DRY, DRY_EMBED",
    "BUBBLES_AT_EMBEDS_OR_LIPS, NOT_TEASED, AIR_NOT_TEASED_OUT",
    "LAST_PIECES_BAD, POURED_THICK, POURED_TOO_LATE",
    "CRACKS_OR_RIPPLES, GOT_HOT, TOO_DEEP_OR_LARGE",
    "CRACKS_OR_RIPPLES, HOT_ROOM, HOT_ROOM_OR_WARMED",
    "YELLOW, B_HEAVY, TOO_MUCH_B",
    "YELLOW, GOT_HOT, TOO_DEEP_OR_LARGE",
    "LUMPS_OR_SUNK_GLITTER, POURED_THIN, POURED_TOO_EARLY",
    "LUMPS_OR_SUNK_GLITTER, STIRRED_SHORT, NOT_STIRRED_IN",
    "PATCHY_COLOUR, COLOUR_NEAR_LIMIT, TOO_MUCH_COLOUR",
    "PATCHY_COLOUR, JOINED_SOFTER, JOINED_TOO_SOON",
    "EMBED_MOVED, EMBED_EARLY, EMBED_TOO_EARLY",
    "EMBED_MOVED, JOINED_SOFTER, JOINED_TOO_SOON",
    "EMBED_MOVED, NOT_LOOKED_AFTER, NOT_WATCHED",
    "LOPSIDED_OR_SHORT, NOT_LEVEL, NOT_LEVEL",
    "LOPSIDED_OR_SHORT, POURED_SHORT, TOO_LITTLE_POURED",
    "LOPSIDED_OR_SHORT, LID_OVERFULL, LID_OVERFULL",
    "DULL, MATTE_MOULD, MATTE_OR_DIRTY_MOULD",
    "DULL, DIRTY_MOULD, MATTE_OR_DIRTY_MOULD",
    "DULL, ALCOHOL_LEFT, ALCOHOL_LEFT",
    "DULL, OUT_EARLY, TAKEN_OUT_EARLY",
  })
  void theFactThatIsThereNamesTheCause(Fault fault, Clue clue, Cause cause) {
    Map<Clue, Evidence> told = record(EnumSet.of(clue));
    assertThat(first(fault, told)).isEqualTo(cause);
    // The same fact not there: its cause counts for less than where nothing is known of it.
    Map<Clue, Evidence> unknown = record(EnumSet.noneOf(Clue.class));
    unknown.remove(clue);
    assertThat(share(cause, fault, record(EnumSet.noneOf(Clue.class))))
        .isLessThan(share(cause, fault, unknown));
    assertThat(share(cause, fault, unknown)).isLessThan(share(cause, fault, told));
  }

  @ParameterizedTest
  @EnumSource(Fault.class)
  void nothingIsNamedWhereNothingSpeaksForIt(Fault fault) {
    WhatWentWrong blank = WhatWentWrong.of(fault, Map.of());
    assertThat(blank.grounded()).isFalse();
    assertThat(blank.missing()).isNotEmpty();
    assertThat(WhatWentWrong.of(fault, record(EnumSet.noneOf(Clue.class))).grounded()).isFalse();
    assertThat(blank.suspects().stream().mapToDouble(WhatWentWrong.Suspect::sharePercent).sum())
        .isCloseTo(100, org.assertj.core.api.Assertions.within(1e-9));
  }

  @ParameterizedTest
  @EnumSource(Fault.class)
  void aFactThatIsNotThereNeverRaisesWhatItWouldPointTo(Fault fault) {
    for (FaultTable.Row row : FaultTable.of(fault)) {
      for (FaultTable.Weight weight : row.weights()) {
        assertThat(weight.by()).isGreaterThan(1);
        assertThat(weight.against()).isGreaterThanOrEqualTo(1);
        double without = share(row.cause(), fault, Map.of());
        Map<Clue, Evidence> not =
            Map.of(weight.clue(), new Evidence(weight.clue(), Told.NOT_THERE, null));
        boolean others =
            FaultTable.of(fault).stream()
                .anyMatch(r -> r.weights().stream().anyMatch(w -> w.clue() == weight.clue()));
        if (!others) {
          assertThat(share(row.cause(), fault, not)).isLessThan(without);
        }
      }
    }
  }

  @Test
  void theNextTestTellsTheFirstTwoApart() {
    for (Fault fault : Fault.values()) {
      WhatWentWrong told = WhatWentWrong.of(fault, Map.of());
      List<Cause> two = told.suspects().stream().limit(2).map(s -> s.cause()).toList();
      boolean alike = two.get(0).test() == two.get(1).test();
      assertThat(told.next() == two.get(1).test()).as(fault.name()).isFalse();
      assertThat(alike || told.next() == two.get(0).test()).as(fault.name()).isTrue();
    }
  }
}
