import type { Task } from "../api/client";
import { dayAndTime } from "./time";
import { dateFormat } from "./dates";

/** From then on it may be done on any day; nobody gets up for it. */
const FREE = new Set<Task["kind"]>(["DEMOULD", "MOULDS_AWAY", "FINISH", "READY"]);

const NIGHT_FROM = 22;
const NIGHT_TO = 7;
const HOUR = 3_600_000;

/** The next moment at which people are up, where it falls in the night; null by day. */
export function nextMorning(at: Date, zoneId: string): Date | null {
  const hour = Number(dateFormat({ hour: "2-digit", hourCycle: "h23" }, zoneId).format(at));
  if (hour >= NIGHT_TO && hour < NIGHT_FROM) {
    return null;
  }
  return new Date(at.getTime() + ((NIGHT_TO - hour + 24) % 24) * HOUR);
}

const weekday = (at: Date, zoneId: string, more: Intl.DateTimeFormatOptions = {}) =>
  dateFormat({ weekday: "short", ...more }, zoneId).format(at);

/** Whether a task only has an earliest time, which may fall in the night. */
export function isFree(kind: Task["kind"]): boolean {
  return FREE.has(kind);
}

/** When a task is due, day and time; a day or a morning where the hour is nobody's business. */
export function dueText(kind: Task["kind"], at: Date, zoneId: string): string {
  const morning = isFree(kind) ? nextMorning(at, zoneId) : null;
  if (kind === "READY") {
    return weekday(morning ?? at, zoneId, { day: "numeric", month: "short" });
  }
  return morning
    ? `${weekday(morning, zoneId, { day: "numeric", month: "short" })}, morning`
    : dayAndTime(at, zoneId);
}

/** The same in the fewest words, for a moment within the week. */
export function mornings(at: Date, zoneId: string): string | null {
  const morning = nextMorning(at, zoneId);
  return morning ? `${weekday(morning, zoneId)} morning` : null;
}
