import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useState } from "react";
import { useAssumed } from "../../api/asking";
import type { Plan, Session, Weight } from "../../api/client";
import { useUnits } from "../../units/UnitsProvider";
import { showWith, type Units } from "../../units/units";
import { withUnit } from "../../words/numbers";
import { minutes } from "../../words/time";

const QUANTITIES: Record<string, string> = {
  densityA: "density of A",
  densityB: "density of B",
  potLifeMinutes: "pot life",
  potLifeMassG: "mass the pot life is meant for",
  potLifeTemperatureC: "temperature it is meant at",
  bulkDensity: "bulk density",
  waterPercent: "water in it",
  solventPercent: "solvent in it",
  trueDensity: "true density",
  dropG: "one drop",
  scoopMl: "one scoop",
  capacity: "capacity",
};

/** Starting values that stand in for what nobody measured or printed, and what each is worth. */
export function Assumed({ plan, session }: { plan: Plan; session: Session }) {
  const units = useUnits();
  const [open, setOpen] = useState(false);
  const weights = useAssumed(session, open).answer;
  const count = plan.assumptions.length;
  if (count === 0) {
    return null;
  }
  return (
    <Box sx={{ px: 1.5, pt: 0.5, fontSize: "0.9rem" }}>
      <Button onClick={() => setOpen(!open)} aria-expanded={open}>
        {count === 1 ? "One value is assumed" : `${count} values are assumed`}
      </Button>
      {open && (
        <Box
          component="ul"
          aria-label="Assumed values"
          sx={{ columns: { md: 2 }, mt: 0, color: "text.secondary" }}
        >
          {plan.assumptions.map((a) => (
            <li key={`${a.subjectId} ${a.quantity}`}>
              {a.subject}: {QUANTITIES[a.quantity] ?? a.quantity}{" "}
              <b>{withUnit(a.value, a.unit, units)}</b>
              {matters(
                weights?.find(
                  (w) =>
                    w.assumption.subjectId === a.subjectId && w.assumption.quantity === a.quantity,
                ),
                units,
              )}
            </li>
          ))}
        </Box>
      )}
    </Box>
  );
}

/** What would change if the value were as far off as it plausibly can be. */
function matters(weight: Weight | undefined, units: Units): string {
  if (!weight) {
    return "";
  }
  const { unit } = weight.assumption;
  const changes = [
    weight.resinG >= 0.05 ? `A and B by ${showWith(units.MASS, weight.resinG)}` : "",
    weight.spareMinutes >= 0.5 ? `time to spare by ${minutes(weight.spareMinutes)}` : "",
    weight.dosePercent >= 1 ? `its doses by ${weight.dosePercent.toFixed(0)} %` : "",
  ].filter(Boolean);
  const between = `${withUnit(weight.low, unit, units)} to ${withUnit(weight.high, unit, units)}`;
  return changes.length === 0
    ? `; hardly matters (${between})`
    : `; if ${between}, it changes ${changes.join(", ")}`;
}
