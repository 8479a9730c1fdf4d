import { useEffect, useState } from "react";
import { api, ask, type PlanAnswer, type Session, type Trouble } from "../api/client";

export interface Planned {
  /** The newest plan that could be made; it stays on the screen while something is wrong. */
  answer: PlanAnswer | null;
  trouble: Trouble | null;
}

/**
 * Asks for a plan on every edit; answers that come too late are dropped.
 *
 * @param id of the kept session, so that it is not in its own way
 */
export function usePlan(session: Session | null, workshopVersion: number, id?: string): Planned {
  const [planned, setPlanned] = useState<Planned>({ answer: null, trouble: null });
  useEffect(() => {
    if (!session || (session.pieces?.length ?? 0) === 0 || session.resinId === "") {
      return;
    }
    const calledOff = new AbortController();
    const timer = setTimeout(() => {
      ask(
        api.POST("/api/plan", {
          body: session,
          signal: calledOff.signal,
          ...(id ? { params: { query: { id } } } : {}),
        }),
      )
        .then((answer) =>
          setPlanned((before) =>
            answer.status === "ok"
              ? { answer: answer.value, trouble: null }
              : { answer: before.answer, trouble: answer.trouble },
          ),
        )
        .catch(() => undefined);
    }, 60);
    return () => {
      clearTimeout(timer);
      calledOff.abort();
    };
  }, [session, workshopVersion, id]);
  return planned;
}
