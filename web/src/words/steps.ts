import type { Batch, Cup, Dose, Plan, Pour, RunStep, Session } from "../api/client";
import { fitting, show, showWith, type Units } from "../units/units";
import { doseFigure, stockText } from "./doses";
import { type Measure, measureOf, measureOfPart, otherwise, unitOf } from "./measured";
import { ordinal } from "./numbers";
import { TASK_WORDS, taskName } from "./tasks";

/** What a step says: in large, how much, and a line about how. */
export interface StepWords {
  title: string;
  /** The largest figure on the screen; none where nothing is measured. */
  figure?: string;
  unit?: string;
  how: string;
  /** What the large key says. */
  done: string;
}

export function batchOf(plan: Plan, step: RunStep): Batch | undefined {
  return plan.batches.find((b) => b.number === step.batch);
}

export function cupOf(plan: Plan, cupId: string | undefined): Cup | undefined {
  return plan.batches.flatMap((b) => b.cups).find((c) => c.id === cupId);
}

/** What a step stirs in. */
export function dosesOf(plan: Plan, step: RunStep): Dose[] {
  return step.kind === "TINT"
    ? (cupOf(plan, step.cupId)?.tint.doses ?? batchOf(plan, step)?.mixing.tintedWhole ?? [])
    : [];
}

export function pourOf(cup: Cup | undefined, step: RunStep): Pour | undefined {
  return cup?.pours.find((p) => p.id === step.pourId);
}

/** What the step handles, and how it is measured; missing where nothing is. */
export function runMeasure(step: RunStep, plan: Plan): Measure | undefined {
  const batch = batchOf(plan, step);
  const first = batch?.measuring.firstPart ?? "B";
  switch (step.kind) {
    case "WEIGH_FIRST":
      return batch && measureOfPart(batch, first);
    case "WEIGH_SECOND":
      return batch && measureOfPart(batch, first === "A" ? "B" : "A");
    default:
      return batch && measureOf(batch);
  }
}

/** In the measure the label is followed by. */
function amount(value: number | undefined, measure: Measure | undefined, units: Units) {
  if (value === undefined || !measure) {
    return {};
  }
  const unit = fitting(unitOf(units, measure), value);
  return { figure: show(unit, value), unit: unit.symbol };
}

function minutesWords(step: RunStep): string {
  return `${Math.max(1, Math.round((step.endSeconds - step.startSeconds) / 60))}`;
}

export function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

/** The mark both parts reach in one cup, while both are as planned. */
function upTo(step: RunStep, batch: Batch | undefined, units: Units): string {
  if (!batch || step.targetG === undefined) {
    return "";
  }
  const { partA, partB, firstPart } = batch.measuring;
  const second = firstPart === "A" ? partB : partA;
  return Math.abs(second.massG - step.targetG) < 0.05
    ? `In the same cup: up to the ${showWith(units.VOLUME, partA.volumeMl + partB.volumeMl)} mark. `
    : "";
}

/** What a mould, its wall or a habit wants of the stream. */
const STREAMS = new Set(["STREAM", "SLOWLY", "BY_STICK", "FUNNEL", "DUSTED"]);

const saysHowToPour = (step: RunStep) => step.card.says.some((say) => STREAMS.has(say.code));

/** A step in the maker's words, as large as the bench wants it. */
export function stepWords(step: RunStep, plan: Plan, session: Session, units: Units): StepWords {
  const words = plainWords(step, plan, session, units);
  // Its first window is shut: the step is another one now.
  return step.joinNow === "CURED"
    ? { ...words, title: `Scuff and wipe, then: ${words.title}` }
    : words;
}

