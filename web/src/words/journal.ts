import type {
  MouldLife,
  Cause,
  Clue,
  Evidence,
  Hands,
  LearnedHand,
  NextTest,
  HowPlansHeld,
  PlansHeld,
  TrialTold,
  TwoCounts,
  Weighed,
  Yield,
} from "../api/client";
import { faultWords } from "./record";
import { showWith, type Units } from "../units/units";

export const CAUSES: Record<Cause, string> = {
  TOO_MUCH_A: "too much A",
  TOO_MUCH_B: "too much B",
  SHORT_MIX: "stirred too short",
  WALLS_NOT_SCRAPED: "walls not scraped while stirring",
  WALL_SCRAPED_AT_THE_END: "wall scraped out at the end",
  COLD: "cold room or cold resin",
  DAMP: "damp air",
  OLD_STOCK: "bottle open for long, damp stock",
  SOLVENT_OR_INK: "ink or solvent",
  WATER_IN_COLOUR: "water in the colour",
  TOO_MUCH_COLOUR: "too much colour",
  KIND_OF_RESIN: "the kind of resin",
  TAKEN_OUT_EARLY: "taken out too early",
  THIN_PIECE: "a thin piece",
  NO_REST: "rested too short",
  FAST_STIRRING: "stirred too fast",
  POLYURETHANE_RESIDUE: "residue of polyurethane in the mould",
  DRY_EMBED: "embed not sealed",
  AIR_NOT_TEASED_OUT: "air not teased out",
  POURED_TOO_LATE: "poured too late",
  TOO_DEEP_OR_LARGE: "too much at once, or too deep",
  HOT_ROOM_OR_WARMED: "hot room, or warmed",
  HEAT_OF_FAST_RESIN: "heat of a fast resin",
  NOT_STIRRED_IN: "powder not stirred in",
  POURED_TOO_EARLY: "poured too early, resin too thin",
  JOINED_TOO_SOON: "the layer below was still too soft",
  EMBED_TOO_EARLY: "embed put in too early",
  NOT_WATCHED: "not looked at again",
  NOT_LEVEL: "mould not level",
  LID_OVERFULL: "closed mould overfull",
  TOO_LITTLE_POURED: "too little poured",
  MATTE_OR_DIRTY_MOULD: "matte or dirty mould",
  ALCOHOL_LEFT: "alcohol left in the mould",
};

export const NEXT_TESTS: Record<NextTest, string> = {
  WEIGH_TWICE: "Mix 20 g, weigh each part twice, and let it cure in its cup.",
  STIR_LONGER: "Mix one cup, stir it a minute longer, and pour one piece.",
  STIR_SLOWLY: "Mix one cup, stir slowly without lifting the stick, and pour one piece.",
  TWO_CUPS: "Pour over into a second clean cup, stir on, and pour one piece.",
  LEAVE_THE_REST: "Leave what clings to the cup where it is, and pour the last piece without it.",
  WARMER_ROOM: "Pour one piece in a room of 23 °C, one as before.",
  COOLER: "Pour one piece in a cooler room with nothing warmed, one as before.",
  DRY_DAY: "Pour one piece on a dry day, or with the air dried.",
  NEW_BOTTLE: "Pour one piece from a new bottle, one from the old one.",
  WITHOUT_COLOUR: "Pour one clear piece beside a coloured one.",
  HALF_THE_COLOUR: "Pour one piece with half the colour.",
  ANOTHER_RESIN: "Pour one piece of another resin in the same mould.",
  LONGER_IN_THE_MOULD: "Leave one piece in its mould a day longer.",
  REST_LONGER: "Let one cup rest 10 min before it is poured.",
  ANOTHER_MOULD: "Pour one piece in another mould of the same kind.",
  SEAL_THE_EMBED: "Seal one embed with a thin coat of resin, leave one as it is.",
  TEASE: "Tease one piece with a soft tool, leave one alone.",
  SMALLER_BATCH: "Mix half as much, and pour it at once.",
  POUR_LATER: "Pour one piece ten minutes later, when the resin is thicker.",
  LOOK_AGAIN: "Look at one piece every ten minutes until it gels.",
  LEVEL_BOARD: "Set one mould on a level board.",
  LESS_SURPLUS: "Fill one closed mould with half the surplus.",
  MEASURE_THE_MOULD: "Weigh the mould empty and full of water.",
  LET_IT_DRY: "Wipe one mould an hour before, one as usual.",
};

