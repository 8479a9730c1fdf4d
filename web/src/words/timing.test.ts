import { expect, test } from "vitest";
import type { TimingView } from "../api/client";
import { comingStates, nextLook, since } from "./timing";

const TIMING = {
  zoneId: "Europe/London",
  metAt: "2026-12-01T18:00:00Z",
  looks: [],
  cup: {
    thick: "2026-12-01T18:40:00Z",
    thread: "2026-12-01T18:55:00Z",
    gels: "2026-12-01T19:30:00Z",
  },
  piece: {
    thread: "2026-12-01T20:00:00Z",
    gels: "2026-12-01T21:00:00Z",
    hard: "2026-12-02T18:00:00Z",
  },
} as unknown as TimingView;

const at = (time: string) => Date.parse(`2026-12-01T${time}:00Z`);

test("the next state of what is there comes first, and nothing of what was not poured", () => {
  expect(comingStates(TIMING, at("18:10")).map((s) => s.what)).toEqual([
    "the cup should be too thick to pour",
    "a thread should hold in the cup",
    "the cup should have gelled",
  ]);
  const poured = { ...TIMING, pouredAt: "2026-12-01T18:20:00Z" };
  expect(comingStates(poured, at("19:45")).map((s) => s.what)).toEqual([
    "what you poured should have gelled",
    "what you poured should be hard",
  ]);
  expect(nextLook(TIMING, at("18:10"))).toBe(
    "Look again about 18:40: by then the cup should be too thick to pour.",
  );
  expect(nextLook(TIMING, at("19:31"))).toContain("as far as it gets");
});

test("how long ago is said in minutes, hours and days", () => {
  expect(since(TIMING.metAt, at("18:00") - 5000)).toBe("0 min");
  expect(since(TIMING.metAt, at("18:59"))).toBe("59 min");
  expect(since(TIMING.metAt, at("20:05"))).toBe("2 h 05 min");
  expect(since(TIMING.metAt, at("18:00") + 3 * 86_400_000)).toBe("3 days");
});
