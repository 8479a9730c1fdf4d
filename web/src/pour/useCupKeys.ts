import { useState } from "react";
import type { RunState, RunStep } from "../api/client";
import type { Happened } from "./useRun";

/** What is told of a cup in a hurry: that it is too thick, or gets hot. */
export function useCupKeys(
  state: RunState,
  shown: RunStep | undefined,
  tell: (...happened: Happened[]) => void,
  /** Before what it changes is on the screen. */
  onTold: () => void,
  onThickened: () => void,
) {
  const [asksHot, setAsksHot] = useState(false);
  const heats = (cupId: string) => {
    tell({ kind: "HOT", of: cupId });
    setAsksHot(false);
  };
  const cool = state.cups.filter((c) => !c.hot);
  return {
    asksHot,
    setAsksHot,
    heats,
    onThick:
      shown?.cupId && shown.status === "TO_DO" && shown.kind === "POUR"
        ? () => {
            tell(
              { kind: "THICK", of: shown.cupId },
              // Who says so needs no alarm about it.
              { kind: "CHECKED", of: `GONE/${shown.cupId ?? ""}/THICK` },
            );
            onTold();
            onThickened();
          }
        : null,
    onHot:
      cool.length > 0
        ? () => {
            onTold();
            const [only, ...more] = cool;
            if (only && more.length === 0) {
              heats(only.cupId);
            } else {
              setAsksHot(true);
            }
          }
        : null,
  };
}
