import Box from "@mui/material/Box";
import type { Look } from "../api/client";

const GROUNDS = [
  { key: "overWhite", words: "on white", ground: "#e7e7e7" },
  { key: "overBlack", words: "on black", ground: "#000000" },
  { key: "overBelow", words: "on the layer below", ground: "transparent" },
] as const;

/** How a layer will look on white, on black and on what lies below: chips on their cards. */
export function LookSwatches({ look, size = 22 }: { look: Look; size?: number }) {
  const shown = GROUNDS.filter((g) => look[g.key] !== undefined);
  return (
    <Box
      component="span"
      role="img"
      aria-label={`${lookText(look)}; ${shown.map((g) => `${g.words} ${look[g.key]}`).join(", ")}`}
      sx={{
        display: "inline-flex",
        verticalAlign: "middle",
        // What was never seen cured is drawn with a broken line.
        border: look.guess ? "1px dashed" : "1px solid",
        borderColor: "text.secondary",
      }}
    >
      {shown.map((g) => (
        <Box
          key={g.key}
          component="span"
          title={g.words}
          sx={{
            width: size,
            height: size,
            bgcolor: g.ground,
            display: "inline-flex",
            alignItems: "center",
            justifyContent: "center",
          }}
        >
          <Box
            component="span"
            sx={{ width: size - 8, height: size - 8, bgcolor: look[g.key], borderRadius: "50%" }}
          />
        </Box>
      ))}
    </Box>
  );
}

/** How much a layer hides, in words. */
export function lookText(look: Look): string {
  const hides =
    look.opacityPercent >= 98
      ? "hides all"
      : look.opacityPercent < 2
        ? "lets all through"
        : `hides ${look.opacityPercent.toFixed(0)} %`;
  return `${hides}${look.guess && look.opacityPercent >= 2 ? ", a guess" : ""}`;
}
