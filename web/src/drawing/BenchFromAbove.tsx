import { useTheme } from "@mui/material/styles";
import type { Plan } from "../api/client";
import { cavityName } from "../words/places";
import { useWidth } from "./useWidth";

/** How the moulds stand, seen from above: the back of the bench is at the top. */
export function BenchFromAbove({ plan, widthPx }: { plan: Plan; widthPx?: number }) {
  const [ref, measured] = useWidth<HTMLDivElement>();
  // On paper nothing can be measured before it is printed.
  const width = widthPx ?? measured;
  const { vars } = useTheme();
  const ink = (vars ?? {}).palette?.ink;
  const rows = plan.bench ?? [];
  const widest = Math.max(...rows.map((r) => r.reduce((sum, s) => sum + s.acrossMm, 0)), 1);
  const scale = Math.min(1.2, (width - 8) / widest);
  const heights = rows.map((r) => Math.max(...r.map((s) => s.acrossMm)) * scale + 6);
  const tops = heights.map((_, i) => heights.slice(0, i).reduce((a, b) => a + b, 18));
  const height = 18 + heights.reduce((a, b) => a + b, 0) + 22;
  return (
    <div ref={ref} style={{ width: "100%" }}>
      {width > 0 && (
        <svg width={width} height={height} role="group" aria-label="The bench from above">
          <text x={2} y={12} fontSize={12} fill={ink?.soft}>
            back
          </text>
          {rows.map((row, r) =>
            row.map((spot) => {
              const size = (spot.acrossMm - 4) * scale;
              const x = spot.leftMm * scale + 2;
              const y = (tops[r] ?? 0) + (heights[r] ?? 0) - size - 4;
              const piece = plan.pieces[spot.line];
              const top = piece?.layers.at(-1);
              return (
                <g key={`${spot.line}.${spot.cavity}`}>
                  <title>{`${cavityName(plan, spot.line, spot.cavity)}: poured as no. ${spot.turn}`}</title>
                  <rect x={x} y={y} width={size} height={size} rx={5} fill={ink?.rubber} />
                  <rect
                    x={x + size * 0.14}
                    y={y + size * 0.14}
                    width={size * 0.72}
                    height={size * 0.72}
                    rx={size * 0.3}
                    fill={top?.swatch}
                    stroke={ink?.line}
                    strokeWidth={1.2}
                  />
                  {size > 15 && (
                    <text
                      x={x + size / 2}
                      y={y + size / 2 + 5}
                      textAnchor="middle"
                      fontSize={13}
                      fontWeight={700}
                      fill={ink?.line}
                      stroke={ink?.sheet}
                      strokeWidth={3}
                      paintOrder="stroke"
                    >
                      {spot.turn}
                    </text>
                  )}
                </g>
              );
            }),
          )}
          <line x1={0} x2={width} y1={height - 18} y2={height - 18} stroke={ink?.line} />
          <text x={2} y={height - 4} fontSize={12} fill={ink?.soft}>
            you stand here; numbers are the order of pouring
          </text>
        </svg>
      )}
    </div>
  );
}
