import type { Plan } from "../api/client";
import type { Units } from "../units/units";
import { findingText } from "./findings";
import { heatWarnings } from "./heat";

/** The warnings in words, the first that matters first. */
export function heatTexts(plan: Plan, units: Units): string[] {
  return heatWarnings(plan).map((finding) => findingText(finding, plan, units));
}

/** The first, and how many more there are. */
export function heatLine(texts: string[]): string | null {
  const [first, ...more] = texts;
  if (first === undefined) {
    return null;
  }
  return more.length === 0 ? `Heat: ${first}` : `Heat: ${first} And ${more.length} more.`;
}
