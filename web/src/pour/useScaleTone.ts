import { useEffect, useRef } from "react";
import type { ScaleReading } from "../api/client";
import { tick } from "./sounds";

/** From there on the hand slows down, share of the target; the bar turns at the same place. */
export const SLOWLY = 0.85;

/** Times between two ticks: where it begins, and at the target, ms. */
const SLOW_MS = 420;
const FAST_MS = 90;

/**
 * Ticks while the target comes near, ever faster, and stops when it is reached: the eyes stay on the
 * bottle.
 */
export function useScaleTone(
  reading: ScaleReading | null,
  target: number | undefined,
  silent: boolean,
) {
  const last = useRef(0);
  useEffect(() => {
    if (silent || !target || reading?.link !== "TELLS" || reading.grams === undefined) {
      return;
    }
    const share = Math.abs(reading.grams) / target;
    // A cup that stands still is not being filled.
    if (share < SLOWLY || share > 1 || reading.stable) {
      return;
    }
    const every = SLOW_MS + ((share - SLOWLY) / (1 - SLOWLY)) * (FAST_MS - SLOW_MS);
    const now = performance.now();
    if (now - last.current >= every) {
      last.current = now;
      tick();
    }
  });
}
