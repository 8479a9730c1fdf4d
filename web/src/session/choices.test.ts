import { describe, expect, it } from "vitest";
import type { Mould, Session, Workshop } from "../api/client";
import { choices } from "./choices";

const mould = (id: string, toldMl: number): Mould => ({
  id,
  name: id,
  cavities: [{ id: "main", name: id, count: 1, measure: { method: "TOLD", toldMl } }],
});

describe("what a session can choose from", () => {
  const shelf: Workshop = { moulds: [mould("knob", 12), mould("pull", 16)] };

  it("is the shelf, and what the session carries in its place", () => {
    const session = { carried: { moulds: [mould("knob", 15), mould("lost", 5)] } } as Session;
    expect(
      choices(shelf, session).moulds.map((m) => [m.id, m.cavities[0]?.measure.toldMl]),
    ).toEqual([
      ["pull", 16],
      ["knob", 15],
      ["lost", 5],
    ]);
  });

  it("always has clear resin, and only once", () => {
    const clear = { id: "clear", name: "Water-clear", swatch: "#ffffff", recipe: [] };
    expect(choices(undefined, {} as Session).colours.map((c) => c.name)).toEqual(["Clear"]);
    expect(choices({ colours: [clear] }, {} as Session).colours.map((c) => c.name)).toEqual([
      "Water-clear",
    ]);
  });
});
