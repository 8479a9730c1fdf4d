import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useState } from "react";
import type { Felt, Plan, RunState, Session } from "../api/client";
import { Fig } from "../plan/how/How";
import { cavityName } from "../words/places";
import { asTask, capital, cupOf, pourOf, waitWords } from "../words/steps";
import { taskName } from "../words/tasks";
import { later } from "../ui/later";
import { OpenCups } from "./OpenCups";
import { LOW } from "./low";
import { Tag } from "./Tag";

const FeltKeys = later(() => import("./FeltKeys").then((m) => m.FeltKeys));

interface Props {
  state: RunState;
  plan: Plan;
  session: Session;
  /** Seconds from when the run was begun. */
  now: number;
  at: (seconds: number) => string;
  /** Notes how a cup is, for the cure diary. */
  onFelt: (of: string, word: Felt["word"]) => void;
  /** Shows the step in letters for across the room. */
  onFar: () => void;
}

/** So far ahead something is waited for at the bench, s. */
const SOON = 3_600;

/** What runs by itself beside the step: the clocks of the cups, what is waited for, what is filled. */
export function BenchAside(props: Props) {
  const { state, now } = props;
  const [all, setAll] = useState(false);
  const [touches, setTouches] = useState(false);
  const cups = state.cups.map((c) => ({
    of: `CUP/${c.cupId}`,
    name: c.colourName,
    swatch: c.swatch,
  }));
  const touch = cups.length > 0 && (
    <Button onClick={() => setTouches(true)} sx={{ minHeight: 48, px: 1 }}>
      How thick is it?
    </Button>
  );
  const poured = state.steps.some((s) => s.kind === "POUR" && s.status === "DONE");
  return (
    <Box
      component="aside"
      sx={{
        bgcolor: "background.paper",
        borderRadius: 2,
        p: { xs: 1.25, md: 2.5 },
        minHeight: 0,
        overflow: "hidden",
        [LOW]: { overflow: "auto", p: 1 },
      }}
    >
      <Box sx={{ display: "flex", justifyContent: "space-between", alignItems: "flex-start" }}>
        <Title>Open cups</Title>
        <Box sx={{ display: { xs: "none", md: "block" }, mt: -1, mb: -1 }}>{touch}</Box>
      </Box>
      <Box sx={{ display: { xs: "none", md: "block" } }}>
        <OpenCups cups={state.cups} mixes={state.mixes} now={now} poured={poured} most={5} />
        <Waits {...props} />
        <Filled {...props} />
      </Box>
      <Box sx={{ display: { xs: "block", md: "none" } }}>
        <OpenCups cups={state.cups} mixes={state.mixes} now={now} poured={poured} most={3} />
        <Box sx={{ display: "flex", gap: 1 }}>
          <Button
            onClick={() => setAll(true)}
            sx={{ minHeight: 64, flex: 2, fontSize: "1.05rem", lineHeight: 1.2 }}
          >
            {state.cups.length > 3
              ? `${state.cups.length - 3} more ${state.cups.length === 4 ? "cup" : "cups"}, what waits, what is filled`
              : "What waits, what is filled"}
          </Button>
          <Button
            onClick={props.onFar}
            sx={{ minHeight: 64, flex: 1, fontSize: "1.05rem", lineHeight: 1.2 }}
          >
            Large letters
          </Button>
        </Box>
      </Box>
      {touches && (
        <FeltKeys
          things={cups}
          onFelt={(of, word) => {
            props.onFelt(of, word);
            setTouches(false);
          }}
          onClose={() => setTouches(false)}
        />
      )}
      {all && (
        <Box
          role="dialog"
          aria-label="All open cups"
          sx={{
            position: "fixed",
            inset: 0,
            zIndex: 1150,
            bgcolor: "background.default",
            p: 2,
            overflow: "auto",
          }}
        >
          <OpenCups cups={state.cups} mixes={state.mixes} now={now} poured={poured} />
          {touch}
          <Waits {...props} />
          <Filled {...props} most={99} />
          <Button
            variant="contained"
            onClick={() => setAll(false)}
            sx={{ minHeight: 72, width: "100%", fontSize: "1.3rem", mt: 2 }}
          >
            Back to the step
          </Button>
        </Box>
      )}
    </Box>
  );
}

function Title({ children }: { children: string }) {
  return (
    <Box sx={{ typography: "h2", mb: 1, fontSize: "1.3rem", display: { xs: "none", md: "block" } }}>
      {children}
    </Box>
  );
}

/** Rests, looks and nudges that come by themselves. */
function Waits({ state, plan, session, now }: Omit<Props, "onFar" | "onFelt">) {
  const waits = state.steps
    .filter(
      (s) =>
        (s.status === "RUNNING" && s.endSeconds > now) ||
        (s.status === "TO_DO" && (s.phase === "WATCH" || s.kind === "EMBED")),
    )
    .map((s) => ({
      id: s.taskId,
      words: s.status === "RUNNING" ? waitWords(s) : capital(taskName(asTask(s), plan, session)),
      ends: s.status === "RUNNING",
      of: `step/${s.taskId}/${s.status === "RUNNING" ? "over" : "from"}`,
      in: (s.status === "RUNNING" ? s.endSeconds : s.startSeconds) - now,
    }))
    .filter((w) => w.in < SOON)
    .sort((a, b) => a.in - b.in)
    .slice(0, 2);
  if (waits.length === 0) {
    return null;
  }
  return (
    <Box component="section" aria-label="Waiting" sx={{ mt: 1 }}>
      <Box sx={{ typography: "h2", fontSize: "1.3rem", mb: 0.5 }}>Waiting</Box>
      {waits.map((w) => (
        <Box key={w.id} sx={{ display: "flex", gap: 1, fontSize: "1.1rem", lineHeight: 1.35 }}>
          <span>{w.words}</span>
          <Box sx={{ ml: "auto", whiteSpace: "nowrap", fontWeight: 700 }}>
            <Fig of={w.of} what={w.ends ? "When it is over" : "When it is due"}>
              {w.in <= 0 ? "now" : `${w.ends ? "over in" : "in"} ${Math.ceil(w.in / 60)} min`}
            </Fig>
          </Box>
        </Box>
      ))}
    </Box>
  );
}

/** Cavities that were filled, the last one first, each with its colour and minute. */
function Filled({
  state,
  plan,
  at,
  most = 2,
}: Omit<Props, "onFar" | "onFelt"> & { most?: number }) {
  const pours = state.steps.filter((s) => s.kind === "POUR");
  const filled = pours
    .filter((s) => s.status === "DONE")
    .sort((a, b) => b.endSeconds - a.endSeconds);
  if (filled.length === 0) {
    return null;
  }
  return (
    <Box component="section" aria-label="Filled" sx={{ mt: 1.5 }}>
      <Box sx={{ typography: "h2", fontSize: "1.3rem", mb: 0.5 }}>
        Filled {filled.length} of {pours.length}
      </Box>
      {filled.slice(0, most).map((s) => {
        const cup = cupOf(plan, s.cupId);
        const pour = pourOf(cup, s);
        return (
          <Box key={s.taskId} sx={{ display: "flex", gap: 1, alignItems: "baseline" }}>
            <Tag swatch={cup?.colour.swatch ?? "transparent"} />
            <span>
              {cup?.colour.name}, {pour && cavityName(plan, pour.line, pour.cavity)}
            </span>
            <Box sx={{ ml: "auto", color: "text.secondary" }}>
              <Fig of={`step/${s.taskId}/over`} what="When it was poured">
                {at(s.endSeconds)}
              </Fig>
            </Box>
          </Box>
        );
      })}
    </Box>
  );
}
