import { expect, test } from "vitest";
import type { ResinView } from "../api/client";
import { METRIC } from "../units/units";
import { expectedText, factText, partText } from "./clock";

type Clock = NonNullable<ResinView["clock"]>;

const fact = (more: Partial<Clock["facts"][number]>): Clock["facts"][number] => ({
  kind: "DEMOULD",
  source: "LABEL",
  said: { from: 24, to: 48, unit: "h", depthMm: 100, temperatureC: 23 },
  comesTo: 35.2 * 60,
  off: 0.2,
  atOdds: false,
  ...more,
});

test("a fact stands beside what comes out", () => {
  expect(factText(fact({}), METRIC)).toEqual({
    what: "Out of the mould, 100 mm deep",
    said: "24–48 h",
    comes: "35 h",
    fits: "fits",
  });
  const potLife = fact({
    kind: "POT_LIFE",
    said: { from: 420, unit: "min", massG: 250, temperatureC: 23 },
    comesTo: 420,
  });
  expect(factText(potLife, METRIC)).toMatchObject({
    what: "Pot life of 250 g at 23 °C",
    said: "7 h",
    comes: "7 h",
  });
});

test("what does not fit says by how much", () => {
  const soon = fact({
    said: { from: 4, unit: "h", depthMm: 10 },
    comesTo: 6 * 60,
    atOdds: true,
  });
  expect(factText(soon, METRIC).fits).toBe("does not fit the rest: 50 % later");
});

test("where too little is known there is no single figure", () => {
  const block = { depthMm: 100, temperatureC: 23, fromMinutes: 900, toMinutes: 3960 };
  expect(expectedText(block, METRIC)).toBe(
    "A piece 100 mm deep and as wide at 23 °C is hard after 15 h to 66 h: too little is known for one figure.",
  );
  const cup = { massG: 25, temperatureC: 23, minutes: 33.4, fromMinutes: 25.5, toMinutes: 46.5 };
  expect(expectedText(cup, METRIC)).toBe(
    "A cup of 25 g at 23 °C can be poured for 33 min (26 min to 47 min).",
  );
});

test("a part of the clock says what is usual where it is not", () => {
  const hot = { what: "HEAT", value: 330, from: 300, to: 360, usual: 250, unusual: true };
  expect(partText(hot)).toBe(
    "heat of the whole reaction 330 J/g (300 to 360; usual for its kind is 250)",
  );
});
