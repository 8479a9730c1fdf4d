import type { ChipView } from "../api/client";
import { showWith, type Units } from "../units/units";
import { dayName } from "./dates";

export type Faded = ChipView["chip"]["looks"][number]["was"];

/** How a chip looks beside how it was. */
export const FADED: readonly (readonly [Faded, string])[] = [
  ["SAME", "the same"],
  ["A_LITTLE", "a little changed"],
  ["CLEARLY", "clearly changed"],
];

const words = (was: Faded) => FADED.find(([key]) => key === was)?.[1] ?? "";

/** What is in it, and how thick it is. */
export function chipText({ chip }: ChipView, units: Units): string {
  const doses = chip.doses.map((d) => `${Number(d.percentOfMix.toFixed(2))} % ${d.colourantName}`);
  return `${chip.wall ? `${chip.wall} first; ` : ""}${doses.length === 0 ? "no colour" : doses.join(", ")}; ${showWith(units.LENGTH, chip.thicknessMm)} thick; made ${dayName(chip.madeOn)}`;
}

/** How it looked after so long: "after 3 months the same". */
export function lookText(madeOn: string, look: { on: string; was: Faded; note?: string }): string {
  const days = Math.round((Date.parse(look.on) - Date.parse(madeOn)) / 86_400_000);
  const months = Math.round(days / 30.4);
  const after =
    days < 45
      ? `${days} ${days === 1 ? "day" : "days"}`
      : `${months} ${months === 1 ? "month" : "months"}`;
  return `after ${after} ${words(look.was)}${look.note ? `: ${look.note}` : ""}`;
}

/** When to look again. */
export function nextText({ nextLook, due }: ChipView): string {
  return due
    ? "Look at it again: hold it beside a piece kept in the dark."
    : nextLook === undefined
      ? "A year of looks is over."
      : `Look again ${dayName(nextLook)}.`;
}

/** A patch of work on a mould's wall, as a design names it: with its year, for it stays there. */
export function patchText(chip: ChipView["chip"]): string {
  return `${chip.wall ?? ""} under ${chip.colourName}, ${dayName(chip.madeOn)} ${chip.madeOn.slice(0, 4)}`;
}
