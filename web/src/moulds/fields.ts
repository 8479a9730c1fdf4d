import type { Measurement, Solid } from "../api/client";
import type { FieldSpec } from "../ui/Fields";

export type Method = Measurement["method"];

/** The ways to measure, best first, with what the hands do. */
export const METHODS: Record<Method, { name: string; how: string }> = {
  WATER_IN_MOULD: {
    name: "Weigh water in it",
    how: "Mould on the scale, note what it shows; fill with water to the rim, note it again. The surest way: nothing is lost in tipping.",
  },
  WATER_TIPPED_ON_SCALE: {
    name: "Tip water onto a scale",
    how: "Fill with water, tip it into a cup on the scale. Several alike at once are fine. A little stays behind, so it reads low.",
  },
  WATER_TIPPED_IN_CUP: {
    name: "Tip water into a marked cup",
    how: "Fill with water, tip it into a marked cup, read at eye level. Several alike at once make the reading surer.",
  },
  SOLID: {
    name: "From its sizes",
    how: "Measure inside, at the rim unless it says floor. Put one part on the other, from the floor up.",
  },
  PARTIAL_POUR: {
    name: "From a pour you logged",
    how: "So many millilitres reached this deep. Two readings at different depths also tell how the walls lean.",
  },
  MESH: {
    name: "From a 3D model",
    how: "The model of the piece or of its master: STL, OBJ or 3MF. Turn it the way it lies in the mould.",
  },
  TOLD: {
    name: "I know the volume",
    how: "From a packet or from memory. Good enough to begin with; remembered sizes are often wrong by half.",
  },
};

export const METHOD_ORDER: Method[] = [
  "WATER_IN_MOULD",
  "WATER_TIPPED_ON_SCALE",
  "WATER_TIPPED_IN_CUP",
  "SOLID",
  "PARTIAL_POUR",
  "MESH",
  "TOLD",
];

const WATER: FieldSpec = {
  path: "waterC",
  label: "Water is at",
  kind: "number",
  quantity: "TEMPERATURE",
};
const DIVISION: FieldSpec = {
  path: "divisionG",
  label: "Scale shows",
  kind: "number",
  symbol: "g steps",
};
const TOGETHER: FieldSpec = {
  path: "together",
  label: "How many at once",
  kind: "number",
  symbol: "moulds",
  width: 160,
};
const IDENTICAL: FieldSpec = {
  path: "identical",
  label: "Are they alike?",
  kind: "yesno",
  yes: "all alike",
  no: "different ones",
};

/** What each way needs typed, beside its shape and its model. */
export const METHOD_FIELDS: Record<Method, FieldSpec[]> = {
  WATER_IN_MOULD: [
    {
      path: "emptyG",
      label: "Before (0 if set to zero)",
      kind: "number",
      quantity: "MASS",
      width: 190,
    },
    { path: "filledG", label: "With water", kind: "number", quantity: "MASS", needed: true },
    WATER,
    DIVISION,
  ],
  WATER_TIPPED_ON_SCALE: [
    {
      path: "emptyG",
      label: "Cup alone (0 if set to zero)",
      kind: "number",
      quantity: "MASS",
      width: 210,
    },
    { path: "filledG", label: "With the water", kind: "number", quantity: "MASS", needed: true },
    TOGETHER,
    IDENTICAL,
    WATER,
    DIVISION,
  ],
  WATER_TIPPED_IN_CUP: [
    { path: "readMl", label: "Read", kind: "number", quantity: "VOLUME", needed: true },
    {
      path: "divisionMl",
      label: "Between two marks",
      kind: "number",
      quantity: "VOLUME",
      width: 165,
    },
    TOGETHER,
    IDENTICAL,
  ],
  SOLID: [],
  PARTIAL_POUR: [],
  MESH: [],
  TOLD: [
    { path: "toldMl", label: "It holds", kind: "number", quantity: "VOLUME", needed: true },
    { path: "plusMinusPercent", label: "Give or take", kind: "number", symbol: "%" },
  ],
};

