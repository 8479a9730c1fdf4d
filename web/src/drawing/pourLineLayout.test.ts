import { describe, expect, it } from "vitest";
import type { Batch, Cup, Plan, Task } from "../api/client";
import { layOut, sittings } from "./pourLineLayout";

const START = new Date("2026-11-28T10:03:00Z");

function cup(id: string, thickens: number): Cup {
  return {
    id,
    colour: { id, name: `Colour ${id}`, swatch: "#888888" },
    times: { filledSeconds: 700, thickensSeconds: thickens, gelsSeconds: thickens + 1200 },
  } as Cup;
}

function batch(number: number, start: number, end: number, cups: Cup[]): Batch {
  return {
    number,
    split: cups.length > 1,
    times: { startSeconds: start, contactSeconds: start + 60, endSeconds: end },
    cups,
  } as Batch;
}

function task(kind: Task["kind"], start: number, end: number, more: Partial<Task> = {}): Task {
  const phase: Task["phase"] =
    kind === "WEIGH_FIRST" || kind === "STIR" || kind === "REST" ? "MIX" : "POUR";
  return {
    kind,
    phase,
    batch: 1,
    hands: true,
    startSeconds: start,
    endSeconds: end,
    ...more,
  } as Task;
}

const TASKS = [
  task("WEIGH_FIRST", 0, 60),
  task("STIR", 120, 300),
  task("SPLIT", 685, 700, { cupId: "1.1" }),
  task("TINT", 715, 775, { cupId: "1.2" }),
  task("POUR", 775, 1900, { cupId: "1.1", pourId: "1.1.1" }),
];

describe("the pour line", () => {
  const batches = [batch(1, 0, 1900, [cup("1.1", 2500), cup("1.2", 2700)])];
  const layout = layOut({ tasks: TASKS } as Plan, batches, START, 100, 900);

  it("has a lane for the mixing cup and one for every cup, from top to bottom", () => {
    expect(layout.lanes.map((l) => (l.kind === "cup" ? l.cup.id : "mixing"))).toEqual([
      "mixing",
      "1.1",
      "1.2",
    ]);
    const heights = layout.lanes.map((l) => l.y);
    expect([...heights].sort((a, b) => a - b)).toEqual(heights);
    expect(layout.height).toBeGreaterThan(Math.max(...heights));
  });

  it("puts time across, from the first step to beyond the working time", () => {
    expect(layout.x(0)).toBe(100);
    expect(layout.x(layout.toSeconds)).toBeCloseTo(900);
    expect(layout.x(1900)).toBeLessThan(layout.x(2500));
    expect(layout.toSeconds).toBeGreaterThan(2700);
  });

  it("finds the lane of every task", () => {
    const lanes = TASKS.map((t) => layout.laneOf(t));
    expect(lanes.map((l) => (l?.kind === "cup" ? l.cup.id : l?.kind))).toEqual([
      "mixing",
      "mixing",
      "mixing",
      "1.2",
      "1.1",
    ]);
  });

  it("marks round times of the clock, not of the plan", () => {
    expect(layout.ticks.length).toBeGreaterThan(2);
    for (const tick of layout.ticks) {
      const minute = new Date(START.getTime() + tick * 1000).getUTCMinutes();
      expect(minute % 5).toBe(0);
    }
  });

  it("gives a lone cup the lane it was mixed in", () => {
    const alone = layOut(
      { tasks: TASKS } as Plan,
      [batch(1, 0, 1900, [cup("1.1", 2500)])],
      START,
      0,
      800,
    );
    expect(alone.lanes).toHaveLength(1);
    expect(alone.laneOf(task("POUR", 1, 2, { cupId: "1.1" }))).toBe(alone.lanes[0]);
  });

  it("does not stretch to the gel of a cup that lasts for hours", () => {
    const long = layOut(
      { tasks: TASKS } as Plan,
      [batch(1, 0, 1900, [cup("1.1", 40_000), cup("1.2", 40_000)])],
      START,
      0,
      800,
    );
    expect(long.toSeconds).toBeLessThan(4 * 1900);
  });
});

describe("sittings", () => {
  it("are the batches that the plan puts together", () => {
    const batches = [1, 2, 3].map((number) => batch(number, 0, 1800, []));
    const plan = { batches, sittings: [[1, 2], [3]] } as Partial<Plan> as Plan;
    expect(sittings(plan).map((s) => s.map((b) => b.number))).toEqual([[1, 2], [3]]);
  });
});
