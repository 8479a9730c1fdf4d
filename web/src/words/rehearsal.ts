import type { Plan, RehearsalScore, Seen } from "../api/client";
import { showWith, type Units } from "../units/units";
import { cavityName } from "./places";

type Why = RehearsalScore["pieces"][number]["why"][number];
type Befell = RehearsalScore["befell"][number];
type Sign = Seen["signs"][number];
type CupSeen = Seen["cups"][number];

const LOOKS: Record<CupSeen["look"], string> = {
  OIL: "runs like oil",
  SYRUP: "runs like syrup",
  HONEY: "runs like honey",
  THREADS: "a thread holds",
  GEL: "gelled",
};

const WARMTHS: Record<CupSeen["warmth"], string> = {
  COOL: "cool",
  LUKEWARM: "lukewarm",
  WARM: "warm",
  HOT: "hot",
};

/** What a stick and a hand say of a cup. */
export function cupSeenWords(cup: CupSeen): string {
  return `${cup.colourName}: ${LOOKS[cup.look]}, ${WARMTHS[cup.warmth]}`;
}

function share(percent: number | undefined): string {
  return percent === undefined
    ? "some of it"
    : percent === 50
      ? "about half of it"
      : percent === 25
        ? "about a quarter of it"
        : `about ${percent} % of it`;
}

/** What is noticed at the bench, in words that do not say what is wrong. */
export function signWords(sign: Sign, plan: Plan): string {
  const colour = (cupId: string | undefined) =>
    plan.batches.flatMap((b) => b.cups).find((c) => c.id === cupId)?.colour.name ?? "";
  const place = (of: string | undefined) => {
    const [line = 1, cavity = 1] = (of ?? "").split(".").map(Number);
    return cavityName(plan, line - 1, cavity);
  };
  switch (sign.kind) {
    case "PHONE_RINGS":
      return "The phone rings.";
    case "IN_THE_MOULD":
      return sign.percent === undefined
        ? `In ${place(sign.of)}: ${colour(sign.cupId)}.`
        : `In ${place(sign.of)}: ${colour(sign.cupId)}, only ${share(sign.percent)} of it.`;
    case "EMBED_LIES": {
      const line = plan.tasks.find((t) => t.id === sign.of)?.line;
      const mould = line === undefined ? undefined : plan.pieces[line]?.mouldName;
      return `On the bench: an embed for ${mould ?? "one of the moulds"}.`;
    }
    case "CUP_TIPPED":
      return `The ${colour(sign.cupId)} cup lies on its side, ${share(sign.percent)} on the mat.`;
    case "CREEPS_OUT":
      return `Resin under ${place(sign.of)}: ${share(sign.percent)} ran out.`;
  }
}

/** What went wrong, and what was done about it; told when it is over. */
export function befellWords(b: Befell, units: Units): string {
  switch (b.kind) {
    case "PHONE":
      return b.seenTo
        ? "The phone rang. You let it ring."
        : `The phone rang. The call took ${b.size} min.`;
    case "OVER_POUR":
      return b.seenTo
        ? `${b.size} % too much of the second part. You added the other.`
        : `${b.size} % too much of the second part. The ratio stayed off.`;
    case "WARM_ROOM": {
      const warmer = showWith(units.TEMPERATURE_DIFFERENCE, b.size);
      return b.seenTo
        ? `The room grew ${warmer} warmer. You told the bench.`
        : `The room grew ${warmer} warmer. The bench was not told.`;
    }
    case "COLD_RESIN":
      return b.seenTo
        ? "The bottles were cold. You warmed them."
        : "The bottles were cold, and were mixed cold.";
    case "WRONG_CUP":
      return b.seenTo
        ? "Another colour came out of the cup in the hand. You told the bench."
        : "Another colour came out of the cup in the hand. The bench was not told.";
    case "EMBED_FORGOTTEN":
      return b.seenTo
        ? "An embed stayed on the bench. You told the bench."
        : "An embed stayed on the bench until the end.";
    case "SPILL":
      return b.seenTo
        ? `A cup tipped over, ${share(b.size)} was gone. You told the bench.`
        : `A cup tipped over, ${share(b.size)} was gone. The bench was not told.`;
    case "LEAK":
      return b.seenTo ? "A mould leaked. You saw to it." : "A mould leaked, and nobody saw to it.";
  }
}

const WHY: Record<Why, string> = {
  POURED_THICK: "poured when its cup was already thick",
  GELLED: "poured from a cup that had gelled",
  GIVEN_UP: "given up",
  TOO_LATE: "not poured",
  OFF_RATIO: "A and B off their ratio",
  COLD_RESIN: "cloudy: mixed cold",
  OTHER_COLOUR: "in another colour than ordered",
  RAN_SHORT: "its cup ran short",
  LEAKED: "ran out of its mould",
  EMBED_MISSING: "without its embed",
  EMBED_TOO_LATE: "embed pressed in too late",
};

export function whyWords(why: Why): string {
  return WHY[why];
}
