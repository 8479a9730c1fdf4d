import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useTheme } from "@mui/material/styles";
import { useEffect, useState, type ReactNode } from "react";
import { api, ask, type Plan, type Session, type Weight } from "../api/client";
import { showWith, type Units } from "../units/units";
import { useUnits } from "../units/UnitsProvider";
import { minutes, withUnit } from "./wording";

/** What the patterns and marks of the pour line mean. */
export function Legend({ pairs, children }: { pairs: number; children?: ReactNode }) {
  const { vars } = useTheme();
  const ink = (vars ?? {}).palette?.ink;
  const box = { width: 34, height: 12, verticalAlign: "-1px", marginRight: 5 } as const;
  return (
    <Box sx={{ display: "flex", gap: 2, flexWrap: "wrap" }}>
      <span>
        <svg style={box}>
          <rect width="34" height="12" fill={ink?.rule} />
        </svg>
        pourable
      </span>
      <span>
        <svg style={box}>
          <rect width="34" height="12" fill={ink?.rubber} />
          {[4, 11, 18, 25, 31].map((x, i) => (
            <circle key={x} cx={x} cy={i % 2 ? 8.5 : 3.5} r="1.4" fill={ink?.line} />
          ))}
        </svg>
        thick
      </span>
      <span>
        <svg style={box}>
          <rect width="34" height="12" fill={ink?.rubber} />
          <path
            d="M0 12L12 0M8 12L20 0M16 12L28 0M24 12L36 0"
            stroke={ink?.line}
            strokeWidth="1.5"
          />
        </svg>
        gel
      </span>
      <span>
        <svg style={{ ...box, width: 6 }}>
          <path d="M3 0V12" stroke={ink?.line} strokeWidth="1.5" strokeDasharray="2 3" />
        </svg>
        last good moment
      </span>
      <span>{pairs > 1 ? "two pairs of hands, the helper’s broken" : "one pair of hands"}</span>
      {children}
    </Box>
  );
}

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
  const [weights, setWeights] = useState<Weight[] | null>(null);
  const count = plan.assumptions.length;
  useEffect(() => {
    if (!open) {
      return undefined;
    }
    let here = true;
    void ask(api.POST("/api/plan/assumed", { body: session })).then((answer) => {
      if (here) {
        setWeights(answer.status === "ok" ? answer.value : null);
      }
    });
    return () => {
      here = false;
    };
  }, [open, session]);
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
