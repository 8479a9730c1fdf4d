import { describe, expect, it } from "vitest";
import type { ResinView, ShelfView } from "../api/client";
import { METRIC } from "../units/units";
import { cupText, labelDoubt, tendencyText } from "./shelf";

describe("what a label says against itself", () => {
  const says = (kind: ResinView["doubts"][number]["kind"], value?: number, against?: number) =>
    labelDoubt(
      {
        kind,
        unit: "",
        ...(value === undefined ? {} : { value }),
        ...(against === undefined ? {} : { against }),
      },
      METRIC,
    );

  it("gives the figures and what to do about it", () => {
    expect(says("RATIOS_DISAGREE", 1.5, 1.14)).toContain("1.50 times as dense as B; 1.14");
    expect(says("BATCH_OUTLIVES_POT_LIFE", 5000, 100)).toContain("5000 g at once");
    expect(says("DEMOULD_AFTER_FULL_CURE", 80, 72)).toContain("80 h, yet fully cured after 72 h");
    expect(says("SLOW_YET_SOON_OUT", 3, 0.6667)).toContain("40 min and out of the mould after 3 h");
    expect(says("FOR_EVERY_USE")).toContain("Trust the figures");
  });

  it("never shows an empty figure", () => {
    for (const kind of ["DEMOULD_BEFORE_TACK_FREE", "RECOAT_AFTER_FULL_CURE"] as const) {
      expect(says(kind, 1.25, 6)).not.toMatch(/undefined|NaN/);
    }
  });
});

describe("where an embed comes to rest", () => {
  const shelf = {
    resins: [{ resin: { id: "a", name: "Slow" } }, { resin: { id: "b", name: "Deep" } }],
  } as ShelfView;
  const embed = (first: string, second: string) =>
    ({
      tendencies: [
        { resinId: "a", tendency: first },
        { resinId: "b", tendency: second },
      ],
    }) as ShelfView["embeds"][number];

  it("is told once where all resins agree, and resin by resin where they do not", () => {
    expect(tendencyText(embed("SINKS", "SINKS"), shelf)).toBe("sinks in every resin here");
    expect(tendencyText(embed("SINKS", "HOVERS"), shelf)).toBe(
      "sinks in Slow, hardly moves in Deep",
    );
  });
});

it("warns of wax and stays silent of what nobody noted", () => {
  expect(cupText("WAXED_PAPER")).toContain("not for resin");
  expect(cupText(undefined)).toBe("");
});
