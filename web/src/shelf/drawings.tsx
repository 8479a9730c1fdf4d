import { useTheme } from "@mui/material/styles";

function useInk() {
  const { vars } = useTheme();
  return (vars ?? {}).palette?.ink;
}

/** A bottle with what is left in it; dashed where nobody knows. */
export function Bottle({
  share,
  letter,
  label,
}: {
  share: number | null;
  letter: string;
  label: string;
}) {
  const ink = useInk();
  const body = 62;
  const level = share === null ? 0 : body * Math.max(0, Math.min(1, share));
  return (
    <svg width={46} height={92} role="img" aria-label={label}>
      <rect x={16} y={2} width={14} height={8} fill={ink?.line} />
      <path
        d="M17 10V18Q4 22 4 34V84Q4 90 10 90H36Q42 90 42 84V34Q42 22 29 18V10"
        fill={ink?.sheet}
        stroke={ink?.line}
        strokeWidth={2}
        strokeDasharray={share === null ? "4 3" : undefined}
      />
      {share !== null && (
        <rect x={6} y={88 - level} width={34} height={level} rx={3} fill={ink?.rubber} />
      )}
      <text x={23} y={64} textAnchor="middle" fontSize={22} fontWeight={700} fill={ink?.line}>
        {letter}
      </text>
    </svg>
  );
}

/** A jar of colour. */
export function Jar({
  swatch,
  dropper,
  label,
}: {
  swatch: string;
  dropper: boolean;
  label: string;
}) {
  const ink = useInk();
  return (
    <svg width={54} height={74} role="img" aria-label={label}>
      {dropper ? (
        <path
          d="M22 20L24 6Q27 0 30 6L32 20Z"
          fill={ink?.rubber}
          stroke={ink?.line}
          strokeWidth={2}
        />
      ) : (
        <rect
          x={8}
          y={8}
          width={38}
          height={12}
          rx={2}
          fill={ink?.rubber}
          stroke={ink?.line}
          strokeWidth={2}
        />
      )}
      <rect
        x={5}
        y={20}
        width={44}
        height={52}
        rx={6}
        fill={ink?.sheet}
        stroke={ink?.line}
        strokeWidth={2}
      />
      <rect x={8} y={32} width={38} height={37} rx={4} fill={swatch} />
    </svg>
  );
}

/** A slab of resin with the thing where it comes to rest. */
export function EmbedAtRest({ tendency, label }: { tendency: string | undefined; label: string }) {
  const ink = useInk();
  const y = tendency === "FLOATS" ? 14 : tendency === "SINKS" ? 48 : 31;
  return (
    <svg width={78} height={66} role="img" aria-label={label}>
      <path d="M4 4V62H74V4" fill={ink?.rubber} stroke={ink?.line} strokeWidth={2} />
      <rect x={5} y={12} width={68} height={49} fill="rgba(127, 168, 178, 0.35)" />
      <rect x={25} y={y} width={28} height={12} rx={3} fill={ink?.line} />
    </svg>
  );
}

export function Patch({ swatch, label }: { swatch: string; label: string }) {
  const ink = useInk();
  return (
    <svg width={58} height={66} role="img" aria-label={label}>
      <path d="M3 8Q29 -2 55 8V58Q29 68 3 58Z" fill={swatch} stroke={ink?.line} strokeWidth={2} />
    </svg>
  );
}

/** A pot with its lid, a box, a lamp, a board. */
export function ToolDrawing({ kind, label }: { kind: string; label: string }) {
  const ink = useInk();
  const path = {
    PRESSURE_POT: "M12 24H66V60H12ZM8 24H70M18 24V14H60V24M39 14V6",
    HOT_BOX: "M8 14H70V60H8ZM16 22H62V52H16ZM24 30V44M39 30V44M54 30V44",
    LAMP: "M20 60H58M39 60V34M22 34H56L48 14H30Z",
    BOARD: "M4 44H74V50H4ZM14 50V60M64 50V60",
  }[kind];
  return (
    <svg width={78} height={66} role="img" aria-label={label}>
      <path d={path} fill={ink?.rubber} stroke={ink?.line} strokeWidth={2} strokeLinejoin="round" />
    </svg>
  );
}

interface StackProps {
  label: string;
  /** From the floor up; a layer without a share takes what is left. */
  layers: { swatch: string; share: number | undefined }[];
}

/** The layers of a design, in a mould of no shape in particular. */
export function StackOfLayers({ label, layers }: StackProps) {
  const ink = useInk();
  const told = layers.reduce((sum, l) => sum + (l.share ?? 0), 0);
  const shares = layers.map((l) => l.share ?? Math.max(0, 1 - told));
  return (
    <svg width={78} height={66} role="img" aria-label={label}>
      {layers.map((layer, i) => {
        const below = shares.slice(0, i).reduce((sum, s) => sum + s, 0);
        const height = (shares[i] ?? 0) * 54;
        return (
          <rect
            key={i}
            x={6}
            width={66}
            y={60 - below * 54 - height}
            height={height}
            fill={layer.swatch}
          />
        );
      })}
      <path d="M5 5V61H73V5" fill="none" stroke={ink?.line} strokeWidth={2} />
    </svg>
  );
}
