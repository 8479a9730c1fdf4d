import { fitting, METRIC, show, showWith, type Unit, type Units } from "../units/units";

const FIGURE =
  /(give or take )?(\d+(?:\.\d+)?)(?:( to | × )(\d+(?:\.\d+)?))? (°C|mm|mL|g)(?![\w²³/])( (?:warmer|cooler|colder|more)\b)?/g;

/** Less than a teaspoon is read in millilitres everywhere, mL. */
const TOO_LITTLE_FOR_OUNCES = 5;

/** What a text of ours says in metric, in the units this workshop reads. */
export function inUnits(text: string, units: Units): string {
  if (units.LENGTH.symbol === METRIC.LENGTH.symbol) {
    return text;
  }
  return text.replace(
    FIGURE,
    (
      said: string,
      about: string | undefined,
      first: string,
      and: string | undefined,
      second: string | undefined,
      symbol: string,
      by: string | undefined,
    ) => {
      const unit = unitOf(symbol, about !== undefined || by !== undefined, units);
      const most = Number(second ?? first);
      if (symbol === "mL" ? most < TOO_LITTLE_FOR_OUNCES : fitting(unit, most) !== unit) {
        return said;
      }
      const from = second === undefined ? "" : `${show(unit, Number(first))}${and ?? ""}`;
      // As one says it: 18 °F, not 18.0 °F.
      const to = showWith(unit, most).replace(/\.0+ /, " ");
      return `${about ?? ""}${from}${to}${by ?? ""}`;
    },
  );
}

function unitOf(symbol: string, difference: boolean, units: Units): Unit {
  switch (symbol) {
    case "°C":
      return difference ? units.TEMPERATURE_DIFFERENCE : units.TEMPERATURE;
    case "mm":
      return units.LENGTH;
    case "mL":
      return units.VOLUME;
    default:
      return units.MASS;
  }
}