const size = (path: string, label: string): FieldSpec => ({
  path,
  label,
  kind: "number",
  quantity: "LENGTH",
  needed: true,
  width: 128,
});
const DRAFT_ANGLE: FieldSpec = {
  path: "draftDegrees",
  label: "Walls lean out",
  kind: "number",
  symbol: "°",
  width: 128,
};

/** Shapes with the sizes each needs, in the order a hand measures them. */
export const SOLIDS: Record<Solid["kind"], { name: string; fields: FieldSpec[]; start: Solid }> = {
  BOX: {
    name: "Box",
    fields: [
      size("lengthMm", "Long"),
      size("widthMm", "Wide"),
      size("depthMm", "Deep"),
      DRAFT_ANGLE,
    ],
    start: { kind: "BOX", lengthMm: 60, widthMm: 30, depthMm: 10 },
  },
  CYLINDER: {
    name: "Cylinder",
    fields: [size("widthMm", "Across"), size("depthMm", "Deep"), DRAFT_ANGLE],
    start: { kind: "CYLINDER", widthMm: 30, depthMm: 15 },
  },
  CONE_FRUSTUM: {
    name: "Round, tapering",
    fields: [
      size("widthMm", "Across at rim"),
      size("floorWidthMm", "Across at floor"),
      size("depthMm", "Deep"),
    ],
    start: { kind: "CONE_FRUSTUM", widthMm: 32, floorWidthMm: 22, depthMm: 20 },
  },
  PYRAMID_FRUSTUM: {
    name: "Four-sided, tapering",
    fields: [
      size("lengthMm", "Long at rim"),
      size("widthMm", "Wide at rim"),
      size("floorLengthMm", "Long at floor"),
      size("floorWidthMm", "Wide at floor"),
      size("depthMm", "Deep"),
    ],
    start: {
      kind: "PYRAMID_FRUSTUM",
      lengthMm: 40,
      widthMm: 30,
      floorLengthMm: 32,
      floorWidthMm: 22,
      depthMm: 12,
    },
  },
  HEMISPHERE: {
    name: "Half ball",
    fields: [size("widthMm", "Across at rim")],
    start: { kind: "HEMISPHERE", widthMm: 30 },
  },
  SPHERICAL_CAP: {
    name: "Shallow bowl",
    fields: [size("widthMm", "Across at rim"), size("depthMm", "Deep")],
    start: { kind: "SPHERICAL_CAP", widthMm: 34, depthMm: 6 },
  },
  REGULAR_PRISM: {
    name: "Three- to many-sided",
    fields: [
      { path: "sides", label: "Sides", kind: "number", needed: true, width: 90 },
      size("lengthMm", "One side"),
      size("depthMm", "Deep"),
      DRAFT_ANGLE,
    ],
    start: { kind: "REGULAR_PRISM", sides: 6, lengthMm: 16, depthMm: 15 },
  },
  HALF_CYLINDER: {
    name: "Half-round trough",
    fields: [size("lengthMm", "Long"), size("widthMm", "Across at rim")],
    start: { kind: "HALF_CYLINDER", lengthMm: 90, widthMm: 20 },
  },
  TORUS_RING: {
    name: "Ring",
    fields: [
      size("widthMm", "Across outside"),
      size("tubeMm", "Thickness of the ring"),
      size("depthMm", "Deep"),
    ],
    start: { kind: "TORUS_RING", widthMm: 50, tubeMm: 9, depthMm: 9 },
  },
};

/** What only a mould that is closed so has. */
const OF_OPENING: Record<string, string> = {
  "make.surplusMl": "CLOSED",
  "make.edgeMm": "FLAT",
  "make.dripPercent": "FLAT",
};

/** How a mould is made, without what its opening has no use for. */
export function makeFields(opening: string | null | undefined): FieldSpec[] {
  return MAKE_FIELDS.filter((f) => (OF_OPENING[f.path] ?? opening) === opening);
}

