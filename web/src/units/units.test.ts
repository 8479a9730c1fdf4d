import { describe, expect, it } from "vitest";
import { METRIC, readIn, readNumber, show, showWith, usUnits } from "./units";

describe("readNumber", () => {
  it.each([
    ["1.5", 1.5],
    ["1,5", 1.5],
    [" 12 ", 12],
    [".5", 0.5],
    ["-3", -3],
    ["", null],
  ])("reads %j", (text, value) => {
    expect(readNumber(text)).toBe(value);
  });

  it.each(["1e9", "1,000.5", "12 g", "NaN", "Infinity", "1.2.3", "abc", "-"])(
    "is no number: %j",
    (text) => {
      expect(readNumber(text)).toBeUndefined();
    },
  );
});

describe("readIn", () => {
  // NIST SP 811, appendix B.8: 1 psi = 6.894 757 kPa; 1 bar = 100 kPa.
  it.each([
    ["30 psi", 206.843],
    ["207kPa", 207],
    ["2,5 bar", 250],
    ["250", 250],
  ])("reads a gauge: %j", (text, kPa) => {
    expect(readIn(METRIC.PRESSURE, text)).toBeCloseTo(kPa, 2);
  });

  it("knows no gauge anywhere else", () => {
    expect(readIn(METRIC.MASS, "30 psi")).toBeUndefined();
    expect(readIn(METRIC.PRESSURE, "psi")).toBeUndefined();
  });
});

describe("display units", () => {
  // NIST SP 811, appendix B.8: 1 avoirdupois ounce = 28.349 52 g; 1 US fluid ounce = 29.573 53 mL.
  const us = usUnits([
    { unit: "WEIGHT_OUNCE", quantity: "MASS", scale: 28.349523125, zeroAt: 0 },
    { unit: "US_FLUID_OUNCE", quantity: "VOLUME", scale: 29.5735295625, zeroAt: 0 },
    { unit: "FAHRENHEIT", quantity: "TEMPERATURE", scale: 5 / 9, zeroAt: 32 },
  ]);

  it("never mixes up the two ounces", () => {
    expect(showWith(us.MASS, 28.34952)).toBe("1.00 oz wt");
    expect(showWith(us.VOLUME, 29.57353)).toBe("1.00 US fl oz");
  });

  it("shifts temperatures", () => {
    expect(show(us.TEMPERATURE, 22)).toBe("72");
    expect(showWith(METRIC.TEMPERATURE, 22)).toBe("22.0 °C");
  });
});
