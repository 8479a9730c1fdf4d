import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useState } from "react";
import type { Resin, Trouble } from "../../api/client";
import { RESINS } from "../../shelf/kinds";
import { RESIN_BRIEF } from "../../shelf/resinBrief";
import { Fields } from "../../ui/Fields";

interface Props {
  onAdded: (resin: Resin) => void;
  onClose: () => void;
}

/** A resin by its label: the ratio is needed, all else may stay unknown. */
export function AddResin({ onAdded, onClose }: Props) {
  const [resin, setResin] = useState(RESINS.begin);
  const [trouble, setTrouble] = useState<Trouble | null>(null);
  const add = async () => {
    const answer = await RESINS.put(resin);
    if (answer.status === "ok") {
      onAdded(resin);
    } else {
      setTrouble(answer.trouble);
    }
  };
  return (
    <Box
      component="form"
      aria-label="Add a resin"
      noValidate
      onSubmit={(e) => {
        e.preventDefault();
        void add();
      }}
      sx={{ mt: 1.5 }}
    >
      <Fields
        specs={RESIN_BRIEF}
        draft={resin}
        errors={trouble?.errors ?? []}
        onChange={setResin}
      />
      <Box sx={{ display: "flex", gap: 1, mt: 1 }}>
        <Button type="submit" variant="contained">
          Put it on the shelf
        </Button>
        <Button onClick={onClose}>Close</Button>
      </Box>
      {trouble && trouble.errors.length === 0 && (
        <Box sx={{ color: "error.main" }}>{trouble.detail}</Box>
      )}
    </Box>
  );
}
