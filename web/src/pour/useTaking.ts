import { useEffect, useRef, useState } from "react";
import type { RunStep, ScaleReading } from "../api/client";
import { wakeSound } from "./sounds";
import type { useSleeve } from "./useBenchTools";
import type { Happened } from "./useRun";
import { tare } from "./useScale";

/** What still moves on the scale is waited for, but not for ever, ms. */
const SETTLES_MS = 3_000;

interface Taking {
  /** The step on the screen, or the wait that is over early. */
  what: RunStep | undefined;
  scale: ScaleReading | null;
  target: number | undefined;
  sleeve: ReturnType<typeof useSleeve>;
  tell: (...happened: Happened[]) => void;
  onTaken: () => void;
}

/** The large key: what is on the screen is done, with what the scale says where one is read. */
export function useTaking({ what, scale, target, sleeve, tell, onTaken }: Taking) {
  const [settling, setSettling] = useState<string | null>(null);
  const done = (grams?: number) => {
    wakeSound();
    if (!sleeve.lets()) {
      return;
    }
    if (!what || (what.status !== "TO_DO" && what.status !== "RUNNING")) {
      return;
    }
    // The next tap within a blink is the same tap.
    sleeve.shut();
    if (grams !== undefined) {
      // The next weighing begins at nothing.
      void tare();
    }
    tell(
      { kind: "DONE", of: what.taskId, ...(grams === undefined ? {} : { value: grams }) },
      ...(what.kind === "LOAD_POT" ? [{ kind: "POT" as const, of: `${what.batch}/IN` }] : []),
    );
    setSettling(null);
    onTaken();
  };
  const settles = settling !== null && settling === what?.taskId;
  const take = () => {
    if (!sleeve.lets()) {
      return;
    }
    if (scale && !scale.stable && !settles && weighed(scale, target) !== undefined) {
      setSettling(what?.taskId ?? null);
    } else {
      done(weighed(scale, target));
    }
  };
  const settled = useRef(take);
  useEffect(() => {
    settled.current = take;
  });
  const still = scale === null || scale.stable;
  useEffect(() => {
    if (!settles) {
      return;
    }
    const timer = setTimeout(() => settled.current(), still ? 0 : SETTLES_MS);
    return () => clearTimeout(timer);
  }, [settles, still]);
  return { done, take, settles };
}

/**
 * What the scale says, where it plausibly says it of this; otherwise it went as planned. A cup that
 * is poured from on the scale gets lighter.
 */
function weighed(scale: ScaleReading | null, target: number | undefined): number | undefined {
  const told = scale?.link === "TELLS" ? scale.grams : undefined;
  if (told === undefined || target === undefined) {
    return undefined;
  }
  const grams = Math.abs(told);
  return grams > target * 0.5 && grams < target * 2 ? grams : undefined;
}
