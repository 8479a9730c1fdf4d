import type { CupNow, RunStep } from "../api/client";
import { showWith } from "../units/units";
import { useUnits } from "../units/UnitsProvider";
import { type Measure, unitOf } from "../words/measured";
import { Keypad } from "./Keypad";

interface Props {
  step: RunStep;
  /** How it is measured: what is typed is read in that. */
  measure: Measure | undefined;
  cups: CupNow[];
  onDone: (grams: number) => void;
  onCancel: () => void;
}

/** An amount by hand, beside what was planned; nobody pours more out of a cup than is in it. */
export function WeightPad({ step, measure, cups, onDone, onCancel }: Props) {
  const units = useUnits();
  const cup = step.kind === "POUR" ? cups.find((c) => c.cupId === step.cupId) : undefined;
  const marks = measure?.marks === true;
  const unit = measure ? unitOf(units, measure) : units.MASS;
  // Up to the last figure that is shown.
  const tens = 10 ** unit.digits;
  const most =
    step.mostG === undefined ? undefined : Math.ceil((step.mostG / unit.scale) * tens) / tens;
  const mostIs = cup
    ? `${cup.colourName} has no more in it than`
    : step.kind === "SPLIT"
      ? "There is no more than, or the cup holds no more than,"
      : "The mixing cup holds no more than";
  return (
    <Keypad
      what={marks ? "How much went in" : "What the scale says"}
      unit={unit.symbol}
      planned={step.targetG === undefined ? undefined : showWith(unit, step.targetG)}
      {...(most === undefined ? {} : { most, mostIs })}
      onDone={(value) => onDone(value * unit.scale)}
      onCancel={onCancel}
    />
  );
}
