import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import type { Dose } from "../api/client";
import { useUnits } from "../units/UnitsProvider";
import { doseFigure } from "../words/doses";
import { doseTick } from "../words/steps";
import type { Happened } from "./useRun";

interface Props {
  /** The step that stirs them in. */
  taskId: string;
  doses: Dose[];
  checked: string[];
  onTell: (happened: Happened) => void;
}

/** Several pigments of one tint, each with its own tick: what is in is not counted in twice. */
export function Doses({ taskId, doses, checked, onTell }: Props) {
  const units = useUnits();
  return (
    <Box sx={{ display: "grid", gap: 1 }}>
      {doses.map((dose) => {
        const of = doseTick(taskId, dose);
        const ticked = checked.includes(of);
        const { figure, unit } = doseFigure(dose, units);
        return (
          <Button
            key={dose.colourantId}
            variant={ticked ? "contained" : "outlined"}
            aria-pressed={ticked}
            onClick={() => onTell({ kind: "CHECKED", of, ...(ticked ? { value: 0 } : {}) })}
            sx={{ minHeight: 84, justifyContent: "flex-start", gap: 2, fontSize: "1.4rem" }}
          >
            <Box component="span" sx={{ width: 28 }}>
              {ticked ? "✓" : ""}
            </Box>
            <Box component="span" sx={{ fontSize: "2.4rem", fontWeight: 700, lineHeight: 1 }}>
              {figure}
            </Box>
            <Box component="span" sx={{ textAlign: "left" }}>
              {unit}
            </Box>
          </Button>
        );
      })}
    </Box>
  );
}
