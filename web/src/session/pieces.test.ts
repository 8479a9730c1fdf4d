import { describe, expect, it } from "vitest";
import type { Mould, Piece, Session } from "../api/client";
import { emptyCavities } from "./pieces";

const TRAY = {
  id: "tray",
  name: "Tray",
  cavities: [
    { id: "main", name: "Main", count: 1, measure: { method: "TOLD", toldMl: 40 } },
    { id: "small", name: "Small", count: 3, measure: { method: "TOLD", toldMl: 6 } },
  ],
} as Mould;

const line = (cavityId: string | undefined, count: number): Piece => ({
  mouldId: "tray",
  ...(cavityId ? { cavityId } : {}),
  count,
  layers: [{ colourId: "clear" }],
});

const session = (pieces: Piece[]) => ({ pieces }) as Session;

describe("cavities that stay empty", () => {
  it("are those of a tray that nothing is poured into", () => {
    expect(emptyCavities(session([line(undefined, 1)]), [TRAY])).toEqual([
      { mouldId: TRAY.id, cavityId: "small", mould: "Tray", cavity: "Small", count: 3 },
    ]);
    expect(emptyCavities(session([line("main", 2), line("small", 4)]), [TRAY])).toEqual([
      { mouldId: TRAY.id, cavityId: "small", mould: "Tray", cavity: "Small", count: 2 },
    ]);
  });

  it("are none where a tray is full, nor of a mould that is not on the board", () => {
    expect(emptyCavities(session([line("main", 1), line("small", 3)]), [TRAY])).toEqual([]);
    expect(emptyCavities(session([]), [TRAY])).toEqual([]);
  });
});
