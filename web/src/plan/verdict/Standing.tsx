import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useState } from "react";
import { useLatestStart } from "../../api/asking";
import type { PlanAnswer } from "../../api/client";
import { useUnits } from "../../units/UnitsProvider";
import { WrongMark } from "../../ui/Told";
import { changesText } from "../../words/changes";
import { heatLine, heatTexts } from "../../words/heatTexts";
import { latestWords } from "../../words/latest";
import { stand } from "../../words/stand";
import { Fig } from "../how/How";
import { told } from "./told";

interface Props {
  answer: PlanAnswer;
  /** The plan it was changed from; null where it was not. */
  before: PlanAnswer | null;
  zoneId: string;
  /** When the session is meant to begin, in its own local time. */
  starts: string;
}

/** How a plan stands: its heat above everything about time, then a sentence, then what changed. */
export function Standing({ answer, before, zoneId, starts }: Props) {
  const units = useUnits();
  const { plan } = answer;
  const heat = heatLine(heatTexts(plan, units));
  const how = stand(plan, new Date(answer.startsAt), zoneId, units);
  // Several plans are tried for it, and the next edit would wait for them: only for whoever asks.
  const [asked, setAsked] = useState(false);
  const latest = useLatestStart(asked && !how.wrong);
  return (
    <>
      {heat !== null && (
        <Box role="alert" sx={{ ...told(true), flex: "1 1 100%" }}>
          <WrongMark />
          {heat}
        </Box>
      )}
      <Box role="status" sx={told(how.wrong)}>
        {how.wrong && <WrongMark />}
        <Fig of="plan/spareMinutes" what="Time to spare">
          {how.text}
        </Fig>
      </Box>
      {!asked && !how.wrong && (
        <Button size="small" onClick={() => setAsked(true)}>
          Latest start?
        </Button>
      )}
      {asked && !how.wrong && (
        <Box component="span" sx={{ color: "text.secondary" }}>
          {latest === undefined
            ? "Working it out…"
            : latest === null
              ? "Your hours set no latest start."
              : latestWords(latest, starts)}
        </Box>
      )}
      <Box component="span" aria-live="polite" sx={{ color: "text.secondary" }}>
        {before && changesText(before.plan, plan, units)}
      </Box>
    </>
  );
}
