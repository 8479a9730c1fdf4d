import type { FieldSpec } from "../ui/Fields";
import { ratio, RESIN_KINDS, SECOND } from "./resinBrief";

/** A label, in the order in which labels are read. */
export const RESIN_GROUPS: {
  title: string;
  specs: FieldSpec[];
  table?: "potLives" | "depths";
}[] = [
  {
    title: "What it is",
    specs: [
      { path: "name", label: "What is on the label", kind: "text", needed: true, width: 280 },
      { path: "kind", label: "Kind", kind: "choice", needed: true, choices: RESIN_KINDS },
      {
        path: "facts.flexible",
        label: "When cured",
        kind: "yesno",
        yes: "stays flexible",
        no: "hard",
      },
      {
        path: "facts.coloured",
        label: "Supplied as",
        kind: "yesno",
        yes: "ready coloured",
        no: "clear",
      },
      {
        path: "facts.forEveryUse",
        label: "Sold for",
        kind: "yesno",
        yes: "“for every use”",
        no: "one use",
      },
    ],
  },
  {
    title: "Mixing",
    specs: [
      ...ratio("ratio", "", true),
      ...ratio("facts.otherRatio", SECOND, false),
      { path: "densityA", label: "Density of A", kind: "number", symbol: "g/mL" },
      { path: "densityB", label: "Density of B", kind: "number", symbol: "g/mL" },
      { path: "mixMinutes", label: "Stir for", kind: "number", symbol: "min" },
      {
        path: "facts.twoCups",
        label: "Cups",
        kind: "yesno",
        yes: "a second cup",
        no: "one will do",
      },
      {
        path: "facts.viscosityPaS",
        label: "Mixed, how thick",
        kind: "number",
        symbol: "Pa·s",
        width: 155,
      },
      { path: "facts.warmFromC", label: "Bottles from", kind: "number", quantity: "TEMPERATURE" },
      { path: "facts.warmToC", label: "Bottles to", kind: "number", quantity: "TEMPERATURE" },
      { path: "facts.dampFromPercent", label: "Air no damper than", kind: "number", symbol: "%" },
    ],
  },
  {
    title: "How long, how much",
    table: "potLives",
    specs: [
      { path: "potLifeMinutes", label: "Pot life", kind: "number", symbol: "min" },
      { path: "potLifeMassG", label: "for a mass of", kind: "number", quantity: "MASS" },
      { path: "potLifeTemperatureC", label: "at", kind: "number", quantity: "TEMPERATURE" },
      { path: "largestBatchG", label: "Largest batch", kind: "number", quantity: "MASS" },
      { path: "facts.depthFromMm", label: "Pour from", kind: "number", quantity: "LENGTH" },
      { path: "facts.depthToMm", label: "Pour to", kind: "number", quantity: "LENGTH" },
      { path: "loadingLimitPercent", label: "Additive limit", kind: "number", symbol: "%" },
      {
        path: "loadingBasis",
        label: "counted",
        kind: "choice",
        choices: [
          ["WEIGHT_OF_MIX", "by weight of the mix"],
          ["WEIGHT_OF_RESIN", "by weight of the resin"],
          ["VOLUME_OF_MIX", "by volume of the mix"],
          ["VOLUME_OF_RESIN", "by volume of the resin"],
        ],
        width: 200,
      },
    ],
  },
  {
    title: "Afterwards",
    table: "depths",
    specs: [
      {
        path: "gelMinutes",
        label: "Next layer at gel after",
        kind: "number",
        symbol: "min",
        width: 175,
      },
      { path: "times.tackFreeHours", label: "No tack after", kind: "number", symbol: "h" },
      { path: "times.recoatFromHours", label: "Next coat from", kind: "number", symbol: "h" },
      { path: "times.recoatToHours", label: "Next coat to", kind: "number", symbol: "h" },
      { path: "times.demouldHours", label: "Demould after", kind: "number", symbol: "h" },
      { path: "times.demouldDepthMm", label: "at a depth of", kind: "number", quantity: "LENGTH" },
      { path: "times.fullCureHours", label: "Full cure after", kind: "number", symbol: "h" },
      { path: "facts.shrinkagePercent", label: "Shrinkage", kind: "number", symbol: "%" },
      {
        path: "facts.shrinkageIs",
        label: "counted",
        kind: "choice",
        choices: [
          ["LINEAR", "of a length"],
          ["VOLUMETRIC", "of the volume"],
        ],
      },
    ],
  },
];

