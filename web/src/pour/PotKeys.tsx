import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useState } from "react";
import type { PotLine } from "../api/client";
import { WrongMark } from "../ui/Told";
import { Keypad } from "./Keypad";
import type { Happened } from "./useRun";

interface Props {
  batch: number;
  pot: PotLine[];
  onTell: (happened: Happened) => void;
}

type Pressure = "RATED" | "SET";

/** The log of the pressure pot, before it is shut: what it may hold, what it is set to, its valve. */
export function PotKeys({ batch, pot, onTell }: Props) {
  const [typing, setTyping] = useState<Pressure | null>(null);
  const last = (what: PotLine["what"]) =>
    pot.filter((l) => l.batch === batch && l.what === what).at(-1);
  const rated = last("RATED")?.bar;
  const set = last("SET")?.bar;
  const above = rated !== undefined && set !== undefined && set > rated;
  if (typing) {
    return (
      <Box
        role="dialog"
        aria-label={typing === "RATED" ? "What the pot may hold" : "What the pot is set to"}
        sx={{
          position: "fixed",
          inset: 0,
          zIndex: 1150,
          bgcolor: "background.default",
          p: 3,
          display: "grid",
          justifyItems: "center",
          alignContent: "center",
        }}
      >
        <Keypad
          what={typing === "RATED" ? "What its plate says it may hold" : "What its gauge says"}
          unit="bar"
          done="That is it"
          most={40}
          onDone={(bar) => {
            onTell({ kind: "POT", of: `${batch}/${typing}`, value: bar });
            setTyping(null);
          }}
          onCancel={() => setTyping(null)}
        />
      </Box>
    );
  }
  const key = { minHeight: 72, fontSize: "1.15rem", flex: "1 1 160px" };
  return (
    <Box>
      <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap" }}>
        <Button variant="outlined" onClick={() => setTyping("RATED")} sx={key}>
          {rated === undefined ? "Rated for…" : `Rated for ${rated} bar`}
        </Button>
        <Button
          variant={last("RELIEF") ? "contained" : "outlined"}
          onClick={() => onTell({ kind: "POT", of: `${batch}/RELIEF` })}
          sx={key}
        >
          {last("RELIEF") ? "✓ Relief valve works" : "Relief valve works"}
        </Button>
        <Button variant="outlined" onClick={() => setTyping("SET")} sx={key}>
          {set === undefined ? "Set to…" : `Set to ${set} bar`}
        </Button>
      </Box>
      {above && (
        <Box
          role="alert"
          sx={{ color: "error.main", display: "flex", gap: 1, alignItems: "center", mt: 1 }}
        >
          <WrongMark />
          <b>That is above its rating: let the air out now.</b>
        </Box>
      )}
    </Box>
  );
}
