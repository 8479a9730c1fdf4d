import type { Felt } from "../api/client";

type Word = Felt["word"];

/** How a cup or a piece is, from fresh to hard, as one would say it. */
export const FELT: Record<Word, string> = {
  DRIPS: "drips",
  SYRUP: "like syrup",
  HONEY: "like honey",
  THREAD_HOLDS: "a thread holds",
  TACKY: "tacky",
  NAIL_DENTS: "a nail dents it",
  HARD: "hard",
  OUT_OF_THE_MOULD: "out of the mould",
  BENDS: "out, and bends",
};

/** What a cup can be like; nothing comes out of it. */
export const CUP_WORDS: readonly Word[] = [
  "DRIPS",
  "SYRUP",
  "HONEY",
  "THREAD_HOLDS",
  "TACKY",
  "HARD",
];

export const PIECE_WORDS: readonly Word[] = [
  "SYRUP",
  "HONEY",
  "THREAD_HOLDS",
  "TACKY",
  "NAIL_DENTS",
  "HARD",
  "OUT_OF_THE_MOULD",
  "BENDS",
];
