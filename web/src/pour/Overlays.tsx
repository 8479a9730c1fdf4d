import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import type { CupNow, Plan, RunState, RunStep } from "../api/client";
import { Fig } from "../plan/how/How";
import { WrongMark } from "../ui/Told";
import { showWith, type Units } from "../units/units";
import type { SoonTold } from "../words/soon";
import { cupOf, pourOf } from "../words/steps";
import { OpenCups } from "./OpenCups";
import { Over } from "./Over";

/** Over everything else: a cup that gets hot. */
export function HotCup({ cups, onSeen }: { cups: CupNow[]; onSeen: () => void }) {
  return (
    <Over warns label="A cup is getting hot">
      <Box sx={{ color: "error.main", display: "flex", gap: 2, alignItems: "center" }}>
        <WrongMark />
        <Box sx={{ typography: "h1", fontSize: { xs: "1.8rem", md: "3rem" } }}>
          {cups.map((c) => c.colourName).join(", ")} {cups.length > 1 ? "are" : "is"} getting hot
        </Box>
      </Box>
      <Box sx={{ fontSize: { xs: "1.3rem", md: "1.9rem" }, maxWidth: 900, lineHeight: 1.35 }}>
        Do not hold it, cover it or bin it. Put it outdoors, on something that does not burn. Stay
        out of its fumes until it is cold. Nothing more is poured from it. The product’s safety data
        sheet and local rules come first.
      </Box>
      <Button
        variant="contained"
        onClick={onSeen}
        sx={{ mt: "auto", minHeight: 96, fontSize: "1.5rem" }}
      >
        It is outdoors; go on
      </Button>
    </Over>
  );
}

interface AwayProps {
  state: RunState;
  now: number;
  /** What is lost unless somebody comes back; null for nothing. */
  soon: SoonTold | null;
  onBack: () => void;
}

/** While nobody is at the bench: what goes on without them. */
export function SteppedAway({ state, now, soon, onBack }: AwayProps) {
  const since = Math.max(0, Math.round((now - (state.awaySinceSeconds ?? now)) / 60));
  return (
    <Over warns label="Stepped away">
      <Box sx={{ typography: "h1", fontSize: { xs: "1.8rem", md: "2.6rem" } }}>
        Away for {since} min
      </Box>
      {soon !== null && (
        <Box
          role="alert"
          sx={{ color: "error.main", fontWeight: 700, fontSize: { xs: "1.3rem", md: "1.9rem" } }}
        >
          <Fig of={soon.of} what="Until when">
            {soon.words}
          </Fig>
        </Box>
      )}
      <OpenCups cups={state.cups} mixes={state.mixes} now={now} />
      <Button
        variant="contained"
        onClick={onBack}
        sx={{ mt: "auto", minHeight: 110, fontSize: "1.7rem" }}
      >
        I am back
      </Button>
    </Over>
  );
}

const ADVICE = {
  FILLERS: "still pours: into moulds kept ready",
  SPREAD_THIN: "too thick to pour: spread it thin so that it cannot heat up",
  LET_CURE: "has gelled: let it cure, then throw it away as local rules say",
  THROW_AWAY: "is spoilt: let it cure, then throw it away as local rules say",
  OUTDOORS: "is hot: outdoors, on something that does not burn",
} as const;

/** Pours of one colour into one kind of piece that follow each other, in one line. */
function together(steps: RunStep[], plan: Plan): { key: string; words: string }[] {
  const lines: { key: string; what: string; count: number }[] = [];
  for (const step of steps) {
    const cup = cupOf(plan, step.cupId);
    const pour = pourOf(cup, step);
    const piece = pour && plan.pieces[pour.line];
    const what = `${cup?.colour.name ?? ""} into ${piece?.mouldName ?? ""}`;
    const last = lines.at(-1);
    if (last?.what === what) {
      last.count++;
    } else {
      lines.push({ key: step.taskId, what, count: 1 });
    }
  }
  return lines.map(({ key, what, count }) => ({
    key,
    words: count === 1 ? what : `${what}, ${count} times`,
  }));
}

interface ReturnProps {
  state: RunState;
  plan: Plan;
  units: Units;
  onGiveUp: () => void;
  onGoOn: () => void;
}

/** Back at the bench: what can still be poured, in which order, and what to give up. */
export function Return({ state, plan, units, onGiveUp, onGoOn }: ReturnProps) {
  const still = state.steps.filter((s) => s.kind === "POUR" && s.status === "TO_DO");
  const lost = state.steps.filter((s) => s.kind === "POUR" && s.status === "LOST");
  const goes = (s: RunStep) =>
    state.cups.some((c) => c.cupId === s.cupId && (c.hot || c.state !== "POURABLE"));
  const late = state.steps.filter((s) => s.kind === "POUR" && s.status === "TOO_LATE");
  const list = (title: string, steps: RunStep[]) =>
    steps.length > 0 && (
      <Box component="section" aria-label={title}>
        <Box component="h2" sx={{ typography: "h2", m: 0, mb: 0.5 }}>
          {title}
        </Box>
        <Box component="ol" sx={{ m: 0, pl: 4, fontSize: { xs: "1.1rem", md: "1.3rem" } }}>
          {together(steps, plan).map(({ key, words }) => (
            <li key={key}>{words}</li>
          ))}
        </Box>
      </Box>
    );
  return (
    <Over warns label="What can still be poured">
      <Box sx={{ typography: "h1", fontSize: { xs: "1.6rem", md: "2.2rem" } }}>
        {still.length === 0 && lost.length + late.length === 0
          ? "Nothing is lost"
          : `${still.length} ${still.length === 1 ? "pour" : "pours"} can still be made`}
        {lost.length + late.length > 0 && `, ${lost.length + late.length} cannot`}
      </Box>
      <Box
        sx={{
          display: "grid",
          gridTemplateColumns: { xs: "1fr", md: "1fr 1fr" },
          gap: 2,
          overflow: "auto",
        }}
      >
        {list("In this order", still)}
        {list("To give up, so that the others are in time", late)}
        {list("Lost: their cup no longer pours", lost.filter(goes))}
        {list(
          "Lost: what they would lie on is not there",
          lost.filter((s) => !goes(s)),
        )}
        {state.leftOvers.length > 0 && (
          <Box component="section" aria-label="What is left">
            <Box component="h2" sx={{ typography: "h2", m: 0, mb: 0.5 }}>
              What is left
            </Box>
            <Box component="ul" sx={{ m: 0, pl: 3, fontSize: { xs: "1.1rem", md: "1.3rem" } }}>
              {state.leftOvers.map((l) => (
                <li key={l.cupId}>
                  {cupOf(plan, l.cupId)?.colour.name} {showWith(units.MASS, l.grams)}:{" "}
                  {ADVICE[l.advice]}
                </li>
              ))}
            </Box>
          </Box>
        )}
      </Box>
      <Box sx={{ display: "flex", gap: 1.5, mt: "auto", flexWrap: "wrap" }}>
        {late.length > 0 && (
          <Button
            variant="outlined"
            color="error"
            onClick={onGiveUp}
            sx={{ minHeight: 84, fontSize: "1.2rem", flex: 1 }}
          >
            Give {late.length === 1 ? "it" : `these ${late.length}`} up
          </Button>
        )}
        <Button
          variant="contained"
          onClick={onGoOn}
          sx={{ minHeight: 84, fontSize: "1.5rem", flex: 2 }}
        >
          Go on
        </Button>
      </Box>
    </Over>
  );
}
