import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useState } from "react";
import { useNavigate } from "react-router";
import { api, ask, type Cup, type OpenedExercise, type Trouble } from "../api/client";
import { useExercise } from "../api/queries";
import { Cautions } from "../ui/Cautions";
import { Fetched } from "../ui/Fetched";
import { Sheet } from "../ui/Sheet";
import { Told } from "../ui/Told";
import { useUnits } from "../units/UnitsProvider";
import { showWith } from "../units/units";
import { cupName } from "../words/places";
import { clockTime } from "../words/time";
import { PracticeTabs } from "./PracticeTabs";

/** One exercise: its plan is seen, and then it is poured at the bench. */
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
  const navigate = useNavigate();
  const [waiting, setWaiting] = useState(false);
  const [trouble, setTrouble] = useState<Trouble | null>(null);
  const { plan, session } = exercise;
  const at = (seconds: number) => clockTime(new Date(exercise.begunAt), seconds, session.zoneId);
  const begin = async () => {
    setTrouble(null);
    setWaiting(true);
    const answer = await ask(
      api.POST("/api/practice/exercises/{id}/begin", { params: { path: { id: exercise.id } } }),
    );
    setWaiting(false);
    if (answer.status === "ok") {
      void navigate(`/pour/${answer.value.id}`);
    } else {
      setTrouble(answer.trouble);
    }
  };
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
          disabled={waiting}
          onClick={() => void begin()}
          sx={{ mt: 2, minHeight: 84, fontSize: "1.4rem", px: 4 }}
        >
          {waiting ? "Laying out the bench…" : "Begin at the bench"}
        </Button>
        {trouble && <Told trouble={trouble} />}
      </Sheet>
      <Cautions />
    </Box>
  );
}

/** By their first pour. */
function soonestFirst(a: Cup, b: Cup): number {
  return (a.pours[0]?.startSeconds ?? 0) - (b.pours[0]?.startSeconds ?? 0);
}
