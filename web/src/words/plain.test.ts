import { describe, expect, it } from "vitest";

/** Turns of phrase that makers had to read twice, and words that only a programmer would know. */
const REFUSED = [
  /wants a look/i,
  /leave the house/i,
  /in 100 days/i,
  /makes it on/i,
  /Too much of the other/i,
  /Somebody said so/i,
  /whenever it takes/i,
  /looks and nudges/i,
  /\baway\?/i,
  /put in, mix, resin/i,
  /Most additives/i,
  /label: "As it lies/,
  /The stuff itself/i,
  /Stays in any cup/i,
  /and of its content/i,
  /Right, and what is left/i,
  /Tap when wet/i,
  /× recipe/i,
  /Do it on purpose/i,
  /Lay beside another/i,
  /The plan[’']s story/i,
  /Put the story away/i,
  /A meets B now/i,
  /is not a number yet/i,
  /Something else is in the cup/i,
  /Take off the shelf/i,
  /\bstand-ins?\b/i,

  /\bdraft ids?\b/i,
];

/** Every source of the screens, by its path. */
const SOURCES = import.meta.glob<string>("../**/*.{ts,tsx}", {
  query: "?raw",
  import: "default",
  eager: true,
});

/** What is left of a source without its comments: imports, names and everything that is said. */
function said(source: string): string {
  return source.replace(/\/\*[\s\S]*?\*\//g, "").replace(/^\s*\/\/.*$/gm, "");
}

describe("what is said", () => {
  it("says nothing that was hard to read", () => {
    const sources = Object.entries(SOURCES).filter(([f]) => !/schema\.ts$|\.test\.ts$/.test(f));
    expect(sources.length).toBeGreaterThan(100);
    const found = sources.flatMap(([file, source]) =>
      said(source)
        .split("\n")
        .filter((line) => !/(import|from) ["']|import\(/.test(line))
        .flatMap((line) => REFUSED.filter((r) => r.test(line)).map((r) => `${file}: ${r.source}`)),
    );
    expect(found).toEqual([]);
  });

  it("finds what it looks for", () => {
    expect(REFUSED.some((r) => r.test("Lay beside another plan"))).toBe(true);
    expect(said("/* A meets B now */ const a = 1;\n// stand-in\n")).not.toMatch(/meets|stand/);
  });
});
