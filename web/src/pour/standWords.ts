import type { Plan, RunState } from "../api/client";
import { ordinal } from "../plan/wording";

/** One line that tells how the run stands beside its plan. */
export function standWords(state: RunState, plan: Plan): { wrong: boolean; text: string } {
  const open = state.cups.some((c) => !c.empties);
  const given = state.giveUp.length;
  if (given > 0) {
    return {
      wrong: true,
      text: `${given === 1 ? pourName(state.giveUp[0] ?? "", plan) : `${given} pours`} cannot be in time any more.`,
    };
  }
  const late = Math.round(state.lateSeconds / 60);
  const spare = state.spareSeconds === undefined ? null : Math.floor(state.spareSeconds / 60);
  const parts: string[] = [];
  if (open && late !== 0) {
    parts.push(`${Math.abs(late)} min ${late > 0 ? "later" : "sooner"} than planned`);
  }
  if (state.reordered) {
    parts.push("the cup that thickens first now comes first");
  }
  if (spare !== null) {
    parts.push(`${spare} min to spare at the tightest pour`);
  }
  const text = parts.join("; ");
  return {
    wrong: spare !== null && spare < 2,
    text: text === "" ? "" : `${text.charAt(0).toUpperCase()}${text.slice(1)}.`,
  };
}

function pourName(task: string, plan: Plan): string {
  const id = task.replace(/^pour\//, "");
  for (const cup of plan.batches.flatMap((b) => b.cups)) {
    const pour = cup.pours.find((p) => p.id === id);
    const piece = pour && plan.pieces[pour.line];
    if (pour && piece) {
      return `${cup.colourName} into ${piece.mouldName}, ${ordinal(pour.cavity)},`;
    }
  }
  return "One pour";
}
