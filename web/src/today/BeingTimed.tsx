import Box from "@mui/material/Box";
import Link from "@mui/material/Link";
import { useTimings } from "../api/queries";
import { nextLook, since } from "../words/timing";

/** Resins that are timed without an evening, and when a look teaches most. */
export function BeingTimed() {
  const { data } = useTimings();
  const open = data?.timings.filter((t) => !t.over) ?? [];
  if (!data || open.length === 0) {
    return null;
  }
  const now = Date.parse(data.now);
  return (
    <Box component="section" aria-label="Being timed" sx={{ mt: 2 }}>
      <Box component="h2" sx={{ typography: "h2", m: 0 }}>
        Being timed
      </Box>
      {open.map((timing) => (
        <Box key={timing.id} sx={{ py: 0.75 }}>
          <Link href="/practice/timing">{timing.resinName}</Link>, mixed {since(timing.metAt, now)}{" "}
          ago. {nextLook(timing, now)}
        </Box>
      ))}
    </Box>
  );
}
