import type { Cavity, Mould } from "../api/client";

export function newId(kind: string): string {
  return `${kind}-${crypto.randomUUID().slice(0, 8)}`;
}

/** A mould nobody has measured yet: the guide begins with water, the surest way. */
export function newMould(name = ""): Mould {
  return { id: newId("mould"), name, cavities: [newCavity(name || "Main")] };
}

export function newCavity(name: string): Cavity {
  return {
    id: newId("cavity"),
    name,
    count: 1,
    measure: { method: "WATER_IN_MOULD", filledG: 10, waterC: 20, parts: [], levels: [] },
  };
}
