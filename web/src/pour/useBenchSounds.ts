import { useEffect, useRef, useState } from "react";
import type { RunState, RunStep } from "../api/client";
import { isWarm } from "./going";
import type { Soon } from "../words/soon";
import { SOON_SECONDS } from "./soon";
import { play } from "./sounds";

const FLASH_MS = 900;

/**
 * Soon, now and stop, once each.
 *
 * @param soons what is lost unless somebody goes on
 * @param now seconds from when the run was begun
 * @param wait that is running; missing for none
 * @returns whether it is shown just now, where nothing may sound
 */
export function useBenchSounds(
  { cups, mixes, giveUp }: Pick<RunState, "cups" | "mixes" | "giveUp">,
  soons: Soon[],
  now: number,
  wait: RunStep | undefined,
  silent: boolean,
): boolean {
  const [flash, setFlash] = useState(false);
  const worst = useRef(0);
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
      const warm = isWarm(cup, now);
      const gone =
        cup.state === "GELLED" || now >= cup.gelsSeconds
          ? "gelled"
          : cup.state === "THICK" || now >= cup.thicksSeconds
            ? "thick"
            : null;
      if (cup.hot || warm || (gone !== null && (!cup.empties || cup.lostPours > 0))) {
        once(`stop ${cup.cupId} ${cup.hot} ${warm} ${gone}`, "stop");
      } else if (!cup.empties && cup.thicksSeconds - now < SOON_SECONDS) {
        once(`soon ${cup.cupId}`, "soon");
      }
    }
    for (const mix of mixes) {
      if (now >= mix.thicksSeconds) {
        once(`stop batch ${mix.batch} ${now >= mix.gelsSeconds}`, "stop");
      } else if (mix.thicksSeconds - now < SOON_SECONDS) {
        once(`soon batch ${mix.batch}`, "soon");
      }
    }
    for (const { key, left } of soons) {
      once(key, left > 0 ? "soon" : "stop");
    }
    // One more is told; that they become fewer while they are given up is no news.
    if (giveUp.length > worst.current) {
      once(`stop ${giveUp.join(" ")}`, "stop");
    }
    worst.current = giveUp.length;
    if (wait && wait.endSeconds <= now) {
      once(`now ${wait.taskId}`, "now");
    }
  });
  return flash;
}
