import { describe, expect, it } from "vitest";
import type { Cup, Finding, Plan } from "../api/client";
import { METRIC } from "../units/units";
import { doseText } from "./doses";
import { findingText, latePours } from "./findings";
import { ordinal, withUnit } from "./numbers";
import { cavityName, placeText } from "./places";
import { stand } from "./stand";
import { clockTime, minutes, minutesBetween, minutesGiven } from "./time";

const START = new Date("2026-11-28T10:00:00Z");

const pour = (id: string, cavity: number, endSeconds: number) => ({
  id,
  line: 0,
  cavity,
  endSeconds,
});

const EMBER = {
  id: "1.1",
  colour: { name: "Ember" },
  times: { thickensSeconds: 1500 },
  pours: [pour("1.1.1", 1, 1200), pour("1.2.1", 2, 1400), pour("1.3.1", 3, 1500)],
} as Cup;

function plan(findings: Partial<Finding>[], spareSeconds = 120, by = "WEIGHT"): Plan {
  return {
    pieces: [{ mouldName: "Switch toggle" }],
    batches: [
      {
        number: 1,
        times: { startSeconds: 0 },
        measuring: {
          by,
          totalG: 212,
          partA: { massG: 141.3, volumeMl: 124 },
          partB: { massG: 70.7, volumeMl: 68.7 },
        },
        cups: [EMBER],
      },
    ],
    findings,
    totals: { resinG: 211.6 },
    spareSeconds,
  } as Plan;
}

const late = (id: string, over: number): Partial<Finding> => ({
  severity: "BREACH",
  rule: "POUR_AFTER_WORKING_TIME",
  place: `pour/${id}`,
  value: 20 + over,
  limit: 20,
  mends: [],
});

describe("the title sentence", () => {
  it("says how the plan stands, in figures", () => {
    expect(stand(plan([]), START, "Europe/London", METRIC)).toEqual({
      wrong: false,
      text: "One batch of 212 g. The last pour ends at 10:25; the cups stay pourable until 10:25.",
    });
  });

  it("says first what is wrong", () => {
    const one = stand(plan([late("1.3.1", 2)], -120), START, "Europe/London", METRIC);
    expect(one).toEqual({ wrong: true, text: "One pour comes too late, by 2 min." });
    const two = stand(
      plan([late("1.2.1", 0.5), late("1.3.1", 2)], -150),
      START,
      "Europe/London",
      METRIC,
    );
    expect(two.text).toBe("2 pours come too late, the last by 3 min.");
  });

  it("tells millilitres first where the label counts by volume", () => {
    expect(stand(plan([], 120, "VOLUME"), START, "Europe/London", METRIC).text).toMatch(
      /^One batch of 192 mL\./,
    );
  });

  it("tells another breach when no pour is late", () => {
    const breach: Partial<Finding> = {
      severity: "BREACH",
      rule: "RATIO_OFF",
      place: "batch/1",
      value: -3.14,
      limit: 2,
    };
    const told = stand(plan([breach]), START, "Europe/London", METRIC);
    expect(told.wrong).toBe(true);
    expect(told.text).toContain("off by 3.1 %");
  });
});

describe("findings", () => {
  it("tells late pours a cup at a time, with the first and by how much", () => {
    expect(latePours(plan([late("1.2.1", 0.5), late("1.3.1", 2)]))).toEqual([
      "2 of 3 pours of Ember are too late, by up to 2 min. The first is Ember into Switch toggle, second.",
    ]);
    expect(latePours(plan([]))).toEqual([]);
  });

  it("names the place a maker can point at", () => {
    expect(placeText("cup/1.1", plan([]))).toBe("the Ember cup");
    expect(placeText("pour/1.2.1", plan([]))).toBe("Ember into Switch toggle, second");
    expect(placeText("batch/1", plan([]))).toBe("the batch");
    const two = plan([]);
    two.batches = [...two.batches, ...two.batches];
    expect(placeText("batch/1", two)).toBe("batch 1");
  });

  it("counts moulds of one kind on, whichever line they stand in", () => {
    const pieces = [
      { mouldId: "push", mouldName: "Bell push", count: 2 },
      { mouldId: "knob", mouldName: "Knob", count: 4 },
      { mouldId: "push", mouldName: "Bell push", count: 1 },
    ];
    expect(cavityName({ pieces } as Plan, 2, 1)).toBe("Bell push, third");
  });

  it("says what a limit did to a tint", () => {
    const held = { rule: "TINT_HELD_BACK", severity: "NEAR", place: "cup/1.1", value: 72.6 };
    expect(findingText(held as Finding, plan([]), METRIC)).toBe(
      "The Ember cup gets 73 % of its recipe: more would pass a limit.",
    );
  });
});

describe("small words", () => {
  it.each([
    [1, undefined, "1 drop"],
    [16, undefined, "16 drops"],
    [undefined, 0, "a trace"],
    [undefined, 0.25, "¼ scoop"],
    [undefined, 1, "1 scoop"],
    [undefined, 3.5, "3½ scoops"],
    [undefined, undefined, ""],
  ])("counts %j drops or %j scoops as %j", (drops, scoops, words) => {
    expect(doseText(drops, scoops)).toBe(words);
  });

  it("counts places and minutes as a maker would", () => {
    expect([1, 3, 12].map(ordinal)).toEqual(["first", "third", "no. 12"]);
    expect([0, 0.4, 1.3, 1.6, 5.3, 75.8].map(minutes)).toEqual([
      "0 min",
      "less than a minute",
      "about a minute",
      "2 min",
      "5 min",
      "76 min",
    ]);
    expect([0.75, 1.5, 12.6].map(minutesGiven)).toEqual(["0.8 min", "1.5 min", "13 min"]);
    expect(minutesBetween(4.6, 5.2)).toBe("5 min");
    expect(minutesBetween(21.7, 23.2)).toBe("22 to 23 min");
  });

  it("shows the workshop's own clock", () => {
    expect(clockTime(START, 90, "Europe/London")).toBe("10:01");
    expect(clockTime(START, 0, "Asia/Kolkata")).toBe("15:30");
  });

  it("shows no more figures than a scale does", () => {
    expect(withUnit(141.456, "g", METRIC)).toBe("141.5 g");
    expect(withUnit(0.1, "g", METRIC)).toBe("0.1 g");
    expect(withUnit(2, "by weight", METRIC)).toBe("2 by weight");
  });
});
