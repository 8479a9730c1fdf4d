import { describe, expect, it } from "vitest";
import { METRIC } from "../units/units";
import { cardLines, ringsWords, sayWords } from "./says";

const at = (seconds: number) => `${Math.floor(seconds / 60)} min on`;

describe("what a step says", () => {
  it("names an embed with how many, which way, how far out and how it is held", () => {
    const insert = {
      name: "Brass insert M4",
      layer: 0,
      count: 1,
      moment: "AFTER_POUR" as const,
      anchored: true,
      standsOutPercent: 40,
      facing: "open end to the back",
      tendency: "SINKS" as const,
      pointed: false,
      prepare: ["DRY_FIT" as const],
    };
    const [words] = cardLines({ embeds: [insert], says: [] }, "EMBED", METRIC, at);
    for (const part of ["1 a piece", "open end to the back", "stands out 40 %", "held until"]) {
      expect(words).toContain(part);
    }
    // Held, it does not sink; let go, it does.
    expect(words).not.toContain("sinks");
    const [loose] = cardLines(
      { embeds: [{ ...insert, anchored: false }], says: [] },
      "NUDGE",
      METRIC,
      at,
    );
    expect(loose).toContain("sinks when it is let go");
    expect(loose).not.toContain("tried dry");
  });

  it("says a pot in bar, a wait in hours, and a moment by the clock", () => {
    const say = (code: Parameters<typeof sayWords>[0]["code"], value: number) =>
      sayWords({ code, value }, METRIC, at);
    expect(say("SET_TO", 280)).toBe("Set it to 2.8 bar.");
    expect(say("DRIES", 120)).toBe("Then it dries 2 h before resin touches it.");
    expect(say("SHUT_UNTIL", 600)).toBe("It stays shut until 10 min on.");
  });

  it("tells both parts' rings in one breath", () => {
    expect(
      ringsWords([
        { code: "RINGS", value: 5, text: "B" },
        { code: "TILT" },
        { code: "RINGS", value: 13.25, text: "A" },
      ]),
    ).toBe("Or by the mixing cup’s own rings: B up to ring 5, then A up to ring 13¼.");
    expect(ringsWords([{ code: "TILT" }])).toBeNull();
  });
});
