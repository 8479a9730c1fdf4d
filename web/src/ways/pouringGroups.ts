import { type Group, number } from "./group";

const hand = (key: string, label: string) => number(`hands.${key}`, label, "s", 158);

const HANDS = [
  hand("weighSecondsPart", "Weigh a part"),
  hand("secondCupSeconds", "Into a second cup"),
  hand("splitSecondsCup", "Split, a cup"),
  hand("tintSecondsCup", "Tint, a cup"),
  hand("tintPowderSecondsCup", "Tint with powder"),
  hand("pourSecondsCavity", "Pour, a cavity"),
  hand("pourSecondsMl", "and for each mL"),
  hand("bubbleSecondsCavity", "Bubbles, a cavity"),
  hand("coverSeconds", "Cover"),
  hand("embedSeconds", "An embed"),
  hand("nudgeSeconds", "Nudge one"),
  hand("demouldSecondsPiece", "Demould a piece"),
  hand("mouldSeconds", "Wipe a cavity"),
  hand("cleanUpSeconds", "Clean up"),
];

/** What goes into the cups, the moulds and the days after, and how quickly. */
export const POURING_GROUPS: readonly Group[] = [
  {
    key: "colour",
    title: "Colour limits",
    owns: [
      "habits.capAllPercent",
      "habits.capLiquidPercent",
      "habits.tinting.liquids",
      "habits.tinting.dropsPer10Ml",
      "habits.tinting.waterPaint",
    ],
    specs: ({ habits }) => [
      number("habits.capAllPercent", "Additives at most", "%", 150),
      number("habits.capLiquidPercent", "Liquid tint at most", "%", 155),
      {
        path: "habits.tinting.liquids",
        label: "Liquid colour",
        kind: "choice",
        needed: true,
        width: 210,
        choices: [
          ["SHARE", "a share of the mix"],
          ["DROPS", "counted in drops only"],
        ],
      },
      ...(habits.tinting?.liquids === "DROPS"
        ? ([
            {
              path: "habits.tinting.dropsPer10Ml",
              label: "Drops in 10 mL, at most",
              kind: "number",
              needed: true,
              width: 180,
            },
          ] as const)
        : []),
      {
        path: "habits.tinting.waterPaint",
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
    why: ({ habits }) => [
      habits.tinting?.liquids === "DROPS"
        ? "Counting drops is quick and coarse; droppers differ threefold, so weigh your own. Others go by a share of the mix."
        : "At most a tenth of everything together, and liquids less: too much cures slow, soft or patchy. Others count drops only.",
      habits.tinting?.waterPaint === "FORBID"
        ? "No water-based paint here: water softens the cure. Others allow a tenth, tried first."
        : "Water-based paint: at most a tenth, thick rather than thin, and tried first. Others never use it.",
    ],
  },
  {
    key: "moulds",
    title: "Moulds and bubbles",
    owns: [
      "habits.care.moulds",
      "habits.care.mouldDryMinutes",
      "habits.care.bubbles",
      "habits.care.lampMinutes",
      "habits.care.dampFromPercent",
      "habits.care.standsOn",
      "habits.care.fill",
      "habits.care.stream",
    ],
    specs: ({ habits }) => [
      {
        path: "habits.care.moulds",
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
      ...(habits.care?.moulds === "NONE"
        ? []
        : ([
            {
              path: "habits.care.mouldDryMinutes",
              label: "dries for",
              kind: "number",
              symbol: "min",
              needed: true,
              width: 115,
            },
          ] as const)),
      {
        path: "habits.care.bubbles",
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
      ...(habits.care?.bubbles === "LAMP"
        ? ([
            {
              path: "habits.care.lampMinutes",
              label: "for",
              kind: "number",
              symbol: "min",
              needed: true,
              width: 100,
            },
          ] as const)
        : []),
      {
        path: "habits.care.dampFromPercent",
        label: "Air is damp from",
        kind: "number",
        symbol: "%",
        width: 140,
      },
      {
        path: "habits.care.standsOn",
        label: "Moulds stand on",
        kind: "choice",
        width: 165,
        blank: "a board",
        choices: [["STONE", "stone or metal"]],
      },
      {
        path: "habits.care.fill.kind",
        label: "Moulds are filled",
        kind: "choice",
        blank: "level with the rim",
        width: 185,
        choices: [["DOMED", "to a dome"]],
      },
      {
        path: "habits.care.stream",
        label: "Resin goes in",
        kind: "choice",
        blank: "in a thin stream",
        width: 190,
        choices: [
          ["CLOSE_SLOW", "close and slowly"],
          ["THIN_HIGH", "thin, from high up"],
          ["DOWN_THE_WALL", "down the wall"],
        ],
      },
    ],
    why: ({ habits }) => [
      habits.care?.moulds === "ALCOHOL_WIPE"
        ? "Wiped moulds are dry before resin goes in: one left wet comes out dull. Others use them as they are."
        : habits.care?.moulds === "RELEASE_SPRAY"
          ? "Spray helps with stiff or old moulds and dries while the resin is mixed. Fresh silicone needs none."
          : "Fresh silicone needs nothing. Others wipe with alcohol, or spray stiff and old moulds.",
      ...(habits.care?.bubbles === "HOT_AIR" || habits.care?.bubbles === "FLAME"
        ? [
            "Never where alcohol was wiped or sprayed, nor over a mix that holds alcohol ink or solvent; held too long it harms the silicone.",
          ]
        : [
            "A soft tool reaches corners and harms nothing. Others pass over with hot air or a flame.",
          ]),
      ...(habits.care?.bubbles === "ALCOHOL_MIST" || habits.care?.moulds === "ALCOHOL_WIPE"
        ? ["Once alcohol is out on the bench, no flame and no hot air for the rest of the session."]
        : []),
      habits.care?.fill?.kind === "DOMED"
        ? "A dome of a millimetre, or as much more as the resin loses by its label, as far as its skin holds it. Others fill level, for a flat back."
        : "Level with the rim: a flat back, a little lower when it has cured. Others fill to a dome.",
      habits.care?.stream === "THIN_HIGH"
        ? "A thin stream from high up draws bubbles out. Others pour close and slowly; over dust the stream moves, and a slow mould has its own way."
        : "Close and slowly draws no air in; from high up and thin it loses the bubbles it has. Slow and dusted moulds have their own way.",
    ],
  },
  {
    key: "layers",
    title: "Layers and embeds",
    owns: [
      "habits.thickWaitMinutes",
      "habits.gelWaitMinutes",
      "habits.curedWaitHours",
      "habits.care.halfFillRestMinutes",
      "habits.care.embedDryMinutes",
    ],
    specs: () => [
      number("habits.curedWaitHours", "A cured join waits", "h"),
      number("habits.thickWaitMinutes", "Thick, unless computed", "min", 175),
      number("habits.gelWaitMinutes", "Gel, unless computed", "min", 165),
      number("habits.care.halfFillRestMinutes", "Half fill rests", "min"),
      number("habits.care.embedDryMinutes", "Glued embeds dry", "min"),
    ],
    why: () => [
      "A layer that has to be hard waits at least so long. Others pour all on one day, at gel.",
      "The minutes for thick and gel only stand in where the resin’s own clock says nothing.",
    ],
  },
  {
    key: "leaving",
    title: "Handing over",
    owns: ["habits.care.leaving", "habits.care.leavingDays"],
    specs: ({ habits }) => [
      {
        path: "habits.care.leaving",
        label: "Ready to hand over",
        kind: "choice",
        needed: true,
        width: 215,
        choices: [
          ["FULL_CURE", "when fully cured"],
          ["AFTER_DAYS", "some weeks later"],
        ],
      },
      ...(habits.care?.leaving === "AFTER_DAYS"
        ? ([
            {
              path: "habits.care.leavingDays",
              label: "not before",
              kind: "number",
              symbol: "days",
              needed: true,
              width: 120,
            },
          ] as const)
        : []),
    ],
    why: ({ habits }) => [
      habits.care?.leaving === "AFTER_DAYS"
        ? "Three to four weeks, lying flat, is what cautious makers wait. Others go by the label’s full cure."
        : "When the label calls it fully cured. Cautious makers wait three to four weeks.",
    ],
  },
  {
    key: "sure",
    title: "Certainty",
    owns: ["habits.planning.surePercent", "habits.planning.pairsOfHands", "habits.marginMinutes"],
    specs: () => [
      {
        path: "habits.planning.surePercent",
        label: "Certainty wanted",
        kind: "number",
        symbol: "%",
        needed: true,
        width: 210,
      },
      {
        path: "habits.planning.pairsOfHands",
        label: "Pairs of hands",
        kind: "number",
        needed: true,
        width: 130,
      },
      number("habits.marginMinutes", "Margin before thick", "min", 165),
    ],
    why: () => [
      "Hands, room and label vary. A surer plan takes more batches or shallower cups. A helper shares splitting, tinting and pouring.",
    ],
  },
  {
    key: "hands",
    title: "Hand speeds",
    owns: HANDS.map((h) => h.path),
    specs: () => HANDS,
    why: () => ["How long one pair of hands takes; each is uncertain by about a third."],
  },
];
