import type { Habits, Hands, Hours, Room } from "../api/client";
import type { FieldSpec } from "../ui/Fields";

/** How a workshop works; a session's own, or what is usual. */
export interface Ways {
  habits: Required<Habits>;
  hands: Required<Hands>;
  room: Room;
  hours?: Hours | undefined;
}

/** Habits that belong together. Hours and the room by the hour have fields of their own. */
export interface Group {
  key: string;
  title: string;
  /** Everything in it, by its place in a `Ways`. */
  owns: readonly string[];
  specs: (ways: Ways) => FieldSpec[];
  /** What the chosen one does, and what other makers do instead; a line each. */
  why: (ways: Ways) => string[];
}

const number = (path: string, label: string, symbol: string, width = 150): FieldSpec => ({
  path,
  label,
  kind: "number",
  symbol,
  needed: true,
  width,
});

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

export const GROUPS: readonly Group[] = [
  {
    key: "hours",
    title: "Hours",
    owns: ["hours"],
    specs: () => [],
    why: ({ hours }) => [
      hours
        ? "Nothing that has a latest time falls outside these hours; demoulding waits for the next one."
        : "Work may fall at any hour, day or night.",
    ],
  },
  {
    key: "room",
    title: "Room by the hour",
    owns: ["room.later"],
    specs: () => [],
    why: ({ room }) => [
      room.later
        ? "What cures over night follows it: a cold room takes longer."
        : "As warm at night as by day. Where the heating goes off, say so: curing takes longer then.",
    ],
  },
  {
    key: "measuring",
    title: "Measuring",
    owns: [
      "habits.measureBy",
      "habits.firstPart",
      "habits.scaleDivisionG",
      "habits.marksDivisionMl",
      "habits.mixing.measuringCupMl",
      "habits.mixing.extraAPercent",
      "habits.ratioTolerancePercent",
    ],
    specs: () => [
      {
        path: "habits.measureBy",
        label: "Measure",
        kind: "choice",
        needed: true,
        width: 185,
        choices: [
          ["LABEL", "as the label says"],
          ["WEIGHT", "by weight"],
          ["VOLUME", "by volume"],
        ],
      },
      {
        path: "habits.firstPart",
        label: "Into the cup first",
        kind: "choice",
        needed: true,
        width: 185,
        choices: [
          ["B", "B, the thinner one"],
          ["A", "A"],
        ],
      },
      number("habits.scaleDivisionG", "Scale reads", "g", 130),
      number("habits.marksDivisionMl", "Cup marks every", "mL"),
      {
        path: "habits.mixing.measuringCupMl",
        label: "Measuring cup holds",
        kind: "number",
        quantity: "VOLUME",
        width: 170,
      },
      number("habits.mixing.extraAPercent", "Extra A", "%", 120),
      number("habits.ratioTolerancePercent", "Ratio may be off by", "%", 165),
    ],
    why: ({ habits }) => [
      {
        LABEL: "As the label says: its ratio is meant for one of the two. Others always weigh.",
        WEIGHT:
          "On the scale, whatever the label says; its ratio is changed through the densities. Others follow the label.",
        VOLUME:
          "By marks, at eye level, whatever the label says. Small batches suffer most from reading errors; others weigh.",
      }[habits.measureBy],
      habits.firstPart === "B"
        ? "B first: it is mostly thinner, so that A does not stick to the bottom. Others pour A first."
        : "A first. Others pour B first, mostly the thinner one, so that A does not stick to the bottom.",
      ...((habits.mixing?.extraAPercent ?? 0) > 0
        ? [
            "One percent of A more helps some makers against tacky pieces; others hold that it makes them tacky.",
          ]
        : []),
    ],
  },
  {
    key: "mixing",
    title: "Mixing",
    owns: [
      "habits.mixing.warming",
      "habits.mixing.warmMinutes",
      "habits.mixing.warmedToC",
      "habits.mixing.release",
      "habits.mixing.cups",
      "habits.mixing.secondStirMinutes",
      "habits.stirMinutes",
      "habits.restMinutes",
    ],
    specs: ({ habits }) => [
      {
        path: "habits.mixing.warming",
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
      ...(habits.mixing?.warming === "NONE"
        ? []
        : ([
            {
              path: "habits.mixing.warmMinutes",
              label: "for",
              kind: "number",
              symbol: "min",
              width: 100,
            },
            {
              path: "habits.mixing.warmedToC",
              label: "warm it then is",
              kind: "number",
              quantity: "TEMPERATURE",
            },
          ] as const)),
      {
        path: "habits.mixing.release",
        label: "Bubbles out of the mix",
        kind: "choice",
        width: 200,
        blank: "by its rest alone",
        choices: [
          ["FLAME", "flame over the cup"],
          ["HOT_AIR", "hot air on the cup"],
          ["LAMP", "lamp over the cup"],
          ["TRAY", "thin tray, hot air"],
          ["VACUUM", "vacuum"],
          ["MACHINE", "machine"],
        ],
      },
      {
        path: "habits.mixing.cups",
        label: "Mix in",
        kind: "choice",
        needed: true,
        choices: [
          ["ONE", "one cup"],
          ["TWO", "two cups"],
        ],
      },
      ...(habits.mixing?.cups === "TWO"
        ? ([
            {
              path: "habits.mixing.secondStirMinutes",
              label: "Stir on in the second",
              kind: "number",
              symbol: "min",
              needed: true,
              width: 170,
            },
          ] as const)
        : []),
      number("habits.stirMinutes", "Stir, unless labelled", "min", 165),
      number("habits.restMinutes", "Rest for bubbles", "min", 150),
    ],
    why: ({ habits }) => [
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
        MACHINE: "A machine that removes bubbles: four minutes, no warmth. Some epoxies only foam.",
      }[habits.mixing?.release ?? "NONE"],
      habits.mixing?.cups === "TWO"
        ? "Over into a clean cup leaves what clings unmixed to the first wall behind; it costs what stays there. Others scrape one cup well."
        : "One cup, sides and bottom scraped while stirring, wastes least. Others pour over into a clean one and stir on.",
      "Resting lets bubbles rise while the clock runs; others rest five to fifteen minutes.",
    ],
  },
  {
    key: "cups",
    title: "Splitting and cups",
    owns: [
      "habits.splitting.when",
      "habits.splitting.reserveMl",
      "habits.splitting.cupAtMostMl",
      "habits.headroomPercent",
      "habits.residueG",
      "habits.residuePercent",
      "habits.overagePercent",
    ],
    specs: () => [
      {
        path: "habits.splitting.when",
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
        path: "habits.splitting.reserveMl",
        label: "Keep back clear",
        kind: "number",
        quantity: "VOLUME",
        needed: true,
        width: 150,
      },
      {
        path: "habits.splitting.cupAtMostMl",
        label: "In one cup at most",
        kind: "number",
        quantity: "VOLUME",
        needed: true,
        width: 160,
      },
      number("habits.headroomPercent", "Kept empty for stirring", "%", 175),
      number("habits.residueG", "Left on the cup wall", "g", 160),
      number("habits.residuePercent", "and of the content", "%", 150),
      number("habits.overagePercent", "Overage", "%", 120),
    ],
    why: ({ habits }) => [
      habits.splitting?.when === "AFTER_TINTING"
        ? "Tinted whole, one colour is stirred once and alike in every cup; it stands longer in the big cup and warms there. Others split first."
        : "Split before tinting, so that it stands in shallow cups soonest. Others tint one colour whole.",
      "A full cup warms itself and then goes faster: 50 to 120 mL in one is usual. Deep-pour resins are ruled by their label alone.",
      "The overage makes up for what stays in cups and on sticks beyond what is reckoned.",
    ],
  },
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
      "Hands, room and label are never quite what they are said to be: a plan that has to be surer takes more batches or shallower cups. A helper shares splitting, tinting and pouring.",
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
