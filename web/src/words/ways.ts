import type { Binding, Plan, Session, Way } from "../api/client";
import { showWith, type Units } from "../units/units";
import { findingText } from "./findings";
import { countWord } from "./numbers";
import { minutesGiven, spanGiven } from "./time";

/** What stands in the way most, and by how much. */
export function bindingText(binding: Binding, plan: Plan, units: Units): string {
  const { breaches, rest, ...finding } = binding;
  if (rest) {
    const lasts = minutesGiven(rest.potLifeMinutes);
    return `The rest is longer than the resin lasts: ${minutesGiven(rest.restMinutes)}, and its pot life is ${lasts}.`;
  }
  const first = findingText({ ...finding, severity: "BREACH", mends: [] }, plan, units);
  const others = breaches - 1;
  return others < 1
    ? first
    : `${first} ${countWord(others)} more ${others === 1 ? "thing is" : "things are"} in the way.`;
}

/** A change, as one would propose it, and what it takes back of what was moved by hand. */
export function wayText(
  way: Way,
  session: Session,
  plan: Plan,
  resins: { id: string; name: string }[],
  units: Units,
): string {
  const change = changeText(way, session, plan, resins, units);
  const back = held(session, plan) - held(way.session, way.plan);
  return back > 0
    ? `${change}. Takes back ${countWord(back).toLowerCase()} of your own times`
    : change;
}

/** How many tasks stay at a time that the maker gave. */
function held(session: Session, plan: Plan): number {
  const lost = plan.findings.filter((f) => f.rule === "PIN_LOST").length;
  return (session.arrangement?.pins?.length ?? 0) - lost;
}

function changeText(
  way: Way,
  session: Session,
  plan: Plan,
  resins: { id: string; name: string }[],
  units: Units,
): string {
  switch (way.kind) {
    case "SHORTER_REST":
      return way.value === 0 ? "No rest" : `Rest ${minutesGiven(way.value)}`;
    case "NO_WARMING":
      return "Leave the bottles cold";
    case "COOLER_ROOM":
      return `Cool the room to ${showWith(units.TEMPERATURE, way.value)}`;
    case "HELPER":
      return "Ask somebody to help";
    case "SMALLER_CUPS":
      return `No cup over ${showWith(units.VOLUME, way.value, 0)}`;
    case "MORE_BATCHES":
      return `${countWord(way.plan.batches.length)} batches`;
    case "SLOWER_RESIN":
      return `Take ${resins.find((r) => r.id === way.target)?.name ?? "a slower resin"}`;
    case "OTHER_START":
      return `Begin ${spanGiven(Math.abs(way.value))} ${way.value < 0 ? "earlier" : "later"}`;
    case "IN_LAYERS":
      return `Pour it in ${countWord(way.value).toLowerCase()} layers, each when the one below is hard`;
    case "LEAVE_OUT": {
      const lines = way.pieces.map((fewer) => {
        const name = plan.pieces[fewer.line]?.mouldName ?? "mould";
        const all = (session.pieces ?? [])[fewer.line]?.count === fewer.count;
        return all ? `all ${name}` : `${countWord(fewer.count).toLowerCase()} ${name}`;
      });
      return `Leave out ${lines.join(", ")}`;
    }
  }
}
