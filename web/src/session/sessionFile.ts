import {
  type Answer,
  api,
  ask,
  type OpenedSession,
  type Session,
  type Trouble,
} from "../api/client";

/** Hands the session to the maker as a file, with every material it names inside. */
export async function sendAsFile(session: Session): Promise<Trouble | null> {
  const answer = await ask(api.POST("/api/sessions/carrying", { body: session }));
  if (answer.status === "trouble") {
    return answer.trouble;
  }
  const link = document.createElement("a");
  const text = JSON.stringify(answer.value, null, 2);
  link.href = URL.createObjectURL(new Blob([text], { type: "application/json" }));
  link.download = `${session.name.replace(/[^\p{L}\p{N}]+/gu, "-").toLowerCase()}.session.json`;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
  return null;
}

/** Keeps a session that came as a file; the server reads it, so that it says what is wrong. */
export async function openFile(file: File): Promise<Answer<OpenedSession>> {
  const text = await file.text();
  return ask(
    api.POST("/api/sessions/file", {
      body: text as unknown as Record<string, never>,
      bodySerializer: (body) => body as unknown as string,
    }),
  );
}
