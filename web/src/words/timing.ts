import type { TimedPace, TimingView } from "../api/client";
import type { Units } from "../units/units";
import { behindText } from "./learned";
import { dayOf } from "./dates";
import { clockOnly, dayAndTime } from "./time";

/** What a resin that is timed will be next, of what stays in the cup or of what was poured. */
export interface NextState {
  piece: boolean;
  at: Date;
  what: string;
}

/** Its states still to come, the next first: that is when a look teaches most. */
export function comingStates(timing: TimingView, now: number): NextState[] {
  const of = (piece: boolean, at: string | undefined, what: string): NextState[] =>
    at !== undefined && Date.parse(at) > now ? [{ piece, at: new Date(at), what }] : [];
  const { cup, piece } = timing;
  const poured = timing.pouredAt === undefined ? undefined : piece;
  return [
    ...of(false, cup.thick, "the cup should be too thick to pour"),
    ...of(false, cup.thread, "a thread should hold in the cup"),
    ...of(false, cup.gels, "the cup should have gelled"),
    ...(poured
      ? [
          ...of(true, poured.gels, "what you poured should have gelled"),
          ...of(true, poured.hard, "what you poured should be hard"),
        ]
      : []),
  ].sort((a, b) => a.at.getTime() - b.at.getTime());
}

export function nextLook(timing: TimingView, now: number): string {
  const [next] = comingStates(timing, now);
  return next === undefined
    ? "By now it should be as far as it gets. One more look tells whether it is."
    : `Look again about ${momentText(next.at, now, timing.zoneId)}: by then ${next.what}.`;
}

/** The day only where it is another one. */
export function momentText(at: Date, now: number, zoneId: string): string {
  return dayOf(at, zoneId) === dayOf(new Date(now), zoneId)
    ? clockOnly(at, 0, zoneId)
    : dayAndTime(at, zoneId);
}

/** What it says of its resin's pace. */
export function timedText({ of, ...pace }: TimedPace, units: Units): string {
  const what = of === "FLUID" ? "Until it gels" : "Until it is hard";
  return `${what}: ${behindText({ name: "", day: "", ...pace }, "pace", units)}.`;
}

/** How long since A and B met: "2 h 05 min". */
export function since(metAt: string, now: number): string {
  const minutes = Math.max(0, Math.floor((now - Date.parse(metAt)) / 60_000));
  const hours = Math.floor(minutes / 60);
  if (hours >= 48) {
    return `${Math.round(hours / 24)} days`;
  }
  return hours === 0 ? `${minutes} min` : `${hours} h ${String(minutes % 60).padStart(2, "0")} min`;
}
