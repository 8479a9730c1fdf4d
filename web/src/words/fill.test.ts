import { describe, expect, it } from "vitest";
import type { PieceView } from "../api/client";
import { METRIC } from "../units/units";
import { fillTold } from "./fill";

const fillWords = (...of: Parameters<typeof fillTold>) =>
  fillTold(...of)
    .map((t) => t.words)
    .join(" ");

const view = (toMm: number, more: Partial<PieceView>) =>
  ({ depthMm: 14, depthAssumed: false, layers: [{ toMm }], ...more }) as unknown as PieceView;

describe("how full a mould is", () => {
  it("says nothing where it is filled level and nobody knows what it loses", () => {
    expect(fillWords(view(14, {}), METRIC)).toBe("");
  });

  it("says where the surface lies, poured and cured", () => {
    expect(fillWords(view(12, {}), METRIC)).toBe("Filled to 2.0 mm below the rim.");
    expect(fillWords(view(14, { finishedMm: 13.916 }), METRIC)).toBe(
      "Cured, its surface lies 0.08 mm below the rim.",
    );
    expect(fillWords(view(14, { aboveMm: 1, finishedMm: 14.01 }), METRIC)).toBe(
      "Filled to a dome 1.0 mm above the rim. Cured, it lies level with the rim.",
    );
    expect(fillWords(view(14, { aboveMm: 1.2, finishedMm: 14.9 }), METRIC)).toBe(
      "Filled to a dome 1.2 mm above the rim. Cured, its surface lies 0.90 mm above the rim.",
    );
  });
});
