import { useEffect, useState } from "react";
import { api, ask, type RunStep, type ScaleReading, type Seen } from "../api/client";

/** How often the scale is looked at while something is weighed, ms. */
const LOOK_MS = 150;

/**
 * What the scale says, while somebody weighs; null before it is known.
 *
 * @param rehearsed whether the evening is only rehearsed: the workshop's own scale is left alone
 */
export function useScale(weighs: boolean, rehearsed = false): ScaleReading | null {
  const [reading, setReading] = useState<ScaleReading | null>(null);
  useEffect(() => {
    if (!weighs || rehearsed) {
      return;
    }
    let here = true;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const look = async () => {
      const answer = await ask(api.GET("/api/devices"));
      if (!here) {
        return;
      }
      const next = answer.status === "ok" ? answer.value.scale : null;
      // A scale at rest says the same ever again: nothing is drawn anew for that.
      setReading((last) => (JSON.stringify(last) === JSON.stringify(next) ? last : next));
      timer = setTimeout(() => void look(), LOOK_MS);
    };
    timer = setTimeout(() => void look(), 0);
    return () => {
      here = false;
      clearTimeout(timer);
    };
  }, [weighs, rehearsed]);
  return weighs && !rehearsed ? reading : null;
}

/** What the scale of a rehearsal comes to when the hands have poured; null for another step. */
export function rehearsedScale(seen: Seen, step: RunStep | undefined): ScaleReading | null {
  return step === undefined || seen.taskId !== step.taskId || seen.scaleG === undefined
    ? null
    : { link: "TELLS", grams: seen.scaleG, stable: true, unread: 0 };
}

export async function tare() {
  await ask(api.POST("/api/devices/tare"));
}

/** Whether what is on the bench is made up and can be driven from a panel. */
export function useSimulated(): { bench: boolean; scale: boolean } {
  const [simulated, setSimulated] = useState({ bench: false, scale: false });
  useEffect(() => {
    let here = true;
    void ask(api.GET("/api/devices")).then((answer) => {
      if (here && answer.status === "ok") {
        const { simulated: bench, scaleSimulated: scale } = answer.value;
        setSimulated({ bench, scale });
      }
    });
    return () => {
      here = false;
    };
  }, []);
  return simulated;
}
