import Box from "@mui/material/Box";
import type { ReactNode } from "react";
import type { CupCurve } from "../api/client";
import { CureCurves } from "./CureCurves";
import { commonEnd, commonHottest } from "./curveScale";

/** The curve of every cup of a run, on the same axes, with a mark for each pour out of it. */
export function CupCurves({
  curves,
  name,
}: {
  curves: CupCurve[];
  /** What stands above a curve; its colour where it is missing. */
  name?: (cup: CupCurve) => ReactNode;
}) {
  const drawn = curves.flatMap((c) => (c.curve ? [c.curve] : []));
  if (drawn.length === 0) {
    return (
      <Box sx={{ color: "text.secondary" }}>No curves here: the rule of thumb is used instead.</Box>
    );
  }
  const until = commonEnd(drawn, false);
  const hottest = commonHottest(drawn);
  return (
    <Box
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "minmax(0, 1fr)", md: "repeat(2, minmax(0, 1fr))" },
        gap: 2,
      }}
    >
      {curves.map(
        (cup) =>
          cup.curve && (
            <Box key={cup.cupId} sx={{ minWidth: 0 }}>
              <b>{name ? name(cup) : cup.colourName}</b>
              <CureCurves
                curve={cup.curve}
                until={until}
                hottest={hottest}
                pours={cup.pouredMinutes}
                what={`${cup.colourName}, batch ${cup.batch}: thickness and temperature, poured ${cup.pouredMinutes.length} times`}
              />
            </Box>
          ),
      )}
    </Box>
  );
}
