/** A first evening, from the plan to the journal: what to do on the screen that is open. */
export interface Stop {
  title: string;
  text: string;
}

const STOPS = {
  plan: {
    title: "1 of 5: the plan",
    text: "At the top stand the grams of A and B, when to start and when it is too late. Under “change” say when you pour and how warm your room is. “Confirm” keeps the evening for it. Press “Begin” when everything lies ready.",
  },
  bench: {
    title: "2 of 5: the bench",
    text: "Tick what you have put ready. Then one step at a time: space or the large key says done, “Undo” takes it back, “Trouble” helps.",
  },
  today: {
    title: "3 of 5: the wait",
    text: "Today says when your piece may come out of its mould. Until then: level, covered, out of reach. Press “Done” when it is out.",
  },
  record: {
    title: "4 of 5: look it over",
    text: "Good, second or lost, and what is wrong with it. Print its tag. If something was told wrong, correct the line at the foot of the page.",
  },
  journal: {
    title: "5 of 5: the journal",
    text: "Your piece is kept here with all that went into it. From three evenings on it says what your resin, your moulds, your room and your hands really do.",
  },
} satisfies Record<string, Stop>;

/** The stop that belongs to an address; null where none does. */
export function stopAt(path: string): Stop | null {
  const [room, id, part] = path.split("/").filter(Boolean);
  switch (room) {
    case "plan":
      return STOPS.plan;
    case "pour":
      return part === "record" ? STOPS.record : id ? STOPS.bench : null;
    case "today":
      return STOPS.today;
    case "journal":
      return STOPS.journal;
    default:
      return null;
  }
}
