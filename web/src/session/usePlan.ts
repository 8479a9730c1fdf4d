import { useQuery } from "@tanstack/react-query";
import { useCallback, useRef, useState } from "react";
import { numberOf, rest, useAnswer } from "../api/asking";
import { api, type PlanAnswer, type Session, type Workshop } from "../api/client";
import { value } from "../api/queries";
import { useTicket } from "../api/ticket";
import { asBefore, type Groups, groupsOf } from "./together";

interface Planned {
  plan: PlanAnswer;
  /** The session as it was asked for: with what was poured together the last time. */
  asked: Session;
}

/** Before that nobody notices a wait, ms. */
const PATIENCE = 500;

/** How often it is asked how far a plan is, ms. */
const AGAIN = 300;

/** Somebody may be typing on, ms. */
const TYPING = 60;

/**
 * Asks for a plan on every edit; answers that come too late are dropped.
 *
 * @param workshop a plan is asked for again when anything in it changed
 * @param id of the kept session, so that it is not in its own way
 */
export function usePlan(session: Session | null, workshop: Workshop | undefined, id?: string) {
  const [fresh, setFresh] = useState(0);
  const { ticket, run, enough } = useTicket();
  const together = useRef<Groups | null>(null);
  const asks = session && (session.pieces?.length ?? 0) > 0 && session.resinId !== "";
  const { answer, before, trouble, retry } = useAnswer<Planned>(
    asks ? ["plan", id, numberOf(session), workshop && numberOf(workshop), fresh] : null,
    async (signal) => {
      if (!session) {
        throw new Error("bug: nothing to plan");
      }
      const asked = asBefore(session, together.current);
      return run(signal, async (mine) => {
        const query = { ticket: mine, ...(id ? { id } : {}) };
        const plan = await value(api.POST("/api/plan", { body: asked, signal, params: { query } }));
        together.current = groupsOf(asked, plan.plan);
        return { plan, asked };
      });
    },
    TYPING,
  );

  const progress = useQuery({
    queryKey: ["ticket", ticket],
    queryFn: async ({ signal }) => {
      if (ticket === null) {
        throw new Error("bug: nothing is under way");
      }
      await rest(PATIENCE, signal);
      const params = { path: { ticket } };
      return value(api.GET("/api/plan/tickets/{ticket}", { params, signal }));
    },
    enabled: ticket !== null,
    refetchInterval: AGAIN,
    gcTime: 0,
  });

  return {
    /** The newest plan that could be made; it stays on the screen while something is wrong. */
    answer: answer?.plan ?? null,
    asked: answer?.asked ?? null,
    /** The plan before this one, while the session is being edited. */
    before: before?.plan ?? null,
    trouble,
    retry,
    /** What was tried so far, while a plan takes long; null otherwise. */
    tried: ticket === null ? null : (progress.data?.tried ?? null),
    /** The best so far will do. */
    enough,
    /** As if nothing had been poured together before. */
    anew: useCallback(() => {
      together.current = { lines: [], batches: [] };
      setFresh((n) => n + 1);
    }, []),
  };
}
