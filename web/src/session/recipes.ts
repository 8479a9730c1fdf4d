import type { Colour, Session } from "../api/client";

/** The session mixes a colour by a recipe of its own; how strong it is wanted is in the recipe. */
export function withRecipe(session: Session, colour: Colour): Session {
  const others = (session.carried?.colours ?? []).filter((c) => c.id !== colour.id);
  return {
    ...session,
    carried: { ...session.carried, colours: [...others, colour] },
    strengths: (session.strengths ?? []).filter((s) => s.colourId !== colour.id),
  };
}

/** A colour is mixed as the shelf says again. */
export function withoutRecipe(session: Session, colourId: string): Session {
  return {
    ...session,
    carried: {
      ...session.carried,
      colours: (session.carried?.colours ?? []).filter((c) => c.id !== colourId),
    },
  };
}
