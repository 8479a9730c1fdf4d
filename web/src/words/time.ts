import { dateFormat } from "./dates";

/** The clock at a moment of the plan, where its day is told beside it. */
export function clockOnly(startsAt: Date, seconds: number, zoneId: string): string {
  return dateFormat({ hour: "2-digit", minute: "2-digit" }, zoneId).format(
    new Date(startsAt.getTime() + seconds * 1000),
  );
}

/** Wall-clock time of a moment of the plan, with its weekday once midnight has passed. */
export function clockTime(startsAt: Date, seconds: number, zoneId: string): string {
  const clock = clockOnly(startsAt, seconds, zoneId);
  const weekday = dateFormat({ weekday: "short" }, zoneId);
  const day = weekday.format(new Date(startsAt.getTime() + seconds * 1000));
  return day === weekday.format(startsAt) ? clock : `${day} ${clock}`;
}

export function dayAndTime(at: Date, zoneId: string): string {
  return dateFormat(
    { weekday: "short", day: "numeric", month: "short", hour: "2-digit", minute: "2-digit" },
    zoneId,
  ).format(at);
}

/** Minutes that were worked out, rounded as one would say them aloud. */
export function minutes(value: number): string {
  if (value > 0 && value < 0.75) {
    return "less than a minute";
  }
  return value >= 0.75 && value < 1.5 ? "about a minute" : `${Math.round(value)} min`;
}

/** Minutes that somebody gave or has to keep to: half a minute is told. */
export function minutesGiven(value: number): string {
  return value < 10 && value % 1 !== 0 ? `${value.toFixed(1)} min` : `${Math.round(value)} min`;
}

/** From the least to the most minutes that were worked out. */
export function minutesBetween(least: number, most: number): string {
  const to = minutes(most);
  if (minutes(least) === to) {
    return to;
  }
  return least < 1.5 ? `up to ${to}` : `${Math.round(least)} to ${to}`;
}

/** A wait of minutes, hours or days that was worked out, as one would say it. */
export function span(value: number): string {
  return value < 180 ? minutes(value) : hours(value);
}

/** A wait that somebody gave. */
export function spanGiven(value: number): string {
  return value < 180 ? minutesGiven(value) : hours(value);
}

function hours(value: number): string {
  return value < 48 * 60 ? `${Math.round(value / 60)} h` : `${Math.round(value / 1440)} days`;
}

/** Minutes after midnight as a clock on the wall says them; a field for a time knows no 24:00. */
export function wallClock(minutes: number): string {
  const within = Math.min(minutes, 1_439);
  return `${String(Math.floor(within / 60)).padStart(2, "0")}:${String(within % 60).padStart(2, "0")}`;
}

/** "18:30" as minutes after midnight; null for what is no time. */
export function minutesOf(text: string): number | null {
  const [hours, rest] = text.split(":").map(Number);
  return hours === undefined || rest === undefined || Number.isNaN(hours + rest)
    ? null
    : hours * 60 + rest;
}
