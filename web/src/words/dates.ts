const made = new Map<string, Intl.DateTimeFormat>();

/**
 * A format of moments, in the zone of the browser unless one is given. One is kept for every way of
 * writing and every zone: making a format takes a hundred times as long as using it, and a plan
 * writes hundreds of times.
 */
export function dateFormat(
  options: Intl.DateTimeFormatOptions,
  timeZone?: string,
  locale = "en-GB",
): Intl.DateTimeFormat {
  const key = `${locale} ${timeZone ?? ""} ${JSON.stringify(options)}`;
  const known = made.get(key);
  if (known) {
    return known;
  }
  const format = new Intl.DateTimeFormat(locale, { ...options, timeZone });
  made.set(key, format);
  return format;
}

/** The day of a moment in a zone, as 2026-11-28: the Canadian way of writing is the ISO one. */
export function dayOf(at: Date, timeZone: string): string {
  return dateFormat({}, timeZone, "en-CA").format(at);
}

/** A day such as 2026-11-28, as one writes it. */
export function dayName(day: string): string {
  return dateFormat({ weekday: "short", day: "numeric", month: "short" }).format(
    new Date(`${day}T12:00:00`),
  );
}
