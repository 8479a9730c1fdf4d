import { lexer, type Token } from "marked";

/** A page of the manual as it is kept in the documents: the same words here and there. */
export interface Page {
  /** In its address and its file: "01-safety". */
  id: string;
  title: string;
  tokens: Token[];
}

const FILES: Record<string, string> = import.meta.glob("../../../docs/manual/*.md", {
  query: "?raw",
  import: "default",
  eager: true,
});

export const PAGES: readonly Page[] = Object.entries(FILES)
  .sort(([a], [b]) => a.localeCompare(b))
  .map(([file, text]) => {
    const [heading, ...tokens] = lexer(text);
    return {
      id: /([^/]+)\.md$/.exec(file)?.[1] ?? file,
      title: heading?.type === "heading" ? String(heading.text) : file,
      tokens,
    };
  });

/** The name of the drawing that a paragraph is; null for words. */
export function drawingOf(token: Token): string | null {
  const named = /^!\[[^\]]*\]\(drawings\/([a-z-]+)\.svg\)\s*$/.exec(token.raw);
  return token.type === "paragraph" ? (named?.[1] ?? null) : null;
}
