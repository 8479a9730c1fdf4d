import type { StepCard } from "../api/client";
import { showWith, type Units } from "../units/units";
import { quarters } from "./doses";
import { capital } from "./steps";
import { SURFACE_WORDS, WET_WORDS } from "./tasks";

type Say = StepCard["says"][number];
type EmbedCard = StepCard["embeds"][number];

const BUBBLES: Record<string, string> = {
  SOFT_TOOL: "Tap the mould, then tease with a soft tool.",
  HOT_AIR:
    "Hot air at a slant of about 45°, always moving, away as soon as the surface moves. Held, it harms the rubber. Not near alcohol or ink.",
  FLAME:
    "A flame at a slant of about 45°, always moving, away as soon as the surface moves. It ages the rubber. Never near alcohol or ink.",
  LAMP: "Under the lamp: warmth brings them up.",
  STRAW: "Blow through a straw, from the side: its moisture drips.",
  ALCOHOL_MIST: "A fine mist of alcohol. No flame and no hot air near it.",
};

/** How resin is let into a mould. */
const STREAMS: Record<string, string> = {
  CLOSE_SLOW: "Close above the mould and slowly, so that no air goes in.",
  THIN_HIGH: "A thin stream from high up: it draws the bubbles out.",
  DOWN_THE_WALL: "Down the wall: it runs across the floor and pushes the air before it.",
};

/** How bubbles are brought out of the mix, before it is poured. */
const RELEASES: Record<string, string> = {
  FLAME: "A flame over the cup, once across and away. Never with alcohol or ink about.",
  HOT_AIR: "Hot air on the mixed cup, always moving. Not near alcohol or ink.",
  LAMP: "The lamp over the cup; feel the cup, and stop when it gets warm.",
  TRAY: "Thin it out in a tray, pass hot air over it, pour it back. Not near alcohol or ink.",
  VACUUM:
    "Under vacuum, in a cup not more than a third full: some epoxies only foam. Stop if it does.",
  MACHINE: "In the machine, shut, for as long as it asks.",
};

const MOMENTS: Record<EmbedCard["moment"], string> = {
  BEFORE_POUR: "before the pour",
  HALF_FILL: "between the halves",
  AFTER_POUR: "straight into the fresh layer",
  WHEN_THICK: "when the layer holds it",
};

const PREPARES: Record<EmbedCard["prepare"][number], string> = {
  TRIM: "trimmed",
  DRY_FIT: "tried dry",
  GLUE: "glued down",
  WET: "wetted with resin first",
};

const LET_GO = {
  FLOATS: "floats when it is let go",
  HOVERS: "stays where it is put",
  SINKS: "sinks when it is let go",
} as const;

/** Up to which rings of their cup both parts are poured, in one breath; null where nothing is said. */
export function ringsWords(says: Say[]): string | null {
  const parts = says
    .filter((say) => say.code === "RINGS")
    .map((say) => `${say.text ?? ""} up to ring ${quarters(say.value ?? 0)}`);
  return parts.length === 0 ? null : `Or by the mixing cup’s own rings: ${parts.join(", then ")}.`;
}

/** An embed of a step: which, how many, how it looks and how it is held. */
export function embedWords(embed: EmbedCard, kind: string): string {
  const parts = [
    `${embed.count} a piece`,
    ...(embed.facing ? [embed.facing] : []),
    ...(embed.standsOutPercent > 0 ? [`stands out ${Math.round(embed.standsOutPercent)} %`] : []),
    embed.anchored ? "held until the resin holds it" : LET_GO[embed.tendency],
    ...(kind === "EMBED" || kind === "LAY_EMBEDS" ? [MOMENTS[embed.moment]] : []),
    ...(kind === "NUDGE" ? [] : embed.prepare.map((p) => PREPARES[p])),
    ...(embed.pointed ? ["its point can poke through dust and paint"] : []),
  ];
  return `${embed.name}: ${parts.join(", ")}.`;
}

/** Workshops read a pot in bar, or in psi. */
function pressure(kPa: number, units: Units): string {
  return units.PRESSURE.symbol === "kPa"
    ? `${Math.round(kPa) / 100} bar`
    : showWith(units.PRESSURE, kPa);
}

