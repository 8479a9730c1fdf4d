import { describe, expect, it } from "vitest";
import { getAt, setAt } from "../ui/path";
import type { Ways } from "./group";
import { GROUPS } from "./groups";
import { differing, same, withGroup } from "./ways";

const WAYS = {
  habits: { restMinutes: 8, stirMinutes: 3, mixing: { warming: "NONE", cups: "ONE" } },
  hands: { coverSeconds: 60 },
  room: { temperatureC: 22 },
} as unknown as Ways;

describe("how a session works", () => {
  it("names the groups that are not as usual, and puts back one without the others", () => {
    const other = setAt(setAt(WAYS, "habits.restMinutes", 12), "hands.coverSeconds", 30);
    expect(differing(other, WAYS).map((g) => g.key)).toEqual(["mixing", "hands"]);
    const mixing = GROUPS.find((g) => g.key === "mixing");
    const back = mixing && withGroup(other, mixing, WAYS);
    expect(getAt(back, "habits.restMinutes")).toBe(8);
    expect(getAt(back, "hands.coverSeconds")).toBe(30);
  });

  it("asks for every field in some group, and owns what it asks for", () => {
    for (const group of GROUPS) {
      for (const spec of group.specs(WAYS)) {
        const owned = group.owns.some((o) => spec.path === o || spec.path.startsWith(`${o}.`));
        expect(owned, spec.path).toBe(true);
      }
    }
    const owned = GROUPS.flatMap((g) => g.owns);
    expect(new Set(owned).size).toBe(owned.length);
  });

  it("says the same in any order", () => {
    expect(same({ a: 1, b: [2, { c: 3, d: 4 }] }, { b: [2, { d: 4, c: 3 }], a: 1 })).toBe(true);
    expect(same({ a: 1 }, { a: 2 })).toBe(false);
    expect(same(undefined, { a: 2 })).toBe(false);
  });
});
