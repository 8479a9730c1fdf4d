import { describe, expect, it } from "vitest";
import { change, massAt, slidTo } from "./setUps";

describe("set-ups", () => {
  it("leaves out what was taken away, so that the server reads it as not said", () => {
    const setUp = {
      resinId: "r",
      massG: 100,
      cupId: "c",
      roomC: 22,
      mixMinutes: 3,
      restMinutes: 5,
      lampMinutes: 0,
      splitInto: 1,
      lies: "CUP",
    } as const;
    expect(change(setUp, { cupId: undefined })).not.toHaveProperty("cupId");
    expect(change(setUp, { massG: 20 }).massG).toBe(20);
  });

  it("reaches both ends of the slider and comes back to where a mass lies", () => {
    expect(massAt(0)).toBe(5);
    expect(massAt(1)).toBe(5000);
    for (const mass of [20, 100, 300, 2000]) {
      expect(massAt(slidTo(mass))).toBe(mass);
    }
  });
});
