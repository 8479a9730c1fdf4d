import type { Plan, Session } from "../api/client";

/** Which pours shared a batch, and in which lines of pieces they are counted. */
export interface Groups {
  lines: string[];
  batches: string[][];
}

function linesOf(session: Session): string[] {
  return (session.pieces ?? []).map((p) => `${p.mouldId}/${p.cavityId ?? ""}`);
}

export function groupsOf(session: Session, plan: Plan): Groups {
  return {
    lines: linesOf(session),
    batches: plan.batches.map((b) => b.cups.flatMap((c) => c.pours.map((p) => p.id))),
  };
}

/**
 * The session with what was poured together the last time, so that a new plan changes as little as
 * it can. Once a line is gone the others are counted anew, and nothing can be told.
 *
 * @param groups null where nothing was planned on this screen yet: what was saved counts
 */
export function asBefore(session: Session, groups: Groups | null): Session {
  if (groups === null) {
    return session;
  }
  const now = linesOf(session);
  const same = groups.lines.every((line, i) => now[i] === line);
  const together = same ? groups.batches.filter((b) => b.length > 0) : [];
  return { ...session, arrangement: { ...session.arrangement, together } };
}
