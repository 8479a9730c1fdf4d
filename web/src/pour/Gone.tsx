import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { WrongMark } from "../ui/Told";
import type { Going } from "./going";
import { Over } from "./Over";

const WHAT = {
  THICK: "is too thick to pour",
  GELLED: "has gelled",
  WARM: "is too warm to pour",
} as const;

const NOW = {
  THICK:
    "Spread what is left thinly, over scrap or the bottom of a tray, so that it cannot heat up.",
  GELLED: "Leave it where it is until it is cold and hard. A deep cup goes outdoors.",
  WARM: "Do not hold it, cover it or bin it. Outdoors, on something that does not burn. Stay out of its fumes.",
} as const;

interface Props {
  going: Going[];
  onSeen: () => void;
}

/** Over everything else: a cup went while nobody pressed a key. */
export function Gone({ going, onSeen }: Props) {
  const lost = going.reduce((sum, g) => sum + g.lost, 0);
  const kinds = [...new Set(going.map((g) => g.why))];
  return (
    <Over warns label="A cup has gone">
      <Box sx={{ color: "error.main", display: "flex", gap: 2, alignItems: "center" }}>
        <WrongMark />
        <Box sx={{ typography: "h1", fontSize: { xs: "1.8rem", md: "3rem" } }}>
          {lost === 0 ? "Look at this cup" : `${lost} ${lost === 1 ? "pour is" : "pours are"} lost`}
        </Box>
      </Box>
      <Box
        component="ul"
        sx={{ m: 0, pl: 3, fontSize: { xs: "1.2rem", md: "1.7rem" }, lineHeight: 1.35 }}
      >
        {going.map((g) => (
          <li key={g.key}>
            {g.cup ? g.cup.colourName : `Batch ${g.batch} in its mixing cup`} {WHAT[g.why]}
            {g.lost > 0 && going.length > 1 && `: ${g.lost} ${g.lost === 1 ? "pour" : "pours"}`}
          </li>
        ))}
      </Box>
      {kinds.map((why) => (
        <Box
          key={why}
          sx={{ fontSize: { xs: "1.1rem", md: "1.5rem" }, maxWidth: 900, lineHeight: 1.35 }}
        >
          {NOW[why]}
        </Box>
      ))}
      <Box sx={{ color: "text.secondary", fontSize: "1.1rem" }}>
        The product’s safety data sheet and local rules come first.
      </Box>
      <Button
        variant="contained"
        onClick={onSeen}
        sx={{ mt: "auto", minHeight: 96, fontSize: "1.5rem" }}
      >
        {kinds.includes("WARM") ? "It is outdoors; what is left to do" : "What is left to do"}
      </Button>
    </Over>
  );
}
