/** A wait that runs down, in minutes and seconds; nothing is left below none. */
export function minutes(secondsLeft: number): string {
  const whole = Math.max(0, Math.ceil(secondsLeft));
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, "0")}`;
}

/** What brings a ratio right again: what is wrong, and how much of which part goes in. */
export function rescueWords(
  rescue: { addAG: number; addBG: number },
  show: (grams: number, part: "A" | "B") => string,
): { title: string; parts: string } {
  const { addAG, addBG } = rescue;
  return {
    title:
      addAG > 0 && addBG > 0 ? "The ratio is off. Add" : `Too much ${addAG > 0 ? "B" : "A"}. Add`,
    parts: [
      addAG > 0 ? `${show(addAG, "A")} of A` : "",
      addBG > 0 ? `${show(addBG, "B")} of B` : "",
    ]
      .filter(Boolean)
      .join(" and "),
  };
}
