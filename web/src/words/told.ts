import type { AsTold, LookedBack } from "../api/client";
import type { Units } from "../units/units";
import { showWith } from "../units/units";
import { cavityName, cupName } from "./places";
import { capital } from "./numbers";
import { taskName } from "./tasks";

/** What a line of the record is about. */
export function toldWords(line: AsTold, { plan, session }: LookedBack): string {
  const of = line.of ?? "";
  const cups = plan.batches.flatMap((b) => b.cups);
  const cup = cups.find((c) => c.id === (line.kind === "DOSED" ? of.split("/")[0] : of));
  const its = cup ? cupName(cups, cup) : "a cup";
  switch (line.kind) {
    case "DONE": {
      const pour = cups
        .flatMap((c) => c.pours.map((p) => ({ cup: c, pour: p })))
        .find(({ pour: p }) => `pour/${p.id}` === of);
      if (pour) {
        const into = cavityName(plan, pour.pour.line, pour.pour.cavity);
        return `Pour ${cupName(cups, pour.cup)} into ${into}`;
      }
      const task = plan.tasks.find((t) => t.id === of);
      if (task?.kind === "WEIGH_FIRST" || task?.kind === "WEIGH_SECOND") {
        const batch = plan.batches.find((b) => b.number === task.batch);
        const first = batch?.measuring.firstPart ?? "A";
        const part = task.kind === "WEIGH_FIRST" ? first : first === "A" ? "B" : "A";
        return `${part} of batch ${task.batch}`;
      }
      const its = task && cups.find((c) => c.id === task.cupId);
      if (task && its) {
        return `${capital(taskName(task, plan, session))}: ${cupName(cups, its)}`;
      }
      return task ? capital(taskName(task, plan, session)) : "A step";
    }
    case "ADDED":
      return `More of ${of.split("/")[1]} into batch ${of.split("/")[0]}`;
    case "ROOM":
      return "Room read";
    case "WARMTH":
      return `${its} read`;
    case "DOSED":
      return `A dose into ${its} weighed`;
    case "SQUEEZED":
      return "What a lid squeezed out weighed";
    case "STAYED":
      return `What stayed in ${its} weighed`;
    case "THICK":
      return `${its} too thick`;
    case "HOT":
      return `${its} gets hot`;
    case "AWAY":
      return "Left the bench";
    case "BACK":
      return "Back at the bench";
    case "FELT":
      return "A line of the cure diary";
    default:
      return "A line of the record";
  }
}

/** Its figure; empty where it has none. */
export function toldValue(line: Pick<AsTold, "measured" | "value">, units: Units): string {
  return line.value === undefined
    ? line.measured === "GRAMS"
      ? "not weighed"
      : ""
    : line.measured === "CELSIUS"
      ? showWith(units.TEMPERATURE, line.value)
      : showWith(units.MASS, line.value);
}