function plainWords(step: RunStep, plan: Plan, session: Session, units: Units): StepWords {
  const batch = batchOf(plan, step);
  const cup = cupOf(plan, step.cupId);
  const first = batch?.measuring.firstPart ?? "B";
  const second = first === "A" ? "B" : "A";
  const several = plan.batches.length > 1 ? `, batch ${step.batch}` : "";
  const measure = runMeasure(step, plan);
  const onScale =
    measure && step.targetG !== undefined
      ? `${otherwise(units, measure, step.targetG)} on a scale`
      : "";
  switch (step.kind) {
    case "WEIGH_FIRST":
      return {
        title: `${first} into the mixing cup${several}`,
        ...amount(step.targetG, measure, units),
        how: measure?.marks
          ? `To this mark, at eye level, always the same edge of a mark; ${onScale}.`
          : `Cup on the scale, tare, pour slowly at the end. ${batch?.mixing.cup.name ?? ""}`,
        done: measure?.marks ? "It is in" : "Weighed",
      };
    case "WEIGH_SECOND":
      return {
        title: `${second} on top of it${several}`,
        ...amount(step.targetG, measure, units),
        how: measure?.marks
          ? `${upTo(step, batch, units)}${capital(onScale)}. The clock starts when they meet.`
          : "Tare once more. The clock starts when they meet.",
        done: measure?.marks ? "It is in" : "Weighed",
      };
    case "STIR":
      return {
        title: `Stir${several}`,
        figure: minutesWords(step),
        unit: "min",
        how: "Slowly, folding; scrape sides and bottom while stirring.",
        done: "Stirred",
      };
    case "RELEASE":
      return {
        title: `Bubbles out of the mix${several}`,
        figure: minutesWords(step),
        unit: "min",
        how: "",
        done: "Done",
      };
    case "SECOND_CUP":
      return {
        title: "Over into a clean cup",
        figure: minutesWords(step),
        unit: "min",
        how: "A clean stick; leave what clings, do not scrape it out.",
        done: "Stirred again",
      };
    case "SPLIT":
      return {
        title: `Split: ${cup?.colour.name ?? ""}`,
        ...amount(step.targetG, measure, units),
        how: `Into ${cup?.kind.name ?? "its cup"}${measure?.marks ? `, ${onScale}` : ""}; shallow cups stay cool.`,
        done: "Filled",
      };
    case "STOCK_CUP":
      return {
        title: `Stock cup for ${cup?.colour.name ?? ""}`,
        how: (cup?.tint.doses ?? [])
          .map((d) => stockText(d, units))
          .filter(Boolean)
          .join(" · "),
        done: "Stirred",
      };
    case "TINT": {
      const doses = dosesOf(plan, step);
      const [one] = doses;
      const several = doses.length > 1;
      return {
        title: `Tint ${cup?.colour.name ?? "the whole batch"}`,
        ...(one && !several ? doseFigure(one, units) : {}),
        how: `Shake ${several ? "them" : "it"} first; stir until no lump is left.`,
        done: several
          ? doses.length === 2
            ? "Both are in"
            : `All ${doses.length} are in`
          : "Tinted",
      };
    }
    case "POUR": {
      const pour = pourOf(cup, step);
      const piece = pour && plan.pieces[pour.line];
      const which = piece && piece.count > 1 ? `, ${ordinal(pour.cavity)}` : "";
      return {
        title: `${cup?.colour.name ?? ""} into ${piece?.mouldName ?? ""}${which}`,
        ...amount(step.targetG, measure, units),
        how: pour
          ? `To the line, ${showWith(units.LENGTH, pour.toMm)} deep.${saysHowToPour(step) ? "" : " Thin stream."}`
          : "",
        done: "Poured",
      };
    }
    case "BUBBLE_PASS":
      return {
        title: "Bubbles out",
        how: "",
        done: "Done",
      };
    case "LID":
      return {
        title: capital(taskName(asTask(step), plan, session)),
        how: "Look and pop the last bubbles first. Over its keys, not over the cavities; an even weight on it.",
        done: "Lids are on",
      };
    case "COVER":
      return { title: "Cover them against dust", how: "Level, and hands off.", done: "Covered" };
    case "CLEAN_UP":
      return {
        title: "Clean up",
        how: "Before the cups gel. What is left cures first, then goes where local rules say.",
        done: "Clean",
      };
    case "LOAD_POT":
      return {
        title: capital(taskName(asTask(step), plan, session)),
        how: "Below its rating, lid crosswise, air in slowly. Leave a witness cup outside: it tells what nobody sees in there.",
        done: "Shut",
      };
    default: {
      const words = taskName(asTask(step), plan, session);
      return { title: capital(words), how: "", done: "Done" };
    }
  }
}

/** What the large key says of several pigments: by name what was not ticked one by one. */
export function allInWords(step: RunStep, plan: Plan, checked: string[]): string | null {
  const doses = dosesOf(plan, step);
  const open = doses.filter((d) => !checked.includes(doseTick(step.taskId, d)));
  return doses.length < 2 || open.length === 0 || open.length === doses.length
    ? null
    : `${open.map((d) => d.colourantName).join(" and ")}: in too`;
}

/** Under which the tick of one pigment of a tint is kept. */
export function doseTick(taskId: string, dose: Dose): string {
  return `DOSE/${taskId}/${dose.colourantId}`;
}

/** The same step in a few words. */
export function stepShort(step: RunStep, plan: Plan, session: Session, units: Units): string {
  const words = stepWords(step, plan, session, units);
  return words.figure === undefined
    ? words.title
    : `${words.title} · ${words.figure} ${words.unit ?? ""}`.trim();
}

export const GAVE_WAY =
  "Its layer no longer gives way: leave it out, or press it in and look whether it stands straight.";

/** Until when a next layer bonds, and what it takes after that; null where there is no window. */
export function windowWords(
  step: RunStep,
  at: (seconds: number) => string,
  now: number,
): string | null {
  if (step.joinNow === "CURED") {
    return "What lies below has gelled for too long to bond: let it cure, scuff it, wipe it, then pour.";
  }
  if (step.joinNow === "GEL") {
    return "What lies below no longer flows: pour when it has gelled and takes the next layer.";
  }
  if (step.untilSeconds === undefined || (step.status !== "TO_DO" && step.status !== "RUNNING")) {
    return null;
  }
  if (step.kind === "EMBED" && now > step.untilSeconds) {
    return GAVE_WAY;
  }
  const until = at(step.untilSeconds);
  return step.kind === "POUR" || step.kind === "WEIGH_FIRST" || step.kind === "WARM"
    ? `Pour until ${until}; after that scuff and wipe.`
    : `Until ${until}.`;
}

export function waitWords(step: RunStep): string {
  return step.kind === "REST" ? "Let it rest" : capital(TASK_WORDS[step.kind]);
}

/** A step as the plan's wording takes it. */
export function asTask(step: RunStep) {
  return { ...step, id: step.taskId, spreadSeconds: 0, after: [], pinned: false };
}
