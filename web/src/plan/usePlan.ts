import { useCallback, useEffect, useRef, useState } from "react";
import { about, api, ask, type PlanAnswer, type Session, type Trouble } from "../api/client";
import { asBefore, groupsOf, type Groups } from "./together";

export interface Planned {
  /** The newest plan that could be made; it stays on the screen while something is wrong. */
  answer: PlanAnswer | null;
  /** The session as it was asked for: with what was poured together the last time. */
  asked: Session | null;
  /** The plan before this one, while the session is being edited. */
  before: PlanAnswer | null;
  trouble: Trouble | null;
}

interface Waiting {
  ticket: string;
  /** What was tried out so far. */
  tried: number;
}

/** Before that nobody notices a wait, ms. */
const PATIENCE = 500;

/** How often it is asked how far a plan is, ms. */
const AGAIN = 300;

let tickets = 0;

/**
 * Asks for a plan on every edit; answers that come too late are dropped.
 *
 * @param id of the kept session, so that it is not in its own way
 */
export function usePlan(session: Session | null, workshopVersion: number, id?: string) {
  const [planned, setPlanned] = useState<Planned>({
    answer: null,
    asked: null,
    before: null,
    trouble: null,
  });
  const [waiting, setWaiting] = useState<Waiting | null>(null);
  const [fresh, setFresh] = useState(0);
  const together = useRef<Groups | null>(null);

  useEffect(() => about(id), [id]);

  useEffect(() => {
    if (!session || (session.pieces?.length ?? 0) === 0 || session.resinId === "") {
      return;
    }
    const asked = asBefore(session, together.current);
    const ticket = `${Date.now()}-${tickets++}`;
    const params = { path: { ticket } };
    let open = true;
    let look: ReturnType<typeof setTimeout> | undefined;
    const lookAgain = () => {
      look = setTimeout(() => {
        void ask(api.GET("/api/plan/tickets/{ticket}", { params })).then((progress) => {
          if (open && progress.status === "ok") {
            setWaiting({ ticket, tried: progress.value.tried });
            lookAgain();
          }
        });
      }, AGAIN);
    };
    const done = () => {
      open = false;
      clearTimeout(look);
      setWaiting(null);
    };
    const calledOff = new AbortController();
    const timer = setTimeout(() => {
      look = setTimeout(lookAgain, PATIENCE - AGAIN);
      ask(
        api.POST("/api/plan", {
          body: asked,
          signal: calledOff.signal,
          params: { query: { ticket, ...(id ? { id } : {}) } },
        }),
      )
        .then((answer) => {
          done();
          if (answer.status === "ok") {
            together.current = groupsOf(asked, answer.value.plan);
          }
          setPlanned((was) =>
            answer.status === "ok"
              ? { answer: answer.value, asked, before: was.answer, trouble: null }
              : { ...was, trouble: answer.trouble },
          );
        })
        .catch(() => undefined);
    }, 60);
    return () => {
      clearTimeout(timer);
      if (open) {
        // Nobody waits for that one any more.
        done();
        calledOff.abort();
        void ask(api.DELETE("/api/plan/tickets/{ticket}", { params })).catch(() => undefined);
      }
    };
  }, [session, workshopVersion, id, fresh]);

  return {
    ...planned,
    waiting,
    /** The best so far will do. */
    enough: useCallback(() => {
      if (waiting) {
        const params = { path: { ticket: waiting.ticket } };
        void ask(api.DELETE("/api/plan/tickets/{ticket}", { params }));
      }
    }, [waiting]),
    /** As if nothing had been poured together before. */
    anew: useCallback(() => {
      together.current = { lines: [], batches: [] };
      setFresh((n) => n + 1);
    }, []),
  };
}
