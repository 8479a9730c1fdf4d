import Box from "@mui/material/Box";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import type { JournalFault } from "../api/client";
import { useUsualCauses } from "../api/queries";
import { Told } from "../ui/Told";
import { FAULTS } from "../words/record";
import { Suspects } from "./Suspects";

/** A fault of a piece that nobody kept a record of. */
export function WithoutRecord() {
  const [fault, setFault] = useState<JournalFault | "">("");
  const query = useUsualCauses(fault === "" ? null : fault);
  return (
    <Box sx={{ maxWidth: 820, display: "grid", gap: 1.5 }}>
      <Box>
        For a piece of the journal, open the piece: its record is weighed there. Without a record,
        choose what you see.
      </Box>
      <TextField
        select
        label="What is wrong with it"
        value={fault}
        onChange={(e) => setFault(e.target.value as JournalFault)}
        sx={{ width: 320 }}
      >
        {FAULTS.map((f) => (
          <MenuItem key={f.fault} value={f.fault}>
            {f.words}
          </MenuItem>
        ))}
      </TextField>
      {query.error && <Told trouble={query.error} onRetry={() => void query.refetch()} />}
      {query.data && <Suspects wrong={query.data} />}
    </Box>
  );
}
