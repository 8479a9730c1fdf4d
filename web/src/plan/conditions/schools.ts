import type { Habits } from "../../api/client";
import type { FieldSpec } from "../../ui/Fields";

type Whole = Required<Habits>;

interface School {
  title: string;
  specs: (habits: Whole) => FieldSpec[];
}

const MIXING = "Warming and mixing";
const SPLITTING = "Splitting";
const TINTING = "Tinting";
const PLANNING = "How sure, and how many hands";
const CARE = "Moulds, bubbles, and when a piece may leave";

/** Habits in which makers differ: each with its choices and, beside it, a line why. */
export const SCHOOLS: School[] = [
  {
    title: PLANNING,
    specs: () => [
      {
        path: "planning.surePercent",
        label: "Certainty wanted",
        kind: "number",
        symbol: "%",
        needed: true,
        width: 210,
      },
      {
        path: "planning.pairsOfHands",
        label: "Pairs of hands",
        kind: "number",
        needed: true,
        width: 130,
      },
    ],
  },
  {
    title: MIXING,
    specs: ({ mixing }) => [
      {
        path: "mixing.warming",
        label: "Warm before mixing",
        kind: "choice",
        needed: true,
        width: 230,
        choices: [
          ["NONE", "nothing"],
          ["BOTH", "both, in warm water"],
          ["A_ONLY", "A only, in hot water"],
          ["A_HOT_AIR", "A only, with hot air"],
          ["TO_TEMPERATURE", "both, to a temperature"],
        ],
      },
      ...(mixing?.warming === "NONE"
        ? []
        : ([
            { path: "mixing.warmMinutes", label: "for", kind: "number", symbol: "min", width: 100 },
            {
              path: "mixing.warmedToC",
              label: "warm it then is",
              kind: "number",
              quantity: "TEMPERATURE",
            },
          ] as const)),
      {
        path: "mixing.release",
        label: "Bubbles out of the mix",
        kind: "choice",
        width: 200,
        choices: [
          ["NONE", "by its rest alone"],
          ["FLAME", "flame over the cup"],
          ["HOT_AIR", "hot air on the cup"],
          ["LAMP", "lamp over the cup"],
          ["TRAY", "thin tray, hot air"],
          ["VACUUM", "vacuum"],
          ["MACHINE", "machine"],
        ],
      },
      {
        path: "mixing.cups",
        label: "Mix in",
        kind: "choice",
        needed: true,
        choices: [
          ["ONE", "one cup"],
          ["TWO", "two cups"],
        ],
      },
      ...(mixing?.cups === "TWO"
        ? ([
            {
              path: "mixing.secondStirMinutes",
              label: "Stir on in the second",
              kind: "number",
              symbol: "min",
              needed: true,
              width: 170,
            },
          ] as const)
        : []),
      {
        path: "mixing.extraAPercent",
        label: "Extra A",
        kind: "number",
        symbol: "%",
        needed: true,
      },
      {
        path: "mixing.measuringCupMl",
        label: "Measuring cup holds",
        kind: "number",
        quantity: "VOLUME",
        width: 170,
      },
    ],
  },
  {
    title: SPLITTING,
    specs: () => [
      {
        path: "splitting.when",
        label: "Split",
        kind: "choice",
        needed: true,
        width: 190,
        choices: [
          ["BEFORE_TINTING", "before tinting"],
          ["AFTER_TINTING", "after tinting"],
        ],
      },
      {
        path: "splitting.reserveMl",
        label: "Keep back clear",
        kind: "number",
        quantity: "VOLUME",
        needed: true,
        width: 150,
      },
      {
        path: "splitting.cupAtMostMl",
        label: "In one cup at most",
        kind: "number",
        quantity: "VOLUME",
        needed: true,
        width: 160,
      },
    ],
  },
  {
    title: TINTING,
    specs: ({ tinting }) => [
      {
        path: "tinting.liquids",
        label: "Liquid colour",
        kind: "choice",
        needed: true,
        width: 210,
        choices: [
          ["SHARE", "a share of the mix"],
          ["DROPS", "counted in drops only"],
        ],
      },
      ...(tinting?.liquids === "DROPS"
        ? ([
            {
              path: "tinting.dropsPer10Ml",
              label: "Drops in 10 mL, at most",
              kind: "number",
              needed: true,
              width: 180,
            },
          ] as const)
        : []),
      {
        path: "tinting.waterPaint",
        label: "Water-based paint",
        kind: "choice",
        needed: true,
        width: 190,
        choices: [
          ["WARN", "warn me"],
          ["FORBID", "never"],
        ],
      },
    ],
  },
  {
    title: CARE,
    specs: ({ care }) => [
      {
        path: "care.moulds",
        label: "Every mould before",
        kind: "choice",
        needed: true,
        width: 200,
        choices: [
          ["NONE", "as it is"],
          ["ALCOHOL_WIPE", "wiped with alcohol"],
          ["RELEASE_SPRAY", "release spray"],
        ],
      },
      ...(care?.moulds === "NONE"
        ? []
        : ([
            {
              path: "care.mouldDryMinutes",
              label: "dries for",
              kind: "number",
              symbol: "min",
              needed: true,
              width: 115,
            },
          ] as const)),
      {
        path: "care.bubbles",
        label: "Bubbles are brought out",
        kind: "choice",
        needed: true,
        width: 215,
        choices: [
          ["SOFT_TOOL", "with a soft tool"],
          ["HOT_AIR", "with hot air"],
          ["FLAME", "with a flame"],
          ["LAMP", "under a lamp"],
          ["ALCOHOL_MIST", "with a fine alcohol mist"],
          ["STRAW", "through a straw"],
        ],
      },
      ...(care?.bubbles === "LAMP"
        ? ([
            {
              path: "care.lampMinutes",
              label: "for",
              kind: "number",
              symbol: "min",
              needed: true,
              width: 100,
            },
          ] as const)
        : []),
      {
        path: "care.dampFromPercent",
        label: "Air is damp from",
        kind: "number",
        symbol: "%",
        width: 140,
      },
      {
        path: "care.halfFillRestMinutes",
        label: "Half fill rests",
        kind: "number",
        symbol: "min",
        needed: true,
      },
      {
        path: "care.embedDryMinutes",
        label: "Glued embeds dry",
        kind: "number",
        symbol: "min",
        needed: true,
        width: 150,
      },
      {
        path: "care.standsOn",
        label: "Moulds stand on",
        kind: "choice",
        width: 165,
        choices: [
          ["BOARD", "a board"],
          ["STONE", "stone or metal"],
        ],
      },
      {
        path: "care.fill.kind",
        label: "Moulds are filled",
        kind: "choice",
        blank: "level with the rim",
        width: 185,
        choices: [["DOMED", "to a dome"]],
      },
      {
        path: "care.leaving",
        label: "Leaves the house",
        kind: "choice",
        needed: true,
        width: 215,
        choices: [
          ["FULL_CURE", "when fully cured"],
          ["AFTER_DAYS", "some weeks later"],
        ],
      },
      ...(care?.leaving === "AFTER_DAYS"
        ? ([
            {
              path: "care.leavingDays",
              label: "not before",
              kind: "number",
              symbol: "days",
              needed: true,
              width: 120,
            },
          ] as const)
        : []),
    ],
  },
];

