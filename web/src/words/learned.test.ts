import { describe, expect, it } from "vitest";
import type { MouldFill } from "../api/client";
import { METRIC } from "../units/units";
import { behindText, fillText, ownFillText } from "./learned";

const learned = {
  times: 1.062,
  lowest: 1.03,
  highest: 1.095,
  sd: 0.015,
  evenings: 4,
  contradictory: 0,
  looks: 15,
  enough: true,
};
const own = { times: 1.062, sd: 0.015, evenings: 4, since: "2026-11-28", ofMl: 16.2 };
const fill: MouldFill = {
  mouldId: "bar-pull",
  cavityId: "main",
  name: "Bar pull",
  learned,
  measuredMl: 16.2,
};

describe("what was learned", () => {
  it("tells what a mould takes beside its measurement", () => {
    const text = fillText(fill, METRIC);
    expect(text.learned).toBe(
      "6 % more: 17.2 mL instead of 16.2 mL, most likely 16.7 mL to 17.7 mL.",
    );
    expect(text.by).toBe("4 evenings, 15 pieces.");
    expect(fillText({ ...fill, taken: own }, METRIC).by).toContain("since 28 Nov: 17.2 mL");
  });

  it("says what is planned with, or that it was measured anew", () => {
    expect(ownFillText(own, 17.2, METRIC)).toBe("Planned with 17.2 mL, learned from 4 evenings.");
    expect(ownFillText(own, undefined, METRIC)).toMatch(/measured anew/);
  });

  it("tells what one evening says, from one side or both", () => {
    const evening = { runId: "r", name: "Knobs", day: "2026-11-20", looks: 2 };
    expect(behindText({ ...evening, lowest: 1.04 }, "pace", METRIC)).toBe(
      "4 % slower, or more (2 checks)",
    );
    expect(behindText({ ...evening, highest: 1.1 }, "pace", METRIC)).toMatch(
      /^10 % slower at most/,
    );
    expect(behindText({ ...evening, lowest: 0.9 }, "pace", METRIC)).toMatch(
      /^10 % quicker at most/,
    );
    expect(behindText({ ...evening, lowest: 0.97, highest: 1.1 }, "pace", METRIC)).toBe(
      "between 3 % quicker and 10 % slower (2 checks)",
    );
    expect(behindText({ ...evening, lowest: 1.2, highest: 1.1 }, "pace", METRIC)).toMatch(
      /left out/,
    );
    expect(behindText({ ...evening, lowest: 34.2 }, "hands", METRIC)).toBe("34 s (2 steps)");
    expect(behindText({ ...evening, lowest: -0.8 }, "room", METRIC)).toBe(
      "0.8 °C colder than told",
    );
    expect(behindText({ ...evening, lowest: 0.1 }, "room", METRIC)).toBe("as told");
    expect(behindText({ ...evening, lowest: 1.05, highest: 1.05, looks: 1 }, "fill", METRIC)).toBe(
      "5 % more (1 piece)",
    );
  });
});
