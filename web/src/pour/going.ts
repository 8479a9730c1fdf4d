import type { CupNow, RunState } from "../api/client";
import { seenHot } from "./answered";
import type { Happened } from "./useRun";

/** A cup that goes while nobody presses: what has become of it, and what is lost with it. */
export interface Going {
  /** Under which the answer is kept: of each cup once for each thing that can become of it. */
  key: string;
  /** Null for a batch in its mixing cup. */
  cup: CupNow | null;
  batch: number;
  why: "THICK" | "GELLED" | "WARM";
  lost: number;
}

/** By the clock on the wall, so that it is noticed without a line as well. */
function become(cup: { thicksSeconds: number; gelsSeconds: number; state: string }, now: number) {
  return cup.state === "GELLED" || now >= cup.gelsSeconds
    ? "GELLED"
    : cup.state === "THICK" || now >= cup.thicksSeconds
      ? "THICK"
      : null;
}

/** From when on is worked out with the cup; one that is measured to be hot is told as hot. */
export function isWarm(cup: CupNow, now: number): boolean {
  return cup.warmsSeconds !== undefined && now >= cup.warmsSeconds;
}

/** Too thick is too thick: that it gels as well later changes nothing. */
function isAnswered(gone: Going, checked: string[]): boolean {
  const thick = gone.key.replace(/GELLED$/, "THICK");
  return checked.includes(gone.key) || checked.includes(thick);
}

/** What has gone and was not answered yet. */
export function going(state: RunState, now: number, checked: string[]): Going[] {
  const open = (of: (s: RunState["steps"][number]) => boolean) =>
    state.steps.filter((s) => s.kind === "POUR" && s.status === "TO_DO" && of(s)).length;
  const cups = state.cups.map((cup): Going | null => {
    const lost = cup.lostPours + open((s) => s.cupId === cup.cupId);
    const gone = become(cup, now);
    // What only clings to an emptied cup may gel; what is warm is told of any.
    const why = cup.hot ? null : isWarm(cup, now) ? "WARM" : lost > 0 ? gone : null;
    return why && { key: `GONE/${cup.cupId}/${why}`, cup, batch: cup.batch, why, lost };
  });
  const mixes = state.mixes.map((mix): Going | null => {
    const why = become(mix, now);
    const lost = open((s) => s.batch === mix.batch && !cups.some((c) => c?.cup?.cupId === s.cupId));
    return why && { key: `GONE/batch ${mix.batch}/${why}`, cup: null, batch: mix.batch, why, lost };
  });
  return [...cups, ...mixes].filter((g) => g !== null).filter((g) => !isAnswered(g, checked));
}

/** What is told once they were seen: a cup that is too warm is put away, as one felt to be hot. */
export function answers(gone: Going[]): Happened[] {
  return gone.flatMap((g): Happened[] => [
    { kind: "CHECKED", of: g.key },
    ...(g.why === "WARM" && g.cup
      ? [
          { kind: "HOT" as const, of: g.cup.cupId },
          { kind: "CHECKED" as const, of: seenHot(g.cup.cupId) },
        ]
      : []),
  ]);
}

/** The next moment at which something becomes of a cup; null while nothing does. */
export function nextTurn(state: RunState, now: number): number | null {
  const turns = [...state.cups, ...state.mixes]
    .flatMap((c) => [c.thicksSeconds, c.gelsSeconds, "warmsSeconds" in c ? c.warmsSeconds : null])
    .filter((t): t is number => typeof t === "number" && t > now);
  return turns.length === 0 ? null : Math.min(...turns);
}
