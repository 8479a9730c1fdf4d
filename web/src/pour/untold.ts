import type { RunEvent } from "../api/client";
import { FORMAT, raised } from "../api/format";

/**
 * What was done but not told yet, because the server did not answer. Kept in the browser, so that a
 * closed tab loses none of it.
 */
const KEY = "calm-pour.untold.";

/** Undefined where it was kept before there were numbers, as a mere list. */
export interface Untold {
  format: number | undefined;
  events: RunEvent[];
}

export function readUntold(run: string): Untold {
  try {
    const kept = JSON.parse(window.localStorage.getItem(KEY + run) ?? "[]") as RunEvent[] | Untold;
    return Array.isArray(kept)
      ? { format: kept.length === 0 ? FORMAT : undefined, events: kept }
      : kept;
  } catch {
    return { format: FORMAT, events: [] };
  }
}

/** The same steps in today's format; null while the server does not answer. */
export async function raisedSteps({ format, events }: Untold): Promise<RunEvent[] | null> {
  const all = await Promise.all(events.map((event) => raised("EVENT", format, event)));
  return all.every((event) => event !== null) ? all : null;
}

export function keepUntold(run: string, events: RunEvent[], format: number | undefined) {
  try {
    if (events.length === 0) {
      window.localStorage.removeItem(KEY + run);
    } else {
      window.localStorage.setItem(
        KEY + run,
        JSON.stringify(format === undefined ? events : { format, events }),
      );
    }
  } catch {
    // A browser that keeps nothing still has them while the page is open.
  }
}
