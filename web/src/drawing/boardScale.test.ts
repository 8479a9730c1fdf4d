import { describe, expect, it } from "vitest";
import type { PieceView } from "../api/client";
import { boardScale } from "./boardScale";

const piece = (widthMm: number, depthMm: number) => ({ widthMm, depthMm }) as PieceView;

describe("boardScale", () => {
  it("is one scale for all, so that a large mould looks large", () => {
    const scale = boardScale([piece(32, 22), piece(96, 12), piece(21, 34)]);
    expect(96 * scale.pxPerMm).toBeLessThanOrEqual(141);
    expect(34 * scale.pxPerMm).toBeLessThanOrEqual(73);
    expect(scale.heights).toBe(1);
  });

  it("draws heights larger where everything is flat, by a whole factor", () => {
    const scale = boardScale([piece(112, 5)]);
    expect(scale.heights).toBeGreaterThan(1);
    expect(Number.isInteger(scale.heights)).toBe(true);
    expect(5 * scale.pxPerMm * scale.heights).toBeLessThanOrEqual(73);
  });

  it("keeps true to scale where a deep mould stands beside a flat one", () => {
    expect(boardScale([piece(112, 5), piece(20, 60)]).heights).toBe(1);
  });
});
