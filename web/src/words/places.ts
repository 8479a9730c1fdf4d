import type { Cup, Plan } from "../api/client";
import { ordinal } from "./numbers";
import { taskName } from "./tasks";

/** Which mould on the board; moulds of one kind are counted on, whichever line they stand in. */
export function cavityName(plan: Plan, line: number, cavity: number): string {
  const piece = plan.pieces[line];
  const before = plan.pieces
    .slice(0, line)
    .filter((p) => p.mouldId === piece?.mouldId && p.cavityId === piece?.cavityId)
    .reduce((sum, p) => sum + p.count, 0);
  return `${piece?.mouldName ?? "mould"}, ${ordinal(before + cavity)}`;
}

/** A cup by its colour; several of one colour in a batch are counted. */
export function cupName(cups: Cup[], cup: Cup): string {
  const alike = cups.filter((c) => c.batch === cup.batch && c.colour.id === cup.colour.id);
  return alike.length < 2
    ? cup.colour.name
    : `${cup.colour.name} ${alike.findIndex((c) => c.id === cup.id) + 1}`;
}

/** Names of what a finding's address points at. */
export function placeText(place: string, plan: Plan): string {
  const [kind, id] = place.split("/");
  const cups = plan.batches.flatMap((b) => b.cups);
  if (kind === "cup") {
    const cup = cups.find((c) => c.id === id);
    return cup ? `the ${cupName(cups, cup)} cup` : `cup ${id}`;
  }
  if (kind === "pour") {
    for (const cup of cups) {
      const pour = cup.pours.find((p) => p.id === id);
      if (pour) {
        return `${cupName(cups, cup)} into ${cavityName(plan, pour.line, pour.cavity)}`;
      }
    }
  }
  if (kind === "piece") {
    return plan.pieces[Number(id)]?.mouldName ?? "a mould";
  }
  if (kind === "colour") {
    return cups.find((c) => c.colour.id === id)?.colour.name ?? "a colour";
  }
  if (kind === "resin") {
    return "the resin";
  }
  if (kind === "task") {
    const task = plan.tasks.find((t) => `task/${t.id}` === place);
    return task ? `“${taskName(task, plan)}”` : "a task that is no longer there";
  }
  if (kind === "layer") {
    const layer = Number(place.split("/")[2]);
    return `${plan.pieces[Number(id)]?.mouldName ?? "a mould"}, ${ordinal(layer + 1)} layer`;
  }
  if (kind === "part" || kind === "colourant" || kind === "embed") {
    const embed = plan.pieces
      .flatMap((p) => p.layers.flatMap((l) => l.embeds))
      .find((e) => e.embedId === id);
    const dose = cups.flatMap((c) => c.tint.doses).find((d) => d.colourantId === id);
    return embed?.embedName ?? dose?.colourantName ?? "a part of the resin";
  }
  return kind === "batch" ? `batch ${id}` : "the plan";
}

/** A batch's heat is that of its mixing cup. */
export function cupPlace(place: string, plan: Plan): string {
  return place.startsWith("batch/")
    ? `the mixing cup of ${placeText(place, plan)}`
    : placeText(place, plan);
}
