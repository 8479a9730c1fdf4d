import type { Session } from "../api/client";

/** Local wall-clock time, as the server reads it. */
export function localTime(date: Date): string {
  const two = (n: number) => String(n).padStart(2, "0");
  return (
    `${date.getFullYear()}-${two(date.getMonth() + 1)}-${two(date.getDate())}` +
    `T${two(date.getHours())}:${two(date.getMinutes())}:${two(date.getSeconds())}`
  );
}

export function here(): string {
  return Intl.DateTimeFormat().resolvedOptions().timeZone;
}

/** A session with nothing on the board yet, at the next full hour. */
export function newSession(): Session {
  const start = new Date();
  start.setHours(start.getHours() + 1, 0, 0, 0);
  return {
    name: "New session",
    startsAt: localTime(start),
    zoneId: here(),
    room: { temperatureC: 22 },
    resinId: "",
    pieces: [],
    cupIds: [],
    splitInto: 1,
  };
}
