import type { Choice, Plan, RehearsalQuestion, RehearsalScore } from "../api/client";
import { showWith, type Units } from "../units/units";
import { pourPlace } from "./record";

type Why = RehearsalScore["pieces"][number]["why"][number];

/** What a mishap is called before it happens. */
export const MISHAPS: Record<RehearsalQuestion["kind"], string> = {
  PHONE: "a phone call",
  OVER_POUR: "an over-pour",
  WARM_ROOM: "a warm room",
  COLD_RESIN: "cold resin",
  WRONG_CUP: "a wrong cup",
  EMBED_FORGOTTEN: "a forgotten embed",
  LATE: "too little time",
};

const CHOICES: Record<Choice, string> = {
  LET_IT_RING: "Let it ring",
  TAKE_THE_CALL: "Take the call",
  ADD_THE_OTHER: "Add the other part",
  LEAVE_IT: "Leave it as it is",
  TELL_THE_BENCH: "Read the thermometer",
  WARM_THE_BOTTLES: "Warm both bottles, 5 min",
  SWAP_THE_COLOURS: "Swap the two colours",
  PRESS_IT_IN: "Press it in now",
  LEAVE_IT_OUT: "Leave it out",
  GIVE_UP_AS_SHOWN: "Give these up, save the others",
  TRY_THEM_ALL: "Try them all",
  GO_ON: "Go on",
};

export function choiceWords(choice: Choice): string {
  return CHOICES[choice];
}

/** What has happened, and what hangs on it. */
export function questionWords(
  q: RehearsalQuestion,
  plan: Plan,
  units: Units,
): { title: string; text: string } {
  const place = (task: string | undefined) => pourPlace((task ?? "").replace(/^pour\//, ""), plan);
  switch (q.kind) {
    case "PHONE":
      return {
        title: "The phone rings",
        text: `It is somebody who talks for ${q.size} minutes. Gloves off, gloves on.`,
      };
    case "OVER_POUR":
      return {
        title: `${q.size} % too much of the second part`,
        text: q.grams
          ? `${showWith(units.MASS, q.grams)} of ${q.part} would bring the ratio right again; it makes more than planned, and takes a minute.`
          : "The ratio is off.",
      };
    case "WARM_ROOM":
      return {
        title: "It feels warm in here",
        text: "The heating came on, or the sun came round. The bench still goes by the room of the plan.",
      };
    case "COLD_RESIN":
      return {
        title: "The bottles are cold",
        text: `They stood ${showWith(units.TEMPERATURE_DIFFERENCE, q.size)} below the room: thick, milky, full of small bubbles.`,
      };
    case "WRONG_CUP":
      return {
        title: "That was the wrong cup",
        text: `${place(q.about[0])}: that is what was planned, but the cup in the hand was the one for ${place(q.about[1])}.`,
      };
    case "EMBED_FORGOTTEN":
      return {
        title: "An embed still lies on the bench",
        text: "It should have gone in a step ago.",
      };
    case "LATE":
      return {
        title: `${q.about.length === 1 ? "One pour" : `${q.about.length} pours`} cannot be in time`,
        text: `${q.about.map(place).join("; ")}.`,
      };
  }
}

const WHY: Record<Why, string> = {
  POURED_THICK: "poured when its cup was already thick",
  GELLED: "poured from a cup that had gelled",
  GIVEN_UP: "given up",
  TOO_LATE: "its cup was gone before its turn",
  OFF_RATIO: "A and B off their ratio",
  COLD_RESIN: "cloudy: mixed cold",
  OTHER_COLOUR: "in another colour than ordered",
  RAN_SHORT: "its cup ran short",
  EMBED_MISSING: "without its embed",
  EMBED_TOO_LATE: "embed pressed in too late",
};

export function whyWords(why: Why): string {
  return WHY[why];
}
