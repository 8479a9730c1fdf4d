import type { CupNow, RunStep } from "../api/client";
import { showWith } from "../units/units";
import { useUnits } from "../units/UnitsProvider";
import { Keypad } from "./Keypad";

interface Props {
  step: RunStep;
  cups: CupNow[];
  onDone: (grams: number) => void;
  onCancel: () => void;
}

/** A weight by hand, beside what was planned; nobody pours more out of a cup than is in it. */
export function WeightPad({ step, cups, onDone, onCancel }: Props) {
  const units = useUnits();
  const cup = step.kind === "POUR" ? cups.find((c) => c.cupId === step.cupId) : undefined;
  // Up to the last figure that is shown.
  const tens = 10 ** units.MASS.digits;
  const most =
    step.mostG === undefined ? undefined : Math.ceil((step.mostG / units.MASS.scale) * tens) / tens;
  const mostIs = cup
    ? `${cup.colourName} has no more in it than`
    : step.kind === "SPLIT"
      ? "There is no more than, or the cup holds no more than,"
      : "The mixing cup holds no more than";
  return (
    <Keypad
      what="What the scale says"
      unit={units.MASS.symbol}
      planned={step.targetG === undefined ? undefined : showWith(units.MASS, step.targetG)}
      {...(most === undefined ? {} : { most, mostIs })}
      onDone={(value) => onDone(value * units.MASS.scale)}
      onCancel={onCancel}
    />
  );
}
