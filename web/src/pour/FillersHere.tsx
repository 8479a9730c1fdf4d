import Box from "@mui/material/Box";
import { useQuery } from "@tanstack/react-query";
import { api, type Plan } from "../api/client";
import { value } from "../api/queries";
import { useUnits } from "../units/UnitsProvider";
import { showWith } from "../units/units";
import { cupOf } from "../words/steps";

interface Props {
  runId: string;
  plan: Plan;
  /** What changes when something was told. */
  told: number;
  at: (seconds: number) => string;
}

/** Which moulds take what is left, and until when it pours. */
export function FillersHere({ runId, plan, told, at }: Props) {
  const units = useUnits();
  const { data } = useQuery({
    queryKey: ["fillers", runId, told],
    queryFn: () => value(api.GET("/api/runs/{id}/fillers", { params: { path: { id: runId } } })),
  });
  if (!data || data.length === 0) {
    return null;
  }
  return (
    <Box
      component="ul"
      aria-label="What takes what is left"
      sx={{ m: 0, pl: 3, fontSize: { xs: "1.05rem", md: "1.35rem" } }}
    >
      {data.map((cup) => {
        const [best] = cup.fillers.filter((f) => f.inTime);
        return (
          <li key={cup.cupId}>
            {cupOf(plan, cup.cupId)?.colour.name} {showWith(units.VOLUME, cup.leftMl)}, until{" "}
            {at(cup.untilSeconds)}:{" "}
            {best
              ? `${best.pieces} × ${best.name}`
              : "no dry mould that small; spread it thin to cure"}
          </li>
        );
      })}
    </Box>
  );
}
