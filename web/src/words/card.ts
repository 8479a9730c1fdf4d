import type { Batch, BatchCard, CardStep, Counted, MeasureEffect } from "../api/client";
import { showWith, type Units } from "../units/units";
import { cupName } from "./places";

/** What to do in a step, in a few words that can be read from a distance. */
export function stepTitle(step: CardStep, card: BatchCard, batch: Batch): string {
  const cup = batch.cups.find((c) => c.id === step.cupId);
  const name = cup ? cupName(batch.cups, cup) : step.what;
  switch (step.kind) {
    case "WEIGH_FIRST":
      return `Pour in ${step.what}`;
    case "WEIGH_SECOND":
      return `Add ${step.what}`;
    case "WARM":
      return step.what === "A" ? "Warm A" : "Stand A and B in warm water";
    case "STIR":
      return "Stir slowly, fold, scrape sides and bottom";
    case "SECOND_CUP":
      return "Over into a clean cup, stir on with a clean stick";
    case "STOCK_CUP":
      return `Make the stock for ${name}`;
    case "REST":
      return "Let it rest for the bubbles";
    case "RELEASE":
      return "Bring the bubbles out of the mix";
    case "SPLIT":
      return `Split off ${name}`;
    case "TINT":
      return `Tint ${name}`;
    default:
      return card.resinName;
  }
}

/** Why a step is as it is, in a line. */
export function stepWhy(step: CardStep): string {
  switch (step.kind) {
    case "WEIGH_FIRST":
      return step.what === "B"
        ? "The thinner part first, so that the thick one does not cling to the floor."
        : "A first, as you are used to; scrape the floor well.";
    case "WEIGH_SECOND":
      return "From here the clock runs. Slow down before the mark: nothing can be taken out again.";
    case "WARM":
      return step.what === "A"
        ? "In hot water with the bottle shut and dried, or with hot air in its cup; B stays cool. It is thinner, and thick sooner. Hot water scalds."
        : "Bottles shut, dried before they are opened: no water in. Warm resin is thinner and clears of bubbles; it also thickens sooner. Hot water scalds.";
    case "SECOND_CUP":
      return "What clings to the first wall may be unmixed: leave it there, do not scrape it out.";
    case "STOCK_CUP":
      return "A dose too small to measure is stirred into a little of the mix first, and a part of that is weighed in.";
    case "STIR":
      return "Milky, then clear is the sign; white froth is air. Do not scrape the wall out at the end.";
    case "REST":
      return "The clock goes on. Set out the cups; lukewarm is ready, warming quickly is a warning.";
    case "RELEASE":
      return "The clock goes on; warmth costs time to pour. No flame and no hot air where alcohol is out.";
    case "SPLIT":
      return "Shallow cups stay cooler and last longer; split before tinting.";
    case "TINT":
      return "Begin low. Stir until no lump is left.";
    default:
      return "";
  }
}

export function countedText(counted: Counted, one: string, many: string, units: Units): string {
  const of = (count: number, part: string) => `${count} ${count === 1 ? one : many} of ${part}`;
  const off =
    Math.abs(counted.ratioErrorPercent) < 0.05
      ? "exactly in the ratio"
      : `A ${Math.abs(counted.ratioErrorPercent).toFixed(1)} % too ${counted.ratioErrorPercent > 0 ? "much" : "little"}`;
  return `${of(counted.countA, "A")} and ${of(counted.countB, "B")}: ${showWith(units.MASS, counted.totalG)}, ${off}`;
}

const SCHOOLS: Record<MeasureEffect["school"], string> = {
  ONE_CUP: "Measured in one cup, one on the other",
  SCRAPE: "Two cups, the emptied one scraped out",
  OVERFILL: "Two cups, the emptied one overfilled",
  EQUAL_RESIDUE: "Both poured into a third cup",
};

export function measureText(effect: MeasureEffect, units: Units): string {
  const error = effect.ratioErrorPercent;
  const off =
    Math.abs(error) < 0.05
      ? "nothing is lost"
      : `A is ${Math.abs(error).toFixed(1)} % too ${error > 0 ? "much" : "little"}`;
  const extra = effect.extraG > 0 ? ` by ${showWith(units.MASS, effect.extraG)}` : "";
  return `${SCHOOLS[effect.school]}${extra}: ${off}.`;
}
