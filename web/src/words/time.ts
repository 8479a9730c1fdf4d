/** Wall-clock time of a moment of the plan, in the workshop's zone. */
export function clockTime(startsAt: Date, seconds: number, zoneId: string): string {
  return new Intl.DateTimeFormat("en-GB", {
    hour: "2-digit",
    minute: "2-digit",
    timeZone: zoneId,
  }).format(new Date(startsAt.getTime() + seconds * 1000));
}

export function dayAndTime(at: Date, zoneId: string): string {
  return new Intl.DateTimeFormat("en-GB", {
    weekday: "short",
    day: "numeric",
    month: "short",
    hour: "2-digit",
    minute: "2-digit",
    timeZone: zoneId,
  }).format(at);
}

/** Minutes as a maker says them: never more precise than it matters. */
export function minutes(value: number): string {
  return value < 10 && value % 1 !== 0 ? `${value.toFixed(1)} min` : `${Math.round(value)} min`;
}

/** A wait of minutes, hours or days, as one would say it. */
export function span(value: number): string {
  if (value < 180) {
    return minutes(value);
  }
  return value < 48 * 60 ? `${Math.round(value / 60)} h` : `${Math.round(value / 1440)} days`;
}
