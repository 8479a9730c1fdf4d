import { api, ask } from "./client";

/** In which format this browser writes what it keeps; the server's, held by a test. */
export const FORMAT = 4;

/**
 * What was kept here by an earlier Calm Pour, in today's format; null where the server does not
 * answer, or where a newer one kept it.
 *
 * @param format undefined where it was kept before there were numbers
 */
export async function raised<T>(
  kind: "SESSION" | "EVENT",
  format: number | undefined,
  document: T,
): Promise<T | null> {
  if (format === FORMAT) {
    return document;
  }
  const answer = await ask(
    api.POST("/api/formats/raised", {
      body: { kind, format: format ?? 1, document: document as Record<string, never> },
    }),
  );
  return answer.status === "ok" ? (answer.value as T) : null;
}
