/** A start as the session names it, "2026-12-05T18:30", its clock time. */
const clock = (local: string) => local.slice(11, 16);

/**
 * Until when a session can begin; both in the session's own local time.
 *
 * @param latest what the server found
 * @param starts when it is meant to begin
 */
export function latestWords(latest: string, starts: string): string {
  return clock(latest) <= clock(starts) && latest.slice(0, 10) === starts.slice(0, 10)
    ? `Begin at ${clock(latest)} sharp: later is too late.`
    : `Begin by ${clock(latest)} at the latest.`;
}
