import Box from "@mui/material/Box";
import { useTheme } from "@mui/material/styles";
import { BarChart } from "@mui/x-charts/BarChart";
import type { HowPlansHeld } from "../api/client";
import { lateGroups } from "../words/journal";

interface Props {
  latest: HowPlansHeld["latest"];
}

const HEIGHT = 240;

/** How many pours ended how long before or after their planned minute. */
export function PlansPlot({ latest }: Props) {
  const { vars } = useTheme();
  const ink = (vars ?? {}).palette?.ink;
  const groups = lateGroups(latest);
  return (
    <Box role="img" aria-label="Pours: planned and real end" sx={{ maxWidth: 720 }}>
      <BarChart
        height={HEIGHT}
        skipAnimation
        hideLegend
        dataset={groups}
        series={[{ dataKey: "pours", label: "pours", color: ink?.line ?? "#22313A" }]}
        xAxis={[
          {
            dataKey: "words",
            scaleType: "band",
            label: "minutes before (−) or after (+) the planned end",
            height: 52,
          },
        ]}
        yAxis={[{ label: "pours", width: 56 }]}
        grid={{ horizontal: true }}
      />
    </Box>
  );
}