const MAKE_FIELDS: FieldSpec[] = [
  {
    path: "make.material",
    label: "Made of",
    kind: "choice",
    choices: [
      ["SILICONE", "silicone"],
      ["URETHANE_RUBBER", "urethane rubber"],
      ["POLYPROPYLENE", "polypropylene"],
      ["POLYETHYLENE", "polyethylene"],
      ["LATEX", "latex"],
      ["WOODEN_FORM", "wooden form"],
      ["OTHER", "something else"],
    ],
  },
  { path: "make.wallMm", label: "Wall", kind: "number", quantity: "LENGTH", width: 110 },
  {
    path: "make.finish",
    label: "Inside is",
    kind: "choice",
    choices: [
      ["GLOSS", "glossy"],
      ["MATTE", "matte"],
    ],
  },
  {
    path: "make.opening",
    label: "Closed by",
    kind: "choice",
    choices: [
      ["OPEN", "nothing, open"],
      ["CLOSED", "a second half"],
      ["BEZEL", "a rim that stays on"],
      ["FLAT", "no mould: flat work, coated as it stands"],
    ],
    width: 260,
  },
  {
    path: "make.edgeMm",
    label: "Flat work: edges coated, high",
    kind: "number",
    quantity: "LENGTH",
    width: 210,
  },
  {
    path: "make.dripPercent",
    label: "Flat work: runs off",
    kind: "number",
    symbol: "%",
    width: 150,
  },
  {
    path: "make.surplusMl",
    label: "A lid takes, over the rim",
    kind: "number",
    quantity: "VOLUME",
    width: 190,
  },
  { path: "make.copies", label: "How many there are", kind: "number", width: 170 },
  {
    path: "make.pace",
    label: "Fills",
    kind: "choice",
    choices: [
      ["USUAL", "as usual"],
      ["SLOW", "slowly: tall, narrow, fine"],
      ["BY_STICK", "drop by drop, by stick"],
    ],
    width: 215,
  },
  {
    path: "make.front",
    label: "Front of the piece",
    kind: "choice",
    choices: [
      ["FLOOR", "at the floor"],
      ["OPEN_SIDE", "at the open side"],
    ],
  },
  {
    path: "make.levelBase",
    label: "Stands level",
    kind: "yesno",
    yes: "by itself",
    no: "needs a board",
  },
  {
    path: "make.undercuts",
    label: "Lips and hollows",
    kind: "yesno",
    yes: "some that hold air",
    no: "none",
  },
  { path: "make.narrowMouth", label: "Mouth", kind: "yesno", yes: "narrow: a funnel", no: "wide" },
  {
    path: "make.pressureFit",
    label: "Pressure pot",
    kind: "yesno",
    yes: "fit for it",
    no: "never (air in the rubber)",
    width: 200,
  },
  {
    path: "make.benchLengthMm",
    label: "Room on the bench",
    kind: "number",
    quantity: "LENGTH",
    width: 150,
  },
  { path: "make.benchWidthMm", label: "by", kind: "number", quantity: "LENGTH", width: 110 },
  { path: "make.opensBy", label: "How it likes to be opened", kind: "long" },
  { path: "make.notes", label: "Notes", kind: "long" },
];

export const STATE_FIELDS: FieldSpec[] = [
  { path: "state.casts", label: "Casts so far", kind: "number", width: 115 },
  { path: "state.expectedCasts", label: "Worn out after about", kind: "number", width: 165 },
  {
    path: "state.lastCast",
    label: "Last cast in it",
    kind: "choice",
    choices: [
      ["EPOXY", "epoxy"],
      ["URETHANE", "polyurethane"],
      ["OTHER", "something else"],
    ],
  },
  { path: "state.readyFrom", label: "Ready from", kind: "moment", width: 210 },
];

/** What a figure rests on, in the middle of a sentence. */
export const KNOWN_BY: Record<Method, string> = {
  WATER_IN_MOULD: "water weighed in it",
  WATER_TIPPED_ON_SCALE: "water tipped onto a scale",
  WATER_TIPPED_IN_CUP: "water tipped into a marked cup",
  SOLID: "from its sizes",
  PARTIAL_POUR: "from a pour you logged",
  MESH: "from a 3D model",
  TOLD: "told, not measured",
};
