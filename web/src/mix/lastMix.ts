import type { Session, Trouble } from "../api/client";
import { FORMAT } from "../api/format";

/** The address of a mix that nobody asked to be kept. */
export const NOW = "now";

/** Of a resin that stands on no shelf. */
export const RESIN_ID = "just-mix";

const KEY = "calm-pour/mix";

interface Mixed {
  format: number;
  session: Session;
}

/** What was mixed last in this browser; null for nothing, or where an earlier Calm Pour kept it. */
export function lastMix(): Mixed | null {
  try {
    const mixed = JSON.parse(localStorage.getItem(KEY) ?? "null") as Mixed | null;
    return mixed?.format === FORMAT ? mixed : null;
  } catch {
    return null;
  }
}

export function keepMix(session: Session): void {
  localStorage.setItem(KEY, JSON.stringify({ format: FORMAT, session } satisfies Mixed));
}

export const NOTHING_MIXED: Trouble = {
  title: "Nothing was mixed here yet",
  detail: "Type a total under Just mix.",
  status: 404,
  errors: [],
};
