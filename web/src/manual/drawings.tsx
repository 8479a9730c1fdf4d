import type { ReactElement } from "react";
import type { CupKind, SectionRow } from "../api/client";
import { CavitySection } from "../drawing/CavitySection";
import { CupDrawing } from "../drawing/CupDrawing";
import { EyeLevel } from "../drawing/EyeLevel";
import { useUnits } from "../units/UnitsProvider";
import { inUnits } from "../words/inUnits";

/** Made up for the manual: a knob's mould, round, wider at its mouth. */
const KNOB: SectionRow[] = Array.from({ length: 25 }, (_, i) => {
  const depthMm = i;
  const half = 8 + 8 * Math.sin((Math.PI / 2) * Math.min(1, depthMm / 20));
  return { depthMm, leftMm: -half, rightMm: half, holeMm: 0 };
});

const TALL: CupKind = cup("Measuring cup 100 mL", 58, 44, 72);
const SMALL: CupKind = cup("Small cup 30 mL", 40, 32, 32);
const WIDE: CupKind = cup("Wide cup 120 mL", 96, 84, 22);

function cup(name: string, topWidthMm: number, bottomWidthMm: number, heightMm: number): CupKind {
  return { id: name, name, use: "EITHER", topWidthMm, bottomWidthMm, heightMm };
}

const HARBOUR = "#3f6f86";
const LICHEN = "#8fa06b";
const OAT = "#d9c8a4";
const EMBER = "#b5533c";
const CLEAR = "#dde6e4";
const PX = 2.4;

function side(...drawn: { x: number; y: number; of: ReactElement }[]): ReactElement {
  return (
    <>
      {drawn.map(({ x, y, of }, i) => (
        <g key={i} transform={`translate(${x} ${y})`}>
          {of}
        </g>
      ))}
    </>
  );
}

function whole(width: number, height: number, label: string, inside: ReactElement): ReactElement {
  return (
    <svg width={width} height={height} role="img" aria-label={label}>
      {inside}
    </svg>
  );
}

/** Two layers to their lines, in the units that this workshop reads. */
function Lines() {
  const units = useUnits();
  return (
    <CavitySection
      section={KNOB}
      pxPerMm={4}
      bands={[
        { fromMm: 0, toMm: 9, fill: HARBOUR },
        { fromMm: 9, toMm: 22, fill: CLEAR, apart: true },
      ]}
      marks={[
        { atMm: 9, words: inUnits("9 mm", units) },
        { atMm: 22, words: inUnits("22 mm", units) },
      ]}
      label="A mould in section, with two layers and the lines they are poured to"
    />
  );
}

/** What the manual's pages name, drawn by the parts that draw the plans. */
export const DRAWINGS: Record<string, ReactElement> = {
  mould: <Lines />,
  cup: (
    <CupDrawing
      kind={TALL}
      pxPerMm={PX}
      levels={[
        { mm: 20, fill: "#c9c3b6", mark: "B" },
        { mm: 52, fill: CLEAR, mark: "A", letter: "#22313A" },
      ]}
      label="Two parts in one measuring cup: B to the first mark, A on to the second"
    />
  ),
  "eye-level": <EyeLevel />,
  cups: whole(
    470,
    180,
    "One mix, split into three cups",
    side(
      {
        x: 0,
        y: 0,
        of: <CupDrawing kind={TALL} pxPerMm={PX} levels={[{ mm: 50, fill: CLEAR }]} label="" />,
      },
      ...[HARBOUR, LICHEN, OAT].map((fill, i) => ({
        x: 165 + i * 104,
        y: 96,
        of: <CupDrawing kind={SMALL} pxPerMm={PX} levels={[{ mm: 20, fill }]} label="" />,
      })),
    ),
  ),
  shallow: whole(
    450,
    180,
    "The same amount in a tall cup and in a wide, shallow one",
    side(
      {
        x: 0,
        y: 0,
        of: <CupDrawing kind={TALL} pxPerMm={PX} levels={[{ mm: 44, fill: EMBER }]} label="" />,
      },
      {
        x: 190,
        y: 120,
        of: <CupDrawing kind={WIDE} pxPerMm={PX} levels={[{ mm: 14, fill: EMBER }]} label="" />,
      },
    ),
  ),
  layers: (
    <CavitySection
      section={KNOB}
      pxPerMm={4}
      bands={[
        { fromMm: 0, toMm: 6, fill: CLEAR },
        { fromMm: 6, toMm: 14, fill: LICHEN, apart: true },
        { fromMm: 14, toMm: 24, fill: HARBOUR, apart: true },
      ]}
      marks={[
        { atMm: 6, words: "clear, gel" },
        { atMm: 14, words: "Lichen, gel" },
        { atMm: 24, words: "Harbour" },
      ]}
      label="Three layers: each begins at the line of the one below"
    />
  ),
};
