import { useEffect, useState } from "react";
import { api, ask, type BatchAtHand, type Session, type Trouble } from "../api/client";

/** The card of one batch of a session. */
export function useCard(
  session: Session,
  batch: number,
): { answer: BatchAtHand | null; trouble: Trouble | null } {
  const [state, setState] = useState<{ answer: BatchAtHand | null; trouble: Trouble | null }>({
    answer: null,
    trouble: null,
  });
  useEffect(() => {
    let here = true;
    void ask(api.POST("/api/plan/card", { body: { session, batch } })).then((answer) => {
      if (here) {
        setState(
          answer.status === "ok"
            ? { answer: answer.value, trouble: null }
            : { answer: null, trouble: answer.trouble },
        );
      }
    });
    return () => {
      here = false;
    };
  }, [session, batch]);
  return state;
}
