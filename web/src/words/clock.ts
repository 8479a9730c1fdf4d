import type { ResinView } from "../api/client";
import { showWith, type Units } from "../units/units";

type Clock = NonNullable<ResinView["clock"]>;
type Fact = Clock["facts"][number];

/** Minutes or hours, as labels say them. */
function time(minutes: number): string {
  if (minutes < 180) {
    return minutes < 10 ? `${minutes.toFixed(1)} min` : `${Math.round(minutes)} min`;
  }
  return `${Math.round(minutes / 60)} h`;
}

function range(from: number, to: number | null | undefined, unit: string): string {
  if (unit === "min") {
    return time(from);
  }
  // What was learned is no round figure.
  const round = (value: number) => Number(value.toPrecision(3));
  return to === null || to === undefined || to === from
    ? `${round(from)} ${unit}`
    : `${round(from)}–${round(to)} ${unit}`;
}

/** One thing that is known of a resin, what comes out beside it, and whether the two go together. */
export function factText(fact: Fact, units: Units) {
  const { said } = fact;
  const at =
    said.temperatureC == null ? "" : ` at ${showWith(units.TEMPERATURE, said.temperatureC, 0)}`;
  const mass = (g: number) => showWith(units.MASS, g, 0);
  const depth = said.depthMm == null ? "" : showWith(units.LENGTH, said.depthMm, 0);
  const told = range(said.from, said.to, said.unit);
  const by = fact.source === "MAKER" ? " (seen here)" : "";
  const what: Record<Fact["kind"], string> = {
    POT_LIFE: `Pot life of ${said.massG == null ? "" : mass(said.massG)}${at}`,
    THICK: `A thread holds${at}`,
    GEL: `Gel of a ${depth} layer, after mixing`,
    TACK_FREE: "No tack",
    RECOAT: "Next coat from",
    DEMOULD: `Out of the mould, ${depth} deep`,
    FULL_CURE: "Full cure",
    DEEPEST: "Deepest pour, as wide as deep",
    LARGEST_BATCH: "Largest batch",
    PEAK: "Warmest",
    FRESH: "Thickness, freshly mixed",
  };
  const gelled = `gelled after ${time(fact.comesTo)}`;
  const comes: Record<Fact["kind"], string> = {
    POT_LIFE: time(fact.comesTo),
    THICK: time(fact.comesTo),
    GEL: `${time(fact.comesTo)} after A met B`,
    TACK_FREE: gelled,
    RECOAT: gelled,
    DEMOULD: time(fact.comesTo),
    FULL_CURE: `hard after ${time(fact.comesTo)}`,
    DEEPEST: `gets ${showWith(units.TEMPERATURE, fact.comesTo, 0)} warm`,
    LARGEST_BATCH: `pourable for ${time(fact.comesTo)}`,
    PEAK: showWith(units.TEMPERATURE, fact.comesTo, 0),
    FRESH: `${fact.comesTo.toPrecision(2)} Pa·s`,
  };
  const shown =
    fact.kind === "DEEPEST" ? depth : fact.kind === "LARGEST_BATCH" ? mass(said.from) : told;
  return { what: what[fact.kind] + by, said: shown, comes: comes[fact.kind], fits: fits(fact) };
}

function fits(fact: Fact): string {
  if (!fact.atOdds) {
    return "fits";
  }
  const { said, comesTo } = fact;
  const toMinutes = said.unit === "h" ? 60 : said.unit === "min" ? 1 : null;
  if (toMinutes === null) {
    return "does not fit the rest";
  }
  const middle = Math.sqrt(said.from * (said.to ?? said.from)) * toMinutes;
  const off = Math.round(Math.abs(comesTo / middle - 1) * 100);
  return `does not fit the rest: ${comesTo > middle ? `${off} % later` : `${off} % sooner`}`;
}

/** What a usual cup or piece of it does; a range alone where nobody can give one figure. */
export function expectedText(expected: Clock["expected"][number], units: Units): string {
  const at = `at ${showWith(units.TEMPERATURE, expected.temperatureC, 0)}`;
  const to = expected.toMinutes == null ? "and perhaps never" : `to ${time(expected.toMinutes)}`;
  const between = `${time(expected.fromMinutes)} ${to}`;
  const one = expected.minutes == null ? between : `${time(expected.minutes)} (${between})`;
  const unsure = expected.minutes == null ? ": too little is known for one figure" : "";
  if (expected.massG != null) {
    return `A cup of ${showWith(units.MASS, expected.massG, 0)} ${at} can be poured for ${one}${unsure}.`;
  }
  const depth = expected.depthMm ?? 0;
  const what =
    depth <= 5
      ? `A sheet ${showWith(units.LENGTH, depth, 0)} thin`
      : `A piece ${showWith(units.LENGTH, depth, 0)} deep and as wide`;
  return `${what} ${at} is hard after ${one}${unsure}.`;
}

const PARTS: Record<string, (value: number) => string> = {
  SPEED: (v) => `speed at 23 °C ${v.toPrecision(2)} a minute`,
  ACTIVATION: (v) => `activation energy ${Math.round(v)} kJ/mol`,
  HEAT: (v) => `heat of the whole reaction ${Math.round(v)} J/g`,
  START: (v) => `start of the reaction ${v.toPrecision(2)}`,
  THICKNESS: (v) => `thickness at 25 °C ${v.toPrecision(2)} Pa·s`,
  HARDNESS: (v) => `conversion out of the mould ${v.toFixed(2)}`,
};

/** One number of the clock, how sure it is, and what is usual for its kind. */
export function partText(part: Clock["parts"][number]): string {
  const words = PARTS[part.what] ?? ((v: number) => `${part.what} ${v}`);
  const short = (v: number) => Number(v.toPrecision(2)).toString();
  const unusual = part.unusual ? `; usual for its kind is ${short(part.usual)}` : "";
  return `${words(part.value)} (${short(part.from)} to ${short(part.to)}${unusual})`;
}
