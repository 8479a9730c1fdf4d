import { describe, expect, it } from "vitest";
import type { Plan, RunState, RunStep, Session } from "../api/client";
import { about } from "./troubled";

const pour = (pourId: string, cupId: string, status: string, endSeconds: number) =>
  ({ kind: "POUR", taskId: `pour/${pourId}`, pourId, cupId, status, endSeconds }) as RunStep;

const steps = [
  pour("1.1.1", "1.1", "DONE", 100),
  pour("2.1.1", "1.2", "DONE", 200),
  pour("1.2.1", "1.1", "TO_DO", 300),
];

const bench = {
  steps,
  shown: steps[2],
  session: {} as Session,
  state: {
    givenUp: ["2.1"],
    mixes: [{ batch: 1, massG: 30 }],
    cups: [
      { cupId: "1.1", colourName: "Bracken", leftG: 12 },
      { cupId: "1.2", colourName: "Harbour", leftG: 8 },
      { cupId: "1.3", colourName: "Oat", leftG: 0 },
    ],
  } as unknown as RunState,
  plan: {
    pieces: [
      { mouldName: "Knob 32", count: 2 },
      { mouldName: "Bar pull", count: 1 },
    ],
    batches: [
      {
        cups: [
          {
            id: "1.1",
            colour: { name: "Bracken" },
            pours: [
              { id: "1.1.1", line: 0, cavity: 1 },
              { id: "1.2.1", line: 0, cavity: 2 },
            ],
          },
          { id: "1.2", colour: { name: "Harbour" }, pours: [{ id: "2.1.1", line: 1, cavity: 1 }] },
        ],
      },
    ],
  } as unknown as Plan,
};

describe("what trouble can have happened to", () => {
  it("asks for the step on the screen first, then for what was poured last", () => {
    expect(about("WRONG_COLOUR", bench).map((c) => c.words)).toEqual([
      "Bracken into Knob 32, second",
      "Harbour into Bar pull",
      "Bracken into Knob 32, first",
    ]);
    // What it should have come out of is no other cup, and an empty one is none.
    expect(about("WRONG_COLOUR", bench, "1.2.1").map((c) => c.address)).toEqual(["1.2"]);
  });

  it("offers what holds resin, and the mixing cup where something can be spilled", () => {
    expect(about("SPILLED", bench).map((c) => `${c.kind}/${c.address}`)).toEqual([
      "SPILLED_MIX/1",
      "SPILLED/1.1",
      "SPILLED/1.2",
    ]);
  });

  it("asks about no piece that was given up, nor one that is empty", () => {
    expect(about("LEAKS", bench).map((c) => c.address)).toEqual(["1.1"]);
  });
});
