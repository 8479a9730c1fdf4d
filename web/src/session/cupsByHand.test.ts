import { describe, expect, it } from "vitest";
import type { Cup, Plan, Session } from "../api/client";
import {
  apart,
  carry,
  inKind,
  mayGo,
  portions,
  release,
  withoutLayer,
  withoutLine,
  withStrength,
} from "./cupsByHand";

const pours = (line: number, layer: number, cavities: number[]) =>
  cavities.map((cavity) => ({ line, layer, cavity, parts: 1 }));

const cup = (id: string, colourId: string, of: object[], byHand?: number) =>
  ({
    id,
    batch: 1,
    colour: { id: colourId },
    pours: of,
    ...(byHand === undefined ? {} : { byHand }),
  }) as Cup;

const plan = (...cups: Cup[]) => ({ batches: [{ number: 1, stage: 0, cups }] }) as unknown as Plan;

const layer = (colourId: string) => ({ colourId }) as const;

const session = {
  pieces: [
    { mouldId: "knob", count: 6, layers: [layer("oat"), layer("ember")] },
    { mouldId: "pull", count: 2, layers: [layer("oat")] },
  ],
} as unknown as Session;

describe("cups put together by hand", () => {
  const first = cup("1.1", "oat", pours(0, 0, [1, 2, 3, 4, 5, 6]));
  const second = cup("1.2", "oat", pours(1, 0, [1, 2]));
  const ember = cup("1.3", "ember", pours(0, 1, [1, 2, 3, 4, 5, 6]));

  it("hold what is carried into them, and the cup that is emptied is given up", () => {
    const merged = carry(
      session,
      plan(first, second, ember),
      { cupId: "1.2", portion: null },
      first,
    );
    expect(merged.cupsByHand).toEqual([
      {
        layers: [
          { line: 0, layer: 0 },
          { line: 1, layer: 0 },
        ],
      },
    ]);
  });

  it("are halved by pours, and keep counts only where a line is shared", () => {
    const halves = apart(session, plan(first, ember), { cupId: "1.1", portion: null });
    expect(halves.cupsByHand).toEqual([
      { layers: [{ line: 0, layer: 0, cavities: 3 }] },
      { layers: [{ line: 0, layer: 0, cavities: 3 }] },
    ]);
  });

  it("let a layer go into another colour, and part a line where only some of it goes", () => {
    const some = { line: 0, layer: 0, cavities: 2 };
    const whole = carry(session, plan(first, ember), { cupId: "1.1", portion: null }, ember);
    expect(whole.pieces?.[0]?.layers.map((l) => l.colourId)).toEqual(["ember", "ember"]);
    expect(whole.cupsByHand).toBeUndefined();
    const two = cup("1.1", "oat", pours(0, 0, [1, 2]), 0);
    const fixed = { ...session, cupsByHand: [{ layers: [some] }] };
    const parted = carry(fixed, plan(two, ember), { cupId: "1.1", portion: some }, ember);
    expect(parted.pieces?.map((p) => p.count)).toEqual([4, 2, 2]);
    expect(parted.pieces?.[2]?.layers.map((l) => l.colourId)).toEqual(["ember", "ember"]);
    expect(parted.cupsByHand).toEqual([]);
  });

  it("take nothing from another sitting, nor a pour that takes several cups", () => {
    const later = {
      batches: [
        { number: 1, stage: 0, cups: [first] },
        { number: 2, stage: 1, cups: [{ ...second, batch: 2 }] },
      ],
    } as unknown as Plan;
    expect(mayGo(later, { cupId: "1.1", portion: null }, { ...second, batch: 2 })).toBe(false);
    const inParts = { ...second, pours: second.pours.map((p) => ({ ...p, parts: 2 })) };
    expect(mayGo(plan(first, inParts), { cupId: "1.1", portion: null }, inParts)).toBe(false);
    expect(mayGo(plan(first, second), { cupId: "1.1", portion: null }, second)).toBe(true);
  });

  it("keep their kind of cup until they are released", () => {
    const chosen = inKind(session, second, "tall");
    expect(chosen.cupsByHand).toEqual([{ cupId: "tall", layers: [{ line: 1, layer: 0 }] }]);
    expect(inKind(chosen, { ...second, byHand: 0 }, null).cupsByHand).toEqual([
      { layers: [{ line: 1, layer: 0 }] },
    ]);
    expect(release(chosen, 0).cupsByHand).toEqual([]);
  });

  it("follow the lines and layers that are left", () => {
    const cups = [
      { layers: [{ line: 0, layer: 0 }] },
      {
        layers: [
          { line: 0, layer: 1 },
          { line: 2, layer: 0, cavities: 2 },
        ],
      },
    ];
    expect(withoutLine(cups, 0)).toEqual([{ layers: [{ line: 1, layer: 0, cavities: 2 }] }]);
    expect(withoutLayer(cups, 0, 0)).toEqual([
      {
        layers: [
          { line: 0, layer: 0 },
          { line: 2, layer: 0, cavities: 2 },
        ],
      },
    ]);
  });

  it("count each cavity of a layer once", () => {
    expect(portions(cup("1.1", "oat", [...pours(1, 0, [2]), ...pours(0, 0, [1, 1, 2])]))).toEqual([
      { line: 0, layer: 0, cavities: 2 },
      { line: 1, layer: 0, cavities: 1 },
    ]);
  });
});

it("a strength is kept until it is the recipe’s own again", () => {
  const strong = withStrength(session, "oat", 1.2);
  expect(strong.strengths).toEqual([{ colourId: "oat", factor: 1.2 }]);
  expect(withStrength(strong, "oat", 1).strengths).toEqual([]);
});
