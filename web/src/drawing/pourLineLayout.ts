import type { Batch, Cup, Plan, Task } from "../api/client";

/** One row of the pour line. */
export type Lane =
  { kind: "mixing"; batch: Batch; y: number } | { kind: "cup"; batch: Batch; cup: Cup; y: number };

/** Where everything on the pour line lies; x in px from seconds, y in px per lane. */
export interface PourLineLayout {
  fromSeconds: number;
  toSeconds: number;
  x: (seconds: number) => number;
  lanes: Lane[];
  ticks: number[];
  tasks: Task[];
  laneOf: (task: Task) => Lane | undefined;
  height: number;
}

export const LANE = 27;
export const TOP = 24;
export const AXIS = 24;

const STEPS_MINUTES = [2, 5, 10, 15, 30, 60, 120, 240];

/** What is done with a batch in one go, until its moulds are covered. */
const inOneGo = (task: Task) =>
  task.phase === "MIX" || task.phase === "POUR" || task.phase === "EMBED";

/** Lays out the batches given, which should lie close together in time. */
export function layOut(
  plan: Plan,
  batches: Batch[],
  startsAt: Date,
  left: number,
  right: number,
): PourLineLayout {
  const numbers = new Set(batches.map((b) => b.number));
  const itsTasks = plan.tasks.filter((t) => numbers.has(t.batch) && inOneGo(t));
  const first = Math.min(...batches.map((b) => b.times.startSeconds));
  const end = Math.max(...itsTasks.map((t) => t.endSeconds));
  // Looks and nudges go on for hours; those of the next hour and a half are seen with the pours.
  const tasks = plan.tasks.filter(
    (t) =>
      numbers.has(t.batch) &&
      (inOneGo(t) || (t.hands && t.startSeconds < end + 5_400 && t.startSeconds >= first)),
  );
  const from = Math.min(...batches.map((b) => b.times.startSeconds));
  const cups = batches.flatMap((b) => b.cups);
  const lastTask = Math.max(end, ...tasks.filter((t) => !t.optional).map((t) => t.endSeconds));
  const lastThick = Math.max(...cups.map((c) => c.times.thickensSeconds));
  const lastGel = Math.max(...cups.map((c) => c.times.gelsSeconds));
  // A thin cup may stay pourable for hours; the work and a little beyond is what matters.
  const work = Math.max(lastTask - from, 600);
  const to = Math.min(
    Math.max(lastTask + 300, Math.min(lastGel, lastThick + 480)),
    from + 3.2 * work,
  );
  const x = (seconds: number) => left + ((seconds - from) / (to - from)) * (right - left);
  const lanes: Lane[] = [];
  let y = TOP;
  for (const batch of batches) {
    lanes.push({ kind: "mixing", batch, y });
    y += LANE;
    if (batch.split) {
      for (const cup of batch.cups) {
        lanes.push({ kind: "cup", batch, cup, y });
        y += LANE;
      }
    }
  }
  return {
    fromSeconds: from,
    toSeconds: to,
    x,
    lanes,
    ticks: ticks(startsAt, from, to, (right - left) / 90),
    tasks,
    laneOf: (task) =>
      lanes.find(
        (lane) =>
          lane.batch.number === task.batch &&
          (lane.kind === "mixing"
            ? !lane.batch.split || mixingWork(task)
            : lane.cup.id === task.cupId && !mixingWork(task)),
      ),
    height: y + AXIS,
  };
}

/** Split is drawn where it starts, at the mixing cup; from there the thread runs down. */
function mixingWork(task: Task): boolean {
  return task.kind !== "TINT" && task.kind !== "POUR";
}

/** Round clock times within the window, at most so many of them. */
function ticks(startsAt: Date, from: number, to: number, most: number): number[] {
  const minutes = (to - from) / 60;
  const step = (STEPS_MINUTES.find((s) => minutes / s <= most) ?? 480) * 60;
  const clock = startsAt.getTime() / 1000;
  const first = Math.ceil((clock + from) / step) * step - clock;
  const all: number[] = [];
  for (let t = first; t <= to; t += step) {
    all.push(t);
  }
  return all;
}

/** Batches that are worked at in one go. */
export function sittings(plan: Plan): Batch[][] {
  return plan.sittings.map((numbers) => plan.batches.filter((b) => numbers.includes(b.number)));
}

export const BAR = 16;
