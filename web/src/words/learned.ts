import type { ResinPace, RoomFelt } from "../api/client";
import { showWith, type Units } from "../units/units";
import { dateFormat } from "./dates";

/** Minutes or hours as one says them. */
function time(minutes: number): string {
  return minutes < 180 ? `${Math.round(minutes)} min` : `${Math.round(minutes / 60)} h`;
}

const day = (date: string) =>
  dateFormat({ day: "numeric", month: "short" }, "UTC").format(new Date(date));

const percent = (times: number) => Math.round(Math.abs(times - 1) * 100);

/** A resin's pace beside its label: what it is of, what was learned, and by how much it was told. */
export function paceText({ name, of, learned, labelMinutes, labelHours, taken }: ResinPace) {
  const label = of === "FLUID" ? labelMinutes : labelHours * 60;
  const off = percent(learned.times);
  const slower =
    off === 0 ? "as on the label" : `${off} % ${learned.times > 1 ? "slower" : "quicker"}`;
  const left =
    learned.contradictory === 0
      ? ""
      : `; ${learned.contradictory} left out, its looks contradict each other`;
  return {
    what: `${name}: ${of === "FLUID" ? "pot life" : "out of the mould"}`,
    learned: `${slower}: ${time(label * learned.times)} instead of ${time(label)}, most likely ${time(label * learned.lowest)} to ${time(label * learned.highest)}.`,
    by:
      `${learned.evenings} ${learned.evenings === 1 ? "evening" : "evenings"}, ${learned.looks} looks${left}.` +
      (taken ? ` Planned with since ${day(taken.since)}: ${time(label * taken.times)}.` : ""),
  };
}

/** The room as it was read beside what it is told to be; null where nobody knows enough. */
export function roomText(room: RoomFelt, units: Units): string | null {
  if (room.evenings === 0) {
    return null;
  }
  const difference = (kelvin: number) => showWith(units.TEMPERATURE_DIFFERENCE, kelvin, 1);
  const by = room.evenings === 1 ? "1 evening" : `${room.evenings} evenings`;
  if (Math.abs(room.warmerK) < 0.25) {
    return `Your room is as you say, by its readings on ${by}.`;
  }
  return `Your room is ${difference(Math.abs(room.warmerK))} ${room.warmerK > 0 ? "warmer" : "colder"} than you say, by its readings on ${by} (mostly ${difference(room.lowestK)} to ${difference(room.highestK)}).`;
}
