import { useEffect, useState } from "react";
import { api, ask, type RunState, type RunStep } from "../api/client";
import type { Happened } from "./useRun";

/** A pour that will not be made. */
const fallsAway = (s: RunStep) =>
  s.kind === "POUR" && (s.status === "LOST" || s.status === "TOO_LATE" || s.status === "GIVEN_UP");

/** How a run would stand if something were told; null where there is no line. */
export async function supposed(runId: string, happened: Happened[]): Promise<RunState | null> {
  const answer = await ask(
    api.POST("/api/runs/{id}/supposed", {
      params: { path: { id: runId } },
      body: {
        events: happened.map((e) => ({
          codes: [],
          ...e,
          id: crypto.randomUUID(),
          at: new Date().toISOString(),
        })),
      },
    }),
  );
  return answer.status === "ok" ? answer.value : null;
}

/** The pours that fall away then and do not now. */
export function fallen(then: RunState, now: RunStep[]): RunStep[] {
  const before = new Set(now.filter(fallsAway).map((s) => s.taskId));
  return then.steps.filter((s) => fallsAway(s) && !before.has(s.taskId));
}

/** The pours that fall away if it is told; null until that is known, and without a line. */
export function useFallsAway(
  runId: string,
  happened: Happened[] | null,
  now: RunStep[],
): RunStep[] | null {
  const [then, setThen] = useState<{ of: string; state: RunState } | null>(null);
  const of = JSON.stringify(happened);
  useEffect(() => {
    let shown = true;
    const asked = JSON.parse(of) as Happened[] | null;
    if (asked) {
      void supposed(runId, asked).then((state) => shown && state && setThen({ of, state }));
    }
    return () => {
      shown = false;
    };
  }, [runId, of]);
  return then?.of === of ? fallen(then.state, now) : null;
}
