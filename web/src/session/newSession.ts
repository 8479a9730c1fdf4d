import type { Hours, Session, Usual } from "../api/client";

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

/** A moment of that many minutes after midnight on the day of `date`. */
function at(date: Date, minutes: number): Date {
  const moment = new Date(date);
  moment.setHours(0, minutes, 0, 0);
  return moment;
}

/** As the API calls them, in the order of `Date.getDay`. */
export const WEEKDAYS = [
  "SUNDAY",
  "MONDAY",
  "TUESDAY",
  "WEDNESDAY",
  "THURSDAY",
  "FRIDAY",
  "SATURDAY",
];

/** A session of an evening takes about so long, min. */
const ROOM_FOR_WORK = 180;

/** The next full hour that leaves room for an evening's work; tomorrow where today has none. */
export function nextStart(now: Date, hours: Hours | undefined): Date {
  const soon = at(now, (now.getHours() + 1) * 60);
  if (!hours) {
    return soon;
  }
  for (let ahead = 0; ahead < 8; ahead++) {
    const day = new Date(now);
    day.setDate(day.getDate() + ahead);
    const own = hours.weekly?.find((d) => d.day === WEEKDAYS[day.getDay()]);
    const from = own ? own.fromMinutes : hours.fromMinutes;
    const to = own ? own.toMinutes : hours.toMinutes;
    if (from === undefined || to === undefined) {
      continue;
    }
    // On a later day nobody begins at the crack of dawn.
    const first = at(day, Math.max(from, ahead === 0 ? 0 : 10 * 60));
    const start = ahead === 0 && soon > first ? soon : first;
    if (start.getTime() + ROOM_FOR_WORK * 60_000 <= at(day, to).getTime()) {
      return start;
    }
  }
  return soon;
}

/** A session with nothing on the board yet, that works as is usual here. */
export function newSession(usual: Usual | null): Session {
  return {
    name: "New session",
    startsAt: localTime(nextStart(new Date(), usual?.hours)),
    zoneId: here(),
    room: usual?.room ?? { temperatureC: 22 },
    resinId: usual?.resinId ?? "",
    pieces: [],
    cupIds: [],
    splitInto: 1,
    ...(usual ? { habits: usual.habits, hands: usual.hands } : {}),
    ...(usual?.hours ? { arrangement: { hours: usual.hours } } : {}),
  };
}
