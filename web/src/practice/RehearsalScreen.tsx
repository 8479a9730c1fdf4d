import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useState } from "react";
import type { Cup, OpenedExercise, RehearsalFrame } from "../api/client";
import { useExercise } from "../api/queries";
import { OpenCups } from "../pour/OpenCups";
import { Cautions } from "../ui/Cautions";
import { Fetched } from "../ui/Fetched";
import { Sheet } from "../ui/Sheet";
import { Told } from "../ui/Told";
import { useUnits } from "../units/UnitsProvider";
import { showWith } from "../units/units";
import { cupName } from "../words/places";
import { pourPlace } from "../words/record";
import { choiceWords, questionWords } from "../words/rehearsal";
import { taskName } from "../words/tasks";
import { clockTime } from "../words/time";
import { PracticeTabs } from "./PracticeTabs";
import { ScoreView } from "./ScoreView";
import { usePlayback } from "./usePlayback";

const SPEEDS = [0, 30, 60, 120, 240];

/** One exercise: it runs by itself, stops where something goes wrong, and is scored. */
export function RehearsalScreen({ id }: { id: string }) {
  return (
    <Fetched query={useExercise(id)} loading="Fetching the exercise…">
      {(exercise) => <PlanFirst key={exercise.id} exercise={exercise} />}
    </Fetched>
  );
}

/** The plan is seen before it goes wrong: what is poured from which cup, in which order. */
function PlanFirst({ exercise }: { exercise: OpenedExercise }) {
  const units = useUnits();
  const [begun, setBegun] = useState(false);
  const { plan, session } = exercise;
  const at = (seconds: number) => clockTime(new Date(exercise.begunAt), seconds, session.zoneId);
  if (begun) {
    return <Evening exercise={exercise} />;
  }
  return (
    <Box sx={{ px: 1, display: "grid", gap: 1.5 }}>
      <PracticeTabs here="rehearsal" />
      <Box component="h1" sx={{ typography: "h1", m: 0 }}>
        {session.name}
      </Box>
      <Sheet
        title="The plan"
        aside={`room ${showWith(units.TEMPERATURE, session.room.temperatureC)}`}
      >
        {plan.batches.map((batch) => (
          <Box key={batch.number} sx={{ mt: 1 }}>
            <b>Batch {batch.number}</b>, {batch.resinName}:{" "}
            {showWith(units.MASS, batch.measuring.partA.massG)} of A,{" "}
            {showWith(units.MASS, batch.measuring.partB.massG)} of B.
            <Box component="ul" sx={{ m: 0, pl: 3 }}>
              {[...batch.cups].sort(soonestFirst).map((cup) => (
                <li key={cup.id}>
                  {at(cup.pours[0]?.startSeconds ?? 0)} {cupName(batch.cups, cup)},{" "}
                  {showWith(units.MASS, cup.amounts.contentG)}: {cup.pours.length}{" "}
                  {cup.pours.length === 1 ? "pour" : "pours"} into{" "}
                  {[...new Set(cup.pours.map((p) => plan.pieces[p.line]?.mouldName ?? ""))].join(
                    ", ",
                  )}
                  ; it pours until {at(cup.times.thickensSeconds)}
                </li>
              ))}
            </Box>
          </Box>
        ))}
        <Button
          variant="contained"
          onClick={() => setBegun(true)}
          sx={{ mt: 2, minHeight: 84, fontSize: "1.4rem", px: 4 }}
        >
          Begin the evening
        </Button>
      </Sheet>
      <Cautions />
    </Box>
  );
}

/** By their first pour. */
function soonestFirst(a: Cup, b: Cup): number {
  return (a.pours[0]?.startSeconds ?? 0) - (b.pours[0]?.startSeconds ?? 0);
}

