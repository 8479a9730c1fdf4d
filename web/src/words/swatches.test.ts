import { expect, test } from "vitest";
import type { ChipView } from "../api/client";
import { METRIC } from "../units/units";
import { chipText, lookText, nextText } from "./swatches";

const VIEW: ChipView = {
  chip: {
    id: "c",
    colourId: "harbour",
    colourName: "Harbour",
    doses: [{ colourantName: "Sea-blue liquid tint", percentOfMix: 0.2 * 1.15 }],
    thicknessMm: 3,
    madeOn: "2026-06-01",
    looks: [],
  },
  picture: false,
  nextLook: "2026-09-01",
  due: false,
};

test("a chip says what is in it, and when to look again", () => {
  expect(chipText(VIEW, METRIC)).toContain("0.23 % Sea-blue liquid tint; 3 mm thick; made ");
  expect(nextText(VIEW)).toMatch(/^Look again .*1 Sept/);
  expect(nextText({ ...VIEW, due: true })).toContain("in the dark");
  expect(nextText({ chip: VIEW.chip, picture: false, due: false })).toContain("over");
});

test("a look is told by how long after it came", () => {
  expect(lookText("2026-06-01", { on: "2026-06-02", was: "SAME" })).toBe("after 1 day the same");
  expect(lookText("2026-06-01", { on: "2026-09-01", was: "A_LITTLE", note: "on the sill" })).toBe(
    "after 3 months a little changed: on the sill",
  );
});
