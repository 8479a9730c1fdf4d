import { useTheme } from "@mui/material/styles";

/** An eye level with the liquid, which meets the same edge of every mark: the lower one. */
export function EyeLevel() {
  const { vars } = useTheme();
  const ink = (vars ?? {}).palette?.ink;
  return (
    <svg
      width={178}
      height={74}
      role="img"
      aria-label="Eye level with the liquid; it stands at the lower edge of the mark, every time"
    >
      <path d="M8 37Q26 22 44 37Q26 52 8 37Z" fill="none" stroke={ink?.line} strokeWidth={2} />
      <circle cx={27} cy={37} r={6} fill={ink?.line} />
      <line x1={50} x2={96} y1={37} y2={37} stroke={ink?.line} strokeDasharray="4 4" />
      <path d="M100 6V70M170 6V70" stroke={ink?.line} strokeWidth={2} />
      <path d="M100 33Q104 37 112 37H158Q166 37 170 33V70H100Z" fill={ink?.rubber} />
      <rect x={118} y={31} width={34} height={6} fill={ink?.line} />
      <text x={135} y={26} fontSize={11} textAnchor="middle" fill={ink?.soft}>
        mark
      </text>
    </svg>
  );
}
