import type { Plan, Session, Task } from "../../api/client";
import { ofPour, ofTask } from "../../session/place";
import { isFree, nextMorning } from "../../words/moments";
import { taskName } from "../../words/tasks";
import { clockOnly } from "../../words/time";
import { dateFormat, dayOf } from "../../words/dates";

/** A batch's work is one entry; everything else stands by itself. */
export interface Entry {
  key: string;
  startSeconds: number;
  endSeconds: number;
  /** Of what falls in the night and need not be done then. */
  morning: Date | null;
  words: string;
  task: Task | null;
  wrong: boolean;
  optional: boolean;
  /** What is done in one go, told together; nothing for what stands by itself. */
  parts: Entry[];
  /** Nobody has to do anything then, and the day says enough. */
  untimed: boolean;
}

export interface Day {
  date: string;
  name: string;
  entries: Entry[];
}

export function isLook(task: Task): boolean {
  return task.phase === "WATCH";
}

/** What belongs to a batch's own work, told together. */
function withBatch(task: Task): boolean {
  return (
    task.phase === "MIX" ||
    task.phase === "POUR" ||
    task.kind === "LEFTOVERS" ||
    task.kind === "CLEAN_UP"
  );
}

export function daysOf(plan: Plan, session: Session, startsAt: Date, looks: boolean): Day[] {
  const moment = (seconds: number) => new Date(startsAt.getTime() + seconds * 1000);
  const wrong = (task: Task) =>
    plan.findings.some(
      (f) =>
        f.severity === "BREACH" &&
        (f.place === ofTask(task.id) || f.place === ofPour(task.pourId ?? "")),
    );
  const entries: Entry[] = plan.batches.map((batch) => {
    const its = plan.tasks.filter((t) => t.batch === batch.number && withBatch(t));
    const colours = [...new Set(batch.cups.map((c) => c.colour.name))].join(", ");
    return {
      key: `batch ${batch.number}`,
      startSeconds: batch.times.startSeconds,
      endSeconds: batch.times.endSeconds,
      morning: null,
      words: `batch ${batch.number}: mix, split and pour ${colours}, until ${clockOnly(startsAt, batch.times.endSeconds, session.zoneId)}`,
      task: null,
      wrong: its.some(wrong),
      optional: false,
      parts: [],
      untimed: false,
    };
  });
  for (const task of plan.tasks) {
    const own = !withBatch(task) && (looks || !isLook(task));
    if (own) {
      const until =
        task.kind === "IN_POT" || task.kind === "IN_BOX"
          ? `, until ${clockOnly(startsAt, task.endSeconds, session.zoneId)}`
          : "";
      entries.push({
        key: task.id,
        startSeconds: task.startSeconds,
        endSeconds: task.endSeconds,
        morning: isFree(task.kind) ? nextMorning(moment(task.startSeconds), session.zoneId) : null,
        words: `${taskName(task, plan, session)}${until}`,
        task: task.hands ? task : null,
        wrong: wrong(task),
        optional: task.optional,
        parts: [],
        untimed: task.kind === "READY",
      });
    }
  }
  const shown = (entry: Entry) => (entry.morning ?? moment(entry.startSeconds)).getTime();
  entries.sort((a, b) => shown(a) - shown(b));
  const name = dateFormat({ weekday: "long", day: "numeric", month: "short" }, session.zoneId);
  const days = new Map<string, Day>();
  for (const entry of entries) {
    const at = shown(entry);
    const key = dayOf(new Date(at), session.zoneId);
    const day = days.get(key) ?? { date: key, name: name.format(at), entries: [] };
    day.entries.push(entry);
    days.set(key, day);
  }
  return [...days.values()].map((day) => ({ ...day, entries: gathered(day.entries, plan) }));
}

/** Pieces that come out within so long of each other come out in one go, s. */
const ONE_GO = 2_700;

/** What comes out of its moulds in one go, and what is ready on one day, told once. */
function gathered(entries: Entry[], plan: Plan): Entry[] {
  const taskOf = new Map(plan.tasks.map((t) => [t.id, t]));
  const lines: Entry[] = [];
  for (const entry of entries) {
    const kind = taskOf.get(entry.key)?.kind;
    const last = lines.findLastIndex((l) => {
      const other = taskOf.get(l.key);
      return (
        other?.kind === kind &&
        !l.wrong &&
        other?.pinned !== true &&
        (kind === "READY" || (kind === "DEMOULD" && entry.startSeconds - l.endSeconds < ONE_GO))
      );
    });
    const before = lines[last];
    const free = !entry.wrong && taskOf.get(entry.key)?.pinned !== true;
    if (!before || !free || (kind !== "READY" && kind !== "DEMOULD")) {
      lines.push(entry);
      continue;
    }
    const parts = [...(before.parts.length > 0 ? before.parts : [before]), entry];
    const tasks = parts.flatMap((p) => taskOf.get(p.key) ?? []);
    lines[last] = {
      ...before,
      endSeconds: entry.endSeconds,
      parts,
      task: null,
      words: kind === "READY" ? readyText(tasks, plan) : outText(tasks, plan),
    };
  }
  return lines;
}

function pieces(tasks: Task[], plan: Plan, colours: boolean): string {
  const counts = new Map<number, number>();
  for (const task of tasks) {
    counts.set(task.line ?? 0, (counts.get(task.line ?? 0) ?? 0) + task.places);
  }
  return [...counts]
    .map(([line, count]) => {
      const piece = plan.pieces[line];
      const its = [
        ...new Set(piece?.layers.flatMap((l) => l.colours.map((c) => c.colourName)) ?? []),
      ];
      return `${count} ${piece?.mouldName ?? ""}${colours ? ` (${its.join(", ")})` : ""}`;
    })
    .join(", ");
}

function outText(tasks: Task[], plan: Plan): string {
  const all = tasks.reduce((sum, t) => sum + t.places, 0);
  return `take ${all} pieces out of their moulds: ${pieces(tasks, plan, true)}`;
}

function readyText(tasks: Task[], plan: Plan): string {
  return `ready to hand over: ${pieces(tasks, plan, false)}`;
}