function long(minutes: number): string {
  return minutes < 90 ? `${Math.round(minutes)} min` : `${Math.round(minutes / 6) / 10} h`;
}

/**
 * What else a step says.
 *
 * @param at a moment of the plan or the run, as it is said
 */
export function sayWords(say: Say, units: Units, at: (seconds: number) => string): string {
  const value = say.value ?? 0;
  const text = say.text ?? "";
  switch (say.code) {
    case "FROM_SIDES":
      return "From two sides at once, until the colours meet.";
    case "IN_SPOTS":
      return "A little in several spots, between those of the other colours; the clearest first.";
    case "PRESSED_APART":
      return "Last, into the middle: it presses the others apart.";
    case "ONE_CUP":
      return "In turns down the wall of the cup; then out of it at once, without stirring.";
    case "FIRST_HALF":
      return "The first half only: the embed comes before the second.";
    case "SECOND_HALF":
      return "The second half, gently over the embed.";
    case "FUNNEL":
      return "Narrow mouth: through a funnel, slowly, so that the air gets out.";
    case "UNDERCUTS":
      return "Undercuts hold air: squeeze the mould and tease it out.";
    case "UNDER_EMBEDS":
      return "Tease under what lies in it, too: air is caught below.";
    case "LETTERING":
      return "Brush a little into the lettering first.";
    case "LEVEL":
      return "Prop the mould level: it does not stand so by itself.";
    case "BALLAST":
      return `Weigh the inner form down with ${showWith(units.MASS, value, 0)}, or it rises.`;
    case "SCUFF":
      return "What lies below has cured: scuff it and wipe it first.";
    case "BUBBLES":
      return BUBBLES[text] ?? "";
    case "LAMP":
      return `${Math.round(value)} min under the lamp.`;
    case "SURFACE":
      return `${capital(SURFACE_WORDS[text as keyof typeof SURFACE_WORDS])}.`;
    case "DRIES":
      return `Then it dries ${long(value)} before resin touches it.`;
    case "WITH":
      return `With ${text}.`;
    case "AGAIN":
      return `Once more ${long(value * 60)} later.`;
    case "SET_TO":
      return `Set it to ${pressure(value, units)}.`;
    case "RATED":
      return `Rated for ${pressure(value, units)}: stay below, and below its relief valve.`;
    case "BOX_AT":
      return `The box stands at ${showWith(units.TEMPERATURE, value)}.`;
    case "SHUT_UNTIL":
      return `It stays shut until ${at(value)}.`;
    case "OPENS_BY":
      return `How this mould is opened: ${text}.`.replace("..", ".");
    case "LIFT_EDGES":
      return "Lift the edges all round first, so that air gets in; fine detail last.";
    case "HOLDS_ON":
      return "Undercuts hold the piece: turn the mould inside out or push from behind, do not pull. A little alcohol helps; no flame near it.";
    case "MOULD_AWAY":
      return "Then wipe the mould, drain and dry it, and put it away with its lid on.";
    case "FLASH_OFF":
      return "What was squeezed out is paper-thin: take it off with tape, or trim it.";
    case "STANDS_LEVEL":
      return "Try whether it stands level.";
    case "DOME":
      return `To a dome ${showWith(units.LENGTH, value)} above the rim.`;
    case "FREE_RIM":
      return `Stop ${showWith(units.LENGTH, value)} below the rim.`;
    case "SLOWLY":
      return "A slow one: a thin stream, so that the air gets out.";
    case "BY_STICK":
      return "Drop by drop, from a stick.";
    case "SURPLUS":
      return `A slight dome, ${showWith(units.MASS, value)} more than it holds: the lid presses that out.`;
    case "KEYS":
      return "Nobody looks in after that, and heat or mist do nothing inside.";
    case "WET":
      return text === "LACED"
        ? "Hot air at a slant, always moving, away as soon as the surface moves. Not near alcohol or ink."
        : `${capital(WET_WORDS[text as keyof typeof WET_WORDS])}.`;
    case "DRIFTS":
      return "While it flows. It goes on drifting until it gels: nobody knows how it will look.";
    case "PATCH":
      return "On a wiped, dry mould; try a patch first, and keep it.";
    case "PATCH_KEPT":
      return `On a wiped, dry mould, as on the patch that is kept: ${text}.`.replace("..", ".");
    case "STREAM":
      return STREAMS[text] ?? "";
    case "WATER_RENEWED":
      return "Renew the hot water: a cold room cools it. Keep water out of the bottle; it scalds.";
    case "INNER_OUT":
      return "Draw the inner form out along its taper.";
    case "LIE_FLAT":
      return "Keep the piece lying flat until it is handed over; gloves until it has fully cured.";
    case "DUSTED":
      return "Dusted wall: look for bare spots first, keep the stream moving.";
    case "DARK_BEHIND":
      return "Polished powder shines with a dark, clear colour behind it.";
    case "POT_GENTLY":
      return "Do not squeeze the moulds in, keep them clear of lid and fittings, let the air in gently.";
    case "OPENED_BY":
      return `${capital(text)} opens it.`;
    case "TILT":
      return "Read at eye level, at the same edge of every mark; tip the cup, let it settle, read again.";
    case "RELIEF":
      return `Its relief valve opens at ${pressure(value, units)}.`;
    case "BOTTLES_FROM":
      return `The label wants the bottles at ${showWith(units.TEMPERATURE, value)} or more: warm them, shut and dried.`;
    case "BOTTLES_TO":
      return `The label wants the bottles no warmer than ${showWith(units.TEMPERATURE, value)}.`;
    case "READY_COLOURED":
      return "A part is coloured already: clear cups get its colour too.";
    case "DRAIN":
      return "Drain both bottles of the kit fully, or the ratio shifts.";
    case "TRIAL":
      return `A trial: ${text}. The others as usual.`;
    case "PUMPED":
      return `Or both parts by pump: ${value} ${value === 1 ? "stroke" : "strokes"} of ${text}.`;
    case "RINGS":
      return `Or by the mixing cup’s own rings: ${text} up to ring ${quarters(value)}.`;
    case "OPEN_LONG":
      return `${text}: open for ${Math.round(value)} months. Try a little first: damp stock foams.`;
    case "SECOND_CUP_ASKED":
      return "The label asks for a second, clean cup: pour over and stir on with a clean stick.";
    case "CAP":
      return "Closed mould: wet the face of its cap first, fill a little over, then press the lid over its keys with an even weight.";
    case "SETTING":
      return "It stays in its setting: nothing is taken out.";
    case "STAYS_FLEXIBLE":
      return "This resin stays flexible: that the piece bends does not mean it is not cured.";
    case "RUNS_OFF":
      return `${showWith(units.MASS, value, 0)} of it is for the edges and for what drips: wipe the drips from below until it gels.`;
    case "ON_SUPPORTS":
      return "Wiped clean, level, on supports, with a liner below for what drips.";
    case "SET_INNER":
      return "Set the inner mould level, the same distance all round, and hold it down. Press its wall first: one that gives bows in while resin stands round it.";
    case "RELEASE":
      return RELEASES[text] ?? "";
    case "RELEASE_WARMS":
      return `Warms the mix by about ${showWith(units.TEMPERATURE_DIFFERENCE, value, 0)}: it thickens sooner.`;
    case "CHOP":
      return "Chop the flakes smaller while you stir them in.";
    case "AT_GEL":
      return "When it gels a bubble can still be drawn out with a needle; the skin levels.";
    case "A_HOT_AIR":
      return "Hot air on A in its cup, always moving, before B is there. No flame or hot air where alcohol is out.";
    case "MATTE":
      return "A matte mould gives a matte piece: varnish or polish it if it is to shine.";
  }
}

/** All that a step says beside its name, a line each. */
export function cardLines(
  card: StepCard,
  kind: string,
  units: Units,
  at: (seconds: number) => string,
): string[] {
  return [
    ...card.embeds.map((e) => embedWords(e, kind)),
    ...card.says.map((s) => sayWords(s, units, at)),
  ];
}
