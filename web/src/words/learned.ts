import type {
  Behind,
  Cavity,
  CountedDose,
  CupStays,
  LidSurplus,
  MouldFill,
  OverageNeeded,
  ResinPace,
  RoomDrift,
  RoomFelt,
} from "../api/client";
import { showWith, type Units } from "../units/units";
import { dateFormat } from "./dates";
import { secondsText } from "./journal";

/** Less of a difference no room thermometer tells, K. */
export const AS_TOLD_K = 0.25;

/** Minutes or hours as one says them. */
function time(minutes: number): string {
  return minutes < 180 ? `${Math.round(minutes)} min` : `${Math.round(minutes / 60)} h`;
}

const day = (date: string) =>
  dateFormat({ day: "numeric", month: "short" }, "UTC").format(new Date(date));

const percent = (times: number) => Math.round(Math.abs(times - 1) * 100);

/** So many times as told: "6 % slower", "4 % less", or "as told". */
function off(times: number, more: string, less: string, same: string): string {
  const by = percent(times);
  return by === 0 ? same : `${by} % ${times > 1 ? more : less}`;
}

const evenings = (count: number) => `${count} ${count === 1 ? "evening" : "evenings"}`;

/** A resin's pace beside its label: what it is of, what was learned, and by how much it was told. */
export function paceText(pace: ResinPace) {
  const { name, of, learned, labelMinutes, labelHours, taken } = pace;
  const label = of === "FLUID" ? labelMinutes : labelHours * 60;
  const own = pace.lots.find(({ lot, learned: its }) => lot === pace.lotNow && its.enough);
  const slower = off(learned.times, "slower", "quicker", "As on the label");
  const left =
    learned.contradictory === 0
      ? ""
      : `; ${learned.contradictory} left out, its checks contradict each other`;
  return {
    what: `${name}: ${of === "FLUID" ? "pot life" : "out of the mould"}`,
    learned: `${slower}: ${time(label * learned.times)} instead of ${time(label)}, most likely ${time(label * learned.lowest)} to ${time(label * learned.highest)}.`,
    by:
      `${evenings(learned.evenings)}, ${learned.looks} ${learned.looks === 1 ? "check" : "checks"}${left}.` +
      (taken
        ? ` Planned with since ${day(taken.since)}: ${own ? `the lot you pour from by itself, ${time(label * own.learned.times)}` : time(label * taken.times)}.`
        : ""),
    lots: lotTexts(pace, label),
  };
}

/** Single lots beside their label; the one that is poured from says so. */
function lotTexts({ lots, lotNow, taken }: ResinPace, label: number): string[] {
  const told = lots.map(({ lot, learned }) => {
    const now = lot === lotNow ? ", the one you pour from" : "";
    const few = learned.enough ? "" : "; too few to plan with by itself";
    return `Lot ${lot}${now}: ${off(learned.times, "slower", "quicker", "as on the label")}, ${time(label * learned.times)} (${time(label * learned.lowest)} to ${time(label * learned.highest)}), ${evenings(learned.evenings)}${few}.`;
  });
  const known = lots.some(({ lot, learned }) => lot === lotNow && learned.enough);
  const unsure =
    lots.length > 0 && !known && taken !== undefined
      ? ["Of the lot you pour from too little is known: planned with all of them, less sure."]
      : [];
  return [...told, ...unsure];
}

/** What a mould takes beside what it was measured to, by weighed pours. */
export function fillText({ name, learned, measuredMl, taken }: MouldFill, units: Units) {
  const ml = (times: number) => showWith(units.VOLUME, measuredMl * times);
  const more = off(learned.times, "more", "less", "As measured");
  const instead = percent(learned.times) === 0 ? ml(1) : `${ml(learned.times)} instead of ${ml(1)}`;
  return {
    what: name,
    learned: `${more}: ${instead}, most likely ${ml(learned.lowest)} to ${ml(learned.highest)}.`,
    by:
      `${evenings(learned.evenings)}, ${learned.looks} ${learned.looks === 1 ? "piece" : "pieces"}.` +
      (taken ? ` Planned with since ${day(taken.since)}: ${ml(taken.times)}.` : ""),
  };
}

