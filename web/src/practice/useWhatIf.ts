import { useEffect, useState } from "react";
import { api, ask, type Comparison, type SetUp, type Trouble } from "../api/client";

/** Two set-ups as they are on the screen. */
export interface Pair {
  first: SetUp;
  second: SetUp;
}

/** Asks on every change; the newest answer stays on the screen while something is wrong. */
export function useWhatIf(pair: Pair | null): {
  answer: Comparison | null;
  trouble: Trouble | null;
  retry: () => void;
} {
  const [state, setState] = useState<{ answer: Comparison | null; trouble: Trouble | null }>({
    answer: null,
    trouble: null,
  });
  const [tries, setTries] = useState(0);
  useEffect(() => {
    if (!pair) {
      return;
    }
    const calledOff = new AbortController();
    // A slider that is drawn along asks some thirty times a second, no more.
    const timer = setTimeout(() => {
      ask(api.POST("/api/practice/what-if", { body: pair, signal: calledOff.signal }))
        .then((answer) =>
          setState((before) =>
            answer.status === "ok"
              ? { answer: answer.value, trouble: null }
              : { answer: before.answer, trouble: answer.trouble },
          ),
        )
        .catch(() => undefined);
    }, 30);
    return () => {
      clearTimeout(timer);
      calledOff.abort();
    };
  }, [pair, tries]);
  return { ...state, retry: () => setTries((t) => t + 1) };
}
