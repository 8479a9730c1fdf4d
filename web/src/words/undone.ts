import type { Plan, RunState, Session } from "../api/client";
import type { Units } from "../units/units";
import { cupOf, stepShort } from "./steps";
import { TROUBLES } from "./trouble";

/** What undo takes back, in a few words. */
export function undoneWords(
  { kind, of = "" }: RunState["undoable"][number],
  state: RunState,
  plan: Plan,
  session: Session,
  units: Units,
): string {
  const step = state.steps.find((s) => s.taskId === of);
  const cup = cupOf(plan, of)?.colour.name ?? "a cup";
  switch (kind) {
    case "DONE":
      return step ? stepShort(step, plan, session, units) : "the last step";
    case "GIVEN_UP":
      return step ? `giving up ${stepShort(step, plan, session, units)}` : "giving it up";
    case "CHECKED":
      return "a tick";
    case "ADDED":
      return "what was added";
    case "THICK":
      return `${cup} is too thick`;
    case "HOT":
      return `${cup} gets hot`;
    case "POT":
      return "a line of the pot's log";
    case "FELT":
      return "a line of the cure diary";
    case "STAYED":
      return "the weight of what stayed";
    case "DOSED":
      return "the weight of a dose";
    case "TROUBLE":
      return (
        TROUBLES.find((t) => of.replace("FELL_INTO_PIECE", "FELL_INTO_CUP").startsWith(t.kind))
          ?.words ?? "what went wrong"
      );
    case "FINISHED":
      return "the end";
    default:
      return "the last thing";
  }
}
