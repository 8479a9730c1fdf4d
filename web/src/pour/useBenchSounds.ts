import { useEffect, useRef, useState } from "react";
import type { CupNow, RunStep } from "../api/client";
import { play } from "./sounds";

/** So long before a cup thickens "soon" sounds, s. */
const SOON_SECONDS = 180;

const FLASH_MS = 900;

/**
 * Soon, now and stop, once each.
 *
 * @param now seconds from when the run was begun
 * @param wait that is running; missing for none
 * @returns whether it is shown just now, where nothing may sound
 */
export function useBenchSounds(
  cups: CupNow[],
  now: number,
  wait: RunStep | undefined,
  silent: boolean,
): boolean {
  const [flash, setFlash] = useState(false);
  const sounded = useRef(new Set<string>());
  useEffect(() => {
    const once = (key: string, sound: "soon" | "now" | "stop") => {
      if (sounded.current.has(key)) {
        return;
      }
      sounded.current.add(key);
      if (silent) {
        setFlash(true);
        setTimeout(() => setFlash(false), FLASH_MS);
      } else {
        play(sound);
      }
    };
    for (const cup of cups) {
      if (cup.hot || (cup.state !== "POURABLE" && !cup.empties)) {
        once(`stop ${cup.cupId} ${cup.hot}`, "stop");
      } else if (!cup.empties && cup.thicksSeconds - now < SOON_SECONDS) {
        once(`soon ${cup.cupId}`, "soon");
      }
    }
    if (wait && wait.endSeconds <= now) {
      once(`now ${wait.taskId}`, "now");
    }
  });
  return flash;
}
