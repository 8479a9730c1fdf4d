import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import type { Plan, RunStep } from "../api/client";
import { showWith } from "../units/units";
import { useUnits } from "../units/UnitsProvider";
import { measured } from "../words/measured";
import { runMeasure } from "../words/steps";
import { pourNames } from "../words/trouble";
import { Over } from "./Over";
import { useFallsAway } from "./supposed";
import type { Happened } from "./useRun";
import type { Doubt } from "./useTaking";

interface Props {
  runId: string;
  plan: Plan;
  doubt: Doubt;
  step: RunStep;
  steps: RunStep[];
  /** That is right; without a weight it was not weighed. */
  onBelieve: (grams?: number) => void;
  onAgain: () => void;
}

/** What is told if it is right so. */
function toldBy(step: RunStep, steps: RunStep[], { why, grams }: Doubt): Happened[] | null {
  if (why !== "LITTLE") {
    return null;
  }
  // The second part is asked for to fit the first: what there is is known with it.
  const fits =
    step.kind === "WEIGH_FIRST"
      ? steps.find((s) => s.kind === "WEIGH_SECOND" && s.batch === step.batch)?.taskId
      : undefined;
  return [
    { kind: "DONE", of: step.taskId, value: grams },
    ...(fits ? [{ kind: "DONE" as const, of: fits }] : []),
  ];
}

/** A weight that nobody would have meant is looked at once more before it is taken. */
export function Doubted({ runId, plan, doubt, step, steps, onBelieve, onAgain }: Props) {
  const units = useUnits();
  const { why } = doubt;
  const measure = runMeasure(step, plan);
  const mass = (grams: number | undefined) =>
    grams === undefined
      ? ""
      : measure
        ? measured(units, measure, grams)
        : showWith(units.MASS, grams);
  const said = why === "NOT_WEIGHED" ? showWith(units.MASS, doubt.grams) : mass(doubt.grams);
  const wanted = mass(step.targetG);
  const off = mass(Math.abs(doubt.grams - (step.targetG ?? 0)));
  const second = step.kind === "WEIGH_SECOND";
  const fallen = useFallsAway(runId, toldBy(step, steps, doubt), steps);
  const falls = fallen === null ? null : fallen.length;
  const about = () => {
    switch (why) {
      case "NOT_WEIGHED":
        return "What was done without the scale counts as planned and is kept as not weighed.";
      case "CANNOT":
        return `There is no more than ${mass(step.mostG)}, or its cup holds no more.`;
      case "RUNS_OVER":
        return `This cavity holds ${mass(step.overflowsG)} more: it runs over.`;
      case "LITTLE":
        return second
          ? "Fill up before you stir: with too little of one part it never cures right."
          : step.kind === "WEIGH_FIRST"
            ? "The second part is then measured to fit."
            : "What is left for the others changes with it.";
      case "MUCH":
        return second
          ? "The next screen then says how much of the first part to add."
          : step.kind === "WEIGH_FIRST"
            ? `Nothing has met yet: ${off} can be taken out again.`
            : "What is left for the others changes with it.";
    }
  };
  const believes =
    why === "NOT_WEIGHED"
      ? "Done without the scale"
      : second && why === "MUCH"
        ? "That much is in"
        : why === "LITTLE" && falls !== null && falls > 0 && !second
          ? `Make less: ${falls} ${falls === 1 ? "pour falls" : "pours fall"} away`
          : "That is right";
  const again =
    why === "LITTLE"
      ? `Fill up to ${wanted}`
      : why === "MUCH" && step.kind === "WEIGH_FIRST"
        ? `Take ${off} out`
        : "Back to the scale";
  return (
    <Over warns label="Is that weight right?">
      <Box component="h2" sx={{ typography: "h1", m: 0, fontSize: { xs: "1.8rem", md: "2.6rem" } }}>
        {why === "NOT_WEIGHED"
          ? `The scale shows ${said}`
          : `${said}: ${off} ${why === "LITTLE" ? "too little" : "too much"}`}
      </Box>
      <Box sx={{ fontSize: { xs: "1.2rem", md: "1.6rem" }, maxWidth: 900, lineHeight: 1.35 }}>
        {wanted} is wanted. {about()}
      </Box>
      {fallen !== null && fallen.length > 0 && !second && (
        <Box sx={{ fontSize: { xs: "1.1rem", md: "1.4rem" }, maxWidth: 900 }}>
          What would fall away: {pourNames(fallen, plan)}.
        </Box>
      )}
      <Box sx={{ display: "flex", gap: 1.5, mt: "auto", flexWrap: "wrap" }}>
        {why !== "CANNOT" && (
          <Button
            variant="outlined"
            onClick={() => (why === "NOT_WEIGHED" ? onBelieve() : onBelieve(doubt.grams))}
            sx={{ minHeight: 96, fontSize: "1.3rem", flex: 1 }}
          >
            {believes}
          </Button>
        )}
        <Button
          variant="contained"
          onClick={onAgain}
          sx={{ minHeight: 96, fontSize: "1.5rem", flex: 2 }}
        >
          {again}
        </Button>
      </Box>
    </Over>
  );
}
