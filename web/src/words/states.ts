import type { LayerCure, Plan } from "../api/client";
import { clockTime } from "./time";
import { dateFormat } from "./dates";

export interface When {
  startsAt: Date;
  zoneId: string;
}

const DAY = 24 * 3600;

/** A moment of the plan: the time alone while it is within the day, the weekday with it later. */
export function whenText(seconds: number, { startsAt, zoneId }: When): string {
  if (seconds < DAY / 2) {
    return clockTime(startsAt, seconds, zoneId);
  }
  return dateFormat(
    {
      weekday: "short",
      ...(seconds > 6 * DAY ? { day: "numeric", month: "short" } : {}),
      hour: "2-digit",
      minute: "2-digit",
    },
    zoneId,
  ).format(new Date(startsAt.getTime() + seconds * 1000));
}

export function between(from: number, to: number | undefined, when: When): string {
  return to === undefined
    ? `from ${whenText(from, when)}, perhaps never`
    : `${whenText(from, when)} to ${whenText(to, when)}`;
}

/** When the last of a line's pieces comes out of its moulds; null while nothing says so. */
export function outOfMould(plan: Plan, piece: number): LayerCure | null {
  const layers = layersOf(plan, piece);
  return layers.reduce(
    (latest: LayerCure | null, each) =>
      !latest || (each.demould?.seconds ?? Infinity) > (latest.demould?.seconds ?? Infinity)
        ? each
        : latest,
    null,
  );
}

export function layersOf(plan: Plan, piece: number): LayerCure[] {
  return plan.batches
    .flatMap((b) => b.cups.flatMap((c) => c.follows.layers))
    .filter((l) => l.line === piece)
    .sort((a, b) => b.layer - a.layer || b.pouredSeconds - a.pouredSeconds);
}
