import type { Session } from "../api/client";

/**
 * Half of a line becomes a trial, the other half stays beside it as its control; a single piece gets
 * another one beside it.
 */
export function withTrial(session: Session, line: number, trial: string): Session {
  const pieces = session.pieces ?? [];
  const whole = pieces[line];
  if (!whole) {
    return session;
  }
  const changed = Math.max(1, Math.floor(whole.count / 2));
  const control = Math.max(1, whole.count - changed);
  return {
    ...session,
    // At the end: what cups put together by hand say of the other lines stays true.
    pieces: [
      ...pieces.map((p, i) => (i === line ? { ...p, count: control } : p)),
      { ...whole, count: changed, trial },
    ],
  };
}