/** A fact as it is said where it is there, where it is not, and where nobody noted it. */
const CLUES: Record<Clue, [there: string, not: string, asked: string]> = {
  A_HEAVY: ["too much A was weighed", "not too much A", "whether A and B were weighed"],
  B_HEAVY: ["too much B was weighed", "not too much B", "whether A and B were weighed"],
  STIRRED_SHORT: ["stirred too short", "stirred as planned", "how long it was stirred"],
  ONE_CUP: ["mixed in one cup", "mixed in two cups", "in how many cups it was mixed"],
  LAST_FROM_ITS_CUP: ["last from its cup", "not the last from its cup", "its place in the cup"],
  COLD_ROOM: ["the room was cold", "the room was warm enough", "how warm the room was"],
  HOT_ROOM: ["the room was hot", "the room was not hot", "how warm the room was"],
  DAMP_AIR: ["the air was damp", "the air was dry", "how damp the air was"],
  OPENED_LONG: [
    "a bottle was open for long",
    "bottles opened lately",
    "when the bottles were opened",
  ],
  SOLVENT: ["solvent in the mix", "no solvent in the mix", "whether it holds solvent"],
  WATER: ["water in the mix", "no water in the mix", "whether it holds water"],
  COLOUR_NEAR_LIMIT: ["colour near its limit", "colour well below its limit", "how much colour"],
  POWDER: ["powder in it", "no powder in it", "what colour is in it"],
  POURED_THICK: ["poured when nearly thick", "poured in time", "when it was poured"],
  POURED_THIN: ["glitter poured early", "not poured too early", "when it was poured"],
  JOINED_SOFTER: [
    "a layer below was softer than planned",
    "no layer below was softer than planned",
    "how the layer below was",
  ],
  RESTED_SHORT: ["rested for a short time", "rested long enough", "how long it rested"],
  NOT_TEASED: ["bubbles not teased out", "bubbles teased out", "whether bubbles were teased out"],
  GOT_HOT: ["it got hot", "it stayed cool", "how warm it got"],
  WARMED: ["warmed before mixing", "nothing was warmed", "whether anything was warmed"],
  FAST_RESIN: ["a fast resin", "not a fast resin", "which resin"],
  FLEXIBLE_RESIN: ["a resin that stays flexible", "a resin that gets hard", "which resin"],
  OUT_EARLY: ["out of the mould early", "out of the mould in time", "when it came out"],
  THIN: ["a thin piece", "thick enough", "how thick it is"],
  POLYURETHANE_BEFORE: [
    "polyurethane before it",
    "no polyurethane before it",
    "what the mould held last",
  ],
  FOAMED: ["a cup foamed", "no cup foamed", "whether a cup foamed"],
  EMBED_NOT_DRY: ["an embed was not sealed", "no unsealed embed", "whether the embed was sealed"],
  EMBED_EARLY: ["embed put in early", "no embed put in early", "when the embed went in"],
  NOT_LOOKED_AFTER: [
    "checks were left out",
    "all checks were done",
    "whether anybody looked again",
  ],
  HOLDS_AIR: [
    "the mould has lips or a lid",
    "an open, simple mould",
    "whether the mould holds air",
  ],
  MATTE_MOULD: ["a matte mould", "a glossy mould", "whether the mould is matte"],
  DIRTY_MOULD: ["the mould was not clean", "the mould was clean", "whether the mould was clean"],
  ALCOHOL_LEFT: ["wiped just before", "not wiped just before", "when it was wiped"],
  NOT_LEVEL: [
    "the mould does not stand level",
    "the mould stands level",
    "whether the mould stands level",
  ],
  POURED_SHORT: ["less went in than planned", "as much went in as planned", "how much went in"],
  LID_OVERFULL: ["more went in than planned", "not overfull", "how much went in"],
  VOLUME_UNSURE: [
    "the volume is not well known",
    "the volume is well known",
    "what the mould holds",
  ],
};

