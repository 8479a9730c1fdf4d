import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useState } from "react";
import { useNavigate } from "react-router";
import { api, ask, type Plan, type Session, type Trouble } from "../api/client";
import { Told, WrongMark } from "../ui/Told";
import { useUnits } from "../units/UnitsProvider";
import { heatTexts } from "../words/heatTexts";

interface Props {
  session: Session;
  /** Of the kept session; missing for one that is not kept. */
  sessionId: string | undefined;
  /** Its heat warnings are asked about once more; null while there is none. */
  plan: Plan | null;
  disabled: boolean;
}

/** From a plan to the bench: the clock does not start before A and B meet. */
export function Begin({ session, sessionId, plan, disabled }: Props) {
  const units = useUnits();
  const heat = plan ? heatTexts(plan, units) : [];
  const navigate = useNavigate();
  const [trouble, setTrouble] = useState<Trouble | null>(null);
  const [waiting, setWaiting] = useState(false);
  const [asking, setAsking] = useState(false);
  const [full, setFull] = useState<string | null>(null);
  const begin = async (heatSeen: boolean, mouldsEmpty = false) => {
    setFull(null);
    setTrouble(null);
    setWaiting(true);
    const answer = await ask(
      api.POST("/api/runs", {
        body: {
          session,
          ...(sessionId ? { sessionId } : {}),
          ...(heatSeen ? { heatSeen } : {}),
          ...(mouldsEmpty ? { mouldsEmpty } : {}),
        },
      }),
    );
    setWaiting(false);
    if (answer.status === "ok") {
      void navigate(`/pour/${answer.value.id}`);
    } else {
      // Full moulds are a question, not a refusal: the pieces may be out already.
      const moulds = answer.trouble.errors.find((e) => e.field === "mouldsEmpty")?.message;
      if (moulds === undefined) {
        setTrouble(answer.trouble);
      } else {
        setFull(moulds);
      }
    }
  };
  return (
    <>
      <Button
        variant="outlined"
        onClick={() => (heat.length > 0 ? setAsking(true) : void begin(false))}
        disabled={disabled || waiting}
        aria-expanded={heat.length > 0 ? asking : undefined}
      >
        {waiting ? "Laying out the bench…" : "Begin"}
      </Button>
      {asking && (
        <Box
          role="group"
          aria-label="Begin with heat warnings?"
          sx={{
            order: 1,
            flex: "1 1 100%",
            border: 2,
            borderColor: "error.main",
            borderRadius: 1,
            p: 1.5,
          }}
        >
          <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0, mb: 1 }}>
            {heat.map((text) => (
              <Box
                component="li"
                key={text}
                sx={{ display: "flex", gap: 1, color: "error.main", fontWeight: 700, py: 0.25 }}
              >
                <WrongMark />
                <span>Heat: {text}</span>
              </Box>
            ))}
          </Box>
          <Box sx={{ mb: 1 }}>
            The ways out below change the plan. The safety data sheet and local rules come first.
            What you choose here is kept with the record.
          </Box>
          <Button variant="contained" onClick={() => setAsking(false)} autoFocus>
            Change the plan
          </Button>{" "}
          <Button
            variant="outlined"
            color="error"
            disabled={waiting}
            onClick={() => void begin(true)}
          >
            Begin all the same
          </Button>
        </Box>
      )}
      {full !== null && (
        <Box
          role="group"
          aria-label="Begin with full moulds?"
          sx={{
            order: 1,
            flex: "1 1 100%",
            border: 2,
            borderColor: "error.main",
            borderRadius: 1,
            p: 1.5,
          }}
        >
          <Box sx={{ display: "flex", gap: 1, mb: 1 }}>
            <WrongMark />
            <span>{full}</span>
          </Box>
          <Button variant="contained" href="/pour" autoFocus>
            Show what is under way
          </Button>{" "}
          <Button
            variant="outlined"
            color="error"
            disabled={waiting}
            onClick={() => void begin(heat.length > 0, true)}
          >
            They are empty: begin
          </Button>
        </Box>
      )}
      {trouble && <Told trouble={trouble} />}
    </>
  );
}
