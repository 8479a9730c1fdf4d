import { expect, it } from "vitest";
import { METRIC } from "../units/units";
import { countedText, measureText } from "./card";

it("counts strokes and bottles, and says how far they are off", () => {
  const one = { countA: 2, countB: 1, totalG: 26.4, ratioErrorPercent: 0 };
  expect(countedText(one, "stroke", "strokes", METRIC)).toBe(
    "2 strokes of A and 1 stroke of B: 26.4 g, exactly in the ratio",
  );
  expect(countedText({ ...one, ratioErrorPercent: -3.24 }, "stroke", "strokes", METRIC)).toContain(
    "A 3.2 % too little",
  );
});

it("says what a second measuring cup does to the ratio, school by school", () => {
  expect(measureText({ school: "OVERFILL", extraG: 2.14, ratioErrorPercent: 0 }, METRIC)).toBe(
    "Two cups, the emptied one overfilled by 2.1 g: nothing is lost.",
  );
  expect(
    measureText({ school: "EQUAL_RESIDUE", extraG: 0, ratioErrorPercent: 2.69 }, METRIC),
  ).toContain("A is 2.7 % too much");
});
