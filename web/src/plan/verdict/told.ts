/** How the sentence beside the session's name looks. */
export function told(wrong: boolean) {
  return {
    display: "flex",
    alignItems: "center",
    gap: 0.75,
    fontSize: "1.05rem",
    color: wrong ? "error.main" : "text.secondary",
    fontWeight: wrong ? 700 : 400,
  };
}
