import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useState } from "react";
import { useNavigate } from "react-router";
import { api, ask, type Session, type Trouble } from "../api/client";
import { Told } from "../ui/Told";
import { MomentField } from "../ui/When";

interface Props {
  session: Session;
  /** Of the kept session; missing for one that is not kept. */
  sessionId: string | undefined;
}

/** This minute, as it hangs on the wall. */
function now(): string {
  const at = new Date();
  return `${new Date(at.getTime() - at.getTimezoneOffset() * 60_000).toISOString().slice(0, 16)}:00`;
}

/** An evening that was poured without the bench: into the journal, as it was planned. */
export function PouredAlready({ session, sessionId }: Props) {
  const [asks, setAsks] = useState(false);
  const [from, setFrom] = useState(() => (session.startsAt < now() ? session.startsAt : now()));
  const [trouble, setTrouble] = useState<Trouble | null>(null);
  const [waiting, setWaiting] = useState(false);
  const navigate = useNavigate();
  const enter = async () => {
    setWaiting(true);
    const answer = await ask(
      api.POST("/api/runs", {
        body: {
          session: { ...session, startsAt: from },
          ...(sessionId ? { sessionId } : {}),
          poured: true,
        },
      }),
    );
    setWaiting(false);
    if (answer.status === "ok") {
      void navigate(`/pour/${answer.value.id}/record`);
    } else {
      setTrouble(answer.trouble);
    }
  };
  const wrong = trouble?.errors.find((e) => e.field === "session.startsAt")?.message;
  return (
    <>
      <Button onClick={() => setAsks(!asks)} aria-expanded={asks}>
        I poured this already
      </Button>
      {asks && (
        <Box
          role="group"
          aria-label="I poured this already"
          sx={{
            flex: "1 1 100%",
            display: "flex",
            flexWrap: "wrap",
            gap: 1.5,
            alignItems: "flex-start",
          }}
        >
          <MomentField
            label="Begun"
            value={from}
            onChange={setFrom}
            error={wrong}
            width={240}
            needed
          />
          <Button variant="contained" disabled={waiting} onClick={() => void enter()}>
            Enter it
          </Button>
          <Box sx={{ alignSelf: "center", color: "text.secondary" }}>
            It goes into the journal as planned; faults you add on its page.
          </Box>
          {trouble && wrong === undefined && <Told trouble={trouble} />}
        </Box>
      )}
    </>
  );
}
