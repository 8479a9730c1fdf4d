import Box from "@mui/material/Box";
import type { BoardPicture } from "../api/client";
import { boardScale } from "./boardScale";
import { CavitySection } from "./CavitySection";

const ROOM = { widest: 64, tallest: 34, flattest: 8 };

/** A session's moulds at the size of a thumb, as they stand on its board. */
export function BoardStrip({ board }: { board: BoardPicture }) {
  if (board.moulds.length === 0) {
    return null;
  }
  const scale = boardScale(board.moulds, ROOM);
  return (
    <Box
      role="img"
      aria-label={board.moulds.map((m) => `${m.count} ${m.name}`).join(", ")}
      sx={STRIP}
    >
      {board.moulds.map((mould, i) => (
        <div key={i} aria-hidden>
          <CavitySection
            section={mould.section}
            pxPerMm={scale.pxPerMm}
            heights={scale.heights}
            wall={3}
            bands={mould.layers.map((l) => ({ fromMm: l.fromMm, toMm: l.toMm, fill: l.swatch }))}
            label=""
          />
          <div>{mould.count}</div>
        </div>
      ))}
    </Box>
  );
}

const STRIP = {
  display: "flex",
  alignItems: "flex-end",
  gap: 0.5,
  overflow: "hidden",
  "& > div": { textAlign: "center", fontSize: "0.75rem", lineHeight: 1.1 },
  "& svg": { display: "block" },
} as const;
