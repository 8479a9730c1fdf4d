import { ofBatch, ofCup } from "../session/place";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useEffect, useState } from "react";
import type { Batch, PlanAnswer, Session } from "../api/client";
import { Fig } from "../plan/how/How";
import { Assumed } from "../plan/how/Margins";
import { Cautions } from "../ui/Cautions";
import { WrongMark } from "../ui/Told";
import { useUnits } from "../units/UnitsProvider";
import { showWith } from "../units/units";
import { findingText } from "../words/findings";
import { clockTime } from "../words/time";

interface Props {
  session: Session;
  answer: PlanAnswer;
  onMeetNow: () => void;
  onChange: (session: Session) => void;
}

/** The two amounts, as large as the screen allows, and how long the cup stays pourable. */
export function Running({ session, answer, onMeetNow, onChange }: Props) {
  const units = useUnits();
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), 500);
    return () => clearInterval(timer);
  }, []);
  const { plan, zoneId } = answer;
  const startsAt = new Date(answer.startsAt);
  const batch = plan.batches[0];
  const cup = batch?.cups[0];
  if (!batch || !cup) {
    return null;
  }
  const contact = startsAt.getTime() + batch.times.contactSeconds * 1000;
  const end = startsAt.getTime() + cup.times.thickensSeconds * 1000;
  const left = Math.max(0, Math.floor((end - now) / 1000));
  const over = now >= end;
  const volume = batch.measuring.by === "VOLUME";
  const part = (which: "A" | "B") => {
    const amount = which === "A" ? batch.measuring.partA : batch.measuring.partB;
    return (
      <Box role="group" aria-label={`Part ${which}`}>
        <Box sx={{ fontSize: "1.4rem", color: "text.secondary" }}>{which}</Box>
        <Box sx={{ fontSize: { xs: "3.2rem", sm: "5rem" }, fontWeight: 700, lineHeight: 1.05 }}>
          <Fig
            of={`${ofBatch(1)}/part${which}/${volume ? "volumeMl" : "massG"}`}
            what={`Part ${which}`}
          >
            {volume ? showWith(units.VOLUME, amount.volumeMl) : showWith(units.MASS, amount.massG)}
          </Fig>
        </Box>
        <Box sx={{ color: "text.secondary", fontSize: "1.2rem" }}>
          {volume ? showWith(units.MASS, amount.massG) : showWith(units.VOLUME, amount.volumeMl)}
        </Box>
      </Box>
    );
  };
  const first = batch.measuring.firstPart;
  const second = first === "A" ? "B" : "A";
  const share = Math.max(0, Math.min(1, (end - now) / (end - contact)));
  return (
    <Box sx={{ pt: 1.5, px: 1 }}>
      <Typography variant="h1">{session.name}</Typography>
      {plan.batches.length > 1 && (
        <Box sx={{ color: "error.main", display: "flex", gap: 1, mt: 1, alignItems: "center" }}>
          <WrongMark /> More than one batch may hold: mix this {plan.batches.length} times.
        </Box>
      )}
      {plan.findings
        .filter((f) => f.severity !== "NOTE")
        .map((f) => (
          <Box key={f.rule + f.place} sx={{ color: "error.main", display: "flex", gap: 1, mt: 1 }}>
            <WrongMark /> {findingText(f, plan, units)}
          </Box>
        ))}
      <Box sx={{ display: "flex", columnGap: 8, rowGap: 2, flexWrap: "wrap", mt: 2 }}>
        {part(first)}
        {part(second)}
        <Box>
          <Box sx={{ fontSize: "1.4rem", color: "text.secondary" }}>both together</Box>
          <Box sx={{ fontSize: { xs: "2rem", sm: "3rem" }, fontWeight: 700, mt: { sm: 1.5 } }}>
            <Fig of={`${ofBatch(1)}/totalG`} what="Both parts">
              {showWith(units.MASS, batch.measuring.totalG)}
            </Fig>
          </Box>
        </Box>
      </Box>
      <Exactly session={session} batch={batch} onChange={onChange} />
      <Box role="timer" aria-label="Pourable for" sx={{ mt: 3 }}>
        <Box
          sx={{
            fontSize: { xs: "3.2rem", sm: "5rem" },
            fontWeight: 700,
            lineHeight: 1.1,
            color: over || left < 300 ? "error.main" : "text.primary",
          }}
        >
          {over ? "thick" : `${Math.floor(left / 60)}:${String(left % 60).padStart(2, "0")}`}
        </Box>
        <Box sx={{ height: 14, bgcolor: "divider", borderRadius: 7, maxWidth: 700, my: 1 }}>
          <Box
            sx={{
              height: 14,
              width: `${share * 100}%`,
              bgcolor: left < 300 ? "error.main" : "primary.main",
              borderRadius: 7,
            }}
          />
        </Box>
        <Box sx={{ fontSize: "1.2rem", color: "text.secondary" }}>
          {over ? "It should be thick by now. " : ""}A {now < contact ? "meets" : "met"} B at{" "}
          {clockTime(startsAt, batch.times.contactSeconds, zoneId)};{" "}
          <Fig of={`${ofCup(cup.id)}/workingTimeMinutes`} what="Working time">
            pourable until about {clockTime(startsAt, cup.times.thickensSeconds, zoneId)}
          </Fig>
          , at the earliest {clockTime(startsAt, cup.times.thickensEarliestSeconds, zoneId)}.
        </Box>
      </Box>
      <Box sx={{ display: "flex", gap: 1.5, mt: 2.5, flexWrap: "wrap" }}>
        <Button
          variant="contained"
          onClick={onMeetNow}
          sx={{ minHeight: 64, fontSize: "1.2rem", px: 4 }}
        >
          Mixed: start the clock
        </Button>
        <Button variant="outlined" href="/mix" sx={{ minHeight: 64, px: 3 }}>
          Another mix
        </Button>
      </Box>
      <Assumed plan={plan} session={session} />
      <Cautions />
    </Box>
  );
}

/** Why it is not quite what was asked for, and a key to have it all the same. */
function Exactly({
  session,
  batch,
  onChange,
}: Pick<Props, "session" | "onChange"> & { batch: Batch }) {
  const units = useUnits();
  const { massG, volumeMl } = session.justMix ?? {};
  const { partA, partB, by } = batch.measuring;
  const all = massG === undefined ? partA.volumeMl + partB.volumeMl : batch.measuring.totalG;
  const asked = massG ?? volumeMl ?? all;
  const more = all - asked;
  const { habits } = session;
  const marks = habits?.marksDivisionMl;
  if (!habits || marks === undefined || Math.abs(more) < 0.05) {
    return null;
  }
  const unit = massG === undefined ? units.VOLUME : units.MASS;
  const step =
    by === "VOLUME"
      ? `your cup is marked every ${showWith(units.VOLUME, marks)}`
      : `your scale reads to ${habits.scaleDivisionG} g`;
  return (
    <Box
      role="status"
      sx={{ mt: 1, display: "flex", gap: 1, alignItems: "center", flexWrap: "wrap" }}
    >
      <span>
        {showWith(unit, all)} instead of {showWith(unit, asked)}: {step}.
      </span>
      {by === "VOLUME" && (
        <Button
          variant="outlined"
          onClick={() =>
            onChange({
              ...session,
              habits: { ...habits, marksDivisionMl: marks / 2 },
            })
          }
        >
          Read between the marks
        </Button>
      )}
    </Box>
  );
}
