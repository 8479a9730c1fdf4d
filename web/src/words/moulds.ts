import type { MeasureAnswer, MouldView } from "../api/client";

/** What is worth a second look, in a maker's words. */
export function doubtText(doubt: MeasureAnswer["doubts"][number]): string {
  switch (doubt) {
    case "WIDER_THAN_LONG":
      return "With that depth and length it would have to be wider than it is long. One of the figures is off.";
    case "HARDLY_ANY_WIDTH":
      return "With that depth and length it would be hardly a slit. One of the figures is off.";
    case "SHAPE_DISAGREES":
      return "The shape’s own volume is more than a quarter off what the water says. The water counts; look at the sizes.";
    case "TOLD_ONLY":
      return "Nobody has measured this one. Ten minutes with water make it sure.";
    case "READS_LOW":
      return "Tipped water reads a little low. Weighing the mould before and after is better.";
  }
}

/** What a mould wants before it is used, in a word. */
export const WANTS: Record<MouldView["wants"][number], string> = {
  DRYING: "wet",
  CLEANING: "not clean",
  REPLACING: "worn out",
  AFTER_URETHANE: "last: polyurethane",
  NEARLY_WORN: "nearly worn",
  FIRST_CAST: "new",
};

export function wantWords(view: MouldView): string[] {
  return view.wants.map((want) => WANTS[want]);
}

/** What stays with its piece is not there again; plans go by what is left. */
export function usedUpText(used: number, counted: number): string {
  const left = Math.max(0, counted - used);
  return `${used} of these ${counted} stayed with their pieces since you counted: ${left === 0 ? "none is" : left === 1 ? "one is" : `${left} are`} left.`;
}
