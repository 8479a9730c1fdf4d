import Box from "@mui/material/Box";
import { useTrials } from "../api/queries";
import { Fetched } from "../ui/Fetched";
import { trialText } from "../words/journal";

/** So many beside each other, and one of them differs by chance before long. */
const MANY = 5;

/** What was tried beside a control, and whether it made a difference. */
export function Trials() {
  return (
    <Fetched query={useTrials()} loading="Counting trials…">
      {(trials) => (
        <Box component="section" aria-label="Trials" sx={{ display: "grid", gap: 0.75 }}>
          <Box component="h2" sx={{ typography: "h2", m: 0 }}>
            Trials
          </Box>
          {trials.length === 0 && (
            <Box sx={{ maxWidth: 760 }}>
              None yet. On the plan, open a mould and press “+ a trial”: half of its pieces are done
              otherwise, the others beside them show what it changes.
            </Box>
          )}
          <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0, maxWidth: 900 }}>
            {trials.map((trial) => (
              <Box
                component="li"
                key={trial.trial}
                sx={{ py: 0.75, borderBottom: 1, borderColor: "divider" }}
              >
                <b>{trial.trial}</b>
                <Box>{trialText(trial)}</Box>
              </Box>
            ))}
          </Box>
          {trials.length >= MANY && (
            <Box sx={{ color: "text.secondary" }}>
              {trials.length} trials beside each other: one in twenty differs by chance.
            </Box>
          )}
        </Box>
      )}
    </Fetched>
  );
}
