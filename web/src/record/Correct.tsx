import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import DialogActions from "@mui/material/DialogActions";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import { useState } from "react";
import type { AsTold, LookedBack, RunEvent, Trouble } from "../api/client";
import { NumberField } from "../ui/NumberField";
import { Told } from "../ui/Told";
import { ClockField } from "../ui/When";
import { useUnits } from "../units/UnitsProvider";
import { clockOnly, minutesOf } from "../words/time";
import { toldValue, toldWords } from "../words/told";
import { whyWrong, WhyAndWho } from "./WhyAndWho";

interface Props {
  line: AsTold;
  looked: LookedBack;
  at: (seconds: number) => string;
  /** Now, by the clock of the evening, ms. */
  now: () => number;
  /** What is wrong with it; null where it was taken. */
  onCorrect: (event: Omit<RunEvent, "id" | "at">) => Promise<Trouble | null>;
  onClose: () => void;
}

const DAY = 24 * 60;
/** How many minutes later, by the shorter way round the clock. */
function minutesLater(from: string, to: string): number | null {
  const [a, b] = [minutesOf(from), minutesOf(to)];
  if (a === null || b === null) {
    return null;
  }
  const by = (((b - a) % DAY) + DAY) % DAY;
  return by > DAY / 2 ? by - DAY : by;
}

/** One line of the record: what it should have said, why, and who says so. */
export function Correct({ line, looked, at, now, onCorrect, onClose }: Props) {
  const units = useUnits();
  const begun = new Date(looked.begunAt);
  const clock = clockOnly(begun, line.atSeconds, looked.session.zoneId);
  const [value, setValue] = useState<number | null>(line.value ?? null);
  const [readable, setReadable] = useState(true);
  const [time, setTime] = useState(clock);
  const [why, setWhy] = useState("");
  const [who, setWho] = useState("");
  const [asked, setAsked] = useState(false);
  const by = minutesLater(clock, time) ?? 0;
  const otherValue = value !== null && value !== line.value;
  const moment = new Date(begun.getTime() + (line.atSeconds + by * 60) * 1000);
  const [trouble, setTrouble] = useState<Trouble | null>(null);
  const wrongTime =
    by === 0
      ? undefined
      : moment < begun
        ? "This is before the evening began."
        : moment.getTime() > now()
          ? "This is still to come."
          : undefined;
  const changes = otherValue || by !== 0;
  const ofValue = trouble?.errors.find((e) => e.field.endsWith(".value"));
  const keep = async () => {
    setAsked(true);
    if (changes && readable && !wrongTime && whyWrong(why, true) === "") {
      const wrong = await onCorrect({
        kind: "CORRECTED",
        of: line.id,
        codes: by === 0 ? [] : [`AT/${moment.toISOString()}`],
        text: why.trim(),
        ...(otherValue ? { value } : {}),
        ...(who.trim() === "" ? {} : { person: who.trim() }),
      });
      setTrouble(wrong);
      if (!wrong) {
        onClose();
      }
    }
  };
  return (
    <Dialog open onClose={onClose} aria-labelledby="correct-title">
      <DialogTitle id="correct-title">{toldWords(line, looked)}</DialogTitle>
      <DialogContent>
        <Box sx={{ display: "grid", gap: 2, pt: 1, minWidth: { md: 380 } }}>
          <Box sx={{ color: "text.secondary" }}>
            Told: {[at(line.atSeconds), toldValue(line, units)].filter(Boolean).join(", ")}. What
            was told stays in the record; everything is worked out with what you enter here.
          </Box>
          {line.measured !== "NOTHING" && (
            <NumberField
              label={line.measured === "CELSIUS" ? "Temperature" : "Weight"}
              unit={line.measured === "CELSIUS" ? units.TEMPERATURE : units.MASS}
              value={value}
              onChange={(to) => {
                setValue(to);
                setTrouble(null);
              }}
              onReadable={setReadable}
              error={ofValue}
              optional={line.value === undefined}
              width="100%"
            />
          )}
          <ClockField label="Time" value={time} onChange={setTime} error={wrongTime} needed />
          <WhyAndWho
            why={why}
            onWhy={setWhy}
            who={who}
            onWho={setWho}
            asked={asked}
            placeholder="read the scale with the cup on it"
          />
          {trouble && !ofValue && <Told trouble={trouble} />}
          {asked && !changes && <Box role="alert">Nothing is different yet.</Box>}
        </Box>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Back</Button>
        <Button variant="contained" onClick={() => void keep()}>
          Correct the record
        </Button>
      </DialogActions>
    </Dialog>
  );
}
