import { describe, expect, it } from "vitest";
import type { Finding, Habits, Mend, Session } from "../api/client";
import { mended, movedBy, notOnPurpose, onPurpose, pinned, released } from "./arranging";

const SESSION = {
  name: "Test",
  startsAt: "2026-11-28T10:00:00",
  zoneId: "Europe/London",
  room: { temperatureC: 22 },
  resinId: "resin",
  splitInto: 1,
  pieces: [
    {
      mouldId: "push",
      count: 2,
      layers: [{ colourId: "clear" }],
      work: { surface: [], finishing: [], bubbles: "USUAL", curing: "PRESSURE_POT" },
    },
  ],
  arrangement: { pins: [{ taskId: "a", startSeconds: 60 }] },
} as Session;
const HABITS = { mixing: { warming: "BOTH" }, care: { bubbles: "FLAME" } } as Required<Habits>;
const way = (kind: Mend["kind"], value = 0, target?: string) =>
  mended(SESSION, HABITS, { kind, value, ...(target ? { target } : {}) });

describe("what is decided about times", () => {
  it("pins a task once, wherever it is dragged, and never before the first step", () => {
    const twice = pinned(pinned(SESSION, "b", 100.4), "b", -20);
    expect(twice.arrangement?.pins).toEqual([
      { taskId: "a", startSeconds: 60 },
      { taskId: "b", startSeconds: 0 },
    ]);
    expect(released(twice, "a").arrangement?.pins).toEqual([{ taskId: "b", startSeconds: 0 }]);
  });

  it("keeps a reason and takes it back", () => {
    const finding = { rule: "DEEPER_THAN_RATED", place: "piece/1" } as Finding;
    const kept = onPurpose(SESSION, finding, "proven to 30 mm here");
    expect(kept.arrangement?.accepted).toEqual([
      { rule: "DEEPER_THAN_RATED", place: "piece/1", reason: "proven to 30 mm here" },
    ]);
    expect(notOnPurpose(kept, finding).arrangement?.accepted).toEqual([]);
  });

  it("moves the start over midnight", () => {
    expect(movedBy("2026-11-28T23:30:00", 45)).toBe("2026-11-29T00:15:00");
    expect(movedBy("2026-12-01T00:10:00", -30)).toBe("2026-11-30T23:40:00");
  });

  it("does every mend that is done in the session, and leaves the others to the screen", () => {
    expect(way("MOVE_TASK", 300, "a")?.arrangement?.pins).toEqual([
      { taskId: "a", startSeconds: 300 },
    ]);
    expect(way("RELEASE_PIN", 0, "a")?.arrangement?.pins).toEqual([]);
    expect(way("SOFT_TOOL")?.habits?.care?.bubbles).toBe("SOFT_TOOL");
    expect(way("CURE_ON_BENCH")?.pieces?.[0]?.work?.curing).toBe("BENCH");
    expect(way("OTHER_START", -60)?.startsAt).toBe("2026-11-28T09:00:00");
    expect(way("OPEN_SHELF", 0, "mould/push")).toBeNull();
    expect(way("LEAVE_OUT", 0)).toBeNull();
  });
});
