import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Link from "@mui/material/Link";
import { useUnits } from "../units/UnitsProvider";
import { GUIDES } from "../words/guide";
import { inUnits } from "../words/inUnits";

/** What the screen is for, its keys, and an example. */
export function GuidePanel({ room, onClose }: { room: string; onClose: () => void }) {
  const guide = GUIDES[room];
  const units = useUnits();
  if (!guide) {
    return null;
  }
  return (
    <Box
      component="section"
      aria-label="Guide"
      sx={{
        bgcolor: "background.paper",
        borderRadius: "10px",
        px: 2.5,
        py: 1.25,
        mt: 1,
        maxWidth: 900,
        "@media print": { display: "none" },
      }}
    >
      <Box sx={{ display: "flex", alignItems: "baseline", gap: 2 }}>
        <Box component="h2" sx={{ typography: "h2", m: 0, mr: "auto" }}>
          {guide.title}
        </Box>
        <Button onClick={onClose}>Close the guide</Button>
      </Box>
      <Box component="p" sx={{ m: 0, mb: 1 }}>
        {guide.what}
      </Box>
      <Box component="dl" sx={{ m: 0, mb: 1 }}>
        {guide.keys.map(([key, does]) => (
          <Box key={key} sx={{ display: "flex", gap: 1, flexWrap: "wrap", py: 0.25 }}>
            <Box component="dt" sx={{ fontWeight: 700, minWidth: 170 }}>
              {key}
            </Box>
            <Box component="dd" sx={{ m: 0, flex: "1 1 260px" }}>
              {does}
            </Box>
          </Box>
        ))}
      </Box>
      <Box component="p" sx={{ m: 0, color: "text.secondary" }}>
        For example: {inUnits(guide.example, units)}
      </Box>
      <Box component="p" sx={{ m: 0, mt: 1 }}>
        <Link href={`/manual/${guide.page}`}>Read on in the manual</Link>
      </Box>
    </Box>
  );
}
