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

/** What is lost unless somebody goes on, the first of it; null for nothing. */
export function soonWords(
  soons: Soon[],
  plan: Plan,
  session: Session,
  units: Units,
): string | null {
  for (const { what, step, left } of soons) {
    const within = left < 60 ? "now" : `within ${Math.floor(left / 60)} min`;
    if (what === "POURS" && left > 0) {
      return `Go on ${within}, or a pour comes too late.`;
    }
    if (step) {
      const { title } = stepWords(step, plan, session, units);
      if (step.kind === "EMBED" && left <= 0) {
        return `Too late: ${title}.`;
      }
      if (left > 0) {
        return `${title}: ${within}${step.kind === "EMBED" ? "" : ", while it still bonds"}.`;
      }
    }
  }
  return null;
}
