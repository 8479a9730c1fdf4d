import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useState } from "react";
import type { Plan } from "../../api/client";
import { useUnits } from "../../units/UnitsProvider";
import { storyOf } from "../../words/story";

interface Props {
  plan: Plan;
  startsAt: Date;
  zoneId: string;
  /** What the last change did; null where nothing that matters. */
  changed: string | null;
  /** Batches no plan could do without; null where nobody reckoned. */
  least: number | null;
  batches: number;
}

/** The plan told in a few sentences, one key away; what the last change did stands above. */
export function Story({ plan, startsAt, zoneId, changed, least, batches }: Props) {
  const units = useUnits();
  const [open, setOpen] = useState(false);
  const sentences = storyOf(plan, startsAt, zoneId, units);
  if (sentences.length === 0) {
    return null;
  }
  return (
    <Box sx={{ px: 1, pb: 0.5 }}>
      <Box sx={{ display: "flex", alignItems: "center", gap: 1.5, flexWrap: "wrap" }}>
        <Button onClick={() => setOpen(!open)} aria-expanded={open} sx={{ minHeight: 32, py: 0 }}>
          {open ? "Hide summary" : "Summary"}
        </Button>
        <Box component="span" aria-live="polite" sx={{ color: "text.secondary" }}>
          {changed}
        </Box>
      </Box>
      {open && (
        <Box
          component="p"
          aria-label="Summary"
          sx={{ m: 0, mb: 1, maxWidth: "72ch", fontSize: "1.08rem", lineHeight: 1.5 }}
        >
          {sentences.join(" ")}
          {least !== null && batches > 1 && (
            <Box component="span" sx={{ color: "text.secondary" }}>
              {" "}
              {least === batches
                ? "No plan of these pieces does with fewer batches."
                : `By mass and hands alone, no plan does with fewer than ${least}.`}
            </Box>
          )}
        </Box>
      )}
    </Box>
  );
}
