import type { Plan } from "../api/client";
import { type Units } from "../units/units";
import { findingText } from "./findings";
import { measured, measureOf } from "./measured";
import { countWord } from "./numbers";
import { clockTime, minutes } from "./time";

interface Stand {
  wrong: boolean;
  text: string;
}

/** How the plan stands, in a sentence; what is wrong comes first. */
export function stand(plan: Plan, startsAt: Date, zoneId: string, units: Units): Stand {
  const at = (seconds: number) => clockTime(startsAt, seconds, zoneId);
  const late = plan.findings.filter(
    (f) => f.severity === "BREACH" && f.rule === "POUR_AFTER_WORKING_TIME",
  );
  if (late.length > 0) {
    const worst = minutes(-plan.spareSeconds / 60);
    return {
      wrong: true,
      text:
        late.length === 1
          ? `One pour comes too late, by ${worst}.`
          : `${late.length} pours come too late, the last by ${worst}.`,
    };
  }
  const breach = plan.findings.find((f) => f.severity === "BREACH");
  if (breach) {
    return { wrong: true, text: findingText(breach, plan, units) };
  }
  const count = plan.batches.length;
  const [first] = plan.batches;
  const measure = first ? measureOf(first) : { marks: false, gPerMl: 1 };
  const whole = units.MASS.digits > 1 ? 2 : 0;
  const mass = measured(units, measure, plan.totals.resinG, whole);
  const batches = `${countWord(count)} ${count === 1 ? "batch" : "batches"} of ${mass}${count === 1 ? "" : " in all"}.`;
  const pours = plan.batches.flatMap((b) => b.cups.flatMap((c) => c.pours));
  if (pours.length === 0) {
    const cup = plan.batches[0]?.cups[0];
    return {
      wrong: false,
      text: cup ? `${batches} Pourable until about ${at(cup.times.thickensSeconds)}.` : batches,
    };
  }
  if (count === 1) {
    const last = Math.max(...pours.map((p) => p.endSeconds));
    const open = Math.min(
      ...plan.batches.flatMap((b) => b.cups.map((c) => c.times.thickensSeconds)),
    );
    return {
      wrong: false,
      text: `${batches} The last pour ends at ${at(last)}; the cups stay pourable until ${at(open)}.`,
    };
  }
  return {
    wrong: false,
    text: `${batches.slice(0, -1)}, at ${plan.batches.map((b) => at(b.times.startSeconds)).join(", ")}. Every pour has at least ${minutes(plan.spareSeconds / 60)} to spare.`,
  };
}
