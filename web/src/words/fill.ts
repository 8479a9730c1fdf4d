import type { PieceView } from "../api/client";
import { showWith, type Units } from "../units/units";

/** Smaller differences nobody sees, mm. */
const SEEN_MM = 0.05;

/** A sentence, and the figure in it that can be opened. */
export interface FillTold {
  words: string;
  of: "aboveMm" | "finishedMm" | null;
}

/** How far a mould is filled and where the surface of the cured piece lies; empty for level. */
export function fillTold(view: PieceView, units: Units): FillTold[] {
  const long = (mm: number) => showWith(units.LENGTH, mm, mm < 0.95 ? 2 : 1);
  const to = view.layers.at(-1)?.toMm ?? view.depthMm;
  const parts: FillTold[] = [];
  if (view.aboveMm !== undefined) {
    parts.push({ words: `Filled to a dome ${long(view.aboveMm)} above the rim.`, of: "aboveMm" });
  } else if (to < view.depthMm - SEEN_MM && !view.depthAssumed) {
    parts.push({ words: `Filled to ${long(view.depthMm - to)} below the rim.`, of: null });
  }
  const cured = view.finishedMm;
  if (cured !== undefined) {
    const over = cured - view.depthMm;
    const poured = to + (view.aboveMm ?? 0);
    if (Math.abs(over) < SEEN_MM) {
      parts.push({ words: "Cured, it lies level with the rim.", of: "finishedMm" });
    } else if (poured - cured >= SEEN_MM) {
      parts.push({
        words: `Cured, its surface lies ${long(Math.abs(over))} ${over > 0 ? "above" : "below"} the rim.`,
        of: "finishedMm",
      });
    }
  }
  return parts;
}
