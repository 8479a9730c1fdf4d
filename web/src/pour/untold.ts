import type { RunEvent } from "../api/client";
import { FORMAT, raised } from "../api/format";

/**
 * What was done but not told yet, because the server did not answer. Kept in the browser, so that a
 * closed tab loses none of it.
 */
const KEY = "calm-pour.untold.";

/** Steps as an earlier Calm Pour kept them; undefined before there were numbers. */
export interface Older {
  format: number | undefined;
  events: RunEvent[];
}

export interface Untold {
  /** In today's format. */
  events: RunEvent[];
  /** Before them, the oldest first; empty once all are in today's format. */
  older: Older[];
}

interface Kept {
  format?: number;
  events: RunEvent[];
  older?: Older[];
}

const NOTHING: Untold = { events: [], older: [] };

export function readUntold(run: string): Untold {
  try {
    const text = window.localStorage.getItem(KEY + run);
    if (text === null) {
      return NOTHING;
    }
    const read = JSON.parse(text) as RunEvent[] | Kept;
    const kept: Kept = Array.isArray(read) ? { events: read } : read;
    return kept.format === FORMAT
      ? { events: kept.events, older: kept.older ?? [] }
      : {
          events: [],
          // What had been waiting before these has its own number still.
          older: [...(kept.older ?? []), { format: kept.format, events: kept.events }],
        };
  } catch {
    return NOTHING;
  }
}

/** The same steps in today's format; null while the server does not answer. */
export async function raisedSteps(older: Older[]): Promise<RunEvent[] | null> {
  const all = await Promise.all(
    older.flatMap(({ format, events }) => events.map((event) => raised("EVENT", format, event))),
  );
  return all.every((event) => event !== null) ? all : null;
}

export function keepUntold(run: string, { events, older }: Untold) {
  try {
    if (events.length === 0 && older.length === 0) {
      window.localStorage.removeItem(KEY + run);
    } else {
      const kept: Kept = { format: FORMAT, events, ...(older.length > 0 ? { older } : {}) };
      window.localStorage.setItem(KEY + run, JSON.stringify(kept));
    }
  } catch {
    // A browser that keeps nothing still has them while the page is open.
  }
}
