import type { PieceView } from "../api/client";
import { showWith, type Units } from "../units/units";

/** Smaller differences nobody sees, mm. */
const SEEN_MM = 0.05;

/** How far a mould is filled and where the surface of the cured piece lies; empty for level. */
export function fillWords(view: PieceView, units: Units): string {
  const long = (mm: number) => showWith(units.LENGTH, mm, mm < 0.95 ? 2 : 1);
  const to = view.layers.at(-1)?.toMm ?? view.depthMm;
  const parts: string[] = [];
  if (view.aboveMm !== undefined) {
    parts.push(`Filled to a dome ${long(view.aboveMm)} above the rim.`);
  } else if (to < view.depthMm - SEEN_MM && !view.depthAssumed) {
    parts.push(`Filled to ${long(view.depthMm - to)} below the rim.`);
  }
  const cured = view.finishedMm;
  if (cured !== undefined) {
    const over = cured - view.depthMm;
    const poured = to + (view.aboveMm ?? 0);
    if (Math.abs(over) < SEEN_MM) {
      parts.push("Cured, it lies level with the rim.");
    } else if (poured - cured >= SEEN_MM) {
      parts.push(
        `Cured, its surface lies ${long(Math.abs(over))} ${over > 0 ? "above" : "below"} the rim.`,
      );
    }
  }
  return parts.join(" ");
}
