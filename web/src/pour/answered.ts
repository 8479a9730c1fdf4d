/** Warnings that were answered are told like ticks: answered once is answered, also after a reload. */
export const leftRatio = (batch: number) => `RATIO/${batch}`;
export const seenHot = (cupId: string) => `HOT/${cupId}`;
