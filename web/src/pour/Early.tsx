import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import type { RunStep } from "../api/client";
import { Over } from "./Over";

interface Props {
  step: RunStep;
  title: string;
  /** When its wait is over, as it is said. */
  from: string;
  minutes: number;
  onDone: () => void;
  onBack: () => void;
}

const WHY: Partial<Record<RunStep["kind"], string>> = {
  REST: "Bubbles have not risen yet, and what comes next meets resin that is still too thin.",
  DEMOULD: "Taken out too early it bends, keeps fingerprints and tears at fine edges.",
  POUR: "What lies below is not ready for it yet.",
  EMBED: "What lies below does not hold it yet.",
};

/** Hours before its time nobody means it; asked about once. */
export function Early({ step, title, from, minutes, onDone, onBack }: Props) {
  const long = minutes < 90 ? `${Math.round(minutes)} min` : `${Math.round(minutes / 60)} h`;
  return (
    <Over warns label="Is that early?">
      <Box component="h2" sx={{ typography: "h1", m: 0, fontSize: { xs: "1.8rem", md: "2.6rem" } }}>
        {long} too early
      </Box>
      <Box sx={{ fontSize: { xs: "1.2rem", md: "1.6rem" }, maxWidth: 900, lineHeight: 1.35 }}>
        {title}: not before {from}. {WHY[step.kind] ?? "What it waits for is not over yet."}
      </Box>
      <Box sx={{ display: "flex", gap: 1.5, mt: "auto", flexWrap: "wrap" }}>
        <Button
          variant="outlined"
          onClick={onDone}
          sx={{ minHeight: 96, fontSize: "1.3rem", flex: 1 }}
        >
          {step.kind === "REST" ? "Go on all the same" : "It is done all the same"}
        </Button>
        <Button
          variant="contained"
          onClick={onBack}
          sx={{ minHeight: 96, fontSize: "1.5rem", flex: 2 }}
        >
          Wait
        </Button>
      </Box>
    </Over>
  );
}