/** What stays in a kind of cup beside what was reckoned, by cups weighed after the pour. */
export function staysText(stays: CupStays, units: Units) {
  const { name, learned, contentG, toldG, taken } = stays;
  const g = (times: number) => showWith(units.MASS, toldG * times, 1);
  const instead = percent(learned.times) === 0 ? g(1) : `${g(learned.times)} instead of ${g(1)}`;
  return {
    what: name,
    learned: `${off(learned.times, "more", "less", "As reckoned")} stays in it: ${instead} of ${showWith(units.MASS, contentG, 0)}, most likely ${g(learned.lowest)} to ${g(learned.highest)}.`,
    by:
      `${evenings(learned.evenings)}, ${learned.looks} ${learned.looks === 1 ? "cup" : "cups"} weighed.` +
      (taken ? ` Planned with since ${day(taken.since)}: ${g(taken.times)}.` : ""),
  };
}

/** What a drop or scoop weighs beside what was told of it, by doses weighed as they were counted. */
export function doseText(dose: CountedDose, units: Units) {
  const { name, drops, implement, learned, toldG, taken } = dose;
  const g = (times: number) => showWith(units.MASS, toldG * times, drops ? 3 : 2);
  const one = drops ? "drop" : "scoop";
  const instead = percent(learned.times) === 0 ? g(1) : `${g(learned.times)} instead of ${g(1)}`;
  return {
    what: `${name}: one ${one}${implement ? `, ${implement}` : ""}`,
    learned: `${off(learned.times, "heavier", "lighter", "As told")}: ${instead}, most likely ${g(learned.lowest)} to ${g(learned.highest)}.`,
    by:
      `${evenings(learned.evenings)}, ${learned.looks} ${learned.looks === 1 ? "dose" : "doses"} weighed.` +
      (taken ? ` Planned with since ${day(taken.since)}: ${g(taken.times)}.` : ""),
  };
}

/** What a mould is planned with instead of its measurement; null where it was measured anew since. */
export function ownFillText(
  own: NonNullable<Cavity["own"]>,
  plannedMl: number | undefined,
  units: Units,
): string {
  return plannedMl === undefined
    ? "What was learned no longer counts: it was measured anew."
    : `Planned with ${showWith(units.VOLUME, plannedMl)}, learned from ${evenings(own.evenings)}.`;
}

/** What was learned of something, by the evenings behind it. */
export type BehindOf =
  "pace" | "fill" | "stays" | "doses" | "hands" | "room" | "drift" | "overage" | "lid";

/** What one evening says of a pace, of what a mould takes, of hands or of the room. */
export function behindText(behind: Behind, of: BehindOf, units: Units): string {
  const { lowest = 0, looks } = behind;
  switch (of) {
    case "hands":
      return `${secondsText(lowest)} (${looks} ${looks === 1 ? "step" : "steps"})`;
    case "room":
      return Math.abs(lowest) < AS_TOLD_K
        ? "as told"
        : `${showWith(units.TEMPERATURE_DIFFERENCE, Math.abs(lowest), 1)} ${lowest > 0 ? "warmer" : "colder"} than told`;
    case "drift":
      return driftSaid(lowest, units);
    case "overage":
      return `${lowest.toFixed(1)} % needed`;
    case "lid":
      return `${showWith(units.VOLUME, lowest, 2)} needed (${looks} ${looks === 1 ? "piece" : "pieces"})`;
    default:
      return timesText(behind, of);
  }
}

/** Less of it no room thermometer tells, K an hour. */
export const STEADY_K = 0.15;

function driftSaid(kelvin: number, units: Units): string {
  const said = showWith(units.TEMPERATURE_DIFFERENCE, Math.abs(kelvin), 1);
  return Math.abs(kelvin) < STEADY_K
    ? "stayed as it was"
    : `${said} ${kelvin > 0 ? "warmer" : "cooler"} an hour`;
}

