import type { Plan, RunStep, Session } from "../api/client";
import type { Units } from "../units/units";
import { stepWords } from "./steps";

/** What is lost unless somebody goes on, or was lost a moment ago. */
export interface Soon {
  key: string;
  /** All pours that are still in time, or one step whose window shuts. */
  what: "POURS" | "STEP";
  step: RunStep | null;
  /** Seconds until it has to be begun; 0 and less: it is too late. */
  left: number;
}

/** It in words, and the figure of the run that its minutes come from. */
export interface SoonTold {
  words: string;
  of: string;
}

/** What is lost unless somebody goes on, the first of it; null for nothing. */
export function soonWords(
  soons: Soon[],
  plan: Plan,
  session: Session,
  units: Units,
): SoonTold | null {
  for (const { what, step, left } of soons) {
    const within = left < 60 ? "now" : `within ${Math.floor(left / 60)} min`;
    if (what === "POURS" && left > 0) {
      return { words: `Go on ${within}, or a pour comes too late.`, of: "run/spareMinutes" };
    }
    if (step) {
      const of = `step/${step.taskId}/until`;
      const { title } = stepWords(step, plan, session, units);
      const fresh = step.kind === "EMBED" || step.kind === "WET_WORK";
      if (fresh && left <= 0) {
        return { words: `Too late: ${title}.`, of };
      }
      if (left > 0) {
        return {
          words: `${title}: ${within}${fresh ? "" : ", while it still bonds"}.`,
          of,
        };
      }
    }
  }
  return null;
}
