import type { CupPeak, Refusal } from "../api/client";
import { showWith, type Units } from "../units/units";

export function peakText(peak: CupPeak, units: Units): string {
  return `${showWith(units.TEMPERATURE, peak.peakC, 0)} if forgotten`;
}

export function refusalText(refusal: Refusal): string {
  const value = `${Number(refusal.value.toPrecision(3))} ${refusal.unit}`;
  const against = `${Number(refusal.against.toPrecision(3))} ${refusal.unit}`;
  switch (refusal.why) {
    case "TOO_THICK_WHEN_FRESH":
      return `By its label it is thicker when fresh (${value}) than anything that can be poured (${against}), so no pot life fits it.`;
    case "MEANT_TOO_WARM":
      return `Its pot life is meant for ${value}, where nothing is poured.`;
    case "POT_LIFE_TOO_LONG":
      return `A pot life of ${value} is longer than anything that is looked at (${against}).`;
    case "POT_LIFE_OUT_OF_REACH":
      return `No speed of reaction gives a pot life of ${value} in a cup of that mass.`;
    case "LIQUID_AT_RECOAT":
      return `Its recoat time ends at ${value}, before it has gelled (${against}); a starting value stands in.`;
    case "LIQUID_AT_DEMOULD":
      return `Its demould time of ${value} comes before it has gelled (${against}); a starting value stands in.`;
    case "WARM_AT_DEMOULD":
      return `At its demould time it is still ${value} warmer than the room; it comes out when it has cooled.`;
    case "CURED_BEFORE_DEMOULD":
      return `Its full cure at ${value} does not fit its other times (${against}); a starting value stands in.`;
  }
}
