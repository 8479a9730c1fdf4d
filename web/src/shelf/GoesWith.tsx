import Box from "@mui/material/Box";
import { useGoesWith } from "../api/asking";
import type { Goes } from "../api/client";

/** Grounds that a pair is looked at on. */
const GROUNDS = [
  ["on white", "#ffffff"],
  ["on black", "#111111"],
] as const;

/** What of one's own jars and colours goes with this one, side by side on white and on black. */
export function GoesWith({ swatch }: { swatch: string }) {
  const { answer } = useGoesWith(swatch);
  if (!answer) {
    return null;
  }
  const { neighbours, opposites, quiet } = answer;
  const rows: [string, Goes[]][] = [
    ["Neighbours on the colour wheel, they blend", neighbours],
    ["Opposite, they contrast", opposites],
    ["Quiet, goes with anything", quiet],
  ];
  const some = rows.filter(([, own]) => own.length > 0);
  if (some.length === 0) {
    return null;
  }
  return (
    <Box component="section" aria-label="What goes with it">
      <Box component="h3" sx={{ typography: "h3", m: 0 }}>
        What goes with it, from your own
      </Box>
      {some.map(([title, own]) => (
        <Box key={title} sx={{ mt: 1 }}>
          <Box sx={{ color: "text.secondary" }}>{title}</Box>
          <Box sx={{ display: "flex", gap: 1.5, flexWrap: "wrap", mt: 0.5 }}>
            {own.map((other) => (
              <Box key={`${other.jar ? "jar" : "colour"}/${other.id}`}>
                <Box sx={{ display: "flex" }}>
                  {GROUNDS.map(([ground, paper]) => (
                    <Pair key={ground} paper={paper} one={swatch} other={other.swatch} />
                  ))}
                </Box>
                {other.name}
                {other.jar ? " (jar)" : ""}
              </Box>
            ))}
          </Box>
        </Box>
      ))}
      <Box sx={{ color: "text.secondary", mt: 1 }}>
        A guess by their wet look; the cured chip decides. Under clear flakes a black back makes
        them shine.
      </Box>
    </Box>
  );
}

function Pair({ paper, one, other }: { paper: string; one: string; other: string }) {
  return (
    <svg width={72} height={52} aria-hidden>
      <rect width={72} height={52} fill={paper} />
      <rect x={10} y={10} width={26} height={32} fill={one} />
      <rect x={36} y={10} width={26} height={32} fill={other} />
    </svg>
  );
}
