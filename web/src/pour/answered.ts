import type { RunEvent } from "../api/client";

/** Warnings that were answered are told like ticks: answered once is answered, also after a reload. */
export const leftRatio = (batch: number) => `RATIO/${batch}`;
export const seenHot = (cupId: string) => `HOT/${cupId}`;

/** What is ticked and answered, also what could not be told yet: without a line no warning stays up. */
export function answered(checked: string[], untold: RunEvent[]): string[] {
  const all = new Set(checked);
  for (const { kind, of, value } of untold) {
    if (kind === "CHECKED" && of !== undefined) {
      if (value === 0) {
        all.delete(of);
      } else {
        all.add(of);
      }
    }
  }
  return [...all];
}
