import type { UnitLine } from "../api/client";

export type Quantity = UnitLine["quantity"];

/** How one quantity is shown: the factor comes from the server, the digits from the unit. */
export interface Unit {
  symbol: string;
  digits: number;
  scale: number;
  zeroAt: number;
}

export type Units = Record<Quantity, Unit>;

export const METRIC: Units = {
  MASS: { symbol: "g", digits: 1, scale: 1, zeroAt: 0 },
  VOLUME: { symbol: "mL", digits: 1, scale: 1, zeroAt: 0 },
  LENGTH: { symbol: "mm", digits: 0, scale: 1, zeroAt: 0 },
  TEMPERATURE: { symbol: "°C", digits: 1, scale: 1, zeroAt: 0 },
  TEMPERATURE_DIFFERENCE: { symbol: "°C", digits: 1, scale: 1, zeroAt: 0 },
  PRESSURE: { symbol: "kPa", digits: 0, scale: 1, zeroAt: 0 },
};

const US_SHOWN: Record<Quantity, { unit: UnitLine["unit"]; symbol: string; digits: number }> = {
  MASS: { unit: "WEIGHT_OUNCE", symbol: "oz wt", digits: 2 },
  VOLUME: { unit: "US_FLUID_OUNCE", symbol: "US fl oz", digits: 2 },
  LENGTH: { unit: "INCH", symbol: "in", digits: 2 },
  TEMPERATURE: { unit: "FAHRENHEIT", symbol: "°F", digits: 0 },
  TEMPERATURE_DIFFERENCE: { unit: "FAHRENHEIT_DIFFERENCE", symbol: "°F", digits: 1 },
  PRESSURE: { unit: "PSI", symbol: "psi", digits: 0 },
};

/** US units with the server's factors; metric where it does not name one. */
export function usUnits(lines: UnitLine[]): Units {
  const units = { ...METRIC };
  for (const quantity of Object.keys(US_SHOWN) as Quantity[]) {
    const shown = US_SHOWN[quantity];
    const line = lines.find((l) => l.unit === shown.unit);
    if (line) {
      units[quantity] = { ...shown, scale: line.scale, zeroAt: line.zeroAt };
    }
  }
  return units;
}

export function show(unit: Unit, value: number, digits = unit.digits): string {
  return (value / unit.scale + unit.zeroAt).toFixed(digits);
}

/** Below a tenth of an ounce scales are read in grams everywhere, g. */
const TOO_LIGHT_FOR_OUNCES = 2.835;

/** The unit in which a scale would tell that much. */
export function fitting(unit: Unit, value: number): Unit {
  return unit.symbol === "oz wt" && Math.abs(value) < TOO_LIGHT_FOR_OUNCES
    ? { ...METRIC.MASS, digits: 2 }
    : unit;
}

export function showWith(unit: Unit, value: number, digits = unit.digits): string {
  const its = fitting(unit, value);
  if (its !== unit) {
    return `${show(its, value, Math.max(its.digits, digits))} ${its.symbol}`;
  }
  return `${show(unit, value, digits)} ${unit.symbol}`;
}

/**
 * A number as a maker types it: spaces around it and a decimal comma are fine, anything else is
 * not. Null for an empty field; undefined for what is no number.
 */
export function readNumber(text: string): number | null | undefined {
  const trimmed = text.trim();
  if (trimmed === "") {
    return null;
  }
  return /^[+-]?(\d+([.,]\d*)?|[.,]\d+)$/.test(trimmed)
    ? Number(trimmed.replace(",", "."))
    : undefined;
}

/** kPa in one of what gauges are marked in; the pound-force on a square inch by NIST SP 811, B.8. */
const GAUGES: Record<string, number> = { kpa: 1, bar: 100, psi: 6.894757 };

/** The same for a field in this unit: a pressure may be typed with what the gauge is marked in. */
export function readIn(unit: Unit, text: string): number | null | undefined {
  const marked = /^(.*\d[.,]?)\s*(kpa|bar|psi)$/i.exec(text.trim());
  const ours = GAUGES[unit.symbol.toLowerCase()];
  const theirs = GAUGES[marked?.[2]?.toLowerCase() ?? ""];
  if (!marked || ours === undefined || theirs === undefined) {
    return readNumber(text);
  }
  const value = readNumber(marked[1] ?? "");
  return typeof value === "number" ? (value * theirs) / ours : value;
}
