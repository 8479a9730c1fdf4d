import { useCallback, useEffect, useState } from "react";
import type { Answer, Trouble } from "../api/client";

export type Loaded<T> =
  { status: "loading" } | { status: "trouble"; trouble: Trouble } | { status: "here"; value: T };

/**
 * Fetches something when the screen opens, and again when it is asked to.
 *
 * @param load the same function as long as the same thing is meant
 */
export function useLoaded<T>(load: () => Promise<Answer<T>>): {
  loaded: Loaded<T>;
  again: () => void;
  fail: (trouble: Trouble) => void;
} {
  const [loaded, setLoaded] = useState<Loaded<T>>({ status: "loading" });
  const [version, setVersion] = useState(0);
  useEffect(() => {
    let here = true;
    void load().then((answer) => {
      if (here) {
        setLoaded(answer.status === "ok" ? { status: "here", value: answer.value } : answer);
      }
    });
    return () => {
      here = false;
    };
  }, [load, version]);
  const again = useCallback(() => setVersion((v) => v + 1), []);
  const fail = useCallback((trouble: Trouble) => setLoaded({ status: "trouble", trouble }), []);
  return { loaded, again, fail };
}
