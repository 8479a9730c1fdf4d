import { describe, expect, it } from "vitest";
import type { SessionLine } from "../api/client";
import { matches, nextName } from "./sessions";

const KNOBS: SessionLine = {
  id: "1",
  name: "Pantry knobs",
  cavities: 6,
  justMix: false,
  changedAt: "2026-11-28T10:00:00Z",
  stands: "PLANNED",
  board: {
    resin: "Slow casting resin 2:1",
    moulds: [
      {
        name: "Knob 32",
        count: 6,
        widthMm: 32,
        depthMm: 28,
        section: [],
        layers: [{ fromMm: 0, toMm: 28, swatch: "#47718a", colour: "Harbour" }],
      },
    ],
  },
};

describe("sessions in a list", () => {
  it("are found by any of the words that are known of them, in any order", () => {
    expect(matches(KNOBS, "harbour knob")).toBe(true);
    expect(matches(KNOBS, "slow planned")).toBe(true);
    expect(matches(KNOBS, "")).toBe(true);
    expect(matches(KNOBS, "harbour bracken")).toBe(false);
    expect(matches(KNOBS, "%_'")).toBe(false);
  });

  it("are copied under a name that is free", () => {
    expect(nextName("Knobs", [])).toBe("Knobs 2");
    expect(nextName("Knobs 2", ["Knobs", "Knobs 2", "Knobs 3"])).toBe("Knobs 4");
  });
});
