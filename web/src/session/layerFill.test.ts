import { describe, expect, it } from "vitest";
import type { LayerView, PieceView } from "../api/client";
import { dragged, kindOf, toldAs } from "./layerFill";

const LAYER = {
  fromMm: 2,
  toMm: 8,
  volumeMl: 5,
  massG: 5.5,
  embeds: [{ displacesMl: 1 }],
} as LayerView;
const PIECE = { depthMm: 20, mouldMl: 24, depthAssumed: false } as PieceView;

describe("how much a layer takes", () => {
  it("is the same told another way", () => {
    expect(toldAs("depthMm", LAYER, PIECE)).toEqual({ depthMm: 6 });
    expect(toldAs("depthShare", LAYER, PIECE)).toEqual({ depthShare: 0.3 });
    // A share is of the room, the embed's with it.
    expect(toldAs("share", LAYER, PIECE)).toEqual({ share: 0.25 });
    expect(toldAs("volumeMl", LAYER, PIECE)).toEqual({ volumeMl: 5 });
    expect(toldAs("massG", LAYER, PIECE)).toEqual({ massG: 5.5 });
    expect(toldAs("rest", LAYER, PIECE)).toBeUndefined();
  });

  it("knows how it is told", () => {
    for (const fill of [{ share: 0.5 }, { depthMm: 2 }, { depthShare: 0.1 }, { massG: 3 }]) {
      expect(Object.keys(fill)).toEqual([kindOf(fill)]);
    }
    expect(kindOf(undefined)).toBe("rest");
  });

  it("is dragged in millimetres only where somebody knows the depth", () => {
    expect(dragged(LAYER, PIECE, 12)).toEqual({ depthMm: 10 });
    expect(dragged(LAYER, { ...PIECE, depthAssumed: true }, 12)).toEqual({ depthShare: 0.5 });
    // Not thinner than can be told.
    expect(dragged(LAYER, PIECE, 1)).toEqual({ depthMm: 0.1 });
  });
});
