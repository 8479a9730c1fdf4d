import type { Cup, Dose, Plan, RunStep } from "../api/client";
import type { Units } from "../units/units";
import { doseFigure } from "../words/doses";
import { cavityName, cupName } from "../words/places";

/** Something that can be put on the scale at the bench. */
export interface Weighable {
  /** As the event names it. */
  of: string;
  name: string;
  /** No more than that can be meant, g. */
  mostG: number;
  mostIs: string;
}

/** So many times as told nobody's drop or scoop weighs. */
const MOST_TIMES = 5;

/** What stayed in cups that are poured out. */
export function stayedIn(cups: Cup[]): Weighable[] {
  return cups.map((cup) => ({
    of: cup.id,
    name: cupName(cups, cup),
    mostG: cup.amounts.contentG,
    mostIs: "There was no more in it than",
  }));
}

/** Doses that are counted into a cup; what is weighed anyway teaches nothing. */
export function countedInto(cupId: string | undefined, doses: Dose[], units: Units): Weighable[] {
  return cupId === undefined
    ? []
    : doses
        .filter((d) => d.by === "COUNT")
        .map((dose) => {
          const { figure, unit } = doseFigure(dose, units);
          return {
            of: `${cupId}/${dose.colourantId}`,
            name: `${figure} ${unit}`,
            mostG: Math.max(0.1, dose.massG * MOST_TIMES),
            mostIs: "That many never weigh more than",
          };
        });
}

/** What lids squeezed out of the closed moulds of a batch, or of one line of it. */
export function squeezedOut(steps: RunStep[], shown: RunStep, plan: Plan): Weighable[] {
  const pours = plan.batches.flatMap((b) => b.cups.flatMap((c) => c.pours));
  return steps
    .filter((s) => s.batch === shown.batch && s.card.says.some((say) => say.code === "SURPLUS"))
    .flatMap((s) => pours.filter((p) => p.id === s.pourId))
    .filter((p) => shown.line === undefined || shown.line === p.line)
    .map((pour) => ({
      of: `${pour.line + 1}.${pour.cavity}`,
      name: cavityName(plan, pour.line, pour.cavity),
      mostG: pour.massG,
      mostIs: "There was no more in it than",
    }));
}
