import { useTheme } from "@mui/material/styles";
import type { CupKind } from "../api/client";

export interface Level {
  /** Height above the cup's floor, mm. */
  mm: number;
  fill: string;
  /** Words beside the mark; none for no mark. */
  mark?: string;
  /** Colour of the mark’s letter where the theme’s line would not show on the fill. */
  letter?: string;
}

interface Props {
  kind: CupKind;
  /** From the floor up; each reaches from the one below to its own height. */
  levels: Level[];
  pxPerMm: number;
  label: string;
}

/** A cup in section, to scale: what is in it, and the marks to fill to. */
export function CupDrawing({ kind, levels, pxPerMm, label }: Props) {
  const { vars } = useTheme();
  const ink = (vars ?? {}).palette?.ink;
  const top = kind.topWidthMm * pxPerMm;
  const height = kind.heightMm * pxPerMm;
  const middle = top / 2 + 2;
  const half = (mm: number) =>
    ((kind.bottomWidthMm + ((kind.topWidthMm - kind.bottomWidthMm) * mm) / kind.heightMm) *
      pxPerMm) /
    2;
  const y = (mm: number) => 2 + height - mm * pxPerMm;
  return (
    <svg width={top + 4} height={height + 5} role="img" aria-label={label}>
      {levels.map((level, i) => {
        const from = levels[i - 1]?.mm ?? 0;
        return (
          <polygon
            key={i}
            fill={level.fill}
            points={[
              `${middle - half(from)},${y(from)}`,
              `${middle - half(level.mm)},${y(level.mm)}`,
              `${middle + half(level.mm)},${y(level.mm)}`,
              `${middle + half(from)},${y(from)}`,
            ].join(" ")}
          />
        );
      })}
      {levels.map((level) =>
        level.mark ? (
          <g key={level.mark}>
            <text
              x={middle - half(level.mm) + 16}
              y={y(level.mm) + 14}
              fontSize={13}
              fontWeight={700}
              fill={level.letter ?? ink?.line}
            >
              {level.mark}
            </text>
            <line
              x1={middle - half(level.mm) - 2}
              x2={middle - half(level.mm) + 12}
              y1={y(level.mm)}
              y2={y(level.mm)}
              stroke={ink?.line}
              strokeWidth={2.5}
            />
          </g>
        ) : null,
      )}
      <path
        d={`M${middle - half(kind.heightMm)} ${y(kind.heightMm)}L${middle - half(0)} ${y(0)}H${middle + half(0)}L${middle + half(kind.heightMm)} ${y(kind.heightMm)}`}
        fill="none"
        stroke={ink?.line}
        strokeWidth={2}
        strokeLinejoin="round"
      />
    </svg>
  );
}
