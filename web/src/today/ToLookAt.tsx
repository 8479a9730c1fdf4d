import Box from "@mui/material/Box";
import Link from "@mui/material/Link";
import type { Today } from "../api/client";

/** Evenings that are over, with pieces nobody has graded. */
export function ToLookAt({ evenings }: { evenings: Today["toLookAt"] }) {
  if (evenings.length === 0) {
    return null;
  }
  return (
    <Box component="section" aria-label="To look over" sx={{ mt: 2 }}>
      <Box component="h2" sx={{ typography: "h2", m: 0 }}>
        To look over
      </Box>
      {evenings.map((evening) => (
        <Box key={evening.runId} sx={{ py: 0.5 }}>
          <Link href={`/pour/${evening.runId}/record`}>
            {evening.pieces} {evening.pieces === 1 ? "piece" : "pieces"} of {evening.name}
          </Link>
        </Box>
      ))}
    </Box>
  );
}
