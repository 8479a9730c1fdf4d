import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useTheme } from "@mui/material/styles";
import { useState, type ReactNode } from "react";
import type { Plan } from "../api/client";
import { useUnits } from "../units/UnitsProvider";
import { withUnit } from "./wording";

/** What the patterns and marks of the pour line mean. */
export function Legend({ children }: { children?: ReactNode }) {
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
      <span>one pair of hands</span>
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
  trueDensity: "true density",
  dropG: "one drop",
  scoopMl: "one scoop",
  capacity: "capacity",
};

/** Starting values that stand in for what nobody measured or printed. */
export function Assumed({ plan }: { plan: Plan }) {
  const units = useUnits();
  const [open, setOpen] = useState(false);
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
        <Box component="ul" sx={{ columns: { md: 2 }, mt: 0, color: "text.secondary" }}>
          {plan.assumptions.map((a) => (
            <li key={`${a.subjectId} ${a.quantity}`}>
              {a.subject}: {QUANTITIES[a.quantity] ?? a.quantity}{" "}
              <b>{withUnit(a.value, a.unit, units)}</b>
            </li>
          ))}
        </Box>
      )}
    </Box>
  );
}
