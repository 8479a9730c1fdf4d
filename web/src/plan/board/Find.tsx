import Box from "@mui/material/Box";
import InputAdornment from "@mui/material/InputAdornment";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import type { Plan } from "../../api/client";
import { type Sought, soughtLines } from "./seek";

/** Finds moulds by name or colour, and folds a large board by batch. */
export function Find({
  plan,
  sought,
  onSeek,
}: {
  plan: Plan;
  sought: Sought;
  onSeek: (sought: Sought) => void;
}) {
  const found = soughtLines(plan, sought)?.size ?? plan.pieces.length;
  return (
    <Box sx={{ display: "flex", gap: 1, mb: 1, flexWrap: "wrap" }}>
      <TextField
        label="Find a mould or colour"
        value={sought.words}
        onChange={(e) => onSeek({ ...sought, words: e.target.value })}
        sx={{ flex: "1 1 170px" }}
        slotProps={{
          input: {
            endAdornment: (
              <InputAdornment position="end">
                {found} of {plan.pieces.length}
              </InputAdornment>
            ),
          },
        }}
      />
      {plan.batches.length > 1 && (
        <TextField
          select
          label="Of batch"
          value={sought.batch ?? 0}
          onChange={(e) => onSeek({ ...sought, batch: Number(e.target.value) || null })}
          sx={{ width: 110 }}
        >
          <MenuItem value={0}>any</MenuItem>
          {plan.batches.map((b) => (
            <MenuItem key={b.number} value={b.number}>
              {b.number}
            </MenuItem>
          ))}
        </TextField>
      )}
    </Box>
  );
}
