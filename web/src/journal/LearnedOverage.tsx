import Box from "@mui/material/Box";
import type { OverageNeeded } from "../api/client";
import { useLearnedOverage, useUsual } from "../api/queries";
import { OfOverage } from "../plan/how/EveningsBehind";
import { Fetched } from "../ui/Fetched";
import { overageText } from "../words/learned";
import { LearnedUsual } from "./LearnedUsual";

/** How much more than planned is really needed; planned with only when the maker says so. */
export function LearnedOverage() {
  return (
    <Fetched query={useLearnedOverage()} loading="Reading the pours…">
      {(needed) => (needed.evenings === 0 ? null : <Overage needed={needed} />)}
    </Fetched>
  );
}

function Overage({ needed }: { needed: OverageNeeded }) {
  const planned = useUsual().data?.usual.habits.overagePercent;
  if (planned === undefined) {
    return null;
  }
  const { enough, enoughPercent } = needed;
  return (
    <Box component="section" aria-label="Learned: your overage" sx={{ display: "grid", gap: 1 }}>
      <Box component="h2" sx={{ typography: "h2", m: 0 }}>
        Your overage
      </Box>
      <Box sx={{ color: "text.secondary" }}>
        Planned with what your moulds really take, less overage is needed: begin there.
      </Box>
      <LearnedUsual
        of="Your overage"
        text={overageText(needed, planned)}
        plan={enough && enoughPercent !== planned ? `Plan with ${enoughPercent} %` : null}
        taken={(usual) => ({
          ...usual,
          habits: { ...usual.habits, overagePercent: enoughPercent },
        })}
        putBack={(usual, was) => ({
          ...usual,
          habits: { ...usual.habits, overagePercent: was.habits.overagePercent },
        })}
        behind={() => <OfOverage />}
      />
    </Box>
  );
}
