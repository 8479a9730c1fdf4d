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

const NOT_ONE_OF_OURS: Trouble = {
  title: "This is not a Calm Pour session file",
  detail: "Choose a file that was saved with “Save as a file”.",
  status: 422,
  errors: [],
};

/** Keeps a session that came as a file; the server reads it, so that it says what is wrong. */
export async function openFile(file: File): Promise<Answer<OpenedSession>> {
  const text = await file.text();
  try {
    JSON.parse(text);
  } catch {
    return { status: "trouble", trouble: NOT_ONE_OF_OURS };
  }
  const answer = await ask(
    api.POST("/api/sessions/file", {
      body: text as unknown as Record<string, never>,
      bodySerializer: (body) => body as unknown as string,
    }),
  );
  return answer.status === "trouble" && answer.trouble.errors.some((e) => e.field === "file")
    ? { status: "trouble", trouble: NOT_ONE_OF_OURS }
    : answer;
}
