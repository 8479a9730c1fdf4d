import Box from "@mui/material/Box";
import Link from "@mui/material/Link";
import { useSwatches } from "../api/queries";
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
      <Box sx={{ color: "text.secondary" }}>
        Hold each beside a piece of its colour kept in the dark.
      </Box>
      {due.map(({ chip }) => (
        <Box key={chip.id} sx={{ py: 0.5 }}>
          <Link href="/journal?part=swatches">{chip.colourName}</Link>, made {dayName(chip.madeOn)}
        </Box>
      ))}
    </Box>
  );
}
