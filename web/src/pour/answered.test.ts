import { describe, expect, it } from "vitest";
import type { RunEvent } from "../api/client";
import { answered, leftRatio, seenHot } from "./answered";

const told = (of: string, value?: number): RunEvent => ({
  id: of,
  at: "2026-11-28T10:00:00Z",
  kind: "CHECKED",
  of,
  codes: [],
  ...(value === undefined ? {} : { value }),
});

describe("what was answered", () => {
  it("counts before it could be told, and a tick that was taken back does not", () => {
    const all = answered(["GLOVES", "AIR"], [told(seenHot("1.2")), told("AIR", 0)]);
    expect(all).toEqual(["GLOVES", "HOT/1.2"]);
    expect(answered([leftRatio(1)], [])).toEqual(["RATIO/1"]);
  });
});
