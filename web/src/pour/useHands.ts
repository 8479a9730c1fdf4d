import { useState } from "react";
import type { RunStep } from "../api/client";

const KEPT = "calm-pour.hands";

function kept(): number | null {
  const said = window.localStorage.getItem(KEPT);
  return said === "0" ? 0 : said === "1" ? 1 : null;
}

/** Whose steps this screen shows, where two pairs of hands pour; each browser remembers its own. */
export function useHands(steps: RunStep[]) {
  const [chosen, setChosen] = useState(kept);
  const others = steps.some((s) => s.hands && s.pair > 0);
  const turn = () => {
    const next = chosen === null ? 0 : chosen === 0 ? 1 : null;
    if (next === null) {
      window.localStorage.removeItem(KEPT);
    } else {
      window.localStorage.setItem(KEPT, String(next));
    }
    setChosen(next);
  };
  const whose = others ? chosen : null;
  const words = whose === null ? "Both pairs" : whose === 0 ? "First pair" : "Second pair";
  return { whose, handsWords: others ? `${words} of hands` : null, turnHands: turn };
}
