import { expect, test } from "vitest";
import { getAt, setAt } from "./path";

test("reads and writes along a path, through lists too", () => {
  const mould = { name: "Knob", cavities: [{ measure: { toldMl: 4 } }, { measure: {} }] };
  expect(getAt(mould, "cavities[0].measure.toldMl")).toBe(4);
  expect(getAt(mould, "cavities[3].measure.toldMl")).toBeUndefined();
  const next = setAt(mould, "cavities[1].measure.toldMl", 7);
  expect(next.cavities[1]).toEqual({ measure: { toldMl: 7 } });
  expect(next.cavities[0]).toBe(mould.cavities[0]);
});

test("what is unknown is left out, and a part that becomes empty with it", () => {
  const resin = { name: "Slow", facts: { depthToMm: 50 } };
  expect(setAt(resin, "facts.depthToMm", null)).toEqual({ name: "Slow" });
  expect(setAt({ name: "Slow" }, "facts.depthToMm", 20)).toEqual({
    name: "Slow",
    facts: { depthToMm: 20 },
  });
  expect(setAt({ clean: true }, "clean", false)).toEqual({ clean: false });
});
