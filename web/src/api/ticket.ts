import { useCallback, useState } from "react";
import { api, ask } from "./client";

/** The best so far will do, or nobody waits for it any more. */
function stop(ticket: string) {
  void ask(api.DELETE("/api/plan/tickets/{ticket}", { params: { path: { ticket } } })).catch(
    () => undefined,
  );
}

/** A question that may take longer: it has a ticket, by which its asker can say "enough". */
export function useTicket() {
  const [ticket, setTicket] = useState<string | null>(null);
  const run = async <T>(signal: AbortSignal, call: (ticket: string) => Promise<T>): Promise<T> => {
    const mine = crypto.randomUUID();
    setTicket(mine);
    const overtaken = () => stop(mine);
    signal.addEventListener("abort", overtaken);
    try {
      return await call(mine);
    } finally {
      signal.removeEventListener("abort", overtaken);
      setTicket((now) => (now === mine ? null : now));
    }
  };
  const enough = useCallback(() => {
    if (ticket !== null) {
      stop(ticket);
    }
  }, [ticket]);
  return { ticket, run, enough };
}
