import type { Finding, Mend, Piece, Session } from "../api/client";
import { release } from "./cupsByHand";

type Arrangement = NonNullable<Session["arrangement"]>;

/** The session with some of its decisions about times changed. */
export function arranged(session: Session, change: Partial<Arrangement>): Session {
  return { ...session, arrangement: { ...session.arrangement, ...change } };
}

/** A task begins when it was dragged to, whole seconds from the first step. */
export function pinned(session: Session, taskId: string, startSeconds: number): Session {
  const others = (session.arrangement?.pins ?? []).filter((p) => p.taskId !== taskId);
  const start = Math.max(0, Math.round(startSeconds));
  return arranged(session, { pins: [...others, { taskId, startSeconds: start }] });
}

/** A task goes back to where the plan puts it. */
export function released(session: Session, taskId: string): Session {
  return arranged(session, {
    pins: (session.arrangement?.pins ?? []).filter((p) => p.taskId !== taskId),
  });
}

export function onPurpose(session: Session, finding: Finding, reason: string): Session {
  return arranged(session, {
    accepted: [
      ...(session.arrangement?.accepted ?? []),
      { rule: finding.rule, place: finding.place, reason },
    ],
  });
}

export function notOnPurpose(session: Session, finding: Finding): Session {
  return arranged(session, {
    accepted: (session.arrangement?.accepted ?? []).filter(
      (a) => a.rule !== finding.rule || a.place !== finding.place,
    ),
  });
}

/** A wall-clock time moved by some minutes, as the session writes it. */
export function movedBy(startsAt: string, minutes: number): string {
  const moved = new Date(new Date(`${startsAt.slice(0, 19)}Z`).getTime() + minutes * 60_000);
  return moved.toISOString().slice(0, 19);
}

/** Pieces that were to cure in a pot or box, all on the bench. */
export function onTheBench(pieces: Piece[]): Piece[] {
  return pieces.map((p) => (p.work ? { ...p, work: { ...p.work, curing: "BENCH" } } : p));
}

/** The session after a mend; null for what is not done in the session. */
export function mended(
  session: Session,
  habits: Required<NonNullable<Session["habits"]>>,
  way: Mend,
): Session | null {
  switch (way.kind) {
    case "NO_WARMING":
      return { ...session, habits: { ...habits, mixing: { ...habits.mixing, warming: "NONE" } } };
    case "SHORTER_REST":
      return { ...session, habits: { ...habits, restMinutes: way.value } };
    case "MORE_BATCHES":
      return { ...session, splitInto: Math.max(way.value, session.splitInto + 1) };
    case "COOLER_ROOM":
    case "WARMER_ROOM":
      return { ...session, room: { ...session.room, temperatureC: way.value } };
    case "MOVE_TASK":
      return way.target ? pinned(session, way.target, way.value) : null;
    case "RELEASE_PIN":
      return way.target ? released(session, way.target) : null;
    case "OTHER_START":
      return { ...session, startsAt: movedBy(session.startsAt, way.value) };
    case "SOFT_TOOL":
      return { ...session, habits: { ...habits, care: { ...habits.care, bubbles: "SOFT_TOOL" } } };
    case "CURE_ON_BENCH":
      return { ...session, pieces: onTheBench(session.pieces ?? []) };
    case "DRIER_AIR":
      return { ...session, room: { ...session.room, humidityPercent: way.value } };
    case "RELEASE_CUP":
      return release(session, way.value);
    case "ANEW":
      return arranged({ ...session, cupsByHand: [] }, { pins: [] });
    case "LESS_SURE":
      return {
        ...session,
        habits: { ...habits, planning: { ...habits.planning, surePercent: way.value } },
      };
    case "HELPER":
      return {
        ...session,
        habits: { ...habits, planning: { ...habits.planning, pairsOfHands: 2 } },
      };
    case "BY_WEIGHT":
      return { ...session, habits: { ...habits, measureBy: "WEIGHT" } };
    case "BY_VOLUME":
      return { ...session, habits: { ...habits, measureBy: "VOLUME" } };
    case "CHANGE_HOURS":
    case "LEAVE_OUT":
    case "OPEN_SHELF":
    case "OPEN_PIECE":
      return null;
  }
}
