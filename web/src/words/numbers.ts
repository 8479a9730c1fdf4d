import { showWith, type Units } from "../units/units";

const NUMBERS = ["No", "One", "Two", "Three", "Four", "Five", "Six", "Seven", "Eight", "Nine"];

export function countWord(count: number): string {
  return NUMBERS[count] ?? String(count);
}

const ORDINALS = ["first", "second", "third", "fourth", "fifth", "sixth", "seventh", "eighth"];

export function ordinal(place: number): string {
  return ORDINALS[place - 1] ?? `no. ${place}`;
}

export function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

/** A number in one of the trade's units, in the maker's units where there is a choice. */
export function withUnit(value: number, unit: string, units: Units): string {
  switch (unit) {
    case "g":
      return units.MASS.symbol === "g" ? `${figure(value)} g` : showWith(units.MASS, value, 3);
    case "mL":
      return units.VOLUME.symbol === "mL"
        ? `${figure(value)} mL`
        : showWith(units.VOLUME, value, 3);
    case "mm":
      return units.LENGTH.symbol === "mm" ? `${figure(value)} mm` : showWith(units.LENGTH, value);
    case "°C":
      return showWith(units.TEMPERATURE, value);
    case "K/h":
      return `${showWith(units.TEMPERATURE_DIFFERENCE, value, 1)} an hour`;
    default:
      return `${figure(value)} ${unit}`.trim();
  }
}

/** Four figures are more than any scale at the bench shows. */
export function figure(value: number): string {
  if (Number.isInteger(value)) {
    return String(value);
  }
  const digits = Math.abs(value) >= 100 ? 1 : Math.abs(value) >= 1 ? 2 : 3;
  return String(Number(value.toFixed(digits)));
}
