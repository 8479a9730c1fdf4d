import type { Session } from "../api/client";
import { FORMAT, raised } from "../api/format";

/** What was typed and not saved, in this browser. */
export interface Draft {
  /** Undefined where it was kept before there were numbers. */
  format?: number;
  session: Session;
  /** Of the kept session that was changed; 0 for one that is not kept yet. */
  revision: number;
  /** When it was typed last; undefined where it was kept before that was noted. */
  at?: string;
}

const BEFORE = "calm-pour/draft/";
const key = (id: string) => `${BEFORE}${id}`;

/** Sessions that are not kept yet have names of their own here. */
export const isNew = (id: string) => id === "new" || id.startsWith("new-");

/** A place for another session, while one that is not kept yet stays as it is. */
export const anotherNew = () => `new-${crypto.randomUUID().slice(0, 8)}`;

export async function readDraft(id: string): Promise<Draft | null> {
  try {
    const text = localStorage.getItem(key(id));
    const draft = text ? (JSON.parse(text) as Draft) : null;
    const session = draft && (await raised("SESSION", draft.format, draft.session));
    if (text && !session) {
      // A newer Calm Pour kept it: out of the way of today's edits, and not lost.
      localStorage.setItem(`${key(id)}/unreadable`, text);
    }
    return draft && session ? { ...draft, session } : null;
  } catch {
    return null;
  }
}

export function keepDraft(id: string, session: Session, revision: number): void {
  const draft: Draft = { format: FORMAT, session, revision, at: new Date().toISOString() };
  localStorage.setItem(key(id), JSON.stringify(draft));
}

export function dropDraft(id: string): void {
  localStorage.removeItem(key(id));
}

export interface DraftLine {
  id: string;
  name: string;
  /** When it was typed last; null where nobody noted it. */
  at: Date | null;
}

/** All that was typed and not saved, the latest first. */
export function drafts(): DraftLine[] {
  const lines: DraftLine[] = [];
  for (let i = 0; i < localStorage.length; i++) {
    const its = localStorage.key(i) ?? "";
    const id = its.startsWith(BEFORE) ? its.slice(BEFORE.length) : "";
    if (id === "" || id.includes("/")) {
      continue;
    }
    try {
      const draft = JSON.parse(localStorage.getItem(its) ?? "") as Draft;
      lines.push({
        id,
        name: draft.session.name || "without a name",
        at: draft.at ? new Date(draft.at) : null,
      });
    } catch {
      // Damaged: nothing of it can be shown, and nothing of it is thrown away.
    }
  }
  return lines.sort((a, b) => (b.at?.getTime() ?? 0) - (a.at?.getTime() ?? 0));
}
