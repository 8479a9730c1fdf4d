import { useState } from "react";
import { api, ask, type RunEvent, type Trouble } from "../api/client";

/** Tells one thing of a piece to the record of its evening, now. */
export function useTell(runId: string) {
  const [trouble, setTrouble] = useState<Trouble | null>(null);
  /** Whether it was taken. */
  const tell = async (said: Pick<RunEvent, "kind" | "of" | "codes" | "text">) => {
    const at = new Date().toISOString();
    const answer = await ask(
      api.POST("/api/runs/{id}/events", {
        params: { path: { id: runId } },
        body: { events: [{ id: crypto.randomUUID(), at, ...said }], sentAt: at },
      }),
    );
    setTrouble(answer.status === "trouble" ? answer.trouble : null);
    return answer.status === "ok";
  };
  return { tell, trouble };
}
