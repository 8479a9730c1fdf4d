import Button from "@mui/material/Button";
import { useState } from "react";
import { api, ask, type Session, type Trouble } from "../api/client";
import { Told } from "../frame/Told";

interface Props {
  session: Session;
  /** Of the kept session; missing for one that is not kept. */
  sessionId: string | undefined;
  disabled: boolean;
}

/** From a plan to the bench: the clock does not start before A and B meet. */
export function Begin({ session, sessionId, disabled }: Props) {
  const [trouble, setTrouble] = useState<Trouble | null>(null);
  const [waiting, setWaiting] = useState(false);
  const begin = async () => {
    setWaiting(true);
    const answer = await ask(
      api.POST("/api/runs", { body: { session, ...(sessionId ? { sessionId } : {}) } }),
    );
    setWaiting(false);
    if (answer.status === "ok") {
      window.location.hash = `#/pour/${answer.value.id}`;
    } else {
      setTrouble(answer.trouble);
    }
  };
  return (
    <>
      <Button variant="outlined" onClick={() => void begin()} disabled={disabled || waiting}>
        {waiting ? "Laying out the bench…" : "Begin"}
      </Button>
      {trouble && <Told trouble={trouble} />}
    </>
  );
}
