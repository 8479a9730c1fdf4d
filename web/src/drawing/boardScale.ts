/** One scale for all moulds on the board; flat ones make every height be drawn larger. */
export interface BoardScale {
  pxPerMm: number;
  /** How many times larger heights are drawn than widths: 1 where nothing is flat. */
  heights: number;
}

const WIDEST_PX = 140;
const TALLEST_PX = 72;
const FLATTEST_PX = 15;
const CLOSEST_PX_PER_MM = 2.6;

/** The room for a drawing, px. */
interface Room {
  widest: number;
  tallest: number;
  flattest: number;
  /** So many px a mm at most; a piece alone is drawn closer than a board of them. */
  closest?: number;
}

interface Across {
  widthMm: number;
  depthMm: number;
}

/**
 * @param room widest and tallest that a mould may be drawn, px
 */
export function boardScale(
  pieces: Across[],
  room: Room = { widest: WIDEST_PX, tallest: TALLEST_PX, flattest: FLATTEST_PX },
): BoardScale {
  const widest = Math.max(...pieces.map((p) => p.widthMm));
  const deepest = Math.max(...pieces.map((p) => p.depthMm));
  const flattest = Math.min(...pieces.map((p) => p.depthMm));
  const pxPerMm = Math.min(
    room.widest / widest,
    room.tallest / deepest,
    room.closest ?? CLOSEST_PX_PER_MM,
  );
  const wanted = Math.ceil(room.flattest / (flattest * pxPerMm));
  const possible = Math.max(1, Math.floor(room.tallest / (deepest * pxPerMm)));
  return { pxPerMm, heights: Math.max(1, Math.min(wanted, possible)) };
}
