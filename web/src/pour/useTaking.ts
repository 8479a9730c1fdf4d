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
  /** Whether there is a scale to be set to nothing: none where the evening is only rehearsed. */
  tares: boolean;
  sleeve: ReturnType<typeof useSleeve>;
  tell: (...happened: Happened[]) => void;
  /** Seconds from when the run was begun. */
  now: number;
  onTaken: () => void;
}

/** A weight that is asked about before it is taken. */
export interface Doubt {
  grams: number;
  why: "NOT_WEIGHED" | "LITTLE" | "MUCH" | "RUNS_OVER" | "CANNOT";
}

/** Something done before its wait is over. */
export interface Early {
  grams: number | undefined;
  minutes: number;
}

/** So little nobody minds, s. */
const EARLY_SECONDS = 60;

/** How long before its wait is over; 0 where it is. */
function minutesEarly(what: RunStep, now: number): number {
  const from = what.status === "RUNNING" ? what.endSeconds : (what.notBeforeSeconds ?? 0);
  return from - now > EARLY_SECONDS ? (from - now) / 60 : 0;
}

/** The large key: what is on the screen is done, with what the scale says where one is read. */
export function useTaking({ what, scale, target, tares, sleeve, tell, now, onTaken }: Taking) {
  const [settling, setSettling] = useState<string | null>(null);
  const [doubt, setDoubt] = useState<Doubt | null>(null);
  const [early, setEarly] = useState<Early | null>(null);
  /** Who goes without the scale is not asked at every step, until something stands on it. */
  const [without, setWithout] = useState(false);
  /** Asks about what nobody would have meant; takes the rest at once. */
  const offer = (grams: number | undefined, typed = false) => {
    const why = grams === undefined || !what ? null : doubted(grams, what, typed);
    if (why === "NOT_WEIGHED" && without) {
      done();
    } else if (grams === undefined || why === null) {
      // Stirring says nothing of the scale.
      setWithout((before) => before && grams === undefined);
      done(grams);
    } else if (sleeve.lets()) {
      wakeSound();
      setSettling(null);
      setDoubt({ grams, why });
    }
  };
  const done = (grams?: number, meant = false) => {
    setDoubt(null);
    setEarly(null);
    wakeSound();
    if (!sleeve.lets()) {
      return;
    }
    if (!what || (what.status !== "TO_DO" && what.status !== "RUNNING")) {
      return;
    }
    const minutes = minutesEarly(what, now);
    if (minutes > 0 && !meant) {
      setSettling(null);
      setEarly({ grams, minutes });
      return;
    }
    // The next tap within a blink is the same tap.
    sleeve.shut();
    if (grams !== undefined && tares) {
      // The next weighing begins at nothing.
      void tare();
    }
    tell(
      ...(minutes > 0
        ? [{ kind: "CHECKED" as const, of: `EARLY/${what.taskId}`, value: Math.round(minutes) }]
        : []),
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
    const grams = weighed(scale, target);
    if (scale && !scale.stable && !settles && grams !== undefined) {
      setSettling(what?.taskId ?? null);
    } else {
      offer(grams);
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
  return {
    offer,
    take,
    settles,
    doubt,
    /** That is right, or was not weighed at all. */
    believe: (grams?: number) => {
      setWithout(grams === undefined);
      sleeve.open();
      done(grams);
    },
    again: () => setDoubt(null),
    early,
    /** It is done all the same. */
    allTheSame: () => {
      sleeve.open();
      done(early?.grams, true);
    },
    wait: () => setEarly(null),
  };
}

/** What the scale says; a cup that is poured from on the scale gets lighter. */
function weighed(scale: ScaleReading | null, target: number | undefined): number | undefined {
  const told = scale?.link === "TELLS" ? scale.grams : undefined;
  return told === undefined || target === undefined ? undefined : Math.abs(told);
}

/** Why a weight is asked about; null for one that can be meant. */
function doubted(grams: number, step: RunStep, typed: boolean): Doubt["why"] | null {
  const { targetG, believedFromG, believedToG, mostG, overflowsG } = step;
  if (targetG === undefined || believedFromG === undefined || believedToG === undefined) {
    return null;
  }
  if (!typed && grams < targetG / 2) {
    return "NOT_WEIGHED";
  }
  if (mostG !== undefined && grams > Math.max(mostG, believedToG)) {
    return "CANNOT";
  }
  if (overflowsG !== undefined && grams > Math.max(overflowsG, believedToG)) {
    return "RUNS_OVER";
  }
  return grams < believedFromG ? "LITTLE" : grams > believedToG ? "MUCH" : null;
}
