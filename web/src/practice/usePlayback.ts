import { useCallback, useEffect, useState } from "react";
import { usePlayed } from "../api/asking";
import type { Choice } from "../api/client";

/** How often the picture moves on, ms. */
const TICK_MS = 100;

/** A gap in which nobody does anything is shown no longer than that, s of the evening. */
export const LONGEST_GAP = 600;

/** An evening that is played at speed, up to the next question. */
export function usePlayback(id: string) {
  const [choices, setChoices] = useState<Choice[]>([]);
  // What was played so far stays on the screen while its sequel is asked for.
  const { answer: played, current, trouble, retry } = usePlayed(id, choices);
  const asking = !current;
  const [now, setNow] = useState(0);
  const [speed, setSpeed] = useState(60);

  const frames = played?.rehearsed.frames ?? [];
  const question = played?.rehearsed.question;
  const end = question?.atSeconds ?? frames.at(-1)?.atSeconds ?? 0;
  const there = !asking && played !== null && now >= end;
  const next = frames.find((f) => f.atSeconds > now);
  // Hours until a gel are not waited for.
  const skipTo =
    next && next.startSeconds - now > LONGEST_GAP ? next.startSeconds - LONGEST_GAP / 10 : null;
  const runs = speed > 0 && !asking && !there;
  useEffect(() => {
    if (!runs) {
      return;
    }
    const timer = setInterval(
      () => setNow((n) => Math.min(end, Math.max(n, skipTo ?? 0) + (speed * TICK_MS) / 1000)),
      TICK_MS,
    );
    return () => clearInterval(timer);
  }, [runs, speed, end, skipTo]);

  const choose = useCallback((choice: Choice) => {
    setChoices((c) => [...c, choice]);
  }, []);
  const again = useCallback(() => {
    setChoices([]);
    setNow(0);
  }, []);
  return {
    played,
    frames,
    trouble,
    now,
    speed,
    setSpeed,
    toEnd: asking || there ? null : () => setNow(end),
    question: there ? question : undefined,
    score: there ? played.rehearsed.score : undefined,
    choose,
    again,
    retry,
  };
}
