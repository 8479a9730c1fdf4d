import type { Units } from "../units/units";
import type { Habits, Hands, Hours, Room } from "../api/client";
import type { FieldSpec } from "../ui/Fields";

/** How a workshop works; a session's own, or what is usual. */
export interface Ways {
  habits: Required<Habits>;
  hands: Required<Hands>;
  room: Room;
  hours?: Hours | undefined;
}

/** Habits that belong together. Hours and the room by the hour have fields of their own. */
export interface Group {
  key: string;
  title: string;
  /** Everything in it, by its place in a `Ways`. */
  owns: readonly string[];
  specs: (ways: Ways) => FieldSpec[];
  /** What the chosen one does, and what other makers do instead; a line each. */
  why: (ways: Ways, units: Units) => string[];
}

/** A number that has to be there. */
export const number = (path: string, label: string, symbol: string, width = 150): FieldSpec => ({
  path,
  label,
  kind: "number",
  symbol,
  needed: true,
  width,
});
