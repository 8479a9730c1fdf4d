import Box from "@mui/material/Box";
import Link from "@mui/material/Link";
import { useSwatches } from "../api/queries";
import { nextText } from "../words/swatches";
import { dayName } from "../words/dates";

/** Chips of the swatch book that are to be looked at again. */
export function ChipsDue() {
  const due = useSwatches().data?.chips.filter((c) => c.due) ?? [];
  if (due.length === 0) {
    return null;
  }
  return (
    <Box component="section" aria-label="Swatches to look at" sx={{ mt: 2 }}>
      <Box component="h2" sx={{ typography: "h2", m: 0 }}>
        Swatches to look at
      </Box>
      {due.map((view) => (
        <Box key={view.chip.id} sx={{ py: 0.75 }}>
          <Link href="/journal?part=swatches">{view.chip.colourName}</Link>, made{" "}
          {dayName(view.chip.madeOn)}. {nextText(view)}
        </Box>
      ))}
    </Box>
  );
}