const PERCENT: readonly Clue[] = [
  "A_HEAVY",
  "B_HEAVY",
  "DAMP_AIR",
  "SOLVENT",
  "WATER",
  "COLOUR_NEAR_LIMIT",
  "POURED_SHORT",
  "LID_OVERFULL",
  "VOLUME_UNSURE",
];
const WARMTH: readonly Clue[] = ["COLD_ROOM", "HOT_ROOM", "GOT_HOT"];
const MINUTES: readonly Clue[] = ["STIRRED_SHORT", "RESTED_SHORT", "POURED_THICK", "POURED_THIN"];

/** A fact with its figure. */
export function clueText({ clue, told, figure }: Evidence, units: Units): string {
  const [there, not, asked] = CLUES[clue];
  if (told === "UNKNOWN") {
    return asked;
  }
  const words = told === "THERE" ? there : not;
  return figure === undefined ? words : `${words} (${figureText(clue, figure, units)})`;
}

function figureText(clue: Clue, figure: number, units: Units): string {
  if (PERCENT.includes(clue)) {
    return `${figure.toFixed(figure < 10 ? 1 : 0)} %`;
  }
  if (WARMTH.includes(clue)) {
    return showWith(units.TEMPERATURE, figure, 0);
  }
  switch (clue) {
    case "OPENED_LONG":
      return `${figure.toFixed(0)} days`;
    case "THIN":
      return showWith(units.LENGTH, figure, 0);
    case "NOT_LOOKED_AFTER":
      return `${figure.toFixed(0)} left out`;
    case "OUT_EARLY":
    case "EMBED_EARLY":
      return `${(figure / 60).toFixed(1)} h early`;
    default:
      return MINUTES.includes(clue) ? `${figure.toFixed(1)} min` : figure.toFixed(1);
  }
}

export function missingText(clue: Clue): string {
  return CLUES[clue][2];
}

/** What a fact is worth, in words a maker can weigh. */
export function worthText({ evidence, times }: Weighed): string {
  return evidence.told === "UNKNOWN"
    ? "not noted"
    : times > 1
      ? `speaks for it, ${times.toFixed(0)} times as likely`
      : `speaks against it, ${(1 / times).toFixed(1)} times less likely`;
}

/** What hands do, by the speed that is kept of it. */
export const SPEEDS: Record<LearnedHand["speed"], { words: string; field: keyof Hands }> = {
  WEIGH_SECONDS_PART: { words: "weigh a part", field: "weighSecondsPart" },
  SPLIT_SECONDS_CUP: { words: "split, a cup", field: "splitSecondsCup" },
  TINT_SECONDS_CUP: { words: "tint, a cup", field: "tintSecondsCup" },
  POUR_SECONDS_CAVITY: { words: "pour, a cavity", field: "pourSecondsCavity" },
  POUR_SECONDS_ML: { words: "pour, each mL more", field: "pourSecondsMl" },
  BUBBLE_SECONDS_CAVITY: { words: "bubbles, a cavity", field: "bubbleSecondsCavity" },
  COVER_SECONDS: { words: "cover", field: "coverSeconds" },
  EMBED_SECONDS: { words: "an embed", field: "embedSeconds" },
  DEMOULD_SECONDS_PIECE: { words: "demould a piece", field: "demouldSecondsPiece" },
};

/** Seconds as one would time them: whole ones, tenths below ten. */
export function secondsText(seconds: number): string {
  return `${seconds.toFixed(seconds < 10 ? 1 : 0)} s`;
}

/** So many of so many, and what that is worth. */
export function yieldText({ looked, good, lowest, highest }: Yield): string {
  const percent = (share: number) => (100 * share).toFixed(0);
  return `${good} of ${looked} good; the share to expect is ${percent(lowest)} to ${percent(highest)} %`;
}

