import { describe, expect, it } from "vitest";
import { METRIC } from "../units/units";
import { depthText, joinText, rooms } from "./found";

describe("what pieces are found by", () => {
  it("offers rooms without a gap between them", () => {
    const all = rooms(METRIC);
    expect(all.map((r) => r.words)).toEqual([
      "below 18 °C",
      "18 °C to 20 °C",
      "20 °C to 22 °C",
      "22 °C to 24 °C",
      "24 °C and more",
    ]);
    all.slice(1).forEach((room, i) => {
      expect(room.wanted.roomFrom).toBe(all[i]?.wanted.roomBelow);
    });
  });

  it("says how layers met", () => {
    expect(joinText({ piece: "1.1", layer: 1, planned: "GEL", minutesAfter: 241 })).toBe(
      "Layer 2: at gel, 4 h after the one below",
    );
    expect(joinText({ piece: "1.1", layer: 2, planned: "TOGETHER" })).toBe("Layer 3: together");
    const late = { piece: "1.1", layer: 1, planned: "THICK", minutesAfter: 241 } as const;
    expect(joinText({ ...late, met: "THICK" })).toBe("Layer 2: thick, 4 h after the one below");
    expect(joinText({ ...late, met: "GEL" })).toBe(
      "Layer 2: thick, 4 h after the one below; the one below was gelled by then",
    );
  });

  it("lays a proven depth beside the label", () => {
    const deep = (mm: number, others: number, labelMm?: number) =>
      depthText(
        {
          resinId: "r",
          resinName: "R",
          proven: { mm, good: 4, others },
          ...(labelMm === undefined ? {} : { labelMm }),
        },
        METRIC,
      );
    expect(deep(18, 0, 25).beside).toBe("Its label allows 25 mm.");
    expect(deep(30, 1, 25).beside).toBe(
      "Its label allows 25 mm only. 1 piece as deep came out worse.",
    );
    expect(deep(18, 2).beside).toBe("Its label names no depth. 2 pieces as deep came out worse.");
    expect(deep(18, 0).learned).toBe("18 mm in one layer, 4 good pieces.");
  });
});
