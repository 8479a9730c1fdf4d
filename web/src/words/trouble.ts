import type { BenchTrouble, Plan, RunStep, Session } from "../api/client";
import { showWith, type Units } from "../units/units";
import { ordinal } from "./numbers";
import { capital } from "./steps";
import { taskName } from "./tasks";

export type TroubleKind = BenchTrouble["kind"];
export type TroubleAnswer = BenchTrouble["answer"];

/** What can go wrong, in the order in which it is looked for in a hurry. */
export const TROUBLES: { kind: TroubleKind; words: string }[] = [
  { kind: "WRONG_COLOUR", words: "Wrong colour into a mould" },
  { kind: "SPILLED", words: "Spilled" },
  { kind: "LEAKS", words: "A mould leaks" },
  { kind: "EMBED_FORGOTTEN", words: "An embed was forgotten" },
  { kind: "CUP_EMPTY", words: "A cup is empty early" },
  { kind: "FELL_INTO_CUP", words: "Something fell in" },
  { kind: "FOAM", words: "A cup foams" },
  { kind: "NOTE", words: "Write a line" },
];

/** What is asked first. */
export const ABOUT: Record<TroubleKind, string> = {
  WRONG_COLOUR: "Which pour was meant?",
  SPILLED: "Out of which cup?",
  SPILLED_MIX: "Out of which cup?",
  LEAKS: "Which one leaks?",
  EMBED_FORGOTTEN: "Which one?",
  CUP_EMPTY: "Which cup?",
  FELL_INTO_CUP: "Into what?",
  FELL_INTO_PIECE: "Into what?",
  FOAM: "Which cup?",
  NOTE: "What happened?",
};

/** What helps now. The product’s safety data sheet and local rules come first. */
export const HELPS: Record<TroubleKind, string> = {
  WRONG_COLOUR:
    "While it flows it can be tipped out and wiped. Or it stays, and the piece has that colour there.",
  SPILLED:
    "Gloves on. Wipe it up with paper and spread the paper out: bundled up it gets hot. Not down the drain.",
  SPILLED_MIX:
    "Gloves on. Wipe it up with paper and spread the paper out: bundled up it gets hot. Not down the drain.",
  LEAKS:
    "A tray under it. Tape or clay on the leak from outside; wipe the rubber first, it sticks.",
  EMBED_FORGOTTEN: "As long as its layer gives way it can still go in.",
  CUP_EMPTY: "Do not scrape the wall out: what clings there may be unmixed.",
  FELL_INTO_CUP:
    "With a stick or tweezers while it flows. Once it has gelled it stays until the piece is cut.",
  FELL_INTO_PIECE:
    "With a stick or tweezers while it flows. Once it has gelled it stays until the piece is cut.",
  FOAM: "Froth from stirring rises by itself. Foam that grows is water or heat: outdoors with it, stay out of its fumes.",
  NOTE: "It stands in the record with the time.",
};

/** What a key says that answers it. */
export function answerWords(kind: TroubleKind, answer: TroubleAnswer): string {
  switch (answer) {
    case "STAYS":
      return "It stays in";
    case "TIPPED_OUT":
      return "Tipped out and wiped: pour it again";
    case "MENDED":
      return "It is shut again";
    case "TAKEN_OUT":
      return "It is out again";
    case "LATE":
      return "Put it in now";
    case "WITHOUT":
      return "It goes without";
    case "RESTS":
      return "Let it rest 3 min";
    case "GIVEN_UP":
      return kind === "FOAM" || kind === "FELL_INTO_CUP"
        ? "Pour nothing more from it"
        : "Give this piece up";
    case "GOES_ON":
      return "Go on with what is left";
  }
}

/** A piece, such as 1.2, by its mould. */
export function pieceName(piece: string | undefined, plan: Plan): string {
  const [line, cavity] = (piece ?? "").split(".").map(Number);
  const view = plan.pieces[(line ?? 0) - 1];
  return view
    ? `${view.mouldName}${view.count > 1 ? `, ${ordinal(cavity ?? 1)}` : ""}`
    : (piece ?? "");
}

function colourOf(cupId: string | undefined, plan: Plan): string {
  return (
    plan.batches.flatMap((b) => b.cups).find((c) => c.id === cupId)?.colour.name ?? cupId ?? ""
  );
}

/** Where a pour goes, without its colour. */
export function intoWords(pourId: string | undefined, plan: Plan): string {
  const [line, cavity] = (pourId ?? "").split(".");
  return pieceName(`${line ?? ""}.${cavity ?? ""}`, plan);
}

function embedName(taskId: string | undefined, plan: Plan, session: Session): string {
  const task = plan.tasks.find((t) => t.id === taskId);
  return task ? taskName(task, plan, session) : "an embed";
}

/** What went wrong, as a sentence of the record. */
export function troubleWords(t: BenchTrouble, plan: Plan, session: Session, units: Units): string {
  const cup = colourOf(t.cup, plan);
  const piece = pieceName(t.piece, plan);
  const mass = t.by === undefined ? "" : showWith(units.MASS, t.by);
  const spoilt = " Nothing more was poured from it.";
  const gone = " It was given up.";
  switch (t.kind) {
    case "WRONG_COLOUR":
      return `${cup} went into ${intoWords(t.pour, plan)}: ${
        t.answer === "STAYS" ? "it stayed." : "tipped out, wiped and poured again."
      }`;
    case "SPILLED":
      return t.by === undefined
        ? `All that was left of ${cup} was spilled.`
        : `${mass} of ${cup} were spilled.`;
    case "SPILLED_MIX":
      return t.by === undefined
        ? `All that was left in the mixing cup of batch ${t.batch} was spilled.`
        : `${mass} were spilled out of the mixing cup of batch ${t.batch}.`;
    case "LEAKS":
      return `${piece} leaked.${
        t.answer === "GIVEN_UP"
          ? gone
          : t.by === undefined
            ? " It was shut again."
            : ` It was shut again and took ${mass} more.`
      }`;
    case "EMBED_FORGOTTEN":
      return t.answer === "LATE"
        ? `Forgotten and done late: ${embedName(t.task, plan, session)}.`
        : `Forgotten and left out: ${embedName(t.task, plan, session)}.`;
    case "CUP_EMPTY":
      return `${cup} was empty before its last pour.`;
    case "FELL_INTO_CUP":
      return `Something fell into ${cup}.${t.answer === "GIVEN_UP" ? spoilt : " It was taken out."}`;
    case "FELL_INTO_PIECE":
      return `Something fell into ${piece}.${
        t.answer === "GIVEN_UP"
          ? gone
          : t.answer === "STAYS"
            ? " It stayed in."
            : " It was taken out."
      }`;
    case "FOAM":
      return `${cup} foamed.${t.answer === "GIVEN_UP" ? spoilt : " It was left to rest."}`;
    case "NOTE":
      return capital(t.text ?? "");
  }
}

/** What fell away, named: alike ones that follow each other in one. */
export function pourNames(steps: RunStep[], plan: Plan): string {
  const counts = new Map<string, number>();
  for (const step of steps) {
    const cup = plan.batches.flatMap((b) => b.cups).find((c) => c.id === step.cupId);
    const piece = step.line === undefined ? undefined : plan.pieces[step.line];
    const name = `${cup?.colour.name ?? ""} into ${piece?.mouldName ?? ""}`;
    counts.set(name, (counts.get(name) ?? 0) + 1);
  }
  return [...counts].map(([name, n]) => (n === 1 ? name : `${name} ×${n}`)).join(", ");
}
