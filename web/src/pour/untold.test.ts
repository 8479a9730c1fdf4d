import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { RunEvent } from "../api/client";
import { FORMAT } from "../api/format";
import { keepUntold, readUntold } from "./untold";

const event = (id: string) => ({ id, at: "2026-11-28T10:00:00Z", kind: "AWAY" }) as RunEvent;

describe("steps that could not be told", () => {
  const kept = new Map<string, string>();
  beforeEach(() => {
    vi.stubGlobal("window", {
      localStorage: {
        getItem: (key: string) => kept.get(key) ?? null,
        setItem: (key: string, text: string) => kept.set(key, text),
        removeItem: (key: string) => kept.delete(key),
      },
    });
  });
  afterEach(() => {
    kept.clear();
    vi.unstubAllGlobals();
  });

  it("are read with the number under which they were kept, newer ones beside them", () => {
    kept.set("calm-pour.untold.run", JSON.stringify([event("bare")]));
    expect(readUntold("run")).toEqual({
      events: [],
      older: [{ format: undefined, events: [event("bare")] }],
    });
    kept.set("calm-pour.untold.run", JSON.stringify({ format: 2, events: [event("two")] }));
    const older = readUntold("run");
    expect(older.older[0]?.format).toBe(2);
    // Told while they wait: each keeps its own number over a reload.
    keepUntold("run", { events: [event("now")], older: older.older });
    expect(readUntold("run")).toEqual({
      events: [event("now")],
      older: [{ format: 2, events: [event("two")] }],
    });
    expect(JSON.parse(kept.get("calm-pour.untold.run") ?? "{}")).toMatchObject({ format: FORMAT });
  });

  it("leave nothing behind when all is told", () => {
    keepUntold("run", { events: [event("now")], older: [] });
    keepUntold("run", { events: [], older: [] });
    expect(kept.size).toBe(0);
  });
});
