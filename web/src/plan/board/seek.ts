import type { Plan } from "../../api/client";

/** From so many lines on a board has to be searched. */
export const MANY_LINES = 9;

export interface Sought {
  words: string;
  batch: number | null;
}

export const EVERYTHING: Sought = { words: "", batch: null };

/** Lines of the board that are sought; null for all of them. */
export function soughtLines(plan: Plan, sought: Sought): Set<number> | null {
  const words = sought.words.trim().toLowerCase();
  if (words === "" && sought.batch === null) {
    return null;
  }
  const inBatch = new Set(
    plan.batches
      .filter((b) => sought.batch === null || b.number === sought.batch)
      .flatMap((b) => b.cups.flatMap((c) => c.pours.map((p) => p.line))),
  );
  return new Set(
    plan.pieces
      .map((piece, line) => ({ piece, line }))
      .filter(({ line }) => sought.batch === null || inBatch.has(line))
      .filter(
        ({ piece }) =>
          piece.mouldName.toLowerCase().includes(words) ||
          piece.layers.some((l) => l.colourName.toLowerCase().includes(words)),
      )
      .map(({ line }) => line),
  );
}
