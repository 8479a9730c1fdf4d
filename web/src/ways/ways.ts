import type { Session, Usual } from "../api/client";
import type { Defaults } from "../api/queries";
import { leftOut, getAt, setAt } from "../ui/path";
import type { Group, Ways } from "./group";
import { GROUPS } from "./groups";

/** A session's own ways: what it says, and the starting values for what it leaves out. */
export function waysOf(session: Session, defaults: Defaults): Ways {
  return {
    habits: { ...defaults.habits, ...session.habits },
    hands: { ...defaults.hands, ...session.hands },
    room: session.room,
    hours: session.arrangement?.hours,
  };
}

/** The session with other ways. */
export function withWays(session: Session, { habits, hands, room, hours }: Ways): Session {
  const others = leftOut(session.arrangement ?? {}, "hours");
  const arrangement = hours ? { ...others, hours } : others;
  return { ...session, habits, hands, room, arrangement } as Session;
}

/** What is usual, as ways. */
export function usualWays(usual: Usual): Ways {
  return {
    habits: usual.habits as Ways["habits"],
    hands: usual.hands as Ways["hands"],
    room: usual.room,
    hours: usual.hours,
  };
}

/** Whether something in a group is not as it is usual. */
export function differs(group: Group, ways: Ways, usual: Ways): boolean {
  return group.owns.some((path) => !same(getAt(ways, path), getAt(usual, path)));
}

/** The groups that are not as usual. */
export function differing(ways: Ways, usual: Ways): Group[] {
  return GROUPS.filter((group) => differs(group, ways, usual));
}

/** The same ways with one group as another has it. */
export function withGroup(ways: Ways, group: Group, from: Ways): Ways {
  return group.owns.reduce((now, path) => setAt(now, path, getAt(from, path)), ways);
}

/** Whether two documents say the same, in whatever order. */
export function same(one: unknown, other: unknown): boolean {
  return inOrder(one) === inOrder(other);
}

function inOrder(document: unknown): string {
  return JSON.stringify(document ?? null, (_, value: unknown) =>
    typeof value === "object" && value !== null && !Array.isArray(value)
      ? Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)))
      : value,
  );
}
