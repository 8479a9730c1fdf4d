import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import type { FieldError, Piece } from "../../api/client";
import { leftOut } from "../../ui/path";

/** More than a line of the bench shows. */
const LONGEST = 60;

interface Props {
  piece: Piece;
  error: FieldError | undefined;
  onChange: (piece: Piece) => void;
  /** Half of these pieces become a trial under these words. */
  onTrial: (trial: string) => void;
}

/** One thing done otherwise with some of the pieces, the others beside them as they always are. */
export function TrialField({ piece, error, onChange, onTrial }: Props) {
  const [typed, setTyped] = useState<string | null>(null);
  const text = typed ?? piece.trial ?? "";
  if (piece.trial === undefined && typed === null) {
    return <Button onClick={() => setTyped("")}>+ a trial</Button>;
  }
  const long =
    text.length > LONGEST
      ? `${text.length - LONGEST} ${text.length === LONGEST + 1 ? "letter" : "letters"} too many.`
      : undefined;
  const set = (next: string) => {
    if (piece.trial === undefined || next.trim() === "") {
      setTyped(next);
    } else {
      setTyped(null);
      onChange({ ...piece, trial: next });
    }
  };
  return (
    <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap", alignItems: "flex-start", mt: 1.5 }}>
      <TextField
        label={
          piece.trial === undefined
            ? "A trial: done otherwise with half of them"
            : "A trial: done otherwise with these"
        }
        placeholder="teased a second time"
        value={text}
        autoFocus={piece.trial === undefined}
        onChange={(e) => set(e.target.value)}
        error={long !== undefined || error !== undefined}
        helperText={long ?? error?.message}
        sx={{ width: { xs: 260, sm: 420 } }}
      />
      {piece.trial === undefined ? (
        <>
          <Button
            variant="outlined"
            disabled={text.trim() === "" || long !== undefined}
            onClick={() => onTrial(text.trim())}
          >
            Make the trial
          </Button>
          <Button onClick={() => setTyped(null)}>Leave it</Button>
        </>
      ) : (
        <Button
          onClick={() => {
            setTyped(null);
            onChange(leftOut(piece, "trial"));
          }}
        >
          No trial
        </Button>
      )}
    </Box>
  );
}
