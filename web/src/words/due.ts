import type { DueLine } from "../api/client";

const WORDS: Partial<Record<DueLine["kind"], string>> = {
  DEMOULD: "Out of the mould",
  FINISH: "Finish",
  READY: "Ready to hand over",
  IN_POT: "In the pressure pot until",
  LOOK: "Look for bubbles",
  NUDGE: "Nudge embeds back",
  EMBED: "Embeds",
};

/** What is due, in a few words; what comes after the bench belongs to the record of an evening. */
export function dueWords(due: DueLine): string {
  if (due.kind === "MOULDS_AWAY") {
    return `Wipe, drain, dry and lid ${due.places === 1 ? "the mould" : `${due.places} moulds`}`;
  }
  const what = due.mouldName
    ? `${due.mouldName}${due.places > 1 ? ` ×${due.places}` : ""}`
    : `batch ${due.batch}`;
  return `${WORDS[due.kind] ?? "Next layer"}: ${what}`;
}

/** How long until then, as one would say it. */
export function leftText(from: number, to: number): string {
  const minutes = Math.max(0, Math.round((to - from) / 60_000));
  if (minutes < 90) {
    return `${minutes} min`;
  }
  const hours = Math.round(minutes / 60);
  return hours < 48 ? `${hours} h` : `${Math.round(hours / 24)} days`;
}