/** How the plans held, in two sentences. */
export function heldText({ pours, within, medianLateSeconds, beforeThick }: PlansHeld): string {
  const late = Math.round(medianLateSeconds / 60);
  const usual =
    late === 0
      ? "The usual pour ends when it was planned."
      : `The usual pour ends ${Math.abs(late)} min ${late > 0 ? "later" : "sooner"} than planned.`;
  return `Of ${pours} pours ${within} ended within 3 min of the plan, and ${beforeThick} before their cup was thick. ${usual}`;
}

/** What stayed in cups, beside what the plans had for it. */
export function leftText(left: NonNullable<HowPlansHeld["left"]>): string {
  const [least, most] = [left.lowestPercent, left.highestPercent].map((p) => p.toFixed(0));
  const mostly = least === most ? `${least} %` : `${least} to ${most} %`;
  return `Left over: mostly ${mostly} of what was poured, where the plans had ${left.plannedPercent.toFixed(0)} % (${left.evenings} evenings with every pour weighed).`;
}

type SureGroup = HowPlansHeld["sure"][number];

/** Whether plans were as sure as they said; a group is told by what it said on average. */
export function sureText({
  saidPercent,
  plans,
  inTime,
  lowest,
  highest,
  honest,
}: SureGroup): string {
  const kept = `Of ${plans} plans that said to be about ${saidPercent.toFixed(0)} % sure, ${inTime} had every pour in time`;
  const share = `(${(100 * lowest).toFixed(0)} to ${(100 * highest).toFixed(0)} % to expect)`;
  return honest
    ? `${kept}: as they said ${share}.`
    : `${kept}: ${100 * highest < saidPercent ? "less" : "more"} often than they said ${share}.`;
}

/** Two counts beside each other, as one would tell somebody. */
export function comparedText(
  count: number,
  of: number,
  otherCount: number,
  otherOf: number,
  { lowest, highest, differs, needed }: TwoCounts,
): string {
  const both = `${count} of ${of} against ${otherCount} of ${otherOf}`;
  const points = (share: number) => Math.round(100 * share);
  if (differs) {
    return `${both}: more than chance. The difference is ${points(lowest)} to ${points(highest)} percentage points.`;
  }
  const more = Math.max(needed - of, needed - otherOf);
  return needed === 0 || more <= 0
    ? `${both}: may well be chance.`
    : `${both}: may well be chance. About ${more} more of each would tell.`;
}

/** What a trial has come to so far. */
export function trialText(trial: TrialTold): string {
  const by = trial.evenings === 1 ? "" : ` On ${trial.evenings} evenings.`;
  const open =
    trial.unseen === 0
      ? ""
      : ` ${trial.unseen} ${trial.unseen === 1 ? "piece is" : "pieces are"} not looked over yet.`;
  return trial.compared
    ? `Good: ${comparedText(trial.good, trial.looked, trial.controlGood, trial.controlLooked, trial.compared)}${by}${open}`
    : `Nothing to compare yet.${open}`;
}

const LATE: readonly [words: string, below: number][] = [
  ["−3 …", -2.5],
  ["−2", -1.5],
  ["−1", -0.5],
  ["0", 0.5],
  ["+1", 1.5],
  ["+2", 2.5],
  ["+3 to 10", 10.5],
  ["+11 to 30", 30.5],
  ["more", Infinity],
];

/** Pours by how long before or after their planned end they ended. */
export function lateGroups(pours: HowPlansHeld["latest"]): { words: string; pours: number }[] {
  const groups = LATE.map(([words]) => ({ words, pours: 0 }));
  for (const { planned, real } of pours) {
    const group = groups[LATE.findIndex(([, below]) => real - planned < below)];
    if (group) {
      group.pours++;
    }
  }
  return groups;
}

/** How the latest casts of a mould came out beside those before. */
export function mouldLifeText({ before, lately, worse, fault }: MouldLife): string {
  if (!before || !lately) {
    return "Too few were looked over to say more.";
  }
  const share = ({ count, of }: { count: number; of: number }) =>
    `${count} of ${of} good (${Math.round((100 * count) / of)} %)`;
  const beside = `Latest ${share(lately)}, before ${share(before)}`;
  return worse
    ? `It may be worn. ${beside}: more than chance.${fault ? ` Mostly ${faultWords(fault)}.` : ""}`
    : `${beside}.`;
}