/** How the room goes on while somebody works; null where nobody knows enough. */
export function driftText(drift: RoomDrift, units: Units): string | null {
  if (drift.evenings === 0) {
    return null;
  }
  const by = `by ${evenings(drift.evenings)} on which it was read again`;
  if (Math.abs(drift.warmerKPerHour) < STEADY_K) {
    return `It stays as it is while you work, ${by}.`;
  }
  const k = (kelvin: number) => showWith(units.TEMPERATURE_DIFFERENCE, kelvin, 1);
  return `It gets ${driftSaid(drift.warmerKPerHour, units)} while you work, ${by} (mostly ${k(drift.lowest)} to ${k(drift.highest)}).`;
}

/** How much overage was needed beside what is planned with. */
export function overageText(needed: OverageNeeded, plannedPercent: number): string {
  const middle =
    needed.middlePercent < 0.05 ? "none was needed" : `${needed.middlePercent.toFixed(1)} %`;
  return `${needed.enoughPercent} % was enough on nine evenings of ten, ${middle} on the middle one; you plan with ${plannedPercent} %. By ${evenings(needed.evenings)} with every pour weighed.`;
}

/** What a closed mould needs to be filled over by, by what its lid squeezed out. */
export function lidText({ name, learned, plannedMl }: LidSurplus, units: Units) {
  const ml = (volume: number) => showWith(units.VOLUME, volume, 2);
  return {
    what: name,
    learned: `${ml(learned.enoughMl)} more than it was measured to was enough on nine evenings of ten, ${ml(learned.middleMl)} on the middle one.`,
    by:
      `${evenings(learned.evenings)}, ${learned.looks} ${learned.looks === 1 ? "piece" : "pieces"} weighed; ` +
      (plannedMl === undefined
        ? "planned with a fiftieth of what it holds, assumed."
        : `planned with ${ml(plannedMl)}.`),
  };
}

function timesText(
  { lowest, highest, looks }: Behind,
  of: "pace" | "fill" | "stays" | "doses",
): string {
  const said = (times: number) =>
    of === "pace"
      ? off(times, "slower", "quicker", "as on the label")
      : of === "doses"
        ? off(times, "heavier", "lighter", "as told")
        : off(times, "more", "less", of === "fill" ? "as measured" : "as reckoned");
  const by = { pace: "check", fill: "piece", stays: "cup", doses: "dose" }[of];
  const counted = `${looks} ${by}${looks === 1 ? "" : "s"}`;
  if (lowest !== undefined && highest !== undefined && lowest > highest) {
    return `left out: its ${by}s contradict each other (${counted})`;
  }
  if (lowest === undefined || highest === undefined) {
    const times = lowest ?? highest ?? 1;
    // What is slower than "10 % slower" is more of it; what is slower than "10 % quicker" is less.
    const more = lowest === undefined ? times < 1 : times >= 1;
    return `${said(times)}${more ? ", or more" : " at most"} (${counted})`;
  }
  const [from, to] = [said(lowest), said(highest)];
  return `${from === to ? from : `between ${from} and ${to}`} (${counted})`;
}

/** The room as it was read beside what it is told to be; null where nobody knows enough. */
export function roomText(room: RoomFelt, units: Units): string | null {
  if (room.evenings === 0) {
    return null;
  }
  const difference = (kelvin: number) => showWith(units.TEMPERATURE_DIFFERENCE, kelvin, 1);
  const by = evenings(room.evenings);
  if (Math.abs(room.warmerK) < AS_TOLD_K) {
    return `Your room is as you say, by its readings on ${by}.`;
  }
  return `Your room is ${difference(Math.abs(room.warmerK))} ${room.warmerK > 0 ? "warmer" : "colder"} than you say, by its readings on ${by} (mostly ${difference(room.lowestK)} to ${difference(room.highestK)}).`;
}