export const PART_SPECS: FieldSpec[] = [
  { path: "name", label: "Bottle", kind: "text", needed: true, width: 240 },
  {
    path: "side",
    label: "It is",
    kind: "choice",
    needed: true,
    width: 120,
    choices: [
      ["A", "part A"],
      ["B", "part B"],
    ],
  },
  { path: "density", label: "Density", kind: "number", symbol: "g/mL" },
  { path: "pumpMl", label: "One pump stroke", kind: "number", symbol: "mL", width: 150 },
  { path: "kitG", label: "Kit bottle, poured whole", kind: "number", quantity: "MASS", width: 185 },
];

export const LOT_SPECS: FieldSpec[] = [
  { path: "code", label: "Lot", kind: "text", needed: true, width: 130 },
  { path: "openedOn", label: "Opened on", kind: "date", width: 185 },
  { path: "leftG", label: "Left", kind: "number", quantity: "MASS" },
  { path: "price", label: "Price", kind: "number", width: 100 },
  { path: "boughtG", label: "for", kind: "number", quantity: "MASS" },
];

export const FORMS = [
  ["MICA", "mica"],
  ["POWDER", "pigment powder"],
  ["CHROME_POWDER", "chrome powder"],
  ["GLITTER", "glitter"],
  ["FLAKE", "flake"],
  ["PASTE", "paste"],
  ["LIQUID_TINT", "liquid tint"],
  ["ALCOHOL_INK", "alcohol ink"],
  ["ACRYLIC_PAINT", "acrylic paint"],
  ["OIL_PAINT", "oil-based hobby paint"],
  ["FOOD_COLOUR", "food colour, powder or in oil"],
  ["DYE", "dye"],
  ["SILICONE_OIL", "silicone oil, for cells"],
  ["THINNER", "thinner, alcohol"],
] as const;

export const COLOURANT_SPECS: FieldSpec[] = [
  { path: "name", label: "Jar", kind: "text", needed: true, width: 230 },
  { path: "form", label: "It is", kind: "choice", needed: true, choices: FORMS },
  { path: "swatch", label: "Looks", kind: "colour", needed: true },
  {
    path: "shelf.curedSwatch",
    label: "Swatch",
    kind: "yesno",
    yes: "from a cured piece",
    no: "a guess",
    width: 180,
  },
  { path: "limitPercent", label: "Label’s limit", kind: "number", symbol: "%" },
  {
    path: "limitBasis",
    label: "counted",
    kind: "choice",
    width: 200,
    choices: [
      ["WEIGHT_OF_MIX", "by weight of the mix"],
      ["WEIGHT_OF_RESIN", "by weight of the resin"],
      ["VOLUME_OF_MIX", "by volume of the mix"],
      ["VOLUME_OF_RESIN", "by volume of the resin"],
    ],
  },
  { path: "shelf.waterPercent", label: "Water in it", kind: "number", symbol: "%" },
  { path: "shelf.solventPercent", label: "Solvent in it", kind: "number", symbol: "%" },
  { path: "bulkDensity", label: "Bulk density", kind: "number", symbol: "g/mL" },
  { path: "trueDensity", label: "True density", kind: "number", symbol: "g/mL", width: 150 },
  { path: "shelf.strength", label: "Strength, 1 = usual", kind: "number", width: 160 },
  { path: "shelf.lightFast", label: "In daylight", kind: "yesno", yes: "holds", no: "fades" },
  { path: "shelf.grainMm", label: "Grains", kind: "number", symbol: "mm", width: 110 },
  { path: "shelf.leftG", label: "Left", kind: "number", quantity: "MASS" },
  { path: "shelf.implement", label: "Dropper or scoop", kind: "text", width: 200 },
  { path: "dropG", label: "One drop", kind: "number", symbol: "g" },
  { path: "scoopMl", label: "One scoop", kind: "number", symbol: "mL" },
];

/** A cured chip of one colourant on a white and on a black card. */
export const CHIP_SPECS: FieldSpec[] = [
  {
    path: "percentOfMix",
    label: "In the chip, of the mix",
    kind: "number",
    symbol: "%",
    needed: true,
    width: 175,
  },
  {
    path: "thicknessMm",
    label: "Chip’s thickness",
    kind: "number",
    symbol: "mm",
    needed: true,
    width: 150,
  },
  { path: "overWhite", label: "On white", kind: "colour", needed: true },
  { path: "overBlack", label: "On black", kind: "colour", needed: true },
  { path: "white", label: "White card", kind: "colour", width: 100 },
  { path: "black", label: "Black card", kind: "colour", width: 100 },
];

