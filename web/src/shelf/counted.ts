import type { Colour, Colourant, CountedPart, DoseTold } from "../api/client";
import { newId } from "../moulds/newMould";
import { UNSEEN } from "./unseen";

export type CountedIn = CountedPart["in"];

/** One jar of a colour while it is typed. */
export interface Row {
  jar: Colourant;
  /** Whether it stands on no shelf yet. */
  fresh: boolean;
  amount: number | null;
  in: CountedIn;
}

const LIQUID = new Set<Colourant["form"]>([
  "LIQUID_TINT",
  "ALCOHOL_INK",
  "ACRYLIC_PAINT",
  "OIL_PAINT",
  "SILICONE_OIL",
  "DYE",
  "THINNER",
]);

/** What makers count a form in. */
export function usualUnit(form: Colourant["form"]): CountedIn {
  return LIQUID.has(form) ? "DROPS" : form === "PASTE" ? "GRAMS" : "SCOOPS";
}

/** In what a jar can be counted: drops are of liquids only, scoops of everything else. */
export function unitsOf(form: Colourant["form"]): CountedIn[] {
  return LIQUID.has(form)
    ? ["DROPS", "GRAMS", "PERCENT"]
    : ["SCOOPS", "PINCHES", "GRAMS", "PERCENT"];
}

export const UNIT_WORDS: Record<CountedIn, string> = {
  DROPS: "drops",
  SCOOPS: "scoops",
  PINCHES: "pinches",
  GRAMS: "g",
  PERCENT: "% of the mix",
};

export function freshJar(): Colourant {
  return { id: newId("colourant"), name: "", form: "LIQUID_TINT", swatch: UNSEEN };
}

/** A recipe in shares, as rows. */
export function rowsOf(colour: Colour, jars: readonly Colourant[]): Row[] {
  const all = colour.recipe.reduce((sum, p) => sum + (p.parts ?? 0), 0);
  return colour.recipe.flatMap((part): Row[] => {
    const jar = jars.find((j) => j.id === part.colourantId);
    const share =
      part.percentOfMix ??
      (all > 0 ? ((colour.strengthPercent ?? 0) * (part.parts ?? 0)) / all : 0);
    return jar ? [{ jar, fresh: false, amount: rounded(share), in: "PERCENT" }] : [];
  });
}

/** What is asked about; null while something is still to be typed. */
export function partsOf(rows: readonly Row[]): CountedPart[] | null {
  const parts = rows.flatMap((r): CountedPart[] =>
    r.amount === null ? [] : [{ colourant: named(r.jar), amount: r.amount, in: r.in }],
  );
  return parts.length === rows.length ? parts : null;
}

/** A jar needs a name before it can be asked about. */
function named(jar: Colourant): Colourant {
  return jar.name.trim() === "" ? { ...jar, name: "new jar" } : jar;
}

/** The same dose in another unit. */
export function inUnit(told: DoseTold | undefined, unit: CountedIn): number | null {
  if (!told) {
    return null;
  }
  switch (unit) {
    case "DROPS":
      return told.drops === undefined ? null : rounded(told.drops);
    case "SCOOPS":
      return told.scoops === undefined ? null : rounded(told.scoops);
    case "PINCHES":
      return null;
    case "GRAMS":
      return rounded(told.massG);
    case "PERCENT":
      return rounded(told.percentOfMix);
  }
}

function rounded(value: number): number {
  return Number(value.toPrecision(3));
}
