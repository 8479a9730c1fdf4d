import { ThemeProvider } from "@mui/material/styles";
import { renderToStaticMarkup } from "react-dom/server";
import { describe, expect, it } from "vitest";
import { GUIDES } from "../words/guide";
import { theme } from "../theme";
import { DRAWINGS } from "./drawings";
import { drawingOf, PAGES } from "./pages";

interface Inks {
  ink: Record<string, string>;
}

const KEPT = import.meta.glob("../../../docs/manual/drawings/*.svg");

/** A drawing as a file of its own: the theme's colours by day, in place of its variables. */
function asFile(name: string): string {
  const markup = renderToStaticMarkup(
    <ThemeProvider theme={theme}>{DRAWINGS[name]}</ThemeProvider>,
  );
  const { light } = (theme as unknown as { colorSchemes: Record<string, { palette: Inks }> })
    .colorSchemes;
  const ink: Record<string, string> = light?.palette.ink ?? {};
  const [svg = ""] = /<svg[^]*<\/svg>/.exec(markup) ?? [];
  return (
    svg
      .replace(/var\(--[a-z-]*ink-([a-z]+)[^)]*\)/g, (_, of: string) => ink[of] ?? "")
      .replace(/^<svg /, '<svg xmlns="http://www.w3.org/2000/svg" font-family="sans-serif" ') + "\n"
  );
}

describe("the manual", () => {
  it("has ten pages, safety first, and every screen’s guide leads to one", () => {
    expect(PAGES).toHaveLength(10);
    expect(PAGES[0]?.title).toMatch(/Before you open a bottle/);
    for (const [room, { page }] of Object.entries(GUIDES)) {
      expect(
        PAGES.map((p) => p.id),
        room,
      ).toContain(page);
    }
  });

  it("shows only drawings there are, and all of them", () => {
    const shown = PAGES.flatMap((p) => p.tokens.map(drawingOf)).filter((d) => d !== null);
    expect(new Set(shown)).toEqual(new Set(Object.keys(DRAWINGS)));
  });

  // After a change of a drawing: npx vitest run src/manual -u
  it("keeps its drawings as files that are what the application draws", async () => {
    expect(Object.keys(KEPT).map((f) => f.replace(/.*\/|\.svg$/g, ""))).toEqual(
      Object.keys(DRAWINGS).sort(),
    );
    for (const name of Object.keys(DRAWINGS)) {
      const file = asFile(name);
      expect(file).not.toMatch(/var\(|NaN|undefined/);
      await expect(file).toMatchFileSnapshot(`../../../docs/manual/drawings/${name}.svg`);
    }
  });
});
