import type { PieceView } from "../api/client";

/** One scale for all moulds on the board; flat ones make every height be drawn larger. */
export interface BoardScale {
  pxPerMm: number;
  /** How many times larger heights are drawn than widths: 1 where nothing is flat. */
  heights: number;
}

const WIDEST_PX = 140;
const TALLEST_PX = 72;
const FLATTEST_PX = 15;

export function boardScale(pieces: PieceView[]): BoardScale {
  const widest = Math.max(...pieces.map((p) => p.widthMm));
  const deepest = Math.max(...pieces.map((p) => p.depthMm));
  const flattest = Math.min(...pieces.map((p) => p.depthMm));
  const pxPerMm = Math.min(WIDEST_PX / widest, TALLEST_PX / deepest, 2.6);
  const wanted = Math.ceil(FLATTEST_PX / (flattest * pxPerMm));
  const possible = Math.max(1, Math.floor(TALLEST_PX / (deepest * pxPerMm)));
  return { pxPerMm, heights: Math.max(1, Math.min(wanted, possible)) };
}
