import { useQuery } from "@tanstack/react-query";
import { useCallback, useEffect, useState } from "react";
import {
  api,
  ask,
  type OpenedSession,
  type Session,
  type Trouble,
  type Usual,
} from "../api/client";
import { value } from "../api/queries";
import { begin, edit, type History, redo, undo } from "./history";
import { type Draft, dropDraft, isNew, keepDraft, readDraft } from "./drafts";
import { newSession } from "./newSession";

export type Editor =
  | { status: "loading" }
  | { status: "empty" }
  | { status: "trouble"; trouble: Trouble }
  | { status: "open"; history: History; kept: OpenedSession | null };

const troubled = (trouble: Trouble): Editor => ({ status: "trouble", trouble });

interface Opened {
  /** Null for one that is not kept yet. */
  kept: OpenedSession | null;
  draft: Draft | null;
  /** How this workshop works, where a new session begins; null otherwise. */
  usual: Usual | null;
}

/** What there is to edit; null where nothing was kept yet. */
async function opened(id: string): Promise<Opened | null> {
  if (isNew(id)) {
    const draft = await readDraft(id);
    return { kept: null, draft, usual: draft ? null : await usualNow() };
  }
  const wanted = id || (await value(api.GET("/api/sessions"))).find((s) => s.justMix !== true)?.id;
  if (!wanted) {
    return null;
  }
  const kept = await value(api.GET("/api/sessions/{id}", { params: { path: { id: wanted } } }));
  return { kept, draft: await readDraft(wanted), usual: null };
}

/** How this workshop works; where it has no usual resin, that of the session planned last. */
async function usualNow(): Promise<Usual> {
  const { usual } = await value(api.GET("/api/usual"));
  if (usual.resinId !== undefined) {
    return usual;
  }
  const sessions = await value(api.GET("/api/sessions"));
  const resinId = sessions.find((s) => s.board?.resinId !== undefined)?.board?.resinId;
  return resinId === undefined ? usual : { ...usual, resinId };
}

/** Edits begin at what is kept, or at what was typed after it. */
function begun({ kept, draft, usual }: Opened): History {
  if (!kept) {
    return begin(draft?.session ?? newSession(usual));
  }
  const history = begin(kept.session);
  return draft && draft.revision === kept.revision
    ? edit(history, draft.session, "draft")
    : history;
}

/**
 * Opens a session and keeps its edits: unsaved ones survive a reload of the page on this browser.
 *
 * @param id of a kept session, "new" or "new-…" for one that is not kept yet, or "" for the newest
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
  const newId = isNew(id) ? id : "new";
  const touched = editor.status === "open" && editor.history.past.length > 0;
  const dirty =
    session !== null && (kept === null || JSON.stringify(session) !== JSON.stringify(kept.session));

  useEffect(() => {
    if (session === null) {
      return;
    }
    const its = kept?.id ?? newId;
    // A new session that nobody has touched yet is none.
    if (dirty && (kept || touched)) {
      keepDraft(its, session, kept?.revision ?? 0);
    } else if (!dirty) {
      dropDraft(its);
    }
  }, [session, kept, dirty, newId, touched]);

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
        dropDraft(kept?.id ?? newId);
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
    [session, kept, newId],
  );

  /** Says that this session will be, or that it is only thought of; null where that is kept. */
  const confirm = useCallback(
    async (confirmed: boolean): Promise<Trouble | null> => {
      if (!kept) {
        throw new Error("bug: what is not kept cannot be confirmed");
      }
      const answer = await ask(
        api.PUT("/api/sessions/{id}/confirmed", {
          params: { path: { id: kept.id }, query: { confirmed } },
        }),
      );
      if (answer.status === "trouble") {
        return answer.trouble;
      }
      setEditor((e) =>
        e.status === "open" && e.kept ? { ...e, kept: { ...e.kept, confirmed } } : e,
      );
      return null;
    },
    [kept],
  );

  return {
    confirm,
    /** Whether this was typed earlier and not saved. */
    restored: opening.data?.draft != null,
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
