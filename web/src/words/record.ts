import type { Became, Deviation, LookOver, Plan, PotLine, Session } from "../api/client";
import { showWith, type Units } from "../units/units";
import { ordinal } from "./numbers";

export const VERDICTS: Record<LookOver["verdict"], string> = {
  GOOD: "good",
  SECOND: "second",
  LOST: "lost",
};

/** In the order in which a maker looks. */
export const FAULTS: { fault: LookOver["faults"][number]; words: string }[] = [
  { fault: "STICKY_ALL_OVER", words: "sticky all over" },
  { fault: "STICKY_SPOTS", words: "sticky spots" },
  { fault: "SOFT_EDGE_OR_TOP", words: "soft at edge or top" },
  { fault: "BENDS", words: "bends" },
  { fault: "CLOUDY", words: "cloudy, micro-bubbles" },
  { fault: "FOAM", words: "foam throughout" },
  { fault: "BUBBLES_AT_EMBEDS_OR_LIPS", words: "bubbles at embeds, lips, caps" },
  { fault: "LAST_PIECES_BAD", words: "only the last pieces are bad" },
  { fault: "CRACKS_OR_RIPPLES", words: "smoke, cracks, ripples" },
  { fault: "YELLOW", words: "yellow" },
  { fault: "LUMPS_OR_SUNK_GLITTER", words: "lumps, sunk glitter, washed dust" },
  { fault: "PATCHY_COLOUR", words: "patchy colour" },
  { fault: "EMBED_MOVED", words: "embed moved" },
  { fault: "LOPSIDED_OR_SHORT", words: "lopsided, raised face, short" },
  { fault: "DULL", words: "dull" },
];

export function faultWords(fault: LookOver["faults"][number]): string {
  return FAULTS.find((f) => f.fault === fault)?.words ?? fault;
}

type What = Became["what"];

/** What can become of a piece, as its keys say it. */
export const BECAME: Record<What, string> = {
  STILL_HERE: "still here",
  KEPT: "kept",
  TO_TEST_AGAIN: "to be tested again",
  GIVEN_AWAY: "given away",
  SOLD: "sold",
  THROWN_AWAY: "thrown away",
};

/** Where on a piece, for whoever does not point at it: shares of its width and height. */
export const SPOTS: { words: string; acrossPercent: number; upPercent: number }[] = [
  { words: "at the rim", acrossPercent: 50, upPercent: 96 },
  { words: "in the middle", acrossPercent: 50, upPercent: 50 },
  { words: "at the floor", acrossPercent: 50, upPercent: 4 },
  { words: "at the left wall", acrossPercent: 4, upPercent: 50 },
  { words: "at the right wall", acrossPercent: 96, upPercent: 50 },
];

/** About where a place is: the nearest of those that have words. */
export function spotWords(mark: { acrossPercent: number; upPercent: number }): string {
  const far = (s: { acrossPercent: number; upPercent: number }) =>
    Math.hypot(s.acrossPercent - mark.acrossPercent, s.upPercent - mark.upPercent);
  return [...SPOTS].sort((a, b) => far(a) - far(b))[0]?.words ?? "";
}

/** A look-over as its event tells it: the verdict, the faults, and where they are. */
export function lookCodes({ verdict, faults, marks }: Omit<LookOver, "text">): string[] {
  return [
    verdict,
    ...faults,
    ...marks
      .filter((m) => faults.includes(m.fault))
      .map((m) => `${m.fault}@${m.acrossPercent},${m.upPercent}`),
  ];
}

/** The cavity of a pour, in the maker's words. */
export function pourPlace(pourId: string, plan: Plan): string {
  const cup = plan.batches.flatMap((b) => b.cups).find((c) => c.pours.some((p) => p.id === pourId));
  const pour = cup?.pours.find((p) => p.id === pourId);
  const piece = pour && plan.pieces[pour.line];
  if (!cup || !pour || !piece) {
    return pourId;
  }
  const which = piece.count > 1 ? `, ${ordinal(pour.cavity)}` : "";
  return `${cup.colour.name} into ${piece.mouldName}${which}`;
}

function cupNamed(id: string | undefined, plan: Plan): string {
  return plan.batches.flatMap((b) => b.cups).find((c) => c.id === id)?.colour.name ?? id ?? "";
}

/** What was done early, by the kind that its address ends in. */
function earlyName(task: string, plan: Plan): string {
  if (task.startsWith("pour/")) {
    return `${pourPlace(task.slice("pour/".length), plan)} was poured`;
  }
  return task.includes("DEMOULD")
    ? "A piece was out of its mould"
    : task.includes("REST")
      ? "A rest was cut short"
      : "A step was done";
}

function min(value: number | undefined): string {
  return `${Math.max(1, Math.round(Math.abs(value ?? 0)))} min`;
}

/** What was otherwise than planned, as a sentence. */
export function deviationWords(d: Deviation, plan: Plan, session: Session, units: Units): string {
  const by = d.by ?? 0;
  switch (d.code) {
    case "RATIO_OFF":
      return `Batch ${d.of} had ${Math.abs(by).toFixed(1)} % too much ${by > 0 ? "A" : "B"}.`;
    case "ADDED": {
      const [batch, part] = (d.of ?? "").split("/");
      return `${showWith(units.MASS, by)} of ${part} were added to batch ${batch} to mend its ratio.`;
    }
    case "STIRRED_SHORT":
      return `Batch ${d.of} was stirred ${min(by)} less than planned.`;
    case "LATE":
      return `The last pour of batch ${d.of} ended ${min(by)} later than planned.`;
    case "OTHER_MASS":
      return `${pourPlace(d.of ?? "", plan)}: ${showWith(units.MASS, Math.abs(by))} ${by > 0 ? "more" : "less"} than planned.`;
    case "POURED_THICK":
      return `${pourPlace(d.of ?? "", plan)} was poured ${min(by)} after its cup was too thick.`;
    case "GIVEN_UP":
      return `${pourPlace(d.of ?? "", plan)} was given up.`;
    case "LOST":
      return `${pourPlace(d.of ?? "", plan)} was lost: its cup no longer poured.`;
    case "AWAY":
      return `Nobody was at the bench for ${min(by)}.`;
    case "TOLD_THICK":
      return `${cupNamed(d.of, plan)} was too thick before its time.`;
    case "HOT":
      return `${cupNamed(d.of, plan)} got hot.`;
    case "ROOM":
      return `The room was up to ${showWith(units.TEMPERATURE_DIFFERENCE, Math.abs(by))} ${by > 0 ? "warmer" : "colder"} than the ${showWith(units.TEMPERATURE, session.room.temperatureC)} of the plan.`;
    case "EARLY":
      return `${earlyName(d.of ?? "", plan)} ${Math.abs(by) < 90 ? min(by) : `${Math.round(Math.abs(by) / 60)} h`} before its wait was over.`;
    case "EMBED_LEFT_OUT":
      return "An embed was left out.";
  }
}

export function potWords(line: PotLine): string {
  const bar = line.bar === undefined ? "" : ` ${line.bar} bar`;
  switch (line.what) {
    case "RATED":
      return `rated${bar}`;
    case "RELIEF":
      return "relief valve seen to work";
    case "SET":
      return `set to${bar}`;
    case "IN":
      return "moulds in, shut";
    case "OUT":
      return "emptied and opened";
  }
}
