import { useEffect, useRef } from "react";
import { useToday } from "../api/queries";
import { dueWords } from "../words/due";

const AGAIN_MS = 30_000;

/** Says what has just become due; what was due before this was opened stands on Today. */
export function Reminders() {
  const { data, refetch } = useToday();
  const told = useRef<Set<string> | null>(null);
  useEffect(() => {
    const again = setInterval(() => void refetch(), AGAIN_MS);
    return () => clearInterval(again);
  }, [refetch]);
  useEffect(() => {
    if (!data) {
      return;
    }
    const now = Date.parse(data.now);
    const due = data.due.filter((d) => d.hands && Date.parse(d.from) <= now);
    const first = told.current === null;
    const known = (told.current ??= new Set());
    for (const line of due) {
      const key = line.runId + line.taskId + line.from;
      if (!known.has(key)) {
        known.add(key);
        if (!first) {
          new Notification(dueWords(line), { body: line.runName, tag: key });
        }
      }
    }
  }, [data]);
  return null;
}
