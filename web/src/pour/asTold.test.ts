import { describe, expect, it } from "vitest";
import type { RunEvent, RunState } from "../api/client";
import { asTold } from "./asTold";

const step = (taskId: string, status: string) => ({ taskId, status });

const state = {
  steps: [step("a", "DONE"), step("b", "DONE"), step("c", "TO_DO"), step("d", "TO_DO")],
  checked: ["READY"],
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

const statuses = (told: ReturnType<typeof asTold>) => told.steps.map((s) => s.status).join(" ");

describe("a run without a line", () => {
  it("goes on with what could not be told", () => {
    const told = asTold(state, [event("x", "DONE", "c"), event("y", "CHECKED", "kit")]);
    expect(statuses(told)).toBe("DONE DONE DONE TO_DO");
    expect(told.checked).toEqual(["READY", "kit"]);
  });

  it("takes back what it did last, not what the server was told last", () => {
    const untold = [event("x", "DONE", "c")];
    expect(asTold(state, untold).undoable).toEqual({ eventIds: ["x"], kind: "DONE", of: "c" });
    const back = [...untold, event("u", "UNDONE", "x")];
    expect(statuses(asTold(state, back))).toBe("DONE DONE TO_DO TO_DO");
    // Once more, and it goes on with what the server knows.
    expect(asTold(state, back).undoable?.of).toBe("b");
    const further = [...back, event("v", "UNDONE", "e2")];
    expect(statuses(asTold(state, further))).toBe("DONE TO_DO TO_DO TO_DO");
    expect(asTold(state, further).undoable?.of).toBe("a");
  });

  it("takes a step back with what was told with it", () => {
    const untold = [
      event("x", "CHECKED", "EARLY/c", "noon"),
      event("y", "DONE", "c", "noon"),
      event("z", "CHECKED", "HOT/1.1", "later"),
    ];
    expect(asTold(state, untold).undoable).toEqual({
      eventIds: ["x", "y"],
      kind: "DONE",
      of: "c",
    });
  });
});
