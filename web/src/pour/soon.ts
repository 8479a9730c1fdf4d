import type { RunState, RunStep } from "../api/client";
import type { Soon } from "../words/soon";

/** So long before it is too late the bench says so, s. */
export const SOON_SECONDS = 180;

/** The same for all pours: a cup that warms up thickens faster than the clock runs. */
const POURS_SECONDS = 300;

/** Steps that what lies below takes for a while only. */
const WINDOWED = new Set<RunStep["kind"]>(["EMBED", "WET_WORK", "POUR"]);

/**
 * By the clock on the wall, so that it is noticed without a line as well.
 *
 * @param steps as told, with what no server knows of yet
 * @param now seconds from when the run was begun
 */
export function soon(state: RunState, steps: RunStep[], now: number): Soon[] {
  const found: Soon[] = [];
  const open = steps.filter((s) => s.hands && s.status === "TO_DO");
  for (const step of open) {
    if (WINDOWED.has(step.kind) && step.untilSeconds !== undefined) {
      const left = step.untilSeconds - (step.endSeconds - step.startSeconds) - now;
      if (left < SOON_SECONDS) {
        found.push({ key: `step ${step.taskId} ${left <= 0}`, what: "STEP", step, left });
      }
    }
  }
  const next = open[0];
  if (state.spareSeconds !== undefined && next && open.some((s) => s.kind === "POUR")) {
    // It shrinks only while there is something to do that nobody does.
    const idle = Math.max(0, now - Math.max(state.atSeconds, next.startSeconds));
    const left = state.spareSeconds - idle;
    if (left < POURS_SECONDS) {
      found.push({ key: `pours ${next.batch} ${left <= 0}`, what: "POURS", step: null, left });
    }
  }
  return found.sort((a, b) => a.left - b.left);
}
