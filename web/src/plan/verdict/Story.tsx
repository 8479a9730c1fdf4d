import Box from "@mui/material/Box";
import type { Plan } from "../../api/client";
import { useUnits } from "../../units/UnitsProvider";
import { storyOf } from "../../words/story";

interface Props {
  plan: Plan;
  startsAt: Date;
  zoneId: string;
  /** Batches no plan could do without; null where nobody reckoned. */
  least: number | null;
  batches: number;
}

/** The plan told in a few sentences. */
export function Story({ plan, startsAt, zoneId, least, batches }: Props) {
  const units = useUnits();
  return (
    <Box
      component="p"
      aria-label="Summary"
      sx={{ m: 0, mb: 1, px: 1, maxWidth: "72ch", fontSize: "1.08rem", lineHeight: 1.5 }}
    >
      {storyOf(plan, startsAt, zoneId, units).join(" ")}
      {least !== null && batches > 1 && (
        <Box component="span" sx={{ color: "text.secondary" }}>
          {" "}
          {least === batches
            ? "Fewer batches are not possible with these pieces."
            : `By mass and hands alone, at least ${least} are needed.`}
        </Box>
      )}
    </Box>
  );
}
