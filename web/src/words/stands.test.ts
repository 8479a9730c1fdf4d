import { expect, test } from "vitest";
import type { Plan, RunState } from "../api/client";
import { changeWords, standWords } from "./stands";
import { METRIC } from "../units/units";

const PLAN = { pieces: [{ mouldName: "Knob", count: 4 }] } as unknown as Plan;

function state(other: Partial<RunState>): RunState {
  return {
    cups: [{ empties: false }],
    giveUp: [],
    lateSeconds: 0,
    reordered: false,
    ...other,
  } as unknown as RunState;
}

function line(other: Partial<RunState>): string {
  return standWords(state(other), PLAN)
    .parts.map((part) => part.words)
    .join("; ");
}

test("how late it is, another order, and the tightest pour stand in one line", () => {
  expect(line({ lateSeconds: 300, reordered: true, spareSeconds: 200 })).toBe(
    "5 min later than planned; the pours come in another order, so that all are in time; 3 min to spare at the tightest pour",
  );
  expect(line({ lateSeconds: -120, spareSeconds: 600 })).toBe(
    "2 min sooner than planned; 10 min to spare at the tightest pour",
  );
  expect(standWords(state({ spareSeconds: 119 }), PLAN).wrong).toBe(true);
  expect(standWords(state({ spareSeconds: 120 }), PLAN).wrong).toBe(false);
});

test("what cannot be in time any more stands alone", () => {
  expect(line({ giveUp: ["pour/1.1.1", "pour/1.2.1"], reordered: true, spareSeconds: 9 })).toBe(
    "2 pours cannot be in time any more",
  );
});

test("what a telling changed is one sentence, and nothing where nothing did", () => {
  const change = {
    soonerSeconds: 0,
    laterSeconds: 600,
    moved: ["pour/1.1.1", "pour/1.2.1"],
    lost: [],
    tooLate: ["pour/1.3.1", "pour/1.4.1"],
    saved: [],
  };
  expect(changeWords(change, PLAN, METRIC, 0)).toBe(
    "The rest moves 10 min later; 2 pours change places; 2 pours cannot be in time any more.",
  );
  expect(changeWords(change, PLAN, METRIC, 2)).toBe(
    "The rest moves 10 min later; 2 pours change places.",
  );
  expect(changeWords(undefined, PLAN, METRIC, 0)).toBeNull();
});
