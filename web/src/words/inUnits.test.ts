import { describe, expect, it } from "vitest";
import { METRIC, type Units } from "../units/units";
import { inUnits } from "./inUnits";

// Factors by NIST SP 811, B.8.
const US: Units = {
  MASS: { symbol: "oz wt", digits: 2, scale: 28.34952, zeroAt: 0 },
  VOLUME: { symbol: "US fl oz", digits: 2, scale: 29.57353, zeroAt: 0 },
  LENGTH: { symbol: "in", digits: 2, scale: 25.4, zeroAt: 0 },
  TEMPERATURE: { symbol: "°F", digits: 0, scale: 5 / 9, zeroAt: 32 },
  TEMPERATURE_DIFFERENCE: { symbol: "°F", digits: 1, scale: 5 / 9, zeroAt: 0 },
  PRESSURE: { symbol: "psi", digits: 0, scale: 6.894757, zeroAt: 0 },
};

describe("a text in the workshop’s units", () => {
  it.each([
    ["often 100 g at 23 °C.", "often 3.53 oz wt at 73 °F."],
    ["16 to 24 h at 150 mm, 20 to 25 mm deep", "16 to 24 h at 5.91 in, 0.79 to 0.98 in deep"],
    ["143 mL of a 1:1 resin", "4.84 US fl oz of a 1:1 resin"],
    ["10 °C warmer", "18 °F warmer"],
    ["give or take 1.5 °C", "give or take 2.7 °F"],
    // What no ounce tells stays as scales and spoons tell it.
    ["a drop is 0.035 g, a scoop 0.15 mL", "a drop is 0.035 g, a scoop 0.15 mL"],
    ["15 s and 1 s a mL", "15 s and 1 s a mL"],
    ["120 g/mL, 3 gloves", "120 g/mL, 3 gloves"],
  ])("%s", (metric, us) => {
    expect(inUnits(metric, METRIC)).toBe(metric);
    expect(inUnits(metric, US)).toBe(us);
  });
});
