import type { Finding, Session } from "../api/client";

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
