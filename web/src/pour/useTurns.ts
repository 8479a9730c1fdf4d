import { useEffect } from "react";
import type { RunState, RunStep } from "../api/client";
import { nextTurn } from "./going";

/**
 * A wait that is over brings the next step, a cup that goes what it takes with it: asked for then.
 *
 * @param now seconds from when the run was begun
 */
export function useTurns(
  state: RunState,
  wait: RunStep | undefined,
  now: number,
  refresh: () => Promise<void>,
) {
  const over = wait !== undefined && wait.endSeconds <= now;
  const turns = nextTurn(state, state.atSeconds);
  const turned = turns !== null && turns <= now;
  useEffect(() => {
    if (over || turned) {
      void refresh();
    }
  }, [over, turned, turns, refresh]);
}
