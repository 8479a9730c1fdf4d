import type { Plan, Session, Task } from "../api/client";

/** A word for each kind of work, as short as a mark on the line wants it. */
export const TASK_WORDS: Record<Task["kind"], string> = {
  WIPE_MOULDS: "wipe",
  SPRAY_MOULDS: "spray",
  SURFACE_WORK: "surface",
  PREPARE_EMBEDS: "prepare",
  WARM: "warm",
  WEIGH_FIRST: "weigh",
  WEIGH_SECOND: "weigh",
  STIR: "stir",
  SECOND_CUP: "over",
  REST: "rest",
  RELEASE: "bubbles out of the mix",
  SPLIT: "split",
  STOCK_CUP: "stock",
  TINT: "tint",
  LAY_EMBEDS: "lay",
  POUR: "pour",
  EMBED: "embed",
  WET_WORK: "wet work",
  BUBBLE_PASS: "bubbles",
  UNDER_LAMP: "lamp",
  LID: "lids",
  COVER: "cover",
  LOAD_POT: "into the pot",
  IN_POT: "in the pot",
  LOAD_BOX: "into the box",
  IN_BOX: "in the box",
  GATHER: "gathering colours",
  LEFTOVERS: "leftovers",
  CLEAN_UP: "clean up",
  LOOK: "look",
  NUDGE: "nudge",
  DEMOULD: "demould",
  MOULDS_AWAY: "moulds away",
  FINISH: "finish",
  READY: "ready",
};

const FINISHES = {
  TRIM_FLASH: "trim the flash",
  VARNISH: "varnish",
  PAINT: "paint",
  GLUE_FITTINGS: "glue fittings",
  WET_SAND: "sand wet",
  DRILL: "drill",
  POLISH: "polish",
  OTHER: "work on it",
} as const;

const SURFACES = {
  DUST: "dust with powder",
  BURNISH: "burnish powder",
  DETAIL_PAINT: "paint the recesses",
  PRIME: "prime the lettering",
} as const;

/** What a task is, in the maker's words, with what it is done to. */
export function taskName(task: Task, plan: Plan, session?: Session): string {
  const piece = task.line === undefined ? undefined : plan.pieces[task.line];
  const of = piece ? `${piece.mouldName}${task.places > 1 ? ` ×${task.places}` : ""}` : "";
  switch (task.kind) {
    case "WIPE_MOULDS":
      return `wipe ${task.places} cavities with alcohol`;
    case "SPRAY_MOULDS":
      return `spray ${task.places} cavities with release`;
    case "SURFACE_WORK":
      return `work on the inside of ${of}`;
    case "PREPARE_EMBEDS":
      return `get the embeds of ${of} ready`;
    case "LAY_EMBEDS":
      return laysEmbeds(task, session) ? `lay the embeds of ${of}` : `set the inner mould of ${of}`;
    case "EMBED":
      return `put the embeds into ${of}`;
    case "WET_WORK":
      return `work on the wet face of ${of}`;
    case "NUDGE":
      return `nudge the embeds of ${of}`;
    case "LOOK":
      return `look for bubbles again, batch ${task.batch}`;
    case "LID":
      return `press the ${task.places === 1 ? "lid" : `${task.places} lids`} on`;
    case "LOAD_POT":
      return `into the pressure pot, ${task.places} pieces`;
    case "IN_POT":
      return `in the pressure pot, ${task.places} pieces`;
    case "LOAD_BOX":
      return `into the warm box, ${task.places} pieces`;
    case "IN_BOX":
      return `in the warm box, ${task.places} pieces`;
    case "GATHER":
      return `colours of ${of} into one cup`;
    case "LEFTOVERS":
      return `pour what is left of batch ${task.batch} into fillers`;
    case "CLEAN_UP":
      return `clean up after batch ${task.batch}`;
    case "DEMOULD":
      // What stays in its setting gets hard there by itself.
      return task.hands ? `take ${of} out of the mould` : `${of} hard in its setting`;
    case "RELEASE":
      return `bring the bubbles out of batch ${task.batch}`;
    case "MOULDS_AWAY":
      return task.places === 1
        ? "wipe, dry and lid the mould"
        : `wipe, dry and lid the ${task.places} moulds`;
    case "FINISH":
      return `${finishName(task, session)} ${of}`;
    case "READY":
      return `${of} ready to hand over`;
    default:
      return `${TASK_WORDS[task.kind]}, batch ${task.batch}`;
  }
}

/** Whether a piece has embeds that are laid first; else it is its inner mould that is set. */
function laysEmbeds(task: Task, session: Session | undefined): boolean {
  const layers = session?.pieces?.[task.line ?? -1]?.layers;
  return !layers || layers.some((l) => (l.embeds ?? []).some((e) => e.moment === "BEFORE_POUR"));
}

/** Which of its steps: each is done as often as it says. */
function finishName(task: Task, session: Session | undefined): string {
  const turn = Number(task.id.split("/").at(-1));
  const steps = session?.pieces?.[task.line ?? -1]?.work?.finishing ?? [];
  const all = steps.flatMap((s) => Array.from({ length: s.times }, () => s.kind));
  const kind = all[turn - 1];
  const which = all.slice(0, turn).filter((k) => k === kind).length;
  const several = all.filter((k) => k === kind).length > 1;
  return kind ? `${FINISHES[kind]}${several ? ` (${which})` : ""}:` : "finish";
}

const WET = {
  DRAWN: "draw in it with a stick or fork",
  SWIRLED: "swirl it",
  TILTED: "tilt it",
  LACED: "hot air until it laces",
  INK_DROPPED: "drop ink on it",
  POWDERED: "a second powder, in zones",
} as const;

export const WET_WORDS: Record<keyof typeof WET, string> = WET;
export const FINISH_WORDS: Record<keyof typeof FINISHES, string> = FINISHES;
export const SURFACE_WORDS: Record<keyof typeof SURFACES, string> = SURFACES;
