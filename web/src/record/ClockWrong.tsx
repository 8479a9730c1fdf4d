import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import DialogActions from "@mui/material/DialogActions";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import { useState } from "react";
import type { LookedBack, RunEvent, Trouble } from "../api/client";
import { Told } from "../ui/Told";
import { MomentField } from "../ui/When";
import { dayAndTime } from "../words/time";
import { whyWrong, WhyAndWho } from "./WhyAndWho";

interface Props {
  looked: LookedBack;
  /** What is wrong with it; null where it was taken. */
  onCorrect: (event: Omit<RunEvent, "id" | "at">) => Promise<Trouble | null>;
  onClose: () => void;
}

/** When an evening really began, where its clock was wrong: everything told moves with it. */
export function ClockWrong({ looked, onCorrect, onClose }: Props) {
  const [began, setBegan] = useState("");
  const [why, setWhy] = useState("");
  const [who, setWho] = useState("");
  const [asked, setAsked] = useState(false);
  const [trouble, setTrouble] = useState<Trouble | null>(null);
  const ofBegan = trouble?.errors.find((e) => e.field.endsWith(".codes"));
  const beganWrong = ofBegan
    ? "It cannot have begun then: from 2000 on, and over by now."
    : asked && began === ""
      ? "Say when it really began."
      : undefined;
  const keep = async () => {
    setAsked(true);
    if (began !== "" && whyWrong(why, true) === "") {
      const wrong = await onCorrect({
        kind: "CLOCK",
        codes: [`BEGAN/${began}`],
        text: why.trim(),
        ...(who.trim() === "" ? {} : { person: who.trim() }),
      });
      setTrouble(wrong);
      if (!wrong) {
        onClose();
      }
    }
  };
  return (
    <Dialog open onClose={onClose} aria-labelledby="clock-title">
      <DialogTitle id="clock-title">The clock was wrong</DialogTitle>
      <DialogContent>
        <Box sx={{ display: "grid", gap: 2, pt: 1, minWidth: { md: 380 } }}>
          <Box sx={{ color: "text.secondary" }}>
            By the clock it began {dayAndTime(new Date(looked.begunAt), looked.session.zoneId)}.
            Everything of the evening moves with its beginning.
          </Box>
          <MomentField
            label="It really began"
            value={began}
            onChange={(to) => {
              setBegan(to);
              setTrouble(null);
            }}
            error={beganWrong}
          />
          <WhyAndWho
            why={why}
            onWhy={setWhy}
            who={who}
            onWho={setWho}
            asked={asked}
            placeholder="the tablet still showed summer time"
          />
          {trouble && !ofBegan && <Told trouble={trouble} />}
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
