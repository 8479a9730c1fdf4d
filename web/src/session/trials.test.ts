import { expect, it } from "vitest";
import type { Session } from "../api/client";
import { withTrial } from "./trials";

const SESSION = {
  pieces: [
    { mouldId: "knob", count: 7, layers: [] },
    { mouldId: "pull", count: 1, layers: [] },
  ],
} as unknown as Session;

it("keeps the larger half as the control, and never leaves a trial without one", () => {
  expect(withTrial(SESSION, 0, "teased twice").pieces).toEqual([
    { mouldId: "knob", count: 4, layers: [] },
    { mouldId: "pull", count: 1, layers: [] },
    { mouldId: "knob", count: 3, layers: [], trial: "teased twice" },
  ]);
  expect(withTrial(SESSION, 1, "x").pieces?.map((p) => p.count)).toEqual([7, 1, 1]);
  expect(withTrial(SESSION, 5, "x")).toBe(SESSION);
});
