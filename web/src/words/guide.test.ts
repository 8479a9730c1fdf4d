import { describe, expect, it } from "vitest";
import { GUIDES } from "./guide";

describe("the guide", () => {
  it("says of every screen what it is for, its keys and an example", () => {
    expect(Object.keys(GUIDES)).toHaveLength(11);
    for (const [room, guide] of Object.entries(GUIDES)) {
      expect(guide.what.length, room).toBeGreaterThan(40);
      expect(guide.keys.length, room).toBeGreaterThan(0);
      expect(guide.example, room).toMatch(/[.]$/);
    }
  });
});