/** Why the choices are as they are, a line each. */
export function schoolText(title: string, habits: Whole): string[] {
  switch (title) {
    case MIXING:
      return [
        {
          NONE: "Nothing warmed keeps the whole working time; in a cold room the resin stays thick and keeps its bubbles.",
          BOTH: "Five minutes in warm water thin both, to about 28 °C unless you say; every ten degrees halve the time to work.",
          A_ONLY:
            "A is the thick one: twenty minutes in hot water, to about 40 °C unless you say, B at room temperature; that costs less time than warming B.",
          A_HOT_AIR:
            "Two minutes of hot air on A in its cup, to about 32 °C unless you say; never where alcohol is out.",
          TO_TEMPERATURE:
            "The warmest mixes, about 38 °C unless you say, clear of bubbles best and thicken first.",
        }[habits.mixing?.warming ?? "NONE"],
        {
          NONE: "Bubbles rise while the mix rests; nothing is warmed for it.",
          FLAME: "A flame over the cup: half a minute of hands, about 1 °C.",
          HOT_AIR:
            "Hot air on the mixed cup: a minute of hands, and about 6 °C that cost time to pour.",
          LAMP: "A lamp over the cup: five minutes of hands, and about 4 °C that cost time to pour.",
          TRAY: "Thinned out in a tray under hot air and poured back: four minutes, and about 8 °C that cost time to pour. Bubbles have the shortest way.",
          VACUUM: "Vacuum: six minutes, no warmth. Some epoxies only foam.",
          MACHINE:
            "A machine that removes bubbles: four minutes, no warmth. Some epoxies only foam.",
        }[habits.mixing?.release ?? "NONE"],
        habits.mixing?.cups === "TWO"
          ? "Over into a clean cup leaves what clings unmixed to the first wall behind; it costs what stays there."
          : "One cup, sides and bottom scraped while stirring, wastes least.",
        ...((habits.mixing?.extraAPercent ?? 0) > 0
          ? [
              "One percent of A more helps some makers against tacky pieces; others hold that it makes them tacky.",
            ]
          : []),
      ];
    case PLANNING:
      return [
        "Hands, room and label are never quite what they are said to be: a plan that has to be surer takes more batches or shallower cups. A helper shares splitting, tinting and pouring.",
      ];
    case SPLITTING:
      return [
        ...(habits.splitting?.when === "AFTER_TINTING"
          ? [
              "Tinted whole, one colour is stirred once and alike in every cup; it stands longer in the big cup and warms there. Several colours, or a part kept back clear, are split before.",
            ]
          : []),
        "A full cup warms itself and then goes faster: 50 to 120 mL in one is usual. Shallow cups stay cooler. Deep-pour resins are ruled by their label alone.",
      ];
    case CARE:
      return [
        ...(habits.care?.bubbles === "HOT_AIR" || habits.care?.bubbles === "FLAME"
          ? [
              "Never where alcohol was wiped or sprayed, nor over a mix that holds alcohol ink or solvent; held too long it harms the silicone.",
            ]
          : []),
        ...(habits.care?.bubbles === "ALCOHOL_MIST" || habits.care?.moulds === "ALCOHOL_WIPE"
          ? [
              "Once alcohol is out on the bench, no flame and no hot air for the rest of the session.",
            ]
          : []),
        ...(habits.care?.fill?.kind === "DOMED"
          ? [
              "A dome of a millimetre, or as much more as the resin loses by its label, as far as its skin holds it. Level: a flat back, a little lower when it has cured.",
            ]
          : []),
        ...(habits.care?.moulds === "ALCOHOL_WIPE"
          ? ["A mould left wet with alcohol comes out dull: let it go first."]
          : []),
      ];
    default:
      return [
        habits.tinting?.liquids === "DROPS"
          ? "Counting drops is quick and coarse; droppers differ threefold, so weigh your own."
          : "At most a tenth of everything together, and liquids less: too much cures slow, soft or patchy.",
        habits.tinting?.waterPaint === "FORBID"
          ? "No water-based paint here: water softens the cure."
          : "Water-based paint: at most a tenth, thick rather than thin, and tried first.",
      ];
  }
}
