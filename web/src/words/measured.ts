import type { Amount, Batch, CardStep, Cup, Plan } from "../api/client";
import { showWith, type Unit, type Units } from "../units/units";

/** How a batch is measured: by marks where its label counts by volume, on the scale otherwise. */
export interface Measure {
  marks: boolean;
  /** What a millilitre of it weighs, by the plan's own figures. */
  gPerMl: number;
}

export function measureOf({ measuring }: Batch): Measure {
  return {
    marks: measuring.by === "VOLUME",
    gPerMl: measuring.totalG / (measuring.partA.volumeMl + measuring.partB.volumeMl),
  };
}

/** As the batch that a cup belongs to. */
export function measureOfCup(plan: Plan, cup: Cup): Measure {
  const batch = plan.batches.find((b) => b.number === cup.batch);
  return batch ? measureOf(batch) : { marks: false, gPerMl: 1 };
}

/** One part of the batch, which has a density of its own. */
export function measureOfPart(batch: Batch, part: "A" | "B"): Measure {
  const amount: Amount = part === "A" ? batch.measuring.partA : batch.measuring.partB;
  return { marks: batch.measuring.by === "VOLUME", gPerMl: amount.massG / amount.volumeMl };
}

/** What a step of the card handles: one part, or the mix. */
export function stepMeasure(step: CardStep, batch: Batch): Measure {
  const part = step.kind === "WEIGH_FIRST" || step.kind === "WEIGH_SECOND" ? step.what : null;
  return part === "A" || part === "B" ? measureOfPart(batch, part) : measureOf(batch);
}

/** The unit in which grams of it are told and typed: millilitres where marks are followed. */
export function unitOf(units: Units, { marks, gPerMl }: Measure): Unit {
  return marks ? { ...units.VOLUME, scale: units.VOLUME.scale * gPerMl } : units.MASS;
}

/** An amount by the label's measure. */
export function measured(units: Units, measure: Measure, massG: number, digits?: number): string {
  return showWith(unitOf(units, measure), massG, digits);
}

/** The same by the other measure, to stand beside it. */
export function otherwise(units: Units, measure: Measure, massG: number): string {
  return measured(units, { ...measure, marks: !measure.marks }, massG);
}
