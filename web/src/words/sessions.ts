import type { SessionLine } from "../api/client";
import { dateFormat } from "./dates";

/** How far a session has come, in a word. */
export const STANDS: Record<SessionLine["stands"], string> = {
  PLANNED: "planned",
  CONFIRMED: "confirmed",
  OVERDUE: "overdue: not begun",
  BEGUN: "begun",
  DONE: "done",
};

/** The same name again, told apart: "Knobs", "Knobs 2", "Knobs 3". */
export function nextName(name: string, taken: readonly string[]): string {
  const base = name.replace(/ \d+$/, "");
  for (let n = 2; ; n++) {
    const next = `${base} ${n}`;
    if (!taken.includes(next)) {
      return next;
    }
  }
}

/** Whether all the words that are looked for stand somewhere in what is known of a session. */
export function matches(line: SessionLine, sought: string): boolean {
  const known = [
    line.name,
    STANDS[line.stands],
    line.board?.resin ?? "",
    ...(line.board?.moulds ?? []).flatMap((m) => [m.name, ...m.layers.map((l) => l.colour)]),
  ]
    .join(" ")
    .toLowerCase();
  return sought
    .toLowerCase()
    .split(/\s+/)
    .every((word) => known.includes(word));
}

/** A day and an hour on the wall here. */
export function dayAndHour(at: Date): string {
  return dateFormat({
    weekday: "short",
    day: "numeric",
    month: "short",
    hour: "2-digit",
    minute: "2-digit",
  }).format(at);
}
