/** Where in a plan something is, as the server writes it; everything counts from 1. */
export type Place =
  | { of: "cup"; id: string }
  | { of: "pour"; id: string }
  | { of: "batch"; number: number }
  | { of: "line"; line: number }
  | { of: "layer"; line: number; layer: number }
  | { of: "task"; id: string }
  | { of: "shelf"; id: string; colour: boolean }
  | { of: "resin" | "plan" };

export const ofCup = (id: string) => `cup/${id}`;
export const ofPour = (id: string) => `pour/${id}`;
export const ofBatch = (number: number) => `batch/${number}`;
export const ofTask = (id: string) => `task/${id}`;

/** Of a line of pieces, by its index from 0. */
export const ofLine = (index: number) => `piece/${index + 1}`;

/** Reads an address; what is none is the plan's as a whole. */
export function readPlace(text: string): Place {
  const [kind, ...rest] = text.split("/");
  const id = rest.join("/");
  switch (kind) {
    case "cup":
      return { of: "cup", id };
    case "pour":
      return { of: "pour", id };
    case "batch":
      return { of: "batch", number: Number(id) };
    case "piece":
      return { of: "line", line: Number(id) };
    case "layer": {
      const [line, layer] = id.split(".").map(Number);
      return { of: "layer", line: line ?? 0, layer: layer ?? 0 };
    }
    case "task":
      return { of: "task", id };
    case "colour":
      return { of: "shelf", id, colour: true };
    case "part":
    case "colourant":
    case "embed":
      return { of: "shelf", id, colour: false };
    default:
      return { of: kind === "resin" ? "resin" : "plan" };
  }
}

/** Whether it lies in a line of pieces as a whole, or in a layer of it. */
export function inLine(text: string, index: number): boolean {
  const place = readPlace(text);
  return (place.of === "line" || place.of === "layer") && place.line === index + 1;
}
