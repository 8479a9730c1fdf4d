import type { Session, Workshop } from "../api/client";

/** What the session can choose from: the shelves, and what it carries along itself. */
export function choices(workshop: Workshop | undefined, session: Session): Required<Workshop> {
  const over = <T extends { id: string }>(below: T[] = [], above: T[] = []): T[] => [
    ...below.filter((b) => !above.some((a) => a.id === b.id)),
    ...above,
  ];
  const carried = session.carried;
  const colours = over(workshop?.colours, carried?.colours);
  if (!colours.some((c) => c.id === "clear")) {
    // Clear resin is known to every workshop, also an empty one.
    colours.unshift({ id: "clear", name: "Clear", swatch: "#dde6e4", recipe: [] });
  }
  return {
    moulds: over(workshop?.moulds, carried?.moulds),
    resins: over(workshop?.resins, carried?.resins),
    colourants: over(workshop?.colourants, carried?.colourants),
    colours,
    cups: over(workshop?.cups, carried?.cups),
    parts: over(workshop?.parts, carried?.parts),
    embeds: over(workshop?.embeds, carried?.embeds),
    tools: over(workshop?.tools, carried?.tools),
    bookings: [],
  };
}
