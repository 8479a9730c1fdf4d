import { readPlace } from "../session/place";
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
export function placeText(text: string, plan: Plan): string {
  const place = readPlace(text);
  const cups = plan.batches.flatMap((b) => b.cups);
  switch (place.of) {
    case "cup": {
      const cup = cups.find((c) => c.id === place.id);
      return cup ? `the ${cupName(cups, cup)} cup` : `cup ${place.id}`;
    }
    case "pour":
      for (const cup of cups) {
        const pour = cup.pours.find((p) => p.id === place.id);
        if (pour) {
          return `${cupName(cups, cup)} into ${cavityName(plan, pour.line, pour.cavity)}`;
        }
      }
      return "the plan";
    case "line":
      return mouldName(plan, place.line);
    case "layer":
      return `${mouldName(plan, place.line)}, ${ordinal(place.layer)} layer`;
    case "task": {
      const task = plan.tasks.find((t) => t.id === place.id);
      return task ? `“${taskName(task, plan)}”` : "a task that is no longer there";
    }
    case "shelf":
      return place.colour
        ? (cups.find((c) => c.colour.id === place.id)?.colour.name ?? "a colour")
        : onShelf(place.id, plan);
    case "batch":
      return plan.batches.length === 1 ? "the batch" : `batch ${place.number}`;
    case "resin":
      return "the resin";
    case "plan":
      return "the plan";
  }
}

function mouldName(plan: Plan, line: number): string {
  return plan.pieces[line - 1]?.mouldName ?? "a mould";
}

function onShelf(id: string, plan: Plan): string {
  const embed = plan.pieces
    .flatMap((p) => p.layers.flatMap((l) => l.embeds))
    .find((e) => e.embedId === id);
  const dose = plan.batches
    .flatMap((b) => b.cups)
    .flatMap((c) => c.tint.doses)
    .find((d) => d.colourantId === id);
  return embed?.embedName ?? dose?.colourantName ?? "a part of the resin";
}

/** A batch's heat is that of its mixing cup. */
export function cupPlace(place: string, plan: Plan): string {
  if (readPlace(place).of !== "batch") {
    return placeText(place, plan);
  }
  return plan.batches.length === 1
    ? "the mixing cup"
    : `the mixing cup of ${placeText(place, plan)}`;
}
