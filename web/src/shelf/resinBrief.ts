import type { FieldSpec } from "../ui/Fields";

/** Some labels give one ratio by weight and one by volume. */
export const SECOND = ", second ratio";

/** The parts of a ratio, and what they are counted in. */
export const ratio = (path: string, basis: string, needed: boolean): FieldSpec[] => [
  {
    path: `${path}.partsA`,
    label: `Parts A${basis}`,
    kind: "number",
    needed,
    width: basis === "" ? 120 : 190,
  },
  {
    path: `${path}.partsB`,
    label: `Parts B${basis}`,
    kind: "number",
    needed,
    width: basis === "" ? 120 : 190,
  },
  {
    path: `${path}.basis`,
    label: `Counted${basis}`,
    kind: "choice",
    needed,
    width: basis === "" ? 150 : 200,
    choices: [
      ["WEIGHT", "by weight"],
      ["VOLUME", "by volume"],
    ],
  },
];

export const RESIN_KINDS = [
  ["CASTING", "casting"],
  ["DEEP", "deep casting"],
  ["FAST", "fast casting"],
  ["COATING", "coating, doming"],
  ["POLYURETHANE", "polyurethane"],
] as const;

/** The few lines of a label that a first plan needs. */
export const RESIN_BRIEF: FieldSpec[] = [
  { path: "name", label: "What is on the label?", kind: "text", needed: true, width: 240 },
  { path: "kind", label: "Kind", kind: "choice", needed: true, choices: RESIN_KINDS },
  ...ratio("ratio", "", true),
  {
    path: "potLifeMinutes",
    label: "Pot life (if it says)",
    kind: "number",
    symbol: "min",
    width: 160,
  },
  {
    path: "largestBatchG",
    label: "Largest batch (if it says)",
    kind: "number",
    quantity: "MASS",
    width: 190,
  },
  ...ratio("facts.otherRatio", SECOND, false),
];
