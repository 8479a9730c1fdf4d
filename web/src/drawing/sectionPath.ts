import type { PieceView, SectionRow } from "../api/client";

/** What of a section is drawn where: x from the left wall of the widest place, y downwards. */
export interface SectionPaths {
  /** The room that resin can take. */
  inside: string;
  /** The walls, open at the rim. */
  walls: string;
  /** What stands in the middle; empty for nothing. */
  hole: string;
  widthPx: number;
  depthPx: number;
}

const f = (n: number) => n.toFixed(1);

/** Turns rows in mm into paths in px; heights may be drawn larger than widths. */
export function sectionPaths(rows: SectionRow[], pxPerMm: number, heights = 1): SectionPaths {
  const left = Math.min(...rows.map((r) => r.leftMm));
  const right = Math.max(...rows.map((r) => r.rightMm));
  const depth = Math.max(...rows.map((r) => r.depthMm));
  const x = (mm: number) => (mm - left) * pxPerMm;
  const y = (mm: number) => (depth - mm) * pxPerMm * heights;
  const down = [...rows].reverse().map((r) => `${f(x(r.leftMm))} ${f(y(r.depthMm))}`);
  const up = rows.map((r) => `${f(x(r.rightMm))} ${f(y(r.depthMm))}`);
  const walls = `M${down.join("L")}L${up.join("L")}`;
  const middle = rows.filter((r) => r.holeMm > 0);
  const hole =
    middle.length > 1
      ? `M${[...middle]
          .reverse()
          .map((r) => `${f(x(-r.holeMm))} ${f(y(r.depthMm))}`)
          .join("L")}L${middle.map((r) => `${f(x(r.holeMm))} ${f(y(r.depthMm))}`).join("L")}Z`
      : "";
  return {
    inside: `${walls}Z`,
    walls,
    hole,
    widthPx: (right - left) * pxPerMm,
    depthPx: depth * pxPerMm * heights,
  };
}

/** Where its surface lies, mm above the floor: a dome stands above the rim. */
export function surfaceMm(view: PieceView, asFinished: boolean): number {
  if (asFinished && view.finishedMm !== undefined) {
    return view.finishedMm;
  }
  return (view.layers.at(-1)?.toMm ?? view.depthMm) + (view.aboveMm ?? 0);
}

/** Where the opening begins from the left of the widest place, and how wide it is, px. */
export function rimOf(
  rows: PieceView["section"],
  pxPerMm: number,
): { from: number; width: number } {
  const left = Math.min(...rows.map((r) => r.leftMm));
  const rim = rows.at(-1);
  return rim
    ? { from: (rim.leftMm - left) * pxPerMm, width: (rim.rightMm - rim.leftMm) * pxPerMm }
    : { from: 0, width: 0 };
}
