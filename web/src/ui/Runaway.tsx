import Box from "@mui/material/Box";
import { WrongMark } from "./Told";

/** What to do with a cup that runs away: always at hand where cups are spoken of. */
export function Runaway() {
  return (
    <Box
      component="aside"
      aria-label="A cup that runs away"
      sx={{ display: "flex", gap: 1.5, alignItems: "center", px: 2.5, pt: 1.5, maxWidth: 1150 }}
    >
      <WrongMark />
      <span>
        <b>A cup that gets hot, smokes or softens:</b> do not hold, cover or bin it. Outdoors with
        it, onto something that does not burn, and stay out of its fumes until it is cold. These
        figures are worked out from a label; they promise nothing.
      </span>
    </Box>
  );
}
