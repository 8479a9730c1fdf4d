import { describe, expect, it } from "vitest";
import type { RunState } from "../api/client";
import { answers, going, nextTurn } from "./going";

const cup = {
  cupId: "1.1",
  batch: 1,
  colourName: "Lichen",
  state: "POURABLE",
  thicksSeconds: 1000,
  gelsSeconds: 2000,
  warmsSeconds: 3000,
  expectedC: 24,
  lostPours: 0,
  hot: false,
};
const pour = (taskId: string) => ({
  taskId,
  kind: "POUR",
  status: "TO_DO",
  cupId: "1.1",
  batch: 1,
});
const state = {
  cups: [cup],
  mixes: [],
  steps: [pour("pour/1.1.1"), pour("pour/1.2.1")],
} as unknown as RunState;

describe("a cup that goes while nobody presses", () => {
  it("is told by the clock alone, with what is lost", () => {
    expect(going(state, 999, [])).toEqual([]);
    expect(going(state, 1000, [])).toMatchObject([{ why: "THICK", lost: 2 }]);
    expect(going(state, 2500, [])).toMatchObject([{ why: "GELLED", lost: 2 }]);
    expect(nextTurn(state, 0)).toBe(1000);
    expect(nextTurn(state, 1000)).toBe(2000);
    expect(nextTurn(state, 3000)).toBeNull();
  });

  it("is told once, and once more when it gets warm", () => {
    const first = answers(going(state, 1000, []));
    const checked = first.map((a) => a.of ?? "");
    expect(going(state, 2500, checked)).toEqual([]);
    const warm = going(state, 3000, checked);
    expect(warm).toMatchObject([{ why: "WARM" }]);
    // Put away as one that was felt to be hot.
    expect(answers(warm).map((a) => `${a.kind} ${a.of}`)).toEqual([
      "CHECKED GONE/1.1/WARM",
      "HOT 1.1",
      "CHECKED HOT/1.1",
    ]);
  });

  it("may gel once it is poured, and is told of all the same where it is warm", () => {
    const poured = { ...state, steps: [] };
    expect(going(poured, 2500, [])).toEqual([]);
    expect(going(poured, 3000, [])).toMatchObject([{ why: "WARM", lost: 0 }]);
  });
});
