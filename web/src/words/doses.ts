import type { Dose } from "../api/client";
import { fitting, show, showWith, type Units } from "../units/units";

/** Drops and scoops as they are counted out. */
export function doseText(drops: number | undefined, scoops: number | undefined): string {
  if (drops !== undefined) {
    return drops === 1 ? "1 drop" : `${drops} drops`;
  }
  if (scoops === undefined) {
    return "";
  }
  if (scoops === 0) {
    return "a trace";
  }
  return `${quarters(scoops)} ${scoops <= 1 ? "scoop" : "scoops"}`;
}

/** A number in quarters, such as 3¾. */
export function quarters(of: number): string {
  const whole = Math.floor(of);
  const part = ["", "¼", "½", "¾"][Math.round((of - whole) * 4)] ?? "";
  return `${whole === 0 ? "" : whole}${part}`;
}

function grams(dose: Dose, units: Units): string {
  return showWith(units.MASS, dose.massG, Math.max(2, units.MASS.digits));
}

/** How a dose is measured, in a few words: what is done first, then what it comes to. */
export function doseWords(dose: Dose, units: Units): string {
  const counted = doseText(dose.drops, dose.scoops);
  const from = dose.implement ? ` (${dose.implement})` : "";
  switch (dose.by) {
    case "STOCK":
      return `${showWith(units.MASS, dose.stock?.takeG ?? 0, 2)} of its stock, which brings ${grams(dose, units)}${off(dose.errorPercent)}`;
    case "COUNT":
      return `${counted}${from}, ${grams(dose, units)}${off(dose.errorPercent)}`;
    case "SCALE":
      return `${grams(dose, units)} on the scale${off(dose.errorPercent)}; about ${counted}${from}`;
    case "WITH_MIX":
      return `${grams(dose, units)}, already in the mix`;
    case "NOTHING":
      return `none: ${showWith(units.MASS, dose.wantedG, 3)} cannot be measured here`;
  }
}

/** What is done for a dose, and its unit, for the largest figure on a screen. */
export function doseFigure(dose: Dose, units: Units): { figure: string; unit: string } {
  const counted = doseText(dose.drops, dose.scoops);
  const at = counted.indexOf(" ");
  if (dose.by === "COUNT" && at > 0) {
    return { figure: counted.slice(0, at), unit: `${counted.slice(at + 1)} ${dose.colourantName}` };
  }
  const stock = dose.stock;
  const massG = stock ? stock.takeG : dose.massG;
  const unit = fitting(units.MASS, massG);
  return {
    figure: show(unit, massG, Math.max(2, unit.digits)),
    unit: `${unit.symbol} ${dose.colourantName}${stock ? " stock" : ""}`,
  };
}

/** What counting and weighing does to a dose, where it matters. */
function off(percent: number): string {
  return Math.abs(percent) < 1
    ? ""
    : `; ${Math.abs(percent).toFixed(0)} % ${percent > 0 ? "more" : "less"} than the recipe`;
}

/** How a stock cup is made and what is taken of it. */
export function stockText(dose: Dose, units: Units): string {
  const { stock } = dose;
  if (!stock) {
    return "";
  }
  const unit = `${dose.scoops === undefined ? "drop" : "quarter scoop"}${stock.counted === 1 ? "" : "s"}`;
  return `${stock.counted} ${unit} of ${dose.colourantName} into ${showWith(units.MASS, stock.resinG, 1)} of the mix; of that ${showWith(units.MASS, stock.takeG, 2)} go into the cup, ${showWith(units.MASS, stock.leftG, 1)} are left over.`;
}