function Evening({ exercise }: { exercise: OpenedExercise }) {
  const units = useUnits();
  const { plan, session } = exercise;
  const play = usePlayback(exercise.id);
  const { frames, now, question, score } = play;
  const done = frames.filter((f) => f.atSeconds <= now);
  const doing = frames.find((f) => f.atSeconds > now);
  const cups = done.at(-1)?.cups ?? [];
  const stepWords = (f: RehearsalFrame) => {
    if (f.kind === "POUR") {
      return pourPlace(f.taskId.replace(/^pour\//, ""), plan);
    }
    const task = plan.tasks.find((t) => t.id === f.taskId);
    const words = task ? taskName(task, plan, session) : "";
    return words.charAt(0).toUpperCase() + words.slice(1);
  };
  const at = (seconds: number) => clockTime(new Date(exercise.begunAt), seconds, session.zoneId);
  const asked = question && questionWords(question, plan, units);
  return (
    <Box sx={{ px: 1, display: "grid", gap: 1.5 }}>
      <PracticeTabs here="rehearsal" />
      <Box sx={{ display: "flex", gap: 2, alignItems: "center", flexWrap: "wrap" }}>
        <Box component="h1" sx={{ typography: "h1", m: 0 }}>
          {session.name}
        </Box>
        <Box role="timer" sx={{ typography: "h1", ml: "auto" }}>
          {at(now)}
        </Box>
        <Box role="group" aria-label="Speed" sx={{ display: "flex", gap: 0.5, flexWrap: "wrap" }}>
          {SPEEDS.map((s) => (
            <Button
              key={s}
              variant={s === play.speed ? "contained" : "outlined"}
              aria-pressed={s === play.speed}
              onClick={() => play.setSpeed(s)}
              sx={{ minHeight: 48, minWidth: 64 }}
            >
              {s === 0 ? "Pause" : `×${s}`}
            </Button>
          ))}
          <Button onClick={() => play.toEnd?.()} disabled={!play.toEnd} sx={{ minHeight: 48 }}>
            To the next thing
          </Button>
        </Box>
      </Box>
      {play.trouble && <Told trouble={play.trouble} onRetry={play.retry} />}
      {asked && question ? (
        <Box
          role="alertdialog"
          aria-label={asked.title}
          sx={{
            border: 3,
            borderColor: "text.primary",
            borderRadius: 2,
            p: { xs: 2, md: 3 },
            bgcolor: "background.paper",
          }}
        >
          <Box
            component="h2"
            sx={{ typography: "h1", m: 0, fontSize: { xs: "1.6rem", md: "2.2rem" } }}
          >
            {asked.title}
          </Box>
          <Box sx={{ fontSize: "1.2rem", my: 1.5 }}>{asked.text}</Box>
          <Box sx={{ display: "flex", gap: 1.5, flexWrap: "wrap" }}>
            {question.choices.map((choice) => (
              <Button
                key={choice}
                variant="contained"
                onClick={() => play.choose(choice)}
                sx={{ minHeight: 84, flex: "1 1 240px", fontSize: "1.3rem" }}
              >
                {choiceWords(choice)}
              </Button>
            ))}
          </Box>
        </Box>
      ) : score && play.played ? (
        <ScoreView
          score={score}
          best={play.played.best}
          plan={plan}
          session={session}
          at={at}
          onAgain={play.again}
        />
      ) : (
        <Box sx={{ bgcolor: "background.paper", borderRadius: 2, p: { xs: 2, md: 3 } }}>
          <Box sx={{ color: "text.secondary" }}>The hands are at</Box>
          <Box
            component="h2"
            role="status"
            sx={{
              typography: "h1",
              m: 0,
              fontSize: { xs: "1.6rem", md: "2.4rem" },
              minHeight: "1.3em",
            }}
          >
            {doing ? stepWords(doing) : "…"}
          </Box>
        </Box>
      )}
      {!score && (
        <Box
          sx={{
            display: "grid",
            gridTemplateColumns: { xs: "minmax(0, 1fr)", md: "repeat(2, minmax(0, 1fr))" },
            gap: 1.5,
            alignItems: "start",
          }}
        >
          <Sheet title="Open cups">
            <OpenCups cups={cups} now={now} />
          </Sheet>
          <Sheet title="Done">
            <Box component="ol" reversed sx={{ m: 0, pl: 4, maxHeight: 260, overflow: "auto" }}>
              {[...done].reverse().map((f) => (
                <li key={f.taskId}>
                  <Box component="span" sx={{ color: "text.secondary" }}>
                    {at(f.atSeconds)}
                  </Box>{" "}
                  {stepWords(f)}
                </li>
              ))}
            </Box>
          </Sheet>
        </Box>
      )}
      <Cautions />
    </Box>
  );
}
