import { describe, expect, it } from "vitest";
import type { RunEvent, RunState } from "../api/client";
import { asTold } from "./asTold";

const step = (taskId: string, status: string) => ({ taskId, status });

const state = {
  steps: [step("a", "DONE"), step("b", "DONE"), step("c", "TO_DO"), step("d", "TO_DO")],
  checked: ["READY"],
  cups: [{ cupId: "1.1", hot: false, state: "POURABLE" }],
  undoable: [
    { eventIds: ["e2"], kind: "DONE", of: "b" },
    { eventIds: ["e1"], kind: "DONE", of: "a" },
  ],
} as unknown as RunState;

const event = (id: string, kind: RunEvent["kind"], of: string, at = id): RunEvent => ({
  id,
  at,
  kind,
  of,
  codes: [],
});

const BEGUN = Date.parse("2026-11-28T10:00:00Z");

const statuses = (told: ReturnType<typeof asTold>) => told.steps.map((s) => s.status).join(" ");

describe("a run without a line", () => {
  it("goes on with what could not be told", () => {
    const told = asTold(state, [event("x", "DONE", "c"), event("y", "CHECKED", "kit")], BEGUN);
    expect(statuses(told)).toBe("DONE DONE DONE TO_DO");
    expect(told.checked).toEqual(["READY", "kit"]);
  });

  it("takes back what it did last, not what the server was told last", () => {
    const untold = [event("x", "DONE", "c")];
    expect(asTold(state, untold, BEGUN).undoable).toEqual({
      eventIds: ["x"],
      kind: "DONE",
      of: "c",
    });
    const back = [...untold, event("u", "UNDONE", "x")];
    expect(statuses(asTold(state, back, BEGUN))).toBe("DONE DONE TO_DO TO_DO");
    // Once more, and it goes on with what the server knows.
    expect(asTold(state, back, BEGUN).undoable?.of).toBe("b");
    const further = [...back, event("v", "UNDONE", "e2")];
    expect(statuses(asTold(state, further, BEGUN))).toBe("DONE TO_DO TO_DO TO_DO");
    expect(asTold(state, further, BEGUN).undoable?.of).toBe("a");
  });

  it("takes a step back with what was told with it", () => {
    const untold = [
      event("x", "CHECKED", "EARLY/c", "noon"),
      event("y", "DONE", "c", "noon"),
      event("z", "CHECKED", "HOT/1.1", "later"),
    ];
    expect(asTold(state, untold, BEGUN).undoable).toEqual({
      eventIds: ["x", "y"],
      kind: "DONE",
      of: "c",
    });
  });

  it("knows who left and came back, and which cups went", () => {
    const left = event("x", "AWAY", "", "2026-11-28T10:01:30Z");
    expect(asTold(state, [left], BEGUN).state.awaySinceSeconds).toBe(90);
    const away = { ...state, awaySinceSeconds: 30 };
    const back = event("y", "BACK", "", "2026-11-28T10:02:00Z");
    expect(asTold(away, [back], BEGUN).state.awaySinceSeconds).toBeUndefined();
    const pours = {
      ...state,
      steps: [{ ...step("p", "TO_DO"), kind: "POUR", cupId: "1.1" }, step("c", "TO_DO")],
    } as unknown as RunState;
    const hot = asTold(pours, [event("z", "HOT", "1.1")], BEGUN);
    expect(hot.state.cups[0]?.hot).toBe(true);
    expect(statuses(hot)).toBe("LOST TO_DO");
  });
});
