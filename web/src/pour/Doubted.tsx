import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import type { RunStep } from "../api/client";
import { showWith } from "../units/units";
import { useUnits } from "../units/UnitsProvider";
import { Over } from "./Over";
import type { Doubt } from "./useTaking";

interface Props {
  doubt: Doubt;
  step: RunStep;
  /** It is right so; without a weight it was not weighed. */
  onBelieve: (grams?: number) => void;
  onAgain: () => void;
}

/** A weight that nobody would have meant is looked at once more before it is taken. */
export function Doubted({ doubt, step, onBelieve, onAgain }: Props) {
  const units = useUnits();
  const said = showWith(units.MASS, doubt.grams);
  const wanted = step.targetG === undefined ? "" : showWith(units.MASS, step.targetG);
  const off = showWith(units.MASS, Math.abs(doubt.grams - (step.targetG ?? 0)));
  const second = step.kind === "WEIGH_SECOND";
  return (
    <Over warns label="Is that weight right?">
      <Box component="h2" sx={{ typography: "h1", m: 0, fontSize: { xs: "1.8rem", md: "2.6rem" } }}>
        {doubt.why === "NOT_WEIGHED"
          ? `The scale shows ${said}`
          : `${said}: ${off} ${doubt.why === "LITTLE" ? "too little" : "too much"}`}
      </Box>
      <Box sx={{ fontSize: { xs: "1.2rem", md: "1.6rem" }, maxWidth: 900, lineHeight: 1.35 }}>
        {wanted} is wanted.{" "}
        {doubt.why === "NOT_WEIGHED"
          ? "What was done without the scale counts as planned and is kept as not weighed."
          : second
            ? doubt.why === "LITTLE"
              ? "Fill up to it before anything is stirred: short of its second part it never cures right."
              : "Taken so, the next screen says how much of the first part sets it right."
            : step.kind === "WEIGH_FIRST"
              ? "Taken so, the second part is asked for to fit it, and the cups get their share of what there is."
              : "Taken so, what is left for the others changes with it."}
      </Box>
      <Box sx={{ display: "flex", gap: 1.5, mt: "auto", flexWrap: "wrap" }}>
        <Button
          variant="outlined"
          onClick={() => (doubt.why === "NOT_WEIGHED" ? onBelieve() : onBelieve(doubt.grams))}
          sx={{ minHeight: 96, fontSize: "1.3rem", flex: 1 }}
        >
          {doubt.why === "NOT_WEIGHED"
            ? "Done without the scale"
            : second && doubt.why === "MUCH"
              ? "That much is in"
              : "It is right so"}
        </Button>
        <Button
          variant="contained"
          onClick={onAgain}
          sx={{ minHeight: 96, fontSize: "1.5rem", flex: 2 }}
        >
          {doubt.why === "LITTLE" ? `Fill up to ${wanted}` : "Back to the scale"}
        </Button>
      </Box>
    </Over>
  );
}
