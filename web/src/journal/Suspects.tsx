import Box from "@mui/material/Box";
import type { WhatWentWrong } from "../api/client";
import { useUnits } from "../units/UnitsProvider";
import { inUnits } from "../words/inUnits";
import { CAUSES, clueText, missingText, NEXT_TESTS, worthText } from "../words/journal";
import { faultWords } from "../words/record";

/** The causes of a fault, the likeliest first, each with what speaks for it and against it. */
export function Suspects({ wrong }: { wrong: WhatWentWrong }) {
  const units = useUnits();
  return (
    <Box component="section" aria-label={`What went wrong: ${faultWords(wrong.fault)}`}>
      <Box component="h3" sx={{ typography: "h2", m: 0, mb: 0.5 }}>
        {faultWords(wrong.fault)}
      </Box>
      {!wrong.grounded && (
        <Box sx={{ mb: 1 }}>
          Nothing in the record speaks for a cause. This is what is usual, not a finding.
        </Box>
      )}
      <Box component="ol" sx={{ m: 0, pl: 3 }}>
        {wrong.suspects.map((suspect) => (
          <Box component="li" key={suspect.cause} sx={{ pb: 0.75 }}>
            <b>{CAUSES[suspect.cause]}</b>{" "}
            <Box component="span" sx={{ color: "text.secondary" }}>
              {suspect.sharePercent.toFixed(0)} %
            </Box>
            <Box
              component="ul"
              sx={{ m: 0, pl: 2.5, fontSize: "0.95rem", color: "text.secondary" }}
            >
              {suspect.weighed.map((w) => (
                <li key={w.evidence.clue}>
                  {w.evidence.told === "UNKNOWN" ? "" : `${clueText(w.evidence, units)}: `}
                  {w.evidence.told === "UNKNOWN"
                    ? `${worthText(w)}: ${clueText(w.evidence, units)}`
                    : worthText(w)}
                </li>
              ))}
            </Box>
          </Box>
        ))}
      </Box>
      {wrong.missing.length > 0 && (
        <Box sx={{ mt: 0.5 }}>
          It would help to know {wrong.missing.map(missingText).join("; ")}.
        </Box>
      )}
      <Box sx={{ mt: 0.5 }}>
        <b>Next:</b> {inUnits(NEXT_TESTS[wrong.next], units)} Keep one piece as before beside it.
      </Box>
    </Box>
  );
}
