import Box from "@mui/material/Box";
import type { Plan, PourIn } from "../api/client";
import { Fig } from "../plan/how/How";
import { Tag } from "../pour/Tag";
import { useUnits } from "../units/UnitsProvider";
import { showWith } from "../units/units";
import { cavityName } from "../words/places";

const OUTCOMES = {
  POURED: "",
  OPEN: "not poured yet",
  GIVEN_UP: "given up",
  LOST: "lost",
} as const;

function spareWords(seconds: number): string {
  const minutes = Math.round(seconds / 60);
  return minutes < 0 ? `${-minutes} min too late` : `${minutes} min before it was thick`;
}

interface Props {
  pours: PourIn[];
  plan: Plan;
  at: (seconds: number) => string;
}

/** Every pour with its colour, minute and mass, in the order in which they were made. */
export function PourTable({ pours, plan, at }: Props) {
  const units = useUnits();
  return (
    <Box sx={{ overflowX: "auto" }}>
      <Box
        component="table"
        sx={{
          borderSpacing: { xs: "8px 2px", sm: "16px 2px" },
          ml: { xs: -1, sm: -2 },
          textAlign: "left",
        }}
      >
        <thead>
          <tr>
            <th>At</th>
            <th>Colour</th>
            <th>Cavity</th>
            <th>In it</th>
            <th>Its cup</th>
          </tr>
        </thead>
        <tbody>
          {pours.map((p) => (
            <tr key={p.pourId}>
              <td>{p.atSeconds === undefined ? "–" : at(p.atSeconds)}</td>
              <td>
                <Tag swatch={p.swatch} /> {p.colourName}
              </td>
              <td>{cavityName(plan, p.line, p.cavity)}</td>
              <td>
                {p.grams === undefined ? (
                  OUTCOMES[p.outcome]
                ) : (
                  <Fig of={`pour/${p.pourId}/grams`} what={cavityName(plan, p.line, p.cavity)}>
                    {showWith(units.MASS, p.grams)}
                    {p.weighed ? " weighed" : ", as planned"}
                  </Fig>
                )}
              </td>
              <td>
                {p.spareSeconds !== undefined && (
                  <Fig
                    of={`pour/${p.pourId}/spareMinutes`}
                    what={cavityName(plan, p.line, p.cavity)}
                  >
                    {spareWords(p.spareSeconds)}
                  </Fig>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </Box>
    </Box>
  );
}
