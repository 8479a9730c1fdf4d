import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import { useState } from "react";
import { useGoesWith } from "../api/asking";
import type { Goes } from "../api/client";
import { InAMould } from "./InAMould";

/** Grounds that a pair is looked at on. */
const GROUNDS = [
  ["on white", "#ffffff"],
  ["on black", "#111111"],
] as const;

/** Beside the colour itself: more than three do not go together. */
const MOST_BESIDE = 2;

const keyOf = (other: Goes) => `${other.jar ? "jar" : "colour"}/${other.id}`;

/** What of one's own jars and colours goes with this one: on white, on black and in a mould. */
export function GoesWith({ swatch }: { swatch: string }) {
  const { answer } = useGoesWith(swatch);
  const [picked, setPicked] = useState<string[]>([]);
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
  const all = some.flatMap(([, own]) => own);
  const [first] = all;
  if (!first) {
    return null;
  }
  const known = picked.filter((key) => all.some((other) => keyOf(other) === key));
  const chosen = known.length > 0 ? known : [keyOf(first)];
  const beside = chosen.flatMap((key) => all.find((other) => keyOf(other) === key) ?? []);
  const toggle = (key: string) =>
    setPicked(
      known.includes(key)
        ? known.filter((each) => each !== key)
        : [...known, key].slice(-MOST_BESIDE),
    );
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
              <ButtonBase
                key={keyOf(other)}
                aria-pressed={chosen.includes(keyOf(other))}
                onClick={() => toggle(keyOf(other))}
                sx={{
                  display: "block",
                  font: "inherit",
                  textAlign: "left",
                  p: 0.5,
                  borderRadius: 1,
                  border: 2,
                  borderColor: chosen.includes(keyOf(other)) ? "text.primary" : "transparent",
                }}
              >
                <Box sx={{ display: "flex" }}>
                  {GROUNDS.map(([ground, paper]) => (
                    <Pair key={ground} paper={paper} one={swatch} other={other.swatch} />
                  ))}
                </Box>
                {other.name}
                {other.jar ? " (jar)" : ""}
              </ButtonBase>
            ))}
          </Box>
        </Box>
      ))}
      <InAMould colours={[swatch, ...beside.map((other) => other.swatch)]} />
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
