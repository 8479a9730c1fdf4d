import { useTheme } from "@mui/material/styles";
import type { PieceView } from "../api/client";
import type { BoardScale } from "./boardScale";

const WALL = 10;
const FLOOR = 7;

/** A mould in section, to scale, with its layers as they are poured. */
export function MouldSection({ piece, scale }: { piece: PieceView; scale: BoardScale }) {
  const { vars } = useTheme();
  const ink = (vars ?? {}).palette?.ink;
  const width = piece.widthMm * scale.pxPerMm;
  const mm = scale.pxPerMm * scale.heights;
  const depth = piece.depthMm * mm;
  const words = piece.layers
    .map((l) => `${l.colourName} from ${l.fromMm.toFixed(0)} to ${l.toMm.toFixed(0)} mm`)
    .join(", ");
  return (
    <svg
      width={width + 2 * WALL}
      height={depth + FLOOR + 2}
      role="img"
      aria-label={`${piece.mouldName} in section: ${words}`}
    >
      <rect y={1} width={width + 2 * WALL} height={depth + FLOOR} rx={2} fill={ink?.rubber} />
      <rect x={WALL} y={1} width={width} height={depth} fill={ink?.sheet} />
      {piece.layers.map((layer, i) => (
        <rect
          key={i}
          x={WALL}
          y={1 + depth - layer.toMm * mm}
          width={width}
          height={Math.max(1, (layer.toMm - layer.fromMm) * mm)}
          fill={layer.swatch}
        />
      ))}
      {piece.layers
        .filter((layer, i) => i > 0 && layer.stage > (piece.layers[i - 1]?.stage ?? 0))
        .map((layer) => (
          // A layer that waits is set off by a line; one poured into the other is not.
          <line
            key={layer.fromMm}
            x1={WALL}
            x2={WALL + width}
            y1={1 + depth - layer.fromMm * mm}
            y2={1 + depth - layer.fromMm * mm}
            stroke={ink?.line}
            strokeDasharray="3 3"
          />
        ))}
      <path
        d={`M${WALL} 1V${1 + depth}H${WALL + width}V1`}
        fill="none"
        stroke={ink?.line}
        strokeWidth={2}
        strokeLinejoin="round"
        strokeDasharray={piece.depthAssumed ? "5 4" : undefined}
      />
    </svg>
  );
}
