import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import ButtonBase from "@mui/material/ButtonBase";
import type { Plan } from "../api/client";
import { Cautions } from "../ui/Cautions";
import { LOW } from "./low";

/** A small screen wide enough for two columns: all of it is seen at once, whatever is said above it. */
const SNUG = "@media (max-height: 840px) and (min-width: 900px)";

/** Ticked when everything else is: from here on the bench shows steps. */
export const READY = "READY";

const ITEMS: { item: string; words: string }[] = [
  { item: "GLOVES", words: "Gloves and glasses on, hair back" },
  { item: "AIR", words: "Air moves; no children, pets, food" },
  { item: "CREAM", words: "Barrier cream, wipes at hand, mat or liner down" },
  { item: "STICKS", words: "A stick for every cup, a timer, a clean mixing cup" },
  { item: "LEVEL", words: "Board level, big moulds at the back" },
  { item: "MOULDS", words: "Moulds dry, clean and in place" },
  { item: "CUPS", words: "Cups laid out and named" },
  { item: "COLOURS", words: "Colours shaken, doses ready" },
  { item: "RINGS", words: "Cups read level: tilted, settled, at eye level" },
  { item: "CAPS", words: "Caps and seals sorted, never swapped" },
];

const EMBEDS = { item: "EMBEDS", words: "Embeds dry-fitted" };

interface Props {
  plan: Plan;
  checked: string[];
  onCheck: (item: string, ticked: boolean) => void;
  onReady: () => void;
}

/** What is seen to before anything is opened. */
export function Checklist({ plan, checked, onCheck, onReady }: Props) {
  const embeds = plan.pieces.some((p) => p.layers.some((l) => l.embeds.length > 0));
  const items = embeds ? [...ITEMS, EMBEDS] : ITEMS;
  const open = items.filter((i) => !checked.includes(i.item)).length;
  return (
    <Box
      component="section"
      aria-label="Before anything is opened"
      sx={{ display: "flex", flexDirection: "column", gap: 1, minHeight: 0, height: "100%" }}
    >
      <Box
        component="h2"
        sx={{
          typography: "h1",
          m: 0,
          fontSize: { xs: "1.5rem", md: "2.2rem" },
          [SNUG]: { fontSize: "1.6rem" },
          [LOW]: { fontSize: "1.2rem" },
        }}
      >
        Before anything is opened
      </Box>
      <Box
        sx={{
          display: "grid",
          gridTemplateColumns: { xs: "1fr", sm: "1fr 1fr" },
          gap: 1,
          overflow: "auto",
        }}
      >
        {items.map(({ item, words }) => {
          const done = checked.includes(item);
          return (
            <ButtonBase
              key={item}
              role="checkbox"
              aria-checked={done}
              onClick={() => onCheck(item, !done)}
              sx={{
                minHeight: 64,
                px: 2,
                borderRadius: 2,
                border: 2,
                borderColor: done ? "primary.main" : "divider",
                justifyContent: "flex-start",
                font: "inherit",
                textAlign: "left",
                fontSize: { xs: "1.05rem", md: "1.25rem" },
                gap: 1.5,
                [SNUG]: { minHeight: 46, fontSize: "1.05rem", lineHeight: 1.15 },
              }}
            >
              <Box aria-hidden sx={{ width: 28, fontSize: "1.6rem", lineHeight: 1 }}>
                {done ? "✓" : "○"}
              </Box>
              {words}
            </ButtonBase>
          );
        })}
      </Box>
      <Box sx={{ display: { xs: "none", md: "block" } }}>
        <Cautions />
      </Box>
      <Button
        variant="contained"
        onClick={onReady}
        sx={{
          mt: "auto",
          minHeight: 84,
          fontSize: "1.5rem",
          [SNUG]: { minHeight: 68 },
          flexShrink: 0,
          [LOW]: { minHeight: 56, fontSize: "1.2rem" },
        }}
      >
        {open === 0 ? "Everything is ready" : `Go on all the same, ${open} not ticked`}
      </Button>
    </Box>
  );
}
