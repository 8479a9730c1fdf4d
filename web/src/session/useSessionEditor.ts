import { useQuery } from "@tanstack/react-query";
import { useCallback, useEffect, useState } from "react";
import { api, ask, type OpenedSession, type Session, type Trouble } from "../api/client";
import { FORMAT, raised } from "../api/format";
import { value } from "../api/queries";
import { begin, edit, type History, redo, undo } from "./history";
import { newSession } from "./newSession";

export type Editor =
  | { status: "loading" }
  | { status: "empty" }
  | { status: "trouble"; trouble: Trouble }
  | { status: "open"; history: History; kept: OpenedSession | null };

const troubled = (trouble: Trouble): Editor => ({ status: "trouble", trouble });

const draftKey = (id: string) => `calm-pour/draft/${id}`;

interface Draft {
  /** Undefined where it was kept before there were numbers. */
  format?: number;
  session: Session;
  revision: number;
}

async function readDraft(id: string): Promise<Draft | null> {
  try {
    const text = localStorage.getItem(draftKey(id));
    const draft = text ? (JSON.parse(text) as Draft) : null;
    const session = draft && (await raised("SESSION", draft.format, draft.session));
    if (text && !session) {
      // A newer Calm Pour kept it: out of the way of today's edits, and not lost.
      localStorage.setItem(`${draftKey(id)}/unreadable`, text);
    }
    return draft && session ? { ...draft, session } : null;
  } catch {
    return null;
  }
}

interface Opened {
  /** Null for one that is not kept yet. */
  kept: OpenedSession | null;
  draft: Draft | null;
}

/** What there is to edit; null where nothing was kept yet. */
async function opened(id: string): Promise<Opened | null> {
  if (id === "new") {
    return { kept: null, draft: await readDraft("new") };
  }
  const wanted = id || (await value(api.GET("/api/sessions"))).find((s) => s.justMix !== true)?.id;
  if (!wanted) {
    return null;
  }
  const kept = await value(api.GET("/api/sessions/{id}", { params: { path: { id: wanted } } }));
  return { kept, draft: await readDraft(wanted) };
}

/** Edits begin at what is kept, or at what was typed after it. */
function begun({ kept, draft }: Opened): History {
  if (!kept) {
    return begin(draft?.session ?? newSession());
  }
  const history = begin(kept.session);
  return draft && draft.revision === kept.revision
    ? edit(history, draft.session, "draft")
    : history;
}

/**
 * Opens a session and keeps its edits: unsaved ones survive a reload of the page on this browser.
 *
 * @param id of a kept session, "new", or "" for the newest one
 */
export function useSessionEditor(id: string) {
  // Opened once: what is edited is not replaced under the maker's hands.
  const opening = useQuery({
    queryKey: ["opened", id],
    queryFn: () => opened(id),
    staleTime: Infinity,
    gcTime: 0,
  });
  const [editor, setEditor] = useState<Editor>({ status: "loading" });
  const [seen, setSeen] = useState<Opened | null | undefined>(undefined);
  if (opening.data !== undefined && opening.data !== seen) {
    setSeen(opening.data);
    setEditor(
      opening.data
        ? { status: "open", kept: opening.data.kept, history: begun(opening.data) }
        : { status: "empty" },
    );
  }

  const session = editor.status === "open" ? editor.history.now : null;
  const kept = editor.status === "open" ? editor.kept : null;
  const dirty =
    session !== null && (kept === null || JSON.stringify(session) !== JSON.stringify(kept.session));

  useEffect(() => {
    if (session === null) {
      return;
    }
    const key = draftKey(kept?.id ?? "new");
    if (dirty) {
      localStorage.setItem(
        key,
        JSON.stringify({ format: FORMAT, session, revision: kept?.revision ?? 0 }),
      );
    } else {
      localStorage.removeItem(key);
    }
  }, [session, kept, dirty]);

  const change = useCallback((step: (history: History) => History) => {
    setEditor((e) => (e.status === "open" ? { ...e, history: step(e.history) } : e));
  }, []);

  const save = useCallback(
    async (asNew: boolean, planned?: Session | null): Promise<Trouble | OpenedSession> => {
      if (!session) {
        throw new Error("bug: nothing is open");
      }
      // What is poured together in the plan on the screen is kept with it.
      const body = { ...session, ...(planned ? { arrangement: planned.arrangement } : {}) };
      const answer =
        kept && !asNew
          ? await ask(
              api.PUT("/api/sessions/{id}", {
                params: { path: { id: kept.id }, query: { revision: kept.revision } },
                body,
              }),
            )
          : await ask(api.POST("/api/sessions", { body }));
      if (answer.status === "trouble") {
        return answer.trouble;
      }
      if (!kept || asNew) {
        localStorage.removeItem(draftKey(kept?.id ?? "new"));
      }
      setEditor((e) => {
        if (e.status !== "open") {
          return e;
        }
        // The server fills in what was left to its defaults; edits made meanwhile stay.
        const history =
          e.history.now === session ? { ...e.history, now: answer.value.session } : e.history;
        return { ...e, history, kept: answer.value };
      });
      return answer.value;
    },
    [session, kept],
  );

  return {
    editor: opening.error && editor.status === "loading" ? troubled(opening.error) : editor,
    dirty,
    edit: useCallback(
      (next: Session, field: string | null) => change((h) => edit(h, next, field)),
      [change],
    ),
    undo: useCallback(() => change(undo), [change]),
    redo: useCallback(() => change(redo), [change]),
    save,
    retry: () => void opening.refetch(),
  };
}
