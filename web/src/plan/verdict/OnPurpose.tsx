import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import { useState } from "react";

interface Props {
  onKeep: (reason: string) => void;
  onLeave: () => void;
}

/** Why something that is told is done all the same. */
export function OnPurpose({ onKeep, onLeave }: Props) {
  const [reason, setReason] = useState("");
  return (
    <>
      <TextField
        label="Why?"
        size="small"
        value={reason}
        autoFocus
        onChange={(e) => setReason(e.target.value)}
        sx={{ width: 260 }}
      />
      <Button
        size="small"
        variant="contained"
        disabled={reason.trim() === ""}
        onClick={() => onKeep(reason.trim())}
      >
        Keep that reason
      </Button>
      <Button size="small" onClick={onLeave}>
        Leave it
      </Button>
    </>
  );
}
