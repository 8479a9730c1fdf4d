package calmpour.core.plan.bench;

import calmpour.core.design.PlacedEmbed;
import calmpour.core.embed.Embed;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What design, mould and habits have to say about a step, beside its name and its quantity.
 *
 * @param embeds what is put in, looked after or made ready
 * @param says the rest, in the order in which it is of use
 */
public record StepCard(List<EmbedCard> embeds, List<Say> says) {
  public static final StepCard NOTHING = new StepCard(List.of(), List.of());

  public StepCard {
    embeds = List.copyOf(embeds);
    says = List.copyOf(says);
  }

  /**
   * One kind of embed of one layer.
   *
   * @param layer index from 0
   * @param count how many in one piece
   * @param anchored held where it is until the resin holds it
   * @param standsOutPercent of it that is not in resin
   * @param facing which side of it looks where, in the maker's words; null where nobody said
   * @param tendency what it does when it is let go
   * @param pointed whether it can poke through a dusted surface
   */
  public record EmbedCard(
      String name,
      int layer,
      int count,
      PlacedEmbed.Moment moment,
      boolean anchored,
      double standsOutPercent,
      @Nullable String facing,
      Embed.Tendency tendency,
      boolean pointed,
      List<PlacedEmbed.Prepare> prepare) {
    public EmbedCard {
      prepare = List.copyOf(prepare);
    }
  }

  /**
   * One line.
   *
   * @param value see the codes; null where there is no figure
   * @param text in the maker's words, or a word of ours; null where there is none
   */
  public record Say(Code code, @Nullable Double value, @Nullable String text) {}

  /** What there is to say. */
  public enum Code {
    /** Several colours of one layer, from two or more sides until they meet. */
    FROM_SIDES,
    /** A little in several spots, between those of the other colours. */
    IN_SPOTS,
    /** This colour last, in the middle: it presses the others apart. */
    PRESSED_APART,
    /** Colours in turns into one cup, and out of it at once. */
    ONE_CUP,
    /** A first half; the embed comes before the second. */
    FIRST_HALF,
    SECOND_HALF,
    /** The mould has a narrow mouth. */
    FUNNEL,
    /** The mould has undercuts that hold air. */
    UNDERCUTS,
    /** Something lies in it, and air below that. */
    UNDER_EMBEDS,
    /** Lettering was primed: a little is brushed into it first. */
    LETTERING,
    /** The mould does not stand level by itself. */
    LEVEL,
    /** {@code value}: g to lay on the inner form, so that it stays down. */
    BALLAST,
    /** What lies below has cured: scuff and wipe it first. */
    SCUFF,
    /** {@code value}: g that goes over the edges of flat work, and what drips is wiped away. */
    RUNS_OFF,
    /** Flat work stands on supports, level and wiped, a liner below it. */
    ON_SUPPORTS,
    /** An inner mould is set level, held down until the resin holds it. */
    SET_INNER,
    /** {@code text}: who opens the pot. */
    OPENED_BY,
    /** Marks are read at eye level, the cup tipped and read again. */
    TILT,
    /** {@code value}: rings of the mixing cup that a part, {@code text}, is poured up to. */
    RINGS,
    /** {@code text}: how bubbles are brought out here, by the word of the habit. */
    BUBBLES,
    /** {@code value}: minutes under the lamp. */
    LAMP,
    /** {@code text}: kind of work on the inside of the mould. */
    SURFACE,
    /** {@code value}: minutes until resin, or the next coat, may touch it. */
    DRIES,
    /** {@code text}: with what, in the maker's words. */
    WITH,
    /** {@code value}: hours until the same is done once more. */
    AGAIN,
    /** {@code value}: kPa that the pot is set to. */
    SET_TO,
    /** {@code value}: kPa that the pot is rated for. */
    RATED,
    /** {@code value}: °C in the warm box. */
    BOX_AT,
    /** {@code value}: seconds on the plan's clock until which it stays shut in pot or box. */
    SHUT_UNTIL,
    /** {@code text}: how this mould likes to be opened, in the maker's words. */
    OPENS_BY,
    /** Edges first, so that air gets in. */
    LIFT_EDGES,
    /** The mould's undercuts hold the piece: turned inside out or pushed from behind. */
    HOLDS_ON,
    /** The mould is wiped, dried and lidded for the next time. */
    MOULD_AWAY,
    /** A lid's flash comes off: tape or trimmed. */
    FLASH_OFF,
    /** Whether it stands level is tried. */
    STANDS_LEVEL,
    /** {@code value}: mm of a dome above the rim. */
    DOME,
    /** {@code value}: mm that stay free below the rim. */
    FREE_RIM,
    /** How resin is let in here, where neither mould nor wall wants it otherwise. */
    STREAM,
    /** A slow cavity: a thin stream. */
    SLOWLY,
    /** Drop by drop from a stick. */
    BY_STICK,
    /** {@code value}: g that a closed mould is filled over by. */
    SURPLUS,
    /** The lid goes on over its keys, an even weight on it. */
    KEYS,
    /** {@code text}: kind of work on the wet face. */
    WET,
    /** What was drawn goes on drifting until gel. */
    DRIFTS,
    /** Mould wiped and dry before powder or paint; a patch is tried and kept. */
    PATCH,
    /** The same, as on the patch that is kept: where it is. */
    PATCH_KEPT,
    /** Renewed while A stands in it: a cold room cools hot water. */
    WATER_RENEWED,
    /** The inner form is drawn out. */
    INNER_OUT,
    /** Lying flat until it is handed over. */
    LIE_FLAT,
    /** Powder or paint on the wall: a moving stream, bare spots looked for. */
    DUSTED,
    /** Chrome shines with a dark clear colour behind it. */
    DARK_BEHIND,
    /** Moulds are not squeezed under pressure, the lid clear of fittings, air let in gently. */
    POT_GENTLY,
    /** {@code value}: kPa at which the pot's relief valve opens. */
    RELIEF,
    /** {@code value}: °C; the label wants the bottles no colder, and they are. */
    BOTTLES_FROM,
    /** {@code value}: °C; the label wants them no warmer, and they are. */
    BOTTLES_TO,
    /** A part comes coloured out of its bottle. */
    READY_COLOURED,
    /** A kit of fixed bottles: what stays in one of them shifts the ratio. */
    DRAIN,
    /** {@code text}: what is done otherwise with these pieces, as a trial. */
    TRIAL,
    /** {@code value}: strokes of the pump; {@code text}: of A or B. */
    PUMPED,
    /** {@code value}: months that a bottle has been open; {@code text}: which. */
    OPEN_LONG,
    /** The label asks for a second cup, and the habit has one. */
    SECOND_CUP_ASKED,
    /** A closed mould: its cap is wetted, it is filled a little over, and shut. */
    CAP,
    /** A setting that stays with the piece: nothing is taken out. */
    SETTING,
    /** The resin stays flexible, by its label. */
    STAYS_FLEXIBLE,
    /** Out of a matte mould, and nothing is to make it gloss. */
    MATTE,
    /** {@code text}: how bubbles are brought out of the mix. */
    RELEASE,
    /** {@code value}: K by which the mix is warmer for it, and thickens sooner. */
    RELEASE_WARMS,
    /** Flakes are chopped smaller while they are stirred in. */
    CHOP,
    /** At gel a bubble can still be drawn out; the skin levels. */
    AT_GEL,
    /** Hot air on A in its cup, before B is there. */
    A_HOT_AIR
  }
}
