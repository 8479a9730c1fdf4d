import { ofCup } from "../session/place";
import type { Batch, Finding, Plan } from "../api/client";
import { showWith, type Units } from "../units/units";
import { cupName, placeText } from "./places";

/** What is told above everything about time, on every screen and on paper. */
const HEAT: ReadonlySet<Finding["rule"]> = new Set([
  "RESIN_HOT",
  "HOT_IF_FORGOTTEN",
  "PIECE_GETS_HOT",
  "BATCH_TOO_LARGE",
  "DEEPER_THAN_RATED",
]);

export function isHeat(finding: Finding): boolean {
  return HEAT.has(finding.rule) && finding.severity !== "NOTE" && finding.accepted === undefined;
}

export function heatWarnings(plan: Plan): Finding[] {
  return plan.findings.filter(isHeat);
}

/** Which batch a warning is about; null for one that is about all of them. */
export function batchOf(finding: Finding, plan: Plan): number | null {
  const [kind, id] = finding.place.split("/");
  if (kind === "batch") {
    return Number(id);
  }
  const its = plan.batches.find((b) =>
    b.cups.some(
      (c) =>
        (kind === "cup" && c.id === id) ||
        (kind === "pour" && c.pours.some((p) => p.id === id)) ||
        (kind === "piece" && c.pours.some((p) => p.line === Number(id))),
    ),
  );
  return its?.number ?? null;
}

interface Figure {
  name: string;
  planned: string;
  /** Missing for a piece, which stays where it is poured. */
  forgotten: string | null;
}

/** How warm a batch gets: its mixing cup, its hottest cup, its hottest piece. */
export function heatFigures(batch: Batch, plan: Plan, units: Units): Figure[] {
  const { heat } = batch;
  if (!heat) {
    return [];
  }
  const warm = (celsius: number) => showWith(units.TEMPERATURE, celsius, 0);
  const figures: Figure[] = [];
  if (batch.split) {
    figures.push({
      name: "mixing cup",
      planned: warm(heat.mixing.plannedC),
      forgotten: warm(heat.mixing.forgottenC),
    });
  }
  if (heat.cup) {
    const place = heat.cup.place;
    const cup = batch.cups.find((c) => place === ofCup(c.id));
    figures.push({
      name: cup ? `${cupName(batch.cups, cup)} cup` : "cup",
      planned: warm(heat.cup.plannedC),
      forgotten: warm(heat.cup.forgottenC),
    });
  }
  if (heat.piece) {
    figures.push({
      name: placeText(heat.piece.place, plan),
      planned: warm(heat.piece.plannedC),
      forgotten: null,
    });
  }
  return figures;
}
