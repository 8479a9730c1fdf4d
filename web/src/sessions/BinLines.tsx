import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useState } from "react";
import { api, ask, type SessionLine, type Trouble } from "../api/client";
import { Told } from "../ui/Told";

interface Props {
  lines: SessionLine[];
  onBack: (line: SessionLine) => Promise<void>;
}

/** What was thrown away: it can be brought back until the bin is emptied. */
export function BinLines({ lines, onBack }: Props) {
  const [sure, setSure] = useState(false);
  const [trouble, setTrouble] = useState<Trouble | null>(null);
  const empty = async () => {
    const answer = await ask(api.DELETE("/api/sessions/bin"));
    setTrouble(answer.status === "ok" ? null : answer.trouble);
    setSure(false);
  };
  if (lines.length === 0) {
    return (
      <Box role="status" sx={{ px: 1, py: 2, color: "text.secondary" }}>
        Nothing in the bin.
      </Box>
    );
  }
  return (
    <>
      <Box component="ul" aria-label="In the bin" sx={{ listStyle: "none", p: 0, m: 0 }}>
        {lines.map((line) => (
          <Box
            component="li"
            key={line.id}
            sx={{ display: "flex", gap: 1, alignItems: "center", px: 1, flexWrap: "wrap" }}
          >
            {line.name}
            <Button aria-label={`Bring back ${line.name}`} onClick={() => void onBack(line)}>
              Bring back
            </Button>
          </Box>
        ))}
      </Box>
      {trouble && <Told trouble={trouble} />}
      <Box sx={{ px: 1, pt: 1 }}>
        {sure ? (
          <>
            Gone for good: {lines.length}.{" "}
            <Button color="error" variant="outlined" onClick={() => void empty()}>
              Yes, empty it
            </Button>{" "}
            <Button onClick={() => setSure(false)}>Keep them</Button>
          </>
        ) : (
          <Button onClick={() => setSure(true)}>Empty the bin</Button>
        )}
      </Box>
    </>
  );
}
