import { describe, expect, it } from "vitest";
import type { Finding, Session } from "../api/client";
import { notOnPurpose, onPurpose, pinned, released } from "./arranging";

const SESSION = {
  name: "Test",
  startsAt: "2026-11-28T10:00:00",
  zoneId: "Europe/London",
  room: { temperatureC: 22 },
  resinId: "resin",
  splitInto: 1,
  arrangement: { pins: [{ taskId: "a", startSeconds: 60 }] },
} as Session;

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
});
