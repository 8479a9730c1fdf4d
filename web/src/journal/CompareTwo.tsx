import Box from "@mui/material/Box";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import type { Yield } from "../api/client";
import { useCompared } from "../api/queries";
import { comparedText } from "../words/journal";

interface Side {
  good: string;
  of: string;
}

/** A count as it is typed; null for anything else, such as 2.5 or 1e9. */
const whole = (text: string) => (/^\d{1,6}$/.test(text.trim()) ? Number(text) : null);

/** Two counts beside each other: a difference, chance, or too few to tell. */
export function CompareTwo({ rows }: { rows: Yield[] }) {
  const [one, setOne] = useState<Side>({ good: "", of: "" });
  const [other, setOther] = useState<Side>({ good: "", of: "" });
  const counts = [one.good, one.of, other.good, other.of].map(whole);
  const [count, of, otherCount, otherOf] = counts;
  const wrong = (side: Side) => {
    const [good, all] = [whole(side.good), whole(side.of)];
    if (side.good === "" || side.of === "") {
      return "";
    }
    return good === null || all === null || all < 1
      ? "Enter whole numbers, for example 3 of 6."
      : good > all
        ? "More good ones than pieces."
        : "";
  };
  const ready =
    count != null &&
    of != null &&
    otherCount != null &&
    otherOf != null &&
    wrong(one) === "" &&
    wrong(other) === "";
  const answer = useCompared(ready ? { count, of, otherCount, otherOf } : null).data;
  const side = (label: string, its: Side, set: (side: Side) => void) => (
    <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap", alignItems: "flex-start" }}>
      <TextField
        select
        label={`${label}: take over`}
        value=""
        onChange={(e) => {
          const row = rows.find((r) => r.name === e.target.value);
          if (row) {
            set({ good: String(row.good), of: String(row.looked) });
          }
        }}
        sx={{ width: 190 }}
      >
        {rows.map((row) => (
          <MenuItem key={row.name} value={row.name}>
            {row.name}
          </MenuItem>
        ))}
      </TextField>
      <TextField
        label={`${label}: good`}
        value={its.good}
        onChange={(e) => set({ ...its, good: e.target.value })}
        error={wrong(its) !== ""}
        helperText={wrong(its)}
        slotProps={{ htmlInput: { inputMode: "numeric" } }}
        sx={{ width: 130 }}
      />
      <TextField
        label={`${label}: of`}
        value={its.of}
        onChange={(e) => set({ ...its, of: e.target.value })}
        slotProps={{ htmlInput: { inputMode: "numeric" } }}
        sx={{ width: 110 }}
      />
    </Box>
  );
  return (
    <Box component="section" aria-label="Compare two" sx={{ display: "grid", gap: 1 }}>
      <Box component="h2" sx={{ typography: "h2", m: 0 }}>
        Compare two
      </Box>
      <Box>
        Any two counts, for example of a trial that was not planned here: whether they differ by
        more than chance.
      </Box>
      {side("First", one, setOne)}
      {side("Second", other, setOther)}
      <Box role="status" sx={{ fontWeight: 700 }}>
        {ready && answer ? comparedText(count, of, otherCount, otherOf, answer) : ""}
      </Box>
    </Box>
  );
}
