/** The look of what nobody has looked at yet. */
export const UNSEEN = "#8a8f92";
