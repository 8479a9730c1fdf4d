import Box from "@mui/material/Box";
import type { DueLine } from "../api/client";
import { boardScale } from "../drawing/boardScale";
import { CavitySection } from "../drawing/CavitySection";
import { leftText } from "../words/due";

const ROOM = { widest: 110, tallest: 60, flattest: 12 };

type Curing = DueLine & { view: NonNullable<DueLine["view"]> };

/** What cures: a shelf of sections, each with the time left until it comes out of its mould. */
export function Curing({ due, now }: { due: DueLine[]; now: number }) {
  const cures = due.filter((d): d is Curing => d.view !== undefined && d.view.section.length > 1);
  if (cures.length === 0) {
    return null;
  }
  const scale = boardScale(
    cures.map((c) => c.view),
    ROOM,
  );
  return (
    <Box component="section" aria-label="Curing" sx={{ mt: 2 }}>
      <Box component="h2" sx={{ typography: "h2", m: 0 }}>
        Curing
      </Box>
      <Box
        sx={{
          display: "flex",
          flexWrap: "wrap",
          alignItems: "flex-end",
          columnGap: 3,
          rowGap: 1.5,
          maxWidth: 980,
          pt: 1,
          "& svg": { display: "block" },
        }}
      >
        {cures.map((line) => (
          <Box key={line.runId + line.taskId} sx={{ lineHeight: 1.25 }}>
            <CavitySection
              section={line.view.section}
              pxPerMm={scale.pxPerMm}
              heights={scale.heights}
              wall={4}
              assumed={line.view.depthAssumed}
              bands={line.view.layers.map((l) => ({
                fromMm: l.fromMm,
                toMm: l.toMm,
                fill: l.swatch,
              }))}
              label={line.view.mouldName}
            />
            <Box>
              {line.places > 1 && `${line.places} × `}
              {line.view.mouldName}
            </Box>
            <Box sx={{ fontWeight: 700 }}>{leftText(now, Date.parse(line.from))} left</Box>
          </Box>
        ))}
      </Box>
    </Box>
  );
}
