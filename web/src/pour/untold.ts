import type { RunEvent } from "../api/client";

/**
 * What was done but not told yet, because the server did not answer. Kept in the browser, so that a
 * closed tab loses none of it.
 */
const KEY = "calm-pour.untold.";

export function readUntold(run: string): RunEvent[] {
  try {
    const kept = JSON.parse(window.localStorage.getItem(KEY + run) ?? "[]") as unknown;
    return Array.isArray(kept) ? (kept as RunEvent[]) : [];
  } catch {
    return [];
  }
}

export function keepUntold(run: string, events: RunEvent[]) {
  try {
    if (events.length === 0) {
      window.localStorage.removeItem(KEY + run);
    } else {
      window.localStorage.setItem(KEY + run, JSON.stringify(events));
    }
  } catch {
    // A browser that keeps nothing still has them while the page is open.
  }
}
