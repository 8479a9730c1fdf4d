import { describe, expect, it } from "vitest";
import type { RunState, RunStep } from "../api/client";
import { soon } from "./soon";

const step = (kind: string, more: object = {}) =>
  ({
    taskId: kind,
    kind,
    status: "TO_DO",
    hands: true,
    batch: 1,
    startSeconds: 100,
    endSeconds: 130,
    ...more,
  }) as unknown as RunStep;
const state = (spareSeconds?: number) => ({ atSeconds: 100, spareSeconds }) as RunState;
const told = (found: ReturnType<typeof soon>) => found.map((s) => [s.what, s.left]);

describe("what is lost unless somebody goes on", () => {
  it("is the time to spare, which shrinks while nobody does the next thing", () => {
    const pour = [step("POUR")];
    expect(told(soon(state(600), pour, 110))).toEqual([]);
    expect(told(soon(state(600), pour, 100 + 301))).toEqual([["POURS", 299]]);
    expect(told(soon(state(600), pour, 100 + 605))).toEqual([["POURS", -5]]);
    expect(soon(state(600), [step("CLEAN_UP")], 900)).toEqual([]);
  });

  it("does not shrink while the next thing is not due", () => {
    const later = [step("POUR", { startSeconds: 1000, endSeconds: 1030 })];
    expect(soon(state(400), later, 990)).toEqual([]);
    expect(told(soon(state(400), later, 1130))).toEqual([["POURS", 270]]);
  });

  it("is an embed whose layer gives way until then, less what it takes to press it in", () => {
    const embed = [step("EMBED", { untilSeconds: 1000 })];
    expect(soon(state(), embed, 780)).toEqual([]);
    expect(told(soon(state(), embed, 800))).toEqual([["STEP", 170]]);
    expect(told(soon(state(), embed, 980))).toEqual([["STEP", -10]]);
    expect(soon(state(), [step("EMBED", { untilSeconds: 1000, status: "DONE" })], 980)).toEqual([]);
  });

  it("is told once before it is too late, and once after", () => {
    const keys = (now: number) => soon(state(600), [step("POUR")], now).map((s) => s.key);
    expect(keys(530)).toEqual(keys(600));
    expect(keys(705)).not.toEqual(keys(600));
  });
});