export const COLOUR_SPECS: FieldSpec[] = [
  { path: "name", label: "Colour", kind: "text", needed: true, width: 200 },
  { path: "swatch", label: "Looks", kind: "colour", needed: true },
];

export const EMBED_SPECS: FieldSpec[] = [
  { path: "name", label: "Thing", kind: "text", needed: true, width: 230 },
  { path: "massG", label: "One weighs", kind: "number", symbol: "g" },
  { path: "volumeMl", label: "One displaces", kind: "number", symbol: "mL", width: 145 },
  { path: "density", label: "Density", kind: "number", symbol: "g/mL" },
  { path: "dry", label: "Dried or sealed", kind: "yesno", yes: "dry", no: "not yet" },
  { path: "pointed", label: "Points", kind: "yesno", yes: "can poke through", no: "none" },
  { path: "face", label: "Which side is seen", kind: "text", width: 230 },
  { path: "lengthMm", label: "Longest side", kind: "number", quantity: "LENGTH", width: 135 },
  { path: "widthMm", label: "Other side", kind: "number", quantity: "LENGTH", width: 125 },
  {
    path: "heightMm",
    label: "Height in the piece",
    kind: "number",
    quantity: "LENGTH",
    width: 160,
  },
  { path: "left", label: "Left", kind: "number", symbol: "pieces" },
];

export const CUP_SPECS: FieldSpec[] = [
  { path: "name", label: "Cup", kind: "text", needed: true, width: 210 },
  {
    path: "use",
    label: "Taken for",
    kind: "choice",
    needed: true,
    choices: [
      ["MIXING", "the whole mix"],
      ["COLOUR", "one colour"],
      ["EITHER", "either"],
    ],
  },
  {
    path: "outline",
    label: "From above",
    kind: "choice",
    width: 130,
    choices: [
      ["ROUND", "round"],
      ["SQUARE", "square"],
    ],
  },
  {
    path: "bottomWidthMm",
    label: "Inside, at the floor",
    kind: "number",
    quantity: "LENGTH",
    needed: true,
    width: 165,
  },
  {
    path: "topWidthMm",
    label: "Inside, at the brim",
    kind: "number",
    quantity: "LENGTH",
    needed: true,
    width: 160,
  },
  { path: "heightMm", label: "Inside height", kind: "number", quantity: "LENGTH", needed: true },
  {
    path: "material",
    label: "Made of",
    kind: "choice",
    width: 185,
    choices: [
      ["POLYPROPYLENE", "polypropylene"],
      ["POLYETHYLENE", "polyethylene"],
      ["SILICONE", "silicone"],
      ["GLASS", "glass"],
      ["METAL", "metal"],
      ["PLAIN_PAPER", "plain paper"],
      ["WAXED_PAPER", "waxed paper"],
      ["POLYSTYRENE", "polystyrene"],
    ],
  },
  { path: "staysG", label: "What stays in it, weighed", kind: "number", symbol: "g", width: 195 },
  { path: "ringsMm", label: "Its rings are apart", kind: "number", quantity: "LENGTH", width: 160 },
];

/** How many there are of a cup; nobody has to count. */
export const CUP_HAVE: FieldSpec = {
  path: "have",
  label: "How many there are",
  kind: "number",
  width: 170,
};

export const TOOL_KINDS = [
  ["PRESSURE_POT", "pressure pot"],
  ["HOT_BOX", "warm box"],
  ["LAMP", "lamp"],
  ["BOARD", "level board"],
] as const;

/** What there is to say of a shared tool depends on what it is. */
export function toolSpecs(kind: string): FieldSpec[] {
  return [
    { path: "name", label: "Name", kind: "text", needed: true, width: 240 },
    { path: "kind", label: "What it is", kind: "choice", needed: true, choices: TOOL_KINDS },
    { path: "holds", label: "Pieces at once", kind: "number", width: 140 },
    ...(kind === "HOT_BOX"
      ? ([
          { path: "temperatureC", label: "Inside", kind: "number", quantity: "TEMPERATURE" },
        ] as const)
      : []),
    ...(kind === "PRESSURE_POT"
      ? ([
          { path: "ratedKPa", label: "Rated for", kind: "number", quantity: "PRESSURE" },
          { path: "reliefKPa", label: "Relief valve", kind: "number", quantity: "PRESSURE" },
          { path: "workKPa", label: "Set to", kind: "number", quantity: "PRESSURE" },
          { path: "opensBy", label: "Who opens it", kind: "text", width: 180 },
        ] as const)
      : []),
  ];
}
