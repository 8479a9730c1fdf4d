import type { RunEvent, RunState, RunStep } from "../api/client";
import { answered } from "./answered";

/** What undo takes back, all of it together. */
export type Undoable = RunState["undoable"][number];

/** The run with what could not be told yet: without a line the bench goes on as with one. */
export interface AsTold {
  steps: RunStep[];
  checked: string[];
  /** The last thing that was done by hand; null for nothing. */
  undoable: Undoable | null;
}

/** What is done by hand, and what undo is pressed for; a warning that was answered is neither. */
const BY_HAND = new Set<RunEvent["kind"]>([
  "CHECKED",
  "DONE",
  "ADDED",
  "GIVEN_UP",
  "THICK",
  "HOT",
  "POT",
  "TROUBLE",
  "FINISHED",
]);
const ANSWER = /^(HOT|RATIO|GONE)\//;

function byHand(event: RunEvent): boolean {
  return BY_HAND.has(event.kind) && !(event.kind === "CHECKED" && ANSWER.test(event.of ?? ""));
}

export function asTold(state: RunState, untold: RunEvent[]): AsTold {
  const back = new Set(untold.filter((e) => e.kind === "UNDONE").map((e) => e.of));
  const stand = untold.filter((e) => e.kind !== "UNDONE" && !back.has(e.id));
  const done = new Set(stand.filter((e) => e.kind === "DONE").map((e) => e.of));
  const isBack = (u: Undoable) => u.eventIds.some((id) => back.has(id));
  const again = new Set(
    state.undoable.filter((u) => u.kind === "DONE" && isBack(u)).map((u) => u.of),
  );
  const steps = state.steps.map((s): RunStep =>
    done.has(s.taskId)
      ? { ...s, status: "DONE" }
      : again.has(s.taskId) && s.status === "DONE"
        ? { ...s, status: "TO_DO" }
        : s,
  );
  const last = stand.filter(byHand).at(-1);
  const together = stand.filter((e) => e.at === last?.at && byHand(e));
  const named = together.find((e) => e.kind === "DONE") ?? last;
  return {
    steps,
    checked: answered(state.checked, stand),
    undoable: named
      ? {
          eventIds: together.map((e) => e.id),
          kind: named.kind,
          ...(named.of === undefined ? {} : { of: named.of }),
        }
      : (state.undoable.find((u) => !isBack(u)) ?? null),
  };
}
