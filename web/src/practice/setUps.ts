import type { Pair } from "../api/asking";
import type { SetUp, Workshop } from "../api/client";

const KEPT = "calm-pour.practice";

/** Two set-ups to begin with: the same mix in one tall cup, and split into shallow ones. */
export function begin(workshop: Workshop): Pair | null {
  const resin = workshop.resins?.[0];
  if (!resin) {
    return null;
  }
  const mixing = (workshop.cups ?? []).find((c) => c.use !== "COLOUR");
  const colour = (workshop.cups ?? []).find((c) => c.use !== "MIXING");
  const first: SetUp = {
    resinId: resin.id,
    massG: 100,
    ...(mixing ? { cupId: mixing.id } : {}),
    roomC: 22,
    mixMinutes: 3,
    restMinutes: 5,
    lampMinutes: 0,
    splitInto: 1,
    lies: "CUP",
  };
  const second: SetUp = {
    ...first,
    splitInto: 4,
    ...(colour ? { splitCupId: colour.id } : {}),
  };
  return { first, second };
}

/** What was tried last in this window; nothing that is not on the shelf any more. */
export function kept(workshop: Workshop): Pair | null {
  try {
    const pair = JSON.parse(sessionStorage.getItem(KEPT) ?? "null") as Pair | null;
    const known = (setUp: SetUp) =>
      (workshop.resins ?? []).some((r) => r.id === setUp.resinId) &&
      has(workshop.cups, setUp.cupId) &&
      has(workshop.cups, setUp.splitCupId) &&
      has(workshop.moulds, setUp.mouldId) &&
      has(workshop.colours, setUp.colourId) &&
      has(workshop.embeds, setUp.embedId);
    return pair && known(pair.first) && known(pair.second) ? pair : null;
  } catch {
    return null;
  }
}

function has(list: { id: string }[] | undefined, id: string | undefined): boolean {
  return id === undefined || (list ?? []).some((each) => each.id === id);
}

export function keep(pair: Pair): void {
  sessionStorage.setItem(KEPT, JSON.stringify(pair));
}

/** The same set-up with one thing changed; what became undefined is left out. */
export function change(setUp: SetUp, by: { [K in keyof SetUp]?: SetUp[K] | undefined }): SetUp {
  const said = Object.entries({ ...setUp, ...by }).filter(([, value]) => value !== undefined);
  return Object.fromEntries(said) as unknown as SetUp;
}

/** Masses lie on a slider so that 5 to 10 g is as far as 500 to 1,000 g. */
const LEAST_G = 5;
const MOST_G = 5000;

export function massAt(slid: number): number {
  const mass = LEAST_G * (MOST_G / LEAST_G) ** slid;
  const step = mass < 50 ? 1 : mass < 200 ? 5 : mass < 1000 ? 25 : 100;
  return Math.round(mass / step) * step;
}

export function slidTo(massG: number): number {
  return Math.log(massG / LEAST_G) / Math.log(MOST_G / LEAST_G);
}
