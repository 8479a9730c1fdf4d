import type { RunEvent, RunState, RunStep } from "../api/client";
import { answered } from "./answered";

/** What undo takes back, all of it together. */
export type Undoable = RunState["undoable"][number];

/** The run with what could not be told yet: without a line the bench goes on as with one. */
export interface AsTold {
  /** With who is away and which cups went, also where that could not be told. */
  state: RunState;
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
  "FELT",
  "STAYED",
  "DOSED",
  "TROUBLE",
  "FINISHED",
]);
const ANSWER = /^(HOT|RATIO|GONE)\//;

function byHand(event: RunEvent): boolean {
  return BY_HAND.has(event.kind) && !(event.kind === "CHECKED" && ANSWER.test(event.of ?? ""));
}

/** Who left the bench, or came back, without a line; seconds from when the run was begun. */
function awaySince(state: RunState, stand: RunEvent[], begun: number): number | undefined {
  let since = state.awaySinceSeconds;
  for (const { kind, at } of stand) {
    if (kind === "AWAY") {
      since ??= (Date.parse(at) - begun) / 1000;
    } else if (kind === "BACK") {
      since = undefined;
    }
  }
  return since;
}

/**
 * @param begun when the run was begun, ms since 1970
 */
export function asTold(reached: RunState, untold: RunEvent[], begun: number): AsTold {
  const back = new Set(untold.filter((e) => e.kind === "UNDONE").map((e) => e.of));
  const stand = untold.filter((e) => e.kind !== "UNDONE" && !back.has(e.id));
  const of = (kind: RunEvent["kind"]) =>
    new Set(stand.filter((e) => e.kind === kind).map((e) => e.of));
  const [hot, thick, givenUp] = [of("HOT"), of("THICK"), of("GIVEN_UP")];
  const away = awaySince(reached, stand, begun);
  const state: RunState = {
    ...reached,
    cups: reached.cups.map((c) => ({
      ...c,
      hot: c.hot || hot.has(c.cupId),
      state: c.state === "POURABLE" && thick.has(c.cupId) ? ("THICK" as const) : c.state,
    })),
  };
  if (away === undefined) {
    delete state.awaySinceSeconds;
  } else {
    state.awaySinceSeconds = away;
  }
  const gone = (s: RunStep) =>
    s.kind === "POUR" && s.status === "TO_DO" && (hot.has(s.cupId) || thick.has(s.cupId));
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
        : givenUp.has(s.taskId)
          ? { ...s, status: "GIVEN_UP" }
          : gone(s)
            ? { ...s, status: "LOST" }
            : s,
  );
  const last = stand.filter(byHand).at(-1);
  const together = stand.filter((e) => e.at === last?.at && byHand(e));
  const named = together.find((e) => e.kind === "DONE") ?? last;
  return {
    state,
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
