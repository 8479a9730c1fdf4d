import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { type ReactNode, useState } from "react";
import { useRescue } from "../api/asking";
import type { Batch, BatchRescue, Session } from "../api/client";
import { NumberField } from "../ui/NumberField";
import { Told, WrongMark } from "../ui/Told";
import { useUnits } from "../units/UnitsProvider";
import { showWith } from "../units/units";
import { measured, measureOf, measureOfPart, unitOf } from "../words/measured";

interface Props {
  session: Session;
  batch: Batch;
}

/** What to add when the cup does not hold what the card said. */
export function RescueForm({ session, batch }: Props) {
  const units = useUnits();
  const [inA, setA] = useState<number | null>(null);
  const [inB, setB] = useState<number | null>(null);
  const [readable, setReadable] = useState({ a: true, b: true });
  const { answer, current, trouble } = useRescue(session, batch.number, inA, inB);
  // Advice for what was typed before must not be read off and poured.
  const shown =
    (inA === null && inB === null) || !readable.a || !readable.b || !current ? null : answer;
  const unitA = unitOf(units, measureOfPart(batch, "A"));
  const unitB = unitOf(units, measureOfPart(batch, "B"));
  const mix = (g: number) => measured(units, measureOf(batch), g);
  const errorAt = (field: string) => trouble?.errors.find((e) => e.field === field);
  return (
    <Box component="section" aria-label="Not what you planned?">
      <Typography variant="h2" sx={{ mb: 1.25 }}>
        Not what you planned?
      </Typography>
      <Box sx={{ display: "flex", gap: 1.25, flexWrap: "wrap" }}>
        <NumberField
          label="A really in it"
          unit={unitA}
          value={inA}
          onChange={setA}
          onReadable={(a) => setReadable((now) => ({ ...now, a }))}
          optional
          width={150}
          error={errorAt("inAG")}
        />
        <NumberField
          label="B really in it"
          unit={unitB}
          value={inB}
          onChange={setB}
          onReadable={(b) => setReadable((now) => ({ ...now, b }))}
          optional
          width={150}
          error={errorAt("inBG")}
        />
      </Box>
      {trouble && trouble.errors.length === 0 && <Told trouble={trouble} />}
      {!shown && !trouble && (
        <Box sx={{ color: "text.secondary", mt: 1, fontSize: "0.92rem" }}>
          Say what is in it, also when B went into the wrong cup: it can be saved as long as nothing
          has to come out. The other cup’s part alone stays good.
        </Box>
      )}
      {shown && (
        <Box aria-live="polite" sx={{ mt: 1.25 }}>
          <Box sx={{ fontSize: "1.7rem", fontWeight: 700, lineHeight: 1.25 }}>
            {adding(shown, (g, part) => showWith(part === "A" ? unitA : unitB, g))}
          </Box>
          <Box component="ul" sx={{ pl: 2.25, my: 0.75 }}>
            {shown.rescue.errorIfLeftPercent !== undefined &&
              Math.abs(shown.rescue.errorIfLeftPercent) <= shown.tolerancePercent && (
                <li>
                  As it is, A is off by {Math.abs(shown.rescue.errorIfLeftPercent).toFixed(1)} %,
                  within the {shown.tolerancePercent} % of this resin.
                </li>
              )}
            {shown.rescue.takeOutG !== undefined && (
              <li>
                Or take {showWith(units.MASS, shown.rescue.takeOutG)} out again: A and B have not
                met yet.
              </li>
            )}
            {Math.abs(shown.rescue.errorAfterPercent) >= 0.05 && (
              <li>
                A is then {Math.abs(shown.rescue.errorAfterPercent).toFixed(1)} % too{" "}
                {shown.rescue.errorAfterPercent > 0 ? "much" : "little"}; {shown.tolerancePercent} %
                is allowed.
              </li>
            )}
            <li>
              That makes {mix(shown.rescue.totalG)}
              {shown.rescue.beyondPlanG > 0.05
                ? `, ${mix(shown.rescue.beyondPlanG)} more than planned: an overage of ${shown.overagePercent.toFixed(0)} %`
                : ", as planned"}
              .
            </li>
            {shown.rescue.beyondPlanG > 0.05 && shown.fillers.length > 0 && (
              <li>
                The rest fits{" "}
                {shown.fillers
                  .slice(0, 3)
                  .map((f) => `${f.pieces} × ${f.name}`)
                  .join(", or ")}
                .
              </li>
            )}
          </Box>
          {shown.overLargestBatchG !== undefined && (
            <Warning>
              {showWith(units.MASS, shown.overLargestBatchG)} above the label’s largest batch: split
              it into shallow cups at once.
            </Warning>
          )}
          {shown.overCupMl !== undefined && (
            <Warning>
              It will not fit: the cup is {showWith(units.VOLUME, shown.overCupMl)} too small. Pour
              on into a larger one first.
            </Warning>
          )}
        </Box>
      )}
    </Box>
  );
}

function adding(answer: BatchRescue, mass: (g: number, part: "A" | "B") => string): string {
  const { addAG, addBG } = answer.rescue;
  if (addAG > 0 && addBG > 0) {
    return `Add ${mass(addAG, "A")} of A and ${mass(addBG, "B")} of B`;
  }
  if (addAG > 0) {
    return `Add ${mass(addAG, "A")} of A`;
  }
  return addBG > 0 ? `Add ${mass(addBG, "B")} of B` : "Nothing to add: it is right";
}

function Warning({ children }: { children: ReactNode }) {
  return (
    <Box sx={{ display: "flex", gap: 1, color: "error.main", mt: 0.5 }}>
      <WrongMark />
      <span>{children}</span>
    </Box>
  );
}
