import type { DepthHere, JoinMade, JournalWanted, YieldBy } from "../api/client";
import { showWith, type Units } from "../units/units";
import { span } from "./time";

type Join = JoinMade["planned"];

export const JOINS: Record<Join, string> = {
  TOGETHER: "together",
  THICK: "thick",
  GEL: "at gel",
  CURED: "cured",
};

/** Where one room stops and the next begins, °C. */
const ROOM_STEPS = [18, 20, 22, 24];

/** Rooms to look for, by what they are called in an address. */
export function rooms(units: Units) {
  const at = (c: number) => showWith(units.TEMPERATURE, c, 0);
  return [undefined, ...ROOM_STEPS].map((from, i) => {
    const below = ROOM_STEPS[i];
    return {
      key: `${from ?? ""}-${below ?? ""}`,
      words:
        from === undefined
          ? `below ${at(below ?? 0)}`
          : below === undefined
            ? `${at(from)} and more`
            : `${at(from)} to ${at(below)}`,
      wanted: { roomFrom: from, roomBelow: below } as JournalWanted,
    };
  });
}

const YIELDS: readonly YieldBy[] = ["MOULD", "COLOUR", "RESIN", "LOT", "JOIN", "MONTH"];

/** By what pieces are counted, as an address has it; by mould where it has nothing of the kind. */
export function yieldBy(said: string | null): YieldBy {
  return YIELDS.find((by) => by === said) ?? "MOULD";
}

/** What a line of counts is called. */
export function countedName(by: YieldBy, name: string): string {
  return by === "JOIN" ? (JOINS[name as Join] ?? name) : name;
}

/** How a layer met the one below it. */
export function joinText({ layer, planned, minutesAfter, met }: JoinMade): string {
  const after = minutesAfter === undefined ? "" : `, ${span(minutesAfter)} after the one below`;
  const found =
    met === undefined || met === planned ? "" : `; the one below was ${STATES_MET[met]} by then`;
  return `Layer ${layer + 1}: ${JOINS[planned]}${after}${found}`;
}

/** The state of the layer below when the next one came. */
const STATES_MET: Record<Join, string> = {
  TOGETHER: "still thin",
  THICK: "thick",
  GEL: "gelled",
  CURED: "cured",
};

/** How deep a resin was poured here and came out well, beside what its label allows. */
export function depthText({ proven, labelMm }: DepthHere, units: Units) {
  const mm = (value: number) => showWith(units.LENGTH, value);
  const label =
    labelMm === undefined
      ? "Its label names no depth."
      : proven.mm > labelMm
        ? `Its label allows ${mm(labelMm)} only.`
        : `Its label allows ${mm(labelMm)}.`;
  const others =
    proven.others === 0
      ? ""
      : ` ${proven.others} ${proven.others === 1 ? "piece" : "pieces"} as deep came out worse.`;
  return {
    learned: `${mm(proven.mm)} in one layer, ${proven.good} good ${proven.good === 1 ? "piece" : "pieces"}.`,
    beside: label + others,
  };
}
