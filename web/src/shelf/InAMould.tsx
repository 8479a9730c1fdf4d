import Box from "@mui/material/Box";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { useTheme } from "@mui/material/styles";
import { useId, useState } from "react";
import type { MouldView } from "../api/client";
import { useMoulds } from "../api/queries";
import { sectionPaths } from "../drawing/sectionPath";

const WIDEST_PX = 150;
const TALLEST_PX = 90;

/** Two or three colours in one of the workshop's moulds, as layers of one height, either way up. */
export function InAMould({ colours }: { colours: string[] }) {
  const { data: moulds } = useMoulds();
  const [mouldId, setMouldId] = useState("");
  if (!moulds || moulds.length === 0) {
    return null;
  }
  const view = moulds.find((m) => m.mould.id === mouldId);
  return (
    <Box sx={{ mt: 1.5 }}>
      <TextField
        select
        label="See them in a mould"
        value={view ? mouldId : ""}
        onChange={(e) => setMouldId(e.target.value)}
        sx={{ width: 260 }}
      >
        {moulds.map((m) => (
          <MenuItem key={m.mould.id} value={m.mould.id}>
            {m.mould.name}
          </MenuItem>
        ))}
      </TextField>
      {view && (
        <Box sx={{ display: "flex", gap: 3, flexWrap: "wrap", mt: 1 }}>
          <Layered view={view} colours={colours} words="This one poured first" />
          <Layered view={view} colours={colours.toReversed()} words="This one poured last" />
        </Box>
      )}
    </Box>
  );
}

function Layered({ view, colours, words }: { view: MouldView; colours: string[]; words: string }) {
  const ink = useTheme().vars?.palette.ink;
  const clip = useId();
  const [main] = view.cavities;
  if (!main) {
    return null;
  }
  const wide =
    Math.max(...main.section.map((r) => r.rightMm)) -
    Math.min(...main.section.map((r) => r.leftMm));
  const px = Math.min(WIDEST_PX / wide, TALLEST_PX / main.depthMm);
  const paths = sectionPaths(main.section, px);
  const high = paths.depthPx / colours.length;
  return (
    <Box component="figure" sx={{ m: 0 }}>
      <svg
        role="img"
        aria-label={`${view.mould.name}: ${words.toLowerCase()}`}
        width={paths.widthPx + 2}
        height={paths.depthPx + 2}
        viewBox={`-1 -1 ${paths.widthPx + 2} ${paths.depthPx + 2}`}
      >
        <clipPath id={clip}>
          <path d={paths.inside} />
        </clipPath>
        <g clipPath={`url(#${clip})`}>
          {colours.map((colour, i) => (
            <rect
              key={i}
              y={paths.depthPx - (i + 1) * high}
              width={paths.widthPx}
              height={high}
              fill={colour}
            />
          ))}
          {paths.hole && <path d={paths.hole} fill={ink?.rubber} />}
        </g>
        <path d={paths.walls} fill="none" stroke={ink?.line} />
      </svg>
      <Box component="figcaption">{words}</Box>
    </Box>
  );
}
