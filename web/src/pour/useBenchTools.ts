import { useEffect, useRef, useState } from "react";

/** Seconds go by even if nobody touches anything. */
export function useTicks(ms: number) {
  const [, setTick] = useState(0);
  useEffect(() => {
    const timer = setInterval(() => setTick((t) => t + 1), ms);
    return () => clearInterval(timer);
  }, [ms]);
}

/** Keeps the device awake while the bench is on its screen. */
export function useAwake() {
  useEffect(() => {
    let lock: WakeLockSentinel | null = null;
    let gone = false;
    const take = () => {
      const wake = navigator.wakeLock as WakeLock | undefined;
      if (!wake || document.visibilityState !== "visible") {
        return;
      }
      wake.request("screen").then(
        (held) => {
          lock = held;
          if (gone) {
            void held.release();
          }
        },
        // A device that saves its battery says no; the run goes on all the same.
        () => undefined,
      );
    };
    take();
    document.addEventListener("visibilitychange", take);
    return () => {
      gone = true;
      document.removeEventListener("visibilitychange", take);
      void lock?.release();
    };
  }, []);
}

/** A choice that this browser remembers. */
export function useChoice(key: string, otherwise: boolean): [boolean, (on: boolean) => void] {
  const [on, setOn] = useState(() => {
    const kept = window.localStorage.getItem(key);
    return kept === null ? otherwise : kept === "yes";
  });
  return [
    on,
    (next) => {
      window.localStorage.setItem(key, next ? "yes" : "no");
      setOn(next);
    },
  ];
}

/** A sleeve taps too: so long after a change the large key does nothing, ms. */
const SLEEVE_MS = 400;

/** Lets a tap through only when what is on the screen has been there for a moment. */
export function useSleeve(turn: string) {
  const since = useRef({ turn, at: 0 });
  useEffect(() => {
    if (since.current.turn !== turn) {
      since.current = { turn, at: performance.now() };
    }
  }, [turn]);
  return {
    lets: () => performance.now() - since.current.at >= SLEEVE_MS,
    shut: () => {
      since.current.at = performance.now();
    },
    open: () => {
      since.current.at = 0;
    },
  };
}
