import type { Change, Plan, RunState } from "../api/client";
import { showWith, type Units } from "../units/units";
import { pourPlace } from "./record";
import { span } from "./time";

/** One line in parts, each with the figure of the run that it tells; null where it tells none. */
export interface Standing {
  wrong: boolean;
  parts: { words: string; of: string | null }[];
}

/** One line that tells how the run stands beside its plan. */
export function standWords(state: RunState, plan: Plan): Standing {
  const open = state.cups.some((c) => !c.empties);
  const given = state.giveUp.length;
  if (given > 0) {
    return {
      wrong: true,
      parts: [
        {
          words: `${given === 1 ? pourName(state.giveUp[0], plan) : `${given} pours`} cannot be in time any more`,
          of: null,
        },
      ],
    };
  }
  const late = Math.round(state.lateSeconds / 60);
  const spare = state.spareSeconds === undefined ? null : Math.floor(state.spareSeconds / 60);
  const parts: Standing["parts"] = [];
  if (open && late !== 0) {
    parts.push({
      words: `${span(Math.abs(late))} ${late > 0 ? "later" : "sooner"} than planned`,
      of: "run/lateMinutes",
    });
  }
  if (state.reordered) {
    parts.push({ words: "the pours come in another order, so that all are in time", of: null });
  }
  if (spare !== null) {
    parts.push({ words: `${spare} min to spare at the tightest pour`, of: "run/spareMinutes" });
  }
  return { wrong: spare !== null && spare < 2, parts };
}

function pourName(task: string | undefined, plan: Plan): string {
  return pourPlace((task ?? "").replace(/^pour\//, ""), plan);
}

function pours(tasks: string[], plan: Plan): string {
  return tasks.length === 1 ? pourName(tasks[0], plan) : `${tasks.length} pours`;
}

/**
 * One line that tells what the last thing made of the rest; null where it stayed as it was.
 *
 * @param given pours that cannot be in time, which are told beside it
 */
export function changeWords(
  change: Change | undefined,
  plan: Plan,
  units: Units,
  given: number,
): string | null {
  if (!change) {
    return null;
  }
  const parts: string[] = [];
  const sooner = Math.round(change.soonerSeconds / 60);
  if (change.roomC !== undefined && sooner !== 0) {
    parts.push(
      `the room is ${showWith(units.TEMPERATURE, change.roomC)}: the next cup thickens ${span(Math.abs(sooner))} ${sooner > 0 ? "sooner" : "later"}`,
    );
  }
  const later = Math.round(change.laterSeconds / 60);
  if (later !== 0) {
    parts.push(`the rest moves ${span(Math.abs(later))} ${later > 0 ? "later" : "sooner"}`);
  }
  if (change.moved.length > 0) {
    parts.push(
      `${pours(change.moved, plan)} ${change.moved.length === 1 ? "changes" : "change"} places`,
    );
  }
  if (change.lost.length > 0) {
    parts.push(`${pours(change.lost, plan)} ${change.lost.length === 1 ? "is" : "are"} lost`);
  }
  if (change.tooLate.length > 0 && change.tooLate.length !== given) {
    parts.push(`${pours(change.tooLate, plan)} cannot be in time any more`);
  }
  if (change.saved.length > 0) {
    parts.push(`${pours(change.saved, plan)} can be in time again`);
  }
  const text = parts.join("; ");
  return text === "" ? null : `${text.charAt(0).toUpperCase()}${text.slice(1)}.`;
}
