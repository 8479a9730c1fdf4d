import type { Session } from "../api/client";

/** A session being edited, with the way back and forth. */
export interface History {
  now: Session;
  past: Session[];
  future: Session[];
  /** Which field the last edit was in: typing on in it makes no new step. */
  field: string | null;
}

const LONGEST = 200;

export function begin(session: Session): History {
  return { now: session, past: [], future: [], field: null };
}

/**
 * @param field where the edit was made; null for an edit that is always a step of its own
 */
export function edit(history: History, next: Session, field: string | null): History {
  if (field !== null && history.field === field) {
    return { ...history, now: next, future: [] };
  }
  return { now: next, past: [...history.past, history.now].slice(-LONGEST), future: [], field };
}

export function undo(history: History): History {
  const before = history.past.at(-1);
  return before
    ? {
        now: before,
        past: history.past.slice(0, -1),
        future: [history.now, ...history.future],
        field: null,
      }
    : history;
}

export function redo(history: History): History {
  const [next, ...rest] = history.future;
  return next
    ? { now: next, past: [...history.past, history.now], future: rest, field: null }
    : history;
}
