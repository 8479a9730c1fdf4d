import type { Plan } from "../api/client";
import { showWith, type Units } from "../units/units";
import { countWord } from "./numbers";
import { lastPourEnds } from "./plan";
import { minutes } from "./time";

/** What a new plan changed, in one line; null when nothing that matters did. */
export function changesText(before: Plan, after: Plan, units: Units): string | null {
  const changes: string[] = [];
  const more = after.batches.length - before.batches.length;
  if (more !== 0) {
    const count = Math.abs(more);
    changes.push(
      `${countWord(count).toLowerCase()} ${count === 1 ? "batch" : "batches"} ${more > 0 ? "more" : "fewer"}`,
    );
  }
  const moved = movedPieces(before, after);
  if (more === 0 && moved > 0) {
    changes.push(
      `${countWord(moved).toLowerCase()} ${moved === 1 ? "piece" : "pieces"} in another batch`,
    );
  }
  const resin = after.totals.resinG - before.totals.resinG;
  if (Math.abs(resin) >= 0.5) {
    changes.push(
      `${showWith(units.MASS, Math.abs(resin), 0)} ${resin > 0 ? "more" : "less"} to mix`,
    );
  }
  const later = (lastPourEnds(after) - lastPourEnds(before)) / 60;
  if (Math.abs(later) >= 1) {
    changes.push(`the last pour ${minutes(Math.abs(later))} ${later > 0 ? "later" : "sooner"}`);
  }
  const spare = (after.spareSeconds - before.spareSeconds) / 60;
  if (Math.abs(spare) >= 1) {
    changes.push(`${minutes(Math.abs(spare))} ${spare > 0 ? "more" : "less"} to spare`);
  }
  return changes.length === 0 ? null : `Changed: ${changes.join(", ")}.`;
}

/** Pieces that were poured in both plans, and now share their batch with others than before. */
function movedPieces(before: Plan, after: Plan): number {
  const was = batchOfCavities(before);
  const is = batchOfCavities(after);
  let moved = 0;
  for (const [cavity, batch] of is) {
    const old = was.get(cavity);
    moved += old !== undefined && old !== batch ? 1 : 0;
  }
  return moved;
}

function batchOfCavities(plan: Plan): Map<string, number> {
  const batchOf = new Map<string, number>();
  for (const batch of plan.batches) {
    for (const pour of batch.cups.flatMap((c) => c.pours)) {
      batchOf.set(`${pour.line}.${pour.cavity}.${pour.layer}`, batch.number);
    }
  }
  return batchOf;
}
