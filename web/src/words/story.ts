import type { Plan } from "../api/client";
import { type Units } from "../units/units";
import { measured, measureOf } from "./measured";
import { countWord, ordinal } from "./numbers";
import { cavityName, cupName } from "./places";
import { lastPourEnds, outOfMoulds, sureOf } from "./plan";
import { clockTime, dayAndTime, minutes } from "./time";

/** The plan told in five sentences, as one would say it to whoever helps. */
export function storyOf(plan: Plan, startsAt: Date, zoneId: string, units: Units): string[] {
  const pours = plan.batches.flatMap((b) => b.cups.flatMap((c) => c.pours));
  const first = plan.batches[0];
  if (pours.length === 0 || !first) {
    return [];
  }
  const at = (seconds: number) => clockTime(startsAt, seconds, zoneId);
  const when = (seconds: number) =>
    dayAndTime(new Date(startsAt.getTime() + seconds * 1000), zoneId);
  const count = plan.batches.length;
  return [
    count === 1
      ? `One batch of ${measured(units, measureOf(first), first.measuring.totalG)}, begun at ${at(first.times.startSeconds)}, fills ${pieces(plan, 0)}.`
      : `${countWord(count)} batches of ${list(plan.batches.map((b) => measured(units, measureOf(b), b.measuring.totalG, 0)))} fill ${pieces(plan, null)}.`,
    ...plan.batches.slice(0, 2).map((batch, i) => {
      const colours = [...new Set(batch.cups.map((c) => c.colour.name))];
      const empty = Math.min(...batch.cups.map((c) => c.times.thickensSeconds));
      const carries =
        count === 1
          ? `It becomes ${list(colours)}`
          : `The ${ordinal(i + 1)}, at ${when(batch.times.startSeconds)}, carries ${list(colours)} for ${pieces(plan, i)}`;
      return `${carries} and must be out of the cups by ${at(empty)}.`;
    }),
    ...(count > 2
      ? [
          `The other ${countWord(count - 2).toLowerCase()} begin at ${list(plan.batches.slice(2).map((b) => when(b.times.startSeconds)))}.`,
        ]
      : []),
    tightest(plan),
    out(plan, when),
  ];
}

function tightest(plan: Plan): string {
  const cups = plan.batches.flatMap((b) => b.cups);
  const all = cups.flatMap((cup) =>
    cup.pours.map((pour) => ({
      cup,
      pour,
      spare: cup.times.latestPourEndSeconds - pour.endSeconds,
    })),
  );
  const least = all.reduce((a, b) => (b.spare < a.spare ? b : a));
  const name = `${cupName(cups, least.cup)} into ${cavityName(plan, least.pour.line, least.pour.cavity)}`;
  const time =
    least.spare < 0
      ? `${minutes(-least.spare / 60)} too late`
      : `with ${minutes(least.spare / 60)} to spare`;
  const sure = plan.chance ? `; ${sureOf(plan.chance.percent)} that every pour is in time` : "";
  return `Tightest is ${name}, ${time}${sure}.`;
}

function out(plan: Plan, when: (seconds: number) => string): string {
  const poured = `The last pour ends ${when(lastPourEnds(plan))}`;
  const free = outOfMoulds(plan);
  const ready = plan.tasks.filter((t) => t.kind === "READY").map((t) => t.startSeconds);
  return [
    poured,
    free === null
      ? "not all of it comes out in this room"
      : `all is out of its mould ${when(free)}`,
    ready.length > 0 ? `ready to hand over ${when(Math.max(...ready))}` : "",
  ]
    .filter(Boolean)
    .join(", ")
    .concat(".");
}

function pieces(plan: Plan, batch: number | null): string {
  const its = batch === null ? plan.batches : [plan.batches[batch]];
  const cavities = new Set(
    its.flatMap((b) => (b?.cups ?? []).flatMap((c) => c.pours.map((p) => `${p.line}.${p.cavity}`))),
  );
  return cavities.size === 1 ? "one piece" : `${cavities.size} pieces`;
}

function list(words: string[]): string {
  return words.length < 2
    ? (words[0] ?? "")
    : `${words.slice(0, -1).join(", ")} and ${words.at(-1)}`;
}
