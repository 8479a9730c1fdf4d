import { showWith } from "../units/units";
import { type Group, number } from "./group";

/** When and where, and how A and B come into their cups. */
export const MIXING_GROUPS: readonly Group[] = [
  {
    key: "hours",
    title: "Hours",
    owns: ["hours"],
    specs: () => [],
    why: ({ hours }) => [
      hours
        ? "Work that has a latest time is planned inside these hours; demoulding waits until you are home."
        : "Work may fall at any hour, day or night.",
    ],
  },
  {
    key: "room",
    title: "Room by the hour",
    owns: ["room.later", "room.warmsPerHourK"],
    specs: () => [],
    why: ({ room }) => [
      room.later
        ? "What cures over night follows it: a cold room takes longer."
        : "As warm at night as by day. Where the heating goes off, say so: curing takes longer then.",
      "Work warms a small room: so much an hour, for four hours.",
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
        FLAME: "A flame over the cup: half a minute of hands, about 1 °C warmer.",
        HOT_AIR:
          "Hot air on the mixed cup: a minute of hands, about 6 °C warmer, which costs time to pour.",
        LAMP: "A lamp over the cup: five minutes of hands, about 4 °C warmer, which costs time to pour.",
        TRAY: "Thinned out in a tray under hot air and poured back: four minutes, about 8 °C warmer, which costs time to pour. Bubbles have the shortest way.",
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
    why: ({ habits }, units) => [
      habits.splitting?.when === "AFTER_TINTING"
        ? "Tinted whole, one colour is stirred once and alike in every cup; it stands longer in the big cup and warms there. Others split first."
        : "Split before tinting, so that it stands in shallow cups soonest. Others tint one colour whole.",
      `A full cup warms itself and then goes faster: ${showWith(units.VOLUME, 50, 0)} to ${showWith(units.VOLUME, 120, 0)} in one is usual. Deep-pour resins are ruled by their label alone.`,
      "The overage covers what stays in cups and on sticks beyond these figures.",
    ],
  },
];
