import { readPlace } from "../session/place";
import type { Plan } from "../api/client";

/** When the last pour ends, seconds from the first step. */
export function lastPourEnds(plan: Plan): number {
  return Math.max(
    0,
    ...plan.batches.flatMap((b) => b.cups.flatMap((c) => c.pours.map((p) => p.endSeconds))),
  );
}

/** When the last piece is out of its mould; null when not all of them ever are. */
export function outOfMoulds(plan: Plan): number | null {
  const out = plan.tasks.filter((t) => t.kind === "DEMOULD");
  const pieces = plan.pieces.reduce((sum, p) => sum + p.count, 0);
  const free = out.reduce((sum, t) => sum + t.places, 0);
  return free < pieces ? null : Math.max(...out.map((t) => t.endSeconds));
}

/** Pours that come too late, by id. */
export function lateIn(plan: Plan): Set<string> {
  return new Set(
    plan.findings
      .filter((f) => f.severity === "BREACH")
      .map((f) => readPlace(f.place))
      .flatMap((place) => (place.of === "pour" ? [place.id] : [])),
  );
}

export function sure(plan: Plan): string {
  return plan.chance ? `${sureOf(plan.chance.percent)}` : "–";
}

/** Never more precise than it can be, and never certain. */
export function sureOf(percent: number): string {
  return `${Math.min(99, Math.floor(percent))} % sure`;
}
