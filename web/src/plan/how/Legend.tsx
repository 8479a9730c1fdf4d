import Box from "@mui/material/Box";
import { useTheme } from "@mui/material/styles";
import type { ReactNode } from "react";

/** What the patterns and marks of the pour line mean. */
export function Legend({ pairs, children }: { pairs: number; children?: ReactNode }) {
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
      <span>{pairs > 1 ? "two pairs of hands, the helper’s broken" : "one pair of hands"}</span>
      {children}
    </Box>
  );
}
